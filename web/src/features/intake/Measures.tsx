/** Body measures over time, with whatever limbs were measured. */
import { useState } from "react";
import { api, type Schema } from "../../common/api/client";
import { ScaleCheck } from "../../common/athlete/ScaleCheck";
import { useAct } from "../../common/hooks/useAct";
import { useDraft } from "../../common/hooks/useDraft";
import { Button } from "../../common/ui/Button";
import { Field } from "../../common/ui/Field";
import { Wrong } from "../../common/ui/Wrong";
import { day } from "../../common/units/figures";
import { beside, fromSi, type Kind, toSi, type Units, unitOf } from "../../common/units/units";

/** Limbs whose length moves a lever, and between which points they are measured. */
const LIMBS: [segment: string, words: string, where: string][] = [
  ["trunk", "Trunk", "hip joint to shoulder joint"],
  ["upper_arm", "Upper arm", "shoulder joint to elbow"],
  ["forearm", "Forearm", "elbow to wrist"],
  ["thigh", "Thigh", "hip joint to knee"],
  ["shank", "Shank", "knee to ankle"],
];

type Typed = Record<string, string>;

export function Measures({ athlete, units }: { athlete: Schema["AthleteOut"]; units: Units }) {
  const last = athlete.measures.at(-1);
  const show = (value: number | undefined, kind: Kind) =>
    value === undefined ? "" : String(fromSi(value, units, kind));
  const start = (): Typed => ({
    mass: show(last?.mass_kg, "mass"),
    stature: show(last?.stature_m, "length"),
    ...Object.fromEntries(
      Object.entries(last?.lengths ?? {}).map(([name, value]) => [name, show(value, "length")]),
    ),
  });
  const [typed, put, settle] = useDraft<Typed>(`measures.${athlete.id}.${units}`, start);
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const [weighing, setWeighing] = useState(false);

  const keep = () =>
    act(
      () =>
        api.POST("/api/athletes/{athlete_id}/body-measurements", {
          params: { path: { athlete_id: athlete.id } },
          body: {
            mass_kg: toSi(Number(typed.mass), units, "mass"),
            stature_m: toSi(Number(typed.stature), units, "length"),
            lengths: Object.fromEntries(
              LIMBS.flatMap(([name]) => {
                const value = typed[name];
                return value ? [[name, toSi(Number(value), units, "length")]] : [];
              }),
            ),
          },
        }),
      settle,
    );

  const box = (name: string, label: string, kind: Kind, hint = "") => (
    <Field
      key={name}
      label={label}
      unit={unitOf(units, kind)}
      type="number"
      step="0.1"
      required={name === "mass" || name === "stature"}
      value={typed[name] ?? ""}
      onChange={(event) => put({ ...typed, [name]: event.target.value })}
      hint={[hint, beside(typed[name] ?? "", units, kind)].filter(Boolean).join(" ")}
    />
  );

  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <h2 className="pt-2 text-lg">Measures</h2>
      <div className="grid grid-cols-2 gap-x-4">
        {box("mass", "Body mass", "mass")}
        {box("stature", "Height", "length")}
      </div>
      <details>
        <summary className="lettering cursor-pointer">Limb lengths, if measured</summary>
        <p className="text-sm text-faint">
          A measured limb replaces the table's share of stature and narrows every figure.
        </p>
        {LIMBS.map(([name, words, where]) => box(name, words, "length", where))}
      </details>
      <Wrong error={error} />
      <div className="flex flex-wrap gap-2 pt-2">
        <Button type="submit" busy={busy}>
          Keep today's measures
        </Button>
        <Button type="button" onClick={() => setWeighing(true)}>
          Household scale …
        </Button>
      </div>
      {weighing && (
        <ScaleCheck athleteId={athlete.id} units={units} onClose={() => setWeighing(false)} />
      )}
      <table className="mt-3 w-full">
        <caption className="lettering text-left">Kept</caption>
        <tbody>
          {athlete.measures.map((measure) => (
            <tr key={measure.local_date + measure.mass_kg} className="border-t border-hair">
              <td>{day(measure.local_date)}</td>
              <td className="text-right">
                {fromSi(measure.mass_kg, units, "mass")} {unitOf(units, "mass")}
              </td>
              <td className="text-right">
                {fromSi(measure.stature_m, units, "length")} {unitOf(units, "length")}
              </td>
              <td className="text-right text-faint">
                {Object.keys(measure.lengths).length > 0 &&
                  `${Object.keys(measure.lengths).length} limbs`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </form>
  );
}
