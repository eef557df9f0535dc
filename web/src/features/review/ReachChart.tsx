/** Reach over time with its range, the criteria as lines, and what else happened. */
import {
  Area,
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
import { Button } from "../../common/ui/Button";
import { Chart } from "../../common/ui/Chart";
import { counted, day, rangeWords } from "../../common/units/figures";
import { AXIS, at, dayTick, shortDay } from "./axes";

type Trends = Schema["Trends"];
type Point = Trends["reach"][number];

interface Props {
  trends: Trends;
  onOpen: (session: string) => void;
}

export function ReachChart({ trends, onOpen }: Props) {
  const rows = trends.reach.map((point) => ({
    ...point,
    at: at(point.day),
    likely: point.capacity.likely,
    range: [point.capacity.low, point.capacity.high] as [number, number],
  }));
  const newest = trends.reach.at(-1);
  const recomputed = trends.reach.filter(({ stored }) => stored);
  const criteria = trends.criteria;
  const values = [
    ...rows.flatMap((row) => row.range),
    ...criteria.slice(0, 2).map((criterion) => criterion.needed),
  ];
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const words = newest
    ? `Capacity ${rangeWords(newest.capacity)} on ${day(newest.day)}; next criterion at ${criteria[0]?.needed.toFixed(1) ?? "–"} ${trends.unit}`
    : "Nothing tells capacity yet";
  return (
    <Chart<Point>
      title={`Reach: capacity, ${trends.unit}`}
      words={words}
      rows={[...trends.reach].reverse()}
      rowKey={(row) => row.day}
      columns={[
        { head: "Day", cell: (row) => day(row.day) },
        { head: "Capacity", cell: (row) => rangeWords(row.capacity) },
        ...(recomputed.length > 0
          ? [
              {
                head: "Computed then",
                cell: (row: Point) =>
                  row.stored ? `${rangeWords(row.stored)}, model ${row.model_version}` : "the same",
              },
            ]
          : []),
        {
          head: "From",
          cell: (row) =>
            row.session_id ? (
              <Button quiet onClick={() => onOpen(row.session_id as string)}>
                the session
              </Button>
            ) : (
              "a test"
            ),
        },
      ]}
      note={`One-rep capacity at a rep of 2 s, or torque held for 6 s, in the lane of the rung; the band holds it 8 times of 10. Lines are what the criteria ask for; dotted, a decision, in red pain. A point opens its session.${recomputed.length > 0 ? ` ${counted(recomputed.length, "day")} of an earlier model ${recomputed.length === 1 ? "is" : "are"} computed anew from the same sets; the table has what was computed then.` : ""}`}
    >
      <ResponsiveContainer width="100%" height={250}>
        <ComposedChart
          accessibilityLayer={false}
          data={rows}
          margin={{ top: 8, right: 12, bottom: 0, left: 0 }}
        >
          <CartesianGrid stroke="var(--hair)" strokeDasharray="1 3" vertical={false} />
          <XAxis {...AXIS} dataKey="at" {...dayTick(trends.since, trends.today)} />
          <YAxis
            {...AXIS}
            width={44}
            domain={[Math.floor(0.97 * low), Math.ceil(1.03 * high)]}
            allowDataOverflow
          />
          <Tooltip
            isAnimationActive={false}
            labelFormatter={(value) => shortDay(Number(value))}
            contentStyle={{ background: "var(--sheet)", border: "1px solid var(--line)" }}
          />
          {trends.events
            .filter((event) => event.kind === "pain" || event.kind === "proposal")
            .map((event) => (
              <ReferenceLine
                key={`${event.day}${event.kind}${event.words}`}
                x={at(event.day)}
                stroke={event.kind === "pain" ? "var(--over)" : "var(--line)"}
                strokeDasharray="2 3"
              />
            ))}
          {criteria.slice(0, 2).map((criterion) => (
            <ReferenceLine
              key={criterion.name}
              y={criterion.needed}
              stroke="var(--ready)"
              label={{
                value: `criterion of ${criterion.name}`,
                position: "insideBottomLeft",
                fill: "var(--ready)",
                fontSize: 13,
              }}
            />
          ))}
          <Area
            dataKey="range"
            name="range"
            stroke="none"
            fill="var(--reach)"
            fillOpacity={1}
            isAnimationActive={false}
          />
          <Line
            dataKey="likely"
            name="likely"
            stroke="var(--ink)"
            dot={false}
            isAnimationActive={false}
          />
          <Scatter
            dataKey="likely"
            name="session"
            fill="var(--ink)"
            isAnimationActive={false}
            className="cursor-pointer"
            onClick={(point: unknown) => {
              const session = (point as { payload?: Point }).payload?.session_id;
              if (session) onOpen(session);
            }}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </Chart>
  );
}
