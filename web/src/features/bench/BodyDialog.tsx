/** Whose body lies on the bench: mass, stature, and what was measured in place of averages. */
import type { FormEvent } from "react";
import type { Schema } from "../../common/api/client";
import { said } from "../../common/movement/setups";
import { Button } from "../../common/ui/Button";
import { Dialog } from "../../common/ui/Dialog";
import { Choice, Field } from "../../common/ui/Field";

type Body = Schema["BodyRequest"];

const LENGTHS = ["trunk", "upper_arm", "forearm", "thigh", "shank", "foot"];
const SHARES = ["head", "trunk", "upper_arm", "forearm", "hand", "thigh", "shank", "foot"];

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  body: Body;
  onChange: (body: Body) => void;
}

export function BodyDialog({ open, onOpenChange, body, onChange }: Props) {
  function take(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    const text = (name: string) => String(typed.get(name) ?? "").trim();
    const measured = (kind: string, names: string[]) =>
      Object.fromEntries(
        names
          .filter((name) => text(`${kind} ${name}`))
          .map((name) => [name, Number(text(`${kind} ${name}`)) / 100]),
      );
    const sex = (text("sex") || null) as "male" | "female" | null;
    onChange({
      ...body,
      mass_kg: Number(text("mass")),
      stature_m: Number(text("stature")) / 100,
      table: sex ? "dumas" : "winter",
      sex,
      lengths_m: measured("length", LENGTHS),
      mass_shares: measured("share", SHARES),
    });
    onOpenChange(false);
  }

  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="The body"
      about="What is left empty follows the averages of the table. Long legs change a lever a lot: a measured thigh and shank narrow every figure."
    >
      <form onSubmit={take}>
        <div className="grid grid-cols-2 gap-x-3">
          <Measure label="Body mass" unit="kg" name="mass" value={body.mass_kg} required />
          <Measure label="Height" unit="cm" name="stature" value={100 * body.stature_m} required />
          <Choice
            label="Table of averages"
            name="sex"
            defaultValue={body.table === "winter" ? "" : (body.sex ?? "male")}
            options={[
              ["", "Winter (one for all)"],
              ["male", "Dumas and others, men"],
              ["female", "Dumas and others, women"],
            ]}
          />
        </div>
        <h3 className="pt-3">Measured lengths</h3>
        <p className="text-sm text-faint">
          Between joint centres: hip to knee, knee to ankle, hip to shoulder.
        </p>
        <Measures kind="length" unit="cm" names={LENGTHS} values={body.lengths_m} />
        <h3 className="pt-3">Shares of body mass, both sides together</h3>
        <Measures kind="share" unit="%" names={SHARES} values={body.mass_shares} />
        <Button main type="submit" className="mt-3">
          Lay this body on the bench
        </Button>
      </form>
    </Dialog>
  );
}

interface MeasuresProps {
  kind: string;
  unit: string;
  names: string[];
  values: Record<string, number> | undefined;
}

function Measures({ kind, unit, names, values }: MeasuresProps) {
  return (
    <div className="grid grid-cols-3 gap-x-3">
      {names.map((name) => (
        <Measure
          key={name}
          label={said(name)}
          unit={unit}
          name={`${kind} ${name}`}
          value={values?.[name] === undefined ? undefined : 100 * values[name]}
        />
      ))}
    </div>
  );
}

interface MeasureProps {
  label: string;
  unit: string;
  name: string;
  value: number | undefined;
  required?: boolean;
}

function Measure({ value, ...rest }: MeasureProps) {
  const shown = value === undefined ? "" : Math.round(1000 * value) / 1000;
  return <Field {...rest} type="number" step="any" min={0} defaultValue={shown} />;
}
