/** Who is picked, and which of their ladders: one for all places, on this tab. */
import { useSyncExternalStore } from "react";

export interface Picked {
  athlete: string;
  ladder: string;
}

const KEY = "invelo.picked";
const NOBODY: Picked = { athlete: "", ladder: "" };
const listeners = new Set<() => void>();
let now: Picked | null = null;

function kept(): Picked {
  const found = sessionStorage.getItem(KEY);
  return found ? (JSON.parse(found) as Picked) : NOBODY;
}

export const picked = {
  get: (): Picked => {
    now ??= kept();
    return now;
  },
  set: (next: Picked) => {
    if (next.athlete === picked.get().athlete && next.ladder === picked.get().ladder) return;
    now = next;
    sessionStorage.setItem(KEY, JSON.stringify(next));
    for (const listener of listeners) listener();
  },
  clear: () => picked.set(NOBODY),
};

function subscribe(listener: () => void) {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export const usePicked = () => useSyncExternalStore(subscribe, picked.get);
