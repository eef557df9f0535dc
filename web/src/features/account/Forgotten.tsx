/** A password that is forgotten: a letter with a link is asked for. */
import { type FormEvent, useState } from "react";
import { Link } from "react-router";
import { answer, api } from "../../common/api/client";
import { useAct } from "../../common/hooks/useAct";
import { Button } from "../../common/ui/Button";
import { Field } from "../../common/ui/Field";
import { Wrong } from "../../common/ui/Wrong";
import { Entrance } from "./Entrance";

export default function Forgotten() {
  const { act, busy, error } = useAct();
  const [hours, setHours] = useState(0);
  const ask = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const email = String(new FormData(event.currentTarget).get("email"));
    act(
      () => answer(api.POST("/api/password-resets", { body: { email } })),
      (asked) => setHours(asked.hours),
    );
  };
  return (
    <Entrance>
      <form onSubmit={ask} className="px-6 pt-2 pb-6">
        <Field label="E-mail" name="email" type="email" autoComplete="username" required />
        <Wrong error={error} />
        {hours > 0 && (
          <p role="status" className="pt-2 text-ready">
            ✓ If you sign in with this address, a letter is on its way. Its link works for {hours}{" "}
            hours.
          </p>
        )}
        <Button main type="submit" busy={busy} className="mt-3 w-full">
          Send me a link
        </Button>
        <p className="pt-3">
          <Link to="/" className="underline">
            Back to sign in
          </Link>
        </p>
      </form>
    </Entrance>
  );
}
