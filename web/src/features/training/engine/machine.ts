/** A session in progress: what each press does to it. No screen, no network, no clock of its own. */
import { VOCABULARY } from "../../../common/vocabulary";
import { beat } from "./clock";
import type { Along, Choice, Count, Entry, Event, Item, Running, RunSet, Sheet } from "./types";

/** What a run needs from the device: new ids, and a moment of `now()` as its wall clock tells it. */
export interface Means {
  id: () => string;
  stamp: (moment: number) => string;
}

export function begin(along: Along, sheet: Sheet, sessionId: string): Running {
  return {
    athleteId: along.athlete_id,
    sessionId,
    sheet,
    at: 0,
    since: null,
    spent: 0,
    paused: false,
    swaps: {},
    firstSide: null,
    pending: [],
    logged: [],
    ended: [],
    finishing: false,
  };
}

export const eventOf = (run: Running): Event | undefined => run.sheet.events[run.at];

export function itemOf(run: Running, key: string): Item | undefined {
  return run.sheet.items.find((item) => item.key === key);
}

/** Which side an event is of, "" for both. */
export function sideOf(item: Item, event: Event): string {
  if (event.side === 0) return "";
  const first = item.first_side || "left";
  const other = first === "right" ? "left" : "right";
  return event.side === 1 ? first : other;
}

export const blockOf = (run: Running, event: Event) => run.sheet.blocks[event.block];

const PLANNED: RunSet["kind"][] = ["work", "single", "piece", "cluster", "attempt"];

/** The choice that an item is done by instead of what was planned. */
export function swapOf(run: Running, item: Item): Choice | undefined {
  const index = run.swaps[item.key];
  return index === undefined ? undefined : item.choices[index];
}

/** A set as it is to be done now. */
export function setOf(run: Running, item: Item, index: number): RunSet | undefined {
  const planned = item.sets[index];
  const swap = swapOf(run, item);
  if (!planned || !swap || !PLANNED.includes(planned.kind)) return planned;
  const { what, low, high, rpe } = swap;
  return { ...planned, what, low, high, rpe };
}

/** Whether the set at hand, or the next one, may be done on another rung. */
export function canSwap(run: Running): boolean {
  const next = upcoming(run);
  const set = next && itemOf(run, next[1].item)?.sets[next[1].set];
  return set ? PLANNED.includes(set.kind) : false;
}

/** Seconds of the event so far. */
export function elapsed(run: Running, now: number): number {
  return (run.spent + (run.since === null ? 0 : Math.max(0, now - run.since))) / 1000;
}

/** Whether an event ends by the clock alone. */
export function byClock(run: Running, event: Event): boolean {
  if (event.kind === "count in" || event.kind === "change sides") return true;
  return blockOf(run, event)?.clocked === true;
}

const done = (run: Running, event: Event) => run.ended.includes(event.item);

/** Go to an event, or to the next that pain has not ended; with no work left the session is over. */
function goTo(run: Running, index: number, now: number): Running {
  const { events } = run.sheet;
  const ahead = events.slice(index).findIndex((event) => !done(run, event));
  const at = ahead < 0 ? events.length : index + ahead;
  const over = upcoming({ ...run, at }) === null; // nobody rests for nothing
  const stands = { spent: 0, paused: false, finishing: over };
  return { ...run, ...stands, at: over ? events.length : at, since: over ? null : now };
}

/** What warms up, while it stands as one list before the first set; none once it is run or done. */
export function warmUpOf(run: Running): Item[] {
  const event = eventOf(run);
  const block = event && blockOf(run, event);
  if (!block || block.format !== WARM_UP || run.oneByOne || run.finishing) return [];
  return block.items.flatMap((key) => itemOf(run, key) ?? []);
}

const WARM_UP = "warm-up";

/** Past the warm-up, to what comes after it. */
export function warmedUp(run: Running, now: number): Running {
  const block = eventOf(run)?.block;
  const after = run.sheet.events.findIndex((event, at) => at > run.at && event.block !== block);
  return goTo(run, after < 0 ? run.sheet.events.length : after, now);
}

/** Let time pass: whatever ends by the clock ends when it is due, however late the page wakes. */
export function tick(run: Running, now: number, means: Means): Running {
  let next = run;
  for (;;) {
    const event = eventOf(next);
    if (!event || next.since === null || next.finishing || !byClock(next, event)) return next;
    if (warmUpOf(next).length) return next;
    if (elapsed(next, now) < event.seconds) return next;
    const due = next.since - next.spent + event.seconds * 1000;
    next = advance(next, due, means);
  }
}

/**
 * End the event and go on; a set that ends leaves an entry to be filled in.
 *
 * @param seen what a sensor counted of the set, or of the side of it that ends now.
 */
export function advance(
  run: Running,
  now: number,
  means: Means,
  seen: Pick<Count, "amount" | "partial" | "faults"> | null = null,
): Running {
  const event = eventOf(run);
  if (!event) return run;
  const next = event.kind === "work" ? worked(run, event, now, means, seen) : run;
  return goTo(next, run.at + 1, now);
}

function worked(
  run: Running,
  event: Event,
  now: number,
  means: Means,
  seen: Pick<Count, "amount" | "partial" | "faults"> | null,
): Running {
  const item = itemOf(run, event.item);
  const set = item && setOf(run, item, event.set);
  if (!item || !set || set.kind === "easy") return run;
  const count: Count =
    seen && set.what.unit === "reps"
      ? { ...seen, counted: "by a sensor" }
      : {
          amount: counted(set, elapsed(run, now)),
          partial: 0,
          faults: [],
          counted: set.what.unit === "reps" ? "by the pace" : "by hand",
        };
  if (event.side === 1 && set.sides === 2) return { ...run, firstSide: count };
  const second = event.side === 2 && set.sides === 2;
  if (!second && countedOf(item, set) === "alternating" && item.counted === "per side")
    return left(
      run,
      {
        item,
        set,
        number: event.set,
        counts: halves(count),
        sides: sidesOf(item),
        at: means.stamp(now),
      },
      means,
    );
  // a second side done again after the set was logged stands by itself
  const both = second && run.firstSide ? [run.firstSide, count] : [count];
  const summed = second && item.counted === "alternating";
  const counts = summed ? [together(both)] : both;
  const sides = summed ? [set.side] : second ? sidesOf(item).slice(-counts.length) : [set.side];
  return left(run, { item, set, number: event.set, counts, sides, at: means.stamp(now) }, means);
}

/** How a set's sides take turns: as was asked, or as the movement is counted. */
export const countedOf = (item: Item, set: RunSet) => set.counted || item.counted;

/** Whether the side that leads is swapped halfway: of reps that alternate, not of an easy jog. */
export const swapsLead = (item: Item, set: RunSet) =>
  countedOf(item, set) === "alternating" && set.kind !== "easy" && set.what.unit === "reps";

/** What was done in turns belongs to both sides, the first the odd one. */
function halves({ amount, partial, faults, counted }: Count): Count[] {
  return [Math.ceil(amount / 2), Math.floor(amount / 2)].map((half, at) => ({
    amount: half,
    partial: at ? Math.floor(partial / 2) : Math.ceil(partial / 2),
    faults,
    counted,
  }));
}

/** Both sides of what is counted in all. */
function together(counts: Count[]): Count {
  const last = counts.at(-1);
  return {
    amount: counts.reduce((sum, { amount }) => sum + amount, 0),
    partial: counts.reduce((sum, { partial }) => sum + partial, 0),
    faults: [...new Set(counts.flatMap(({ faults }) => faults))],
    counted: last?.counted ?? "by hand",
  };
}

/** The sides of an item in the order they are done. */
export const sidesOf = (item: Item): Entry["sides"] =>
  item.first_side === "right" ? ["right", "left"] : ["left", "right"];

interface Done {
  item: Item;
  set: RunSet;
  number: number;
  /** One for each side that was done. */
  counts: Count[];
  sides: Entry["sides"];
  at: string;
}

/** What was done is left to be filled in. */
function left(run: Running, { item, set, number, counts, sides, at }: Done, means: Means): Running {
  const entry: Entry = {
    ids: sides.map(means.id),
    item: item.key,
    set: number,
    what: set.what,
    kind: set.kind,
    low: set.low,
    high: set.high,
    askedRpe: set.rpe,
    openEnd: set.open_end,
    number: set.number,
    inTurn: set.in_turn,
    amounts: counts.map(({ amount }) => amount),
    sides,
    rpe: null,
    partials: counts.map(({ partial }) => partial),
    about: false,
    faults: [...new Set(counts.flatMap(({ faults }) => faults))],
    felt: [],
    pain: 0,
    place: "",
    note: "",
    at,
    counted: counts.at(-1)?.counted ?? "by hand",
  };
  return { ...run, firstSide: null, pending: [...run.pending, entry] };
}

/** What the clock says was done: reps by the pace, or seconds held; to be put right by hand. */
export function counted(set: RunSet, seconds: number): number {
  if (set.what.unit === "s") return Math.floor(seconds);
  if (set.what.unit === "cm") return set.low;
  const paced = beat(set.what.phases, seconds + 0.25)?.reps ?? set.low;
  return Math.max(1, Math.min(paced, 200));
}

export function pause(run: Running, now: number): Running {
  if (run.finishing) return run;
  if (run.paused) return { ...run, paused: false, since: now };
  return { ...run, paused: true, spent: elapsed(run, now) * 1000, since: null };
}

/** Back to the set before; what it left to be filled in goes, what is logged stays. */
export function back(run: Running, now: number): Running {
  let at = run.at - 1;
  while (at > 0 && run.sheet.events[at]?.kind !== "work") at -= 1;
  const event = run.sheet.events[Math.max(0, at)];
  const gone = run.pending.find((entry) => entry.item === event?.item && entry.set === event.set);
  const pending = run.pending.filter((entry) => entry !== gone);
  // back at the second side: what the first one did stands
  const firstSide = gone && event?.side === 2 ? countOf(gone, 0) : run.firstSide;
  return goTo({ ...run, pending, firstSide, finishing: false }, Math.max(0, at), now);
}

const countOf = (entry: Entry, side: number): Count => ({
  amount: entry.amounts[side] ?? 0,
  partial: entry.partials[side] ?? 0,
  faults: entry.faults,
  counted: entry.counted,
});

/**
 * Past the set at hand, or the one that comes next; what was skipped. A first side that was done
 * before its second is skipped is left to be filled in.
 */
export function skip(
  run: Running,
  now: number,
  means: Means,
): [Running, { item: Item; set: number } | null] {
  const target = upcoming(run);
  if (!target) return [run, null];
  const [index, event] = target;
  let at = index + 1;
  while (at < run.sheet.events.length) {
    const next = run.sheet.events[at];
    if (next && (next.kind === "work" || next.kind === "count in" || next.kind === "rig_change")) {
      if (next.item !== event.item || next.set !== event.set) break;
    }
    at += 1;
  }
  const item = itemOf(run, event.item);
  const set = item && setOf(run, item, event.set);
  const half =
    item && set && run.firstSide
      ? left(
          run,
          {
            item,
            set,
            number: event.set,
            counts: [run.firstSide],
            sides: sidesOf(item).slice(0, 1),
            at: means.stamp(now),
          },
          means,
        )
      : run;
  return [goTo(half, at, now), item ? { item, set: event.set } : null];
}

/** The set at hand, or while resting the next one. */
export function upcoming(run: Running): [number, Event] | null {
  for (let at = run.at; at < run.sheet.events.length; at++) {
    const event = run.sheet.events[at];
    if (event?.kind === "work" && !done(run, event)) return [at, event];
  }
  return null;
}

/** Which of an item's choices is one easier or harder than what is done now; −1 for none. */
export function beside(run: Running, item: Item, way: 1 | -1): number {
  const here = run.swaps[item.key] ?? item.choices.findIndex((choice) => choice.way === "here");
  const index = here + way;
  return index >= 0 && index < item.choices.length ? index : -1;
}

export function swap(run: Running, item: Item, index: number): Running {
  return { ...run, swaps: { ...run.swaps, [item.key]: index } };
}

/** An entry goes to the log; pain that is too much ends what it hurts in. */
export function log(run: Running, entry: Entry, stop: number, now: number): Running {
  const next = {
    ...run,
    pending: run.pending.filter((one) => one.ids[0] !== entry.ids[0]),
    logged: [...run.logged, entry],
  };
  if (entry.pain < stop) return next;
  const hurt = [entry.item, ...endedBefore(run.sheet, jointsOf(entry.place))];
  const ended = [...new Set([...run.ended, ...hurt])];
  const stopped = { ...next, ended };
  const event = eventOf(stopped);
  if (stopped.finishing || !event || !ended.includes(event.item)) return stopped;
  return goTo({ ...stopped, firstSide: null }, stopped.at, now);
}

/** The joints that a place names in someone's own words. */
export function jointsOf(place: string): string[] {
  const said = place.toLowerCase();
  return VOCABULARY.jointWords
    .filter(([, words]) => words.some((word) => said.includes(word)))
    .map(([joint]) => joint);
}

/** Items that pain in some joints keeps from being done. */
export function endedBefore(sheet: Sheet, places: string[]): string[] {
  return sheet.items
    .filter((item) => Object.keys(item.loads).some((joint) => places.includes(joint)))
    .map((item) => item.key);
}
