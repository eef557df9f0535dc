import { Button } from "../../parts/Button";
import { clock } from "../../parts/figures";
import type { RestClock } from "./useRest";

interface Props {
  rest: RestClock;
  left: number;
  /** What comes after it. */
  next: string;
}

/** Rest, in figures that read from across the room, and what comes after it. */
export function Rest({ rest, left, next }: Props) {
  const over = left <= 0;
  return (
    <div role="timer" aria-label="Rest clock">
      <p className="lettering">
        {over ? "Rest is over by" : rest.running ? "Rest" : "Rest, stopped"}
      </p>
      <p
        className={`font-head text-[9rem] leading-none font-semibold sm:text-[15rem] ${over ? "text-ready" : ""}`}
      >
        {clock(Math.abs(left))}
      </p>
      <p className="font-head text-3xl">Next: {next}</p>
      <div className="flex flex-wrap gap-3 pt-4">
        <Button main large onClick={rest.end}>
          Begin the next set
        </Button>
        <Button large onClick={rest.toggle} title="Start or stop the clock (Space)">
          {rest.running ? "Stop the clock" : "Start the clock"}
        </Button>
      </div>
    </div>
  );
}
