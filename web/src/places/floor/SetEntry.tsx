/** What is said of a set: reps, effort, form, pain. Large targets, one hand. */

import { Button } from "../../parts/Button";
import type { Unit } from "../../parts/figures";
import { Scale } from "./Scale";

export interface Entry {
  /** Made once for the set, so that sending it again writes it once. */
  id: string;
  /** Reps, or seconds of a hold. */
  amount: number;
  effort: number | null;
  clean: boolean;
  pain: number;
  place: string;
}

interface Props {
  entry: Entry;
  onChange: (entry: Entry) => void;
  faults: string[];
  stop: number;
  unit: Unit;
}

/** What is counted: in the heading, of one, and the most that is taken. */
const COUNTED: Record<Unit, readonly [all: string, one: string, most: number]> = {
  reps: ["Reps", "rep", 200],
  s: ["Seconds", "second", 3600],
  cm: ["Centimetres", "centimetre", 400],
};

export function SetEntry({ entry, onChange, faults, stop, unit }: Props) {
  const [all, one, most] = COUNTED[unit];
  const set = (change: Partial<Entry>) => onChange({ ...entry, ...change });
  const count = (amount: number) =>
    set({ amount: Math.max(0, Math.min(most, Math.round(amount) || 0)) });
  return (
    <div className="pt-3">
      <div className="flex items-center gap-4">
        <Button large onClick={() => count(entry.amount - 1)} aria-label={`One ${one} fewer`}>
          −
        </Button>
        <label className="flex items-baseline gap-2">
          <input
            aria-label={all}
            inputMode="numeric"
            value={entry.amount}
            onChange={(event) => count(Number(event.target.value))}
            onFocus={(event) => event.target.select()}
            className="w-36 border-b-2 border-ink bg-sheet text-center font-head text-8xl leading-tight font-semibold"
          />
          <span className="font-head text-2xl">{all.toLowerCase()}</span>
        </label>
        <Button large onClick={() => count(entry.amount + 1)} aria-label={`One ${one} more`}>
          +
        </Button>
      </div>
      <Scale
        name="Effort"
        about={
          unit !== "reps" ? `10: not one ${one} more.` : "10: not one more. 9: one more was there."
        }
        from={1}
        to={10}
        value={entry.effort}
        onChange={(effort) => set({ effort })}
        halves
      />
      <fieldset className="mt-3">
        <legend className="lettering">Form</legend>
        <div className="flex flex-wrap gap-2">
          <Toggle on={entry.clean} onClick={() => set({ clean: true })}>
            clean to the end
          </Toggle>
          <Toggle on={!entry.clean} onClick={() => set({ clean: false })}>
            {`form went (${faults.join(", ")})`}
          </Toggle>
        </div>
      </fieldset>
      <Scale
        name="Pain"
        about={`0: none. From ${stop} the movement ends for the day.`}
        from={0}
        to={10}
        value={entry.pain}
        onChange={(pain) => set({ pain, place: pain ? entry.place : "" })}
        grave={stop}
      />
      {entry.pain > 0 && (
        <label className="flex items-center gap-2 pt-2">
          <span className="lettering">Where</span>
          <input
            value={entry.place}
            maxLength={40}
            placeholder="left wrist"
            onChange={(event) => set({ place: event.target.value })}
            className="border border-line bg-sheet px-2 py-2"
          />
        </label>
      )}
    </div>
  );
}

function Toggle(props: { on: boolean; onClick: () => void; children: string }) {
  return (
    <button
      type="button"
      aria-pressed={props.on}
      onClick={props.onClick}
      className={`min-h-11 border px-3 font-head ${props.on ? "border-ink bg-ink text-sheet" : "border-line"}`}
    >
      {props.children}
    </button>
  );
}
