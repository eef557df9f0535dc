/** One act on the service at a time: whether it runs, what it changes, and what went wrong with
 * the last one. */
import { useState } from "react";
import { type Root, useRefresh } from "../api/queries";

export function useAct(...changes: Root[]) {
  const refresh = useRefresh(...changes);
  const [error, setError] = useState<Error | null>(null);
  const [busy, setBusy] = useState(false);

  /** Do it, read anew what it changes, and go on; a refusal becomes `error`. */
  async function act<T>(doing: () => Promise<T>, then?: (done: T) => void) {
    setBusy(true);
    try {
      const done = await doing();
      setError(null);
      await refresh();
      then?.(done);
    } catch (cause) {
      setError(cause as Error);
    }
    setBusy(false);
  }
  return { act, busy, error };
}

/** One id for one thing, however often it has to be sent, and a way to begin the next thing. */
export function useSendId(): [id: string, next: () => void] {
  const [id, setId] = useState(() => crypto.randomUUID());
  return [id, () => setId(crypto.randomUUID())];
}
