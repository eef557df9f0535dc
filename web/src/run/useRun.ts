/** A session in progress on this device: kept after every press, so that a restart loses nothing. */
import { useCallback, useEffect, useRef, useState } from "react";
import { deviceMoment } from "../api/client";
import { now } from "./clock";
import { device } from "./keep";
import * as machine from "./machine";
import { post } from "./outbox";
import type { Along, Entry, Running, Sheet } from "./types";

const TICK_MS = 100;
const id = () => crypto.randomUUID();
const base = (run: Running) => `/api/athletes/${run.athleteId}/runs/${run.sessionId}`;

export interface Run {
  /** Undefined until the device was looked at; null where nothing runs. */
  run: Running | null | undefined;
  /** The clock, renewed ten times a second. */
  at: number;
  start: (along: Along, sheet: Sheet, ended: string[]) => void;
  change: (next: (run: Running) => Running) => void;
  log: (entry: Entry, stop: number, picture: Blob | null) => void;
  skip: (why: string) => void;
  finish: (effort: number) => Promise<void>;
  leave: () => void;
}

export function useRun(athleteId: string): Run {
  const [run, setRun] = useState<Running | null | undefined>(undefined);
  const [at, setAt] = useState(now);
  const latest = useRef(run);
  latest.current = run;

  const keep = useCallback(
    (next: Running | null) => {
      latest.current = next;
      setRun(next);
      void device().then(async (db) => {
        if (next) await db.put("runs", next, athleteId);
        else await db.delete("runs", athleteId);
      });
    },
    [athleteId],
  );

  useEffect(() => {
    device()
      .then((db) => db.get("runs", athleteId))
      .then((found) => setRun(found ?? null));
  }, [athleteId]);

  useEffect(() => {
    const step = () => {
      const before = latest.current;
      setAt(now());
      if (!before) return;
      const next = machine.tick(before, now(), id);
      if (next !== before) keep(next);
    };
    const timer = setInterval(step, TICK_MS);
    document.addEventListener("visibilitychange", step);
    return () => {
      clearInterval(timer);
      document.removeEventListener("visibilitychange", step);
    };
  }, [keep]);

  useWhere(run);

  const change = (next: (run: Running) => Running) => {
    if (latest.current) keep(next(latest.current));
  };

  const start = (along: Along, sheet: Sheet, ended: string[]) => {
    const made = { ...machine.begin(along, sheet, sheet.id ?? id()), ended };
    const first = made.sheet.events.findIndex((event) => !ended.includes(event.item));
    const begun = { ...made, at: Math.max(0, first), since: now() };
    keep(begun);
    void post(athleteId, {
      what: "session",
      method: "PUT",
      path: base(begun),
      body: { name: sheet.name, ladder_id: sheet.ladder_id, ...deviceMoment() },
    });
  };

  const log = (entry: Entry, stop: number, picture: Blob | null) => {
    const before = latest.current;
    if (!before || entry.effort === null) return;
    keep(machine.log(before, entry, stop, now()));
    const sets = entry.ids.map((set, side) => ({
      what: "set",
      method: "PUT" as const,
      path: `${base(before)}/sets/${set}`,
      body: asSent(entry, side),
    }));
    const pictures = picture
      ? [
          {
            what: "picture",
            method: "PUT" as const,
            path: `/api/athletes/${athleteId}/sets/${entry.ids[0]}/picture`,
            body: null,
            blob: picture,
          },
        ]
      : [];
    void post(athleteId, ...sets, ...pictures);
  };

  const skip = (why: string) => {
    const before = latest.current;
    if (!before) return;
    const [next, gone] = machine.skip(before, now());
    keep(next);
    if (gone)
      void post(athleteId, {
        what: "skip",
        method: "PUT",
        path: `${base(before)}/skips/${id()}`,
        body: { name: gone.item.name.slice(0, 80), number: gone.set + 1, why, ...deviceMoment() },
      });
  };

  const finish = async (effort: number) => {
    const before = latest.current;
    if (!before) return;
    await post(athleteId, {
      what: "end of the session",
      method: "POST",
      path: `${base(before)}/finish`,
      body: { effort, ...deviceMoment() },
    });
    keep(null);
  };

  return { run, at, start, change, log, skip, finish, leave: () => keep(null) };
}

const AS_UNIT = { reps: "reps", s: "seconds", cm: "centimetres" } as const;

/** A set as the service takes it. */
function asSent(entry: Entry, side: number): Record<string, unknown> {
  const { what } = entry;
  const amount = entry.amounts[side] ?? 0;
  return {
    number: entry.set + 1,
    rung_id: what.rung_id,
    movement: what.movement,
    changes: what.changes,
    item: entry.item,
    kind: entry.kind,
    side: entry.sides[side] ?? "",
    ...(entry.about ? { told: `about ${amount}` } : { [AS_UNIT[what.unit]]: amount }),
    partial: entry.partial,
    asked_low: entry.low,
    asked_high: entry.high,
    effort: entry.effort,
    clean: entry.faults.length === 0,
    faults: entry.faults,
    felt_in: entry.felt,
    pain: entry.pain,
    pain_place: entry.place,
    note: entry.note,
    at: entry.at,
    zone: deviceMoment().zone,
  };
}

/** Say where in the session this is, for whoever watches; nobody waits for it. */
function useWhere(run: Running | null | undefined) {
  const event = run ? machine.eventOf(run) : undefined;
  const next = run ? machine.upcoming(run) : null;
  const item = run && next ? machine.itemOf(run, next[1].item) : undefined;
  const told =
    run && next && item
      ? JSON.stringify({
          state: run.paused ? "paused" : event?.kind === "work" ? "working" : "resting",
          doing: (machine.setOf(run, item, next[1].set)?.what.name ?? item.name).slice(0, 120),
          set_number: next[1].set + 1,
          set_count: item.sets.length,
          step: run.at + 1,
          steps: run.sheet.events.length,
        })
      : "";
  const path = run ? base(run) : "";
  useEffect(() => {
    if (!told || !navigator.onLine) return;
    void fetch(`${path}/where`, {
      method: "PUT",
      body: told,
      headers: { "Content-Type": "application/json" },
    }).catch(() => undefined);
  }, [told, path]);
}
