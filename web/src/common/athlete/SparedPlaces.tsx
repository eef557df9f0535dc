/** Places that hurt: what stands still, what fits instead, when to ask again, and clearing them. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { answer, api, type Schema } from "../api/client";
import { queries } from "../api/queries";
import { useAct } from "../hooks/useAct";
import { Button } from "../ui/Button";
import { Field } from "../ui/Field";
import { Wrong } from "../ui/Wrong";
import { day } from "../units/figures";

type Sore = Schema["SparedOut"];

export function SparedPlaces({ athleteId }: { athleteId: string }) {
  const { data } = useQuery(queries.spared(athleteId));
  if (!data || data.places.length === 0) return null;
  return (
    <section aria-label="Spared places" className="border-l-4 border-over bg-wash px-3 py-2">
      {data.places.map((sore) => (
        <Place key={sore.place} athleteId={athleteId} sore={sore} />
      ))}
    </section>
  );
}

function Place({ athleteId, sore }: { athleteId: string; sore: Sore }) {
  const [clearing, setClearing] = useState(false);
  const [note, setNote] = useState("");
  const { act, busy, error } = useAct("athlete", "ladder", "squad");
  const clear = () =>
    act(
      () =>
        answer(
          api.POST("/api/athletes/{athlete_id}/spared/{place}/clear", {
            params: { path: { athlete_id: athleteId, place: sore.place } },
            body: { note },
          }),
        ),
      () => setClearing(false),
    );
  return (
    <div className="py-1">
      <p className="text-over">
        <b className="font-head">▲ {capital(sore.place)} spared</b> since {day(sore.since)}, pain{" "}
        {sore.pain} of 10. Nothing that loads it is given, on any ladder. Ask again on{" "}
        {day(sore.ask_on)}.
      </p>
      {sore.ladders.length > 0 && (
        <ul className="pt-1">
          {sore.ladders.map((ladder) => (
            <li key={ladder.id} className="border-t border-hair py-0.5">
              <b>{ladder.goal}</b>: {ladder.rung} stands still.{" "}
              {ladder.instead.length === 0
                ? "Nothing else for it is open."
                : `Instead: ${ladder.instead.map((substitute) => `${substitute.name}, ${substitute.words}`).join("; ")}.`}
            </li>
          ))}
        </ul>
      )}
      {clearing ? (
        <div className="flex flex-wrap items-end gap-2 pt-1">
          <Field
            label="What was seen"
            value={note}
            onChange={(event) => setNote(event.target.value)}
          />
          <Button main busy={busy} disabled={!note.trim()} onClick={clear}>
            It is well again
          </Button>
          <Button quiet onClick={() => setClearing(false)}>
            Leave it
          </Button>
        </div>
      ) : (
        <Button onClick={() => setClearing(true)}>Clear the {sore.place} …</Button>
      )}
      <Wrong error={error} />
    </div>
  );
}

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
