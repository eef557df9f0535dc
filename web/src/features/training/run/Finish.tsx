/** The last question of a session, over what was logged. */
import { useState } from "react";
import { Button } from "../../../common/ui/Button";
import { Scale } from "../../../common/ui/Scale";
import { done } from "../../../common/units/figures";
import type { Entry } from "../engine/types";

interface Props {
  logged: Entry[];
  onFinish: (rpe: number) => void;
  onBack: () => void;
  onLeave: () => void;
}

export function Finish({ logged, onFinish, onBack, onLeave }: Props) {
  const [rpe, setRpe] = useState<number | null>(null);
  return (
    <div className="py-4">
      <h1 className="text-4xl">
        {logged.length ? "How hard was the whole session?" : "Nothing is logged"}
      </h1>
      {logged.length > 0 && (
        <Scale
          name="Session effort"
          about="1: hardly any. 10: as hard as a session can be."
          from={1}
          to={10}
          value={rpe}
          onChange={setRpe}
        />
      )}
      <div className="grid gap-2 pt-4 sm:flex">
        {logged.length > 0 ? (
          <Button main large disabled={rpe === null} onClick={() => rpe !== null && onFinish(rpe)}>
            Close the session
          </Button>
        ) : (
          <Button main large onClick={onLeave}>
            Leave it
          </Button>
        )}
        <Button large onClick={onBack}>
          Back to the sets
        </Button>
      </div>
      <table className="mt-4 w-full text-lg">
        <caption className="lettering text-left">Logged</caption>
        <tbody>
          {logged.map((entry) => (
            <tr key={entry.ids[0]} className="border-b border-hair">
              <th scope="row" className="font-normal">
                {entry.what.name} {entry.set + 1}
              </th>
              <td>{entry.amounts.map((amount) => done(amount, entry.what.unit)).join(" / ")}</td>
              <td>effort {entry.rpe}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
