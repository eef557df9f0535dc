/** What a session in progress has to send: each thing made once, in the order it is to go. */
import type { Schema } from "../../../common/api/client";
import type { Thing } from "./keep";
import type { Entry, Item, Running } from "./types";

/** When and where by the device, as every thing tells it. */
export interface DeviceStamp {
  at: string;
  time_zone: string;
}

export const base = (run: Running) => `/api/athletes/${run.athleteId}/sessions/${run.sessionId}`;

export function started(run: Running, stamp: DeviceStamp): Thing {
  const { name, ladder_id } = run.sheet;
  return { what: "session", method: "PUT", path: base(run), body: { name, ladder_id, ...stamp } };
}

/** A set for each side, then the picture that goes with the first. */
export function logged(
  run: Running,
  entry: Entry,
  picture: Blob | null,
  time_zone: string,
): Thing[] {
  const sets = entry.ids.map(
    (id, side): Thing => ({
      what: "set",
      method: "PUT",
      path: `${base(run)}/sets/${id}`,
      body: set(entry, side, time_zone),
    }),
  );
  if (!picture) return sets;
  const path = `/api/athletes/${run.athleteId}/sets/${entry.ids[0]}/picture`;
  return [...sets, { what: "picture", method: "PUT", path, body: null, blob: picture }];
}

export function skipped(
  run: Running,
  gone: { item: Item; set: number },
  why: string,
  id: string,
  stamp: DeviceStamp,
): Thing {
  const body = { name: gone.item.name.slice(0, 80), number: gone.set + 1, why, ...stamp };
  return { what: "skip", method: "PUT", path: `${base(run)}/skips/${id}`, body };
}

export function finished(run: Running, rpe: number, stamp: DeviceStamp): Thing {
  const path = `${base(run)}/finish`;
  return { what: "end of the session", method: "POST", path, body: { rpe, ...stamp } };
}

/** A set, or one side of it, as the service takes it. */
function set(entry: Entry, side: number, time_zone: string): Schema["NewSet"] {
  const { what } = entry;
  const amount = entry.amounts[side] ?? 0;
  return {
    number: entry.number ?? entry.set + 1,
    rung_id: what.rung_id,
    movement: what.movement,
    changes: what.changes,
    item: entry.item,
    kind: entry.kind,
    side: entry.sides[side] ?? "",
    in_turn: entry.inTurn || null,
    ...(entry.about ? { amount_text: `about ${amount}` } : { amount, unit: what.unit }),
    partial: entry.partials[side] ?? 0,
    prescribed_min: entry.low,
    prescribed_max: entry.high,
    prescribed_rpe: entry.askedRpe ?? null,
    prescribed_open: entry.openEnd ?? false,
    rpe: entry.rpe ?? 0,
    form_ok: entry.faults.length === 0,
    faults: entry.faults,
    felt_in: entry.felt,
    pain: entry.pain,
    pain_place: entry.place,
    note: entry.note,
    at: entry.at,
    time_zone,
  };
}
