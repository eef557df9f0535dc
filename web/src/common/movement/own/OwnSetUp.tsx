/** What else of the posture is set besides its joints: heights, widths, shares. */
import { useQuery } from "@tanstack/react-query";
import type { Schema } from "../../api/client";
import { queries } from "../../api/queries";

type Own = Schema["OwnMovementOf"];

interface Props {
  own: Own;
  base: Schema["MovementOut"];
  /** Names of what may be set. */
  names: string[];
  put: (change: Partial<Own>) => void;
}

export function OwnSetUp({ own, base, names, put }: Props) {
  const forms = useQuery(queries.forms).data?.forms ?? [];
  const parameters = forms.find(({ id }) => id === base.form)?.parameters ?? [];
  const there = parameters.filter(({ name }) => names.includes(name));
  if (there.length === 0) return null;
  const set = (name: string, typed: string) => {
    const { [name]: _, ...others } = own.values ?? {};
    const number = Number(typed.replace(",", "."));
    put({
      values: typed.trim() === "" || Number.isNaN(number) ? others : { ...others, [name]: number },
    });
  };
  return (
    <fieldset className="pt-2">
      <legend className="lettering">Set up</legend>
      {there.map(({ name, label, unit, low, high }) => (
        <label key={name} className="flex items-center gap-2 py-0.5">
          <span className="w-56">
            {label}, {unit}
          </span>
          <input
            inputMode="decimal"
            aria-label={`${label}, ${unit}`}
            defaultValue={own.values?.[name] ?? ""}
            placeholder={String(base.values[name] ?? `${low} to ${high}`)}
            onChange={(event) => set(name, event.target.value)}
            className="w-24 border border-line bg-sheet px-1 py-1"
          />
        </label>
      ))}
    </fieldset>
  );
}
