/** Reach and capacity, lane by lane; what is not tested yet in one line. */
import type { Schema } from "../../common/api/client";
import { Explained } from "../../common/units/Explained";
import { day } from "../../common/units/figures";

const named = ({ measure_words, counted }: Schema["Lane"]) =>
  counted === "s" ? `${measure_words}, held` : measure_words;

export function LaneLines({ sheet }: { sheet: Schema["LadderSheet"] }) {
  const { lanes, placement } = sheet;
  const several = lanes.length > 1;
  const untested = lanes.filter(({ reach }) => !reach);
  return (
    <>
      {lanes.map(
        (lane) =>
          lane.reach &&
          lane.capacity && (
            <p key={named(lane)} className="flex flex-wrap gap-x-5 border-b border-hair px-4 py-1">
              {several && <span className="text-faint">{named(lane)}</span>}
              <span>
                Reach <Explained name="reach" figure={lane.reach} />
              </span>
              <span>
                Capacity <Explained name="capacity" figure={lane.capacity} />
              </span>
              {!several && placement && (
                <span className="text-faint">
                  from a {placement.evidence_kind} of {day(placement.evidence_day)}
                </span>
              )}
            </p>
          ),
      )}
      {several && untested.length > 0 && (
        <p className="border-b border-hair px-4 py-1 text-faint">
          Not tested yet: {untested.map(named).join("; ")}
        </p>
      )}
    </>
  );
}
