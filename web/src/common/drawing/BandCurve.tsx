/** A band's pull against its length: the fitted curve through the measured points. */
import type { Schema } from "../api/client";

const PAD = { left: 40, right: 10, top: 10, bottom: 22 };

interface Props {
  band: Schema["BandOut"];
  width: number;
  height: number;
}

export function BandCurve({ band, width, height }: Props) {
  const { rest_m, limit, curve, readings } = band;
  const longest = rest_m * limit;
  const most = Math.max(...curve.map(({ kg }) => kg), ...readings.map(({ kg }) => kg));
  const x = (length: number) =>
    PAD.left + ((length - rest_m) / (longest - rest_m)) * (width - PAD.left - PAD.right);
  const y = (kg: number) => height - PAD.bottom - (kg / most) * (height - PAD.top - PAD.bottom);
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} role="img">
      <title>{`Pull of ${band.name}, up to ${most.toFixed(1)} kg at ${(100 * longest).toFixed(0)} cm`}</title>
      <path
        d={`M${x(rest_m)},${PAD.top}V${y(0)}H${x(longest)}`}
        fill="none"
        className="stroke-line"
      />
      <polyline
        points={curve.map(({ length_m, kg }) => `${x(length_m)},${y(kg)}`).join(" ")}
        fill="none"
        className="stroke-ink"
        strokeWidth={1.6}
      />
      {readings.map(({ length_m, kg }) => (
        <circle
          key={`${length_m} ${kg}`}
          cx={x(length_m)}
          cy={y(kg)}
          r={3}
          className="fill-sheet stroke-ink"
        />
      ))}
      <line
        x1={x(longest)}
        y1={PAD.top}
        x2={x(longest)}
        y2={y(0)}
        className="stroke-over"
        strokeDasharray="3 3"
      />
      <g className="fill-faint font-head text-[12px]">
        <text x={PAD.left - 5} y={PAD.top + 6} textAnchor="end">
          {most.toFixed(0)} kg
        </text>
        <text x={x(rest_m)} y={height - 6}>
          {Math.round(100 * rest_m)} cm
        </text>
        <text x={x(longest)} y={height - 6} textAnchor="end">
          {Math.round(100 * longest)}
        </text>
      </g>
    </svg>
  );
}
