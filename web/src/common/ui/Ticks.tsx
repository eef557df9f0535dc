/** Several of a list, each a box to tick. */
import { Tick } from "./Tick";

interface TicksProps<T extends string> {
  name: string;
  options: readonly (readonly [T, string])[];
  on: T[];
  onChange: (on: T[]) => void;
  /** Whether it was said that none of them holds; left out where that is not asked. */
  none?: boolean;
  onNone?: (none: boolean) => void;
}

export function Ticks<T extends string>(props: TicksProps<T>) {
  const { name, options, on, onChange, none = false, onNone } = props;
  return (
    <fieldset className="mt-3">
      <legend className="lettering">{name}</legend>
      <div className="grid gap-x-6 max-sm:grid-cols-2 md:grid-cols-2">
        {options.map(([value, words]) => (
          <Tick
            key={value}
            label={words}
            on={on.includes(value)}
            onChange={(ticked) =>
              onChange(ticked ? [...on, value] : on.filter((one) => one !== value))
            }
          />
        ))}
        {onNone && <Tick label="none of these" on={none} onChange={onNone} />}
      </div>
    </fieldset>
  );
}
