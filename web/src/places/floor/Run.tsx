/** A session in progress: the set to do, what was done, and the rest between. */
import { useState } from "react";
import { answer, api, deviceMoment, type Schema } from "../../api/client";
import { useKeys } from "../../app/keys";
import { Button } from "../../parts/Button";
import { done, inWords } from "../../parts/figures";
import { HoldClock } from "../../parts/HoldClock";
import { useClock } from "../../parts/useClock";
import { Wrong } from "../../parts/Wrong";
import { lastTime } from "./lastTime";
import { Rest } from "./Rest";
import { type Entry, SetEntry } from "./SetEntry";
import { useRest } from "./useRest";

/** Under which name an amount is sent. */
const SENT_AS = { reps: "reps", s: "seconds", cm: "centimetres" } as const;

interface Props {
  today: Schema["Today"];
  session: Schema["RunningSession"];
  onSets: (sets: Schema["LoggedSet"][]) => void;
  onFinish: () => void;
  onDiscard: () => void;
}

export function Run({ today, session, onSets, onFinish, onDiscard }: Props) {
  const { sets } = session;
  const [easier, setEasier] = useState(false);
  const rung = easier && today.easier ? today.easier : today.rung;
  const held = rung.dose.unit === "s";
  const fresh = (): Entry => ({
    id: crypto.randomUUID(),
    amount: rung.dose.low,
    effort: null,
    clean: true,
    pain: 0,
    place: "",
  });
  const [entry, setEntry] = useState(fresh);
  const [error, setError] = useState<Error | null>(null);
  const [busy, setBusy] = useState(false);
  const rest = useRest();
  const hold = useClock((amount) => setEntry((now) => ({ ...now, amount })));

  const number = sets.length + 1;
  const hurt = sets.find((set) => set.pain >= today.pain_stop);
  const enough = sets.length >= rung.dose.sets;

  async function log() {
    if (hurt || busy) return;
    if (entry.effort === null) {
      setError(new Error("Say how hard it was first: effort, 1 to 10."));
      return;
    }
    setBusy(true);
    try {
      const kept = await answer(
        api.PUT("/api/sessions/{session_id}/sets/{set_id}", {
          params: { path: { session_id: session.id, set_id: entry.id } },
          body: {
            rung_id: rung.id,
            number,
            [SENT_AS[rung.dose.unit]]: entry.amount,
            effort: entry.effort,
            clean: entry.clean,
            pain: entry.pain,
            pain_place: entry.place,
            ...deviceMoment(),
          },
        }),
      );
      onSets([...sets, kept]);
      setEntry(fresh());
      setError(null);
      if (kept.pain < today.pain_stop && number < rung.dose.sets) rest.start(rung.dose.rest_s);
    } catch (cause) {
      setError(cause as Error); // what was typed stays, and goes out under the same id again
    }
    setBusy(false);
  }

  useKeys([
    [" ", held && rest.left === null ? hold.toggle : rest.toggle],
    ["l", log],
    ["e", () => setEasier(today.easier !== null)],
  ]);

  const resting = rest.left !== null && !hurt;
  return (
    <div className="grid flex-1 gap-x-10 gap-y-4 py-4 lg:grid-cols-[1fr_20rem]">
      <section aria-label={resting ? "Rest" : "The set"}>
        {resting ? (
          <Rest rest={rest} left={rest.left ?? 0} next={`set ${number}, ${rung.name}`} />
        ) : (
          <>
            <Heading rung={rung} number={number} />
            {hurt ? (
              <PainStop set={hurt} />
            ) : (
              <>
                {held && <HoldClock clock={hold} />}
                <SetEntry
                  entry={entry}
                  onChange={setEntry}
                  faults={rung.faults}
                  stop={today.pain_stop}
                  unit={rung.dose.unit}
                />
                <Wrong error={error} />
                <div className="flex flex-wrap gap-3 pt-5">
                  <Button main large busy={busy} onClick={log} title="Log the set (L)">
                    Log set {number}
                  </Button>
                  {today.easier && (
                    <Button
                      large
                      onClick={() => setEasier(!easier)}
                      title={easier ? "Back to today's rung" : "Take the easier rung (E)"}
                    >
                      {easier ? `Back to ${today.rung.name}` : `Easier: ${today.easier.name}`}
                    </Button>
                  )}
                </div>
              </>
            )}
          </>
        )}
      </section>
      <aside className="flex flex-col gap-4 border-t border-hair pt-3 lg:border-t-0 lg:border-l lg:pl-6">
        <Done sets={sets} today={today} />
        <Reminder today={today} rung={rung} />
        <div className="mt-auto flex flex-wrap gap-3">
          {sets.length > 0 ? (
            <Button main={enough || Boolean(hurt)} large onClick={onFinish}>
              Finish …
            </Button>
          ) : (
            <Button onClick={onDiscard}>Discard: nothing was done</Button>
          )}
        </div>
      </aside>
    </div>
  );
}

/** What to mind, and what was done the last time. */
function Reminder({ today, rung }: { today: Schema["Today"]; rung: Schema["TodayRung"] }) {
  return (
    <div>
      <h2 className="lettering border-b border-hair pb-1">Mind</h2>
      <ul className="list-disc pt-1 pl-5 text-lg">
        {rung.cues.map((cue) => (
          <li key={cue}>{cue}</li>
        ))}
      </ul>
      {today.last_time && <p className="pt-3">{lastTime(today.last_time)}</p>}
    </div>
  );
}

function Heading({ rung, number }: { rung: Schema["TodayRung"]; number: number }) {
  const { sets, low, high, unit, effort } = rung.dose;
  return (
    <>
      <p className="lettering text-lg">
        {number > sets ? "Dose done; more is welcome" : `Set ${number} of ${sets}`}
      </p>
      <h1 className="text-5xl leading-none sm:text-6xl">{rung.name}</h1>
      <p className="pt-1 font-head text-4xl">
        {low}–{high}{" "}
        <span className="text-2xl text-faint">
          {inWords(unit)}, effort {effort}
          {unit === "reps" && `, tempo ${rung.tempo} s`}
        </span>
      </p>
    </>
  );
}

function PainStop({ set }: { set: Schema["LoggedSet"] }) {
  return (
    <div role="alert" className="mt-4 border-2 border-over p-4 text-xl">
      <strong className="text-over">▲ This movement ends for today.</strong>
      <p>
        Pain {set.pain} of 10{set.pain_place && `, ${set.pain_place}`}. Finish the session; do not
        try another set. If it stays or grows, see a clinician before the movement returns.
      </p>
    </div>
  );
}

function Done({ sets, today }: { sets: Schema["LoggedSet"][]; today: Schema["Today"] }) {
  if (sets.length === 0) return <p className="text-faint">Logged sets stand here.</p>;
  return (
    <table className="w-full">
      <caption className="lettering text-left">Logged</caption>
      <tbody>
        {sets.map((set) => (
          <tr key={set.id} className="border-t border-hair">
            <th scope="row" className="py-1 pr-3">
              {set.number}
            </th>
            <td>{done(set.amount, today.rung.dose.unit)}</td>
            <td>effort {set.effort}</td>
            <td className={set.clean ? "text-faint" : "text-watch"}>
              {set.clean ? "clean" : "form went"}
            </td>
            <td className="text-over">{set.pain > 0 && `pain ${set.pain}`}</td>
            <td className="text-faint">{set.rung_id !== today.rung.id && "easier"}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
