/** One device with its tabs, and the service that it sends to; time passes only when it is told to. */
import { IDBFactory } from "fake-indexeddb";
import type { Thing } from "../src/features/training/engine/keep";
import { type Device, keepRun, openDevice } from "../src/features/training/engine/keep";
import { makeOutbox, type Outbox } from "../src/features/training/engine/outbox";
import type { Running } from "../src/features/training/engine/types";

/** What the service does with a request. */
export type Answer =
  | { status: number; body?: unknown; html?: boolean }
  /** Never reached. */
  | "down"
  /** Taken, and the answer lost on the way back. */
  | "lost"
  /** Taken by nobody, and no word ever. */
  | "hangs";

interface Request {
  tab: number;
  at: number;
  method: string;
  path: string;
  body: unknown;
}

const OK: Answer = { status: 200, body: {} };

export class World {
  private now = 0;
  private timers: { due: number; run: () => void; id: number }[] = [];
  private nextTimer = 1;
  private lock: Promise<void> = Promise.resolve();
  private script: Answer[] = [];
  private otherwise: Answer = OK;
  private requests: Request[] = [];
  private tabs: Outbox[] = [];
  private opened: Promise<Device> | null = null;
  /** Requests under way that nobody answers. */
  private hanging = 0;

  constructor() {
    globalThis.indexedDB = new IDBFactory();
  }

  private device = () => {
    this.opened ??= openDevice(() => {
      this.opened = null;
    });
    return this.opened;
  };

  /** Open a tab; its number. */
  tab(): number {
    const number = this.tabs.length;
    this.tabs.push(
      makeOutbox({
        device: this.device,
        fetch: (path, init) => this.answer(number, path, init),
        alone: (work) => this.alone(work),
        setTimeout: (run, ms) => {
          this.timers.push({ due: this.now + ms, run, id: this.nextTimer });
          return this.nextTimer++;
        },
        clearTimeout: (id) => {
          this.timers = this.timers.filter((one) => one.id !== id);
        },
        wallClock: () => new Date(this.now).toISOString(),
        random: () => 0.5,
        announce: (athlete) => {
          for (const [other, outbox] of this.tabs.entries())
            if (other !== number) void outbox.look(athlete);
        },
      }),
    );
    return number;
  }

  /** What the service does with the next requests, and with those after. */
  answers(script: Answer[], otherwise: Answer = OK): void {
    this.script = script;
    this.otherwise = otherwise;
  }

  private alone(work: () => Promise<void>): Promise<void> {
    const turn = this.lock.then(work);
    this.lock = turn.catch(() => undefined);
    return turn;
  }

  private answer(tab: number, path: string, init: RequestInit): Promise<Response> {
    const answer = this.script.shift() ?? this.otherwise;
    if (answer === "down") return Promise.reject(new TypeError("Failed to fetch"));
    if (answer === "hangs") {
      this.hanging += 1;
      return new Promise((_, reject) => {
        init.signal?.addEventListener("abort", () => {
          this.hanging -= 1;
          reject(new DOMException("given up", "AbortError"));
        });
      });
    }
    const body = typeof init.body === "string" ? JSON.parse(init.body) : "a picture";
    this.requests.push({ tab, at: this.now, method: init.method ?? "", path, body });
    if (answer === "lost") return Promise.reject(new TypeError("Failed to fetch"));
    const type = answer.html ? "text/html; charset=utf-8" : "application/json";
    return Promise.resolve(
      new Response(answer.html ? "<html>" : JSON.stringify(answer.body ?? {}), {
        status: answer.status,
        headers: { "Content-Type": type },
      }),
    );
  }

  async post(tab: number, athlete: string, things: Thing[]): Promise<void> {
    await this.of(tab).post(athlete, ...things);
    await this.settle();
  }

  /** Ask for sending so many times at once. */
  async send(tab: number, athlete: string, times = 1): Promise<void> {
    for (let time = 0; time < times; time++) void this.of(tab).send(athlete);
    await this.settle();
  }

  async letGo(tab: number, athlete: string, seq: number): Promise<void> {
    await this.of(tab).letGo(athlete, seq);
    await this.settle();
  }

  rest(tab: number): void {
    this.of(tab).rest();
  }

  private of(tab: number): Outbox {
    const found = this.tabs[tab];
    if (!found) throw new Error(`no tab ${tab}`);
    return found;
  }

  /** Let ms pass, every timer that falls due at its own moment. */
  async pass(ms: number): Promise<void> {
    const end = this.now + ms;
    for (;;) {
      const next = this.timers.filter((one) => one.due <= end).sort((a, b) => a.due - b.due)[0];
      if (!next) break;
      this.timers = this.timers.filter((one) => one !== next);
      this.now = next.due;
      next.run();
      await this.settle();
    }
    this.now = end;
  }

  /** What was sent, what each tab shows, what is set to happen. */
  seen() {
    return {
      requests: this.requests,
      tabs: this.tabs.map((one) => one.state()),
      timers: this.timers.map((one) => one.due - this.now).sort((a, b) => a - b),
    };
  }

  async kept() {
    const db = await this.device();
    return { outbox: await db.getAll("outbox"), runs: await db.getAll("runs") };
  }

  async keepRun(athlete: string, run: Running | null, things: Thing[]): Promise<void> {
    await keepRun(await this.device(), athlete, run, things);
  }

  /** Keep a run with something that no device can keep; the error it ends in. */
  async keepBroken(athlete: string, run: Running): Promise<string> {
    const body = { bad: () => null } as unknown;
    const broken = { what: "set", method: "PUT", path: "/", body } as Thing;
    return keepRun(await this.device(), athlete, run, [broken]).then(
      () => "",
      (error: unknown) => String(error),
    );
  }

  /** The device as version 1 of the application left it, with a session under way. */
  async firstVersion(athlete: string, run: unknown): Promise<void> {
    const opening = indexedDB.open("invelo", 1);
    opening.onupgradeneeded = () => {
      opening.result.createObjectStore("along");
      opening.result.createObjectStore("runs").add(run, athlete);
      const outbox = opening.result.createObjectStore("outbox", {
        keyPath: "seq",
        autoIncrement: true,
      });
      outbox.createIndex("athlete", "athlete");
      outbox.add({ athlete, what: "set", method: "PUT", path: "/kept", body: {} });
    };
    await new Promise((resolve) => {
      opening.onsuccess = resolve;
    });
    opening.result.close();
  }

  /** Wait until nothing moves any more but what hangs or waits for time to pass. */
  private async settle(): Promise<void> {
    for (let still = 0, round = 0; still < 40 && round < 20_000; round++) {
      const busy = this.tabs.some((one) => one.state().line === "sending") && this.hanging === 0;
      still = busy ? 0 : still + 1;
      await new Promise((resolve) => setImmediate(resolve));
    }
  }
}
