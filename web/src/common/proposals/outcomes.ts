import type { Schema } from "../api/client";
import type { Tone } from "../ui/Mark";

export type Outcome = Schema["ProposalOut"]["outcome"];

export const OUTCOMES: Record<Outcome, { note: string; tone: Tone }> = {
  stop: { note: "Stop", tone: "over" },
  ease_off: { note: "Ease off", tone: "watch" },
  step_back: { note: "Step back", tone: "watch" },
  fewer_sets: { note: "A set less", tone: "watch" },
  hold: { note: "On course", tone: "plain" },
  add_amount: { note: "Add within the range", tone: "ready" },
  add_set: { note: "Add a set", tone: "ready" },
  slow_eccentric: { note: "Slow the tempo", tone: "ready" },
  add_load: { note: "Add load", tone: "ready" },
  change_height: { note: "Another height", tone: "ready" },
  reduce_assistance: { note: "Less assistance", tone: "ready" },
  add_assistance: { note: "More assistance", tone: "watch" },
  step_up: { note: "Step up", tone: "ready" },
  bridge: { note: "Bridge the gap", tone: "watch" },
  goal_reached: { note: "Goal reached", tone: "ready" },
  swap_surface: { note: "Swap the surface", tone: "watch" },
  add_day: { note: "A day more", tone: "ready" },
  reduce_days: { note: "Fewer days", tone: "watch" },
  retest: { note: "Last set to its end", tone: "watch" },
};

/** What became of a proposal, in a word. */
export const ANSWERS: Record<NonNullable<Schema["ProposalOut"]["answer"]>, string> = {
  accept: "accepted",
  edit: "edited",
  decline: "declined",
  expired: "expired",
  routine: "done by itself",
  undone: "undone",
  noted: "nothing to decide",
};

/** Its name: what is blocked by something closed is no "on course". */
export const noteOf = (one: { outcome: Outcome; standing: Schema["ProposalOut"]["standing"] }) =>
  one.outcome === "hold" && one.standing === "blocked" ? "Closed" : OUTCOMES[one.outcome].note;
