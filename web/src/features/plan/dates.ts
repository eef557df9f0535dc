/** Calendar days without a zone: they are the athlete's. */

const at = (day: string) => new Date(`${day}T12:00:00Z`);
const iso = (date: Date) => date.toISOString().slice(0, 10);

export function dayDate(monday: string, index: number): string {
  const date = at(monday);
  date.setUTCDate(date.getUTCDate() + index);
  return iso(date);
}

export const weekBefore = (monday: string) => dayDate(monday, -7);
export const weekAfter = (monday: string) => dayDate(monday, 7);

/** "30 Nov – 6 Dec 2026". */
export function span(monday: string): string {
  return `${short(monday)} – ${short(dayDate(monday, 6))} ${dayDate(monday, 6).slice(0, 4)}`;
}

/** "30 Nov". */
export function short(day: string): string {
  return at(day).toLocaleDateString("en-GB", { day: "numeric", month: "short", timeZone: "UTC" });
}
