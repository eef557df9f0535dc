/** A hold: the seconds up from nothing, what is asked beside them, and the shape. */
import { Figure } from "../../../common/drawing/Figure";
import type { Along, RunSet } from "../engine/types";

interface Props {
  set: RunSet;
  seconds: number;
  path: Along["paths"][string] | undefined;
  paused: boolean;
}

export function Hold({ set, seconds, path, paused }: Props) {
  const enough = seconds >= set.low;
  const surplus = seconds > set.high;
  return (
    <div>
      <p
        role="timer"
        aria-label="Seconds held"
        className={`font-head text-[9rem] leading-none font-semibold sm:text-[15rem] ${enough ? "text-ready" : ""}`}
      >
        {Math.floor(seconds)}
        <span className="text-5xl text-faint"> s</span>
      </p>
      <p className="font-head text-2xl">
        {paused
          ? "The clock is paused."
          : surplus
            ? `${Math.floor(seconds - set.high)} s beyond the range; it counts`
            : enough
              ? "enough; go on while the shape holds"
              : `${Math.ceil(set.low - seconds)} s to the least`}
      </p>
      <p className="text-lg text-faint">
        {set.kind === "easy" ? "Breathe freely." : "Breathe. Shaking is normal; pain is not."}
      </p>
      {path && <Figure figures={[path.start]} width={300} height={120} label="The shape" small />}
    </div>
  );
}
