import { useQuery } from "@tanstack/react-query";
import type { Schema } from "../../../common/api/client";
import { queries } from "../../../common/api/queries";
import { Button } from "../../../common/ui/Button";
import { Dialog } from "../../../common/ui/Dialog";

interface Props {
  sheet: Schema["LadderSheet"];
  onPick: (athleteId: string) => void;
  onClose: () => void;
}

/** Whom to set beside this ladder's athlete. */
export function CompareDialog({ sheet, onPick, onClose }: Props) {
  const squad = useQuery(queries.squad).data?.athletes ?? [];
  const others = squad.filter(({ id }) => id !== sheet.athlete_id);
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title={`Beside ${sheet.athlete_name}`}
      about="The same ladder measured for another body, by that person's own tests."
    >
      <ul className="pt-2">
        {others.map(({ id, name }) => (
          <li key={id} className="border-b border-hair py-1">
            <Button quiet onClick={() => onPick(id)}>
              {name}
            </Button>
          </li>
        ))}
      </ul>
      {others.length === 0 && <p className="text-faint">There is nobody else in the squad yet.</p>}
    </Dialog>
  );
}
