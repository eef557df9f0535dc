/**
 * What was done goes out in the order it was done, each thing once: it waits on the device until the
 * service has said that it is kept. Ids are made here, so that sending twice writes once.
 *
 * What sending stands on (network, locks, timers) is passed in, so that all of it is tried without a
 * browser; `sending.ts` holds the browser's own.
 */
import type { FieldProblem } from "../../../common/api/client";
import { type Device, keepToSend, type Outgoing, type Thing } from "./keep";

export type Line = "sent" | "waiting" | "sending" | "away" | "ended";

export interface Sending {
  line: Line;
  waiting: number;
  refused: Outgoing[];
  /** Why the way in has ended, in words. */
  why: string;
}

export interface Around {
  device: () => Promise<Device>;
  fetch: (path: string, init: RequestInit) => Promise<Response>;
  /** Run `work` while no other tab does; the lock goes with whoever holds it. */
  alone: (work: () => Promise<void>) => Promise<void>;
  setTimeout: (run: () => void, ms: number) => number;
  clearTimeout: (timer: number) => void;
  /** The device's own clock as it stands, ISO 8601. */
  wallClock: () => string;
  /** From 0 to 1. */
  random: () => number;
  /** Let the other tabs know that something changed. */
  announce: (athlete: string) => void;
}

const NOTHING: Sending = { line: "sent", waiting: 0, refused: [], why: "" };

/** Pause after the first attempt that found nobody; each further one doubles it. */
export const FIRST_PAUSE_MS = 4_000;
export const LONGEST_PAUSE_MS = 60_000;

/** An attempt that has heard nothing for so long is given up; its thing goes once more. */
export const PATIENCE_MS = 20_000;

/** Answers below 500 that say "later", not "never": time-out, too early, too many. */
const LATER = [408, 425, 429];

export type Outbox = ReturnType<typeof makeOutbox>;

export function makeOutbox(around: Around) {
  let current = NOTHING;
  let timer: number | undefined;
  /** Attempts in a row that found nobody. */
  let misses = 0;
  /** The attempt under way in this tab, and whether something came meanwhile. */
  let attempt: Promise<void> | null = null;
  let more = false;
  const listeners = new Set<() => void>();

  function show(next: Sending) {
    current = next;
    for (const listener of listeners) listener();
  }

  function rest() {
    if (timer !== undefined) around.clearTimeout(timer);
    timer = undefined;
  }

  async function count(athlete: string) {
    const all = await (await around.device()).getAllFromIndex("outbox", "athlete", athlete);
    return {
      waiting: all.filter((entry) => !entry.refused),
      refused: all.filter((entry) => entry.refused),
    };
  }

  /** Look at what waits without sending anything. */
  async function look(athlete: string): Promise<void> {
    const { waiting, refused } = await count(athlete);
    const line = waiting.length ? current.line : "sent";
    show({ ...current, line, waiting: waiting.length, refused });
  }

  /** Keep things to be sent, all or none, and try. */
  async function post(athlete: string, ...things: Thing[]) {
    await keepToSend(await around.device(), athlete, things);
    void send(athlete);
  }

  /** Let go of something the service refused. */
  async function letGo(athlete: string, seq: number) {
    await (await around.device()).delete("outbox", seq);
    void send(athlete);
  }

  /** Send what waits, now. One attempt at a time; what comes during it goes with it. */
  async function send(athlete: string): Promise<void> {
    if (attempt) {
      more = true;
      return attempt;
    }
    rest();
    attempt = attempts(athlete);
    try {
      await attempt;
    } finally {
      attempt = null;
    }
  }

  async function attempts(athlete: string) {
    do {
      more = false;
      const { waiting, refused } = await count(athlete);
      const line = waiting.length ? "sending" : "sent";
      show({ ...current, line, waiting: waiting.length, refused });
      if (waiting.length === 0) return;
      await around.alone(() => inTurn(athlete));
      around.announce(athlete);
    } while (more && current.line === "sent");
  }

  async function inTurn(athlete: string) {
    for (;;) {
      const { waiting, refused } = await count(athlete);
      const next = waiting[0];
      if (!next) return show({ line: "sent", waiting: 0, refused, why: "" });
      const became = await once(next);
      if (became.kind !== "away") misses = 0;
      if (became.kind === "kept")
        await (await around.device()).delete("outbox", next.seq as number);
      if (became.kind === "refused")
        await (await around.device()).put("outbox", { ...next, refused: became.errors });
      if (became.kind === "ended")
        return show({ line: "ended", waiting: waiting.length, refused, why: became.why });
      if (became.kind === "away") {
        misses += 1;
        rest();
        timer = around.setTimeout(() => void send(athlete), pause(misses) * jitter());
        return show({ line: "away", waiting: waiting.length, refused, why: "" });
      }
    }
  }

  /** Phones that lost the service together do not all come back at the same instant. */
  const jitter = () => 0.75 + around.random() / 2;

  async function once(thing: Outgoing): Promise<Became> {
    const stop = new AbortController();
    const patience = around.setTimeout(() => stop.abort(), PATIENCE_MS);
    let response: Response;
    try {
      const blob = "blob" in thing ? thing.blob : undefined;
      const body = blob ?? JSON.stringify({ ...thing.body, sent_at: around.wallClock() });
      response = await around.fetch(thing.path, {
        method: thing.method,
        body,
        headers: { "Content-Type": blob ? blob.type : "application/json" },
        signal: stop.signal,
      });
    } catch {
      return { kind: "away" };
    } finally {
      around.clearTimeout(patience);
    }
    return became(response);
  }

  return {
    post,
    letGo,
    send,
    look,
    /** Try no more by itself until something happens. */
    rest,
    subscribe: (listener: () => void) => {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
    state: () => current,
  };
}

type Became =
  | { kind: "kept" | "away" }
  | { kind: "ended"; why: string }
  | { kind: "refused"; errors: FieldProblem[] };

/** Ms until the next attempt after so many that found nobody. */
export function pause(misses: number): number {
  return Math.min(FIRST_PAUSE_MS * 2 ** (misses - 1), LONGEST_PAUSE_MS);
}

async function became(response: Response): Promise<Became> {
  // a page where an answer should be is some network's own sign-in page, not the service
  if (response.headers.get("Content-Type")?.startsWith("text/html")) return { kind: "away" };
  if (response.ok) return { kind: "kept" };
  if (response.status >= 500 || LATER.includes(response.status)) return { kind: "away" };
  const answer = await response.json().catch(() => null);
  const errors: FieldProblem[] = answer?.errors ?? [];
  if (response.status === 401)
    return {
      kind: "ended",
      why: errors.map((error) => `${error.problem} ${error.remedy}`).join(" "),
    };
  return { kind: "refused", errors };
}
