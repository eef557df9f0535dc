import { useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Link } from "react-router";
import { api } from "../../common/api/client";
import { Button } from "../../common/ui/Button";
import { Field } from "../../common/ui/Field";
import { Wrong } from "../../common/ui/Wrong";
import { Entrance } from "./Entrance";

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
    <Entrance>
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
      <p className="px-6 pb-3">
        <Link to="/forgotten" className="underline">
          Password forgotten?
        </Link>
      </p>
    </Entrance>
  );
}
