/** What was done: from the athlete's record, or typed; every prediction stands on it. */
import { useQuery } from "@tanstack/react-query";
import { queries } from "../../common/api/queries";
import { type Form, formOf, freshSetUp, shaped, shapeOf } from "../../common/movement/form";
import { type SetUp, said, setUpOf } from "../../common/movement/setups";
import { Button } from "../../common/ui/Button";
import { Choice, Field } from "../../common/ui/Field";
import { day } from "../../common/units/figures";
import type { DoneAt } from "./state";

interface Props {
  ladderId: string;
  done: DoneAt | null;
  /** The set-up on the bench, which can be taken as it is. */
  now: SetUp;
  forms: Form[];
  onChange: (done: DoneAt | null) => void;
}

export function DoneFields({ ladderId, done, now, forms, onChange }: Props) {
  const record = useQuery(queries.record(ladderId)).data?.entries ?? [];
  const here = formOf(forms, now);
  const form = done ? formOf(forms, done.setup) : here;
  const held = form.counted === "hold";
  const counted = forms.filter((form) => form.counted !== "rpe" && here.compares.includes(form.id));
  const take = (setup: SetUp) =>
    onChange({ setup, count: done?.count ?? (held ? 10 : 8), rpe: done?.rpe ?? 10 });

  function fromRecord(index: string) {
    const entry = record[Number(index)];
    if (index === "" || !entry) return;
    onChange({
      setup: setUpOf(entry.setup),
      count: entry.amount,
      rpe: entry.rpe,
    });
  }

  if (counted.length === 0)
    return <p className="pt-2 text-sm text-faint">Logged by effort; no count follows from it.</p>;
  return (
    <>
      {record.length > 0 && (
        <Choice
          label="From the record"
          value=""
          options={[
            ["", "pick a test or a set"],
            ...record.map(
              ({ words, amount, unit, day: on, kind }, i) =>
                [
                  String(i),
                  `${kind} of ${day(on)}: ${unit === "s" ? `${amount} s of` : `${amount} ×`} ${words}`,
                ] as const,
            ),
          ]}
          onChange={(event) => fromRecord(event.target.value)}
        />
      )}
      <Choice
        label="Done"
        value={done?.setup.movement ?? ""}
        options={[
          ["", "nothing yet"],
          ...(done && !counted.includes(form) ? [[form.id, form.name] as const] : []),
          ...counted.map(({ id, name }) => [id, name] as const),
        ]}
        onChange={(event) =>
          event.target.value ? take(freshSetUp(event.target.value)) : onChange(null)
        }
      />
      {done && form.presets.length > 0 && (
        <Choice
          label="Shape done"
          value={shapeOf(done.setup, form)}
          options={[
            ["", "as it was set up"],
            ...form.presets.map(({ name }) => [name, said(name)] as const),
          ]}
          onChange={(event) =>
            event.target.value && take(shaped(done.setup, form, event.target.value))
          }
        />
      )}
      {done && (
        <>
          <Field
            label={held ? "Seconds held" : "Reps done"}
            unit={held ? "s" : "reps"}
            type="number"
            min={1}
            value={done.count || ""}
            onChange={(event) => onChange({ ...done, count: Number(event.target.value) })}
          />
          {!held && (
            <Field
              label="Effort, 1 to 10"
              type="number"
              min={1}
              max={10}
              step={0.5}
              value={done.rpe || ""}
              hint="10: as many as possible."
              onChange={(event) => onChange({ ...done, rpe: Number(event.target.value) })}
            />
          )}
        </>
      )}
      <Button className="mt-1" onClick={() => take(now)}>
        Done as set up now
      </Button>
    </>
  );
}
