/** What is to be known before a ladder is read: limits, a stop, a placement that is missing. */
import type { Schema } from "../../common/api/client";
import { Limits } from "../../common/athlete/Limits";
import { Stopped } from "./Stopped";

interface Props {
  sheet: Schema["LadderSheet"];
  /** Whose the same ladder stands beside. */
  other: Schema["LadderSheet"] | undefined;
  onResume: () => void;
  onAlone: () => void;
}

export function Notices({ sheet, other, onResume, onAlone }: Props) {
  const { placement } = sheet;
  return (
    <>
      <Limits athleteId={sheet.athlete_id} />
      {sheet.stopped && <Stopped reason={sheet.stopped} onResume={onResume} />}
      {!placement && (
        <p className="px-4 pt-2 text-watch">
          ◆ No test says yet where {sheet.athlete_name} stands on it: enter one.
        </p>
      )}
      {placement && !placement.fits && (
        <p className="px-4 pt-2 text-watch">
          ◆ Even the lowest rung's prescription does not fit yet: add an easier one, or test again.
        </p>
      )}
      {other && (
        <p className="flex items-center gap-4 px-4 pt-2">
          <span>
            <span className="text-ready">▮ {sheet.athlete_name}</span> beside{" "}
            <span className="text-watch">≡ {other.athlete_name}</span>, whose likely amounts stand
            behind the same mark
          </span>
          <button type="button" className="underline" onClick={onAlone}>
            No longer
          </button>
        </p>
      )}
    </>
  );
}
