/** From metres, y up, to the page's pixels, y down. */
import type { Schema } from "../api/client";

export type Point = [x: number, y: number];

/** Length on the page of a force: metres for each newton. */
export const FORCE_LENGTH = 0.0007;

export interface Projection {
  (point: Schema["PointOut"]): Point;
  scale: number;
}

interface Frame {
  width: number;
  height: number;
  pad: { left: number; right: number; top: number; bottom: number };
  /** Pixels for each metre, at most. */
  most?: number;
}

function extent(figures: Schema["FigureOut"][]): [Point, Point] {
  const points: Schema["PointOut"][] = figures.flatMap((figure) => [
    ...Object.values(figure.joints),
    ...head(figure),
    ...figure.forces.flatMap(ends),
    ...figure.surfaces.flatMap((surface) => edges(figure, surface)),
    ...(figure.from_above ? [] : [{ x: figure.joints.hip?.x ?? 0, y: 0 }]),
  ]);
  const xs = points.map(({ x }) => x);
  const ys = points.map(({ y }) => y);
  return [
    [Math.min(...xs), Math.min(...ys)],
    [Math.max(...xs), Math.max(...ys)],
  ];
}

/** The head is a circle at the crown's end of the neck; it takes this share of their distance. */
export const HEAD_RADIUS = 0.36;

function head({ joints: { shoulder, crown } }: Schema["FigureOut"]): Schema["PointOut"][] {
  if (!shoulder || !crown) return [];
  const [across, up] = [crown.x - shoulder.x, crown.y - shoulder.y];
  const radius = Math.hypot(across, up) * HEAD_RADIUS;
  const [x, y] = [crown.x - across * HEAD_RADIUS, crown.y - up * HEAD_RADIUS];
  return [
    { x: x - radius, y: y - radius },
    { x: x + radius, y: y + radius },
  ];
}

/** How far a block reaches from its joint, m. */
const REACH: Record<string, Point> = { wrist: [0.12, 0.26], elbow: [0.1, 0.4] };
const OTHER_REACH: Point = [0.18, 0.14];

/** The upper edge of a surface, from its left end to its right. */
export function edges(
  { joints }: Schema["FigureOut"],
  { kind, under, height }: Schema["SurfaceOut"],
): [left: Schema["PointOut"], right: Schema["PointOut"]] {
  const x = joints[under]?.x ?? 0;
  const [before, behind] = kind === "block" ? (REACH[under] ?? OTHER_REACH) : [0, 0];
  return [
    { x: x - before, y: height },
    { x: x + behind, y: height },
  ];
}

/** From where to where a force's arrow goes, so that it touches the body. */
export function ends({
  at,
  vector,
  pulls,
}: Schema["ForceOut"]): [from: Schema["PointOut"], to: Schema["PointOut"]] {
  const sign = pulls ? 1 : -1;
  const far = {
    x: at.x + sign * vector.x * FORCE_LENGTH,
    y: at.y + sign * vector.y * FORCE_LENGTH,
  };
  return pulls ? [at, far] : [far, at];
}

/** Fit figures into a frame, standing on its foot, in the middle. */
export function fit(
  figures: Schema["FigureOut"][],
  { width, height, pad, most }: Frame,
): Projection {
  const [[left, low], [right, high]] = extent(figures);
  const across = width - pad.left - pad.right;
  const up = height - pad.top - pad.bottom;
  const scale = Math.min(across / (right - left), up / (high - low), most ?? Infinity);
  const middle = pad.left + (across - (right - left) * scale) / 2;
  const project = ({ x, y }: Schema["PointOut"]): Point => [
    middle + (x - left) * scale,
    height - pad.bottom - (y - low) * scale,
  ];
  return Object.assign(project, { scale });
}
