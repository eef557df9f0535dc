/** Week: days as columns, time as height, solved while the coach looks on and moved by hand. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { useKeys } from "../../app/keys";
import { answer, api } from "../../common/api/client";
import { queries } from "../../common/api/queries";
import { SparedPlaces } from "../../common/athlete/SparedPlaces";
import { useAct } from "../../common/hooks/useAct";
import { Away } from "../../common/ui/Away";
import { TitleBlock } from "../../common/ui/TitleBlock";
import { Wrong } from "../../common/ui/Wrong";
import { done } from "../../common/units/figures";
import { DayColumn, PX } from "./DayColumn";
import { dayDate, span, weekAfter, weekBefore } from "./dates";
import { AdaptDialog } from "./dialogs/AdaptDialog";
import { AddDialog } from "./dialogs/AddDialog";
import { AvailabilityDialog } from "./dialogs/AvailabilityDialog";
import { DailyDialog } from "./dialogs/DailyDialog";
import { EditDialog } from "./dialogs/EditDialog";
import { FilesDialog } from "./dialogs/FilesDialog";
import { ReadyDialog } from "./dialogs/ReadyDialog";
import { SessionDialog } from "./dialogs/SessionDialog";
import { PlanningBar } from "./PlanningBar";
import {
  type Draft,
  draftOf,
  isOn,
  moved,
  type Picked,
  pinTurned,
  type Sheet,
  swapped,
  tasksOn,
  without,
} from "./plan";
import { ScorePanel } from "./ScorePanel";
import { usePlanning } from "./usePlanning";
import { type WeekAct, WeekBar } from "./WeekBar";

export default function Week() {
  const { athleteId = "" } = useParams();
  const [week_start, setWeekStart] = useState("");
  const week = useQuery({ ...queries.week(athleteId, week_start), enabled: athleteId !== "" });
  if (week.error && !week.data) {
    return (
      <Away error={week.error} retry={() => week.refetch()}>
        <p>
          <Link to={`/intake/${athleteId}/placement`} className="underline">
            Give a ladder on the Intake sheet
          </Link>{" "}
          to have something to plan.
        </p>
      </Away>
    );
  }
  if (!week.data) return <main className="flex-1 p-6 text-faint">Laying out the week …</main>;
  return (
    <Drawn key={`${athleteId}${week.data.week_start}`} sheet={week.data} onWeek={setWeekStart} />
  );
}

function Drawn({ sheet, onWeek }: { sheet: Sheet; onWeek: (week_start: string) => void }) {
  const [picked, pick] = useState<Picked | null>(null);
  const [open, setOpen] = useState<WeekAct | null>(null);
  const { act, busy, error } = useAct("athlete", "squad");
  const { planning, start, stop, leave } = usePlanning(sheet);
  const daily = useQuery(queries.daily(sheet.athlete_id)).data?.daily;

  const draft = draftOf(sheet);
  const preview = planning.best;
  const tried = useQuery({
    ...queries.trial(sheet, { ...draft, placed: preview?.placed ?? [] }),
    enabled: preview !== null && !planning.running,
  });
  const placed = preview ? preview.placed : draft.placed;
  const days = sheet.days.filter(({ lost }) => !lost);
  const day = picked?.day ?? (days.find(({ past }) => !past) ?? days[0])?.index ?? 0;
  const there = tasksOn(sheet, placed, day);
  const task = there.find(({ key }) => key === picked?.key) ?? there[0];
  const name = task?.name ?? "";

  const keep = (next: Draft, note: string, bound: number | null = null, then = () => {}) =>
    act(
      () =>
        answer(
          api.PUT("/api/athletes/{athlete_id}/week", {
            params: {
              path: { athlete_id: sheet.athlete_id },
              query: { week_start: sheet.week_start },
            },
            body: { ...next, number: sheet.revision, bound, note },
          }),
        ),
      then,
    );
  const keepSolved = () => {
    if (preview)
      keep({ ...draft, placed: preview.placed }, "planned", preview.bound, () => {
        stop();
        leave();
      });
  };
  const dayBeside = (step: number) => {
    const at = days.findIndex(({ index }) => index === day);
    return days[at + step]?.index;
  };
  const go = (step: number) => {
    const to = dayBeside(step);
    if (to !== undefined) pick({ day: to, key: tasksOn(sheet, placed, to)[0]?.key ?? "" });
  };
  const along = (step: number) => {
    const at = there.findIndex(({ key }) => key === task?.key);
    const next = there[at + step];
    if (next) pick({ day, key: next.key });
  };
  const move = (key: string, from: number, to: number | undefined, words = name) => {
    if (to === undefined || from === to || preview) return;
    const next = moved(draft, key, from, to);
    keep(next, `moved ${words} to ${nameOf(sheet, to)}`, null, () => pick({ day: to, key }));
  };
  const turnPin = (thereOn: boolean) => {
    if (!task || preview) return;
    const note = thereOn ? "pinned" : "kept off";
    keep(pinTurned(draft, task.key, day, thereOn), `${note} ${name}, ${nameOf(sheet, day)}`);
  };
  const swap = () => {
    const other = dayBeside(1);
    if (other === undefined || preview) return;
    const note = `swapped ${nameOf(sheet, day)} and ${nameOf(sheet, other)}`;
    keep(swapped(draft, day, other), note, null, () => pick({ day: other, key: task?.key ?? "" }));
  };
  const undo = () =>
    act(() =>
      answer(
        api.POST("/api/athletes/{athlete_id}/week/undo", {
          params: {
            path: { athlete_id: sheet.athlete_id },
            query: { week_start: sheet.week_start },
            header: { "If-Match": String(sheet.revision) },
          },
        }),
      ),
    );
  const solve = () => (planning.running ? stop() : start(draft));
  const lose = (index: number) => {
    const lost = draft.lost.days.includes(index)
      ? draft.lost.days.filter((day) => day !== index)
      : [...draft.lost.days, index];
    const next = { ...draft, lost: { ...draft.lost, days: lost } };
    next.placed = next.placed.filter((placement) => !lost.includes(placement.day));
    keep(next, `${nameOf(sheet, index)} ${lost.includes(index) ? "skipped" : "restored"}`);
  };
  const losePlace = (place: string, words: string) => {
    const places = draft.lost.places.includes(place)
      ? draft.lost.places.filter((one) => one !== place)
      : [...draft.lost.places, place];
    const had = places.includes(place) ? "skipped" : "restored";
    keep({ ...draft, lost: { ...draft.lost, places } }, `${words} ${had}`);
  };
  const acts: Partial<Record<WeekAct, () => void>> = { solve, undo, swap };
  const run = (what: WeekAct) => (acts[what] ?? (() => setOpen(what)))();

  useKeys([
    ["ArrowLeft", () => go(-1)],
    ["ArrowRight", () => go(1)],
    ["ArrowUp", () => along(-1)],
    ["ArrowDown", () => along(1)],
    ["[", () => task && move(task.key, day, dayBeside(-1))],
    ["]", () => task && move(task.key, day, dayBeside(1))],
    ["p", () => turnPin(true)],
    ["o", () => turnPin(false)],
    ["x", swap],
    ["s", solve],
    ["k", keepSolved],
    ["u", undo],
    ["a", () => there.length > 0 && setOpen("adapt")],
    ["e", () => task && setOpen("edit")],
    ["Enter", () => there.length > 0 && setOpen("session")],
  ]);

  const close = () => setOpen(null);
  const date = dayDate(sheet.week_start, day);
  const tallest = Math.max(30, ...sheet.days.map((day) => Math.max(day.minutes, day.taken)));

  return (
    <>
      <main className="flex min-h-0 flex-1 flex-col">
        <h1 className="flex flex-wrap items-baseline gap-x-4 border-b border-hair px-4 py-1.5 text-xl">
          Week of {span(sheet.week_start)}
          <span className="text-base font-normal text-faint">
            {sheet.kind === "build" ? sheet.advice : sheet.kind_words}
          </span>
        </h1>
        <WeekBar
          sheet={sheet}
          busy={busy}
          solving={planning.running}
          picked={task ? name : ""}
          onAct={run}
          onWeek={(step) =>
            onWeek(
              step < 0 ? weekBefore(sheet.week_start) : step > 0 ? weekAfter(sheet.week_start) : "",
            )
          }
        />
        {daily && (
          <p className="border-b border-hair px-4 py-1">
            Every day at {daily.at}, {daily.moment}:{" "}
            {done(daily.amount, daily.unit as "reps" | "s")} of {daily.movement.toLowerCase()}.{" "}
            <span className="text-faint">
              {daily.today ? "Ticked off today." : daily.note}
              {daily.run > 1 && ` ${daily.run} days running.`}
            </span>
          </p>
        )}
        <PlanningBar
          planning={planning}
          onStop={stop}
          onLeave={leave}
          onKeep={keepSolved}
          busy={busy}
        />
        <Wrong error={error} />
        <SparedPlaces athleteId={sheet.athlete_id} />
        <div className="flex min-h-0 flex-1 flex-col lg:flex-row">
          <section
            aria-label="Days"
            className="flex min-w-0 flex-1 items-stretch gap-2 overflow-auto p-3 max-md:flex-col"
          >
            {sheet.days.map((one) => (
              <DayColumn
                key={one.index}
                day={one}
                tasks={tasksOn(sheet, placed, one.index)}
                pins={sheet.pins}
                tallest={tallest}
                picked={task && day === one.index ? task.key : ""}
                broken={preview ? [] : sheet.breaches.filter((b) => b.days.includes(one.index))}
                preview={preview !== null}
                onPick={(key) => pick({ day: one.index, key })}
                onOpen={() => {
                  pick({ day: one.index, key: day === one.index ? (task?.key ?? "") : "" });
                  setOpen("session");
                }}
                onLose={() => lose(one.index)}
                placeLost={draft.lost.places.includes(one.place)}
                onLosePlace={() => losePlace(one.place, one.place_name)}
                onDrop={(key, from) =>
                  isOn(draft, key, from) &&
                  move(key, from, one.index, sheet.tasks.find((t) => t.key === key)?.name)
                }
              />
            ))}
          </section>
          <ScorePanel
            sheet={tried.data ?? sheet}
            judged={!preview || tried.data !== undefined}
            picked={(tried.data ?? sheet).tasks.find(({ key }) => key === task?.key) ?? null}
            onOff={() => task && keep(without(draft, task.key, day), `took ${name} off`)}
          />
        </div>
      </main>
      <TitleBlock
        athlete={sheet.athlete_name}
        sheet="Week"
        scale={`1 min to ${PX} px`}
        date={span(sheet.week_start)}
        revision={sheet.note ? `${sheet.revision}: ${sheet.note}` : String(sheet.revision)}
      />
      {open === "session" && (
        <SessionDialog
          sheet={sheet}
          date={date}
          onAdapt={() => setOpen("adapt")}
          onEdit={(key) => {
            pick({ day, key });
            setOpen("edit");
          }}
          onClose={close}
        />
      )}
      {open === "adapt" && <AdaptDialog sheet={sheet} date={date} onClose={close} />}
      {open === "edit" && task && <EditDialog sheet={sheet} task={task} onClose={close} />}
      {open === "availability" && <AvailabilityDialog sheet={sheet} onClose={close} />}
      {open === "add" && <AddDialog sheet={sheet} onClose={close} />}
      {open === "ready" && (
        <ReadyDialog sheet={sheet} draft={draft} day={day} keep={keep} onClose={close} />
      )}
      {open === "daily" && <DailyDialog sheet={sheet} onClose={close} />}
      {open === "files" && <FilesDialog sheet={sheet} onClose={close} />}
    </>
  );
}

const nameOf = (sheet: Sheet, index: number) =>
  sheet.days.find((day) => day.index === index)?.name ?? "";
