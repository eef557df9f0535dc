/** Week: days as columns, time as height, solved while the coach looks on and moved by hand. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { useKeys } from "../../app/keys";
import { queries } from "../../common/api/queries";
import { SparedPlaces } from "../../common/athlete/SparedPlaces";
import { Away } from "../../common/ui/Away";
import { TitleBlock } from "../../common/ui/TitleBlock";
import { Wrong } from "../../common/ui/Wrong";
import { done } from "../../common/units/figures";
import { DayColumn, PX } from "./DayColumn";
import { span, weekAfter, weekBefore } from "./dates";
import { WeekDialogs } from "./dialogs/WeekDialogs";
import { PlanningBar } from "./PlanningBar";
import { type Draft, isOn, type Picked, type Sheet, tasksOn, without } from "./plan";
import { ScorePanel } from "./ScorePanel";
import { usePlanning } from "./usePlanning";
import { useWeekEdits } from "./useWeekEdits";
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
  const edits = useWeekEdits(sheet);
  const { draft, keep, undo, busy, error } = edits;
  const { planning, start, stop, leave } = usePlanning(sheet);

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
    edits.move(key, from, to, words, () => pick({ day: to, key }));
  };
  const turnPin = (thereOn: boolean) => {
    if (task && !preview) edits.pin(task.key, day, thereOn, name);
  };
  const swap = () => {
    const other = dayBeside(1);
    if (other === undefined || preview) return;
    edits.swap(day, other, () => pick({ day: other, key: task?.key ?? "" }));
  };
  const solve = () => (planning.running ? stop() : start(draft));
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

  return (
    <>
      <main className="flex min-h-0 flex-1 flex-col">
        <WeekName sheet={sheet} />
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
        <DailyLine athleteId={sheet.athlete_id} />
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
            <Days
              {...{ sheet, placed, edits }}
              picked={task ? { day, key: task.key } : null}
              preview={preview !== null}
              onPick={pick}
              onOpen={(there) => {
                pick({ day: there, key: day === there ? (task?.key ?? "") : "" });
                setOpen("session");
              }}
              onMove={move}
            />
          </section>
          <ScorePanel
            sheet={tried.data ?? sheet}
            judged={!preview || tried.data !== undefined}
            picked={(tried.data ?? sheet).tasks.find(({ key }) => key === task?.key) ?? null}
            onOff={() => task && keep(without(draft, task.key, day), `took ${name} off`)}
          />
        </div>
      </main>
      <WeekTitle sheet={sheet} />
      <WeekDialogs
        sheet={sheet}
        draft={draft}
        open={open}
        day={day}
        task={task}
        keep={keep}
        onAdapt={() => setOpen("adapt")}
        onEdit={(key) => {
          pick({ day, key });
          setOpen("edit");
        }}
        onClose={() => setOpen(null)}
      />
    </>
  );
}

/** The daily minimum that runs beside the week. */
function DailyLine({ athleteId }: { athleteId: string }) {
  const daily = useQuery(queries.daily(athleteId)).data?.daily;
  if (!daily) return null;
  return (
    <p className="border-b border-hair px-4 py-1">
      Every day at {daily.at}, {daily.moment}: {done(daily.amount, daily.unit as "reps" | "s")} of{" "}
      {daily.movement.toLowerCase()}.{" "}
      <span className="text-faint">
        {daily.today ? "Ticked off today." : daily.note}
        {daily.run > 1 && ` ${daily.run} days running.`}
      </span>
    </p>
  );
}

function WeekName({ sheet }: { sheet: Sheet }) {
  return (
    <h1 className="flex flex-wrap items-baseline gap-x-4 border-b border-hair px-4 py-1.5 text-xl">
      Week of {span(sheet.week_start)}
      <span className="text-base font-normal text-faint">
        {sheet.kind === "build" ? sheet.advice : sheet.kind_words}
      </span>
    </h1>
  );
}

function WeekTitle({ sheet }: { sheet: Sheet }) {
  return (
    <TitleBlock
      athlete={sheet.athlete_name}
      sheet="Week"
      scale={`1 min to ${PX} px`}
      date={span(sheet.week_start)}
      revision={sheet.note ? `${sheet.revision}: ${sheet.note}` : String(sheet.revision)}
    />
  );
}

interface DaysProps {
  sheet: Sheet;
  placed: Draft["placed"];
  edits: ReturnType<typeof useWeekEdits>;
  picked: Picked | null;
  /** A plan is shown that is not kept yet. */
  preview: boolean;
  onPick: (picked: Picked) => void;
  onOpen: (day: number) => void;
  onMove: (key: string, from: number, to: number, words?: string) => void;
}

function Days({ sheet, placed, edits, picked, preview, onPick, onOpen, onMove }: DaysProps) {
  const tallest = Math.max(30, ...sheet.days.map((day) => Math.max(day.minutes, day.taken)));
  return (
    <>
      {sheet.days.map((one) => (
        <DayColumn
          key={one.index}
          day={one}
          tasks={tasksOn(sheet, placed, one.index)}
          pins={sheet.pins}
          tallest={tallest}
          picked={picked?.day === one.index ? picked.key : ""}
          broken={preview ? [] : sheet.breaches.filter((b) => b.days.includes(one.index))}
          preview={preview}
          onPick={(key) => onPick({ day: one.index, key })}
          onOpen={() => onOpen(one.index)}
          onLose={() => edits.lose(one.index)}
          placeLost={edits.draft.lost.places.includes(one.place)}
          onLosePlace={() => edits.losePlace(one.place, one.place_name)}
          onDrop={(key, from) =>
            isOn(edits.draft, key, from) &&
            onMove(key, from, one.index, sheet.tasks.find((t) => t.key === key)?.name)
          }
        />
      ))}
    </>
  );
}
