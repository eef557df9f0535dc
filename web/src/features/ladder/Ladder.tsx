/** Ladder: the rungs to scale, the athlete's reach on them, the sheet of the picked rung beside. */
import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { Link, useParams } from "react-router";
import { useKeys } from "../../app/keys";
import type { Schema } from "../../common/api/client";
import { queries } from "../../common/api/queries";
import { LadderDrawing, type Pencilled } from "../../common/drawing/LadderDrawing";
import { type Layout, layoutOf } from "../../common/drawing/ladderScale";
import { above } from "../../common/ladder/rungs";
import { Away } from "../../common/ui/Away";
import { Button } from "../../common/ui/Button";
import { TitleBlock } from "../../common/ui/TitleBlock";
import { Wrong } from "../../common/ui/Wrong";
import { day } from "../../common/units/figures";
import { BridgePanel } from "./BridgePanel";
import { LadderDialogs } from "./dialogs/LadderDialogs";
import { LadderTable } from "./LadderTable";
import { LaneLines } from "./LaneLines";
import { Notices } from "./Notices";
import { RungEditor } from "./RungEditor";
import { RungSheet } from "./RungSheet";
import { useLadderActs } from "./useLadderActs";
import { type Act, WorkBar } from "./WorkBar";

const DRAWING = { width: 750, least: 540 };

export default function Ladder() {
  const { ladderId = "" } = useParams();
  // Once it is deleted nobody asks for it again.
  const [gone, setGone] = useState("");
  const ladder = useQuery({ ...queries.ladder(ladderId), enabled: gone !== ladderId });
  if (gone === ladderId) return null;
  if (ladder.error) return <Away error={ladder.error} retry={() => ladder.refetch()} />;
  if (!ladder.data) return <main className="flex-1 p-6 text-faint">Drawing the ladder …</main>;
  return <Sheet key={ladderId} sheet={ladder.data} onGone={() => setGone(ladderId)} />;
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

type Aside = "sheet" | "edit" | "bridge";

function Sheet({ sheet, onGone }: { sheet: Schema["LadderSheet"]; onGone: () => void }) {
  // Picked by id, so that the pick stays when rungs are put in or taken off.
  const [picked, setPicked] = useState(sheet.current_rung_id);
  const indexOf = (id: string) => sheet.rungs.findIndex((rung) => rung.id === id);
  const selected = indexOf(picked) >= 0 ? indexOf(picked) : indexOf(sheet.current_rung_id);
  const setSelected = (index: number) => {
    setPicked(sheet.rungs[index]?.id ?? sheet.current_rung_id);
    if (aside !== "bridge") setAside("sheet");
  };
  const [asTable, setAsTable] = useState(false);
  const [aside, setAside] = useState<Aside>("sheet");
  const [dialog, setDialog] = useState<Act | "">("");
  const [bridging, setBridging] = useState<[lower: string, upper: string] | null>(null);
  const [pencilled, setPencilled] = useState<Pencilled[]>([]);
  const [otherId, setOtherId] = useState("");
  const other = useQuery(queries.beside(sheet.id, otherId)).data?.other;
  const opened = useRef<HTMLElement>(null);
  const acts = useLadderActs(sheet);
  const { busy, error, move } = acts;
  const close = () => setDialog("");

  const layout = layoutOf(sheet, DRAWING.least);
  const climb = (up: number) => setSelected(climbed(layout, selected, up));
  const rung = sheet.rungs[selected];
  const nextUp = rung && above(sheet, rung.id)[0];

  function bridge(upper = nextUp) {
    if (!rung || !upper) return;
    setBridging([rung.id, upper]);
    setAside("bridge");
  }
  const open = () => opened.current?.focus();

  useKeys([
    ["ArrowUp", () => climb(1)],
    ["ArrowDown", () => climb(-1)],
    ["Enter", open],
    ["t", () => rung?.demand && setDialog("ways")],
    ["b", () => bridge()],
    ["a", () => setDialog("add")],
    ["/", () => setDialog("find")],
    ["e", () => setAside("edit")],
    ["u", () => sheet.undo && acts.undo()],
    ["r", () => sheet.redo && acts.redo()],
    ["[", () => move(selected, selected - 1)],
    ["]", () => move(selected, selected + 1)],
  ]);

  useEffect(() => {
    document.getElementById(`rung-${selected}`)?.scrollIntoView({ block: "nearest" });
  }, [selected]);

  const { placement } = sheet;
  const [lower, upper] = (bridging ?? []).map((id) => sheet.rungs[indexOf(id)]);

  return (
    <>
      <main className="flex min-h-0 flex-1 flex-col lg:flex-row">
        <section aria-label="Ladder" className="flex min-w-0 flex-1 flex-col overflow-auto">
          <div className="flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-hair px-4 py-1.5">
            <h1 className="text-xl">{sheet.goal}</h1>
            <OtherLadders sheet={sheet} />
            <span className="flex-1" />
            <Button onClick={() => setDialog("test")}>Enter a test</Button>
          </div>
          <WorkBar
            sheet={sheet}
            busy={busy}
            asTable={asTable}
            onTable={() => setAsTable(!asTable)}
            onUndo={acts.undo}
            onRedo={acts.redo}
            onAct={setDialog}
          />
          <LaneLines sheet={sheet} />
          <Wrong error={error} />
          <Notices
            sheet={sheet}
            other={other}
            onResume={acts.resume}
            onAlone={() => setOtherId("")}
          />
          <div className="p-3">
            {asTable ? (
              <LadderTable sheet={sheet} selected={selected} other={other} onSelect={setSelected} />
            ) : (
              <LadderDrawing
                sheet={sheet}
                layout={layout}
                width={DRAWING.width}
                selected={selected}
                pencilled={pencilled}
                other={other}
                onSelect={setSelected}
                onOpen={open}
                onMove={move}
              />
            )}
          </div>
          {placement && (
            <p className="px-4 pb-3 text-sm text-faint">Narrower: {placement.narrower}</p>
          )}
        </section>
        {rung && aside === "sheet" && (
          <RungSheet
            ref={opened}
            sheet={sheet}
            rung={rung}
            onFind={() => setDialog("ways")}
            onEdit={() => setAside("edit")}
            onBridge={bridge}
            onMove={(by) => move(selected, selected + by)}
            onGone={() => setPicked(sheet.current_rung_id)}
          />
        )}
        {rung && aside === "edit" && (
          <RungEditor key={rung.id} sheet={sheet} rung={rung} onClose={() => setAside("sheet")} />
        )}
        {aside === "bridge" && lower && upper && (
          <BridgePanel
            key={lower.id + upper.id}
            sheet={sheet}
            lower={lower}
            upper={upper}
            onPencil={setPencilled}
            onClose={() => setAside("sheet")}
          />
        )}
      </main>
      <LadderTitle sheet={sheet} layout={layout} />
      <LadderDialogs
        sheet={sheet}
        selected={selected}
        dialog={dialog}
        busy={busy}
        onAdd={(movement, side) =>
          rung &&
          acts.add(movement, rung, side, (id) => {
            setPicked(id);
            setAside("sheet");
            close();
          })
        }
        onCompare={setOtherId}
        onGone={onGone}
        onClose={close}
      />
    </>
  );
}

function LadderTitle({ sheet, layout }: { sheet: Schema["LadderSheet"]; layout: Layout }) {
  return (
    <TitleBlock
      athlete={`${sheet.athlete_name}, ${sheet.measure.mass_kg} kg, ${sheet.measure.stature_m} m`}
      sheet={`Ladder: ${sheet.family}`}
      scale={layout.lanes.map(({ scale }) => scale.words).join(" · ") || "none"}
      date={day(sheet.placement?.evidence_day ?? sheet.measure.local_date)}
      revision={`${sheet.revision} · model ${sheet.model_version}`}
    />
  );
}

/** The rung so many higher on the page, wherever it stands in the ladder's order. */
function climbed({ rows }: Layout, from: number, up: number): number {
  const upwards = rows.map((_, index) => index).sort((a, b) => (rows[b] ?? 0) - (rows[a] ?? 0));
  return upwards[upwards.indexOf(from) + up] ?? from;
}
