/** What lies on the bench: a body, one set-up or two, and what the body has done. */
import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { answer, api, type Schema } from "../../common/api/client";
import { type Form, formOf } from "../../common/movement/form";
import type { SetUp } from "../../common/movement/setups";

export type Which = "one" | "other";

export interface DoneAt {
  setup: SetUp;
  /** Reps or seconds, as the movement is counted. */
  count: number;
  rpe: number;
}

export interface Lying {
  /** The measure that the body was taken from; a newer one is taken up. */
  measured: Schema["BodyMeasurementOut"] | null;
  body: Schema["BodyRequest"];
  one: SetUp;
  other: SetUp | null;
  active: Which;
  done: DoneAt | null;
}

const KEY = "invelo.bench.";
export const SOMEBODY: Schema["BodyRequest"] = { mass_kg: 70, stature_m: 1.75, table: "winter" };

export function sheetOf(lying: Lying, forms: Form[]): Schema["Sheet"] {
  const { body, one, other, done } = lying;
  return { body, one, other, done: done && doneOf(done, forms) };
}

/** What was done, where it says something of a form; nothing otherwise. */
export function telling(done: DoneAt | null, form: Form, forms: Form[]): Schema["DoneAt"] | null {
  return done && done.count > 0 && form.compares.includes(done.setup.movement)
    ? doneOf(done, forms)
    : null;
}

export function doneOf({ setup, count, rpe }: DoneAt, forms: Form[]): Schema["DoneAt"] {
  const unit = formOf(forms, setup).counted === "hold" ? "s" : "reps";
  return { setup, rpe, amount: count, unit };
}

/**
 * State that stays while the coach goes to another place and comes back.
 *
 * @param brought a set-up that was sent here from another place, to lie first.
 */
export function useLying(person: string, fresh: () => Lying, brought: SetUp | null) {
  const [lying, setLying] = useState<Lying>(() => {
    const kept = sessionStorage.getItem(KEY + person);
    const anew = fresh();
    const left = kept ? (JSON.parse(kept) as Lying) : anew;
    const before = same(left.measured, anew.measured)
      ? left
      : { ...left, measured: anew.measured, body: anew.body };
    return brought ? { ...before, one: brought, other: null, active: "one" } : before;
  });
  useEffect(() => sessionStorage.setItem(KEY + person, JSON.stringify(lying)), [person, lying]);
  // measured anew meanwhile: the body on the bench is theirs of now
  const { measured, body } = fresh();
  const left = lying.measured;
  useEffect(() => {
    if (!same(left, measured)) setLying((now) => ({ ...now, measured, body }));
  }, [left, measured, body]);
  const change = (changes: Partial<Lying>) => setLying((now) => ({ ...now, ...changes }));
  return [lying, change] as const;
}

function same(one: unknown, other: unknown): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}

/** A sheet and the answer to it. */
export interface Answered {
  sheet: Schema["Sheet"];
  bench: Schema["Bench"];
}

/**
 * The sheet computed; an answer to an earlier question is dropped when a newer one is asked, and
 * the last good answer stays while the newest question has none.
 */
export function useReading(sheet: Schema["Sheet"]) {
  const last = useRef<Answered>(undefined);
  const asked = useQuery({
    queryKey: ["bench", sheet],
    queryFn: ({ signal }) => answer(api.POST("/api/bench", { body: sheet, signal })),
    gcTime: 10_000,
  });
  if (asked.data && asked.data !== last.current?.bench) last.current = { sheet, bench: asked.data };
  return { answered: last.current, error: asked.error, settled: asked.data !== undefined };
}
