import type { Schema } from "../../api/client";
import { dose, ratio, told } from "../../parts/figures";

interface Props {
  sheet: Schema["LadderSheet"];
  selected: number;
  onSelect: (index: number) => void;
}

/** The same ladder to be read line by line, hardest on top. */
export function LadderTable({ sheet, selected, onSelect }: Props) {
  const rows = sheet.rungs
    .map((rung, index) => ({ rung, index, step: sheet.steps[index - 1] }))
    .sort((a, b) => b.rung.demand.likely - a.rung.demand.likely);
  return (
    <table className="w-full">
      <caption className="sr-only">Rungs with their demand, hardest on top</caption>
      <thead>
        <tr className="lettering border-b border-ink">
          <th>Rung</th>
          <th>Demand</th>
          <th>Step from below</th>
          <th>{sheet.unit === "s" ? "Likely hold" : "Likely reps"}</th>
          <th>Dose</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ rung, index, step }) => (
          <tr
            key={rung.id}
            className={`border-b border-hair ${index === selected ? "bg-wash" : ""}`}
          >
            <th scope="row" className="py-1.5 pr-3">
              <button type="button" className="text-left" onClick={() => onSelect(index)}>
                {rung.name}
              </button>
              {rung.id === sheet.standing_id && <span className="text-faint"> · stands here</span>}
            </th>
            <td className="pr-3">{told(rung.demand)}</td>
            <td className={`pr-3 ${step?.gap || step?.easier ? "text-over" : ""}`}>
              {step
                ? `${ratio(step.ratio)}${step.gap ? " gap" : ""}${step.easier ? " easier" : ""}`
                : "–"}
            </td>
            <td className="pr-3">{told(rung.expected)}</td>
            <td>{dose(rung.dose)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
