/** A posture's form, and the named shapes of it. */
import type { Schema } from "../api/client";
import { type SetUp, UNCHANGED } from "./setups";

export type Form = Schema["FormOf"];

export function freshSetUp(movement: string): SetUp {
  return { movement, ...UNCHANGED };
}

/** A named shape: the form's own values with the shape's on top; all else stays. */
export function shaped(setup: SetUp, form: Form, shape: string): SetUp {
  const preset = form.presets.find(({ name }) => name === shape);
  return { ...setup, values: { ...preset?.values } };
}

/** The named shape a set-up has just now, if it has one. */
export function shapeOf(setup: SetUp, form: Form): string {
  const all = (values: Record<string, number>) =>
    form.parameters.map(({ name, default: own }) => values[name] ?? own).join();
  const now = all(setup.values);
  return form.presets.find(({ values }) => all(values) === now)?.name ?? "";
}

export function formOf(forms: Form[], of: { movement: string }): Form {
  return forms.find(({ id }) => id === of.movement) as Form;
}
