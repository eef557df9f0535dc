/** A place that is about someone; before anyone is picked, the list to pick from. */
import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { Link, useParams } from "react-router";
import { queries } from "../common/api/queries";
import { usePicked } from "./picked";
import { PLACES } from "./places";

interface Props {
  /** By its digit. */
  place: string;
  children: ReactNode;
}

export function Whose({ place, children }: Props) {
  const { athleteId, ladderId } = useParams();
  if (athleteId || ladderId) return children;
  return <Pick place={place} />;
}

function Pick({ place }: { place: string }) {
  const squad = useQuery(queries.squad).data?.athletes;
  const { athlete } = usePicked();
  const here = PLACES.find(({ digit }) => digit === place);
  if (!squad || !here) return <main className="flex-1 p-6 text-faint">Fetching the squad …</main>;
  const people = [...squad].sort((a, b) => a.name.localeCompare(b.name));
  const someone = people.find(({ id }) => id === athlete);
  return (
    <main className="flex-1 overflow-auto p-6">
      <h1 className="text-xl">{here.name}</h1>
      {someone && here.about === "ladder" && someone.ladders.length === 0 && (
        <p className="pt-2">
          {someone.name} has no ladder yet.{" "}
          <Link to={`/intake/${someone.id}/placement`} className="underline">
            Give a ladder on the Intake sheet
          </Link>
          , or pick someone else.
        </p>
      )}
      {people.length === 0 ? (
        <p className="pt-2">
          Nobody is in your{" "}
          <Link to="/squad" className="underline">
            squad
          </Link>{" "}
          yet: begin there with “New athlete”.
        </p>
      ) : (
        <>
          <p className="pt-2 text-faint">Whose?</p>
          <ul className="pt-1">
            {people.map((line) => (
              <li key={line.id} className="border-b border-hair py-1">
                <Link
                  to={here.path({ athlete: line.id, ladder: line.ladder_id ?? "" })}
                  className="text-lg underline decoration-line underline-offset-4"
                >
                  {line.name}
                </Link>{" "}
                <span className="text-faint">{line.goal}</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </main>
  );
}
