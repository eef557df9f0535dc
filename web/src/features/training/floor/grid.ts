/** The rows of a session written down by hand, and what becomes of them. */
import type { Schema } from "../../../common/api/client";
import type { VOCABULARY } from "../../../common/vocabulary";

type LoggedSet = Schema["LoggedSetOut"];
export type SetByHand = Schema["SetByHand"];

/** What can be written down: a rung, or a movement off any ladder. */
export interface Known {
  name: string;
  item: string;
  rung_id: string | null;
  movement: string;
  changes: NonNullable<Schema["SetByHand"]["changes"]> | null;
}

const PLAIN_TEMPO = "1-0-1-0";

export interface Row {
  id: string;
  /** Key of what was done. */
  what: string;
  side: LoggedSet["side"];
  kind: LoggedSet["kind"];
  number: number;
  asked: string;
  count: string;
  /** Kilos added, or taken off below nought. */
  kg: string;
  at: Place;
  tempo: string;
  band: string;
  partial: string;
  rpe: string;
  pain: string;
  place: string;
  note: string;
  form_ok: boolean;
}

export type Place = (typeof VOCABULARY.loadPlaces)[number] | "";

export type TextColumn =
  | ("count" | "kg" | "rpe" | "tempo" | "band")
  | ("partial" | "pain" | "place" | "note");

export const COLUMNS: { key: TextColumn; title: string; wide?: boolean }[] = [
  { key: "count", title: "Count" },
  { key: "kg", title: "± kg" },
  { key: "rpe", title: "RPE" },
  { key: "tempo", title: "Tempo" },
  { key: "band", title: "Band" },
  { key: "partial", title: "Partial" },
  { key: "pain", title: "Pain" },
  { key: "place", title: "Where", wide: true },
  { key: "note", title: "Note", wide: true },
];

export const keyOf = (one: Pick<Known, "rung_id" | "movement" | "name">) =>
  one.rung_id ?? `${one.movement} ${one.name}`;

/** A movement that none of them has. */
export const anew = ({ id, name }: Schema["MovementOut"]): Known => ({
  name,
  item: `movement:${id}`,
  rung_id: null,
  movement: id,
  changes: null,
});

/** Every movement that the sessions, the rungs around them and the log know, each once. */
export function knownOf(
  along: Schema["OfflineBundleOut"],
  history: Schema["LoggedSessionOut"][],
  added: Known[],
): Map<string, Known> {
  const found = new Map<string, Known>();
  const add = (one: Known) => {
    if (!found.has(keyOf(one))) found.set(keyOf(one), one);
  };
  for (const item of [...along.sessions, ...along.single].flatMap((sheet) => sheet.items)) {
    if (item.key.startsWith("warm-up:")) continue;
    for (const { what } of [...item.sets, ...item.choices]) {
      const { name, rung_id, movement, changes } = what;
      add({ name, item: item.key, rung_id, movement, changes });
    }
  }
  for (const set of history.flatMap(({ sets }) => sets)) add({ ...set, changes: null });
  added.forEach(add);
  return found;
}

export function blank(what: string): Row {
  return {
    id: crypto.randomUUID(),
    what,
    side: "",
    kind: "work",
    number: 0,
    asked: "",
    count: "",
    kg: "",
    at: "",
    tempo: "",
    band: "",
    partial: "",
    rpe: "",
    pain: "",
    place: "",
    note: "",
    form_ok: true,
  };
}

/** A row for each set of a session, each side by itself. */
export function fromSheet(sheet: Schema["RunSheet"]): Row[] {
  return sheet.items
    .filter((item) => !item.key.startsWith("warm-up:"))
    .flatMap((item) =>
      item.sets.flatMap((set, index) => {
        const sides: Row["side"][] = set.sides === 2 ? ["left", "right"] : [set.side];
        return sides.map((side) => ({
          ...blank(keyOf(set.what)),
          side,
          kind: set.kind,
          number: index + 1,
          asked: set.low === set.high ? String(set.low) : `${set.low}–${set.high}`,
        }));
      }),
    );
}

/** A session that is logged, as it was written. */
export function fromSession(session: Schema["LoggedSessionOut"]): Row[] {
  return session.sets.map((set) => ({
    ...blank(keyOf(set)),
    id: set.id,
    side: set.side,
    kind: set.kind,
    number: set.number,
    count:
      set.least !== null && set.most !== null && set.least !== set.most
        ? `${set.least}–${set.most}`
        : String(set.amount),
    kg: set.load_kg ? String(set.load_kg) : "",
    at: set.load_at ?? "",
    tempo: set.tempo === PLAIN_TEMPO ? "" : set.tempo,
    band: set.band,
    partial: set.partial ? String(set.partial) : "",
    rpe: String(set.rpe),
    pain: set.pain ? String(set.pain) : "",
    place: set.pain_place,
    note: set.note,
    form_ok: set.form_ok,
  }));
}

const number = (words: string) => (words.trim() ? Number(words.replace(",", ".")) : 0);

/** A row in the fields of a set. */
const toldIn = (row: Row) => ({
  number: row.number,
  kind: row.kind,
  side: row.side,
  amount_text: row.count,
  load_kg: row.kg.trim() ? number(row.kg) : null,
  load_at: row.at || null,
  tempo: row.tempo.trim() || null,
  band: row.band.trim() || null,
  partial: number(row.partial),
  rpe: number(row.rpe),
  pain: number(row.pain),
  pain_place: row.place,
  note: row.note,
  form_ok: row.form_ok,
});

/** What a row says otherwise than before, as the service puts a set right; null for nothing. */
export function corrected(before: Row, row: Row): Partial<Schema["SetCorrection"]> | null {
  const was = toldIn(before);
  const now = toldIn(row);
  const names = Object.keys(now) as (keyof typeof now)[];
  const changed = names.filter((name) => now[name] !== was[name]);
  if (!changed.length) return null;
  const sent = { ...now, load_kg: now.load_kg ?? 0, tempo: now.tempo ?? PLAIN_TEMPO };
  return Object.fromEntries(changed.map((name) => [name, sent[name]]));
}

/** A row as the service takes it; the service says what it cannot. */
export function asSent(row: Row, known: Known, at: string, time_zone: string): SetByHand {
  return {
    id: row.id,
    ...toldIn(row),
    rung_id: known.rung_id,
    movement: known.movement,
    changes: known.changes,
    item: known.item,
    faults: [],
    felt_in: [],
    prescribed_open: false,
    at,
    time_zone,
  };
}

/** The rows that tell a count, each item's numbered through. */
export function numbered(rows: Row[]): Row[] {
  const seen = new Map<string, number>();
  return rows
    .filter((row) => row.count.trim())
    .map((row) => {
      if (row.number) return row;
      const next = (seen.get(row.what) ?? 0) + (row.side === "right" ? 0 : 1);
      seen.set(row.what, next);
      return { ...row, number: Math.max(1, next) };
    });
}
