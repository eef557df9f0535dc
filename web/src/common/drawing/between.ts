/** A posture between two computed ones, so that a rep can be followed without a step. */
import type { Schema } from "../api/client";

type Figure = Schema["FigureOut"];

function mix(a: Schema["PointOut"], b: Schema["PointOut"], share: number): Schema["PointOut"] {
  return { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share };
}

/** The figure at a depth, 0 at the rep's start and 1 at the last of the figures. */
export function between(figures: Figure[], depth: number): Figure | undefined {
  const place = depth * (figures.length - 1);
  const before = figures[Math.floor(place)];
  const after = figures[Math.ceil(place)];
  const share = place - Math.floor(place);
  if (!before || !after || share === 0) return before;
  return {
    ...before,
    depth: before.depth + (after.depth - before.depth) * share,
    joints: Object.fromEntries(
      Object.entries(before.joints).map(([name, at]) => [
        name,
        mix(at, after.joints[name] ?? at, share),
      ]),
    ),
    centre_of_mass: mix(before.centre_of_mass, after.centre_of_mass, share),
    forces: before.forces.map((force, i) => {
      const next = after.forces[i] ?? force;
      return {
        ...force,
        kg: force.kg + (next.kg - force.kg) * share,
        at: mix(force.at, next.at, share),
        vector: mix(force.vector, next.vector, share),
      };
    }),
  };
}
