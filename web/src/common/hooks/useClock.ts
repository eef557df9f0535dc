/** A stopwatch for holds: told by when it began, so that a sleeping screen loses no time. */
import { useEffect, useState } from "react";

export interface Clock {
  seconds: number;
  running: boolean;
  toggle: () => void;
  reset: () => void;
}

const TICK_MS = 100;

/** `onStop` is told the whole seconds held. */
export function useClock(onStop: (seconds: number) => void): Clock {
  const [began, setBegan] = useState<number | null>(null);
  const [seconds, setSeconds] = useState(0);
  useEffect(() => {
    if (began === null) return;
    const timer = setInterval(() => setSeconds((Date.now() - began) / 1000), TICK_MS);
    return () => clearInterval(timer);
  }, [began]);

  function toggle() {
    if (began === null) {
      setSeconds(0);
      setBegan(Date.now());
      return;
    }
    const held = (Date.now() - began) / 1000;
    setBegan(null);
    setSeconds(held);
    onStop(Math.floor(held));
  }
  const reset = () => {
    setBegan(null);
    setSeconds(0);
  };
  return { seconds, running: began !== null, toggle, reset };
}
