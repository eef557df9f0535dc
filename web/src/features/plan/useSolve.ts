/** Solving a week: the service tells of every better plan; stopping keeps the best so far. */
import { useEffect, useRef, useState } from "react";
import { AWAY, Problem, problemOf, type Schema } from "../../common/api/client";
import type { Draft, Sheet } from "./plan";

type Progress = Schema["SolveProgress"];

export interface Solving {
  /** The best plan so far; null before the first. */
  best: Progress | null;
  /** Set once the search has ended by itself. */
  end: Schema["SolveEnd"] | null;
  running: boolean;
  error: Error | null;
}

const NOTHING: Solving = { best: null, end: null, running: false, error: null };

export function useSolve(sheet: Sheet) {
  const [solving, setSolving] = useState<Solving>(NOTHING);
  const stopping = useRef<AbortController | null>(null);
  useEffect(() => () => stopping.current?.abort(), []);

  async function start(draft: Draft) {
    const controller = new AbortController();
    stopping.current = controller;
    setSolving({ ...NOTHING, running: true });
    try {
      const { placed: _, ...body } = draft;
      const response = await fetch(
        `/api/athletes/${sheet.athlete_id}/week/plans?week_start=${sheet.week_start}`,
        {
          method: "POST",
          headers: { "Content-Type": "application/json" },
          body: JSON.stringify(body),
          signal: controller.signal,
        },
      );
      if (!response.ok) throw await problemOf(response);
      for await (const { name, data } of events(response)) {
        const told = JSON.parse(data);
        if (name === "progress") setSolving((now) => ({ ...now, best: told }));
        if (name === "solved") setSolving({ best: told, end: told, running: false, error: null });
        if (name === "refused") throw new Problem(422, "No plan", [told]);
      }
    } catch (cause) {
      if (controller.signal.aborted) return;
      const error = cause instanceof Problem ? cause : AWAY;
      setSolving((now) => ({ ...now, running: false, error }));
    }
  }

  function stop() {
    stopping.current?.abort();
    setSolving((now) => ({ ...now, running: false }));
  }

  return { solving, start, stop, leave: () => setSolving(NOTHING) };
}

/** Server-sent events of an answer, as they come in. */
async function* events(response: Response): AsyncGenerator<{ name: string; data: string }> {
  const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
  let held = "";
  for (;;) {
    const next = await reader?.read();
    if (!next || next.done) return;
    held += next.value;
    const whole = held.split("\n\n");
    held = whole.pop() ?? "";
    for (const told of whole) {
      const [name = "", data = ""] = told.split("\n");
      yield { name: name.replace("event: ", ""), data: data.replace("data: ", "") };
    }
  }
}
