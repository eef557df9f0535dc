/** Ladder: the rungs to scale, the athlete's reach on them, the sheet of the picked rung beside. */
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { flushSync } from "react-dom";
import { Link, useNavigate, useParams } from "react-router";
import { useKeys } from "../../app/keys";
import { answer, api, type Schema } from "../../common/api/client";
import { queries } from "../../common/api/queries";
import { Limits } from "../../common/athlete/Limits";
import { LadderDrawing, type Pencilled } from "../../common/drawing/LadderDrawing";
import { layoutOf } from "../../common/drawing/ladderScale";
import { useAct, useSendId } from "../../common/hooks/useAct";
import { FileDialog } from "../../common/ladder/FileDialog";
import { above, beside, freeName, freshRung } from "../../common/ladder/rungs";
import { MovementFinder } from "../../common/movement/MovementFinder";
import { Away } from "../../common/ui/Away";
import { Button } from "../../common/ui/Button";
import { TitleBlock } from "../../common/ui/TitleBlock";
import { Wrong } from "../../common/ui/Wrong";
import { day } from "../../common/units/figures";
import { BridgePanel } from "./BridgePanel";
import { AdjustmentsDialog } from "./dialogs/AdjustmentsDialog";
import { CompareDialog } from "./dialogs/CompareDialog";
import { CopyDialog } from "./dialogs/CopyDialog";
import { DeleteDialog } from "./dialogs/DeleteDialog";
import { MethodDialog } from "./dialogs/MethodDialog";
import { SettingsDialog } from "./dialogs/SettingsDialog";
import { TestDialog } from "./dialogs/TestDialog";
import { LadderTable } from "./LadderTable";
import { LaneLines } from "./LaneLines";
import { RungEditor } from "./RungEditor";
import { RungSheet } from "./RungSheet";
import { Stopped } from "./Stopped";
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
  const navigate = useNavigate();
  const client = useQueryClient();
  const [newId, nextId] = useSendId();
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const close = () => setDialog("");

  // A rung higher on the page, wherever it stands in the ladder's order.
  const layout = layoutOf(sheet, DRAWING.least);
  const upwards = sheet.rungs
    .map((_, index) => index)
    .sort((a, b) => (layout.rows[b] ?? 0) - (layout.rows[a] ?? 0));
  const climb = (up: number) => {
    const next = upwards[upwards.indexOf(selected) + up];
    if (next !== undefined) setSelected(next);
  };
  const rung = sheet.rungs[selected];
  const nextUp = rung && above(sheet, rung.id)[0];

  const path = { path: { ladder_id: sheet.id } };
  /** Draw what came back at once, so that nobody asks for a rung that is gone. */
  const turn = (way: "undo" | "redo") =>
    act(async () => {
      const made = await answer(
        api.POST(`/api/ladders/{ladder_id}/${way}`, {
          params: { ...path, header: { "If-Match": sheet.version } },
        }),
      );
      flushSync(() => client.setQueryData(queries.ladder(sheet.id).queryKey, made));
    });
  const undo = () => turn("undo");
  const redo = () => turn("redo");
  const move = (index: number, position: number) => {
    const moved = sheet.rungs[index];
    if (!moved || position < 0 || position >= sheet.rungs.length) return;
    act(() =>
      answer(
        api.POST("/api/ladders/{ladder_id}/rungs/{rung_id}/position", {
          params: { path: { ladder_id: sheet.id, rung_id: moved.id } },
          body: { position },
        }),
      ),
    );
  };
  const add = (movement: Schema["MovementOut"], side: "above" | "below") =>
    rung &&
    act(
      () =>
        answer(
          api.POST("/api/ladders/{ladder_id}/rungs", {
            params: path,
            body: {
              ...freshRung(movement, freeName(sheet, movement.name)),
              id: newId,
              ...beside(sheet, rung.id, side),
            },
          }),
        ),
      () => {
        setPicked(newId);
        setAside("sheet");
        nextId();
        close();
      },
    );
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
    ["u", () => sheet.undo && undo()],
    ["r", () => sheet.redo && redo()],
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
            onUndo={undo}
            onRedo={redo}
            onAct={setDialog}
          />
          <LaneLines sheet={sheet} />
          <Wrong error={error} />
          <Limits athleteId={sheet.athlete_id} />
          {sheet.stopped && (
            <Stopped
              reason={sheet.stopped}
              onResume={() =>
                act(() => answer(api.POST("/api/ladders/{ladder_id}/resume", { params: path })))
              }
            />
          )}
          {!placement && (
            <p className="px-4 pt-2 text-watch">
              ◆ No test says yet where {sheet.athlete_name} stands on it: enter one.
            </p>
          )}
          {placement && !placement.fits && (
            <p className="px-4 pt-2 text-watch">
              ◆ Even the lowest rung's prescription does not fit yet: add an easier one, or test
              again.
            </p>
          )}
          {other && (
            <p className="flex items-center gap-4 px-4 pt-2">
              <span>
                <span className="text-ready">▮ {sheet.athlete_name}</span> beside{" "}
                <span className="text-watch">≡ {other.athlete_name}</span>, whose likely amounts
                stand behind the same mark
              </span>
              <button type="button" className="underline" onClick={() => setOtherId("")}>
                No longer
              </button>
            </p>
          )}
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
      <TitleBlock
        athlete={`${sheet.athlete_name}, ${sheet.measure.mass_kg} kg, ${sheet.measure.stature_m} m`}
        sheet={`Ladder: ${sheet.family}`}
        scale={layout.lanes.map(({ scale }) => scale.words).join(" · ") || "none"}
        date={day(placement?.evidence_day ?? sheet.measure.local_date)}
        revision={`${sheet.revision} · model ${sheet.model_version}`}
      />
      {rung?.demand && (
        <AdjustmentsDialog
          open={dialog === "ways"}
          onOpenChange={close}
          sheet={sheet}
          index={selected}
        />
      )}
      <TestDialog open={dialog === "test"} onOpenChange={close} sheet={sheet} />
      {(dialog === "add" || dialog === "find") && rung && (
        <MovementFinder
          athleteId={sheet.athlete_id}
          title={dialog === "add" ? `A rung beside “${rung.name}”` : "Movements"}
          family={dialog === "add" ? sheet.family : ""}
          act={(movement) => <Beside movement={movement} busy={busy} onAdd={add} />}
          onClose={close}
        />
      )}
      {dialog === "method" && <MethodDialog ladder={sheet.id} onClose={close} />}
      {dialog === "settings" && <SettingsDialog sheet={sheet} onClose={close} />}
      {dialog === "files" && (
        <FileDialog
          athleteId={sheet.athlete_id}
          athleteName={sheet.athlete_name}
          ladderId={sheet.id}
          onClose={close}
        />
      )}
      {dialog === "compare" && (
        <CompareDialog
          sheet={sheet}
          onPick={(id) => {
            setOtherId(id);
            close();
          }}
          onClose={close}
        />
      )}
      {dialog === "copy" && <CopyDialog sheet={sheet} onClose={close} />}
      {dialog === "delete" && (
        <DeleteDialog
          sheet={sheet}
          onGone={() => {
            onGone();
            navigate(`/intake/${sheet.athlete_id}/placement`);
          }}
          onClose={close}
        />
      )}
    </>
  );
}

interface BesideProps {
  movement: Schema["MovementOut"];
  busy: boolean;
  onAdd: (movement: Schema["MovementOut"], side: "above" | "below") => void;
}

function Beside({ movement, busy, onAdd }: BesideProps) {
  return (
    <span className="flex gap-2">
      {(["above", "below"] as const).map((side) => (
        <button
          key={side}
          type="button"
          disabled={busy}
          onClick={() => onAdd(movement, side)}
          className="min-h-8 border border-line px-3 font-head font-medium hover:bg-wash"
        >
          Add {side}
        </button>
      ))}
    </span>
  );
}
