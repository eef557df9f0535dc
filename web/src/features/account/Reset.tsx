/** A forgotten password, set anew by the link that came for it. */
import { type FormEvent, useState } from "react";
import { Link } from "react-router";
import { answer, api } from "../../common/api/client";
import { useAct } from "../../common/hooks/useAct";
import { Button } from "../../common/ui/Button";
import { Field } from "../../common/ui/Field";
import { Wrong } from "../../common/ui/Wrong";
import { Entrance, useToken } from "./Entrance";

export default function Reset() {
  const token = useToken();
  const [done, setDone] = useState(false);
  const { act, busy, error } = useAct();
  const keep = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const new_password = String(new FormData(event.currentTarget).get("next"));
    act(
      () => answer(api.POST("/api/password-resets/use", { body: { token, new_password } })),
      () => setDone(true),
    );
  };
  return (
    <Entrance>
      {done ? (
        <p role="status" className="px-6 py-4">
          ✓ Your password is set.{" "}
          <Link to="/" className="underline">
            Sign in
          </Link>
        </p>
      ) : (
        <form onSubmit={keep} className="px-6 pt-2 pb-6">
          <Field
            label="New password"
            name="next"
            type="password"
            autoComplete="new-password"
            minLength={10}
            required
            hint="Ten characters or more."
          />
          <Wrong error={error} />
          <Button main type="submit" busy={busy} className="mt-3 w-full">
            Set the password
          </Button>
        </form>
      )}
    </Entrance>
  );
}
