/** From metres, y up, to the page's pixels, y down. */
import type { Schema } from "../api/client";

export type Point = [x: number, y: number];

/** Length on the page of a force: metres for each newton. */
export const FORCE_LENGTH = 0.0007;

export interface Projection {
  (point: Schema["Point"]): Point;
  scale: number;
}

interface Frame {
  width: number;
  height: number;
  pad: { left: number; right: number; top: number; bottom: number };
  /** Pixels for each metre, at most. */
  most?: number;
}

function extent(figures: Schema["Figure"][]): [Point, Point] {
  const points: Schema["Point"][] = figures.flatMap((figure) => [
    ...Object.values(figure.joints),
    ...figure.forces.map(tail),
    { x: 0, y: 0 },
  ]);
  const xs = points.map(({ x }) => x);
  const ys = points.map(({ y }) => y);
  return [
    [Math.min(...xs), Math.min(...ys)],
    [Math.max(...xs), Math.max(...ys)],
  ];
}

/** Where a force's arrow begins, so that it ends on the body. */
export function tail({ at, vector }: Schema["Force"]): Schema["Point"] {
  return { x: at.x - vector.x * FORCE_LENGTH, y: at.y - vector.y * FORCE_LENGTH };
}

/** Fit figures into a frame, standing on its foot, in the middle. */
export function fit(figures: Schema["Figure"][], { width, height, pad, most }: Frame): Projection {
  const [[left, low], [right, high]] = extent(figures);
  const across = width - pad.left - pad.right;
  const up = height - pad.top - pad.bottom;
  const scale = Math.min(across / (right - left), up / (high - low), most ?? Infinity);
  const middle = pad.left + (across - (right - left) * scale) / 2;
  const project = ({ x, y }: Schema["Point"]): Point => [
    middle + (x - left) * scale,
    height - pad.bottom - (y - low) * scale,
  ];
  return Object.assign(project, { scale });
}
