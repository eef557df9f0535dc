/** A test of any movement at any effort: what was done, how hard it was, with how many kilos. */
import { type FormEvent, useState } from "react";
import { api, type Schema } from "../api/client";
import { useAct } from "../hooks/useAct";
import { MovementPicker } from "../movement/MovementPicker";
import { UNCHANGED } from "../movement/setups";
import { Button } from "../ui/Button";
import { Dialog } from "../ui/Dialog";
import { Field } from "../ui/Field";
import { Wrong } from "../ui/Wrong";

type Side = "" | "left" | "right";

interface Props {
  athleteId: string;
  onClose: () => void;
}

export function AnyTestDialog({ athleteId, onClose }: Props) {
  const [movement, pick] = useState<Schema["MovementOut"] | null>(null);
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title={movement ? `Test: ${movement.name}` : "Test any movement"}
      about="As many as possible, or short of it with the effort said: both tell what they can do."
    >
      {movement ? (
        <Result
          key={movement.id}
          athleteId={athleteId}
          movement={movement}
          onClose={onClose}
          onOther={() => pick(null)}
        />
      ) : (
        <MovementPicker label="Which movement" onPick={pick} />
      )}
    </Dialog>
  );
}

interface ResultProps extends Props {
  movement: Schema["MovementOut"];
  onOther: () => void;
}

function Result({ athleteId, movement, onClose, onOther }: ResultProps) {
  const sides: Side[] = movement.counted === "per side" ? ["left", "right"] : [""];
  const [ids] = useState(() => sides.map(() => crypto.randomUUID()));
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const keep = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    const number = (name: string) => Number(String(typed.get(name) ?? "").replace(",", "."));
    act(async () => {
      for (const [i, side] of sides.entries()) {
        if (!typed.get(`amount${side}`)) continue;
        await api.POST("/api/athletes/{athlete_id}/tests", {
          params: { path: { athlete_id: athleteId } },
          body: {
            ...UNCHANGED,
            id: ids[i] as string,
            movement: movement.id,
            amount: number(`amount${side}`),
            rpe: number("rpe"),
            load_kg: typed.get("kg") ? number("kg") : null,
            side,
          },
        });
      }
    }, onClose);
  };
  return (
    <form onSubmit={keep}>
      <div className="grid grid-cols-2 gap-x-4">
        {sides.map((side) => (
          <Field
            key={side}
            label={side ? `Done, ${side}` : "Done"}
            name={`amount${side}`}
            unit={movement.unit}
            inputMode="decimal"
            autoFocus={side !== "right"}
            required={side === ""}
          />
        ))}
        <Field
          label="Effort"
          name="rpe"
          inputMode="decimal"
          defaultValue="10"
          hint="1 to 10; 10 is not one more."
        />
        <Field
          label="Kilos added"
          name="kg"
          unit="kg"
          inputMode="decimal"
          hint="Below nought is assistance."
        />
      </div>
      <Wrong error={error} />
      <div className="flex gap-2 pt-3">
        <Button main type="submit" busy={busy}>
          Keep the test
        </Button>
        <Button quiet onClick={onOther}>
          Another movement
        </Button>
      </div>
    </form>
  );
}
