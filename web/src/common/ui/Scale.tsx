/** A scale of whole numbers as radio buttons, with halves where they are told apart. */
import { RadioGroup } from "radix-ui";

interface Props {
  name: string;
  about: string;
  from: number;
  to: number;
  value: number | null;
  onChange: (value: number) => void;
  halves?: boolean;
  /** From this value on the scale is marked as too much. */
  grave?: number;
}

export function Scale({ name, about, from, to, value, onChange, halves, grave }: Props) {
  const steps = Array.from({ length: to - from + 1 }, (_, i) => from + i);
  const whole = value === null ? null : Math.floor(value);
  const half = value !== null && value !== whole;
  return (
    <div className="pt-3">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <span className="lettering">{name}</span>
        <span className="text-sm text-faint">{about}</span>
      </p>
      <div className="flex items-stretch gap-2">
        <RadioGroup.Root
          aria-label={name}
          value={whole === null ? "" : String(whole)}
          onValueChange={(next) => onChange(Number(next))}
          orientation="horizontal"
          className="flex min-w-0 flex-1 sm:flex-none"
        >
          {steps.map((step) => (
            <RadioGroup.Item
              key={step}
              value={String(step)}
              aria-label={`${name} ${step}`}
              className={`-ml-px min-h-12 min-w-0 flex-1 border font-head text-lg first:ml-0 sm:w-12 sm:flex-none data-[state=checked]:border-ink data-[state=checked]:bg-ink data-[state=checked]:text-sheet ${
                grave !== undefined && step >= grave ? "border-over text-over" : "border-line"
              }`}
            >
              {step}
            </RadioGroup.Item>
          ))}
        </RadioGroup.Root>
        {halves && (
          <button
            type="button"
            aria-pressed={half}
            aria-label="and a half"
            disabled={whole === null || whole === to}
            onClick={() => whole !== null && onChange(half ? whole : whole + 0.5)}
            className="min-h-12 w-11 border border-line font-head text-lg disabled:opacity-40 aria-pressed:bg-ink aria-pressed:text-sheet"
          >
            ½
          </button>
        )}
      </div>
    </div>
  );
}
