/** A class on a big screen: one clock for the room, and what each does in this turn. */
import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { useParams, useSearchParams } from "react-router";
import { useKeys } from "../../../app/keys";
import { queries } from "../../../common/api/queries";
import { Away } from "../../../common/ui/Away";
import { Button } from "../../../common/ui/Button";
import { clock } from "../../../common/units/figures";
import { now } from "../engine/clock";
import { hush, isOn, type Mark, schedule, turn as turnSound } from "../engine/sound";
import { LiveBoard } from "../floor/LiveBoard";
import {
  AT_THE_START,
  type ClassSheet,
  gone,
  goTo,
  isOver,
  type Room,
  startOrPause,
  type Turn,
  tick,
} from "./room";

const KEPT = "invelo.class";

export default function ClassClock() {
  const { templateId = "" } = useParams();
  const [search, setSearch] = useSearchParams();
  const athletes = search.getAll("athletes");
  const rotate = search.get("rotate") === "1";
  const found = useQuery(queries.classClock(templateId, athletes, rotate));
  if (found.error) return <Away error={found.error} retry={() => found.refetch()} />;
  if (!found.data) return <p className="p-6 text-faint">Setting the clock …</p>;
  const turnRotate = () => {
    const next = new URLSearchParams(search);
    next.set("rotate", rotate ? "0" : "1");
    setSearch(next, { replace: true });
  };
  return (
    <Clocked
      key={`${templateId} ${search}`}
      name={`${templateId} ${search}`}
      sheet={found.data}
      rotate={rotate}
      onRotate={turnRotate}
    />
  );
}

interface Props {
  /** Under which the clock is kept over a reload. */
  name: string;
  sheet: ClassSheet;
  rotate: boolean;
  onRotate: () => void;
}

function Clocked({ name, sheet, rotate, onRotate }: Props) {
  const { turns } = sheet;
  const [room, setRoom] = useKept(name);
  const [sound, setSound] = useState(isOn("sound"));
  const [board, setBoard] = useState(false);
  const [, setTick] = useState(0);
  const screen = useRef<HTMLElement>(null);
  useEffect(() => {
    const timer = setInterval(() => {
      setRoom((at) => tick(at, now(), turns));
      setTick((count) => count + 1);
    }, 200);
    return () => clearInterval(timer);
  }, [turns, setRoom]);
  useTones(room, turns, sound);
  const press = () => setRoom((at) => startOrPause(at, now()));
  const move = (by: number) => setRoom((at) => goTo(at, at.at + by, now(), turns));
  const whole = () =>
    document.fullscreenElement
      ? void document.exitFullscreen()
      : void screen.current?.requestFullscreen();
  const flip = () => {
    turnSound("sound", !sound);
    setSound(!sound);
  };
  useKeys([
    [" ", press],
    ["ArrowRight", () => move(1)],
    ["ArrowLeft", () => move(-1)],
    ["f", whole],
    ["s", flip],
  ]);
  const over = isOver(room, turns);
  const turn = turns[room.at];
  const begun = room.at > 0 || room.since !== null || room.spent > 0;
  return (
    <main
      ref={screen}
      aria-label="Class clock"
      className="flex min-h-0 flex-1 flex-col overflow-auto bg-sheet p-4"
    >
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h1 className="text-2xl">
          {sheet.name}
          <span className="text-faint"> about {Math.round(sheet.minutes)} min</span>
        </h1>
        <div className="flex flex-wrap gap-1">
          <Button main={!begun} disabled={over} onClick={press} title="Start or pause (Space)">
            {room.since !== null ? "Pause" : begun ? "Go on" : "Start the clock"}
          </Button>
          <Button disabled={room.at === 0} onClick={() => move(-1)} title="Back (←)">
            Back
          </Button>
          <Button disabled={over} onClick={() => move(1)} title="Next (→)">
            Next
          </Button>
          <Button aria-pressed={rotate} disabled={begun} onClick={onRotate}>
            {rotate ? "A station each" : "All together"}
          </Button>
          <Button aria-pressed={sound} onClick={flip} title="Sound (S)">
            {sound ? "Sound on" : "Sound off"}
          </Button>
          <Button aria-pressed={board} onClick={() => setBoard(!board)}>
            Live board
          </Button>
          <Button onClick={whole} title="The whole screen (F)">
            Whole screen
          </Button>
        </div>
      </div>
      <div className={`min-h-0 flex-1 ${board ? "grid gap-4 xl:grid-cols-[1fr_26rem]" : ""}`}>
        <div>
          {!begun && sheet.fetch.length > 0 && (
            <p className="pt-2 text-xl">
              <strong className="font-head">Fetch first:</strong> {sheet.fetch.join("; ")}
            </p>
          )}
          {turn ? (
            <OneTurn turn={turn} left={turn.seconds - gone(room, now())} people={sheet.people} />
          ) : (
            <p className="py-10 font-head text-7xl">That was the class.</p>
          )}
          <Progress turns={turns} at={room.at} />
        </div>
        {board && <LiveBoard />}
      </div>
    </main>
  );
}

const KINDS: Record<Turn["kind"], string> = {
  "warm-up": "Warm-up",
  "preparatory work": "Preparatory work",
  "set up": "Set up",
  work: "Work",
  "change over": "Change over",
  rest: "Rest",
};

/** What is said to whoever has nothing to do in a turn. */
const NOTHING: Partial<Record<Turn["kind"], string>> = {
  "preparatory work": "nothing to prepare",
  "set up": "nothing to set up",
};

function OneTurn({ turn, left, people }: { turn: Turn; left: number; people: string[] }) {
  const waits = turn.kind === "rest" || turn.kind === "change over";
  const shown = Math.max(0, Math.ceil(left - 1e-6));
  return (
    <>
      <div className="flex flex-wrap items-end gap-x-8">
        <p
          role="timer"
          aria-label="Seconds left of the turn"
          className={`font-head text-[8rem] leading-none font-semibold sm:text-[13rem] ${waits ? "text-faint" : ""}`}
        >
          {clock(shown)}
        </p>
        <div className="pb-4">
          <p className="font-head text-5xl sm:text-7xl">{KINDS[turn.kind]}</p>
          <p className="text-2xl text-faint">{turn.words !== turn.kind && turn.words}</p>
        </div>
      </div>
      {waits && <p className="font-head text-3xl">Next:</p>}
      <ul className="grid gap-px border border-ink bg-hair sm:grid-cols-2 xl:grid-cols-3">
        {turn.doing.map((doing, at) => (
          <li key={people[at]} className="bg-sheet p-3">
            <p className="text-xl text-faint">{people[at]}</p>
            {doing.name ? (
              <>
                <p className="font-head text-4xl leading-tight font-semibold">{doing.name}</p>
                <p className="text-2xl">{doing.words}</p>
                {doing.cue && <p className="text-xl text-faint">{doing.cue}</p>}
              </>
            ) : (
              <p className="font-head text-4xl text-faint">{NOTHING[turn.kind] ?? "rests"}</p>
            )}
          </li>
        ))}
      </ul>
    </>
  );
}

/** Where the class stands, to scale: work dark, the rest light. */
function Progress({ turns, at }: { turns: Turn[]; at: number }) {
  const last = turns.at(-1);
  const whole = last ? last.at + last.seconds : 1;
  return (
    <svg
      viewBox={`0 0 ${whole} 10`}
      preserveAspectRatio="none"
      className="mt-4 h-4 w-full"
      aria-hidden="true"
    >
      {turns.map((turn, number) => (
        <rect
          key={turn.at}
          x={turn.at}
          width={turn.seconds}
          height={10}
          className={number < at ? "fill-ready" : turn.kind === "work" ? "fill-ink" : "fill-hair"}
        />
      ))}
    </svg>
  );
}

/** The last three seconds of each turn, and its end. */
function useTones(room: Room, turns: Turn[], sound: boolean) {
  // biome-ignore lint/correctness/useExhaustiveDependencies: laid out anew when the turn begins, not at each tick
  useEffect(() => {
    const turn = turns[room.at];
    if (!turn || room.since === null || !sound) {
      hush();
      return;
    }
    const left = turn.seconds - gone(room, now());
    const marks: Mark[] = [3, 2, 1].map((before) => ({ at: left - before, tone: "soft" }));
    schedule([...marks, { at: left, tone: "end" } satisfies Mark].filter(({ at }) => at > 0));
    return hush;
  }, [room.at, room.since, sound]);
}

/** The clock of this class in this tab, over a reload. */
function useKept(name: string): [Room, (change: (room: Room) => Room) => void] {
  const [room, setRoom] = useState<Room>(() => {
    const kept = sessionStorage.getItem(KEPT);
    const read: { name?: string; room?: Room } = kept ? JSON.parse(kept) : {};
    return read.name === name && read.room ? read.room : AT_THE_START;
  });
  useEffect(() => sessionStorage.setItem(KEPT, JSON.stringify({ name, room })), [name, room]);
  return [room, setRoom];
}
