/** Masses and lengths in the unit someone reads, and back; SI goes to the service. */
export type Units = "metric" | "imperial";
export type Kind = "mass" | "length";

const POUND = 0.45359237;
const INCH = 0.0254;

const SCALES: Record<Units, Record<Kind, [unit: string, si: number]>> = {
  metric: { mass: ["kg", 1], length: ["cm", 0.01] },
  imperial: { mass: ["lb", POUND], length: ["in", INCH] },
};

export function unitOf(units: Units, kind: Kind): string {
  return SCALES[units][kind][0];
}

export function fromSi(value: number, units: Units, kind: Kind): number {
  return Math.round((value / SCALES[units][kind][1]) * 10) / 10;
}

export function toSi(value: number, units: Units, kind: Kind): number {
  return Math.round(value * SCALES[units][kind][1] * 10000) / 10000;
}

/** The same in the other unit, to be read beside a field: "= 165.3 lb". */
export function beside(value: string, units: Units, kind: Kind): string {
  const number = Number(value);
  if (!value || !Number.isFinite(number)) return "";
  const other = units === "metric" ? "imperial" : "metric";
  const shown = fromSi(toSi(number, units, kind), other, kind);
  return `= ${shown} ${unitOf(other, kind)}`;
}
