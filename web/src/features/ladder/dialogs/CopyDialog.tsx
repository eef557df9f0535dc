import { useQuery } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { answer, api, type Schema } from "../../../common/api/client";
import { queries } from "../../../common/api/queries";
import { useAct } from "../../../common/hooks/useAct";
import { Button } from "../../../common/ui/Button";
import { Dialog } from "../../../common/ui/Dialog";
import { Wrong } from "../../../common/ui/Wrong";

/** The same ladder for someone else, who is placed by their own tests. */
export function CopyDialog(props: { sheet: Schema["LadderSheet"]; onClose: () => void }) {
  const { sheet, onClose } = props;
  const squad = useQuery(queries.squad).data?.athletes ?? [];
  const others = squad.filter(({ id }) => id !== sheet.athlete_id);
  const navigate = useNavigate();
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const copy = (athlete_id: string) =>
    act(
      () =>
        answer(
          api.POST("/api/ladders/{ladder_id}/copies", {
            params: { path: { ladder_id: sheet.id } },
            body: { athlete_id },
          }),
        ),
      (made) => {
        onClose();
        navigate(`/ladder/${made.id}`);
      },
    );
  return (
    <Dialog open onOpenChange={onClose} title={`Copy “${sheet.goal}” to`}>
      <Wrong error={error} />
      <ul className="pt-2">
        {others.map(({ id, name }) => (
          <li key={id} className="border-b border-hair py-1">
            <Button quiet busy={busy} onClick={() => copy(id)}>
              {name}
            </Button>
          </li>
        ))}
      </ul>
      {others.length === 0 && <p className="text-faint">There is nobody else in the squad yet.</p>}
    </Dialog>
  );
}
