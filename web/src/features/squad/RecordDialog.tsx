import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { picked } from "../../app/picked";
import { answer, api, type Schema } from "../../common/api/client";
import { queries } from "../../common/api/queries";
import { Button } from "../../common/ui/Button";
import { Dialog } from "../../common/ui/Dialog";
import { Wrong } from "../../common/ui/Wrong";
import { day } from "../../common/units/figures";
import { Coaches } from "./Coaches";
import { NameForm } from "./NameForm";

/** An athlete's measures over time, and the way to have the person erased. */
export function RecordDialog({
  line,
  onClose,
}: {
  line: Schema["SquadLineOut"];
  onClose: () => void;
}) {
  const athlete = useQuery(queries.athlete(line.id)).data;
  const client = useQueryClient();
  const [error, setError] = useState<Error | null>(null);
  const [erasing, setErasing] = useState(false);
  const path = { params: { path: { athlete_id: line.id } } };

  async function erase() {
    try {
      await api.DELETE("/api/athletes/{athlete_id}", path);
    } catch (cause) {
      setError(cause as Error);
      return;
    }
    if (line.id === picked.get().athlete) picked.clear();
    onClose();
    await client.invalidateQueries(queries.squad); // and nothing else: the rest is gone
  }

  async function archive() {
    try {
      await answer(api.PUT("/api/athletes/{athlete_id}/archive", path));
    } catch (cause) {
      setError(cause as Error);
      return;
    }
    if (line.id === picked.get().athlete) picked.clear();
    onClose();
    await client.invalidateQueries(queries.squad);
    await client.invalidateQueries(queries.archived);
  }

  return (
    <Dialog open wide onOpenChange={onClose} title={`Record of ${line.name}`}>
      {athlete && (
        <>
          <p className="pt-2 text-faint">Agreed to be kept on {day(athlete.consent_on)}.</p>
          <NameForm athlete={athlete} />
          <Routine athlete={athlete} />
          <table className="mt-2 w-full">
            <thead>
              <tr className="lettering border-b border-ink">
                <th>Day</th>
                <th>Body mass</th>
                <th>Height</th>
              </tr>
            </thead>
            <tbody>
              {athlete.measures.map((measure) => (
                <tr key={measure.local_date + measure.mass_kg} className="border-b border-hair">
                  <td>{day(measure.local_date)}</td>
                  <td>{measure.mass_kg} kg</td>
                  <td>{Math.round(measure.stature_m * 1000) / 10} cm</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="pt-2">
            Measured again?{" "}
            <Link to={`/intake/${line.id}/person`} className="underline">
              Keep it on the Intake sheet
            </Link>
            .
          </p>
          <Coaches athlete={athlete} />
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
          <div className="flex flex-wrap gap-2">
            <Button onClick={archive} title="Out of the squad; everything of theirs stays">
              Archive {line.name}
            </Button>
            <Button grave onClick={() => setErasing(true)}>
              Erase this person …
            </Button>
          </div>
        )}
      </div>
    </Dialog>
  );
}

/** Whether small changes inside a rung are done by themselves, and how many a week. */
function Routine({ athlete }: { athlete: Schema["AthleteOut"] }) {
  const client = useQueryClient();
  const [error, setError] = useState<Error | null>(null);

  async function set(routine: boolean, per_week: number) {
    const path = { params: { path: { athlete_id: athlete.id } } };
    try {
      await answer(
        api.PUT("/api/athletes/{athlete_id}/routine", { ...path, body: { routine, per_week } }),
      );
      await client.invalidateQueries(queries.athlete(athlete.id));
      setError(null);
    } catch (cause) {
      setError(cause as Error);
    }
  }
  return (
    <fieldset className="mt-2 flex flex-wrap items-center gap-3">
      <legend className="lettering">Routine</legend>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          checked={athlete.routine}
          onChange={(event) => set(event.target.checked, athlete.routine_per_week)}
        />
        Small changes inside a rung are done by themselves, listed and undone at will
      </label>
      <label className="flex items-center gap-2">
        at most
        <select
          className="border border-line bg-sheet px-1 py-0.5"
          disabled={!athlete.routine}
          value={athlete.routine_per_week}
          onChange={(event) => set(athlete.routine, Number(event.target.value))}
        >
          {[1, 2, 3].map((count) => (
            <option key={count}>{count}</option>
          ))}
        </select>
        a ladder and week
      </label>
      <Wrong error={error} />
    </fieldset>
  );
}
