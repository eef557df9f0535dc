/** Yes or no, and nothing chosen while nobody was asked. */
interface Props {
  label: string;
  name: string;
  value: boolean | null;
  onChange: (yes: boolean) => void;
}

export function YesNo({ label, name, value, onChange }: Props) {
  return (
    <fieldset className="flex flex-wrap items-baseline gap-x-4 pt-1 max-sm:pt-2.5">
      <legend className="sr-only">{label}</legend>
      <span aria-hidden="true">{label}</span>
      <span className="flex gap-x-4">
        {([true, false] as const).map((yes) => (
          <label key={String(yes)} className="flex items-baseline gap-1.5 max-sm:min-h-11">
            <input
              type="radio"
              name={name}
              aria-label={`${label}: ${yes ? "yes" : "no"}`}
              checked={value === yes}
              onChange={() => onChange(yes)}
            />
            {yes ? "yes" : "no"}
          </label>
        ))}
      </span>
    </fieldset>
  );
}
