/** The screen's questions in plain words. */
import type { Schema } from "../../common/api/client";

type Answers = Schema["NewScreen"];
type One<K extends "diseases" | "signs" | "medicines"> = NonNullable<Answers[K]>[number];

export const DISEASES: [One<"diseases">, string][] = [
  [
    "heart or vessels",
    "of the heart or the vessels, a stroke, high blood pressure under treatment",
  ],
  ["metabolism", "of the metabolism, such as diabetes"],
  ["kidneys", "of the kidneys"],
];

export const SIGNS: [One<"signs">, string][] = [
  ["chest pressure", "pressure or pain in chest, neck, jaw or arms, at rest or with effort"],
  ["breathless at rest", "short of breath at rest or with little effort"],
  ["faint or dizzy", "fainting, or dizzy spells"],
  ["breathless lying down", "short of breath lying down, or waking from it at night"],
  ["swollen ankles", "swollen ankles"],
  ["racing heart", "a heart that races or stumbles without cause"],
  ["calf pain walking", "pain in the calves that comes with walking and goes with standing"],
  ["heart murmur", "a heart murmur that was found"],
  ["unusual tiredness", "unusual tiredness with everyday things"],
];

export const MEDICINES: [One<"medicines">, string][] = [
  ["heart or blood pressure", "for heart or blood pressure"],
  ["blood sugar", "for blood sugar"],
  ["blood thinning", "that thin the blood"],
  ["bones or steroids", "for thin bones, or steroids for long"],
];

export const PAIN_PLACES = [
  "wrist",
  "elbow",
  "shoulder",
  "neck",
  "back",
  "hip",
  "knee",
  "ankle",
] as const;

/** What a clearance can lift besides limits, in words. */
export const LIFTS: Record<string, string> = { doctor: "that a doctor is seen first" };
