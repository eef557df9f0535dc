/** An invitation, taken up with the account that is signed in or with a new one. */
import { useQuery } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Link, useNavigate } from "react-router";
import { answer, api, deviceMoment, type Schema } from "../../common/api/client";
import { queries } from "../../common/api/queries";
import { useAct } from "../../common/hooks/useAct";
import { Button } from "../../common/ui/Button";
import { Field } from "../../common/ui/Field";
import { Wrong } from "../../common/ui/Wrong";
import { Entrance, useToken } from "./Entrance";

export default function Join() {
  const token = useToken();
  const shown = useQuery({
    queryKey: ["invitation", token],
    queryFn: () => answer(api.POST("/api/invitations/look", { body: { token } })),
    retry: false,
  });
  const me = useQuery(queries.me);
  return (
    <Entrance>
      <div className="px-6 pt-3 pb-6">
        <Wrong error={shown.error} />
        {shown.data && <p className="text-lg">{told(shown.data)}</p>}
        {shown.data && me.data && <Accept token={token} name={me.data.name} />}
        {shown.data && me.error && <Enter token={token} />}
      </div>
    </Entrance>
  );
}

function told({ by, role, athlete }: Schema["ShownInvitation"]): string {
  const whom = athlete || "everybody in the squad";
  return `${by} invites you to ${role === "coach" ? "coach" : "look on at"} ${whom}.`;
}

function Accept({ token, name }: { token: string; name: string }) {
  const navigate = useNavigate();
  const { act, busy, error } = useAct("squad", "me");
  const accept = () =>
    act(
      () => answer(api.POST("/api/invitations/accept", { body: { token } })),
      () => navigate("/squad"),
    );
  return (
    <>
      <Wrong error={error} />
      <Button main busy={busy} onClick={accept} className="mt-3 w-full">
        Come in as {name}
      </Button>
    </>
  );
}

function Enter({ token }: { token: string }) {
  const { act, busy, error } = useAct();
  const [done, setDone] = useState(false);
  const join = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    const of = (name: string) => String(typed.get(name) ?? "");
    const body = {
      token,
      name: of("name"),
      email: of("email"),
      password: of("password"),
      time_zone: deviceMoment().time_zone,
    };
    act(
      () => answer(api.POST("/api/invitations/join", { body })),
      () => setDone(true),
    );
  };
  if (done)
    return (
      <p role="status" className="pt-3">
        ✓ Your account is there.{" "}
        <Link to="/" className="underline">
          Sign in
        </Link>
      </p>
    );
  return (
    <form onSubmit={join}>
      <p className="pt-2 text-faint">
        With an account already? Sign in first, then open the link again. Else make one here.
      </p>
      <Field label="Name" name="name" maxLength={80} autoComplete="name" required />
      <Field label="E-mail" name="email" type="email" autoComplete="username" required />
      <Field
        label="Password"
        name="password"
        type="password"
        autoComplete="new-password"
        minLength={10}
        required
        hint="Ten characters or more."
      />
      <Wrong error={error} />
      <Button main type="submit" busy={busy} className="mt-3 w-full">
        Make the account and come in
      </Button>
    </form>
  );
}
