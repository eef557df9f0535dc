/** Ladder: the rungs to scale, the athlete's reach on them, the sheet of the picked rung beside. */
import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { Link, useParams } from "react-router";
import { api, type Schema } from "../../api/client";
import { queries, useRefresh } from "../../api/queries";
import { useKeys } from "../../app/keys";
import { pickedAthlete } from "../../app/places";
import { LadderDrawing } from "../../drawing/LadderDrawing";
import { ladderScale } from "../../drawing/ladderScale";
import { Away } from "../../parts/Away";
import { Button } from "../../parts/Button";
import { Explained } from "../../parts/Explained";
import { day } from "../../parts/figures";
import { Limits } from "../../parts/Limits";
import { TitleBlock } from "../../parts/TitleBlock";
import { LadderTable } from "./LadderTable";
import { RungSheet } from "./RungSheet";
import { Stopped } from "./Stopped";
import { TestDialog } from "./TestDialog";
import { WaysDialog } from "./WaysDialog";

const DRAWING = { width: 700, row: 47, least: 560 };

export default function Ladder() {
  const { ladderId = "" } = useParams();
  const ladder = useQuery(queries.ladder(ladderId));
  if (ladder.error) return <Away error={ladder.error} retry={() => ladder.refetch()} />;
  if (!ladder.data) return <main className="flex-1 p-6 text-faint">Drawing the ladder …</main>;
  return <Sheet key={ladderId} sheet={ladder.data} />;
}

/** The athlete's other ladders, a step away. */
function OtherLadders({ sheet }: { sheet: Schema["LadderSheet"] }) {
  const ladders = useQuery(queries.athlete(sheet.athlete_id)).data?.ladders ?? [];
  return ladders
    .filter(({ id }) => id !== sheet.id)
    .map(({ id, goal }) => (
      <Link key={id} to={`/ladder/${id}`} className="text-faint underline">
        {goal}
      </Link>
    ));
}

function Sheet({ sheet }: { sheet: Schema["LadderSheet"] }) {
  // Picked by id, so that the pick stays when rungs are put in or taken off.
  const [picked, setPicked] = useState(sheet.standing_id);
  const indexOf = (id: string) => sheet.rungs.findIndex((rung) => rung.id === id);
  const selected = indexOf(picked) >= 0 ? indexOf(picked) : indexOf(sheet.standing_id);
  const setSelected = (index: number) => setPicked(sheet.rungs[index]?.id ?? sheet.standing_id);
  const [asTable, setAsTable] = useState(false);
  const [testing, setTesting] = useState(false);
  const [finding, setFinding] = useState(false);
  const opened = useRef<HTMLElement>(null);
  const refresh = useRefresh();

  // A rung higher on the page is a greater demand, wherever it stands in the ladder's order.
  const byDemand = sheet.rungs
    .map((rung, index) => ({ index, demand: rung.demand.likely }))
    .sort((a, b) => a.demand - b.demand)
    .map(({ index }) => index);
  const climb = (up: number) => {
    const next = byDemand[byDemand.indexOf(selected) + up];
    if (next !== undefined) setSelected(next);
  };
  const open = () => opened.current?.focus();
  useKeys([
    ["ArrowUp", () => climb(1)],
    ["ArrowDown", () => climb(-1)],
    ["Enter", open],
    ["t", () => setFinding(true)],
  ]);

  useEffect(() => pickedAthlete.set(sheet.athlete_id), [sheet.athlete_id]);

  useEffect(() => {
    document.getElementById(`rung-${selected}`)?.scrollIntoView({ block: "nearest" });
  }, [selected]);

  const height = Math.max(DRAWING.least, sheet.rungs.length * DRAWING.row + 30);
  const scale = ladderScale(sheet, height);
  const { placement } = sheet;
  const rung = sheet.rungs[selected];

  async function resume() {
    await api.POST("/api/ladders/{ladder_id}/resume", {
      params: { path: { ladder_id: sheet.id } },
    });
    await refresh();
  }

  return (
    <>
      <main className="flex min-h-0 flex-1 flex-col lg:flex-row">
        <section aria-label="Ladder" className="flex min-w-0 flex-1 flex-col overflow-auto">
          <div className="flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-hair px-4 py-1.5">
            <h1 className="text-xl">{sheet.goal}</h1>
            <OtherLadders sheet={sheet} />
            <span className="flex-1" />
            <Button onClick={() => setAsTable(!asTable)} aria-pressed={asTable}>
              {asTable ? "As a drawing" : "As a table"}
            </Button>
            <Button onClick={() => setTesting(true)}>Enter a test</Button>
          </div>
          <p className="flex flex-wrap gap-x-5 border-b border-hair px-4 py-1">
            <span>
              Reach <Explained name="reach" figure={placement.reach} />
            </span>
            <span>
              Capacity <Explained name="capacity" figure={placement.capacity} />
            </span>
            <span className="text-faint">
              from a {placement.evidence_kind} of {day(placement.evidence_day)}
            </span>
          </p>
          <Limits athleteId={sheet.athlete_id} />
          {sheet.stopped && <Stopped reason={sheet.stopped} onResume={resume} />}
          {!placement.fits && (
            <p className="px-4 pt-2 text-watch">
              ◆ Even the lowest rung's dose does not fit yet: add an easier one, or test again.
            </p>
          )}
          <div className="p-3">
            {asTable ? (
              <LadderTable sheet={sheet} selected={selected} onSelect={setSelected} />
            ) : (
              <LadderDrawing
                sheet={sheet}
                scale={scale}
                width={DRAWING.width}
                height={height}
                selected={selected}
                onSelect={setSelected}
                onOpen={open}
              />
            )}
          </div>
          <p className="px-4 pb-3 text-sm text-faint">Narrower: {placement.narrower}</p>
        </section>
        {rung && (
          <RungSheet
            ref={opened}
            sheet={sheet}
            rung={rung}
            index={selected}
            onFind={() => setFinding(true)}
            onGone={() => setPicked(sheet.standing_id)}
          />
        )}
      </main>
      <TitleBlock
        athlete={`${sheet.athlete_name}, ${sheet.measure.mass_kg} kg, ${sheet.measure.stature_m} m`}
        sheet={`Ladder: ${sheet.family}`}
        scale={scale.words}
        date={day(placement.evidence_day)}
        revision={`${sheet.revision} · model ${sheet.model_version}`}
      />
      {rung && (
        <WaysDialog open={finding} onOpenChange={setFinding} sheet={sheet} index={selected} />
      )}
      <TestDialog open={testing} onOpenChange={setTesting} sheet={sheet} />
    </>
  );
}
