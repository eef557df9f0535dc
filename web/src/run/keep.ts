/** What the device keeps: sessions taken along, the run in progress, and what waits to be sent. */
import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import type { FieldProblem } from "../api/client";
import type { Along, Running } from "./types";

export interface Outgoing {
  /** Counts up: things go out in the order they were done. */
  seq?: number;
  athlete: string;
  what: string;
  method: "PUT" | "POST";
  path: string;
  body: Record<string, unknown> | null;
  /** A picture goes as it is. */
  blob?: Blob;
  /** What the service held against it; it stays here until it is put right or let go. */
  refused?: FieldProblem[];
}

interface Kept extends DBSchema {
  along: { key: string; value: { sheet: Along; offset: number; at: number } };
  runs: { key: string; value: Running };
  outbox: { key: number; value: Outgoing; indexes: { athlete: string } };
}

let opened: Promise<IDBPDatabase<Kept>> | null = null;

export function device(): Promise<IDBPDatabase<Kept>> {
  opened ??= openDB<Kept>("invelo", 1, {
    upgrade(db) {
      db.createObjectStore("along");
      db.createObjectStore("runs");
      const outbox = db.createObjectStore("outbox", { keyPath: "seq", autoIncrement: true });
      outbox.createIndex("athlete", "athlete");
    },
    terminated() {
      opened = null;
    },
  });
  return opened;
}

const LAST = "invelo.phone";

/** Whose phone this is: who came in by a link here last. */
export const owner = {
  get: () => localStorage.getItem(LAST) ?? "",
  set: (athlete: string) => localStorage.setItem(LAST, athlete),
};
