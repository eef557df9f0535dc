/** Planning a week: a worker plans it and tells of every better plan; stopping keeps the best. */
import { useEffect, useRef, useState } from "react";
import { answer, api, Problem, type Schema } from "../../common/api/client";
import { useRefresh } from "../../common/api/queries";
import { listen } from "../../common/api/stream";
import type { Draft, Sheet } from "./plan";

type PlanningOut = Schema["PlanningOut"];

export interface Planning {
  /** The best plan so far; null before the first. */
  best: Schema["PlanProgress"] | null;
  /** Set once the search has ended by itself. */
  end: Schema["PlanEnd"] | null;
  running: boolean;
  /** After something was decided: it is kept by itself. */
  again: boolean;
  /** What there is to say while it waits. */
  note: string;
  error: Error | null;
}

const NOTHING: Planning = {
  best: null,
  end: null,
  running: false,
  again: false,
  note: "",
  error: null,
};

export function usePlanning(sheet: Sheet) {
  const refresh = useRefresh("athlete", "squad");
  const [id, setId] = useState(sheet.planning_id);
  const [newest, setNewest] = useState<PlanningOut | null>(null);
  const [asking, setAsking] = useState(false);
  const unwanted = useRef(false);
  const [error, setError] = useState<Error | null>(null);
  const { athlete_id, week_start } = sheet;

  // one that was asked for elsewhere, or followed from a decision, is watched too
  useEffect(() => setId((now) => sheet.planning_id ?? now), [sheet.planning_id]);
  useEffect(() => {
    if (!id) return;
    const end = listen(`/api/athletes/${athlete_id}/week/plans/${id}/stream`, (planning) => {
      setNewest(planning);
      if (isUnderWay(planning)) return;
      end();
      // it was kept by itself, or something was decided meanwhile: the week is another one now
      if (planning.again || planning.state === "refused") refresh();
    });
    return end;
  }, [id, athlete_id, refresh]);

  async function start(draft: Draft) {
    const { placed: _, ...body } = draft;
    setAsking(true);
    setError(null);
    setNewest(null);
    unwanted.current = false;
    try {
      const asked = await answer(
        api.POST("/api/athletes/{athlete_id}/week/plans", {
          params: { path: { athlete_id }, query: { week_start } },
          body: { seconds: 20, ...body },
        }),
      );
      setNewest(asked);
      setId(asked.id);
      if (unwanted.current) await end(asked.id); // stopped before it was asked for
    } catch (cause) {
      setError(cause as Error);
    }
    setAsking(false);
  }

  async function stop() {
    unwanted.current = asking;
    if (asking || !id || !newest || !isUnderWay(newest)) return;
    try {
      await end(id);
    } catch (cause) {
      setError(cause as Error);
    }
  }

  async function end(planning_id: string) {
    setNewest(
      await answer(
        api.DELETE("/api/athletes/{athlete_id}/week/plans/{planning_id}", {
          params: { path: { athlete_id, planning_id } },
        }),
      ),
    );
  }

  function leave() {
    setId(null);
    setNewest(null);
    setError(null);
  }

  return { planning: shown(newest, asking, error), start, stop, leave };
}

function isUnderWay(planning: PlanningOut): boolean {
  return planning.state === "queued" || planning.state === "working";
}

function shown(newest: PlanningOut | null, asking: boolean, error: Error | null): Planning {
  if (!newest) return { ...NOTHING, running: asking, error };
  const { best, end, again, note, refusal } = newest;
  if (again && !isUnderWay(newest)) return { ...NOTHING, error };
  return {
    best: again ? null : (end ?? best),
    end,
    running: isUnderWay(newest),
    again,
    note,
    error: refusal ? new Problem(422, "No plan", [refusal]) : error,
  };
}
