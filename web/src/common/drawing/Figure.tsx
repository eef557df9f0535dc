/**
 * A computed posture: segments as ink lines, joints as open circles, the centre of mass, the
 * forces in proportion, and the heights as dimension lines. A second figure is drawn fainter.
 */
import type { Ref } from "react";
import type { Schema } from "../api/client";
import { centimetres, kg } from "../units/figures";
import { Arrow, Dimension, Ground, MassCentre } from "./marks";
import { edges, ends, fit, HEAD_RADIUS, type Point, type Projection } from "./projection";

const ORIGIN = { x: 0, y: 0 };
const BAR_RADIUS = 0.02;

interface Props {
  figures: Schema["FigureOut"][];
  width: number;
  height: number;
  label: string;
  /** Small figures leave the lettering to the text beside them. */
  small?: boolean;
  most?: number;
  ref?: Ref<SVGSVGElement>;
}

export function Figure({ figures, width, height, label, small = false, most, ref }: Props) {
  const first = figures[0];
  if (!first) return null;
  const pad = small
    ? { left: 8, right: 6, top: 3, bottom: 3 }
    : { left: 60, right: 60, top: 22, bottom: 30 };
  const project = fit(figures, { width, height, pad, ...(most ? { most } : {}) });
  return (
    <svg
      ref={ref}
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      className={small ? undefined : "inline h-auto max-w-full"}
    >
      <title>{label}</title>
      <Surfaces figure={first} project={project} width={width} small={small} />
      {figures.map((figure, index) => (
        <Body
          key={index === 0 ? "ink" : `faint ${figure.depth}`}
          figure={figure}
          project={project}
          faint={index > 0}
          small={small}
        />
      ))}
      <Forces figure={first} project={project} small={small} />
      {!first.from_above && (
        <MassCentre at={project(first.centre_of_mass)} radius={small ? 2.5 : 6} />
      )}
    </svg>
  );
}

interface Part {
  figure: Schema["FigureOut"];
  project: Projection;
  small: boolean;
}

const LINKS = ["ankle", "knee", "hip", "shoulder", "elbow", "wrist", "other_knee", "other_ankle"];

function Body({ figure, project, faint, small }: Part & { faint: boolean }) {
  const at = (joint: string) => project(figure.joints[joint] ?? ORIGIN);
  const headed = figure.joints.crown !== undefined;
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
      {headed && <Head at={at} />}
      {!small &&
        !faint &&
        LINKS.filter((joint) => figure.joints[joint]).map((joint) => {
          const [x, y] = at(joint);
          return (
            <circle key={joint} cx={x} cy={y} r={3.2} className="fill-sheet" strokeWidth={1.4} />
          );
        })}
    </g>
  );
}

type Placed = (joint: string) => Point;

function Head({ at }: { at: Placed }) {
  const [neckX, neckY] = at("shoulder");
  const [crownX, crownY] = at("crown");
  const length = Math.hypot(crownX - neckX, crownY - neckY);
  const along = 1 - HEAD_RADIUS;
  return (
    <circle
      cx={neckX + (crownX - neckX) * along}
      cy={neckY + (crownY - neckY) * along}
      r={length * HEAD_RADIUS}
      className="fill-sheet"
    />
  );
}

/** Where the neck meets the head. */
function chin(at: Placed): Point {
  const [neckX, neckY] = at("shoulder");
  const [crownX, crownY] = at("crown");
  const share = 1 - 2 * HEAD_RADIUS;
  return [neckX + (crownX - neckX) * share, neckY + (crownY - neckY) * share];
}

function Surfaces({ figure, project, width, small }: Part & { width: number }) {
  if (figure.from_above) return null;
  const ground = project(ORIGIN)[1];
  return (
    <g className="stroke-ink" fill="none">
      <Ground y={ground} from={4} to={width - 4} small={small} />
      {figure.surfaces.map((surface) => {
        const part = { surface, figure, project, small };
        if (surface.kind === "wall") return <Wall key="wall" {...part} />;
        if (surface.kind === "bar") return <Bar key="bar" {...part} />;
        return <Block key={surface.under} {...part} />;
      })}
    </g>
  );
}

const HANDS = ["wrist", "elbow"];

interface SurfacePart extends Part {
  surface: Schema["SurfaceOut"];
}

function Block({ surface, figure, project, small }: SurfacePart) {
  const [[left, top], [right]] = edges(figure, surface).map(project) as [Point, Point];
  const ground = project(ORIGIN)[1];
  // The hands' block is told on the head's side, the feet's on theirs.
  const ahead = HANDS.includes(surface.under);
  const outside = ahead ? right + 12 : left - 12;
  return (
    <g>
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
        text={small ? "" : centimetres(surface.height)}
        side={ahead ? "right" : "left"}
      />
    </g>
  );
}

/** A bar seen from its end, on a stem to the floor that says how high it is. */
function Bar({ surface, figure, project, small }: SurfacePart) {
  const { x } = figure.joints[surface.under] ?? ORIGIN;
  const [across, y] = project({ x, y: surface.height });
  const side = across + (small ? 12 : 26);
  return (
    <g>
      <circle
        cx={across}
        cy={y}
        r={Math.max(small ? 2 : 5, BAR_RADIUS * project.scale)}
        className="fill-ink"
      />
      {!small && (
        <Dimension
          from={[side, project(ORIGIN)[1]]}
          to={[side, y]}
          text={centimetres(surface.height)}
        />
      )}
    </g>
  );
}

function Wall({ figure, project, small }: SurfacePart) {
  const { shoulder = ORIGIN, hip = ORIGIN, knee = ORIGIN } = figure.joints;
  const behind = knee.x > hip.x ? -1 : 1;
  const [x, top] = project({ x: shoulder.x + behind * 0.1, y: shoulder.y + 0.35 });
  const ground = project(ORIGIN)[1];
  const depth = (small ? 2.5 : 6) * behind;
  const step = small ? 5 : 9;
  const ticks = Array.from({ length: Math.floor((ground - top) / step) }, (_, i) => top + i * step);
  return (
    <g>
      <line x1={x} y1={top} x2={x} y2={ground} strokeWidth={small ? 0.8 : 1.2} />
      {ticks.map((y) => (
        <line
          key={y}
          x1={x}
          y1={y}
          x2={x + depth}
          y2={y + Math.abs(depth)}
          className="stroke-line"
          strokeWidth={0.8}
        />
      ))}
    </g>
  );
}

function Forces({ figure, project, small }: Part) {
  const ground = figure.from_above ? -Infinity : project(ORIGIN)[1];
  return (
    <g className="stroke-ink">
      {figure.forces.map((force) => {
        const away = force.pulls;
        const [from, to] = ends(force);
        const [free, low] = [project(away ? to : from), away ? to.y <= from.y : from.y <= to.y];
        return (
          <g key={force.name} opacity={force.name === "feet" ? 0.55 : 1}>
            <Arrow from={project(from)} to={project(to)} small={small} />
            {!small && (
              <text
                x={free[0]}
                y={low ? Math.max(free[1] + 15, away ? 0 : ground + 18) : free[1] - 6}
                textAnchor="middle"
                className="cleared fill-ink font-head text-[13px]"
              >
                {force.name} {kg(force.kg)}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}
