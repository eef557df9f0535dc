/** What is heard of a session: the phases of a rep, the last seconds of a clock, what comes next. */
import { useEffect } from "react";
import { now, phaseStarts } from "../engine/clock";
import {
  byClock,
  elapsed,
  eventOf,
  itemOf,
  setOf,
  sideOf,
  swapsLead,
  upcoming,
  warmUpOf,
} from "../engine/machine";
import { hush, type Mark, schedule } from "../engine/sound";
import type { Event, Running, RunSet } from "../engine/types";

/** Seconds ahead for which a set's tones are laid out. */
const AHEAD = 600;

export function useHeard(run: Running | null, sound: boolean, speech: boolean) {
  const event = run ? eventOf(run) : undefined;
  const item = run && event ? itemOf(run, event.item) : undefined;
  const set = run && item && event ? setOf(run, item, event.set) : undefined;
  const key =
    run && event
      ? [run.at, run.since, run.paused, run.oneByOne, set?.what.name, run.finishing].join()
      : "";
  // biome-ignore lint/correctness/useExhaustiveDependencies: laid out anew when the step begins, not at each tick
  useEffect(() => {
    const listed = run ? warmUpOf(run).length > 0 : false;
    if (!run || !event || run.since === null || run.finishing || listed || !(sound || speech)) {
      hush();
      return;
    }
    const gone = elapsed(run, now());
    const marks = event.kind === "work" && set ? worked(run, event, set) : waited(run, event);
    schedule(marks.map((mark) => ({ ...mark, at: mark.at - gone })).filter(({ at }) => at > -0.05));
  }, [key, sound, speech]);
}

function worked(run: Running, event: Event, set: RunSet): Mark[] {
  const item = itemOf(run, event.item);
  const swap: Mark[] =
    item && swapsLead(item, set)
      ? [{ at: event.seconds / 2, tone: "end", say: "swap the lead" }]
      : [];
  return [...swap, ...counted(run, event, set)];
}

function counted(run: Running, event: Event, set: RunSet): Mark[] {
  if (byClock(run, event)) return ends(event.seconds);
  if (set.what.unit === "s")
    return [
      { at: set.low, tone: "up", say: `${set.low} seconds` },
      { at: set.high, tone: "end", say: "enough" },
    ];
  let rep = 0;
  return phaseStarts(set.what.phases, AHEAD).map(({ at, phase }) => {
    const going = phase.start === 0 && phase.end === 1;
    if (going) rep += 1;
    const tone =
      phase.start === phase.end
        ? "soft"
        : phase.name === "lower" || phase.name === "return"
          ? "down"
          : "up";
    const say = going ? String(rep) : phase.start === phase.end ? "hold" : phase.name;
    return { at, tone, say };
  });
}

function waited(run: Running, event: Event): Mark[] {
  const next = upcoming(run);
  const item = next && itemOf(run, next[1].item);
  const set = next && item && setOf(run, item, next[1].set);
  const marks = ends(event.seconds);
  if (item && set && event.kind !== "count in") {
    const side = sideOf(item, next[1]);
    marks.unshift({
      at: 0.3,
      tone: "soft",
      say: `Next: ${set.what.name}${side && `, ${side} side`}, ${set.low} to ${set.high}`,
    });
  }
  return marks;
}

/** The last three seconds, and the end. */
function ends(seconds: number): Mark[] {
  const last: Mark[] = [3, 2, 1]
    .filter((before) => before < seconds)
    .map((before) => ({ at: seconds - before, tone: "soft", say: String(before) }));
  return [...last, { at: seconds, tone: "end" }];
}
