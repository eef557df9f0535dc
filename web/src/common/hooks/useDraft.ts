/** What is being typed, kept on this device until it is kept for good: a reload loses nothing. */
import { type FormEvent, useState } from "react";

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

/** The same for a form whose fields hold their own values: each begins with `typed(name)`. */
export function useFormDraft(key: string): {
  typed: (name: string, fresh?: string) => string;
  onChange: (event: FormEvent<HTMLFormElement>) => void;
  settle: () => void;
} {
  const [draft, put, settle] = useDraft<Record<string, string>>(key, () => ({}));
  return {
    typed: (name, fresh = "") => draft[name] ?? fresh,
    onChange: (event) => {
      const fields = [...new FormData(event.currentTarget)];
      put(Object.fromEntries(fields.map(([name, value]) => [name, String(value)])));
    },
    settle,
  };
}
