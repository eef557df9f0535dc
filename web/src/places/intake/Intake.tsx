/** Intake: what can hurt an athlete, asked first; what follows binds everywhere. */
import { useQuery } from "@tanstack/react-query";
import { useEffect } from "react";
import { Link, useParams } from "react-router";
import type { Schema } from "../../api/client";
import { queries } from "../../api/queries";
import { pickedAthlete } from "../../app/places";
import { Away } from "../../parts/Away";
import { TitleBlock, today } from "../../parts/TitleBlock";
import { Outcome } from "./Outcome";
import { ScreenForm } from "./ScreenForm";

export default function Intake() {
  const { athleteId = "" } = useParams();
  const athlete = useQuery({ ...queries.athlete(athleteId), enabled: athleteId !== "" });
  const screen = useQuery({ ...queries.screen(athleteId), enabled: athleteId !== "" });
  if (!athleteId)
    return (
      <main className="flex-1 p-6">
        Whose? Pick an athlete in the{" "}
        <Link to="/squad" className="underline">
          squad
        </Link>{" "}
        first.
      </main>
    );
  const error = athlete.error ?? screen.error;
  if (error)
    return <Away error={error} retry={() => (athlete.error ? athlete : screen).refetch()} />;
  if (!athlete.data || !screen.data)
    return <main className="flex-1 p-6 text-faint">Fetching the answers …</main>;
  return <Sheet key={athleteId} athlete={athlete.data} screen={screen.data} />;
}

function Sheet({ athlete, screen }: { athlete: Schema["Athlete"]; screen: Schema["Screen"] }) {
  useEffect(() => pickedAthlete.set(athlete.id), [athlete.id]);
  return (
    <>
      <main className="flex min-h-0 flex-1 flex-col md:flex-row">
        <section aria-label="Screen" className="min-w-0 flex-1 overflow-y-auto">
          <h1 className="border-b border-hair px-4 py-1.5 text-xl">
            What can hurt {athlete.name} comes first
          </h1>
          <ScreenForm athleteId={athlete.id} before={screen.answers} />
        </section>
        <aside
          aria-label="Outcome"
          className="w-full border-t border-ink md:w-[26rem] md:shrink-0 md:overflow-y-auto md:border-t-0 md:border-l"
        >
          <Outcome athleteId={athlete.id} screen={screen} />
          <p className="px-4 pb-4 text-sm text-faint">
            A screen refers and limits; it diagnoses nothing. Invelo is a planning aid, not medical
            advice.
          </p>
        </aside>
      </main>
      <TitleBlock
        athlete={athlete.name}
        sheet="Intake: screen"
        date={today()}
        revision={screen.screened_on ? "answered" : "not answered"}
      />
    </>
  );
}
