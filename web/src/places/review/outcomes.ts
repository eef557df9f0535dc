import type { Schema } from "../../api/client";
import type { Tone } from "../../parts/Mark";

export const OUTCOMES: Record<Schema["Decision"]["outcome"], { word: string; tone: Tone }> = {
  stop: { word: "Stop", tone: "over" },
  "step-back": { word: "Step back", tone: "watch" },
  hold: { word: "Hold", tone: "plain" },
  "step-up": { word: "Step up", tone: "ready" },
};
