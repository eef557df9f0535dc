/** The room's clock: which turn it is in and since when. Told from when it began, so that nothing
 * drifts while the page is hidden. */
import type { Schema } from "../../../common/api/client";

export type ClassSheet = Schema["ClassClock"];
export type Turn = ClassSheet["turns"][number];

export interface Room {
  /** Which of the turns. */
  at: number;
  /** When it began, ms of `now()`; null while the clock stands. */
  since: number | null;
  /** Ms of the turn before the clock stood. */
  spent: number;
}

export const AT_THE_START: Room = { at: 0, since: null, spent: 0 };

/** Seconds of the turn so far. */
export const gone = (room: Room, now: number): number =>
  (room.spent + (room.since === null ? 0 : Math.max(0, now - room.since))) / 1000;

export const isOver = (room: Room, turns: Turn[]): boolean => room.at >= turns.length;

export function startOrPause(room: Room, now: number): Room {
  if (room.since === null) return { ...room, since: now };
  return { ...room, since: null, spent: gone(room, now) * 1000 };
}

/** Go to a turn's beginning; the clock goes on as it did. */
export function goTo(room: Room, at: number, now: number, turns: Turn[]): Room {
  const to = Math.max(0, Math.min(turns.length, at));
  return { at: to, since: room.since === null || to === turns.length ? null : now, spent: 0 };
}

/** Let time pass: each turn ends when it is due, however late the page wakes. */
export function tick(room: Room, now: number, turns: Turn[]): Room {
  let next = room;
  for (;;) {
    const turn = turns[next.at];
    if (!turn || next.since === null || gone(next, now) < turn.seconds) return next;
    const due = next.since - next.spent + turn.seconds * 1000;
    next = goTo(next, next.at + 1, due, turns);
  }
}
