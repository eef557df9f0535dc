/** The four phases of a rep, in seconds. */
import { useId } from "react";

const PHASES = [
  ["lower", "lower", ""],
  ["far end", "hold", ""],
  ["press", "press", ""],
  ["start", "hold", ", straight arms or legs"],
] as const;

export function TempoFields(props: { tempo: string; onChange: (tempo: string) => void }) {
  const id = useId();
  const phases = props.tempo.split("-");
  const put = (index: number, text: string) =>
    props.onChange(PHASES.map((_, i) => (i === index ? text || "0" : phases[i])).join("-"));
  return (
    <fieldset className="pt-2">
      <legend className="text-sm">Seconds of a rep</legend>
      <div className="flex gap-2">
        {PHASES.map(([key, phase, more], i) => (
          <div key={key} className="flex-1">
            <input
              id={`${id}${i}`}
              type="number"
              min={0}
              max={30}
              step={0.5}
              value={phases[i]}
              onChange={(event) => put(i, event.target.value)}
              className="w-full border border-line bg-sheet px-1 text-right"
            />
            <label htmlFor={`${id}${i}`} className="block text-center text-sm text-faint">
              {phase}
              <span className="sr-only">{more}</span>
            </label>
          </div>
        ))}
      </div>
    </fieldset>
  );
}
