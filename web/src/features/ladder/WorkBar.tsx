/** What can be done with the whole ladder. */
import type { Schema } from "../../common/api/client";
import { Button } from "../../common/ui/Button";

export type Act =
  | "add"
  | "find"
  | "ways"
  | "test"
  | "settings"
  | "method"
  | "files"
  | "compare"
  | "copy"
  | "delete";

interface Props {
  sheet: Schema["LadderSheet"];
  busy: boolean;
  asTable: boolean;
  onTable: () => void;
  onUndo: () => void;
  onRedo: () => void;
  onAct: (act: Act) => void;
}

export function WorkBar({ sheet, busy, asTable, onTable, onUndo, onRedo, onAct }: Props) {
  return (
    <div
      role="toolbar"
      aria-label="Workshop"
      className="flex flex-wrap items-center border-b border-hair px-3 py-1 print:hidden [&>button]:px-2"
    >
      <Button onClick={() => onAct("add")} title="Add a rung (A)">
        Add a rung …
      </Button>
      <Button
        quiet
        disabled={!sheet.undo || busy}
        onClick={onUndo}
        title={sheet.undo ? `Undo: ${sheet.undo} (U)` : "Nothing to undo"}
      >
        ↶ Undo
      </Button>
      <Button
        quiet
        disabled={!sheet.redo || busy}
        onClick={onRedo}
        title={sheet.redo ? `Again: ${sheet.redo} (R)` : "Nothing to do again"}
      >
        ↷ Again
      </Button>
      <Button quiet onClick={() => onAct("settings")}>
        Steps …
      </Button>
      <Button quiet onClick={() => onAct("method")}>
        Method …
      </Button>
      <Button quiet onClick={() => onAct("files")}>
        Files …
      </Button>
      <Button quiet onClick={() => onAct("compare")}>
        Compare …
      </Button>
      <Button quiet onClick={() => onAct("copy")}>
        Copy to …
      </Button>
      <Button quiet onClick={() => onAct("delete")}>
        Delete …
      </Button>
      <span className="flex-1" />
      <Button quiet onClick={onTable} aria-pressed={asTable}>
        {asTable ? "As a drawing" : "As a table"}
      </Button>
    </div>
  );
}
