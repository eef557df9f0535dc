/** What can be done with the whole week, and the way to the ones beside it. */
import { Button } from "../../common/ui/Button";
import type { Sheet } from "./plan";

export type WeekAct =
  | "solve"
  | "undo"
  | "swap"
  | "availability"
  | "add"
  | "ready"
  | "daily"
  | "files"
  | "session"
  | "adapt"
  | "edit";

interface Props {
  sheet: Sheet;
  busy: boolean;
  solving: boolean;
  picked: string;
  onAct: (act: WeekAct) => void;
  onWeek: (step: number) => void;
}

export function WeekBar({ sheet, busy, solving, picked, onAct, onWeek }: Props) {
  return (
    <div
      role="toolbar"
      aria-label="Week"
      className="flex flex-wrap items-center gap-1 border-b border-hair px-3 py-1 print:hidden"
    >
      <Button main onClick={() => onAct("solve")} title="Plan the week (S)">
        {solving ? "Stop planning" : sheet.revision ? "Plan again" : "Plan the week"}
      </Button>
      <Button
        quiet
        disabled={sheet.revision === 0 || busy}
        onClick={() => onAct("undo")}
        title={sheet.note ? `Undo: ${sheet.note} (U)` : "Undo (U)"}
      >
        ↶ Undo
      </Button>
      <Button quiet onClick={() => onAct("availability")}>
        Availability …
      </Button>
      <Button quiet onClick={() => onAct("add")}>
        Add a movement …
      </Button>
      <Button quiet onClick={() => onAct("ready")}>
        Start from a session …
      </Button>
      <Button
        quiet
        onClick={() => onAct("edit")}
        disabled={!picked}
        title="Sets of what is picked (E)"
      >
        Sets …
      </Button>
      <Button quiet onClick={() => onAct("daily")}>
        Daily minimum …
      </Button>
      <Button quiet onClick={() => onAct("files")}>
        Print and files …
      </Button>
      <span className="flex-1" />
      <Button quiet onClick={() => onWeek(-1)} aria-label="The week before">
        ‹
      </Button>
      <Button quiet onClick={() => onWeek(0)}>
        This week
      </Button>
      <Button quiet onClick={() => onWeek(1)} aria-label="The week after">
        ›
      </Button>
    </div>
  );
}
