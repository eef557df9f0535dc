/** Dialogs of the ladder's place, one at a time. */
import { useNavigate } from "react-router";
import type { Schema } from "../../../common/api/client";
import { FileDialog } from "../../../common/ladder/FileDialog";
import { MovementFinder } from "../../../common/movement/MovementFinder";
import type { Act } from "../WorkBar";
import { AdjustmentsDialog } from "./AdjustmentsDialog";
import { CompareDialog } from "./CompareDialog";
import { CopyDialog } from "./CopyDialog";
import { DeleteDialog } from "./DeleteDialog";
import { MethodDialog } from "./MethodDialog";
import { SettingsDialog } from "./SettingsDialog";
import { TestDialog } from "./TestDialog";

interface Props {
  sheet: Schema["LadderSheet"];
  selected: number;
  dialog: Act | "";
  busy: boolean;
  onAdd: BesideProps["onAdd"];
  onCompare: (athleteId: string) => void;
  onGone: () => void;
  onClose: () => void;
}

export function LadderDialogs(props: Props) {
  const { sheet, selected, dialog, busy, onAdd, onCompare, onGone, onClose } = props;
  const navigate = useNavigate();
  const rung = sheet.rungs[selected];
  return (
    <>
      {rung?.demand && (
        <AdjustmentsDialog
          open={dialog === "ways"}
          onOpenChange={onClose}
          sheet={sheet}
          index={selected}
        />
      )}
      <TestDialog open={dialog === "test"} onOpenChange={onClose} sheet={sheet} />
      {(dialog === "add" || dialog === "find") && rung && (
        <MovementFinder
          athleteId={sheet.athlete_id}
          title={dialog === "add" ? `A rung beside “${rung.name}”` : "Movements"}
          family={dialog === "add" ? sheet.family : ""}
          act={(movement) => <Beside movement={movement} busy={busy} onAdd={onAdd} />}
          onClose={onClose}
        />
      )}
      {dialog === "method" && <MethodDialog ladder={sheet.id} onClose={onClose} />}
      {dialog === "settings" && <SettingsDialog sheet={sheet} onClose={onClose} />}
      {dialog === "files" && (
        <FileDialog
          athleteId={sheet.athlete_id}
          athleteName={sheet.athlete_name}
          ladderId={sheet.id}
          onClose={onClose}
        />
      )}
      {dialog === "compare" && (
        <CompareDialog
          sheet={sheet}
          onPick={(id) => {
            onCompare(id);
            onClose();
          }}
          onClose={onClose}
        />
      )}
      {dialog === "copy" && <CopyDialog sheet={sheet} onClose={onClose} />}
      {dialog === "delete" && (
        <DeleteDialog
          sheet={sheet}
          onGone={() => {
            onGone();
            navigate(`/intake/${sheet.athlete_id}/placement`);
          }}
          onClose={onClose}
        />
      )}
    </>
  );
}

interface BesideProps {
  movement: Schema["MovementOut"];
  busy: boolean;
  onAdd: (movement: Schema["MovementOut"], side: "above" | "below") => void;
}

function Beside({ movement, busy, onAdd }: BesideProps) {
  return (
    <span className="flex gap-2">
      {(["above", "below"] as const).map((side) => (
        <button
          key={side}
          type="button"
          disabled={busy}
          onClick={() => onAdd(movement, side)}
          className="min-h-8 border border-line px-3 font-head font-medium hover:bg-wash"
        >
          Add {side}
        </button>
      ))}
    </span>
  );
}
