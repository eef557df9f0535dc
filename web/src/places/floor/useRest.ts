/** The rest clock: told by when it ends, so that a sleeping screen loses no time. */
import { useEffect, useState } from "react";

export interface RestClock {
  /** Seconds left; negative once over. Null while no rest is asked for. */
  left: number | null;
  running: boolean;
  start: (seconds: number) => void;
  toggle: () => void;
  end: () => void;
}

type State =
  | { kind: "none" }
  | { kind: "running"; endsAt: number }
  | { kind: "paused"; left: number };

const TICK_MS = 250;

export function useRest(): RestClock {
  const [state, setState] = useState<State>({ kind: "none" });
  const [now, setNow] = useState(Date.now);
  useEffect(() => {
    if (state.kind !== "running") return;
    const timer = setInterval(() => setNow(Date.now()), TICK_MS);
    return () => clearInterval(timer);
  }, [state.kind]);

  const start = (seconds: number) => {
    setNow(Date.now());
    setState({ kind: "running", endsAt: Date.now() + seconds * 1000 });
  };
  const left =
    state.kind === "running"
      ? (state.endsAt - now) / 1000
      : state.kind === "paused"
        ? state.left
        : null;
  const toggle = () => {
    if (state.kind === "running")
      setState({ kind: "paused", left: (state.endsAt - Date.now()) / 1000 });
    if (state.kind === "paused") start(state.left);
  };
  return {
    left,
    running: state.kind === "running",
    start,
    toggle,
    end: () => setState({ kind: "none" }),
  };
}
