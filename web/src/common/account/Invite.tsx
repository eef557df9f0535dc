/** A second coach invited to one athlete or the whole squad: a link, shown once. */
import { type FormEvent, useState } from "react";
import { answer, api } from "../api/client";
import { useAct } from "../hooks/useAct";
import { Button } from "../ui/Button";
import { Choice, Field } from "../ui/Field";
import { Wrong } from "../ui/Wrong";
import { Once } from "./Once";

/** `athlete` is null for everybody you own. */
export function Invite({ athlete }: { athlete: { id: string; name: string } | null }) {
  const { act, busy, error } = useAct("me", "athlete");
  const [made, setMade] = useState({ address: "", for: "" });
  const send = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    const meant_for = String(typed.get("meant_for"));
    const role = typed.get("role") === "reader" ? "reader" : "coach";
    act(
      () =>
        answer(
          api.POST("/api/invitations", {
            body: { athlete_id: athlete?.id ?? null, role, meant_for },
          }),
        ),
      ({ token }) => setMade({ address: `${location.origin}/join#${token}`, for: meant_for }),
    );
  };
  return (
    <form onSubmit={send}>
      <div className="grid grid-cols-2 gap-x-4">
        <Field label="Whom you invite" name="meant_for" maxLength={120} required />
        <Choice
          label="To"
          name="role"
          options={[
            ["coach", "coach"],
            ["reader", "look on"],
          ]}
        />
      </div>
      <p className="text-sm text-faint">
        {athlete ? athlete.name : "Everybody whose record you own"}. Whoever opens the link within a
        week comes in, once.
      </p>
      <Wrong error={error} />
      <Button type="submit" busy={busy} className="mt-2">
        Make an invitation
      </Button>
      {made.address && <Once label={`Send it to ${made.for}`} address={made.address} />}
    </form>
  );
}
