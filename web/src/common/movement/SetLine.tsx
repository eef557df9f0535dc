/** A logged set in a line: what, how much, how hard, what was seen, what it was like. */
import type { Schema } from "../api/client";
import { done } from "../units/figures";
import { Versions } from "./Versions";

/** "8 reps", "about 30 reps", "11–12 reps", "8 and 2 partial". */
export function amountOf(set: Schema["LoggedSetOut"]): string {
  const about = set.least !== null && set.most !== null && set.least !== set.most;
  const full = about ? `${set.least}–${set.most} (about)` : done(set.amount, set.unit);
  return set.partial ? `${full} and ${set.partial} partial` : full;
}

interface Props {
  athleteId: string;
  set: Schema["LoggedSetOut"];
}

/** The way to the photo or clip of a set, if one is kept with it. */
export function Picture({ athleteId, set }: Props) {
  if (!set.picture) return null;
  return (
    <a
      href={`/api/athletes/${athleteId}/sets/${set.id}/picture`}
      target="_blank"
      rel="noreferrer"
      className="underline"
    >
      {set.picture.startsWith("video") ? "clip" : "photo"}
    </a>
  );
}

/** What a set was that is no ordinary one. */
const KINDS: Record<Schema["LoggedSetOut"]["kind"], string> = {
  work: "",
  easy: "easy",
  drop: "dropped to",
  piece: "a piece of the hold",
  single: "top single",
  cluster: "to finish the range",
  part: "straight on",
  attempt: "an attempt",
  turn: "in turn",
};

export function SetLine({ athleteId, set }: Props) {
  const more = [
    set.side && `${set.side} side`,
    set.load_kg > 0 && `${set.load_kg} kg${set.load_at ? ` (${set.load_at})` : ""}`,
    set.load_kg < 0 && `assistance ${-set.load_kg} kg`,
    set.band,
    set.tempo !== "1-0-1-0" && set.tempo,
    KINDS[set.kind],
    set.surplus > 0 && `${set.surplus} beyond the range`,
    ...set.faults,
    set.felt_in.length > 0 && `felt in ${set.felt_in.join(", ")}`,
    set.note && `“${set.note}”`,
  ].filter(Boolean);
  return (
    <div className="flex flex-wrap justify-between gap-x-3">
      <span>
        {set.name} <span className="text-faint">{set.number}</span>
      </span>
      <span>
        {amountOf(set)}, effort {set.rpe}
        {!set.form_ok && <span className="text-watch"> ◆ form went</span>}
        {set.pain > 0 && (
          <span className="text-over">
            {" "}
            ▲ pain {set.pain} {set.pain_place}
          </span>
        )}{" "}
        <Picture athleteId={athleteId} set={set} />
      </span>
      <Versions athleteId={athleteId} set={set} />
      {more.length > 0 && <span className="basis-full text-sm text-faint">{more.join(" · ")}</span>}
    </div>
  );
}
