import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { answer, api, type Schema } from "../../../common/api/client";
import { useRefresh } from "../../../common/api/queries";
import { z } from "../../../common/hooks/forms";
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

const form = z.object({
  rung: z.string(),
  amount: z.coerce.number("Give a number.").min(1).max(3600),
});

/** A best set of strict reps on one of the rungs. */
export function TestDialog({ open, onOpenChange, sheet }: Props) {
  const refresh = useRefresh();
  const [error, setError] = useState<Error | null>(null);
  // One id for one test, however often it has to be sent.
  const [id, setId] = useState(() => crypto.randomUUID());
  // A test tells something only of what can be computed.
  const told = sheet.rungs.filter(({ demand }) => demand !== null);
  const first = told.find(({ id }) => id === sheet.current_rung_id) ?? told[0];
  const { register, handleSubmit, formState, reset, watch } = useForm({
    resolver: zodResolver(form),
    defaultValues: { rung: first?.id ?? "", amount: "" as unknown },
  });
  const held = sheet.rungs.find(({ id }) => id === watch("rung"))?.prescription.unit === "s";

  const send = handleSubmit(async ({ rung, amount }) => {
    const on = sheet.rungs.find((one) => one.id === rung);
    if (!on) return;
    try {
      await answer(
        api.POST("/api/athletes/{athlete_id}/tests", {
          params: { path: { athlete_id: sheet.athlete_id } },
          body: {
            id,
            movement: on.movement,
            ...changesOf(on),
            ...(held ? { seconds: amount } : { reps: amount }),
            rpe: 10,
            side: "",
          },
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
      about={`${held ? "As long as the shape holds" : "As many strict reps as there are, to full depth, at the rung's tempo"}. Stop when form goes, at any sharp pain, dizziness or chest pain.`}
    >
      <form onSubmit={send}>
        <Choice
          label="Rung"
          options={told.map((rung) => [rung.id, rung.name])}
          {...register("rung")}
        />
        <Field
          label={held ? "Longest clean hold, s" : "As many clean reps as possible"}
          unit={held ? "s" : "reps"}
          inputMode="numeric"
          wrong={formState.errors.amount?.message}
          hint={
            held
              ? "Up to about 25 s say most; beyond, the curves part."
              : "A count under 15 says most; above, the equations spread widely."
          }
          {...register("amount")}
        />
        <Wrong error={error} />
        <Button main type="submit" busy={formState.isSubmitting} className="mt-3">
          Keep the test
        </Button>
      </form>
    </Dialog>
  );
}
