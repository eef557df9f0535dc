/** Set-ups as the API speaks of them, with nothing left out. */
import type { Schema } from "../api/client";

export interface Changes {
  values: Record<string, number>;
  added_load: Schema["AddedLoadRequest"];
  band: Schema["BandHoldRequest"] | null;
  assistance: Schema["AssistanceRequest"] | null;
  range_percent: number;
  range_from: "start" | "end";
  tempo: string;
}

export interface SetUp extends Changes {
  movement: string;
}

/** A movement as it is, nothing changed about it. */
export const UNCHANGED: Changes = {
  values: {},
  added_load: { vest_kg: 0, bag_kg: 0, ankles_kg: 0, lap_kg: 0, hands_kg: 0 },
  band: null,
  assistance: null,
  range_percent: 100,
  range_from: "start",
  tempo: "1-0-1-0",
};

/** What is changed about a movement, and no more, of anything that carries it. */
export function changesOf(one: Omit<Schema["SetUpRequest"], "movement" | "shape">): Changes {
  return {
    values: one.values ?? UNCHANGED.values,
    added_load: one.added_load ?? UNCHANGED.added_load,
    band: one.band ?? null,
    assistance: one.assistance ?? null,
    range_percent: one.range_percent,
    range_from: one.range_from ?? UNCHANGED.range_from,
    tempo: one.tempo,
  };
}

export function setUpOf(one: Schema["SetUpRequest"]): SetUp {
  return { movement: one.movement, ...changesOf(one) };
}

/** "advanced_tuck" as it is said. */
export function said(name: string): string {
  return name.replaceAll("_", " ");
}
