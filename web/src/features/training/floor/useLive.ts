/** Who is on the floor: every message is the whole picture, and a dropped line comes back by itself. */
import { useEffect, useState } from "react";
import type { Schema } from "../../../common/api/client";

export interface Live {
  floor: Schema["LiveFloor"] | null;
  line: "coming" | "open" | "dropped";
}

export function useLive(): Live {
  const [live, setLive] = useState<Live>({ floor: null, line: "coming" });
  useEffect(() => {
    let source: EventSource;
    let timer: ReturnType<typeof setTimeout>;
    const open = () => {
      source = new EventSource("/api/live/stream");
      source.onmessage = ({ data }) => setLive({ floor: JSON.parse(data), line: "open" });
      source.onerror = () => {
        setLive((now) => ({ ...now, line: "dropped" }));
        // an answer that is no stream ends the source for good; begin a new one
        if (source.readyState === EventSource.CLOSED) timer = setTimeout(open, 2_000);
      };
    };
    open();
    return () => {
      clearTimeout(timer);
      source.close();
    };
  }, []);
  return live;
}
