/**
 * Time: one clock that runs on while the page is hidden, and what it says of a rep.
 *
 * Everything is told from when it began, never by adding up ticks, so that nothing drifts.
 */
import type { Phase } from "./types";

/** Milliseconds that only go forward, on the scale of `Date.now()`. */
export function now(): number {
  return performance.timeOrigin + performance.now();
}

/**
 * A moment of `now()` as this device's own clock tells it, which may have been set meanwhile.
 *
 * @param moment ms of `now()`.
 * @param wall the device's own clock, ms since 1970, at the moment `runs` of `now()`.
 */
export function deviceStamp(moment: number, wall = Date.now(), runs = now()): string {
  return new Date(wall - (runs - moment)).toISOString();
}

export interface Beat {
  /** Reps that are whole by now. */
  reps: number;
  phase: Phase;
  /** Which of the phases. */
  index: number;
  /** Seconds left of the phase. */
  left: number;
  /** How far the rep has gone, 0 to 1. */
  depth: number;
}

export function repTime(phases: Phase[]): number {
  return phases.reduce((sum, { seconds }) => sum + seconds, 0);
}

/** Where a rep at its tempo is after so many seconds; null where there is no tempo. */
export function beat(phases: Phase[], elapsed: number): Beat | null {
  const whole = repTime(phases);
  const first = phases[0];
  if (!first || whole <= 0) return null;
  const reps = Math.floor(Math.max(0, elapsed) / whole + 1e-9);
  let rest = Math.max(0, elapsed) - reps * whole;
  for (const [index, phase] of phases.entries()) {
    if (rest < phase.seconds - 1e-9) {
      const share = phase.seconds > 0 ? rest / phase.seconds : 1;
      const depth = phase.start + (phase.end - phase.start) * share;
      return { reps, phase, index, left: phase.seconds - rest, depth };
    }
    rest -= phase.seconds;
  }
  return { reps, phase: first, index: 0, left: first.seconds, depth: first.start };
}

/** When each phase of the next reps begins, seconds from the first; as many as fit. */
export function phaseStarts(phases: Phase[], seconds: number): { at: number; phase: Phase }[] {
  const whole = repTime(phases);
  const found: { at: number; phase: Phase }[] = [];
  if (whole <= 0) return found;
  for (let rep = 0; rep * whole < seconds; rep++) {
    let at = rep * whole;
    for (const phase of phases) {
      found.push({ at, phase });
      at += phase.seconds;
    }
  }
  return found;
}

/** How far this device's clock stands behind the server's, ms, told at half the way there and back. */
export function clockOffset(server: string, asked: number, answered: number): number {
  return Date.parse(server) - (asked + answered) / 2;
}

/** Past this the device's clock is not believed (the server thinks so too). */
export const CLOCK_BELIEVED_MS = 120_000;

/** "1 day ahead", "5 minutes behind". */
export function offInWords(offset: number): string {
  const minutes = Math.round(Math.abs(offset) / 60_000);
  const way = offset > 0 ? "behind" : "ahead";
  if (minutes >= 1440) {
    const days = Math.round(minutes / 1440);
    return `${days} ${days === 1 ? "day" : "days"} ${way}`;
  }
  if (minutes >= 120) return `${Math.round(minutes / 60)} hours ${way}`;
  return `${minutes} minutes ${way}`;
}
