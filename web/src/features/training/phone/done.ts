/** Sessions finished today, kept on the device, so that one done with the network gone is done. */
import type { Along, Sheet } from "../engine/types";

const name = (athleteId: string) => `invelo.done.${athleteId}`;
const key = (sheet: Sheet) => sheet.id ?? sheet.name;

function read(along: Along): string[] {
  const [day, ...done] = JSON.parse(localStorage.getItem(name(along.athlete_id)) ?? '[""]');
  return day === along.today ? done : [];
}

/** Whether a session was finished today, by the service or on this device. */
export const isDone = (along: Along, sheet: Sheet): boolean =>
  Boolean(sheet.done) || read(along).includes(key(sheet));

/** A session has come to its end on this device. */
export function keepDone(along: Along, sheet: Sheet) {
  const done = [along.today, ...new Set([...read(along), key(sheet)])];
  localStorage.setItem(name(along.athlete_id), JSON.stringify(done));
}
