/** Day or night sheet: the coach's choice, else what the device prefers. */
import { useState } from "react";

export type Sheet = "day" | "night";
const KEY = "invelo.sheet";

function chosen(): Sheet {
  const kept = localStorage.getItem(KEY);
  if (kept === "day" || kept === "night") return kept;
  return matchMedia("(prefers-color-scheme: dark)").matches ? "night" : "day";
}

export function applySheet(sheet: Sheet = chosen()) {
  document.documentElement.dataset.sheet = sheet;
}

export function useSheet(): [Sheet, () => void] {
  const [sheet, setSheet] = useState(chosen);
  const turn = () => {
    const next = sheet === "day" ? "night" : "day";
    localStorage.setItem(KEY, next);
    applySheet(next);
    setSheet(next);
  };
  return [sheet, turn];
}
