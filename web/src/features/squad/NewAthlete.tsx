import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { answer, api } from "../../common/api/client";
import { useRefresh } from "../../common/api/queries";
import { z } from "../../common/hooks/forms";
import { Button } from "../../common/ui/Button";
import { Dialog } from "../../common/ui/Dialog";
import { Field } from "../../common/ui/Field";
import { Wrong } from "../../common/ui/Wrong";

const number = z.coerce.number("Give a number.");

const form = z.object({
  name: z.string().trim().min(1, "Give a name."),
  mass: number.min(20, "Give 20 to 300 kg.").max(300, "Give 20 to 300 kg."),
  stature: number.min(100, "Give 100 to 240 cm.").max(240, "Give 100 to 240 cm."),
  note: z.string().max(500),
  consent: z.literal(true, "Ask them first; without it nothing is kept."),
});

export function NewAthlete(props: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const refresh = useRefresh();
  const [error, setError] = useState<Error | null>(null);
  // One id for one person, however often the form has to be sent.
  const [id, setId] = useState(() => crypto.randomUUID());
  const { register, handleSubmit, formState, reset } = useForm({
    resolver: zodResolver(form),
    defaultValues: {
      name: "",
      mass: "" as unknown,
      stature: "" as unknown,
      note: "",
      consent: false as unknown as true,
    },
  });
  const wrong = formState.errors;

  const send = handleSubmit(async ({ name, mass, stature, note, consent }) => {
    try {
      await answer(
        api.POST("/api/athletes", {
          body: { id, name, mass_kg: mass, stature_m: stature / 100, note, consent },
        }),
      );
      setError(null);
      setId(crypto.randomUUID());
      reset();
      props.onOpenChange(false);
      await refresh();
    } catch (cause) {
      setError(cause as Error);
    }
  });

  return (
    <Dialog {...props} title="New athlete">
      <form onSubmit={send}>
        <Field label="Name" wrong={wrong.name?.message} {...register("name")} />
        <Field
          label="Body mass"
          unit="kg"
          inputMode="decimal"
          wrong={wrong.mass?.message}
          {...register("mass")}
        />
        <Field
          label="Height"
          unit="cm"
          inputMode="decimal"
          wrong={wrong.stature?.message}
          {...register("stature")}
        />
        <Field label="Note" wrong={wrong.note?.message} {...register("note")} />
        <label className="flex items-start gap-2 pt-4">
          <input type="checkbox" className="mt-1" {...register("consent")} />
          They agree that their measures, tests and sessions are kept here; they can have them
          erased at any time.
        </label>
        {wrong.consent && <p className="text-sm text-over">{wrong.consent.message}</p>}
        <p className="pt-3 text-sm text-watch">
          ◆ Ask about heart or lung disease, symptoms on effort, recent operations, pregnancy and
          joint pain first. See a doctor before training where any of these is so.
        </p>
        <Wrong error={error} />
        <Button main type="submit" busy={formState.isSubmitting} className="mt-3">
          Add to the squad
        </Button>
      </form>
    </Dialog>
  );
}
