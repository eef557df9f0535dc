/** The daily minimum: its moment, its tries, its ticks, its changes. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { answer, api, deviceMoment, type Schema } from "../../../common/api/client";
import { queries } from "../../../common/api/queries";
import { useAct, useSendId } from "../../../common/hooks/useAct";
import { MovementFinder } from "../../../common/movement/MovementFinder";
import { Button } from "../../../common/ui/Button";
import { Dialog } from "../../../common/ui/Dialog";
import { Field } from "../../../common/ui/Field";
import { Wrong } from "../../../common/ui/Wrong";
import { day, done } from "../../../common/units/figures";
import { dayDate, short } from "../dates";
import type { Sheet } from "../plan";

export function DailyDialog({ sheet, onClose }: { sheet: Sheet; onClose: () => void }) {
  const found = useQuery(queries.daily(sheet.athlete_id));
  const [changing, setChanging] = useState<Schema["Daily"] | "new" | null>(null);
  const running = found.data?.running ?? [];
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title="Daily minimum"
      about="One rep of one movement at a fixed moment of the day. More is welcome, never required."
      wide
    >
      <Wrong error={found.error} />
      {found.data && (running.length === 0 || changing) && (
        <Begin
          sheet={sheet}
          moments={found.data.moments}
          now={changing === "new" ? null : changing}
          onDone={() => setChanging(null)}
        />
      )}
      {!changing &&
        running.map((daily) => (
          <Running key={daily.id} sheet={sheet} daily={daily} onChange={() => setChanging(daily)} />
        ))}
      {!changing && running.length > 0 && running.length < MOST && (
        <Button onClick={() => setChanging("new")} className="mt-3">
          Another one …
        </Button>
      )}
    </Dialog>
  );
}

/** Daily minimums at once. */
const MOST = 3;

interface RunningProps {
  sheet: Sheet;
  daily: Schema["Daily"];
  onChange: () => void;
}

function Running({ sheet, daily, onChange }: RunningProps) {
  const { act, busy, error } = useAct("athlete", "squad");
  const [id, next] = useSendId();
  const { athlete_id } = sheet;
  const tick = (trial: boolean) =>
    act(
      () =>
        answer(
          api.PUT("/api/athletes/{athlete_id}/daily/ticks/{tick_id}", {
            params: { path: { athlete_id, tick_id: id } },
            body: { trial, daily_id: daily.id, ...deviceMoment() },
          }),
        ),
      next,
    );
  const end = () =>
    act(() =>
      answer(
        api.POST("/api/athletes/{athlete_id}/daily/end", {
          params: { path: { athlete_id } },
          body: { why: "ended", daily_id: daily.id },
        }),
      ),
    );
  const days = Array.from({ length: 14 }, (_, back) => dayDate(sheet.today, back - 13));
  const open = daily.begun_on === sheet.today && daily.tries < daily.tries_wanted;
  return (
    <div className="pt-3">
      <p className="text-lg">
        {done(daily.amount, daily.unit as "reps" | "s")} of {daily.movement.toLowerCase()},{" "}
        {daily.moment} ({daily.at})
      </p>
      <p role="status" className="font-head text-lg">
        {daily.note}
      </p>
      <ol aria-label="The last two weeks" className="flex flex-wrap gap-1 py-2">
        {days.map((day) => (
          <li key={day} className="border border-line px-1 text-center text-sm">
            {short(day)}
            <br />
            {daily.ticks.includes(day) ? "● done" : day < daily.begun_on ? "–" : "○"}
          </li>
        ))}
      </ol>
      <p className="text-faint">
        {daily.done} of {daily.days} days since {day(daily.begun_on)}, {daily.run} running.
      </p>
      <Wrong error={error} />
      <div className="flex flex-wrap gap-2 pt-3">
        <Button main busy={busy} disabled={daily.today} onClick={() => tick(false)}>
          {daily.today ? "Ticked off today" : "Tick today off"}
        </Button>
        {open && (
          <Button busy={busy} onClick={() => tick(true)}>
            Tried it out ({daily.tries} of {daily.tries_wanted})
          </Button>
        )}
        <Button onClick={onChange}>Change the moment …</Button>
        <Button quiet busy={busy} onClick={end}>
          End it
        </Button>
      </div>
      {daily.before.length > 0 && (
        <>
          <h3 className="lettering pt-4">Before</h3>
          <ul className="text-sm">
            {daily.before.map((earlier) => (
              <li key={earlier.begun_on + earlier.moment}>
                {earlier.movement}, {earlier.moment}: {day(earlier.begun_on)} to{" "}
                {day(earlier.ended_on)}
                {earlier.why && `, ${earlier.why}`}
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

interface BeginProps {
  sheet: Sheet;
  moments: string[];
  now: Schema["Daily"] | null;
  onDone: () => void;
}

function Begin({ sheet, moments, now, onDone }: BeginProps) {
  const [typed, setTyped] = useState({
    movement: now?.movement_id ?? "push-up",
    name: now?.movement ?? "Push-up",
    amount: String(now?.amount ?? 1),
    moment: now?.moment ?? moments[1] ?? "",
    at: now?.at ?? "08:00",
    cheer: now?.cheer ?? "",
    in_sight: now?.in_sight ?? "",
    why: "",
  });
  const [finding, setFinding] = useState(false);
  const [id] = useSendId();
  const { act, busy, error } = useAct("athlete", "squad");
  const field = (name: keyof typeof typed) => ({
    value: typed[name],
    onChange: (event: { target: { value: string } }) =>
      setTyped({ ...typed, [name]: event.target.value }),
  });
  const { name, amount, ...rest } = typed;
  const begin = () =>
    act(
      () =>
        answer(
          api.PUT("/api/athletes/{athlete_id}/daily/{daily_minimum_id}", {
            params: { path: { athlete_id: sheet.athlete_id, daily_minimum_id: id } },
            body: {
              ...rest,
              amount: Number(amount),
              beside: now === null,
              ...(now ? { instead_of: now.id } : {}),
            },
          }),
        ),
      onDone,
    );
  return (
    <div>
      <p className="pt-3">
        {name}{" "}
        <Button quiet onClick={() => setFinding(true)}>
          Another movement …
        </Button>
      </p>
      <div className="grid gap-x-4 sm:grid-cols-2">
        <Field label="Moment" list="moments" {...field("moment")} />
        <Field label="At about" type="time" {...field("at")} />
        <Field
          label="How much"
          type="number"
          hint="1 rep is enough; 5 reps or 10 s at most"
          {...field("amount")}
        />
        <Field label="Good word" hint="one of ours if left empty" {...field("cheer")} />
        <Field label="Left in sight" {...field("in_sight")} />
        {now && <Field label="Why it changes" {...field("why")} />}
      </div>
      <datalist id="moments">
        {moments.map((moment) => (
          <option key={moment} value={moment} />
        ))}
      </datalist>
      <Wrong error={error} />
      <Button main busy={busy} onClick={begin} className="mt-3">
        {now ? "Change it" : "Begin"}
      </Button>
      {finding && (
        <MovementFinder
          athleteId={sheet.athlete_id}
          title="A movement for every day"
          onClose={() => setFinding(false)}
          act={(movement) => (
            <Button
              main
              className="mt-2"
              onClick={() => {
                setTyped({ ...typed, movement: movement.id, name: movement.name });
                setFinding(false);
              }}
            >
              Take this one
            </Button>
          )}
        />
      )}
    </div>
  );
}
