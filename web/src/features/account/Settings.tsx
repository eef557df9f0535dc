/** A coach's own settings: who you are, how you sign in, where you are signed in, whom you invited. */
import { useQuery } from "@tanstack/react-query";
import { type FormEvent, type ReactNode, useState } from "react";
import { Invite } from "../../common/account/Invite";
import { answer, api, type Schema } from "../../common/api/client";
import { queries } from "../../common/api/queries";
import { useAct } from "../../common/hooks/useAct";
import { Button } from "../../common/ui/Button";
import { Field } from "../../common/ui/Field";
import { TitleBlock, today } from "../../common/ui/TitleBlock";
import { Wrong } from "../../common/ui/Wrong";
import { day, dayAndTime } from "../../common/units/figures";

export default function Settings() {
  const me = useQuery(queries.me).data;
  if (!me) return <main className="flex-1 p-6 text-faint">Fetching your settings …</main>;
  return (
    <>
      <main className="min-h-0 flex-1 overflow-auto p-4">
        <h1 className="text-2xl">Your settings</h1>
        <div className="grid gap-x-10 lg:grid-cols-2">
          <div className="max-w-lg">
            <Person me={me} />
            <Address me={me} />
            <PasswordPart email={me.email} />
            <Everywhere />
          </div>
          <div className="max-w-xl">
            <Sent />
            <Archived />
            <Events />
          </div>
        </div>
      </main>
      <TitleBlock sheet="Settings" athlete="none" date={today()} />
    </>
  );
}

interface PartProps {
  title: string;
  children: ReactNode;
}

function Part({ title, children }: PartProps) {
  return (
    <section aria-label={title} className="pt-5">
      <h2 className="lettering border-b border-ink">{title}</h2>
      {children}
    </section>
  );
}

const typedIn = (event: FormEvent<HTMLFormElement>) => {
  event.preventDefault();
  const typed = new FormData(event.currentTarget);
  return (name: string) => String(typed.get(name) ?? "");
};

function Kept({ said }: { said: string }) {
  return (
    <p role="status" className="pt-1 text-ready">
      {said && `✓ ${said}`}
    </p>
  );
}

function Person({ me }: { me: Schema["SignedIn"] }) {
  const { act, busy, error } = useAct("me");
  const [said, say] = useState("");
  const keep = (event: FormEvent<HTMLFormElement>) => {
    const typed = typedIn(event);
    act(
      () =>
        answer(
          api.PUT("/api/me", { body: { name: typed("name"), time_zone: typed("time_zone") } }),
        ),
      () => say("Kept."),
    );
  };
  return (
    <Part title="Who you are">
      <form onSubmit={keep}>
        <Field label="Name" name="name" defaultValue={me.name} maxLength={80} required />
        <Field
          label="Time zone"
          name="time_zone"
          defaultValue={me.time_zone}
          required
          list="time-zones"
          hint="Days of new athletes begin and end there."
        />
        <datalist id="time-zones">
          {Intl.supportedValuesOf("timeZone").map((zone) => (
            <option key={zone} value={zone} />
          ))}
        </datalist>
        <Wrong error={error} />
        <Button type="submit" busy={busy} className="mt-2">
          Keep name and zone
        </Button>
        <Kept said={said} />
      </form>
    </Part>
  );
}

function Address({ me }: { me: Schema["SignedIn"] }) {
  const { act, busy, error } = useAct("me");
  const [said, say] = useState("");
  const keep = (event: FormEvent<HTMLFormElement>) => {
    const typed = typedIn(event);
    const body = { email: typed("email"), password: typed("password") };
    act(
      () => answer(api.PUT("/api/me/email", { body })),
      ({ email }) => say(`You sign in as ${email} from now on.`),
    );
  };
  return (
    <Part title="How you sign in">
      <form onSubmit={keep}>
        <Field
          label="E-mail"
          name="email"
          type="email"
          autoComplete="username"
          defaultValue={me.email}
          required
        />
        <Field
          label="Your password, to say that it is you"
          name="password"
          type="password"
          autoComplete="current-password"
          required
        />
        <Wrong error={error} />
        <Button type="submit" busy={busy} className="mt-2">
          Change the e-mail
        </Button>
        <Kept said={said} />
      </form>
    </Part>
  );
}

/** A fresh page, so that nothing read before stays in memory. */
function leave() {
  sessionStorage.clear();
  location.assign("/");
}

function PasswordPart({ email }: { email: string }) {
  const { act, busy, error } = useAct();
  const keep = (event: FormEvent<HTMLFormElement>) => {
    const typed = typedIn(event);
    const body = { password: typed("now"), new_password: typed("next") };
    act(() => answer(api.PUT("/api/me/password", { body })), leave);
  };
  return (
    <Part title="Password">
      <form onSubmit={keep}>
        <input type="email" value={email} autoComplete="username" readOnly hidden />
        <Field
          label="The one so far"
          name="now"
          type="password"
          autoComplete="current-password"
          required
        />
        <Field
          label="The new one"
          name="next"
          type="password"
          autoComplete="new-password"
          minLength={10}
          required
          hint="Ten characters or more. You are signed out everywhere and sign in with it."
        />
        <Wrong error={error} />
        <Button type="submit" busy={busy} className="mt-2">
          Change the password
        </Button>
      </form>
    </Part>
  );
}

function Everywhere() {
  const { act, busy, error } = useAct();
  return (
    <Part title="Signed in">
      <p className="pt-2 text-faint">On a device you no longer have, or that others use?</p>
      <Wrong error={error} />
      <Button
        busy={busy}
        className="mt-2"
        onClick={() => act(() => answer(api.DELETE("/api/me/sign-ins")), leave)}
      >
        Sign out everywhere
      </Button>
    </Part>
  );
}

function Sent() {
  const sent = useQuery(queries.invitations).data?.invitations ?? [];
  const { act, busy, error } = useAct("me");
  const back = (invitation_id: string) =>
    act(() =>
      answer(
        api.DELETE("/api/invitations/{invitation_id}", { params: { path: { invitation_id } } }),
      ),
    );
  return (
    <Part title="A second coach">
      <Invite athlete={null} />
      <Wrong error={error} />
      <ul>
        {sent.map((message) => (
          <li
            key={message.id}
            className="flex flex-wrap items-baseline gap-x-3 border-t border-hair py-1"
          >
            <span>
              {message.meant_for}: {message.role} of {message.athlete || "the whole squad"}
            </span>
            <span className="flex-1 text-sm text-faint">
              {message.unavailable_reason || `open until ${day(message.expires_at)}`}
            </span>
            {!message.unavailable_reason && (
              <Button quiet busy={busy} onClick={() => back(message.id)}>
                Take it back
              </Button>
            )}
          </li>
        ))}
      </ul>
    </Part>
  );
}

function Archived() {
  const away = useQuery(queries.archived).data?.athletes ?? [];
  const { act, busy, error } = useAct("squad", "athlete", "me");
  if (away.length === 0) return null;
  const restore = (athlete_id: string) =>
    act(() =>
      answer(
        api.DELETE("/api/athletes/{athlete_id}/archive", { params: { path: { athlete_id } } }),
      ),
    );
  return (
    <Part title="Archived athletes">
      <Wrong error={error} />
      <ul>
        {away.map(({ id, name, archived_at }) => (
          <li key={id} className="flex items-baseline gap-3 border-t border-hair py-1">
            <span>{name}</span>
            <span className="flex-1 text-sm text-faint">since {day(archived_at)}</span>
            <Button busy={busy} onClick={() => restore(id)} aria-label={`Restore ${name}`}>
              Restore
            </Button>
          </li>
        ))}
      </ul>
    </Part>
  );
}

function Events() {
  const events = useQuery(queries.accountEvents).data?.events ?? [];
  if (events.length === 0) return null;
  return (
    <Part title="What was done">
      <ul>
        {events.map(({ id, at, what }) => (
          <li key={id} className="border-t border-hair py-0.5">
            <span className="text-faint">{dayAndTime(at)}</span> {what}
          </li>
        ))}
      </ul>
    </Part>
  );
}
