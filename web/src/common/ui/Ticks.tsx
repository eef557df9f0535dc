/** Several of a list, each a box to tick. */
import { Tick } from "./Tick";

interface TicksProps<T extends string> {
  name: string;
  options: readonly (readonly [T, string])[];
  on: T[];
  onChange: (on: T[]) => void;
}

export function Ticks<T extends string>({ name, options, on, onChange }: TicksProps<T>) {
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
      </div>
    </fieldset>
  );
}
