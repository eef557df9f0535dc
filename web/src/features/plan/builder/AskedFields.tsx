/** What is asked of a set, each box empty where the athlete's own prescription decides. */
import { type ReactNode, useState } from "react";
import { VOCABULARY } from "../../../common/vocabulary";
import { type Exactly, figure, NOTHING } from "./rows";

interface Props {
  /** What it is asked of, for whoever hears the boxes. */
  name: string;
  asked: Exactly;
  /** Whether it keeps a rest of its own. */
  rests: boolean;
  onChange: (asked: Exactly) => void;
}

const LOADS = [
  ["bag", "bag, kg"],
  ["belt", "belt, kg"],
  ["hands", "hands, kg"],
  ["ankles", "ankles, kg"],
  ["assistance", "assistance, kg"],
] as const;

type Load = (typeof LOADS)[number][0];

export function AskedFields({ name, asked, rests, onChange }: Props) {
  const [load, setLoad] = useState<Load>(LOADS.find(([field]) => asked[field])?.[0] ?? "bag");
  const ask = (change: Partial<Exactly>) => onChange({ ...asked, ...change });
  return (
    <>
      <Box of={name} words="from" value={asked.low} put={(low) => ask({ low: figure(low) })} />
      <Box of={name} words="to" value={asked.high} put={(high) => ask({ high: figure(high) })} />
      <Box of={name} words="effort" value={asked.rpe} put={(rpe) => ask({ rpe: figure(rpe) })} />
      {rests && (
        <Box
          of={name}
          words="rest, s"
          value={asked.rest}
          put={(rest) => ask({ rest: figure(rest) })}
        />
      )}
      <Box
        of={name}
        words="tempo"
        value={asked.tempo}
        put={(tempo) => ask({ tempo: tempo.trim() })}
      />
      <Pick
        of={name}
        words="kind of load"
        value={load}
        options={LOADS}
        onPick={(field) => {
          setLoad(field);
          ask({ bag: 0, belt: 0, hands: 0, ankles: 0, assistance: 0, [field]: asked[load] });
        }}
      />
      <Box
        of={name}
        words="kg"
        value={asked[load] || null}
        put={(kg) => ask({ [load]: figure(kg) ?? 0 })}
      />
      <Box of={name} words="band" value={asked.band} put={(band) => ask({ band: band.trim() })} />
    </>
  );
}

/** What is seldom asked: part of the range, sides, an attempt. */
export function SeldomFields({ name, asked, onChange }: Omit<Props, "rests">) {
  const ask = (change: Partial<Exactly>) => onChange({ ...NOTHING, ...asked, ...change });
  return (
    <>
      <Pick
        of={name}
        words="range"
        value={asked.range}
        options={VOCABULARY.repRanges.map(
          (repRange) => [repRange, repRange || "as it is"] as const,
        )}
        onPick={(range) => ask({ range })}
      />
      <Pick
        of={name}
        words="sides"
        value={asked.sides}
        options={VOCABULARY.sideRules.map((sideRule) => [sideRule, SIDES[sideRule]] as const)}
        onPick={(sides) => ask({ sides })}
      />
      <label className="flex min-h-11 items-center gap-2 text-sm">
        <input
          type="checkbox"
          aria-label={`${name}, an attempt`}
          checked={asked.attempt}
          onChange={(event) => ask({ attempt: event.target.checked })}
        />
        an attempt, which nobody fails
      </label>
    </>
  );
}

const SIDES: Record<Exactly["sides"], string> = {
  "": "as it is counted",
  left: "left only",
  right: "right only",
  "per side": "one side, then the other",
  alternating: "alternating, lead swapped halfway",
};

interface BoxProps {
  of: string;
  words: string;
  value: string | number | null | undefined;
  put: (typed: string) => void;
}

export function Box({ of, words, value, put }: BoxProps) {
  return (
    <Labelled words={words}>
      <input
        aria-label={`${of}, ${words}`}
        defaultValue={value ?? ""}
        onChange={(event) => put(event.target.value)}
        className="block w-16 border border-line bg-sheet px-1 py-1"
      />
    </Labelled>
  );
}

interface PickProps<T extends string> {
  of: string;
  words: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onPick: (value: T) => void;
}

export function Pick<T extends string>({ of, words, value, options, onPick }: PickProps<T>) {
  return (
    <Labelled words={words}>
      <select
        aria-label={`${of}, ${words}`}
        value={value}
        onChange={(event) => {
          const picked = options.find(([one]) => one === event.target.value);
          if (picked) onPick(picked[0]);
        }}
        className="block border border-line bg-sheet px-1 py-1"
      >
        {options.map(([one, told]) => (
          <option key={one} value={one}>
            {told}
          </option>
        ))}
      </select>
    </Labelled>
  );
}

function Labelled({ words, children }: { words: string; children: ReactNode }) {
  return (
    <div className="text-sm">
      <span aria-hidden="true">{words}</span>
      {children}
    </div>
  );
}
