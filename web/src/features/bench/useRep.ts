/** A rep followed at its tempo: where along it the figure is, and a switch to play it. */
import { useEffect, useState } from "react";

/** Seconds of lower, hold, press, hold to how far down a moment of the rep is, 0 to 1. */
export function depthAt(phases: number[], second: number): number {
  const [lower = 1, bottom = 0, press = 1] = phases;
  if (second < lower) return second / lower;
  if (second < lower + bottom) return 1;
  if (second < lower + bottom + press) return 1 - (second - lower - bottom) / press;
  return 0;
}

/** @param rises whether the body is up at the rep's other end, as in a pull-up. */
export function useRep(tempo: string, rises: boolean) {
  const [at, setAt] = useState(0);
  const [playing, setPlaying] = useState(false);
  useEffect(() => {
    if (!playing) return;
    const phases = tempo.split("-").map(Number);
    const whole = Math.max(
      0.5,
      phases.reduce((sum, phase) => sum + phase, 0),
    );
    const begun = performance.now();
    let frame = requestAnimationFrame(function step(now) {
      const depth = depthAt(phases, ((now - begun) / 1000) % whole);
      setAt(rises ? 1 - depth : depth);
      frame = requestAnimationFrame(step);
    });
    return () => cancelAnimationFrame(frame);
  }, [playing, tempo, rises]);
  return { at, setAt, playing, setPlaying };
}
