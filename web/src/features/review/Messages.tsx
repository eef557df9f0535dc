/** Messages to athletes, newest first: sent as letters, or handed on by the coach. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { queries } from "../../common/api/queries";
import { Away } from "../../common/ui/Away";
import { Button } from "../../common/ui/Button";
import { day } from "../../common/units/figures";
import { MessageCard } from "./MessageCard";

export function Messages() {
  const [before, setBefore] = useState<string | null>(null);
  const query = useQuery(queries.messages(before));
  if (query.error) return <Away error={query.error} retry={() => query.refetch()} />;
  const sheet = query.data;
  if (!sheet) return <p className="p-4 text-faint">Opening the messages …</p>;
  return (
    <section aria-label="Messages" className="max-w-3xl p-4">
      <p className="text-faint">
        What athletes are to hear of decisions. Send it, copy or share it, or say it yourself.
      </p>
      {sheet.messages.length === 0 && (
        <p className="pt-3">No messages yet. Accepting or editing a proposal writes one here.</p>
      )}
      {sheet.messages.map((message) => {
        const name = sheet.athletes[message.athlete_id]?.name;
        return (
          <article
            key={message.id}
            aria-label={`To ${name}, ${day(message.at)}`}
            className="border-b border-hair py-2"
          >
            <h3 className="font-head">
              {name}, {day(message.at)}
            </h3>
            <MessageCard message={message} />
          </article>
        );
      })}
      <div className="flex gap-2 pt-3">
        {before && <Button onClick={() => setBefore(null)}>Newest</Button>}
        {sheet.before && <Button onClick={() => setBefore(sheet.before)}>Older</Button>}
      </div>
    </section>
  );
}
