import type { Schema } from "../../common/api/client";
import { prescription, rangeWords, ratio } from "../../common/units/figures";

interface Props {
  sheet: Schema["LadderSheet"];
  selected: number;
  /** The same ladder for someone else, whose likely amounts stand beside. */
  other?: Schema["LadderSheet"] | undefined;
  onSelect: (index: number) => void;
}

/** The same ladder to be read line by line, the last rung on top. */
export function LadderTable({ sheet, selected, other, onSelect }: Props) {
  const rows = sheet.rungs.map((rung, index) => ({ rung, index })).reverse();
  return (
    <table className="w-full">
      <caption className="sr-only">Rungs with their demand, the last on top</caption>
      <thead>
        <tr className="lettering border-b border-ink">
          <th>Rung</th>
          <th>Demand</th>
          <th>Step from below</th>
          <th>{other ? `Likely, ${sheet.athlete_name}` : "Likely"}</th>
          {other && <th>Likely, {other.athlete_name}</th>}
          <th>Prescription</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ rung, index }) => (
          <tr
            key={rung.id}
            className={`border-b border-hair ${index === selected ? "bg-wash" : ""}`}
          >
            <th scope="row" className="py-1.5 pr-3">
              <button type="button" className="text-left" onClick={() => onSelect(index)}>
                {rung.name}
              </button>
              {rung.id === sheet.current_rung_id && (
                <span className="text-faint"> · current rung</span>
              )}
              {rung.closed && <span className="text-over"> · closed</span>}
            </th>
            <td className="pr-3">{rung.demand ? rangeWords(rung.demand) : "by effort"}</td>
            <td className="pr-3">
              {sheet.steps
                .filter(({ upper_id }) => upper_id === rung.id)
                .map((step) => (
                  <StepWords key={step.lower_id} sheet={sheet} step={step} />
                ))}
            </td>
            <td className="pr-3">{rung.expected ? rangeWords(rung.expected) : "–"}</td>
            {other && (
              <td className="pr-3">
                {other.rungs[index]?.expected ? rangeWords(other.rungs[index].expected) : "–"}
              </td>
            )}
            <td>{prescription(rung.prescription)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function StepWords({ sheet, step }: { sheet: Schema["LadderSheet"]; step: Schema["StepOut"] }) {
  const branches = sheet.steps.filter(({ upper_id }) => upper_id === step.upper_id).length > 1;
  const from = sheet.rungs.find(({ id }) => id === step.lower_id)?.name;
  return (
    <span className={`block ${step.gap || step.easier ? "text-over" : ""}`}>
      {step.ratio ? ratio(step.ratio) : "another measure"}
      {step.gap && " gap"}
      {step.easier && " easier"}
      {branches && ` from ${from}`}
    </span>
  );
}
