/** A plan as the sheet moves it about: tasks on days, and the coach's pins. */
import type { Schema } from "../../common/api/client";
import { type Lost, lostOf } from "./availability";

export type Sheet = Schema["WeekSheet"];
export type Task = Schema["PlannedTask"];
export type Placed = Schema["PlacedTask"];
export type Pin = Schema["PinRequest"];

/** What a week would be kept as. */
export interface Draft {
  placed: Placed[];
  pins: Pin[];
  lost: Lost;
}

export interface Picked {
  day: number;
  key: string;
}

export function draftOf(sheet: Sheet): Draft {
  return {
    placed: sheet.tasks.flatMap(({ key, days }) => days.map((day) => ({ task: key, day }))),
    pins: sheet.pins,
    lost: lostOf(sheet),
  };
}

const same = (one: Placed, task: string, day: number) => one.task === task && one.day === day;

export function isOn(draft: Draft, task: string, day: number): boolean {
  return draft.placed.some((placement) => same(placement, task, day));
}

/** What stands on a day, in the order it is done; what was just put there comes last. */
export function tasksOn(sheet: Sheet, placed: Placed[], day: number): Task[] {
  const order = sheet.days.find(({ index }) => index === day)?.tasks ?? [];
  const rank = (key: string) => (order.includes(key) ? order.indexOf(key) : order.length);
  return sheet.tasks
    .filter(({ key }) => placed.some((placement) => same(placement, key, day)))
    .sort((a, b) => rank(a.key) - rank(b.key));
}

/** A task moved from a day to another; its pin goes with it. */
export function moved(draft: Draft, task: string, from: number, to: number): Draft {
  const stays = draft.placed.filter(
    (placement) => !same(placement, task, from) && !same(placement, task, to),
  );
  const pins = draft.pins.filter((pin) => !(pin.task === task && [from, to].includes(pin.day)));
  const pinned = draft.pins.some((pin) => same(pin, task, from) && pin.there);
  return {
    ...draft,
    placed: [...stays, { task, day: to }],
    pins: pinned ? [...pins, { task, day: to, there: true }] : pins,
  };
}

/** A task taken off a day. */
export function without(draft: Draft, task: string, day: number): Draft {
  return {
    ...draft,
    placed: draft.placed.filter((placement) => !same(placement, task, day)),
    pins: draft.pins.filter((pin) => !same(pin, task, day)),
  };
}

/** Two days with everything on them, pins included, in each other's place. */
export function swapped(draft: Draft, one: number, other: number): Draft {
  const turn = <T extends { day: number }>(it: T): T => ({
    ...it,
    day: it.day === one ? other : it.day === other ? one : it.day,
  });
  return { ...draft, placed: draft.placed.map(turn), pins: draft.pins.map(turn) };
}

/** Pinned to its day, or kept off it, or let go if it was. */
export function pinTurned(draft: Draft, task: string, day: number, there: boolean): Draft {
  const was = draft.pins.some((pin) => same(pin, task, day) && pin.there === there);
  const pins = draft.pins.filter((pin) => !same(pin, task, day));
  const next = { ...draft, pins: was ? pins : [...pins, { task, day, there }] };
  const off = !was && !there;
  return off
    ? { ...next, placed: draft.placed.filter((placement) => !same(placement, task, day)) }
    : next;
}
