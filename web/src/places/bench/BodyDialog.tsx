/** Whose body lies on the bench: mass, stature, and what was measured in place of averages. */
import type { Schema } from "../../api/client";
import { Dialog } from "../../parts/Dialog";
import { Choice, Field } from "../../parts/Field";
import { said } from "../../parts/setups";

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
  const put = (field: "lengths_m" | "mass_shares", name: string, scale: number, text: string) => {
    const { [name]: _, ...others } = body[field] ?? {};
    onChange({ ...body, [field]: text ? { ...others, [name]: Number(text) / scale } : others });
  };
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="The body"
      about="What is left empty follows the averages of the table. Long legs change a lever a lot: a measured thigh and shank narrow every figure."
    >
      <div className="grid grid-cols-2 gap-x-3">
        <Measure
          label="Body mass"
          unit="kg"
          value={body.mass_kg}
          onChange={(mass_kg) => onChange({ ...body, mass_kg })}
        />
        <Measure
          label="Stature"
          unit="cm"
          value={Math.round(1000 * body.stature_m) / 10}
          onChange={(cm) => onChange({ ...body, stature_m: cm / 100 })}
        />
        <Choice
          label="Table of averages"
          value={body.table === "winter" ? "" : (body.sex ?? "male")}
          options={[
            ["", "Winter (one for all)"],
            ["male", "Dumas and others, men"],
            ["female", "Dumas and others, women"],
          ]}
          onChange={(event) => {
            const sex = (event.target.value || null) as "male" | "female" | null;
            onChange({ ...body, table: sex ? "dumas" : "winter", sex });
          }}
        />
      </div>
      <h3 className="pt-3">Measured lengths</h3>
      <p className="text-sm text-faint">
        Between joint centres: hip to knee, knee to ankle, hip to shoulder.
      </p>
      <div className="grid grid-cols-3 gap-x-3">
        {LENGTHS.map((name) => (
          <Measure
            key={name}
            label={said(name)}
            unit="cm"
            value={body.lengths_m?.[name] === undefined ? null : 100 * body.lengths_m[name]}
            onText={(text) => put("lengths_m", name, 100, text)}
          />
        ))}
      </div>
      <h3 className="pt-3">Shares of body mass, both sides together</h3>
      <div className="grid grid-cols-3 gap-x-3">
        {SHARES.map((name) => (
          <Measure
            key={name}
            label={said(name)}
            unit="%"
            value={body.mass_shares?.[name] === undefined ? null : 100 * body.mass_shares[name]}
            onText={(text) => put("mass_shares", name, 100, text)}
          />
        ))}
      </div>
    </Dialog>
  );
}

interface MeasureProps {
  label: string;
  unit: string;
  value: number | null;
  onChange?: (value: number) => void;
  onText?: (text: string) => void;
}

function Measure({ label, unit, value, onChange, onText }: MeasureProps) {
  return (
    <Field
      label={label}
      unit={unit}
      type="number"
      step="any"
      min={0}
      defaultValue={value === null ? "" : Math.round(1000 * value) / 1000}
      onChange={(event) => {
        onText?.(event.target.value);
        if (event.target.value) onChange?.(Number(event.target.value));
      }}
    />
  );
}
