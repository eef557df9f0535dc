/** What the charts of the review share: the time axis, and the sheet's hand. */

/** Look of every axis. */
export const AXIS = {
  stroke: "var(--line)",
  tick: { fill: "var(--faint)", fontSize: 13, fontFamily: "var(--font-head)" },
  tickLine: false,
} as const;

export const at = (iso: string) => Date.parse(`${iso}T12:00:00Z`);

const MONTH = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short", timeZone: "UTC" });

export const shortDay = (value: number) => MONTH.format(value);

/** A time axis from a day to another, ticked by the month. */
export function dayTick(since: string, today: string) {
  const first = new Date(at(since));
  const ticks: number[] = [];
  const month = new Date(Date.UTC(first.getUTCFullYear(), first.getUTCMonth() + 1, 1, 12));
  while (month.getTime() <= at(today)) {
    ticks.push(month.getTime());
    month.setUTCMonth(month.getUTCMonth() + 1);
  }
  return {
    type: "number" as const,
    domain: [at(since), at(today)] as [number, number],
    ticks,
    tickFormatter: shortDay,
    scale: "time" as const,
  };
}
