/** Days with their minutes, place and hour; the block of weeks; targets and weights. */

import { useState } from "react";
import { useAct } from "../../../common/hooks/useAct";
import { Button } from "../../../common/ui/Button";
import { Dialog } from "../../../common/ui/Dialog";
import { Field } from "../../../common/ui/Field";
import { Tick } from "../../../common/ui/Tick";
import { Wrong } from "../../../common/ui/Wrong";
import { VOCABULARY } from "../../../common/vocabulary";
import { type Availability, availabilityOf, keepAvailability } from "../availability";
import type { Sheet } from "../plan";

const DAYS = VOCABULARY.weekdays;
const WEIGHTS: [keyof Availability["weights"], string][] = [
  ["prescribed", "a day short of a ladder's prescription"],
  ["asked", "a day short of what else is asked"],
  ["together", "a day with a part of what is done together"],
  ["regions", "half a set short of a region's target"],
  ["region_days", "a day short of two for a region"],
  ["balance", "half a set between push and pull"],
  ["wave", "wave days out of order"],
  ["small", "one more on a small muscle in a day"],
  ["surfaces", "one surface on days running"],
  ["rotation", "accessories that take no turns"],
  ["even", "a minute between longest and shortest day"],
  ["moved", "something moved from the last plan"],
];
const CELL = "border border-line bg-sheet px-1 py-1";

export function AvailabilityDialog({ sheet, onClose }: { sheet: Sheet; onClose: () => void }) {
  const [typed, put] = useState<Availability>(availabilityOf(sheet));
  const { act, busy, error } = useAct("athlete", "squad");
  const change = (changes: Partial<Availability>) => put({ ...typed, ...changes });
  const turn = (index: number, on: boolean) => {
    const others = typed.days.filter((day) => day.index !== index);
    const like = typed.days[0] ?? { minutes: 45, place: "" as const, at: "18:00" };
    const days = on ? [...others, { ...like, index }] : others;
    change({ days: days.sort((a, b) => a.index - b.index) });
  };
  const set = (index: number, changes: Partial<Availability["days"][number]>) =>
    change({ days: typed.days.map((day) => (day.index === index ? { ...day, ...changes } : day)) });
  const number = (
    name: "stressful_limit" | "weeks" | "easy_every" | "away",
    label: string,
    hint: string,
  ) => (
    <Field
      label={label}
      hint={hint}
      type="number"
      value={typed[name]}
      onChange={(event) => change({ [name]: Number(event.target.value) })}
    />
  );
  return (
    <Dialog open onOpenChange={onClose} title="Availability" about={sheet.advice} widest>
      <table className="mt-3 w-full">
        <caption className="lettering text-left">Days with time to train</caption>
        <tbody>
          {DAYS.map((name, index) => {
            const day = typed.days.find((day) => day.index === index);
            return (
              <tr
                key={name}
                className="border-t border-hair max-sm:flex max-sm:flex-wrap max-sm:gap-x-2"
              >
                <th scope="row" className="w-36 max-sm:basis-full">
                  <Tick label={name} on={day !== undefined} onChange={(on) => turn(index, on)} />
                </th>
                {day && (
                  <>
                    <td>
                      <input
                        type="number"
                        aria-label={`${name}, minutes`}
                        className={`${CELL} w-16`}
                        value={day.minutes}
                        onChange={(event) => set(index, { minutes: Number(event.target.value) })}
                      />{" "}
                      min
                    </td>
                    <td>
                      <input
                        type="time"
                        aria-label={`${name}, begins at`}
                        className={CELL}
                        value={day.at}
                        onChange={(event) => set(index, { at: event.target.value })}
                      />
                    </td>
                    <td>
                      <select
                        aria-label={`${name}, place`}
                        className={CELL}
                        value={day.place}
                        onChange={(event) => set(index, { place: event.target.value })}
                      >
                        <option value="">anywhere</option>
                        {sheet.places.map((place) => (
                          <option key={place.key} value={place.key}>
                            {place.name}
                          </option>
                        ))}
                      </select>
                    </td>
                  </>
                )}
              </tr>
            );
          })}
        </tbody>
      </table>
      <div className="grid gap-x-4 sm:grid-cols-4">
        {number("stressful_limit", "Most stressful, days", "twice a week by common practice")}
        {number("weeks", "Weeks of the block", "1 to 26")}
        {number("easy_every", "Easy week every", "4 by common practice")}
        {number("away", "Weeks away before", "over 2: the way back is planned")}
      </div>
      <Tick
        label={`The block begins in this week${typed.begun ? ` (now ${typed.begun})` : ""}`}
        on={typed.begun === sheet.week_start}
        onChange={(on) => change({ begun: on ? sheet.week_start : null })}
      />
      <details className="pt-3">
        <summary className="cursor-pointer font-head">Targets: hard sets a week by region</summary>
        <div className="grid gap-x-4 sm:grid-cols-4">
          {sheet.regions.map(({ region, target }) => (
            <Field
              key={region}
              label={region}
              type="number"
              value={typed.targets.find((target) => target.region === region)?.sets ?? target}
              onChange={(event) => {
                const others = typed.targets.filter((target) => target.region !== region);
                const own = {
                  region: region as Availability["targets"][number]["region"],
                  sets: Number(event.target.value),
                };
                change({ targets: [...others, own] });
              }}
            />
          ))}
        </div>
      </details>
      <details className="pt-2">
        <summary className="cursor-pointer font-head">Weights: points for each …</summary>
        <div className="grid gap-x-4 sm:grid-cols-2">
          {WEIGHTS.map(([name, words]) => (
            <Field
              key={name}
              label={words}
              type="number"
              min={0}
              value={typed.weights[name]}
              onChange={(event) =>
                change({ weights: { ...typed.weights, [name]: Number(event.target.value) } })
              }
            />
          ))}
        </div>
      </details>
      <Wrong error={error} />
      <Button
        main
        busy={busy}
        className="mt-3"
        onClick={() => act(() => keepAvailability(sheet, typed), onClose)}
      >
        Keep
      </Button>
    </Dialog>
  );
}
