import type { Schema } from "../api/client";
import type { Tone } from "../ui/Mark";

export type Outcome = Schema["ProposalOut"]["outcome"];

export const OUTCOMES: Record<Outcome, { note: string; tone: Tone }> = {
  stop: { note: "Stop", tone: "over" },
  ease_off: { note: "Ease off", tone: "watch" },
  step_back: { note: "Step back", tone: "watch" },
  hold: { note: "Hold", tone: "plain" },
  add_amount: { note: "Add within the range", tone: "ready" },
  add_set: { note: "Add a set", tone: "ready" },
  slow_eccentric: { note: "Slow the tempo", tone: "ready" },
  add_load: { note: "Add load", tone: "ready" },
  reduce_assistance: { note: "Less assistance", tone: "ready" },
  step_up: { note: "Step up", tone: "ready" },
  swap_surface: { note: "Swap the surface", tone: "watch" },
  reduce_days: { note: "Fewer days", tone: "watch" },
  retest: { note: "Test again", tone: "watch" },
};
