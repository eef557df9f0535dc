/** What is being typed, kept on this device until it is kept for good: a reload loses nothing. */
import { useState } from "react";

export function useDraft<T>(
  key: string,
  kept: () => T,
): [typed: T, put: (next: T) => void, settle: () => void, pending: boolean] {
  const name = `invelo.draft.${key}`;
  const [draft, setDraft] = useState<T | null>(() => {
    const found = sessionStorage.getItem(name);
    return found ? (JSON.parse(found) as T) : null;
  });
  const put = (next: T) => {
    setDraft(next);
    sessionStorage.setItem(name, JSON.stringify(next));
  };
  const settle = () => {
    setDraft(null);
    sessionStorage.removeItem(name);
  };
  return [draft ?? kept(), put, settle, draft !== null];
}
