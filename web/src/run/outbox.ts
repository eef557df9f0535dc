/**
 * What was done goes out in the order it was done, each thing once: it waits on the device until the
 * service has said that it is kept. Ids are made here, so that sending twice writes once.
 */
import { useSyncExternalStore } from "react";
import type { FieldProblem } from "../api/client";
import { device, type Outgoing } from "./keep";

export type Line = "sent" | "waiting" | "sending" | "away" | "ended";

export interface Sending {
  line: Line;
  waiting: number;
  refused: Outgoing[];
  /** Why the way in has ended, in words. */
  why: string;
}

const NOTHING: Sending = { line: "sent", waiting: 0, refused: [], why: "" };
const AGAIN_MS = 4_000;

let current: Sending = NOTHING;
let timer: ReturnType<typeof setTimeout> | undefined;
const listeners = new Set<() => void>();
const told = "BroadcastChannel" in globalThis ? new BroadcastChannel("invelo-outbox") : null;

function show(next: Sending) {
  current = next;
  for (const listener of listeners) listener();
}

/** The state of sending, to be seen on every sheet of the phone. */
export function useSending(): Sending {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => current,
  );
}

async function count(athlete: string): Promise<{ waiting: Outgoing[]; refused: Outgoing[] }> {
  const all = await (await device()).getAllFromIndex("outbox", "athlete", athlete);
  return {
    waiting: all.filter((one) => !one.refused),
    refused: all.filter((one) => one.refused),
  };
}

/** Keep things to be sent, all or none, and try. */
export async function post(athlete: string, ...things: Omit<Outgoing, "athlete">[]) {
  const transaction = (await device()).transaction("outbox", "readwrite");
  for (const thing of things) transaction.store.add({ ...thing, athlete });
  await transaction.done;
  void send(athlete);
}

/** Let go of something the service refused. */
export async function letGo(athlete: string, seq: number) {
  await (await device()).delete("outbox", seq);
  void send(athlete);
}

/** Send what waits. One tab at a time does; the others learn of it. */
export async function send(athlete: string): Promise<void> {
  clearTimeout(timer);
  const { waiting, refused } = await count(athlete);
  show({ ...current, line: waiting.length ? "sending" : "sent", waiting: waiting.length, refused });
  if (waiting.length === 0) return;
  await navigator.locks.request("invelo-outbox", async () => sendInTurn(athlete));
  told?.postMessage(athlete);
}

async function sendInTurn(athlete: string) {
  for (;;) {
    const { waiting, refused } = await count(athlete);
    const next = waiting[0];
    if (!next) return show({ line: "sent", waiting: 0, refused, why: "" });
    const became = await once(next);
    if (became.kind === "kept") await (await device()).delete("outbox", next.seq as number);
    if (became.kind === "refused")
      await (await device()).put("outbox", { ...next, refused: became.errors });
    if (became.kind === "ended")
      return show({ line: "ended", waiting: waiting.length, refused, why: became.why });
    if (became.kind === "away") {
      timer = setTimeout(() => send(athlete), AGAIN_MS);
      return show({ line: "away", waiting: waiting.length, refused, why: "" });
    }
  }
}

type Became =
  | { kind: "kept" | "away" }
  | { kind: "ended"; why: string }
  | { kind: "refused"; errors: FieldProblem[] };

async function once(thing: Outgoing): Promise<Became> {
  let response: Response;
  try {
    const body = thing.blob ?? JSON.stringify({ ...thing.body, sent_at: new Date().toISOString() });
    response = await fetch(thing.path, {
      method: thing.method,
      body,
      headers: { "Content-Type": thing.blob ? thing.blob.type : "application/json" },
    });
  } catch {
    return { kind: "away" };
  }
  if (response.ok) return { kind: "kept" };
  if (response.status >= 500) return { kind: "away" };
  const answer = await response.json().catch(() => null);
  const errors: FieldProblem[] = answer?.errors ?? [];
  if (response.status === 401)
    return { kind: "ended", why: errors.map((one) => `${one.problem} ${one.remedy}`).join(" ") };
  return { kind: "refused", errors };
}

/** Try again whenever there is reason to hope. */
export function watchLine(athlete: string): () => void {
  const again = () => void send(athlete);
  const seen = () => document.visibilityState === "visible" && again();
  const other = () =>
    void count(athlete).then(({ waiting, refused }) =>
      show({
        ...current,
        line: waiting.length ? current.line : "sent",
        waiting: waiting.length,
        refused,
      }),
    );
  addEventListener("online", again);
  document.addEventListener("visibilitychange", seen);
  told?.addEventListener("message", other);
  again();
  return () => {
    removeEventListener("online", again);
    document.removeEventListener("visibilitychange", seen);
    told?.removeEventListener("message", other);
    clearTimeout(timer);
  };
}
