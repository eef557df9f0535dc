/** Joint angles from where a joint is put, as a clinician tells them: degrees from the trunk. */
import type { Schema } from "../../api/client";

type Joints = Schema["FigureOut"]["joints"];
type Place = Schema["PointOut"];

/** The joint that is taken hold of, and the angle it sets. */
export const HANDLES: [handle: string, joint: string][] = [
  ["knee", "hip"],
  ["ankle", "knee"],
  ["ball", "ankle"],
  ["other_knee", "other_hip"],
  ["other_ankle", "other_knee"],
  ["other_ball", "other_ankle"],
  ["elbow", "shoulder"],
  ["wrist", "elbow"],
  ["crown", "neck"],
  ["shoulder", "trunk"],
];

/** The joint about which a handle turns. */
export const PARENTS: Record<string, string> = {
  knee: "hip",
  ankle: "knee",
  ball: "ankle",
  other_knee: "hip",
  other_ankle: "other_knee",
  other_ball: "other_ankle",
  elbow: "shoulder",
  wrist: "elbow",
  crown: "shoulder",
  shoulder: "hip",
};

const DEGREES = 180 / Math.PI;
const PAST = 169;

/**
 * The angle a joint has once its handle is put somewhere, in whole degrees from −169 to 190.
 *
 * @param facing 1 where the chest faces up with the head to the right, −1 where it faces down.
 */
export function angleOf(handle: string, to: Place, joints: Joints, facing: 1 | -1): number {
  const moved: Joints = { ...joints, [handle]: to };
  const at = (name: string): Place => moved[name] ?? { x: 0, y: 0 };
  const along = unit(at("hip"), at("shoulder"));
  const front = { x: -facing * along.y, y: facing * along.x };
  const turn = (from: string, far: string) => {
    const v = { x: at(far).x - at(from).x, y: at(far).y - at(from).y };
    return Math.atan2(dot(v, front), -dot(v, along)) * DEGREES;
  };
  const side = handle.startsWith("other_") ? "other_" : "";
  const thigh = () => turn("hip", `${side}knee`);
  const shin = () => turn(`${side}knee`, `${side}ankle`);
  switch (handle.replace("other_", "")) {
    case "knee":
      return whole(thigh());
    case "ankle":
      return whole(thigh() - shin());
    case "ball":
      return whole(shin() + 90 - turn(`${side}ankle`, `${side}ball`));
    case "elbow":
      return whole(turn("shoulder", "elbow"));
    case "wrist":
      return whole(turn("elbow", "wrist") - turn("shoulder", "elbow"));
    case "crown": {
      const v = { x: to.x - at("shoulder").x, y: to.y - at("shoulder").y };
      return whole(Math.atan2(dot(v, front), dot(v, along)) * DEGREES);
    }
    default:
      return Math.round(Math.atan2(along.y, along.x) * DEGREES);
  }
}

const dot = (a: Place, b: Place) => a.x * b.x + a.y * b.y;

function unit(from: Place, to: Place): Place {
  const [x, y] = [to.x - from.x, to.y - from.y];
  const length = Math.hypot(x, y) || 1;
  return { x: x / length, y: y / length };
}

/** Whole degrees of the turn that joints have: an arm goes a little past straight overhead. */
function whole(degrees: number): number {
  const round = Math.round(degrees);
  return ((((round + PAST) % 360) + 360) % 360) - PAST;
}
