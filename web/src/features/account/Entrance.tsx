/** The sheet before anybody is signed in. */
import { type ReactNode, useEffect, useState } from "react";

export function Entrance({ children }: { children: ReactNode }) {
  return (
    <main className="flex min-h-full items-center justify-center p-4">
      <div className="w-full max-w-md border border-ink bg-sheet">
        <div className="border-b border-ink px-6 py-4">
          <h1 className="text-2xl tracking-[0.18em]">INVELO</h1>
          <p className="text-faint">Bodyweight progression ladders, drawn to scale</p>
        </div>
        {children}
        <p className="border-t border-hair px-6 py-3 text-sm text-faint">
          Invelo is a planning aid, not medical advice. Local rules and licensed practitioners come
          first.
        </p>
      </div>
    </main>
  );
}

/** The token behind the '#', which no browser sends along; out of the history once it is read. */
export function useToken(): string {
  const [token] = useState(() => location.hash.slice(1));
  useEffect(() => history.replaceState(null, "", location.pathname), []);
  return token;
}
