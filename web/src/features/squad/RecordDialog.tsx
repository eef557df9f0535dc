import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { pickedLadder } from "../../app/places";
import { api, type Schema } from "../../common/api/client";
import { queries } from "../../common/api/queries";
import { Button } from "../../common/ui/Button";
import { Dialog } from "../../common/ui/Dialog";
import { Wrong } from "../../common/ui/Wrong";
import { day } from "../../common/units/figures";

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
    if (line.ladder_id === pickedLadder.get()) pickedLadder.clear();
    onClose();
    await client.invalidateQueries(queries.squad); // and nothing else: the rest is gone
  }

  return (
    <Dialog open onOpenChange={onClose} title={`Record of ${line.name}`}>
      {athlete && (
        <>
          <p className="pt-2 text-faint">
            Agreed to be kept on {day(athlete.consent_on)}. Days are counted in {athlete.time_zone}.
          </p>
          <table className="mt-2 w-full">
            <thead>
              <tr className="lettering border-b border-ink">
                <th>Day</th>
                <th>Body mass</th>
                <th>Height</th>
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
          <p className="pt-2">
            Measured again?{" "}
            <Link to={`/intake/${line.id}/person`} className="underline">
              Keep it on the Intake sheet
            </Link>
            .
          </p>
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
