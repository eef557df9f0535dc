/** Pain told today, kept on the device, so that it stops what it must with the network gone too. */
import { useState } from "react";
import type { Along } from "../engine/types";

export interface Pain {
  day: string;
  /** Places that nothing may load today. */
  places: string[];
  /** Why nobody trains today, '' where they may. */
  alarm: string;
}

const name = (along: Along) => `invelo.pain.${along.athlete_id}`;

function read(along: Along): Pain {
  const found = localStorage.getItem(name(along));
  const pain = found ? (JSON.parse(found) as Pain) : null;
  return pain?.day === along.today ? pain : { day: along.today, places: [], alarm: "" };
}

export function usePain(along: Along): [Pain, (places: string[], alarms: string[]) => void] {
  const [pain, setPain] = useState(() => read(along));
  const tell = (places: string[], alarms: string[]) => {
    const alarm = alarms.length
      ? `Do not train today: ${alarms.join(", ")}. See a doctor before you train again; if it is strong or grows, call for help now.`
      : "";
    const next = { day: along.today, places, alarm };
    localStorage.setItem(name(along), JSON.stringify(next));
    setPain(next);
  };
  return [pain, tell];
}
