/** Single-key shortcuts: one place that knows when a key is meant for the sheet. */
import { useEffect, useRef, useSyncExternalStore } from "react";

const KEY = "invelo.keys";
const listeners = new Set<() => void>();

export type Keys = [key: string, act: () => void][];

function subscribe(listener: () => void) {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

const read = () => localStorage.getItem(KEY) !== "off";

/** Whether single keys work, and how to turn them off (WCAG 2.1.4). */
export function useKeysOn(): [boolean, (on: boolean) => void] {
  const on = useSyncExternalStore(subscribe, read);
  const set = (next: boolean) => {
    localStorage.setItem(KEY, next ? "on" : "off");
    for (const listener of listeners) listener();
  };
  return [on, set];
}

const TYPING = "input:not([type=radio]):not([type=checkbox]), textarea, select";
/** Keys that mean something to a control that has the focus. */
const OWN: Record<string, string> = {
  " ": "button, a, [role=radio], input",
  Enter: "button, a",
  ArrowUp: "[role=radio], input[type=radio]",
  ArrowDown: "[role=radio], input[type=radio]",
};

function meantForSheet(event: KeyboardEvent): boolean {
  const target = event.target as Element;
  if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return false;
  if (target.closest(TYPING) || document.querySelector("[role=dialog]")) return false;
  const own = OWN[event.key];
  return !(own && target.closest(own));
}

/** Listen for keys while the component stands. Arrows always work; single letters can be off. */
export function useKeys(keys: Keys) {
  const [on] = useKeysOn();
  const current = useRef(keys);
  current.current = keys;
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const pressed = event.key.length === 1 ? event.key.toLowerCase() : event.key;
      const act = current.current.find(([key]) => key === pressed)?.[1];
      if (!act || !meantForSheet(event) || (!on && event.key.length === 1)) return;
      event.preventDefault();
      act();
    };
    addEventListener("keydown", listen);
    return () => removeEventListener("keydown", listen);
  }, [on]);
}
