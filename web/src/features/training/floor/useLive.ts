/** Who is on the floor: every message is the whole picture, and a dropped line comes back by itself. */
import { useEffect, useState } from "react";
import type { Schema } from "../../../common/api/client";
import { listen } from "../../../common/api/stream";

export interface Live {
  floor: Schema["LiveFloor"] | null;
  line: "coming" | "open" | "dropped";
}

export function useLive(): Live {
  const [live, setLive] = useState<Live>({ floor: null, line: "coming" });
  useEffect(
    () =>
      listen(
        "/api/live/stream",
        (floor) => setLive({ floor, line: "open" }),
        () => setLive((now) => ({ ...now, line: "dropped" })),
      ),
    [],
  );
  return live;
}
