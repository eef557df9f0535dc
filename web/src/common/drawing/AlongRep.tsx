/** The demand along the rep, with its range; a second set-up dashed; a mark where the figure is. */
import type { Schema } from "../api/client";

interface Line {
  along: Schema["AlongRep"][];
  peak: number;
}

interface Props {
  first: Line;
  second: Line | undefined;
  at: number;
  ends: [string, string];
  unit: string;
  width: number;
  height: number;
}

const PAD = { left: 44, right: 14, top: 12, bottom: 20 };

export function AlongRep({ first, second, at, ends, unit, width, height }: Props) {
  const lines = second ? [first, second] : [first];
  const most = Math.max(...lines.flatMap(({ along }) => along.map(({ demand }) => demand.high)));
  const least = Math.min(0, ...lines.flatMap(({ along }) => along.map(({ demand }) => demand.low)));
  const deepest = Math.max(...lines.flatMap(({ along }) => along.map(({ depth }) => depth)), 0.01);
  const x = (depth: number) => PAD.left + (depth / deepest) * (width - PAD.left - PAD.right);
  const y = (demand: number) =>
    height -
    PAD.bottom -
    ((demand - least) / (most - least || 1)) * (height - PAD.top - PAD.bottom);
  const path = (points: [number, number][]) =>
    points.map(([px, py], i) => `${i ? "L" : "M"}${px.toFixed(1)},${py.toFixed(1)}`).join("");
  const band = [
    ...first.along.map(({ depth, demand }): [number, number] => [x(depth), y(demand.high)]),
    ...first.along
      .toReversed()
      .map(({ depth, demand }): [number, number] => [x(depth), y(demand.low)]),
  ];
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} role="img">
      <title>{`Demand along the rep, ${unit}, from ${ends[0]} to ${ends[1]}`}</title>
      <line x1={x(0)} y1={y(0)} x2={x(deepest)} y2={y(0)} className="stroke-line" />
      <path d={`${path(band)}Z`} className="fill-reach" />
      {lines.map(({ along, peak }, i) => (
        <g key={i === 0 ? "first" : "second"}>
          <path
            d={path(along.map(({ depth, demand }) => [x(depth), y(demand.likely)]))}
            fill="none"
            className={i === 0 ? "stroke-ink" : "stroke-line"}
            strokeWidth={1.6}
            strokeDasharray={i === 0 ? undefined : "5 4"}
          />
          <circle
            cx={x(peak)}
            cy={y(along.find(({ depth }) => depth === peak)?.demand.likely ?? 0)}
            r={3}
            className={i === 0 ? "fill-ink" : "fill-line"}
          />
        </g>
      ))}
      <line x1={x(at)} y1={PAD.top} x2={x(at)} y2={y(least)} className="stroke-over" />
      <g className="fill-faint font-head text-[12px]">
        <text x={PAD.left - 6} y={y(most) + 8} textAnchor="end">
          {most.toFixed(0)} {unit}
        </text>
        <text x={PAD.left - 6} y={y(0) + 4} textAnchor="end">
          0
        </text>
        <text x={x(0)} y={height - 5}>
          {ends[0]}
        </text>
        <text x={x(deepest)} y={height - 5} textAnchor="end">
          {deepest < 1 ? `${Math.round(100 * deepest)} % of the way` : ends[1]}
        </text>
      </g>
    </svg>
  );
}
