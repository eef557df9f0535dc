/** How much was done: load with its ratio and dispute, effort, sessions planned and done. */
import {
  Bar,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  Tooltip,
  XAxis,
  YAxis,
} from "recharts";
import type { Schema } from "../../common/api/client";
import { Chart } from "../../common/ui/Chart";
import { Explained } from "../../common/units/Explained";
import { day } from "../../common/units/figures";
import { AXIS, at, dayTick, shortDay } from "./axes";

type Trends = Schema["Trends"];
const MARGIN = { top: 8, right: 12, bottom: 0, left: 0 };
const TIP = { background: "var(--sheet)", border: "1px solid var(--line)" };

export function LoadChart({ trends }: { trends: Trends }) {
  const load = trends.load;
  if (!load) return null;
  const rows = load.days.map((day) => ({ ...day, at: at(day.day) }));
  return (
    <Chart<(typeof load.weeks)[number]>
      title="Load: effort × minutes, and acute : chronic"
      words={`Load by day since ${day(load.days[0]?.day ?? trends.since)}; lately ${load.words}`}
      rows={[...load.weeks].reverse()}
      rowKey={(row) => row.week_start}
      columns={[
        { head: "Week of", cell: (row) => day(row.week_start) },
        { head: "Load", cell: (row) => Math.round(row.load).toString() },
        { head: "Monotony", cell: (row) => row.monotony?.toFixed(2) ?? "no variation" },
        { head: "Strain", cell: (row) => (row.strain === null ? "–" : Math.round(row.strain)) },
      ]}
      note={
        <>
          Lately <b>{load.words}</b>
          {load.ratio && (
            <>
              : <Explained name="acute : chronic load" figure={load.ratio} />
            </>
          )}
          . {load.dispute}
          {load.stood_in > 0 &&
            ` In ${load.stood_in} sessions the mean of the sets' efforts stands in.`}
        </>
      }
    >
      <ResponsiveContainer width="100%" height={190}>
        <ComposedChart accessibilityLayer={false} data={rows} margin={MARGIN}>
          <CartesianGrid stroke="var(--hair)" strokeDasharray="1 3" vertical={false} />
          <XAxis {...AXIS} dataKey="at" {...dayTick(trends.since, trends.today)} />
          <YAxis {...AXIS} yAxisId="load" width={44} />
          <YAxis {...AXIS} yAxisId="ratio" orientation="right" width={36} domain={[0, 2]} />
          <Tooltip
            isAnimationActive={false}
            contentStyle={TIP}
            labelFormatter={(value) => shortDay(Number(value))}
          />
          <Bar
            yAxisId="load"
            dataKey="load"
            name="load"
            fill="var(--hair)"
            barSize={4}
            isAnimationActive={false}
          />
          <ReferenceLine yAxisId="ratio" y={1.3} stroke="var(--watch)" strokeDasharray="4 3" />
          <ReferenceLine yAxisId="ratio" y={1.5} stroke="var(--over)" strokeDasharray="4 3" />
          <Line
            yAxisId="ratio"
            dataKey="ratio"
            name="7 over 28 days"
            stroke="var(--ink)"
            dot={false}
            isAnimationActive={false}
          />
          <Line
            yAxisId="ratio"
            dataKey="ratio_smoothed"
            name="exponential means"
            stroke="var(--line)"
            strokeDasharray="3 3"
            dot={false}
            isAnimationActive={false}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </Chart>
  );
}

const POINTS = [
  { dataKey: "rpe", name: "session", fill: "var(--line)", shape: "cross" },
  { dataKey: "mean_set_rpe", name: "sets", fill: "var(--ink)", shape: "circle" },
] as const;

interface RpeProps {
  trends: Trends;
  onOpen: (session: string) => void;
}

function open(point: unknown, onOpen: RpeProps["onOpen"]) {
  const session = (point as { payload?: Trends["sessions"][number] }).payload?.id;
  if (session) onOpen(session);
}

export function RpeChart({ trends, onOpen }: RpeProps) {
  const rows = trends.sessions.map((session) => ({ ...session, at: at(session.day) }));
  const newest = trends.sessions.at(-1);
  return (
    <Chart<Trends["sessions"][number]>
      title="Effort (RPE) of sets and sessions"
      words={
        newest
          ? `Sets at effort ${newest.mean_set_rpe.toFixed(1)} on ${day(newest.day)}`
          : "No session"
      }
      rows={[...trends.sessions].reverse()}
      rowKey={(row) => row.id}
      columns={[
        {
          head: "Day",
          cell: (row) => (
            <button type="button" className="underline" onClick={() => onOpen(row.id)}>
              {day(row.day)}
            </button>
          ),
        },
        { head: "Sets", cell: (row) => row.sets },
        { head: "Effort (RPE) of sets", cell: (row) => row.mean_set_rpe.toFixed(1) },
        { head: "Of the session", cell: (row) => row.rpe?.toString() ?? "not asked" },
        { head: "Form kept", cell: (row) => `${Math.round(100 * row.form_ok)} %` },
        { head: "Tempo kept", cell: (row) => `${Math.round(100 * row.tempo)} %` },
        { head: "Pain", cell: (row) => row.pain || "" },
      ]}
      note="Points are the mean of a session's sets, crosses the whole session. Form and tempo kept stand in the table: the share of sets without such a fault. A point opens its session."
    >
      <ResponsiveContainer width="100%" height={150}>
        <ComposedChart accessibilityLayer={false} data={rows} margin={MARGIN}>
          <CartesianGrid stroke="var(--hair)" strokeDasharray="1 3" vertical={false} />
          <XAxis {...AXIS} dataKey="at" {...dayTick(trends.since, trends.today)} />
          <YAxis {...AXIS} width={44} domain={[4, 10]} ticks={[4, 6, 8, 10]} />
          <Tooltip
            isAnimationActive={false}
            contentStyle={TIP}
            labelFormatter={(value) => shortDay(Number(value))}
          />
          {POINTS.map((point) => (
            <Scatter
              key={point.dataKey}
              {...point}
              isAnimationActive={false}
              className="cursor-pointer"
              onClick={(one: unknown) => open(one, onOpen)}
            />
          ))}
        </ComposedChart>
      </ResponsiveContainer>
    </Chart>
  );
}

export function DoneChart({ trends }: { trends: Trends }) {
  const rows = trends.adherence.map((week) => ({ ...week, at: at(week.week_start) }));
  const done = trends.adherence.reduce((sum, week) => sum + week.done, 0);
  const planned = trends.adherence.reduce((sum, week) => sum + week.planned, 0);
  return (
    <Chart<Trends["adherence"][number]>
      title="Sessions planned and done"
      words={`${done} of ${planned} planned sessions were done`}
      rows={[...trends.adherence].reverse()}
      rowKey={(row) => row.week_start}
      columns={[
        { head: "Week of", cell: (row) => day(row.week_start) },
        { head: "Planned", cell: (row) => row.planned },
        { head: "Done", cell: (row) => row.done },
      ]}
      note={`${done} of ${planned} were done. Where no week was planned, the days they said they have stand for it.`}
    >
      <ResponsiveContainer width="100%" height={110}>
        <ComposedChart accessibilityLayer={false} data={rows} margin={MARGIN}>
          <XAxis {...AXIS} dataKey="at" {...dayTick(trends.since, trends.today)} />
          <YAxis {...AXIS} width={44} allowDecimals={false} />
          <Bar
            dataKey="planned"
            name="planned"
            fill="var(--hair)"
            barSize={9}
            isAnimationActive={false}
          />
          <Scatter dataKey="done" name="done" fill="var(--ready)" isAnimationActive={false} />
        </ComposedChart>
      </ResponsiveContainer>
    </Chart>
  );
}
