/** The parts of the sheet, in their order, and which of them are filled. */
import { useQuery } from "@tanstack/react-query";
import { queries } from "../../common/api/queries";

export interface Part {
  id: "screen" | "person" | "readiness" | "kit" | "tests" | "placement";
  name: string;
  asks: (who: string) => string;
}

export const PARTS: Part[] = [
  { id: "screen", name: "Screen", asks: (who) => `What can hurt ${who} comes first` },
  { id: "person", name: "Person", asks: (who) => `What ${who} wants, and has` },
  { id: "readiness", name: "Readiness", asks: (who) => `What ${who} is ready for` },
  { id: "kit", name: "Kit", asks: (who) => `Where ${who} trains, and with what` },
  { id: "tests", name: "Tests", asks: (who) => `What ${who} can do now` },
  { id: "placement", name: "Placement", asks: (who) => `Where ${who} begins` },
];

export type Done = Record<Part["id"], boolean>;

/** Read off what is kept, so that the sheet can be left at any part; null until all is read. */
export function useDone(athleteId: string): Done | null {
  const screen = useQuery(queries.screen(athleteId)).data;
  const person = useQuery(queries.person(athleteId)).data;
  const readiness = useQuery(queries.readiness(athleteId)).data;
  const places = useQuery(queries.places).data;
  const capacity = useQuery(queries.capacity(athleteId)).data;
  if (!screen || !person || !readiness || !places || !capacity) return null;
  const there = places.places.filter(({ id }) => person.places.includes(id));
  return {
    screen: screen.screened_on !== null,
    person: person.missing.filter((field) => field !== "places").length === 0,
    readiness: readiness.checks.every(({ passed }) => passed !== null),
    kit: there.some(({ items }) => items.length > 0),
    tests: capacity.tests.length > 0,
    placement: capacity.capacities.some(({ ladder_id }) => ladder_id),
  };
}
