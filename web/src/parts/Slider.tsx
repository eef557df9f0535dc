/** A measure to drag or to type, in the unit a coach reads: metres are shown in centimetres. */
import { Slider as Radix } from "radix-ui";
import { useId, useState } from "react";

interface Props {
  label: string;
  unit: string;
  low: number;
  high: number;
  step: number;
  value: number;
  onChange: (value: number) => void;
  wrong?: string | undefined;
}

export function Slider({ label, unit, low, high, step, value, onChange, wrong }: Props) {
  const id = useId();
  const scale = unit === "m" ? 100 : 1;
  const shown = Math.round(value * scale * 100) / 100;
  // What is being typed may not be a number yet ("-", "1."); it counts once it is one.
  const [typed, setTyped] = useState<string | null>(null);
  const type = (text: string) => {
    setTyped(text);
    const number = Number(text.replace(",", "."));
    if (text.trim() !== "" && Number.isFinite(number)) onChange(number / scale);
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
          onBlur={() => setTyped(null)}
          aria-invalid={wrong !== undefined}
          className="w-16 border border-line bg-sheet px-1 text-right aria-invalid:border-over"
        />
        <span className="w-7 text-sm text-faint">{unit === "m" ? "cm" : unit}</span>
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
          aria-valuetext={`${shown} ${unit === "m" ? "cm" : unit}`}
          className="block h-4 w-2.5 border border-ink bg-sheet hover:bg-wash"
        />
      </Radix.Root>
      {wrong && <p className="text-sm text-over">{wrong}</p>}
    </div>
  );
}
