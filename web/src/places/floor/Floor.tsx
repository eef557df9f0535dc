/** Floor: one set at a time, readable from the mat. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import { answer, api, deviceMoment, type Schema } from "../../api/client";
import { queries, useRefresh } from "../../api/queries";
import { Away } from "../../parts/Away";
import { Button } from "../../parts/Button";
import { inWords } from "../../parts/figures";
import { Limits } from "../../parts/Limits";
import { TitleBlock, today as todayText } from "../../parts/TitleBlock";
import { Wrong } from "../../parts/Wrong";
import { Finish } from "./Finish";
import { lastTime } from "./lastTime";
import { Run } from "./Run";

export default function Floor() {
  const { ladderId = "" } = useParams();
  const today = useQuery(queries.today(ladderId));
  if (today.error) return <Away error={today.error} retry={() => today.refetch()} />;
  if (!today.data) return <main className="flex-1 p-6 text-faint">Laying out the session …</main>;
  return <Session key={ladderId} today={today.data} />;
}

function Session({ today }: { today: Schema["Today"] }) {
  const navigate = useNavigate();
  const refresh = useRefresh();
  const [running, setRunning] = useState(today.running);
  const [finishing, setFinishing] = useState(false);
  const [error, setError] = useState<Error | null>(null);
  const [busy, setBusy] = useState(false);
  // The device names the session, so that pressing twice opens one.
  const [id] = useState(() => crypto.randomUUID());

  async function act(doing: () => Promise<void>) {
    setBusy(true);
    setError(null);
    await doing().catch(setError);
    setBusy(false);
  }

  const start = () =>
    act(async () => {
      const opened = await answer(
        api.PUT("/api/sessions/{session_id}", {
          params: { path: { session_id: id } },
          body: { ladder_id: today.ladder_id, ...deviceMoment() },
        }),
      );
      setRunning(opened);
    });

  const finish = (effort: number) =>
    act(async () => {
      if (!running) return;
      await answer(
        api.POST("/api/sessions/{session_id}/finish", {
          params: { path: { session_id: running.id } },
          body: { effort, ...deviceMoment() },
        }),
      );
      await refresh();
      navigate(`/review/${today.ladder_id}`);
    });

  const discard = () =>
    act(async () => {
      if (!running) return;
      await api.DELETE("/api/sessions/{session_id}", {
        params: { path: { session_id: running.id } },
      });
      await refresh();
      navigate(`/ladder/${today.ladder_id}`);
    });

  return (
    <>
      <main className="flex min-h-0 w-full flex-1 flex-col overflow-y-auto px-3 sm:px-8">
        <Wrong error={error} />
        {!running && <Before today={today} busy={busy} onStart={start} />}
        {running && !finishing && (
          <Run
            today={today}
            session={running}
            onSets={(sets) => setRunning({ ...running, sets })}
            onFinish={() => setFinishing(true)}
            onDiscard={discard}
          />
        )}
        {running && finishing && (
          <Finish busy={busy} onBack={() => setFinishing(false)} onFinish={finish} />
        )}
      </main>
      <TitleBlock
        athlete={today.athlete_name}
        sheet={`Floor: ${today.goal}`}
        date={todayText()}
        revision={running ? "running" : "not started"}
      />
    </>
  );
}

interface BeforeProps {
  today: Schema["Today"];
  busy: boolean;
  onStart: () => void;
}

/** The work that opens a closed readiness check belongs to the session. */
function Preparing({ athleteId }: { athleteId: string }) {
  const checks = useQuery(queries.readiness(athleteId)).data?.checks ?? [];
  const closed = checks.filter(({ passed }) => passed === false);
  if (closed.length === 0) return null;
  return (
    <div className="mt-3 max-w-4xl border-l-4 border-watch bg-wash px-3 py-1">
      <h2 className="lettering">Preparing, after the warm-up</h2>
      {closed.map(({ id, prepares, dose }) => (
        <p key={id}>
          {prepares} {dose}.
        </p>
      ))}
    </div>
  );
}

function Before({ today, busy, onStart }: BeforeProps) {
  const { rung, last_time: last } = today;
  return (
    <div className="py-4">
      <Limits athleteId={today.athlete_id} />
      <p className="lettering">Today</p>
      <h1 className="text-5xl sm:text-6xl">{rung.name}</h1>
      <p className="font-head text-3xl sm:text-4xl">
        {rung.dose.sets} sets of {rung.dose.low}–{rung.dose.high} {inWords(rung.dose.unit)}, effort{" "}
        {rung.dose.effort}
      </p>
      <p className="pt-2 text-lg text-faint">
        {rung.dose.unit === "reps" && <>Tempo {rung.tempo} s (lower – hold – press – hold), </>}
        rest {rung.dose.rest_s} s. One easier set first.
      </p>
      {last && <p className="pt-1 text-lg">{lastTime(last)}</p>}
      <Preparing athleteId={today.athlete_id} />
      <ul className="list-disc pt-3 pl-6 text-xl">
        {rung.cues.map((cue) => (
          <li key={cue}>{cue}</li>
        ))}
      </ul>
      <div className="mt-4 max-w-4xl border border-watch p-3">
        <h2 className="text-watch">◆ Before you start</h2>
        <ul className="list-disc pl-5">
          {today.cautions.map((caution) => (
            <li key={caution}>{caution}</li>
          ))}
        </ul>
      </div>
      {today.stopped ? (
        <div className="mt-4 border-2 border-over p-3">
          <strong className="text-over">▲ Stopped.</strong> {today.stopped} Take it up again on the
          Ladder sheet once a clinician agrees.
        </div>
      ) : (
        <Button main large busy={busy} onClick={onStart} className="mt-4 w-full sm:w-auto">
          Start the session
        </Button>
      )}
    </div>
  );
}
