/** When the next criterion, when the goal: dates with their range, how they came about, what helps. */
import type { Schema } from "../../common/api/client";
import { Opens } from "../../common/ui/Opens";
import { Account } from "../../common/units/Explained";
import { day } from "../../common/units/figures";

type Forecast = NonNullable<Schema["Trends"]["next_criterion"]>;

const BEYOND = "beyond a year";

/** The range in words: from when, and until when. */
function between({ low, likely, high }: Forecast): string {
  if (!low) return "within a year, going on as now";
  if (!likely) return `${day(low)} at the earliest, 8 times of 10`;
  return `likely; ${day(low)} to ${high ? day(high) : BEYOND}, 8 times of 10`;
}

export function Forecasts({ trends }: { trends: Schema["Trends"] }) {
  const rows: [string, Forecast | null][] = [
    ["Next criterion", trends.next_criterion],
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
              <Opens
                name={`the ${head.toLowerCase()}'s date`}
                words={told.likely ? day(told.likely) : `${BEYOND}: not predicted`}
                large
              >
                {() => <Account derivation={told.derivation} />}
              </Opens>{" "}
              <span className="text-faint">{between(told)}</span>
            </div>
          ),
      )}
      {trends.next_criterion?.nearer && <p className="pt-1">{trends.next_criterion.nearer}</p>}
    </section>
  );
}
