/** A labelled input of a form, with its unit and what is wrong with it. */
import { type InputHTMLAttributes, type SelectHTMLAttributes, useId } from "react";

const BOX = "w-full border border-line bg-sheet px-2 py-1.5 aria-invalid:border-over";

interface Common {
  label: string;
  unit?: string;
  wrong?: string | undefined;
  hint?: string;
}

type InputProps = Common & InputHTMLAttributes<HTMLInputElement>;

export function Field({ label, unit, wrong, hint, ...rest }: InputProps) {
  const id = useId();
  return (
    <div className="pt-3">
      <label htmlFor={id} className="lettering">
        {label}
      </label>
      <div className="flex items-center gap-2">
        <input
          id={id}
          {...rest}
          aria-invalid={wrong !== undefined}
          aria-describedby={`${id}-help`}
          className={BOX}
        />
        {unit && <span className="w-10 text-faint">{unit}</span>}
      </div>
      <p id={`${id}-help`} className={`text-sm ${wrong ? "text-over" : "text-faint"}`}>
        {wrong ?? hint}
      </p>
    </div>
  );
}

type Option = readonly [value: string, text: string];

type ChoiceProps = Common &
  SelectHTMLAttributes<HTMLSelectElement> & {
    options?: readonly Option[];
    groups?: [name: string, options: readonly Option[]][];
  };

export function Choice(props: ChoiceProps) {
  const { label, options = [], groups = [], hint, wrong: _, unit: __, ...rest } = props;
  const id = useId();
  return (
    <div className="pt-3">
      <label htmlFor={id} className="lettering">
        {label}
      </label>
      <select id={id} {...rest} className={BOX}>
        <Options of={options} />
        {groups.map(([name, those]) => (
          <optgroup key={name} label={name}>
            <Options of={those} />
          </optgroup>
        ))}
      </select>
      {hint && <p className="text-sm text-faint">{hint}</p>}
    </div>
  );
}

function Options({ of }: { of: readonly Option[] }) {
  return of.map(([value, text]) => (
    <option key={value} value={value}>
      {text}
    </option>
  ));
}
