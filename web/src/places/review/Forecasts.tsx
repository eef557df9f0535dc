/** When the next gate, when the goal: dates with their range, how they came about, what helps. */
import { useState } from "react";
import type { Schema } from "../../api/client";
import { Dialog } from "../../parts/Dialog";
import { day } from "../../parts/figures";
import { InputRows } from "../../parts/InputRows";

type Forecast = NonNullable<Schema["Trends"]["next_gate"]>;

const when = (date: string | null) => (date ? day(date) : "beyond two years");

export function Forecasts({ trends }: { trends: Schema["Trends"] }) {
  const [open, setOpen] = useState<Forecast | null>(null);
  const rows: [string, Forecast | null][] = [
    ["Next gate", trends.next_gate],
    ["Goal", trends.goal_forecast],
  ];
  return (
    <section aria-label="Forecast" className="border-t border-ink pt-1">
      <h2 className="text-lg">When</h2>
      {trends.why_no_forecast && <p className="text-faint">{trends.why_no_forecast}</p>}
      {rows.map(
        ([head, told]) =>
          told && (
            <div key={head} className="border-b border-hair py-1">
              <p className="lettering">
                {head}: {told.what}
              </p>
              <button
                type="button"
                className="border-b border-dotted border-line text-xl hover:bg-wash"
                title={`How the ${head.toLowerCase()}'s date came about`}
                onClick={() => setOpen(told)}
              >
                {told.low ? when(told.likely) : "not in sight"}
              </button>{" "}
              <span className="text-faint">
                {told.low
                  ? `likely; ${when(told.low)} to ${when(told.high)} 8 times of 10`
                  : "within two years, going on as now"}
              </span>
            </div>
          ),
      )}
      {trends.next_gate?.nearer && <p className="pt-1">{trends.next_gate.nearer}</p>}
      {open && (
        <Dialog open onOpenChange={() => setOpen(null)} title={`When: ${open.what}`}>
          <p className="pt-3">{open.derivation.formula}</p>
          <p className="pt-1 text-watch">{open.derivation.note}</p>
          <h3 className="lettering pt-4">From</h3>
          <table className="w-full">
            <InputRows inputs={open.derivation.inputs} />
          </table>
          <h3 className="lettering pt-4">Sources</h3>
          <ul className="list-disc pl-5 text-sm">
            {open.derivation.sources.map((source) => (
              <li key={source}>{source}</li>
            ))}
          </ul>
        </Dialog>
      )}
    </section>
  );
}
