/** The hanging scale's live reading, judged by the service; the link can drop at any time. */
import { useEffect, useRef, useState } from "react";

export interface Live {
  state: "empty" | "moving" | "steady" | "silent" | "flooding" | "gone" | "fault";
  value: number;
  half_width: number;
  kg: number;
  unit: "kg" | "lb" | "N";
  simulated: boolean;
  words: string;
}

type Command =
  | { type: "tare" }
  | { type: "unit"; unit: Live["unit"] }
  | { type: "pull"; stretch: number };

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
  const link = useRef<WebSocket | null>(null);
  useEffect(() => {
    const scheme = location.protocol === "https:" ? "wss" : "ws";
    const opened = new WebSocket(`${scheme}://${location.host}/api/scale?try=${tries}`);
    link.current = opened;
    opened.onmessage = (event) => setLive(JSON.parse(event.data) as Live);
    opened.onclose = () => setLive(GONE);
    return () => {
      opened.onclose = null;
      opened.close();
    };
  }, [tries]);
  return {
    live,
    send: (command) => {
      if (link.current?.readyState === WebSocket.OPEN) link.current.send(JSON.stringify(command));
    },
    again: () => {
      setLive(null);
      setTries(tries + 1);
    },
  };
}
