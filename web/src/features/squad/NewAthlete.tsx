import { type FormEvent, useState } from "react";
import { answer, api } from "../../common/api/client";
import { useAct, useSendId } from "../../common/hooks/useAct";
import { Button } from "../../common/ui/Button";
import { Dialog } from "../../common/ui/Dialog";
import { Field } from "../../common/ui/Field";
import { Wrong } from "../../common/ui/Wrong";

interface Typed {
  name: string;
  mass: string;
  height: string;
  note: string;
  consent: boolean;
}

type Refusals = Partial<Record<keyof Typed, string>>;

const BODY: [name: "mass" | "height", label: string, unit: string, least: number, most: number][] =
  [
    ["mass", "Body mass", "kg", 20, 300],
    ["height", "Height", "cm", 100, 240],
  ];

/** What is wrong with what was typed, by field. */
function refusals(typed: Typed): Refusals {
  const wrong: Refusals = {};
  if (!typed.name) wrong.name = "Give a name.";
  for (const [name, , unit, least, most] of BODY) {
    const value = typed[name] ? Number(typed[name]) : Number.NaN;
    if (Number.isNaN(value)) wrong[name] = "Give a number.";
    else if (value < least || value > most) wrong[name] = `Give ${least} to ${most} ${unit}.`;
  }
  if (!typed.consent) wrong.consent = "Ask them first; without it nothing is kept.";
  return wrong;
}

export function NewAthlete(props: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const [id, next] = useSendId();
  const [wrong, setWrong] = useState<Refusals>({});

  function send(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const text = (name: string) => String(form.get(name)).trim();
    const typed: Typed = {
      name: text("name"),
      mass: text("mass").replace(",", "."),
      height: text("height").replace(",", "."),
      note: text("note"),
      consent: form.has("consent"),
    };
    const found = refusals(typed);
    setWrong(found);
    if (Object.keys(found).length > 0) return;
    const { name, note } = typed;
    act(
      () =>
        answer(
          api.POST("/api/athletes", {
            body: {
              id,
              name,
              mass_kg: Number(typed.mass),
              stature_m: Number(typed.height) / 100,
              note,
              consent: true,
            },
          }),
        ),
      () => {
        next();
        props.onOpenChange(false);
      },
    );
  }

  return (
    <Dialog
      open={props.open}
      onOpenChange={(open) => {
        setWrong({});
        props.onOpenChange(open);
      }}
      title="New athlete"
    >
      <form onSubmit={send} noValidate>
        <Field label="Name" name="name" wrong={wrong.name} />
        {BODY.map(([name, label, unit]) => (
          <Field
            key={name}
            label={label}
            name={name}
            unit={unit}
            inputMode="decimal"
            wrong={wrong[name]}
          />
        ))}
        <Field label="Note" name="note" maxLength={500} />
        <label className="flex items-start gap-2 pt-4">
          <input type="checkbox" name="consent" className="mt-1" />
          They agree that their measures, tests and sessions are kept here; they can have them
          erased at any time.
        </label>
        {wrong.consent && <p className="text-sm text-over">{wrong.consent}</p>}
        <p className="pt-3 text-sm text-watch">
          ◆ Ask about heart or lung disease, symptoms on effort, recent operations, pregnancy and
          joint pain first. See a doctor before training where any of these is so.
        </p>
        <Wrong error={error} />
        <Button main type="submit" busy={busy} className="mt-3">
          Add to the squad
        </Button>
      </form>
    </Dialog>
  );
}
