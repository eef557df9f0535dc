/** How far the search has come: its points, its bound, what had to be relaxed. */
import { Button } from "../../common/ui/Button";
import { Mark } from "../../common/ui/Mark";
import { Wrong } from "../../common/ui/Wrong";
import type { Planning } from "./usePlanning";

interface Props {
  planning: Planning;
  busy: boolean;
  onStop: () => void;
  onLeave: () => void;
  onKeep: () => void;
}

export function PlanningBar({ planning, busy, onStop, onLeave, onKeep }: Props) {
  const { best, end, running, again, note, error } = planning;
  if (error) return <Wrong error={error} />;
  if (!running && !best) return null;
  const relaxed = end?.relaxed ?? [];
  return (
    <div role="status" className="border-b border-ink bg-wash px-4 py-2">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <strong className="font-head">
          {running
            ? again
              ? "Planning anew after the review …"
              : "Planning …"
            : "A plan, not kept yet"}
        </strong>
        {best && (
          <span>
            {best.points} points, no plan under {best.bound}: {best.proof}
          </span>
        )}
        {best && <Bound points={best.points} bound={best.bound} />}
        <span className="flex-1" />
        {note && <span className="text-watch">{note}</span>}
        {running && !again && <Button onClick={onStop}>Stop</Button>}
        {best && (
          <Button main onClick={onKeep} busy={busy} title="Keep this plan (K)">
            Keep this plan
          </Button>
        )}
        {!running && (
          <Button quiet onClick={onLeave}>
            Leave it
          </Button>
        )}
      </div>
      {relaxed.length > 0 && (
        <div className="pt-1">
          <Mark tone="over">Nothing keeps every rule. The fewest to relax:</Mark>
          <ul className="list-disc pl-6">
            {relaxed.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}

/** The points as a bar, the proven bound as a line in it: they close in on each other. */
function Bound({ points, bound }: { points: number; bound: number }) {
  const share = points ? bound / points : 1;
  return (
    <svg aria-hidden="true" width="120" height="10" className="border border-line">
      <title>Bound of points</title>
      <rect width={120 * share} height="10" className="fill-reach" />
      <line x1={120 * share} x2={120 * share} y1="0" y2="10" className="stroke-ink" />
    </svg>
  );
}
