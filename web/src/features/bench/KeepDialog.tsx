/** Keep a set-up as a rung of the athlete's ladder, where its demand belongs. */
import { useState } from "react";
import { useNavigate } from "react-router";
import { api, type Schema } from "../../common/api/client";
import { useAct, useSendId } from "../../common/hooks/useAct";
import type { SetUp } from "../../common/movement/setups";
import { Button } from "../../common/ui/Button";
import { Dialog } from "../../common/ui/Dialog";
import { Field } from "../../common/ui/Field";
import { Wrong } from "../../common/ui/Wrong";

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  ladder: Schema["LadderSheet"];
  setup: SetUp;
  name: string;
}

export function KeepDialog({ open, onOpenChange, ladder, setup, name }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const [id] = useSendId();
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const navigate = useNavigate();

  const keep = () =>
    act(
      () =>
        api.POST("/api/ladders/{ladder_id}/set-ups", {
          params: { path: { ladder_id: ladder.id } },
          body: { id, name: (typed ?? name).slice(0, 80), setup },
        }),
      () => navigate(`/ladder/${ladder.id}`),
    );

  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Keep as a rung"
      about={`It goes on ${ladder.athlete_name}'s ladder “${ladder.goal}”, between the rungs that ask less and those that ask more. Nobody is moved.`}
    >
      <form
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        <Field
          label="Name of the rung"
          value={typed ?? name}
          maxLength={80}
          required
          onChange={(event) => setTyped(event.target.value)}
        />
        <Wrong error={error} />
        <Button main type="submit" busy={busy} className="mt-3">
          Keep the rung
        </Button>
      </form>
    </Dialog>
  );
}
