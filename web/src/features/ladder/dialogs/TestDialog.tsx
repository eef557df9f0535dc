import { type FormEvent, useState } from "react";
import { answer, api, type Schema } from "../../../common/api/client";
import { useAct, useSendId } from "../../../common/hooks/useAct";
import { changesOf } from "../../../common/movement/setups";
import { Button } from "../../../common/ui/Button";
import { Dialog } from "../../../common/ui/Dialog";
import { Choice, Field } from "../../../common/ui/Field";
import { Wrong } from "../../../common/ui/Wrong";

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  sheet: Schema["LadderSheet"];
}

/** A best set of strict reps, or a longest hold, on one of the rungs. */
export function TestDialog({ open, onOpenChange, sheet }: Props) {
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const [id, next] = useSendId();
  // A test tells something only of what can be computed.
  const rungs = sheet.rungs.filter(({ demand }) => demand !== null);
  const first = rungs.find(({ id }) => id === sheet.current_rung_id) ?? rungs[0];
  const [rungId, setRungId] = useState(first?.id ?? "");
  const rung = rungs.find(({ id }) => id === rungId);
  const held = rung?.prescription.unit === "s";

  function send(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const amount = Number(new FormData(event.currentTarget).get("amount"));
    if (!rung) return;
    act(
      () =>
        answer(
          api.POST("/api/athletes/{athlete_id}/tests", {
            params: { path: { athlete_id: sheet.athlete_id } },
            body: {
              id,
              movement: rung.movement,
              ...changesOf(rung),
              amount,
              rpe: 10,
              side: "",
            },
          }),
        ),
      () => {
        next();
        onOpenChange(false);
      },
    );
  }

  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Enter a test"
      about={`${held ? "As long as the shape holds" : "As many strict reps as there are, to full depth, at the rung's tempo"}. Stop when form goes, at any sharp pain, dizziness or chest pain.`}
    >
      <form onSubmit={send}>
        <Choice
          label="Rung"
          value={rungId}
          onChange={(event) => setRungId(event.target.value)}
          options={rungs.map(({ id, name }) => [id, name])}
        />
        <Field
          label={held ? "Longest clean hold, s" : "As many clean reps as possible"}
          name="amount"
          unit={held ? "s" : "reps"}
          type="number"
          min={1}
          max={held ? 3600 : 200}
          required
          hint={
            held
              ? "Up to about 25 s say most; beyond, the curves part."
              : "A count under 15 says most; above, the equations spread widely."
          }
        />
        <Wrong error={error} />
        <Button main type="submit" busy={busy} className="mt-3">
          Keep the test
        </Button>
      </form>
    </Dialog>
  );
}
