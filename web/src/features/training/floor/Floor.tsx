/** Floor, as the coach sees it: who is at work now, and one athlete's link, log and notes. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { useKeys } from "../../../app/keys";
import { queries } from "../../../common/api/queries";
import { AnyTestDialog } from "../../../common/athlete/AnyTestDialog";
import { Limits } from "../../../common/athlete/Limits";
import { Away } from "../../../common/ui/Away";
import { Button } from "../../../common/ui/Button";
import { TitleBlock, today } from "../../../common/ui/TitleBlock";
import { CsvDialog } from "./CsvDialog";
import { LinkPanel } from "./LinkPanel";
import { LiveBoard } from "./LiveBoard";
import { NotesPanel } from "./NotesPanel";

export default function Floor() {
  const { athleteId = "" } = useParams();
  const navigate = useNavigate();
  const squad = useQuery(queries.squad);
  const [csv, setCsv] = useState(false);
  const [testing, setTesting] = useState(false);
  const people = squad.data?.athletes ?? [];
  const athlete = people.find(({ id }) => id === athleteId);
  useKeys([
    ["r", () => athlete && navigate(`/phone/${athlete.id}`)],
    ["w", () => athlete && navigate(`/floor/${athlete.id}/by-hand`)],
    ["c", () => athlete && setCsv(true)],
  ]);
  if (squad.error) return <Away error={squad.error} retry={() => squad.refetch()} />;
  return (
    <>
      <main className="grid min-h-0 flex-1 overflow-auto lg:grid-cols-[1fr_24rem]">
        <LiveBoard />
        <aside
          aria-label="One athlete"
          className="border-t border-ink p-4 pt-1 lg:border-t-0 lg:border-l"
        >
          <h2 className="pt-2 text-xl">{athlete?.name ?? "Pick an athlete above"}</h2>
          {athlete && (
            <>
              <Limits athleteId={athlete.id} />
              <div className="grid gap-2 pt-3">
                <Link
                  to={`/phone/${athlete.id}`}
                  title="Run it here (R)"
                  className="border border-ink bg-ink px-3 py-2 text-center font-head text-lg text-sheet"
                >
                  Run a session at their side
                </Link>
                <Link
                  to={`/floor/${athlete.id}/by-hand`}
                  title="Write a session down (W)"
                  className="border border-line px-3 py-1.5 text-center font-head"
                >
                  Write a session down, or put one right
                </Link>
                <Button onClick={() => setCsv(true)} title="Sets as CSV (C)">
                  Sets as CSV, out and in …
                </Button>
                <Button onClick={() => setTesting(true)}>Test any movement …</Button>
              </div>
              <LinkPanel key={`link ${athlete.id}`} athleteId={athlete.id} name={athlete.name} />
              <NotesPanel key={`notes ${athlete.id}`} athleteId={athlete.id} />
            </>
          )}
        </aside>
      </main>
      <TitleBlock sheet="Floor" athlete={athlete?.name ?? "all"} date={today()} />
      {testing && athlete && (
        <AnyTestDialog athleteId={athlete.id} onClose={() => setTesting(false)} />
      )}
      {csv && athlete && <CsvDialog athleteId={athlete.id} onClose={() => setCsv(false)} />}
    </>
  );
}
