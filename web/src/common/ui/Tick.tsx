/** A box to tick, with its words. */
interface Props {
  label: string;
  on: boolean;
  onChange: (on: boolean) => void;
}

export function Tick({ label, on, onChange }: Props) {
  return (
    <label className="flex items-baseline gap-2 pt-1 max-sm:min-h-11 max-sm:pt-2.5">
      <input type="checkbox" checked={on} onChange={(event) => onChange(event.target.checked)} />
      {label}
    </label>
  );
}
