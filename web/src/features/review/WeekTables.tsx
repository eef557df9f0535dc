/** Weeks as tables: hard sets by region, torque × seconds by joint, both sides compared. */
import type { ReactNode } from "react";
import type { Schema } from "../../common/api/client";
import { Mark } from "../../common/ui/Mark";
import { Opens } from "../../common/ui/Opens";
import { Range } from "../../common/units/Explained";

type Trends = Schema["Trends"];
type Week = Trends["weeks"][number];

const SHOWN = 8;
const APART = 0.15;
const day = (iso: string) =>
  new Date(`${iso}T12:00:00`).toLocaleDateString("en-GB", { day: "numeric", month: "short" });

interface ByWeekProps {
  title: string;
  note: string;
  weeks: Week[];
  figures: (week: Week) => Record<string, number>;
  digits: number;
  /** Opens the newest week's figure of a name. */
  account?: (week: Week, name: string) => ReactNode;
}

function ByWeek({ title, note, weeks, figures, digits, account }: ByWeekProps) {
  const shown = weeks.slice(-SHOWN);
  const total: Record<string, number> = {};
  for (const week of shown)
    for (const [name, value] of Object.entries(figures(week)))
      total[name] = (total[name] ?? 0) + value;
  const names = Object.keys(total).sort((a, b) => (total[b] ?? 0) - (total[a] ?? 0));
  return (
    <section className="break-inside-avoid overflow-x-auto border-t border-ink pt-1">
      <table className="w-full">
        <caption className="text-left font-head text-lg font-semibold">{title}</caption>
        <thead>
          <tr className="lettering border-b border-ink">
            <th>Week of</th>
            {shown.map((week) => (
              <th key={week.week_start} className="text-right">
                {day(week.week_start)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {names.map((name) => (
            <tr key={name} className="border-b border-hair">
              <th scope="row" className="pr-2 font-text font-normal">
                {name}
              </th>
              {shown.map((week) => {
                const value = figures(week)[name] ?? 0;
                const words = value ? value.toFixed(Number.isInteger(value) ? 0 : digits) : "·";
                const opens = value && account && week === shown.at(-1);
                return (
                  <td key={week.week_start} className="pl-2 text-right">
                    {opens ? (
                      <Opens name={`the newest week's ${name}`} words={words}>
                        {() => account(week, name)}
                      </Opens>
                    ) : (
                      words
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="pt-1 text-sm text-faint">{note}</p>
    </section>
  );
}

const BOUND =
  "The torque at its greatest along the rep, over all seconds at work: an upper bound, for comparing one week with another.";

const kilo = (week: Week) =>
  Object.fromEntries(
    Object.entries(week.joints).map(([joint, told]) => [joint, told.likely / 1000]),
  );

export function Regions({ trends }: { trends: Trends }) {
  return (
    <ByWeek
      title="Hard sets by region"
      note="1 for a prime mover, ½ for a helper (common practice); easy sets do not count."
      weeks={trends.weeks}
      figures={(week) => week.regions}
      digits={1}
    />
  );
}

export function OwnTags({ trends }: { trends: Trends }) {
  if (trends.weeks.every((week) => Object.keys(week.tags).length === 0)) return null;
  return (
    <ByWeek
      title="Hard sets by your tags"
      note="1 for each tag that a movement has; easy sets do not count."
      weeks={trends.weeks}
      figures={(week) => week.tags}
      digits={1}
    />
  );
}

export function Joints({ trends }: { trends: Trends }) {
  return (
    <ByWeek
      title="Torque × seconds by joint, kN·m·s"
      note={BOUND}
      account={(week, name) => {
        const figure = week.joints[name];
        return (
          figure && (
            <>
              <Range figure={figure} />
              <p className="pt-2">{BOUND}</p>
            </>
          )
        );
      }}
      weeks={trends.weeks}
      figures={kilo}
      digits={1}
    />
  );
}

export function Sides({ trends }: { trends: Trends }) {
  if (trends.sides.length === 0) return null;
  return (
    <section className="break-inside-avoid border-t border-ink pt-1">
      <table className="w-full">
        <caption className="text-left font-head text-lg font-semibold">Both sides</caption>
        <thead>
          <tr className="lettering border-b border-ink">
            <th>Movement</th>
            <th>Left</th>
            <th>Right</th>
            <th>Apart</th>
          </tr>
        </thead>
        <tbody>
          {trends.sides.map((side) => (
            <tr key={side.movement} className="border-b border-hair">
              <th scope="row" className="font-text font-normal">
                {side.movement}
              </th>
              <td>{side.left}</td>
              <td>{side.right}</td>
              <td>
                <Mark tone={side.apart > APART ? "watch" : "ready"}>
                  {side.weaker ? `${Math.round(100 * side.apart)} %, begin ${side.weaker}` : "even"}
                </Mark>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
