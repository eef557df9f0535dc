/** A measure to drag or to type, in the unit a coach reads: metres are shown in centimetres. */
import { Slider as Radix } from "radix-ui";
import { useId, useState } from "react";
import { plain } from "../units/figures";

interface Props {
  label: string;
  unit: string;
  low: number;
  high: number;
  step: number;
  value: number;
  onChange: (value: number) => void;
}

export function Slider({ label, unit, low, high, step, value, onChange }: Props) {
  const id = useId();
  const [scale, shownUnit] = unit === "m" ? [100, "cm"] : [1, unit];
  const shown = Math.round(value * scale * 100) / 100;
  // What is being typed may not be a number yet ("-", "1."); it counts once it is one.
  const [typed, setTyped] = useState<string | null>(null);
  const number = (text: string) => (text.trim() ? Number(text.replace(",", ".")) / scale : NaN);
  const within = (amount: number) => amount >= low && amount <= high;
  const wrong = typed !== null && !within(number(typed));
  const type = (text: string) => {
    setTyped(text);
    if (within(number(text))) onChange(number(text));
  };
  return (
    <div className="pt-1.5">
      <div className="flex items-baseline gap-2">
        <label htmlFor={id} className="flex-1 text-sm leading-tight">
          {label}
        </label>
        <input
          id={id}
          inputMode="decimal"
          value={typed ?? String(shown)}
          onChange={(event) => type(event.target.value)}
          onBlur={() => wrong || setTyped(null)}
          aria-invalid={wrong}
          aria-describedby={wrong ? `${id}-wrong` : undefined}
          className="w-16 border border-line bg-sheet px-1 text-right aria-invalid:border-over"
        />
        <span className="w-7 text-sm text-faint">{shownUnit}</span>
      </div>
      <Radix.Root
        min={low}
        max={high}
        step={step}
        value={[Math.min(high, Math.max(low, value))]}
        onValueChange={([next]) => {
          setTyped(null);
          if (next !== undefined) onChange(Math.round(next * 1e6) / 1e6);
        }}
        className="relative flex h-5 w-full touch-none items-center select-none"
      >
        <Radix.Track className="relative h-px grow bg-line">
          <Radix.Range className="absolute h-px bg-ink" />
        </Radix.Track>
        <Radix.Thumb
          aria-label={label}
          aria-valuetext={`${shown} ${shownUnit}`}
          className="block h-4 w-2.5 border border-ink bg-sheet hover:bg-wash"
        />
      </Radix.Root>
      {wrong && (
        <p id={`${id}-wrong`} role="alert" className="text-sm text-over">
          Give {plain(low * scale)} to {plain(high * scale)} {shownUnit}; {shown} stands.
        </p>
      )}
    </div>
  );
}
