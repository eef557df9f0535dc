/** The floor now: each athlete at work, where they are, and set by set what they did. */
import { useEffect, useState } from "react";
import { Link } from "react-router";
import type { Schema } from "../../../common/api/client";
import { amountOf } from "../../../common/movement/SetLine";
import { useLive } from "./useLive";

type Person = Schema["AtWorkNow"];

const STATES: Record<Person["state"], string> = {
  ready: "about to begin",
  working: "at work",
  resting: "resting",
  paused: "paused",
  done: "done",
};
const SHOWN = 5;

export function LiveBoard() {
  const { floor, line } = useLive();
  const [, setTick] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => setTick((tick) => tick + 1), 10_000);
    return () => clearInterval(timer);
  }, []);
  const people = floor?.people ?? [];
  return (
    <section aria-label="On the floor now" className="min-w-0 p-4">
      <div className="flex flex-wrap items-baseline gap-3">
        <h1 className="text-2xl">On the floor now</h1>
        <span role="status" className={line === "dropped" ? "text-over" : "text-faint"}>
          {line === "open" && "◇ live"}
          {line === "coming" && "coming …"}
          {line === "dropped" && "▲ the line dropped; it comes back by itself"}
        </span>
      </div>
      {floor && people.length === 0 && (
        <p className="max-w-prose pt-2">
          Whoever runs a session is shown here, set by set. Make an athlete a link, or run a session
          at their side.
        </p>
      )}
      <div className="grid gap-x-6 xl:grid-cols-2">
        {people.map((person) => (
          <OnePerson key={person.athlete_id} person={person} grave={floor?.pain_stop ?? 0} />
        ))}
      </div>
    </section>
  );
}

function OnePerson({ person, grave }: { person: Person; grave: number }) {
  const sets = person.session.sets;
  const worst = Math.max(0, ...sets.map(({ pain }) => pain));
  const done = person.state === "done";
  return (
    <article aria-label={person.athlete_name} className="border-b border-hair py-3">
      <div className="flex items-baseline justify-between gap-3">
        <h2 className="text-xl">
          <Link to={`/floor/${person.athlete_id}`} className="underline decoration-line">
            {person.athlete_name}
          </Link>
        </h2>
        <span className="font-head">
          {done && "✓ "}
          {STATES[person.state]}
        </span>
      </div>
      <p className="font-head text-2xl leading-tight">
        {done ? person.session.name : person.doing || person.session.name}
        {person.set_count > 0 && !done && (
          <span className="text-faint">
            {" "}
            set {person.set_number} of {person.set_count}
          </span>
        )}
      </p>
      <Stretch share={done ? 1 : person.steps ? person.step / person.steps : 0} />
      {worst >= grave && <p className="text-over">▲ pain {worst}</p>}
      <table className="w-full">
        <caption className="sr-only">Sets of {person.athlete_name}</caption>
        <tbody>
          {sets
            .slice(-SHOWN)
            .reverse()
            .map((set) => (
              <tr key={set.id}>
                <th scope="row" className="pr-2 font-text font-normal">
                  {set.name} {set.number}
                  {set.side && `, ${set.side}`}
                </th>
                <td className="pr-2 whitespace-nowrap">{amountOf(set)}</td>
                <td className="whitespace-nowrap text-faint">effort {set.rpe}</td>
                <td className="whitespace-nowrap text-watch">{!set.form_ok && "◆ form"}</td>
              </tr>
            ))}
        </tbody>
      </table>
      <p className="text-sm text-faint">
        {sets.length > SHOWN && `and ${sets.length - SHOWN} before; `}
        {ago(person.at)}
      </p>
    </article>
  );
}

/** How far the session has come, to scale. */
function Stretch({ share }: { share: number }) {
  return (
    <svg
      viewBox="0 0 100 2"
      preserveAspectRatio="none"
      className="my-1 h-2 w-full"
      aria-hidden="true"
    >
      <rect width={100} height={2} className="fill-wash stroke-line" strokeWidth={0.2} />
      <rect width={100 * share} height={2} className="fill-ready" />
    </svg>
  );
}

function ago(iso: string): string {
  const minutes = Math.round((Date.now() - Date.parse(iso)) / 60_000);
  return minutes < 1 ? "just now" : `${minutes} min ago`;
}
