/** The seconds of a hold, large, with the one button that starts and stops them. */

import type { Clock } from "../hooks/useClock";
import { Button } from "./Button";

export function HoldClock({ clock }: { clock: Clock }) {
  return (
    <div className="flex items-center gap-4 pt-3">
      <Button large onClick={clock.toggle} title="Start or stop the clock (Space)">
        {clock.running ? "Stop" : "Start the clock"}
      </Button>
      <span role="timer" className="font-head text-5xl" aria-label="Seconds held">
        {clock.seconds.toFixed(1)}
      </span>
      <span className="text-faint">s</span>
    </div>
  );
}
