/** A large file of sets that a worker writes: how far it is. */
import { useQuery } from "@tanstack/react-query";
import { useEffect } from "react";
import { answer, api, Problem, type Schema } from "../../../common/api/client";
import { useRefresh } from "../../../common/api/queries";

const LOOK_MS = 1_000;

export type LogFileTask = Schema["LogFileTask"];

/** How far a large file is that a worker writes; asked every second until it has ended. */
export function useLogFileTask(athleteId: string, taskId: string | null): LogFileTask | null {
  const refresh = useRefresh("squad", "athlete", "ladder");
  const path = { athlete_id: athleteId, task_id: taskId ?? "" };
  const { data } = useQuery({
    queryKey: ["log-file", taskId],
    queryFn: () =>
      answer(api.GET("/api/athletes/{athlete_id}/log-files/{task_id}", { params: { path } })),
    enabled: taskId !== null,
    refetchInterval: ({ state }) => (isUnderWay(state.data) ? LOOK_MS : false),
  });
  const done = data?.state === "done";
  useEffect(() => {
    if (done) void refresh();
  }, [done, refresh]);
  return data ?? null;
}

function isUnderWay(task: LogFileTask | undefined): boolean {
  return task === undefined || task.state === "queued" || task.state === "working";
}

export function refusalOf(task: LogFileTask | null): Error | null {
  return task?.refusal ? new Problem(422, "Nothing was kept", [task.refusal]) : null;
}
