/** The athlete's own figures, fitted to their sets, and how many sets they rest on. */
import { useQuery } from "@tanstack/react-query";
import { queries } from "../../common/api/queries";
import { Wrong } from "../../common/ui/Wrong";
import { Explained } from "../../common/units/Explained";
import { day } from "../../common/units/figures";

export function PersonalFigures({ ladderId }: { ladderId: string }) {
  const personal = useQuery(queries.personal(ladderId));
  if (personal.error) return <Wrong error={personal.error} />;
  if (!personal.data) return <p className="text-faint">Fitting …</p>;
  const { sets, first, last, capacity, growth, g, endurance, unavailable_reason } = personal.data;
  if (!capacity || !growth || !g || !endurance)
    return <p className="pt-1 text-sm text-faint">{unavailable_reason}</p>;
  const rows = [
    ["capacity", capacity],
    ["growth", growth],
    ["tempo exponent g", g],
    ["endurance", endurance],
  ] as const;
  return (
    <>
      <dl className="grid grid-cols-[8rem_1fr]">
        {rows.map(([name, figure]) => (
          <div key={name} className="contents">
            <dt className="text-sm text-faint">{name}</dt>
            <dd>
              <Explained name={name} figure={figure} />
            </dd>
          </div>
        ))}
      </dl>
      <p className="text-sm text-faint">
        from {sets} sets, {first && day(first)} to {last && day(last)}; they say nothing beyond.
      </p>
    </>
  );
}
