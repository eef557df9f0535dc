/** What the device takes along: read from the device first, renewed from the service when it can. */
import { useCallback, useEffect, useState } from "react";
import { answer, api, Problem } from "../../../common/api/client";
import { clockOffset } from "./clock";
import { device } from "./keep";
import type { Along } from "./types";

export interface Taken {
  along: Along | null;
  /** Ms by which this device's clock stands behind the server's. */
  offset: number;
  /** Whether the service answered; until it does, what is shown is what was kept. */
  fresh: boolean;
  error: Error | null;
  renew: () => Promise<void>;
}

export function useAlong(athleteId: string): Taken {
  const [kept, setKept] = useState<{ along: Along; offset: number } | null>(null);
  const [fresh, setFresh] = useState(false);
  const [error, setError] = useState<Error | null>(null);

  const renew = useCallback(async () => {
    const asked = Date.now();
    try {
      const along = await answer(
        api.GET("/api/athletes/{athlete_id}/floor", {
          params: { path: { athlete_id: athleteId } },
        }),
      );
      const offset = clockOffset(along.server_time, asked, Date.now());
      setKept({ along, offset });
      setFresh(true);
      setError(null);
      await (await device()).put("along", { sheet: along, offset, at: Date.now() }, athleteId);
    } catch (cause) {
      setFresh(false);
      setError(cause as Error);
    }
  }, [athleteId]);

  useEffect(() => {
    let here = true;
    device()
      .then((db) => db.get("along", athleteId))
      .then((found) => {
        if (found && here) setKept((now) => now ?? { along: found.sheet, offset: found.offset });
        return renew();
      });
    return () => {
      here = false;
    };
  }, [athleteId, renew]);

  return {
    along: kept?.along ?? null,
    offset: kept?.offset ?? 0,
    fresh,
    error,
    renew,
  };
}

/** Whether an error says that the way in has ended, not that the line is down. */
export const isEnded = (error: Error | null): error is Problem =>
  error instanceof Problem && (error.status === 401 || error.status === 404);
