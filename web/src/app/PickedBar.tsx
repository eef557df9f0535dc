/** The athlete and the ladder that every place is about, changed here for all of them. */
import { useNavigate } from "react-router";
import type { Schema } from "../common/api/client";
import { type Picked, picked } from "./picked";
import type { Place } from "./places";

interface Props {
  squad: Schema["SquadLineOut"][];
  who: Picked;
  here: Place | undefined;
}

export function PickedBar({ squad, who, here }: Props) {
  const navigate = useNavigate();
  const people = [...squad].sort((a, b) => a.name.localeCompare(b.name));
  const ladders = people.find(({ id }) => id === who.athlete)?.ladders ?? [];
  const pick = (next: Picked) => {
    picked.set(next);
    if (here && here.about !== "nobody") navigate(here.path(next));
  };
  return (
    <div className="flex flex-wrap items-center gap-x-4 border-t border-hair px-4 py-1 text-sm">
      <span className="flex items-center gap-2">
        <label htmlFor="picked-athlete" className="lettering">
          Athlete
        </label>
        <select
          id="picked-athlete"
          value={who.athlete}
          onChange={(event) => {
            const line = people.find(({ id }) => id === event.target.value);
            if (line) pick({ athlete: line.id, ladder: line.ladder_id ?? "" });
          }}
          className="max-w-56 border-0 bg-sheet py-1 font-head text-base"
        >
          {!people.some(({ id }) => id === who.athlete) && <option value="">nobody picked</option>}
          {people.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </span>
      {ladders.length > 0 && (
        <span className="flex items-center gap-2">
          <label htmlFor="picked-ladder" className="lettering">
            Ladder
          </label>
          <select
            id="picked-ladder"
            value={who.ladder}
            onChange={(event) => pick({ ...who, ladder: event.target.value })}
            className="max-w-64 border-0 bg-sheet py-1 font-head text-base"
          >
            {ladders.map(({ id, goal }) => (
              <option key={id} value={id}>
                {goal}
              </option>
            ))}
          </select>
        </span>
      )}
    </div>
  );
}
