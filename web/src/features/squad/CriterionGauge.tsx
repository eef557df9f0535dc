import type { Schema } from "../../common/api/client";
import { reps } from "../../common/units/figures";

const WIDTH = 190;
/** Where the scale ends, and a mark every so many. */
const SCALES = { reps: [20, 5], s: [60, 15], cm: [200, 50] } as const;

/** Likely reps with their range against the criterion's reps, to one scale for the whole squad. */
export function CriterionGauge({
  expected,
  criterion,
}: {
  expected: Schema["EstimateOut"];
  criterion: Schema["CriterionOut"];
}) {
  const { low, likely, high } = expected;
  const [most, every] = SCALES[criterion.unit];
  const x = (count: number) => (Math.min(count, most) / most) * WIDTH;
  const wanted =
    criterion.unit === "s" ? criterion.amount : criterion.amount + (10 - criterion.rpe);
  const { unit } = criterion;
  const words = `likely ${reps(likely)} (${reps(low)}–${reps(high)}) of ${reps(wanted)} ${unit} to failure`;
  return (
    <div className="flex flex-wrap items-center gap-x-3">
      <svg width={WIDTH + 2} height={20} role="img" aria-label={words}>
        <line x1={0} y1={14} x2={WIDTH} y2={14} className="stroke-hair" />
        {Array.from({ length: most / every + 1 }, (_, i) => x(i * every)).map((at) => (
          <line key={at} x1={at} y1={11} x2={at} y2={17} className="stroke-line" />
        ))}
        <rect
          x={x(low)}
          y={11}
          width={Math.max(1, x(high) - x(low))}
          height={6}
          className="fill-line"
        />
        <circle cx={x(likely)} cy={14} r={4} className="fill-ink" />
        <path d={`M${x(wanted)},1 V19`} className="stroke-ready" strokeWidth={2} />
      </svg>
      <span className="whitespace-nowrap">
        {reps(likely)}{" "}
        <span className="text-faint">
          of {reps(wanted)} {unit}
        </span>
      </span>
    </div>
  );
}
