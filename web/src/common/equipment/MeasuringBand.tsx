/** A band pulled and measured: length and pull by hand, or the pull from the hanging scale. */
import { useState } from "react";
import { api } from "../api/client";
import { useAct, useSendId } from "../hooks/useAct";
import { useDraft } from "../hooks/useDraft";
import { Button } from "../ui/Button";
import { Field } from "../ui/Field";
import { Wrong } from "../ui/Wrong";
import { VOCABULARY } from "../vocabulary";
import { HangingScale } from "./HangingScale";

const PULLS = 6;

interface Reading {
  id: string;
  length: string;
  kg: string;
}

interface Typed {
  name: string;
  rest: string;
  readings: Reading[];
}

const blank = (): Reading => ({ id: crypto.randomUUID(), length: "", kg: "" });
const fresh = (): Typed => ({
  name: "",
  rest: "",
  readings: Array.from({ length: PULLS }, blank),
});

export function MeasuringBand({ onKept }: { onKept: () => void }) {
  const { act, busy, error } = useAct("bands", "places", "squad", "athlete", "ladder");
  const [id] = useSendId();
  const [start] = useState(fresh);
  const [typed, put, settle] = useDraft<Typed>("band", () => start);
  const [scale, setScale] = useState(false);
  const { name, rest, readings } = typed;
  const putReading = (row: string, changes: Partial<Reading>) =>
    put({
      ...typed,
      readings: readings.map((reading) =>
        reading.id === row ? { ...reading, ...changes } : reading,
      ),
    });

  /** What a label calls light or heavy, as the one pull it stands for. */
  function putLabel(kg: number) {
    const length = Math.round(VOCABULARY.bandLabelStretch * (Number(rest) || 100));
    const [first, ...others] = start.readings.map(({ id: one }) => ({ ...blank(), id: one }));
    const filled = { ...(first ?? blank()), length: String(length), kg: kg ? String(kg) : "" };
    put({
      ...typed,
      rest: rest || "100",
      readings: [kg ? filled : { ...filled, length: "" }, ...others],
    });
  }

  /** A steady reading goes to the first line without a pull. */
  function take(kg: number, stretch: number | null) {
    const free = readings.find((reading) => !reading.kg) ?? blank();
    const length = stretch && Number(rest) ? String(Math.round(stretch * Number(rest))) : "";
    const filled = { ...free, kg: kg.toFixed(2), length: free.length || length };
    const known = readings.some(({ id: one }) => one === free.id);
    put({
      ...typed,
      readings: known
        ? readings.map((reading) => (reading.id === free.id ? filled : reading))
        : [...readings, filled],
    });
  }

  const keep = () =>
    act(
      () =>
        api.POST("/api/bands", {
          body: {
            id,
            name,
            rest_m: Number(rest) / 100,
            limit: 3,
            readings: readings
              .filter(({ length, kg }) => length && kg)
              .map(({ length, kg }) => ({ length_m: Number(length) / 100, kg: Number(kg) })),
          },
        }),
      () => {
        settle();
        onKept();
      },
    );

  return (
    <form
      className="mt-3 border-t border-ink"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <div className="grid grid-cols-2 gap-x-3">
        <Field
          label="What you call it"
          value={name}
          required
          onChange={(event) => put({ ...typed, name: event.target.value })}
        />
        <Field
          label="Length without pull"
          unit="cm"
          type="number"
          min={1}
          required
          value={rest}
          onChange={(event) => put({ ...typed, rest: event.target.value })}
        />
      </div>
      <p className="pt-3 text-sm text-faint">
        Hang it from something that holds, pull with a hanging scale, and write down length and pull
        together: five or more. Look it over first: a band with a nick is thrown away.
      </p>
      <ByLabel onPick={putLabel} />
      {scale ? (
        <HangingScale onTake={take} onClose={() => setScale(false)} />
      ) : (
        <Button className="mt-2" onClick={() => setScale(true)}>
          Connect the hanging scale
        </Button>
      )}
      <table className="mt-2 w-full">
        <thead>
          <tr className="lettering [&>th]:pr-3">
            <th>Pull</th>
            <th>Length, cm</th>
            <th>Pull, kg</th>
          </tr>
        </thead>
        <tbody>
          {readings.map((reading, i) => (
            <tr key={reading.id} className="[&>td]:pr-3 [&>td]:pb-1">
              <td className="text-faint">{i + 1}</td>
              {(["length", "kg"] as const).map((field) => (
                <td key={field}>
                  <input
                    aria-label={`${field === "kg" ? "Kilos" : "Length"} of pull ${i + 1}`}
                    type="number"
                    step="any"
                    value={reading[field]}
                    onChange={(event) => putReading(reading.id, { [field]: event.target.value })}
                    className="w-full border border-line bg-sheet px-2 py-1"
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <Button quiet onClick={() => put({ ...typed, readings: [...readings, blank()] })}>
        One more pull
      </Button>
      <Wrong error={error} />
      <Button main type="submit" busy={busy} className="mt-2">
        Keep the band
      </Button>
    </form>
  );
}

/** A band that was never measured: what its label says, as a wide guess. */
function ByLabel({ onPick }: { onPick: (kg: number) => void }) {
  return (
    <label className="block pt-2 text-sm">
      Not measured yet? What its label says{" "}
      <select
        value=""
        onChange={(event) => onPick(Number(event.target.value))}
        className="border border-line bg-sheet px-2 py-1"
      >
        <option value="">choose …</option>
        {VOCABULARY.bandLabels.map(([word, kg]) => (
          <option key={word} value={kg}>
            {word}
          </option>
        ))}
      </select>{" "}
      <span className="text-faint">
        or one line below, a force at a length. It serves from today; every number it touches is
        then wide, until five pulls narrow it.
      </span>
    </label>
  );
}
