/** The screen's questions in plain words. */
import { VOCABULARY } from "../../common/vocabulary";

export const { diseases: DISEASES, signs: SIGNS, medicines: MEDICINES } = VOCABULARY;

export const PAIN_PLACES = VOCABULARY.painPlaces;

/** What a clearance can lift besides limits, in words. */
export const LIFTS: Record<string, string> = { doctor: "that a doctor is seen first" };
