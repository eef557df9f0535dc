/** Rungs as the workshop sends them, and where a new one goes. */
import type { Schema } from "../api/client";
import { changesOf, UNCHANGED } from "../movement/setups";

type Sheet = Schema["LadderSheet"];
export type PlainRung = Schema["PlainRung"];

/** A rung by itself, as it is sent. */
export function plainOf(
  rung: Schema["RungOut"] | Schema["ProposedRungOut"] | PlainRung,
): PlainRung {
  return {
    ...changesOf(rung),
    name: rung.name,
    movement: rung.movement,
    prescription: rung.prescription ? prescriptionOf(rung.prescription) : null,
    criterion: rung.criterion ? criterionOf(rung.criterion) : null,
    why: rung.why,
  };
}

function prescriptionOf({
  sets,
  low,
  high,
  unit,
  rest_s,
  rpe,
}: Schema["PrescriptionDocument"]): Schema["PrescriptionDocument"] {
  return { sets, low, high, unit, rest_s, rpe };
}

function criterionOf({
  sets,
  amount,
  rpe,
  sessions,
}: Schema["CriterionDocument"]): Schema["CriterionDocument"] {
  return { sets, amount, rpe, sessions };
}

/** A movement as it is, as a rung with the purpose's own prescription and criterion. */
export function freshRung(movement: Schema["MovementOut"], name = movement.name): PlainRung {
  return {
    ...UNCHANGED,
    values: movement.values,
    name,
    movement: movement.id,
    prescription: null,
    criterion: null,
    why: "",
  };
}

export function above(sheet: Sheet, id: string): string[] {
  return sheet.steps.filter(({ lower_id }) => lower_id === id).map(({ upper_id }) => upper_id);
}

export function below(sheet: Sheet, id: string): string[] {
  return sheet.steps.filter(({ upper_id }) => upper_id === id).map(({ lower_id }) => lower_id);
}

/** Where a rung goes that stands right above or below another. */
export function beside(sheet: Sheet, id: string, side: "above" | "below") {
  return side === "above"
    ? { after: [id], before: above(sheet, id) }
    : { after: below(sheet, id), before: [id] };
}

/** The same name, with a number if it is taken. */
export function freeName(sheet: Sheet, name: string): string {
  const taken = new Set(sheet.rungs.map((rung) => rung.name));
  let told = name;
  for (let count = 2; taken.has(told); count++) told = `${name} (${count})`;
  return told;
}
