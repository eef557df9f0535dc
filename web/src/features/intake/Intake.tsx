/** Intake: from nothing to a placement, on one sheet that can be left and taken up again. */
import { useQuery } from "@tanstack/react-query";
import { type ReactNode, useEffect } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { useKeys } from "../../app/keys";
import type { Schema } from "../../common/api/client";
import { queries } from "../../common/api/queries";
import { Limits } from "../../common/athlete/Limits";
import { Away } from "../../common/ui/Away";
import { TitleBlock, today } from "../../common/ui/TitleBlock";
import { type Done, PARTS, type Part, useDone } from "./parts";
import { KitPart } from "./parts/KitPart";
import { PersonPart } from "./parts/PersonPart";
import { PlacementPart } from "./parts/PlacementPart";
import { ReadinessPart } from "./parts/ReadinessPart";
import { ScreenPart } from "./parts/ScreenPart";
import { TestsPart } from "./parts/TestsPart";

export default function Intake() {
  const { athleteId = "" } = useParams();
  const athlete = useQuery({ ...queries.athlete(athleteId), enabled: athleteId !== "" });
  if (athlete.error) return <Away error={athlete.error} retry={() => athlete.refetch()} />;
  if (!athlete.data) return <main className="flex-1 p-6 text-faint">Fetching the answers …</main>;
  return <Sheet key={athleteId} athlete={athlete.data} />;
}

function Sheet({ athlete }: { athlete: Schema["AthleteOut"] }) {
  const navigate = useNavigate();
  const { part = "" } = useParams();
  const done = useDone(athlete.id);
  const at = PARTS.findIndex(({ id }) => id === part);
  const here = PARTS[at];
  // What can hurt comes first; after it, whatever is still open.
  const open = done && (PARTS.find(({ id }) => !done[id]) ?? PARTS.at(-1));
  useEffect(() => {
    if (!here && open) navigate(`/intake/${athlete.id}/${open.id}`, { replace: true });
  }, [here, open, athlete.id, navigate]);
  const go = (step: number) => {
    const next = PARTS[at + step];
    if (next) navigate(`/intake/${athlete.id}/${next.id}`);
  };
  useKeys([
    ["n", () => go(1)],
    ["p", () => go(-1)],
  ]);
  const next = PARTS[at + 1];
  if (!here) return <main className="flex-1 p-6 text-faint">Fetching the answers …</main>;

  return (
    <>
      <main className="flex min-h-0 flex-1 flex-col md:flex-row">
        <Index athleteId={athlete.id} at={at} done={done} />
        <section
          key={here.id}
          aria-label={here.name}
          className="flex min-w-0 flex-1 flex-col md:overflow-y-auto"
        >
          <h1 className="border-b border-hair px-4 py-1.5 text-xl">{here.asks(athlete.name)}</h1>
          {here.id !== "screen" && <Limits athleteId={athlete.id} />}
          {BODIES[here.id](athlete)}
          {next && (
            <p className="px-4 pb-4">
              <Link
                to={`/intake/${athlete.id}/${next.id}`}
                title="The next part (N)"
                className="font-head underline"
              >
                On to: {next.name.toLowerCase()}
              </Link>
            </p>
          )}
        </section>
      </main>
      <TitleBlock
        athlete={athlete.name}
        sheet={`Intake: ${here.name.toLowerCase()}`}
        scale={`part ${at + 1} of ${PARTS.length}`}
        date={today()}
        revision={`${PARTS.filter(({ id }) => done?.[id]).length} of ${PARTS.length} parts filled`}
      />
    </>
  );
}

const BODIES: Record<Part["id"], (athlete: Schema["AthleteOut"]) => ReactNode> = {
  screen: ({ id }) => <ScreenPart athleteId={id} />,
  person: (athlete) => <PersonPart athlete={athlete} />,
  readiness: ({ id }) => <ReadinessPart athleteId={id} />,
  kit: ({ id }) => <KitPart athleteId={id} />,
  tests: ({ id }) => <TestsPart athleteId={id} />,
  placement: ({ id }) => <PlacementPart athleteId={id} />,
};

function Index({ athleteId, at, done }: { athleteId: string; at: number; done: Done | null }) {
  return (
    <nav
      aria-label="Parts of the intake"
      className="flex border-b border-ink md:w-44 md:shrink-0 md:flex-col md:border-r md:border-b-0 max-md:flex-wrap"
    >
      {PARTS.map(({ id, name }, index) => (
        <Link
          key={id}
          to={`/intake/${athleteId}/${id}`}
          aria-current={index === at ? "step" : undefined}
          className={`flex items-baseline gap-2 border-hair px-3 py-1.5 font-head md:border-b ${
            index === at ? "bg-ink text-sheet" : "hover:bg-wash"
          }`}
        >
          <span className="w-3 text-sm">{index + 1}</span>
          <span className="flex-1">{name}</span>
          <span className="text-sm">{done && (done[id] ? "● filled" : "○ open")}</span>
        </Link>
      ))}
    </nav>
  );
}
