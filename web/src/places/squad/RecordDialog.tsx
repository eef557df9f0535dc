import { useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { api, type Schema } from "../../api/client";
import { queries, useRefresh } from "../../api/queries";
import { pickedLadder } from "../../app/places";
import { Button } from "../../parts/Button";
import { Dialog } from "../../parts/Dialog";
import { Field } from "../../parts/Field";
import { day } from "../../parts/figures";
import { Wrong } from "../../parts/Wrong";

/** An athlete's measures over time, and the way to have the person erased. */
export function RecordDialog({
  line,
  onClose,
}: {
  line: Schema["SquadLine"];
  onClose: () => void;
}) {
  const athlete = useQuery(queries.athlete(line.id)).data;
  const refresh = useRefresh();
  const client = useQueryClient();
  const [error, setError] = useState<Error | null>(null);
  const [erasing, setErasing] = useState(false);
  const path = { params: { path: { athlete_id: line.id } } };
  const last = athlete?.measures.at(-1);

  async function measure(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    const body = {
      mass_kg: Number(typed.get("mass")),
      stature_m: Number(typed.get("stature")) / 100,
    };
    try {
      await api.POST("/api/athletes/{athlete_id}/measures", { ...path, body });
      setError(null);
      await refresh();
    } catch (cause) {
      setError(cause as Error);
    }
  }

  async function erase() {
    try {
      await api.DELETE("/api/athletes/{athlete_id}", path);
    } catch (cause) {
      setError(cause as Error);
      return;
    }
    if (line.ladder_id === pickedLadder.get()) pickedLadder.clear();
    onClose();
    await client.invalidateQueries(queries.squad); // and nothing else: the rest is gone
  }

  return (
    <Dialog open onOpenChange={onClose} title={`Record of ${line.name}`}>
      {athlete && last && (
        <>
          <p className="pt-2 text-faint">
            Agreed to be kept on {day(athlete.consent_on)}. Days are counted in {athlete.time_zone}.
          </p>
          <table className="mt-2 w-full">
            <thead>
              <tr className="lettering border-b border-ink">
                <th>Day</th>
                <th>Body mass</th>
                <th>Stature</th>
              </tr>
            </thead>
            <tbody>
              {athlete.measures.map((one) => (
                <tr key={one.local_date + one.mass_kg} className="border-b border-hair">
                  <td>{day(one.local_date)}</td>
                  <td>{one.mass_kg} kg</td>
                  <td>{Math.round(one.stature_m * 1000) / 10} cm</td>
                </tr>
              ))}
            </tbody>
          </table>
          <form onSubmit={measure} className="flex flex-wrap items-end gap-3">
            <div className="w-36">
              <Field label="Body mass" name="mass" unit="kg" type="number" step="0.1" required />
            </div>
            <div className="w-36">
              <Field
                label="Stature"
                name="stature"
                unit="cm"
                type="number"
                step="0.1"
                required
                defaultValue={Math.round(last.stature_m * 1000) / 10}
              />
            </div>
            <Button type="submit" className="mb-5">
              Keep today's measure
            </Button>
          </form>
        </>
      )}
      <Wrong error={error} />
      <div className="mt-3 border-t border-hair pt-3">
        {erasing ? (
          <>
            <p>
              This erases {line.name} with every measure, test, session and decision. It cannot be
              undone.
            </p>
            <div className="flex gap-2 pt-2">
              <Button grave onClick={erase}>
                Erase {line.name} for good
              </Button>
              <Button onClick={() => setErasing(false)}>Keep them</Button>
            </div>
          </>
        ) : (
          <Button grave onClick={() => setErasing(true)}>
            Erase this person …
          </Button>
        )}
      </div>
    </Dialog>
  );
}
