/** The signs of a technical drawing. */
import type { Point } from "./projection";

/** A filled arrowhead at `tip`, coming from `from`. */
function head(from: Point, tip: Point, size: number): string {
  const angle = Math.atan2(tip[1] - from[1], tip[0] - from[0]);
  const wing = (turn: number) =>
    `${tip[0] - size * Math.cos(angle + turn)},${tip[1] - size * Math.sin(angle + turn)}`;
  return `${tip[0]},${tip[1]} ${wing(0.35)} ${wing(-0.35)}`;
}

export function Arrow({ from, to, small }: { from: Point; to: Point; small: boolean }) {
  return (
    <>
      <line
        x1={from[0]}
        y1={from[1]}
        x2={to[0]}
        y2={to[1]}
        strokeWidth={small ? 0.9 : 1.6}
        stroke="currentColor"
      />
      <polygon points={head(from, to, small ? 4 : 9)} fill="currentColor" stroke="none" />
    </>
  );
}

interface DimensionProps {
  from: Point;
  to: Point;
  text: string;
  tone?: "ink" | "over";
  /** On which side of the line the figure stands. */
  side?: "left" | "right";
}

/** An upright dimension line with arrowheads and its figure. */
export function Dimension({ from, to, text, tone = "ink", side = "right" }: DimensionProps) {
  const stroke = tone === "over" ? "stroke-over text-over" : "stroke-line text-line";
  const fill = tone === "over" ? "fill-over" : "fill-ink";
  const [x, low] = from;
  const high = to[1];
  const size = Math.min(6, Math.abs(low - high) / 3);
  return (
    <g className={stroke}>
      <line x1={x} y1={low} x2={x} y2={high} strokeWidth={1} />
      <line x1={x - 4} y1={low} x2={x + 4} y2={low} strokeWidth={1} />
      <line x1={x - 4} y1={high} x2={x + 4} y2={high} strokeWidth={1} />
      <polygon points={head(to, from, size)} fill="currentColor" stroke="none" />
      <polygon points={head(from, to, size)} fill="currentColor" stroke="none" />
      {text && (
        <text
          x={side === "right" ? x + 7 : x - 7}
          y={(low + high) / 2 + 4}
          textAnchor={side === "right" ? "start" : "end"}
          stroke="none"
          className={`${fill} font-head text-[13px] font-medium`}
        >
          {text}
        </text>
      )}
    </g>
  );
}

/** The floor, hatched below. */
export function Ground(props: { y: number; from: number; to: number; small: boolean }) {
  const { y, from, to, small } = props;
  const step = small ? 5 : 9;
  const depth = small ? 2.5 : 6;
  const count = Math.floor((to - from) / step);
  return (
    <g className="stroke-line" strokeWidth={small ? 0.6 : 0.9}>
      <line
        x1={from}
        y1={y}
        x2={to}
        y2={y}
        className="stroke-ink"
        strokeWidth={small ? 0.8 : 1.2}
      />
      {Array.from({ length: count }, (_, i) => from + (i + 1) * step).map((x) => (
        <line key={x} x1={x} y1={y} x2={x - depth} y2={y + depth} />
      ))}
    </g>
  );
}

/** The sign for a centre of mass: a circle in quarters. */
export function MassCentre({ at, radius }: { at: Point; radius: number }) {
  const [x, y] = at;
  const quarter = (sx: number, sy: number) =>
    `M${x},${y} h${sx * radius} A${radius},${radius} 0 0 ${sx * sy > 0 ? 1 : 0} ${x},${y + sy * radius} Z`;
  return (
    <g>
      <circle cx={x} cy={y} r={radius} className="fill-sheet stroke-ink" strokeWidth={0.9} />
      <path d={`${quarter(1, 1)} ${quarter(-1, -1)}`} className="fill-ink" />
    </g>
  );
}
