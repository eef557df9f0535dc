/** Trends: everything on one time line, with the forecast beside it. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { queries } from "../../common/api/queries";
import { Away } from "../../common/ui/Away";
import { Opens } from "../../common/ui/Opens";
import { Account, Explained } from "../../common/units/Explained";
import { day } from "../../common/units/figures";
import { Forecasts } from "./Forecasts";
import { DoneChart, LoadChart, RpeChart } from "./LoadCharts";
import { ReachChart } from "./ReachChart";
import { SessionDialog } from "./SessionDialog";
import { Joints, OwnTags, Regions, Sides } from "./WeekTables";

const SPANS = [
  [12, "12 weeks"],
  [26, "half a year"],
  [52, "a year"],
  [156, "three years"],
] as const;

export default function Trends({ ladderId }: { ladderId: string }) {
  const [weeks, setWeeks] = useState(26);
  const [session, setSession] = useState("");
  const query = useQuery(queries.trends(ladderId, weeks));
  if (query.error) return <Away error={query.error} retry={() => query.refetch()} />;
  const trends = query.data;
  if (!trends) return <p className="p-4 text-faint">Reading the logs …</p>;
  if (trends.sessions.length === 0)
    return <p className="p-4">Trends begin with the first session. Run one on the Floor.</p>;
  return (
    <div className="grid gap-x-8 gap-y-4 p-4 xl:grid-cols-[minmax(0,1fr)_25rem]">
      <div className="flex min-w-0 flex-col gap-4">
        <label className="lettering self-start print:hidden">
          How far back{" "}
          <select
            value={weeks}
            onChange={(event) => setWeeks(Number(event.target.value))}
            className="border border-line bg-sheet px-1 py-0.5"
          >
            {SPANS.map(([count, words]) => (
              <option key={count} value={count}>
                {words}
              </option>
            ))}
          </select>
        </label>
        <ReachChart trends={trends} onOpen={setSession} />
        <LoadChart trends={trends} />
        <RpeChart trends={trends} onOpen={setSession} />
        <DoneChart trends={trends} />
      </div>
      <div className="flex min-w-0 flex-col gap-4">
        <Forecasts trends={trends} />
        {trends.growth && (
          <p>
            Trend: <Explained name="the trend" figure={trends.growth} />
          </p>
        )}
        <Regions trends={trends} />
        <OwnTags trends={trends} />
        <Joints trends={trends} />
        <Sides trends={trends} />
        <section className="border-t border-ink pt-1">
          <h2 className="text-lg">Body mass</h2>
          <p>{trends.masses.map((mass) => `${mass.mass_kg} kg on ${day(mass.day)}`).join(" · ")}</p>
          {trends.mass_note && <p className="text-watch">◆ {trends.mass_note}</p>}
          <p className="pt-1 text-sm text-faint">
            The most stressful rungs:{" "}
            <Opens name="the weekly limit" words={`${trends.limit.days} days a week`}>
              {() => <Account derivation={trends.limit.derivation} />}
            </Opens>
            {trends.limit.learned
              ? ", learned from their own weeks."
              : ", common practice until their own weeks tell."}
          </p>
        </section>
        <section className="border-t border-ink pt-1">
          <h2 className="text-lg">What else happened</h2>
          <ul>
            {[...trends.events].reverse().map((event) => (
              <li
                key={`${event.day}${event.kind}${event.words}`}
                className="flex gap-3 border-b border-hair py-0.5"
              >
                <span className="whitespace-nowrap text-faint">{day(event.day)}</span>
                <span className={event.kind === "pain" ? "text-over" : ""}>{event.words}</span>
              </li>
            ))}
          </ul>
        </section>
      </div>
      {session && (
        <SessionDialog
          athleteId={trends.athlete_id}
          sessionId={session}
          onClose={() => setSession("")}
        />
      )}
    </div>
  );
}
