import { flushSync } from "react-dom";
import { picked } from "../../../app/picked";
import { api, type Schema } from "../../../common/api/client";
import { useAct } from "../../../common/hooks/useAct";
import { Button } from "../../../common/ui/Button";
import { Dialog } from "../../../common/ui/Dialog";
import { Wrong } from "../../../common/ui/Wrong";

interface Props {
  sheet: Schema["LadderSheet"];
  onGone: () => void;
  onClose: () => void;
}

/** Asks once, with the consequence in words. */
export function DeleteDialog({ sheet, onGone, onClose }: Props) {
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const remove = () =>
    act(async () => {
      await api.DELETE("/api/ladders/{ladder_id}", { params: { path: { ladder_id: sheet.id } } });
      picked.set({ athlete: sheet.athlete_id, ladder: "" });
      flushSync(onGone); // before reading anew, so that nobody asks for what is gone
    });
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title={`Delete “${sheet.goal}”?`}
      about={`Its ${sheet.rungs.length} rungs and what can be undone on it go for good. Tests stay. Export it first if you may want it again.`}
    >
      <Wrong error={error} />
      <div className="flex gap-2 pt-3">
        <Button grave busy={busy} onClick={remove}>
          Delete the ladder
        </Button>
        <Button onClick={onClose}>Keep it</Button>
      </div>
    </Dialog>
  );
}
