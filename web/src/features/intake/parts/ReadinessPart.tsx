/** Readiness checks: how each is done, what it opens, and the work that opens a closed one. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Schema } from "../../../common/api/client";
import { queries } from "../../../common/api/queries";
import { useAct, useSendId } from "../../../common/hooks/useAct";
import { Button } from "../../../common/ui/Button";
import { Field } from "../../../common/ui/Field";
import { Wrong } from "../../../common/ui/Wrong";
import { day } from "../../../common/units/figures";

type Check = Schema["ReadinessCheck"];

export function ReadinessPart({ athleteId }: { athleteId: string }) {
  const checks = useQuery(queries.readiness(athleteId)).data?.checks ?? [];
  return (
    <div className="px-4 pb-4">
      <p className="pt-2 text-faint">
        Some movements wait for a check. A closed one is no dead end: its work goes into the
        sessions, and it is tried again on the day named.
      </p>
      <ol className="grid gap-x-8 lg:grid-cols-2">
        {checks.map((check) => (
          <CheckCard key={check.id} athleteId={athleteId} check={check} />
        ))}
      </ol>
    </div>
  );
}

function CheckCard({ athleteId, check }: { athleteId: string; check: Check }) {
  const [note, setWord] = useState("");
  const [id, next] = useSendId();
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const keep = (passed: boolean) =>
    act(
      () =>
        api.POST("/api/athletes/{athlete_id}/readiness", {
          params: { path: { athlete_id: athleteId } },
          body: { id, check: check.id, passed, note },
        }),
      () => {
        next();
        setWord("");
      },
    );
  return (
    <li className="border-t border-hair py-3">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h2 className="text-lg">{check.name}</h2>
        <Standing check={check} />
      </div>
      <p>{check.how}</p>
      <p>
        <b>Open with:</b> {check.passes}
      </p>
      <p className="text-sm text-faint">
        Opens {check.opens.join(", ").toLowerCase()}. {check.beside}
      </p>
      {check.passed === false && (
        <p className="mt-1 border-l-4 border-watch bg-wash px-3 py-1">
          Until then: {check.prepares} {check.prescription}. {tryAgain(check.again_on ?? "")}
        </p>
      )}
      <div className="flex flex-wrap items-end gap-2">
        <div className="w-56">
          <Field
            label={`Seen at “${check.name.toLowerCase()}”`}
            value={note}
            maxLength={200}
            placeholder="left 6 s, right 12 s"
            onChange={(event) => setWord(event.target.value)}
          />
        </div>
        <div className="flex gap-2 pb-1">
          <Button busy={busy} onClick={() => keep(true)} aria-label={`Open: ${check.name}`}>
            <span aria-hidden="true">● </span>Open
          </Button>
          <Button busy={busy} onClick={() => keep(false)} aria-label={`Not yet: ${check.name}`}>
            <span aria-hidden="true">◆ </span>Not yet
          </Button>
        </div>
      </div>
      <Wrong error={error} />
    </li>
  );
}

function tryAgain(on: string): string {
  const due = on <= new Date().toISOString().slice(0, 10);
  return due ? `Try again now: it was due on ${day(on)}.` : `Try again on ${day(on)}.`;
}

function Standing({ check }: { check: Check }) {
  if (check.passed === null) return <span className="text-faint">○ not checked yet</span>;
  const seen = check.note && `: ${check.note}`;
  return check.passed ? (
    <span className="text-ready">
      ● open since {day(check.on ?? "")}
      {seen}
    </span>
  ) : (
    <span className="text-watch">
      ◆ closed on {day(check.on ?? "")}
      {seen}
    </span>
  );
}
