/** A session in progress on this device: kept after every press, so that a restart loses nothing. */
import { useCallback, useEffect, useRef, useState } from "react";
import { deviceMoment } from "../../../common/api/client";
import { deviceStamp, now } from "./clock";
import { device, keepRun, type Thing } from "./keep";
import * as machine from "./machine";
import * as outgoing from "./outgoing";
import { outbox } from "./sending";
import type { Along, Entry, Running, Sheet } from "./types";

const TICK_MS = 100;
export const means: machine.Means = { id: () => crypto.randomUUID(), stamp: deviceStamp };

export interface Run {
  /** Undefined until the device was looked at; null where nothing runs. */
  run: Running | null | undefined;
  /** The clock, renewed ten times a second. */
  at: number;
  start: (along: Along, sheet: Sheet, ended: string[]) => void;
  change: (next: (run: Running) => Running) => void;
  log: (entry: Entry, stop: number, picture: Blob | null) => void;
  skip: (why: string) => void;
  finish: (rpe: number) => Promise<void>;
  leave: () => void;
}

export function useRun(athleteId: string): Run {
  const [run, setRun] = useState<Running | null | undefined>(undefined);
  const [at, setAt] = useState(now);
  const latest = useRef(run);
  latest.current = run;

  const keep = useCallback(
    async (next: Running | null, ...things: Thing[]) => {
      latest.current = next;
      setRun(next);
      await keepRun(await device(), athleteId, next, things);
      if (things.length) void outbox.send(athleteId);
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
      const next = machine.tick(before, now(), means);
      if (next !== before) void keep(next);
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
    if (latest.current) void keep(next(latest.current));
  };

  const start = (along: Along, sheet: Sheet, ended: string[]) => {
    const made = { ...machine.begin(along, sheet, sheet.id ?? means.id()), ended };
    const first = made.sheet.events.findIndex((event) => !ended.includes(event.item));
    const begun = { ...made, at: Math.max(0, first), since: now() };
    void keep(begun, outgoing.started(begun, deviceMoment()));
  };

  const log = (entry: Entry, stop: number, picture: Blob | null) => {
    const before = latest.current;
    if (!before || entry.rpe === null) return;
    const things = outgoing.logged(before, entry, picture, deviceMoment().time_zone);
    void keep(machine.log(before, entry, stop, now()), ...things);
  };

  const skip = (why: string) => {
    const before = latest.current;
    if (!before) return;
    const [next, gone] = machine.skip(before, now(), means);
    const thing = gone && outgoing.skipped(before, gone, why, means.id(), deviceMoment());
    void keep(next, ...(thing ? [thing] : []));
  };

  const finish = async (rpe: number) => {
    const before = latest.current;
    if (before) await keep(null, outgoing.finished(before, rpe, deviceMoment()));
  };

  return { run, at, start, change, log, skip, finish, leave: () => void keep(null) };
}

/** Say where in the session this is, for whoever watches; nobody waits for it. */
function useWhere(run: Running | null | undefined) {
  const event = run ? machine.eventOf(run) : undefined;
  const next = run ? machine.upcoming(run) : null;
  const item = run && next ? machine.itemOf(run, next[1].item) : undefined;
  const thing =
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
  const path = run ? outgoing.base(run) : "";
  useEffect(() => {
    if (!thing || !navigator.onLine) return;
    void fetch(`${path}/where`, {
      method: "PUT",
      body: thing,
      headers: { "Content-Type": "application/json" },
    }).catch(() => undefined);
  }, [thing, path]);
}
