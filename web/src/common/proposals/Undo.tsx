/** Takes back what an answer, or a routine, has changed; until a session was done under it. */
import { useState } from "react";
import { answer, api, type Schema } from "../api/client";
import { useRefresh } from "../api/queries";
import { Button } from "../ui/Button";
import { Wrong } from "../ui/Wrong";

interface Props {
  proposalId: string;
  onUndone?: (said: Schema["AnsweredProposalOut"]) => void;
}

export function Undo({ proposalId, onUndone }: Props) {
  const refresh = useRefresh("squad", "athlete", "ladder", "messages");
  const [error, setError] = useState<Error | null>(null);
  const [busy, setBusy] = useState(false);

  async function undo() {
    setBusy(true);
    try {
      const path = { params: { path: { proposal_id: proposalId } } };
      const said = await answer(api.POST("/api/proposals/{proposal_id}/undo", path));
      setError(null);
      await refresh();
      onUndone?.(said);
    } catch (cause) {
      setError(cause as Error);
    } finally {
      setBusy(false);
    }
  }
  return (
    <>
      {" "}
      <Button busy={busy} onClick={undo}>
        Undo
      </Button>
      <Wrong error={error} />
    </>
  );
}
