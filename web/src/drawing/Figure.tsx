/**
 * A computed posture: segments as ink lines, joints as open circles, the centre of mass, the
 * forces in proportion, and the heights as dimension lines. A second figure is drawn fainter.
 */
import type { Schema } from "../api/client";
import { centimetres, kg } from "../parts/figures";
import { Arrow, Dimension, Ground, MassCentre } from "./marks";
import { fit, type Point, type Projection, tail } from "./projection";

const G = 9.80665;
const ORIGIN = { x: 0, y: 0 };
const HEAD_RADIUS = 0.36;

interface Props {
  figures: Schema["Figure"][];
  width: number;
  height: number;
  label: string;
  /** Small figures leave the lettering to the text beside them. */
  small?: boolean;
  most?: number;
}

export function Figure({ figures, width, height, label, small = false, most }: Props) {
  const first = figures[0];
  if (!first) return null;
  const pad = small
    ? { left: 8, right: 6, top: 3, bottom: 3 }
    : { left: 46, right: 46, top: 14, bottom: 30 };
  const project = fit(figures, { width, height, pad, ...(most ? { most } : {}) });
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} role="img">
      <title>{label}</title>
      <Surfaces figure={first} project={project} width={width} small={small} />
      {figures.map((figure, index) => (
        <Body
          key={figure.phase}
          figure={figure}
          project={project}
          faint={index > 0}
          small={small}
        />
      ))}
      <Forces figure={first} project={project} small={small} />
      <MassCentre at={project(first.centre_of_mass)} radius={small ? 2.5 : 6} />
    </svg>
  );
}

interface Part {
  figure: Schema["Figure"];
  project: Projection;
  small: boolean;
}

function Body({ figure, project, faint, small }: Part & { faint: boolean }) {
  const at = (joint: string) => project(figure.joints[joint] ?? ORIGIN);
  const [neckX, neckY] = at("shoulder");
  const [crownX, crownY] = at("crown");
  const length = Math.hypot(crownX - neckX, crownY - neckY);
  const radius = length * HEAD_RADIUS;
  const along = 1 - radius / length;
  return (
    <g
      className={faint ? "stroke-line" : "stroke-ink"}
      strokeWidth={small ? 1.2 : 2}
      strokeDasharray={faint ? "5 4" : undefined}
      strokeLinecap="round"
      fill="none"
    >
      {figure.segments.map(({ near, far }) => {
        const [x1, y1] = at(near);
        const [x2, y2] = far === "crown" ? chin(at) : at(far);
        return <line key={near + far} x1={x1} y1={y1} x2={x2} y2={y2} />;
      })}
      <circle
        cx={neckX + (crownX - neckX) * along}
        cy={neckY + (crownY - neckY) * along}
        r={radius}
        className="fill-sheet"
      />
      {!small &&
        !faint &&
        ["ankle", "knee", "hip", "shoulder", "elbow", "wrist"].map((joint) => {
          const [x, y] = at(joint);
          return (
            <circle key={joint} cx={x} cy={y} r={3.2} className="fill-sheet" strokeWidth={1.4} />
          );
        })}
    </g>
  );
}

/** Where the neck meets the head. */
function chin(at: (joint: string) => Point): Point {
  const [neckX, neckY] = at("shoulder");
  const [crownX, crownY] = at("crown");
  const share = 1 - 2 * HEAD_RADIUS;
  return [neckX + (crownX - neckX) * share, neckY + (crownY - neckY) * share];
}

function Surfaces({ figure, project, width, small }: Part & { width: number }) {
  const ground = project(ORIGIN)[1];
  const raised: { joint: string; height: number; reach: Point }[] = [
    { joint: "wrist", height: figure.hand_surface, reach: [0.12, 0.26] },
    { joint: "ball", height: figure.foot_surface, reach: [0.18, 0.14] },
  ];
  return (
    <g className="stroke-ink" fill="none">
      <Ground y={ground} from={4} to={width - 4} small={small} />
      {raised
        .filter(({ height }) => height > 0)
        .map(({ joint, height, reach }) => {
          const { x } = figure.joints[joint] ?? ORIGIN;
          const [left, top] = project({ x: x - reach[0], y: height });
          const [right] = project({ x: x + reach[1], y: height });
          const outside =
            joint === "wrist" ? Math.min(right + 12, width - 10) : Math.max(left - 12, 10);
          return (
            <g key={joint}>
              <rect
                x={left}
                y={top}
                width={right - left}
                height={ground - top}
                className="fill-wash"
                strokeWidth={small ? 0.8 : 1.2}
              />
              <Dimension
                from={[outside, ground]}
                to={[outside, top]}
                text={small ? "" : centimetres(height)}
              />
            </g>
          );
        })}
    </g>
  );
}

function Forces({ figure, project, small }: Part) {
  return (
    <g className="stroke-ink">
      {figure.forces.map((force) => {
        const from = project(tail(force));
        return (
          <g key={force.name} opacity={force.name === "hands" ? 1 : 0.55}>
            <Arrow from={from} to={project(force.at)} small={small} />
            {!small && (
              <text
                x={from[0]}
                y={from[1] + 15}
                textAnchor="middle"
                className="cleared fill-ink font-head text-[13px]"
              >
                {force.name} {kg(force.vector.y / G)}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}
