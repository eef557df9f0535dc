/** The words of a run: what a device takes along, and what it keeps of a session in progress. */
import type { Schema } from "../../../common/api/client";

export type Along = Schema["OfflineBundleOut"];
export type Sheet = Schema["RunSheet"];
export type Item = Schema["RunItemSheet"];
export type RunSet = Schema["RunSet"];
export type Choice = Schema["RunChoice"];
export type Event = Schema["RunEvent"];
export type Doing = Schema["Doing"];
export type Phase = Schema["RepPhase"];

/** What was counted of a set, or of one side of it. */
export interface Count {
  amount: number;
  partial: number;
  faults: string[];
  counted: Entry["counted"];
}

/** A set that was done, before and after it is logged. */
export interface Entry {
  /** An id for each side; made once, so that sending it again writes it once. */
  ids: string[];
  item: string;
  set: number;
  what: Doing;
  kind: RunSet["kind"];
  low: number;
  high: number;
  /** Effort that was asked, and whether it was to go on to its end; a run begun before has none. */
  askedRpe?: number;
  openEnd?: boolean;
  /** Of the set, as it is logged, and the movement it was done in turn with; a run begun before has
   * none. */
  number?: number | null | undefined;
  inTurn?: string | undefined;
  /** One for each side, or one. */
  amounts: number[];
  sides: Schema["NewSet"]["side"][];
  rpe: number | null;
  /** Partial reps besides, one for each side, or one. */
  partials: number[];
  about: boolean;
  faults: string[];
  felt: string[];
  pain: number;
  place: string;
  note: string;
  /** When the set was over, by the device's clock. */
  at: string;
  /** A sensor's count that was confirmed, or none. */
  counted: "by hand" | "by the pace" | "by a sensor";
}

export interface Running {
  athleteId: string;
  sessionId: string;
  sheet: Sheet;
  /** Which of the sheet's events. */
  at: number;
  /** When the event began, ms of `now()`; null while the clock stands. */
  since: number | null;
  /** Ms of the event before the clock stood. */
  spent: number;
  paused: boolean;
  /** By item: which of its choices is done instead. */
  swaps: Record<string, number>;
  /** What the first side did, until the second is done. */
  firstSide: Count | null;
  pending: Entry[];
  logged: Entry[];
  /** Items that pain ended. */
  ended: string[];
  finishing: boolean;
  /** Whether the warm-up is run by the clock, one thing at a time, and not as a list. */
  oneByOne?: boolean;
}
