/** What was done: the athlete's own sessions, the newest first. */
import { useInfiniteQuery } from "@tanstack/react-query";
import { answer, api } from "../../../common/api/client";
import { SetLine } from "../../../common/movement/SetLine";
import { Button } from "../../../common/ui/Button";
import { Wrong } from "../../../common/ui/Wrong";
import { day } from "../../../common/units/figures";

export default function History({ athleteId }: { athleteId: string }) {
  const pages = useInfiniteQuery({
    queryKey: ["athlete", athleteId, "history"],
    queryFn: ({ pageParam }) =>
      answer(
        api.GET("/api/athletes/{athlete_id}/history", {
          params: {
            path: { athlete_id: athleteId },
            query: pageParam ? { before: pageParam } : {},
          },
        }),
      ),
    initialPageParam: "",
    getNextPageParam: (last) => last.before ?? undefined,
  });
  const sessions = pages.data?.pages.flatMap((page) => page.sessions) ?? [];
  return (
    <main className="px-3 pb-6">
      <h1 className="pt-3 text-3xl">Done</h1>
      <Wrong error={pages.error} />
      {pages.data && sessions.length === 0 && (
        <p className="pt-2 text-lg">Your sessions are listed here once the first is closed.</p>
      )}
      {sessions.map((session) => (
        <section key={session.id} className="border-b border-hair py-2">
          <h2 className="text-xl">
            {session.name} <span className="text-base text-faint">{day(session.local_date)}</span>
          </h2>
          <p className="text-faint">effort of the session {session.rpe ?? "–"}</p>
          {session.sets.map((set) => (
            <SetLine key={set.id} athleteId={athleteId} set={set} />
          ))}
        </section>
      ))}
      {pages.hasNextPage && (
        <Button large onClick={() => pages.fetchNextPage()} className="mt-3 w-full">
          Older ones
        </Button>
      )}
    </main>
  );
}
