/** How numbers are written. */
import type { Schema } from "../api/client";

/** A count past this says only that the load is too light. */
const TOO_LIGHT = 30;

const thin = "\u202f";

function rounded(value: number, digits: number): string {
  const text = value.toLocaleString("en-GB", {
    minimumFractionDigits: digits,
    maximumFractionDigits: digits,
  });
  return text.replace("-", "−");
}

export function kg(value: number): string {
  return `${rounded(value, 1)}${thin}kg`;
}

export function reps(value: number): string {
  if (value > TOO_LIGHT) return "30+";
  return rounded(Math.max(0, value), 0);
}

/** "9 reps (7–11)", "30+ reps, too light", "no rep yet". */
export function repRange({ low, likely, high }: Schema["EstimateOut"]): string {
  if (low > TOO_LIGHT) return "30+ reps, too light";
  if (high < 1) return "no rep yet";
  const unit = reps(likely) === "1" ? "rep" : "reps";
  return `${reps(likely)} ${unit} (${reps(Math.floor(low))}–${reps(Math.ceil(high))})`;
}

/** "12 s (8–17)", "no hold yet". */
function holdRange({ low, likely, high }: Schema["EstimateOut"]): string {
  if (high < 1) return "no hold yet";
  const from = rounded(Math.max(0, Math.floor(low)), 0);
  return `${rounded(likely, 0)}${thin}s (${from}–${rounded(Math.ceil(high), 0)})`;
}

export function range(estimate: Schema["EstimateOut"], digits = 1): string {
  return fromTo(estimate.low, estimate.high, digits);
}

function fromTo(low: number, high: number, digits: number): string {
  const between = low < 0 ? " to " : "–";
  return `${rounded(low, digits)}${between}${rounded(high, digits)}`;
}

const DIGITS: Record<string, number> = {
  J: 0,
  min: 0,
  "×": 2,
  "% a week": 2,
  "body weight × stature": 3,
};

/** Decimals that say something: a torque of tens is not known to a tenth. */
function digitsOf({ unit, likely }: Schema["EstimateOut"]): number {
  if ((unit === "N·m" && likely >= 10) || likely >= 1000) return 0;
  return DIGITS[unit] ?? 1;
}

/** A figure, its unit and its range, in whichever way the unit is read. */
export function rangeWords(estimate: Schema["EstimateOut"]): string {
  if (estimate.unit === "reps") return repRange(estimate);
  if (estimate.unit === "s") return holdRange(estimate);
  if (estimate.unit === "m") return `${centimetres(estimate.likely)} (${amountRange(estimate)})`;
  const digits = digitsOf(estimate);
  const value = rounded(estimate.likely, digits);
  return `${value}${thin}${estimate.unit} (${range(estimate, digits)})`;
}

export function centimetres(metres: number): string {
  return `${rounded(metres * 100, 0)}${thin}cm`;
}

/** An amount of something that can be changed: lengths in cm, the rest as they come. */
export function amount(value: number, unit: string): string {
  const space = unit === "°" ? "" : thin;
  return unit === "m" ? centimetres(value) : `${rounded(value, 1)}${space}${unit}`;
}

export function amountRange({ low, high, unit }: Schema["EstimateOut"]): string {
  const [scale, digits] = unit === "m" ? [100, 0] : [1, 1];
  return fromTo(low * scale, high * scale, digits);
}

export function ratio(estimate: Schema["EstimateOut"]): string {
  return `×${thin}${rounded(estimate.likely, 2)}`;
}

export function plain(value: number | string): string {
  if (typeof value === "string") return value;
  const digits = Math.abs(value) < 10 ? 2 : 1;
  const needed = String(Number(value.toFixed(digits))).split(".")[1]?.length ?? 0;
  return rounded(value, needed);
}

/** "27 Nov 2026, 18:05", as the clock on the wall here says. */
export function dayAndTime(iso: string): string {
  const at = new Date(iso);
  const hour = String(at.getHours()).padStart(2, "0");
  return `${day(iso)}, ${hour}:${String(at.getMinutes()).padStart(2, "0")}`;
}

export function day(iso: string): string {
  return new Date(`${iso.slice(0, 10)}T12:00:00`).toLocaleDateString("en-GB", {
    day: "numeric",
    month: "short",
    year: "numeric",
  });
}

/** "3 × 6–10 at effort 9, rest 2:00"; "2 × 8–15 s …" of a hold. */
export function prescription({
  sets,
  low,
  high,
  unit,
  rpe,
  rest_s,
}: Schema["PrescriptionOut"]): string {
  return `${sets} × ${low}–${high}${seconds(unit)} at effort ${rpe}, rest ${clock(rest_s)}`;
}

/** "3 × 10 at effort 9 or under, 2 sessions running". */
export function criterion({
  sets,
  amount: count,
  unit,
  rpe,
  sessions,
}: Schema["CriterionOut"]): string {
  const often = sessions === 1 ? "once" : `${sessions} sessions running`;
  return `${sets} × ${count}${seconds(unit)} at effort ${rpe} or under, ${often}`;
}

export type Unit = Schema["PrescriptionOut"]["unit"];

/** "reps", "seconds", "centimetres". */
export function inWords(unit: Unit): string {
  return { reps: "reps", s: "seconds", cm: "centimetres" }[unit];
}

/** "6–10", "15 s", "8–15 s": what a set asks. */
export function target(low: number, high: number, unit: Unit): string {
  return `${low === high ? low : `${low}–${high}`}${seconds(unit)}`;
}

/** What a set asks: a range, or from its foot on to its end. */
export function asked(set: { low: number; high: number; what: { unit: Unit }; open_end: boolean }) {
  if (!set.open_end) return target(set.low, set.high, set.what.unit);
  return `${set.low}+${seconds(set.what.unit)}`;
}

/** The unit where it must be said; a bare count is of reps. */
function seconds(unit: Unit): string {
  return unit === "reps" ? "" : `${thin}${unit}`;
}

/** "12 reps", "20 s". */
export function done(count: number, unit: Unit): string {
  const text = rounded(count, Number.isInteger(count) ? 0 : 1);
  return unit === "reps" ? `${text} ${count === 1 ? "rep" : "reps"}` : `${text}${thin}${unit}`;
}

/** A demand or a capacity by itself: "47.9 kg", "152 N·m". */
export function demand(value: number, unit: string): string {
  return `${rounded(value, unit === "kg" ? 1 : 0)}${thin}${unit}`;
}

export function clock(seconds: number): string {
  const whole = Math.max(0, Math.round(seconds));
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, "0")}`;
}

/** So many of something, in words. */
export function counted(count: number, one: string): string {
  return `${count} ${one}${count === 1 ? "" : "s"}`;
}
