import type { Schema } from "../../api/client";
import { day } from "../../parts/figures";

/** "Last time, 24 Nov 2026: 10 at 8.5, 9 at 9". */
export function lastTime({ local_date, sets }: Schema["LastTime"]): string {
  const done = sets.map((set) => `${set.amount} at ${set.effort}`).join(", ");
  return `Last time, ${day(local_date)}: ${done}`;
}
