/** Check in: sleep, what is sore, tight or hurts, minutes, kit. It adapts the day, or stops it. */
import { useState } from "react";
import { useNavigate } from "react-router";
import { answer, api, deviceMoment, Problem, type Schema } from "../../../common/api/client";
import { Button } from "../../../common/ui/Button";
import { Field } from "../../../common/ui/Field";
import { Scale } from "../../../common/ui/Scale";
import { Ticks } from "../../../common/ui/Ticks";
import { Wrong } from "../../../common/ui/Wrong";
import { outbox } from "../engine/sending";
import type { Along } from "../engine/types";
import { BodyMap, type PlaceKind, type PlaceState } from "./BodyMap";
import { usePain } from "./pain";

interface Props {
  along: Along;
  fresh: boolean;
  renew: () => Promise<void>;
}

const KINDS: [PlaceKind, string][] = [
  ["sore", "sore from training"],
  ["tight", "tight"],
  ["hurts", "hurts"],
];

export default function CheckIn({ along, renew }: Props) {
  const navigate = useNavigate();
  const [, tell] = usePain(along);
  const [marks, setTold] = useState<Record<string, PlaceState>>({});
  const [picked, setPicked] = useState("");
  const [sleep, setSleep] = useState("");
  const [minutes, setMinutes] = useState("");
  const [alarms, setAlarms] = useState<string[]>([]);
  const [missing, setMissing] = useState<string[]>([]);
  const [note, setNote] = useState("");
  const [id] = useState(() => crypto.randomUUID());
  const [outcome, setOutcome] = useState<Schema["CheckedIn"] | "kept" | null>(null);
  const [error, setError] = useState<Error | null>(null);
  const [busy, setBusy] = useState(false);

  const of = (kind: PlaceKind) => Object.entries(marks).filter(([, state]) => state.kind === kind);
  const set = (place: string, state: PlaceState | null) => {
    const { [place]: _, ...rest } = marks;
    setTold(state ? { ...rest, [place]: state } : rest);
  };

  async function checkIn() {
    const hurts = of("hurts").map(([place, { how }]) => ({ place, how }));
    const body = {
      sleep: sleep ? Number(sleep) : null,
      minutes: minutes ? Number(minutes) : null,
      kinds: missing.length ? along.kinds.filter((kind) => !missing.includes(kind)) : null,
      sore: of("sore").map(([place, { how }]) => ({ place, how })),
      tight: of("tight").map(([place]) => place),
      pain: hurts,
      alarms,
      note,
      ...deviceMoment(),
    } as Schema["NewCheckIn"];
    const must = hurts.filter(({ how }) => how >= along.pain_stop).map(({ place }) => place);
    tell(must, alarms); // it holds on this device at once, network or not
    const path = { athlete_id: along.athlete_id, check_in_id: id };
    setBusy(true);
    try {
      const answered = await answer(
        api.PUT("/api/athletes/{athlete_id}/check-ins/{check_in_id}", { params: { path }, body }),
      );
      setOutcome(answered);
      setError(null);
      await renew();
    } catch (cause) {
      const problem = cause as Problem;
      if (problem instanceof Problem && problem.status > 0 && problem.status < 500) {
        setError(problem);
      } else {
        await outbox.post(along.athlete_id, {
          what: "check-in",
          method: "PUT",
          path: `/api/athletes/${along.athlete_id}/check-ins/${id}`,
          body: { ...body },
        });
        setOutcome("kept");
      }
    }
    setBusy(false);
  }

  if (outcome)
    return <Outcome outcome={outcome} onGo={() => navigate(`/phone/${along.athlete_id}`)} />;
  const here = marks[picked];
  return (
    <main className="px-3 pb-6">
      <h1 className="pt-3 text-3xl">How do you come to this day?</h1>
      <div className="mt-3 border border-watch p-2 pt-0">
        <Ticks
          name="◆ Any of these today?"
          options={along.alarms.map((alarm) => [alarm, alarm] as const)}
          on={alarms}
          onChange={setAlarms}
        />
      </div>
      <h2 className="lettering pt-4">Where is something sore, tight, or does it hurt?</h2>
      <BodyMap places={along.places} marks={marks} picked={picked} onPick={setPicked} />
      {picked && (
        <fieldset className="mt-2 border border-line p-2">
          <legend className="px-1 font-head text-lg">{picked}</legend>
          <div className="flex flex-wrap gap-2">
            {KINDS.map(([kind, words]) => (
              <Button
                key={kind}
                aria-pressed={here?.kind === kind}
                onClick={() => set(picked, { kind, how: here?.how ?? 3 })}
                className={`min-h-12 ${here?.kind === kind ? "bg-ink text-sheet" : ""}`}
              >
                {words}
              </Button>
            ))}
            <Button quiet onClick={() => set(picked, null)} className="min-h-12">
              nothing
            </Button>
          </div>
          {here && here.kind !== "tight" && (
            <Scale
              name={here.kind === "hurts" ? "Pain" : "Soreness"}
              about={
                here.kind === "hurts"
                  ? `From ${along.pain_stop} nothing loads it today.`
                  : "1: a little. 10: it keeps me from moving."
              }
              from={1}
              to={10}
              value={here.how}
              onChange={(how) => set(picked, { ...here, how })}
              {...(here.kind === "hurts" ? { grave: along.pain_stop } : {})}
            />
          )}
        </fieldset>
      )}
      <div className="grid grid-cols-2 gap-3 pt-3">
        <Field
          label="Sleep"
          unit="h"
          inputMode="decimal"
          value={sleep}
          onChange={(event) => setSleep(event.target.value.replace(",", "."))}
        />
        <Field
          label="Time there is"
          unit="min"
          inputMode="numeric"
          value={minutes}
          onChange={(event) => setMinutes(event.target.value)}
        />
      </div>
      {along.kinds.length > 0 && (
        <Ticks
          name="Not at hand today"
          options={along.kinds.map((kind) => [kind, kind] as const)}
          on={missing}
          onChange={setMissing}
        />
      )}
      <Field
        label="Note to the coach"
        value={note}
        maxLength={300}
        onChange={(event) => setNote(event.target.value)}
      />
      <Wrong error={error} />
      <Button main large busy={busy} onClick={checkIn} className="mt-4 w-full">
        Check in
      </Button>
    </main>
  );
}

function Outcome(props: { outcome: Schema["CheckedIn"] | "kept"; onGo: () => void }) {
  const { outcome } = props;
  if (outcome === "kept")
    return (
      <main className="px-3">
        <h1 className="pt-4 text-3xl">Kept on this device</h1>
        <p className="pt-2 text-lg">
          There is no network, so the day is not adapted yet. What hurts from 4 on is left out
          already.
        </p>
        <Button main large onClick={props.onGo} className="mt-4 w-full">
          Go on
        </Button>
      </main>
    );
  const bad = outcome.outcome === "stop" || outcome.outcome === "rest";
  const title = {
    stop: "Stop",
    rest: "Rest today",
    adapted: "The session is adapted",
    "as planned": "As planned",
  }[outcome.outcome];
  return (
    <main className="px-3">
      <h1 className={`pt-4 text-3xl ${bad ? "text-over" : ""}`}>
        {bad && "▲ "}
        {title}
      </h1>
      <p
        className={`pt-2 text-lg ${outcome.words && outcome.outcome === "adapted" ? "text-over" : ""}`}
      >
        {outcome.words}
      </p>
      <ul className="pt-2">
        {outcome.changes.map((change) => (
          <li key={change.item + change.to} className="border-b border-hair py-2 text-lg">
            {change.item} → {change.to || "left out"}
            <span className="block text-base text-faint">
              {change.why} {change.kept && `Kept equal: ${change.kept}.`}
            </span>
          </li>
        ))}
        {outcome.cuts.map((cut) => (
          <li key={cut} className="border-b border-hair py-2">
            {cut}
          </li>
        ))}
      </ul>
      <Button main large onClick={props.onGo} className="mt-4 w-full">
        Go on
      </Button>
    </main>
  );
}
