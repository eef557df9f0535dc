/** The browser's own outbox: its network, its locks, its other tabs; and the hook that shows it. */
import { useSyncExternalStore } from "react";
import { device } from "./keep";
import { makeOutbox, type Sending } from "./outbox";

const CHANNEL = "invelo-outbox";
const others = "BroadcastChannel" in globalThis ? new BroadcastChannel(CHANNEL) : null;

export const outbox = makeOutbox({
  device,
  fetch: (path, init) => fetch(path, init),
  alone: async (work) => {
    await navigator.locks.request(CHANNEL, work);
  },
  setTimeout: (run, ms) => window.setTimeout(run, ms),
  clearTimeout: (timer) => window.clearTimeout(timer),
  wallClock: () => new Date().toISOString(),
  random: Math.random,
  announce: (athlete) => others?.postMessage(athlete),
});

/** The state of sending, to be seen on every sheet of the phone. */
export function useSending(): Sending {
  return useSyncExternalStore(outbox.subscribe, outbox.state);
}

/** Try again whenever there is reason to hope. */
export function watchLine(athlete: string): () => void {
  const again = () => void outbox.send(athlete);
  const seen = () => document.visibilityState === "visible" && again();
  const other = () => void outbox.look(athlete);
  addEventListener("online", again);
  document.addEventListener("visibilitychange", seen);
  others?.addEventListener("message", other);
  again();
  return () => {
    removeEventListener("online", again);
    document.removeEventListener("visibilitychange", seen);
    others?.removeEventListener("message", other);
    outbox.rest();
  };
}
