/** A clinician's word, kept with its date and who recorded it. */
import type { FormEvent } from "react";
import { api } from "../../common/api/client";
import { useAct, useSendId } from "../../common/hooks/useAct";
import { useFormDraft } from "../../common/hooks/useDraft";
import { Button } from "../../common/ui/Button";
import { Dialog } from "../../common/ui/Dialog";
import { Field } from "../../common/ui/Field";
import { Wrong } from "../../common/ui/Wrong";
import { LIFTS } from "./questions";

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  athleteId: string;
  closed: string[];
}

export function ClearanceDialog({ open, onOpenChange, athleteId, closed }: Props) {
  const [id, next] = useSendId();
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const draft = useFormDraft(`clearance.${athleteId}`);

  function keep(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    act(
      () =>
        api.POST("/api/athletes/{athlete_id}/clearances", {
          params: { path: { athlete_id: athleteId } },
          body: {
            id,
            said_by: String(typed.get("said_by")),
            note: String(typed.get("note")),
            lifts: typed.getAll("lifts").map(String),
          },
        }),
      () => {
        draft.settle();
        next();
        onOpenChange(false);
      },
    );
  }

  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Record a clearance"
      about="What a doctor or clinician said, in their words. It opens what you tick and nothing else, and holds until the next screen."
    >
      <form onSubmit={keep} onChange={draft.onChange}>
        <Field
          label="Said by"
          name="said_by"
          required
          maxLength={120}
          defaultValue={draft.typed("said_by")}
        />
        <Field
          label="What they said"
          name="note"
          required
          maxLength={500}
          defaultValue={draft.typed("note")}
        />
        <fieldset className="mt-3">
          <legend className="lettering">It lifts</legend>
          {closed.map((lift) => (
            <label key={lift} className="flex items-baseline gap-2 pt-1">
              <input type="checkbox" name="lifts" value={lift} />
              {LIFTS[lift] ?? lift}
            </label>
          ))}
        </fieldset>
        <Wrong error={error} />
        <Button main type="submit" busy={busy} className="mt-3">
          Keep the clearance
        </Button>
      </form>
    </Dialog>
  );
}
