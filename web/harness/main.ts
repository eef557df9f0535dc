/**
 * The phone's logic without a browser: reads one question a line as JSON, answers one line each.
 *
 * A question is `{"call": name, "args": [...]}`; the answer `{"value": ...}` or `{"error": ...}`.
 * Time, network, locks and other tabs are stand-ins that a question moves (`world.ts`).
 */
import "fake-indexeddb/auto";
import { createInterface } from "node:readline";
import { angleOf } from "../src/common/movement/own/joints";
import * as room from "../src/features/training/class/room";
import * as clock from "../src/features/training/engine/clock";
import * as machine from "../src/features/training/engine/machine";
import * as outgoing from "../src/features/training/engine/outgoing";
import type { Entry, Running } from "../src/features/training/engine/types";
import { World } from "./world";

let made = 0;
const means: machine.Means = {
  id: () => `id-${++made}`,
  stamp: (moment) => new Date(moment).toISOString(),
};
const stamp = { at: "2026-03-02T09:00:00.000Z", time_zone: "Europe/Lisbon" };
let world = new World();

/** What Python may ask for. Whatever needs means or a clock gets the stand-in. */
const CALLS = {
  angleOf,
  roomTick: room.tick,
  roomPress: room.startOrPause,
  roomGoTo: room.goTo,
  roomGone: room.gone,
  begin: machine.begin,
  advance: (run: Running, now: number, seen?: Parameters<typeof machine.advance>[3]) =>
    machine.advance(run, now, means, seen),
  tick: (run: Running, now: number) => machine.tick(run, now, means),
  skip: (run: Running, now: number) => machine.skip(run, now, means),
  pause: machine.pause,
  back: machine.back,
  log: machine.log,
  upcoming: machine.upcoming,
  warmUpOf: machine.warmUpOf,
  warmedUp: machine.warmedUp,
  beside: machine.beside,
  swap: machine.swap,
  canSwap: machine.canSwap,
  setOf: machine.setOf,
  counted: machine.counted,
  elapsed: machine.elapsed,
  endedBefore: machine.endedBefore,
  jointsOf: machine.jointsOf,

  beat: clock.beat,
  phaseStarts: clock.phaseStarts,
  clockOffset: clock.clockOffset,
  offInWords: clock.offInWords,
  deviceStamp: clock.deviceStamp,

  started: (run: Running) => outgoing.started(run, stamp),
  logged: (run: Running, entry: Entry, picture: boolean) =>
    outgoing.logged(run, entry, picture ? new Blob(["jpeg"]) : null, stamp.time_zone),
  skipped: (run: Running, gone: Parameters<typeof outgoing.skipped>[1], why: string) =>
    outgoing.skipped(run, gone, why, "skip-id", stamp),
  finished: (run: Running, effort: number) => outgoing.finished(run, effort, stamp),

  world: async () => {
    world = new World();
    return null;
  },
  tab: () => world.tab(),
  answers: (...args: Parameters<World["answers"]>) => world.answers(...args),
  post: (...args: Parameters<World["post"]>) => world.post(...args),
  send: (...args: Parameters<World["send"]>) => world.send(...args),
  letGo: (...args: Parameters<World["letGo"]>) => world.letGo(...args),
  passes: (...args: Parameters<World["pass"]>) => world.pass(...args),
  rest: (...args: Parameters<World["rest"]>) => world.rest(...args),
  seen: () => world.seen(),
  kept: () => world.kept(),
  keepRun: (...args: Parameters<World["keepRun"]>) => world.keepRun(...args),
  keepBroken: (...args: Parameters<World["keepBroken"]>) => world.keepBroken(...args),
  firstVersion: (...args: Parameters<World["firstVersion"]>) => world.firstVersion(...args),
} as const;

for await (const line of createInterface({ input: process.stdin })) {
  const { call, args } = JSON.parse(line) as { call: keyof typeof CALLS; args: unknown[] };
  const answer = async () => {
    const run = CALLS[call] as ((...args: unknown[]) => unknown) | undefined;
    if (!run) throw new Error(`no such call: ${call}`);
    return run(...args);
  };
  const said = await answer().then(
    (value) => ({ value: value ?? null }),
    (error: unknown) => ({ error: String(error) }),
  );
  process.stdout.write(`${JSON.stringify(said)}\n`);
}
