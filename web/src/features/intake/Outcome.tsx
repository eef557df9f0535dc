/** Where the screen ends, why, what it closes, and who opened it again. */
import { useState } from "react";
import type { Schema } from "../../common/api/client";
import { Button } from "../../common/ui/Button";
import { day } from "../../common/units/figures";
import { ClearanceDialog } from "./ClearanceDialog";
import { LimitList } from "./LimitList";
import { LIFTS } from "./questions";

const HEADS: Record<Schema["Screen"]["outcome"], [look: string, words: string]> = {
  unasked: ["text-faint", "○ Not all asked yet"],
  go: ["text-ready", "● Go"],
  limits: ["text-watch", "◆ Go, with limits"],
  doctor: ["text-over", "▲ See a doctor first"],
};

export function Outcome({ athleteId, screen }: { athleteId: string; screen: Schema["Screen"] }) {
  const [clearing, setClearing] = useState(false);
  if (!screen.screened_on)
    return (
      <div className="p-4">
        <p className="text-faint">
          Nothing was asked yet. The answers decide what may be given, here and on every other
          sheet.
        </p>
        <LimitList athleteId={athleteId} screen={screen} />
      </div>
    );
  const [look, words] = HEADS[screen.outcome];
  return (
    <div className="p-4" aria-live="polite">
      <h2 className={`text-2xl ${look}`}>{words}</h2>
      <p className="text-sm text-faint">as of {day(screen.screened_on)}</p>
      {screen.unasked.length > 0 && (
        <p className="pt-2">
          Still to ask: {screen.unasked.join(", ")}. Nobody is told “go” before.
        </p>
      )}
      {screen.findings.length > 0 && <h3 className="lettering pt-3">Why</h3>}
      <ul className="list-disc pl-5">
        {screen.findings.map((finding) => (
          <li key={finding.rule}>
            {finding.sentence} <span className="block text-sm text-faint">{finding.source}</span>
          </li>
        ))}
      </ul>
      <LimitList athleteId={athleteId} screen={screen} />
      {screen.clearances.length > 0 && <h3 className="lettering pt-3">Cleared</h3>}
      <ul>
        {screen.clearances.map((clearance) => (
          <li key={clearance.on + clearance.note} className="border-t border-hair py-1">
            {clearance.said_by}: “{clearance.note}”
            <span className="block text-sm text-faint">
              lifts {clearance.lifts.map((lift) => LIFTS[lift] ?? lift).join(", ")}; recorded{" "}
              {day(clearance.on)} by {clearance.author}
            </span>
          </li>
        ))}
      </ul>
      {screen.closed.length > 0 && (
        <Button className="mt-3" onClick={() => setClearing(true)}>
          Record a clearance …
        </Button>
      )}
      <ClearanceDialog
        open={clearing}
        onOpenChange={setClearing}
        athleteId={athleteId}
        closed={screen.closed}
      />
    </div>
  );
}
