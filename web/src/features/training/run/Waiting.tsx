/** Between sets: rest, count-in, changing sides or places; always with what comes next. */
import { Button } from "../../../common/ui/Button";
import { asked, clock } from "../../../common/units/figures";
import { blockOf, byClock, countedOf, itemOf, setOf, upcoming } from "../engine/machine";
import type { Event, Running } from "../engine/types";

interface Props {
  run: Running;
  event: Event;
  seconds: number;
  /** Smaller, beside a set that is to be filled in. */
  compact: boolean;
  onGo: () => void;
}

const NAMES: Record<string, string> = {
  rig_change: "Set up",
  "count in": "Take up the position",
  "change sides": "Change sides",
  rest: "Rest",
  "change over": "Change over",
};

export function Waiting({ run, event, seconds, compact, onGo }: Props) {
  const left = event.seconds - seconds;
  const over = left <= 0;
  const auto = byClock(run, event);
  const clocked = blockOf(run, event)?.clocked;
  const counts = event.kind === "count in";
  const go = !clocked && (
    <Button
      main
      large
      onClick={onGo}
      title="Begin (Space)"
      className={compact ? "min-h-16" : "mt-3 min-h-16 w-full text-2xl"}
    >
      {event.kind === "rig_change" ? "Ready" : auto ? "Now" : "Begin"}
    </Button>
  );
  return (
    <section aria-label="Rest">
      <p className="lettering pt-2 text-base">
        {run.paused
          ? `${NAMES[event.kind]}, paused`
          : over && !auto
            ? `${NAMES[event.kind]} is over by`
            : NAMES[event.kind]}
      </p>
      <div className={compact ? "flex items-center justify-between gap-3" : ""}>
        <p
          role="timer"
          aria-label="Rest clock"
          className={`font-head leading-none font-semibold ${compact ? "text-8xl" : "text-[8rem] sm:text-[13rem]"} ${over && !auto ? "text-ready" : ""}`}
        >
          {counts ? Math.max(1, Math.ceil(left)) : clock(Math.abs(left))}
        </p>
        {compact && go}
      </div>
      {event.kind === "rig_change" && (
        <p className="font-head text-3xl">{itemOf(run, event.item)?.rig}</p>
      )}
      <Next run={run} />
      {!compact && go}
    </section>
  );
}

function Next({ run }: { run: Running }) {
  const next = upcoming(run);
  const item = next && itemOf(run, next[1].item);
  const set = next && item && setOf(run, item, next[1].set);
  if (!next || !item || !set) return <p className="font-head text-3xl">That was the last set.</p>;
  return (
    <div>
      <p className="font-head text-3xl">
        Next: {set.what.name}, {asked(set)}
        {countedOf(item, set) === "per side" && " a side"}
      </p>
      <p className="text-lg text-faint">
        set {next[1].set + 1} of {item.sets.length}
        {item.rig && `; ${item.rig}`}
      </p>
      {item.notes.map((note) => (
        <p key={note} className="border-l-4 border-watch pl-2 text-lg font-semibold">
          {note}
        </p>
      ))}
    </div>
  );
}
