/** The daily minimums on the phone: tick, try, a good word; changed by whoever does them, alone. */
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { answer, api, deviceMoment, type Schema } from "../../../common/api/client";
import { queries } from "../../../common/api/queries";
import { useAct, useSendId } from "../../../common/hooks/useAct";
import { Button } from "../../../common/ui/Button";
import { Choice, Field } from "../../../common/ui/Field";
import { Wrong } from "../../../common/ui/Wrong";
import { done } from "../../../common/units/figures";
import { outbox } from "../engine/sending";

type Daily = Schema["Daily"];
type Sheet = Schema["DailySheet"];

const MOST = 3;

export function DailyPart({ athleteId, today }: { athleteId: string; today: string }) {
  const { data: sheet } = useQuery(queries.daily(athleteId));
  const [changing, change] = useState<Daily | "new" | null>(null);
  if (!sheet) return null;
  return (
    <section aria-label="Daily minimum" className="mt-4 border-t border-ink pt-2">
      <h2 className="text-2xl">Every day</h2>
      {sheet.running.map((daily) => (
        <OneDaily
          key={daily.id}
          athleteId={athleteId}
          daily={daily}
          today={today}
          onChange={() => change(daily)}
        />
      ))}
      {sheet.running.length < MOST && changing === null && (
        <Button onClick={() => change("new")} className="mt-2 min-h-11">
          {sheet.running.length ? "Another one" : "Begin a daily minimum"}
        </Button>
      )}
      {changing && (
        <Change
          key={changing === "new" ? "new" : changing.id}
          athleteId={athleteId}
          sheet={sheet}
          now={changing === "new" ? null : changing}
          onDone={() => change(null)}
        />
      )}
    </section>
  );
}

interface OneProps {
  athleteId: string;
  daily: Daily;
  today: string;
  onChange: () => void;
}

function OneDaily({ athleteId, daily, today, onChange }: OneProps) {
  const client = useQueryClient();
  const [ticked, setTicked] = useState(daily.today);
  const [tries, setTries] = useState(daily.tries);
  const first = daily.begun_on === today && !ticked && tries < daily.tries_wanted;
  const send = async (trial: boolean) => {
    if (trial) setTries(tries + 1);
    else setTicked(true);
    await outbox.post(athleteId, {
      what: "tick",
      method: "PUT",
      path: `/api/athletes/${athleteId}/daily/ticks/${crypto.randomUUID()}`,
      body: { trial, daily_id: daily.id, ...deviceMoment() },
    });
    await outbox.send(athleteId);
    void client.invalidateQueries(queries.daily(athleteId));
  };
  return (
    <article className="border-b border-hair py-2">
      <p className="text-xl">
        {done(daily.amount, daily.unit === "s" ? "s" : "reps")} of {daily.movement.toLowerCase()},{" "}
        {daily.moment}
      </p>
      {daily.in_sight && <p className="text-lg text-faint">In sight: {daily.in_sight}</p>}
      <p role="status" className={`font-head text-xl ${ticked ? "text-ready" : ""}`}>
        {ticked && !daily.today ? daily.cheer || "There it is." : daily.note}
      </p>
      <div className="flex flex-wrap gap-2">
        <Button main large disabled={ticked} onClick={() => send(false)}>
          {ticked ? "✓ Done today" : "Done"}
        </Button>
        {first && (
          <Button large onClick={() => send(true)}>
            Tried it ({tries} of {daily.tries_wanted})
          </Button>
        )}
        <Button quiet onClick={onChange} className="min-h-11">
          Change …
        </Button>
      </div>
      <p className="text-faint">
        {daily.done} of {daily.days} days, {daily.run} running
      </p>
    </article>
  );
}

interface ChangeProps {
  athleteId: string;
  sheet: Sheet;
  now: Daily | null;
  onDone: () => void;
}

function Change({ athleteId, sheet, now, onDone }: ChangeProps) {
  const first = sheet.movements[0];
  const [typed, setTyped] = useState({
    movement: now?.movement_id ?? first?.id ?? "",
    moment: now?.moment ?? sheet.moments[0] ?? "",
    at: now?.at ?? "08:00",
    cheer: now?.cheer ?? "",
    in_sight: now?.in_sight ?? "",
    why: "",
  });
  const [id] = useSendId();
  const { act, busy, error } = useAct("athlete");
  const field = (name: keyof typeof typed) => ({
    value: typed[name],
    onChange: (event: { target: { value: string } }) =>
      setTyped({ ...typed, [name]: event.target.value }),
  });
  const known = sheet.movements.map(({ id: one, name }) => [one, name] as const);
  const mine = now && !known.some(([one]) => one === now.movement_id);
  const options = mine ? [[now.movement_id, now.movement] as const, ...known] : known;
  const keep = () =>
    act(
      () =>
        answer(
          api.PUT("/api/athletes/{athlete_id}/daily/{daily_minimum_id}", {
            params: { path: { athlete_id: athleteId, daily_minimum_id: id } },
            body: {
              ...typed,
              amount: now && typed.movement === now.movement_id ? now.amount : 1,
              beside: now === null,
              ...(now ? { instead_of: now.id } : {}),
            },
          }),
        ),
      onDone,
    );
  return (
    <div className="border border-line p-2">
      <Choice label="Movement" options={options} {...field("movement")} />
      <Field label="Moment" list="moments" {...field("moment")} />
      <Field label="At about" type="time" {...field("at")} />
      <Field label="Your good word" {...field("cheer")} />
      <Field
        label="Left in sight"
        hint="a band on the door, shoes by the bed"
        {...field("in_sight")}
      />
      {now && <Field label="Why it changes" {...field("why")} />}
      <datalist id="moments">
        {sheet.moments.map((moment) => (
          <option key={moment} value={moment} />
        ))}
      </datalist>
      <Wrong error={error} />
      <div className="flex gap-2 pt-2">
        <Button main large busy={busy} onClick={keep}>
          {now ? "Change it" : "Begin"}
        </Button>
        <Button large onClick={onDone}>
          Leave it
        </Button>
      </div>
    </div>
  );
}
