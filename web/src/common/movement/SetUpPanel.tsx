/** Everything that can be set about one set-up. */
import type { Schema } from "../api/client";
import { Choice } from "../ui/Field";
import { Slider } from "../ui/Slider";
import { BandFold } from "./BandFold";
import { Fold } from "./Fold";
import { type Form, freshSetUp, shaped, shapeOf } from "./form";
import { type SetUp, said } from "./setups";
import { TempoFields } from "./TempoFields";

interface Props {
  setup: SetUp;
  form: Form;
  /** To choose the movement from; none where it is fixed. */
  forms?: Form[];
  onChange: (setup: SetUp) => void;
}

export function SetUpPanel({ setup, form, forms, onChange }: Props) {
  return (
    <>
      <PostureFold setup={setup} form={form} {...(forms ? { forms } : {})} onChange={onChange} />
      {form.loads.length > 0 && <LoadFold setup={setup} form={form} onChange={onChange} />}
      <BandFold setup={setup} onChange={onChange} />
      {form.counted === "reps" && <TempoFold setup={setup} form={form} onChange={onChange} />}
    </>
  );
}

function families(forms: Form[]): [family: string, forms: Form[]][] {
  const found = new Map<string, Form[]>();
  for (const form of forms) found.set(form.family, [...(found.get(form.family) ?? []), form]);
  return [...found].sort(([a], [b]) => a.localeCompare(b));
}

function PostureFold({ setup, form, forms, onChange }: Props) {
  return (
    <Fold name="Posture">
      {forms && (
        <Choice
          label="Movement"
          value={form.id}
          groups={families(forms).map(([family, those]) => [
            family,
            those.map(({ id, name }) => [id, name] as const),
          ])}
          onChange={(event) => onChange(freshSetUp(event.target.value))}
        />
      )}
      {form.presets.length > 0 && (
        <Choice
          label="Shape"
          value={shapeOf(setup, form)}
          options={[
            ["", "as set below"],
            ...form.presets.map(({ name }) => [name, said(name)] as const),
          ]}
          onChange={(event) =>
            event.target.value && onChange(shaped(setup, form, event.target.value))
          }
        />
      )}
      <div className="pt-2">
        {form.parameters.map((parameter) => (
          <Slider
            key={`${form.id} ${parameter.name}`}
            {...parameter}
            value={setup.values[parameter.name] ?? parameter.default}
            onChange={(value) =>
              onChange({ ...setup, values: { ...setup.values, [parameter.name]: value } })
            }
          />
        ))}
      </div>
    </Fold>
  );
}

type Place = keyof Schema["AddedLoadRequest"];

function LoadFold({ setup, form, onChange }: Omit<Props, "forms">) {
  const total = Object.values(setup.added_load).reduce((sum, kg) => sum + kg, 0);
  return (
    <Fold name="Load" summary={total ? `${total} kg` : "none"}>
      {form.adjustables
        .filter(({ name }) => form.loads.includes(name))
        .map((adjustable) => {
          const place = `${adjustable.name}_kg` as Place;
          return (
            <Slider
              key={adjustable.name}
              {...adjustable}
              step={0.5}
              value={setup.added_load[place]}
              onChange={(kg) =>
                onChange({ ...setup, added_load: { ...setup.added_load, [place]: kg } })
              }
            />
          );
        })}
    </Fold>
  );
}

function TempoFold({ setup, form, onChange }: Pick<Props, "setup" | "form" | "onChange">) {
  const [start, end] = form.ends;
  const partial = setup.range_percent < 100;
  const from = partial && setup.range_from === "end" ? ` from the ${end}` : "";
  return (
    <Fold name="Range and tempo" summary={`${setup.range_percent} %${from}, ${setup.tempo}`}>
      <Slider
        label="share of the full range"
        unit="%"
        low={20}
        high={100}
        step={5}
        value={setup.range_percent}
        onChange={(range_percent) => onChange({ ...setup, range_percent })}
      />
      {partial && form.counted === "reps" && (
        <Choice
          label="which part of it"
          value={setup.range_from}
          options={[
            ["start", `from the ${start}`],
            ["end", `from the ${end}`],
          ]}
          onChange={(event) =>
            onChange({ ...setup, range_from: event.target.value as "start" | "end" })
          }
        />
      )}
      <TempoFields tempo={setup.tempo} onChange={(tempo) => onChange({ ...setup, tempo })} />
    </Fold>
  );
}
