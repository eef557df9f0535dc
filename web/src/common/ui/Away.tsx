/** The plain page for when nothing can be read: what is wrong, and what to do. */
import { type ReactNode, useEffect } from "react";
import { Problem } from "../api/client";
import { Button } from "./Button";
import { RequestName } from "./Wrong";

const RETRY_MS = 5000;

interface Props {
  error: Error;
  retry: () => unknown;
  /** Another way on from here. */
  children?: ReactNode;
}

export function Away({ error, retry, children }: Props) {
  const title = error instanceof Problem ? error.title : "Something went wrong";
  const away = error instanceof Problem && (error.status === 503 || error.status === 0);
  useEffect(() => {
    if (!away) return;
    const timer = setInterval(retry, RETRY_MS);
    return () => clearInterval(timer);
  }, [away, retry]);
  return (
    <main className="m-auto max-w-xl p-8">
      <h1 className="border-b border-ink pb-2 text-2xl">{title}</h1>
      <p className="py-3">{error.message}</p>
      {away && (
        <p className="pb-3 text-faint">
          The sheet asks again by itself every {RETRY_MS / 1000} seconds.
        </p>
      )}
      <RequestName error={error} />
      {children}
      <Button main onClick={() => retry()} className="mt-2">
        Try again now
      </Button>
    </main>
  );
}

/** A place while its script is on the way. */
export function Opening() {
  return (
    <p role="status" className="p-6 text-faint">
      Opening …
    </p>
  );
}
