/** What the device keeps: sessions taken along, the run in progress, and what waits to be sent. */
import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import type { FieldProblem, Schema } from "../../../common/api/client";
import { renamed } from "./earlier";
import type { Along, Entry, Running } from "./types";

interface Waiting {
  /** Counts up: things go out in the order they were done. */
  seq?: number;
  athlete: string;
  path: string;
  /** What the service held against it; it stays here until it is put right or let go. */
  refused?: FieldProblem[];
}

/** The shape of what is sent; release 0.1 sent the first, which the service reads as well. */
export const SHAPE = 2;

/** A thing as this release sends it, by what it is. */
export type Sent =
  | { what: "session"; method: "PUT"; body: Schema["NewRun"] }
  | { what: "set"; method: "PUT"; body: Schema["NewSet"] }
  | { what: "skip"; method: "PUT"; body: Schema["NewSkip"] }
  | { what: "check-in"; method: "PUT"; body: Schema["NewCheckIn"] }
  | { what: "tick"; method: "PUT"; body: Schema["NewTick"] }
  | { what: "end of the session"; method: "POST"; body: Schema["Finish"] }
  | { what: "picture"; method: "PUT"; body: null; blob: Blob };

/** A thing as release 0.1 left it on the device; it goes out as it was made. */
type Earlier = { what: string; method: "PUT" | "POST"; body: object | null; blob?: Blob };

export type Thing = Sent & { path: string };

export type Outgoing = Waiting & ((Sent & { shape: typeof SHAPE }) | (Earlier & { shape: 1 }));

interface Kept extends DBSchema {
  along: { key: string; value: { sheet: Along; offset: number; at: number } };
  runs: { key: string; value: Running };
  outbox: { key: number; value: Outgoing; indexes: { athlete: string } };
}

export type Device = IDBPDatabase<Kept>;

let opened: Promise<Device> | null = null;

export function device(): Promise<Device> {
  opened ??= openDevice(() => {
    opened = null;
  });
  return opened;
}

/** Open what the device keeps; `lost` is told if it fails or the browser takes it away. */
export function openDevice(lost: () => void): Promise<Device> {
  const opening = openDB<Kept>("invelo", 3, {
    async upgrade(db, from, _, transaction) {
      if (from < 1) {
        db.createObjectStore("along");
        db.createObjectStore("runs");
        const outbox = db.createObjectStore("outbox", { keyPath: "seq", autoIncrement: true });
        outbox.createIndex("athlete", "athlete");
        return;
      }
      const runs = transaction.objectStore("runs"); // a session may be under way
      for (let at = await runs.openCursor(); at; at = await at.continue()) {
        const run = from < 2 ? withPartials(at.value as unknown as FirstRunning) : at.value;
        await at.update(renamed(run));
      }
      const along = transaction.objectStore("along");
      for (let at = await along.openCursor(); at; at = await at.continue())
        await at.update(renamed(at.value));
      const outbox = transaction.objectStore("outbox");
      for (let at = await outbox.openCursor(); at; at = await at.continue())
        await at.update({ ...at.value, shape: 1 });
    },
    blocking() {
      void opening.then((db) => db.close()); // a newer page waits to take over
      lost();
    },
    terminated: lost,
  });
  opening.catch(lost); // the next to ask tries again
  return opening;
}

/** A session as version 1 kept it: one count of partial reps a set, the first side a bare amount. */
type FirstEntry = Omit<Entry, "partials"> & { partial: number };
type FirstRunning = Omit<Running, "firstSide" | "pending" | "logged"> & {
  firstSide: number | null;
  pending: FirstEntry[];
  logged: FirstEntry[];
};

function withPartials({ firstSide, pending, logged, ...run }: FirstRunning): Running {
  const entry = ({ partial, ...rest }: FirstEntry): Entry => ({
    ...rest,
    partials: rest.ids.map(() => partial),
  });
  return {
    ...run,
    pending: pending.map(entry),
    logged: logged.map(entry),
    firstSide:
      firstSide === null
        ? null
        : { amount: firstSide, partial: 0, faults: [], counted: "by the pace" },
  };
}

/** Keep the run as it stands and what it sends, both or neither; null where the run is over. */
export async function keepRun(
  db: Device,
  athlete: string,
  run: Running | null,
  things: Thing[],
): Promise<void> {
  const transaction = db.transaction(["runs", "outbox"], "readwrite");
  const runs = transaction.objectStore("runs");
  const outbox = transaction.objectStore("outbox");
  await whole(transaction, [
    () => (run ? runs.put(run, athlete) : runs.delete(athlete)),
    ...things.map((thing) => () => outbox.add({ ...thing, shape: SHAPE, athlete })),
  ]);
}

/** Keep things to be sent, all or none. */
export async function keepToSend(db: Device, athlete: string, things: Thing[]): Promise<void> {
  const transaction = db.transaction("outbox", "readwrite");
  await whole(
    transaction,
    things.map((thing) => () => transaction.store.add({ ...thing, shape: SHAPE, athlete })),
  );
}

/** Write everything or nothing: what can't be kept at all throws, and would leave the rest written. */
async function whole(
  transaction: { done: Promise<void>; abort: () => void },
  writes: (() => Promise<unknown>)[],
): Promise<void> {
  const ended = transaction.done.catch(() => undefined);
  const all = writes.map(async (write) => write());
  for (const one of all) one.catch(() => undefined); // the first to fail speaks for the others
  try {
    await Promise.all(all);
  } catch (error) {
    transaction.abort();
    await ended;
    throw error;
  }
  await transaction.done;
}

const LAST = "invelo.phone";

/** Whose phone this is: who came in by a link here last. */
export const owner = {
  get: () => localStorage.getItem(LAST) ?? "",
  set: (athlete: string) => localStorage.setItem(LAST, athlete),
};
