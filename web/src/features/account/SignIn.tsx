import { useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { api } from "../../common/api/client";
import { Button } from "../../common/ui/Button";
import { Field } from "../../common/ui/Field";
import { Wrong } from "../../common/ui/Wrong";

export function SignIn() {
  const client = useQueryClient();
  const [error, setError] = useState<Error | null>(null);
  const [busy, setBusy] = useState(false);

  async function send(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    setBusy(true);
    try {
      await api.POST("/api/sign-in", {
        body: { email: String(typed.get("email")), password: String(typed.get("password")) },
      });
      await client.invalidateQueries();
    } catch (cause) {
      setError(cause as Error);
    }
    setBusy(false);
  }

  return (
    <main className="flex min-h-full items-center justify-center p-4">
      <div className="w-full max-w-md border border-ink bg-sheet">
        <div className="border-b border-ink px-6 py-4">
          <h1 className="text-2xl tracking-[0.18em]">INVELO</h1>
          <p className="text-faint">Bodyweight progression ladders, drawn to scale</p>
        </div>
        <form onSubmit={send} className="px-6 pt-2 pb-6">
          <Field label="E-mail" name="email" type="email" autoComplete="username" required />
          <Field
            label="Password"
            name="password"
            type="password"
            autoComplete="current-password"
            required
          />
          <Wrong error={error} />
          <Button main type="submit" busy={busy} className="mt-3 w-full">
            Sign in
          </Button>
        </form>
        <p className="border-t border-hair px-6 py-3 text-sm text-faint">
          Invelo is a planning aid, not medical advice. Local rules and licensed practitioners come
          first.
        </p>
      </div>
    </main>
  );
}
