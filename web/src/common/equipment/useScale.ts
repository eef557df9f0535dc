/** The hanging scale's live reading, judged by the service; the link can drop at any time. */
import { useEffect, useRef, useState } from "react";
import type { Schema } from "../api/client";
import { connect, type Line } from "../api/stream";

export type Live = Schema["LoadCellReading"];
type Command = Schema["Tare"] | Schema["PullLine"] | Schema["UnitNow"];

const GONE: Live = {
  state: "gone",
  value: 0,
  half_width: 0,
  kg: 0,
  unit: "kg",
  simulated: false,
  words: "The link has dropped. Connect again; what was measured is kept.",
};

export function useScale(): {
  live: Live | null;
  send: (command: Command) => void;
  again: () => void;
} {
  const [live, setLive] = useState<Live | null>(null);
  const [tries, setTries] = useState(0);
  const link = useRef<Line<Command> | null>(null);
  useEffect(() => {
    const opened = connect(`/api/scale?try=${tries}`, setLive, () => setLive(GONE));
    link.current = opened;
    return opened.close;
  }, [tries]);
  return {
    live,
    send: (command) => link.current?.tell(command),
    again: () => {
      setLive(null);
      setTries(tries + 1);
    },
  };
}
