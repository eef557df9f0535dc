import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { answer, api, type Schema } from "../../api/client";
import { useRefresh } from "../../api/queries";
import { Button } from "../../parts/Button";
import { Dialog } from "../../parts/Dialog";
import { Choice, Field } from "../../parts/Field";
import { z } from "../../parts/forms";
import { changesOf } from "../../parts/setups";
import { Wrong } from "../../parts/Wrong";

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  sheet: Schema["LadderSheet"];
}

const form = z.object({
  rung: z.string(),
  reps: z.coerce.number("Give a whole number.").int("Give a whole number.").min(1).max(200),
});

/** A best set of strict reps on one of the rungs. */
export function TestDialog({ open, onOpenChange, sheet }: Props) {
  const refresh = useRefresh();
  const [error, setError] = useState<Error | null>(null);
  // One id for one test, however often it has to be sent.
  const [id, setId] = useState(() => crypto.randomUUID());
  const { register, handleSubmit, formState, reset } = useForm({
    resolver: zodResolver(form),
    defaultValues: { rung: sheet.standing_id, reps: "" as unknown },
  });

  const send = handleSubmit(async ({ rung, reps }) => {
    const on = sheet.rungs.find((one) => one.id === rung);
    if (!on) return;
    try {
      await answer(
        api.POST("/api/ladders/{ladder_id}/tests", {
          params: { path: { ladder_id: sheet.id } },
          body: { id, movement: on.movement, ...changesOf(on), reps, effort: 10 },
        }),
      );
      setError(null);
      setId(crypto.randomUUID());
      reset();
      onOpenChange(false);
      await refresh();
    } catch (cause) {
      setError(cause as Error);
    }
  });

  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Enter a test"
      about="As many strict reps as there are, to full depth, at the rung's tempo. Stop when form goes, at any sharp pain, dizziness or chest pain."
    >
      <form onSubmit={send}>
        <Choice
          label="Rung"
          options={sheet.rungs.map((rung) => [rung.id, rung.name])}
          {...register("rung")}
        />
        <Field
          label="Reps to the end"
          unit="reps"
          inputMode="numeric"
          wrong={formState.errors.reps?.message}
          hint="A count under 15 says most; above, the equations spread widely."
          {...register("reps")}
        />
        <Wrong error={error} />
        <Button main type="submit" busy={formState.isSubmitting} className="mt-3">
          Keep the test
        </Button>
      </form>
    </Dialog>
  );
}
