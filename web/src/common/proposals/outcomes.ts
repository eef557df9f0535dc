import type { Schema } from "../api/client";
import type { Tone } from "../ui/Mark";

export type Outcome = Schema["ProposalOut"]["outcome"];

export const OUTCOMES: Record<Outcome, { word: string; tone: Tone }> = {
  stop: { word: "Stop", tone: "over" },
  "ease-off": { word: "Ease off", tone: "watch" },
  "step-back": { word: "Step back", tone: "watch" },
  hold: { word: "Hold", tone: "plain" },
  "add-amount": { word: "Add within the range", tone: "ready" },
  "add-set": { word: "Add a set", tone: "ready" },
  "slow-tempo": { word: "Slow the tempo", tone: "ready" },
  "add-load": { word: "Add load", tone: "ready" },
  "less-help": { word: "Less help", tone: "ready" },
  "step-up": { word: "Step up", tone: "ready" },
  "swap-surface": { word: "Swap the surface", tone: "watch" },
  "cut-frequency": { word: "Fewer days", tone: "watch" },
  "test-again": { word: "Test again", tone: "watch" },
};
