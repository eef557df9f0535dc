/** What the dialogs that solve something are given, and what they give back. */

import { type Form, formOf } from "../../common/movement/form";
import type { SetUp } from "../../common/movement/setups";
import type { DoneAt, Lying } from "./state";

export interface Asking {
  lying: Lying;
  /** The set-up that is asked about, as it is called. */
  words: string;
  ladderId: string;
  forms: Form[];
  /** Lay a set-up that was found on the bench, and be done. */
  onTake: (setup: SetUp) => void;
  onDone: (done: DoneAt | null) => void;
}

export interface AskingDialog extends Asking {
  open: boolean;
  onOpenChange: (open: boolean) => void;
}

/** The set-up that is asked about, its form, and the one beside it. */
export function asked({ lying, forms }: Asking): {
  task: SetUp;
  form: Form;
  beside: SetUp | null;
} {
  const second = lying.active === "other" && lying.other !== null;
  const task = second && lying.other ? lying.other : lying.one;
  return { task, form: formOf(forms, task), beside: second ? lying.one : lying.other };
}
