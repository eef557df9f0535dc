/** What is said of a set: how much, how hard, form, where it was felt, pain. Large, one hand. */
import { useRef, useState } from "react";
import { useKeys } from "../../../app/keys";
import { Button } from "../../../common/ui/Button";
import { Scale } from "../../../common/ui/Scale";
import { Tick } from "../../../common/ui/Tick";
import { itemOf } from "../engine/machine";
import type { Along, Entry, Running } from "../engine/types";

interface Props {
  along: Along;
  run: Running;
  entry: Entry;
  /** How many more wait to be filled in. */
  more: number;
  onLog: (entry: Entry, picture: Blob | null) => void;
}

const UNITS = {
  reps: ["Reps", "rep"],
  s: ["Seconds", "second"],
  cm: ["Centimetres", "centimetre"],
} as const;

export function EntryForm({ along, run, entry: fresh, more, onLog }: Props) {
  const [entry, setEntry] = useState(fresh);
  const [wrong, setWrong] = useState("");
  const [open, setOpen] = useState(false);
  const [picture, setPicture] = useState<Blob | null>(null);
  const item = itemOf(run, entry.item);
  const set = (change: Partial<Entry>) => setEntry((now) => ({ ...now, ...change }));
  const most = along.most[entry.what.unit] ?? 0;

  function log() {
    if (entry.rpe === null) return setWrong("Say how hard it was first: effort, 1 to 10.");
    if (entry.amounts.some((amount) => !(amount >= 0 && amount <= most)))
      return setWrong(`${UNITS[entry.what.unit][0]}: give 0 to ${most}.`);
    onLog(entry, picture);
  }
  useKeys([["l", log]]);
  if (!item) return null;
  return (
    <section aria-label="Log the set" className="mt-3 border-t-2 border-ink pt-2">
      <p className="font-head text-2xl">
        {entry.what.name}, set {entry.set + 1}
        {more > 0 && <span className="text-faint"> ({more} more to fill in)</span>}
      </p>
      {entry.amounts.map((amount, side) => (
        <Amount
          key={entry.ids[side]}
          name={entry.sides.length > 1 ? `${entry.sides[side]}: ` : ""}
          unit={entry.what.unit}
          amount={amount}
          onChange={(next) =>
            set({ amounts: entry.amounts.map((amount, at) => (at === side ? next : amount)) })
          }
        />
      ))}
      <p className="text-sm text-faint">
        {entry.counted === "by the pace" && "Counted by the pace; put it right. "}
        {entry.counted === "by a sensor" && "Counted by the sensor; confirm it or put it right. "}
        {(entry.amounts[0] ?? 0) > entry.high &&
          `${(entry.amounts[0] ?? 0) - entry.high} beyond the range: it counts.`}
      </p>
      <Scale
        name="Effort (RPE)"
        about={`10: not one ${UNITS[entry.what.unit][1]} more. 9: one more was there.`}
        from={1}
        to={10}
        value={entry.rpe}
        onChange={(rpe) => set({ rpe })}
        halves
      />
      {wrong && (
        <p role="alert" className="border-l-4 border-over bg-wash p-2">
          {wrong}
        </p>
      )}
      <Button main large onClick={log} title="Log the set (L)" className="mt-3 w-full">
        Log the set
      </Button>
      <Chips
        name="Form went"
        about="Nothing picked: clean throughout."
        of={item.faults.map((fault) => fault.name)}
        on={entry.faults}
        onChange={(faults) => set({ faults })}
      />
      {item.faults
        .filter((fault) => entry.faults.includes(fault.name))
        .map((fault) => (
          <p key={fault.name} className="text-watch">
            ◆ {fault.remedy}
          </p>
        ))}
      <Chips
        name="Felt in"
        about=""
        of={[...item.muscles.slice(0, 4), "lower back"].filter(
          (region, i, all) => all.indexOf(region) === i,
        )}
        on={entry.felt}
        onChange={(felt) => set({ felt })}
      />
      {entry.felt.some((region) => !item.muscles.includes(region)) && (
        <p className="text-watch">
          ◆ Not where it belongs: it is to be felt in {item.muscles.slice(0, 2).join(" and ")}. Take
          the easier rung if it stays so.
        </p>
      )}
      <Button quiet onClick={() => setOpen(!open)} aria-expanded={open} className="mt-2 min-h-11">
        {open ? "Less" : "Pain, partial reps, a note, a picture …"}
      </Button>
      {open && (
        <More along={along} entry={entry} set={set} picture={picture} onPicture={setPicture} />
      )}
    </section>
  );
}

interface AmountProps {
  name: string;
  unit: Entry["what"]["unit"];
  amount: number;
  onChange: (amount: number) => void;
}

function Amount({ name, unit, amount, onChange }: AmountProps) {
  const [all, one] = UNITS[unit];
  return (
    <div className="flex items-center gap-3 pt-1">
      <Button
        large
        onClick={() => onChange(Math.max(0, amount - 1))}
        aria-label={`One ${one} fewer`}
      >
        −
      </Button>
      <label className="flex min-w-0 flex-1 items-baseline justify-center gap-2">
        <input
          aria-label={`${name}${all}`}
          inputMode="numeric"
          value={Number.isNaN(amount) ? "" : amount}
          onChange={(event) => onChange(Number.parseFloat(event.target.value))}
          onFocus={(event) => event.target.select()}
          className="w-28 border-b-2 border-ink bg-sheet text-center font-head text-7xl leading-tight font-semibold"
        />
        <span className="font-head text-xl">
          {name}
          {all.toLowerCase()}
        </span>
      </label>
      <Button large onClick={() => onChange(amount + 1)} aria-label={`One ${one} more`}>
        +
      </Button>
    </div>
  );
}

interface ChipsProps {
  name: string;
  about: string;
  of: string[];
  on: string[];
  onChange: (on: string[]) => void;
}

function Chips({ name, about, of, on, onChange }: ChipsProps) {
  return (
    <fieldset className="pt-2">
      <legend className="flex items-baseline gap-3">
        <span className="lettering">{name}</span>
        <span className="text-sm text-faint">{about}</span>
      </legend>
      <div className="flex flex-wrap gap-1.5">
        {of.map((entry) => (
          <button
            key={entry}
            type="button"
            aria-pressed={on.includes(entry)}
            onClick={() =>
              onChange(on.includes(entry) ? on.filter((each) => each !== entry) : [...on, entry])
            }
            className="min-h-11 border border-line px-3 font-head text-lg aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-sheet"
          >
            {entry}
          </button>
        ))}
      </div>
    </fieldset>
  );
}

const partialOf = (typed: string, most: number) =>
  Math.max(0, Math.min(most, Math.round(Number(typed)) || 0));

interface MoreProps {
  along: Along;
  entry: Entry;
  set: (change: Partial<Entry>) => void;
  picture: Blob | null;
  onPicture: (picture: Blob | null) => void;
}

function More({ along, entry, set, picture, onPicture }: MoreProps) {
  const file = useRef<HTMLInputElement>(null);
  const most = along.most.reps ?? 0;
  return (
    <div>
      <Scale
        name="Pain"
        about={`0: none. From ${along.pain_stop} what hurts ends for the day.`}
        from={0}
        to={10}
        value={entry.pain}
        onChange={(pain) =>
          set({ pain, place: pain ? entry.place || (along.places[0] ?? "") : "" })
        }
        grave={along.pain_stop}
      />
      {entry.pain > 0 && (
        <label className="flex items-center gap-2 pt-2">
          <span className="lettering">Where</span>
          <select
            value={entry.place}
            onChange={(event) => set({ place: event.target.value })}
            className="min-h-11 flex-1 border border-line bg-sheet px-2"
          >
            {along.places.flatMap((place) =>
              (["neck", "back"].includes(place)
                ? [place]
                : [`left ${place}`, `right ${place}`, place]
              ).map((one) => <option key={one}>{one}</option>),
            )}
          </select>
        </label>
      )}
      {entry.what.unit === "reps" &&
        entry.partials.map((partial, side) => (
          <label key={entry.ids[side]} className="flex items-center gap-2 pt-3">
            <span className="lettering flex-1">
              Partial reps besides{entry.sides.length > 1 && `, ${entry.sides[side]}`}
            </span>
            <input
              inputMode="numeric"
              value={partial}
              onChange={(event) =>
                set({ partials: entry.partials.with(side, partialOf(event.target.value, most)) })
              }
              className="min-h-11 w-20 border border-line bg-sheet text-center"
            />
          </label>
        ))}
      <Tick
        label="About: I did not count exactly"
        on={entry.about}
        onChange={(about) => set({ about })}
      />
      <label className="block pt-3">
        <span className="lettering">Note</span>
        <input
          value={entry.note}
          maxLength={500}
          onChange={(event) => set({ note: event.target.value })}
          className="min-h-11 w-full border border-line bg-sheet px-2"
        />
      </label>
      <div className="flex items-center gap-2 pt-3">
        <input
          ref={file}
          type="file"
          accept="image/jpeg,image/png,image/webp,video/mp4,video/webm"
          aria-label="A photo or a clip of at most 20 s"
          onChange={(event) => onPicture(event.target.files?.[0] ?? null)}
          className="min-w-0 flex-1"
        />
        {picture && (
          <Button
            quiet
            onClick={() => {
              if (file.current) file.current.value = "";
              onPicture(null);
            }}
          >
            Leave it out
          </Button>
        )}
      </div>
      <p className="text-sm text-faint">
        Place, time and camera are taken out of it before it is kept.
      </p>
    </div>
  );
}
