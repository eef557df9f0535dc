/** Calendar days without a zone: they are the athlete's. */

const at = (day: string) => new Date(`${day}T12:00:00Z`);
const iso = (date: Date) => date.toISOString().slice(0, 10);

export function dayDate(week_start: string, index: number): string {
  const date = at(week_start);
  date.setUTCDate(date.getUTCDate() + index);
  return iso(date);
}

export const weekBefore = (week_start: string) => dayDate(week_start, -7);
export const weekAfter = (week_start: string) => dayDate(week_start, 7);

/** "30 Nov – 6 Dec 2026". */
export function span(week_start: string): string {
  return `${short(week_start)} – ${short(dayDate(week_start, 6))} ${dayDate(week_start, 6).slice(0, 4)}`;
}

/** "30 Nov". */
export function short(day: string): string {
  return at(day).toLocaleDateString("en-GB", { day: "numeric", month: "short", timeZone: "UTC" });
}
