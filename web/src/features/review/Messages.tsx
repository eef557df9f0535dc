/** Messages to athletes: written here, sent by the coach in their own way. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Hand } from "../../common/account/Hand";
import { queries } from "../../common/api/queries";
import { Away } from "../../common/ui/Away";
import { Button } from "../../common/ui/Button";
import { day } from "../../common/units/figures";

export function Messages() {
  const [before, setBefore] = useState<string | null>(null);
  const query = useQuery(queries.messages(before));
  if (query.error) return <Away error={query.error} retry={() => query.refetch()} />;
  const sheet = query.data;
  if (!sheet) return <p className="p-4 text-faint">Opening the messages …</p>;
  return (
    <section aria-label="Messages" className="max-w-3xl p-4">
      <p className="text-faint">
        What athletes are to hear. Nothing is sent from here: copy or share it, or say it yourself.
      </p>
      {sheet.messages.length === 0 && (
        <p className="pt-3">No messages yet. Accepting or editing a proposal writes one here.</p>
      )}
      {sheet.messages.map((message) => (
        <article key={message.id} className="border-b border-hair py-2">
          <p className="lettering">
            {sheet.athletes[message.athlete_id]}, {day(message.at)}: {message.subject}
          </p>
          <p className="whitespace-pre-line">{message.body}</p>
          <Hand name={`the message to ${sheet.athletes[message.athlete_id]}`} text={message.body} />
        </article>
      ))}
      <div className="flex gap-2 pt-3">
        {before && <Button onClick={() => setBefore(null)}>Newest</Button>}
        {sheet.before && <Button onClick={() => setBefore(sheet.before)}>Older</Button>}
      </div>
    </section>
  );
}
