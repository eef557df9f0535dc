/** Bench: a body, a set-up and what it asks; a second beside it; what would make them equal. */
import { useQuery } from "@tanstack/react-query";
import { ToggleGroup } from "radix-ui";
import { useState } from "react";
import { useLocation, useNavigate, useParams } from "react-router";
import { useKeys } from "../../app/keys";
import type { Schema } from "../../common/api/client";
import { queries } from "../../common/api/queries";
import { Limits } from "../../common/athlete/Limits";
import { ScaleCheck } from "../../common/athlete/ScaleCheck";
import { AlongRep } from "../../common/drawing/AlongRep";
import { PiecesDialog } from "../../common/equipment/PiecesDialog";
import { Fold, Folds } from "../../common/movement/Fold";
import { type Form, formOf, freshSetUp } from "../../common/movement/form";
import { SetUpPanel } from "../../common/movement/SetUpPanel";
import { type SetUp, setUpOf } from "../../common/movement/setups";
import { Away } from "../../common/ui/Away";
import { Button } from "../../common/ui/Button";
import { TitleBlock, today } from "../../common/ui/TitleBlock";
import { Wrong } from "../../common/ui/Wrong";
import { BodyDialog } from "./BodyDialog";
import { Carries } from "./Carries";
import { DoneFields } from "./DoneFields";
import { Drawing } from "./Drawing";
import { KeepDialog } from "./KeepDialog";
import { PersonalFigures } from "./PersonalFigures";
import { Readings } from "./Readings";
import { SolveDialog } from "./SolveDialog";
import { type Lying, SOMEBODY, sheetOf, useLying, useReading, type Which } from "./state";
import { useRep } from "./useRep";
import { WhichBandDialog } from "./WhichBandDialog";

export default function Bench() {
  const { ladderId = "" } = useParams();
  const forms = useQuery(queries.forms);
  const ladder = useQuery({ ...queries.ladder(ladderId), enabled: ladderId !== "" });
  const record = useQuery(queries.record(ladderId));
  const error = forms.error ?? ladder.error;
  if (error) return <Away error={error} retry={() => (forms.error ? forms : ladder).refetch()} />;
  const waiting = ladderId !== "" && (!ladder.data || record.isPending);
  if (!forms.data || waiting)
    return <main className="flex-1 p-6 text-faint">Clearing the bench …</main>;
  return (
    <Sheet
      key={ladderId}
      forms={forms.data.forms}
      ladder={ladder.data}
      newest={record.data?.entries[0]}
    />
  );
}

interface SheetProps {
  forms: Form[];
  ladder: Schema["LadderSheet"] | undefined;
  newest: Schema["RecordEntry"] | undefined;
}

function fresh({ ladder, newest }: SheetProps): Lying {
  const one = newest ? setUpOf(newest.setup) : freshSetUp("push_up");
  return {
    measured: ladder?.measure ?? null,
    body: ladder ? bodyOf(ladder.measure) : SOMEBODY,
    one,
    other: null,
    active: "one",
    done: newest ? { setup: one, count: newest.amount, rpe: newest.rpe } : null,
  };
}

/** An athlete's body as last measured, with its limbs and what a household scale said of it. */
function bodyOf({
  mass_kg,
  stature_m,
  lengths,
  hands_log,
  hands_sd,
}: Schema["BodyMeasurementOut"]) {
  return { ...SOMEBODY, mass_kg, stature_m, lengths_m: lengths, hands_log, hands_sd };
}

type DialogName = "" | "body" | "solve" | "band" | "pieces" | "keep";

function Sheet(props: SheetProps) {
  const { forms, ladder } = props;
  const ladderId = ladder?.id ?? "";
  const brought = useLocation().state as SetUp | null;
  const [lying, change] = useLying(ladderId, () => fresh(props), brought);
  const [dialog, setDialog] = useState<DialogName>("");
  const { body, one, other, active, done } = lying;
  const setup = active === "other" && other ? other : one;
  const form = formOf(forms, setup);
  const put = (next: SetUp) =>
    change(active === "other" && other ? { other: next } : { one: next });
  const sheet = sheetOf(lying, forms);
  const reading = useReading(sheet);
  const bench = reading.answered?.bench;
  const rep = useRep(setup.tempo, bench?.one.rises ?? false);
  const shown = (active === "other" && bench?.other) || bench?.one;
  const moves = (bench?.one.figures.length ?? 1) > 1;

  const compare = () =>
    other ? change({ other: null, active: "one" }) : change({ other: one, active: "other" });
  const keeps = ladder && form.keeps.includes(ladder.family);
  const show = (name: DialogName) => ({
    open: dialog === name,
    onOpenChange: (open: boolean) => setDialog(open ? name : ""),
  });
  useKeys([
    ["c", compare],
    ["s", () => setDialog("solve")],
    ["b", () => setDialog("band")],
    [" ", () => moves && rep.setPlaying(!rep.playing)],
  ]);
  const words = (active === "other" ? bench?.other : bench?.one)?.words ?? form.name;
  const asking = {
    lying,
    words,
    ladderId,
    forms,
    onTake: (next: SetUp) => {
      put(next);
      setDialog("");
    },
    onDone: (next: Lying["done"]) => change({ done: next }),
  };

  return (
    <>
      <main className="flex min-h-0 flex-1 flex-col md:flex-row">
        <aside
          aria-label="Set-up"
          className="w-full shrink-0 border-ink pb-4 md:w-[19.5rem] md:border-r lg:overflow-y-auto"
        >
          <Whose ladder={ladder} body={body} onBody={() => setDialog("body")} />
          <Sides
            other={other !== null}
            active={active}
            onPick={(next) => change({ active: next })}
          />
          <Folds open={["Posture"]}>
            <SetUpPanel setup={setup} form={form} forms={forms} onChange={put} />
            <Fold name="What was done" summary={doneWords(lying, forms, bench?.done)}>
              <DoneFields
                ladderId={ladderId}
                done={done}
                now={setup}
                forms={forms}
                onChange={asking.onDone}
              />
            </Fold>
            {ladder && (
              <Fold name="Their own figures">
                <PersonalFigures ladderId={ladderId} />
              </Fold>
            )}
          </Folds>
        </aside>
        <section aria-label="Bench" className="flex min-w-0 flex-1 flex-col overflow-auto">
          <div className="flex flex-wrap items-center gap-2 border-b border-hair px-4 py-1.5">
            <h1 className="text-xl">{other ? "Two set-ups" : words}</h1>
            <span className="flex-1" />
            <Button onClick={compare} title="A second set-up beside (C)">
              {other ? "Take the second away" : "Set a second beside it"}
            </Button>
            <Button onClick={() => setDialog("solve")} title="What equals it (S)">
              What equals it …
            </Button>
            <Button onClick={() => setDialog("band")} title="Which band (B)">
              Which band …
            </Button>
            <Button onClick={() => setDialog("pieces")}>Loads to hand …</Button>
            {keeps && <Button onClick={() => setDialog("keep")}>Keep as a rung …</Button>}
          </div>
          {ladder && <Limits athleteId={ladder.athlete_id} />}
          {reading.error && (
            <div className="px-4">
              <Wrong error={reading.error} />
            </div>
          )}
          {reading.answered && bench && (
            <div
              className={`flex flex-1 flex-col ${reading.error ? "opacity-40" : ""}`}
              aria-busy={!reading.settled && !reading.error}
              data-settled={reading.settled}
            >
              <Drawing answered={reading.answered} at={rep.at} />
              <div className="flex flex-wrap gap-x-6 border-t border-hair px-4 py-2">
                <div className="min-w-80 flex-1">
                  <Readings answered={reading.answered} forms={forms} />
                </div>
                <div className="w-72">
                  {moves && <Rep bench={bench} form={formOf(forms, one)} rep={rep} />}
                  {shown && <Carries along={shown.along} at={rep.at} />}
                  <p className="pt-2 text-sm text-faint">{form.says}</p>
                  {form.caution && <p className="pt-2 text-sm text-watch">◆ {form.caution}</p>}
                </div>
              </div>
            </div>
          )}
        </section>
      </main>
      <TitleBlock
        athlete={`${ladder ? `${ladder.athlete_name}, ` : ""}${body.mass_kg} kg, ${body.stature_m} m`}
        sheet={`Bench: ${form.family}`}
        scale="fitted to the sheet"
        date={today()}
        revision={`model ${bench?.model_version ?? "–"}`}
      />
      <BodyDialog {...show("body")} body={body} onChange={(next) => change({ body: next })} />
      <SolveDialog {...show("solve")} {...asking} />
      <WhichBandDialog {...show("band")} {...asking} />
      <PiecesDialog
        {...show("pieces")}
        onTake={(kg) => put({ ...setup, added_load: { ...setup.added_load, bag_kg: kg } })}
      />
      {keeps && dialog === "keep" && (
        <KeepDialog {...show("keep")} ladder={ladder} setup={setup} name={words} />
      )}
    </>
  );
}

function doneWords({ done }: Lying, forms: Form[], words = ""): string {
  if (!done) return "nothing yet";
  return `${done.count} ${formOf(forms, done.setup).counted === "hold" ? "s" : "×"} ${words}`;
}

interface WhoseProps {
  ladder: Schema["LadderSheet"] | undefined;
  body: Schema["BodyRequest"];
  onBody: () => void;
}

function Whose({ ladder, body, onBody }: WhoseProps) {
  const squad = useQuery(queries.squad).data?.athletes ?? [];
  const navigate = useNavigate();
  const [weighing, setWeighing] = useState(false);
  return (
    <div className="flex flex-wrap items-center gap-2 px-4 py-1.5">
      <select
        aria-label="Athlete"
        value={ladder?.id ?? ""}
        onChange={(event) => navigate(`/bench/${event.target.value}`)}
        className="min-w-32 flex-1 border border-line bg-sheet px-2 py-1"
      >
        <option value="">anybody</option>
        {squad.map(
          ({ name, ladder_id }) =>
            ladder_id && (
              <option key={ladder_id} value={ladder_id}>
                {name}
              </option>
            ),
        )}
      </select>
      <Button onClick={onBody} title="Mass, height, measured lengths">
        {body.mass_kg} kg, {Math.round(100 * body.stature_m)} cm …
      </Button>
      {ladder && (
        <Button onClick={() => setWeighing(true)} title="What a household scale says of this body">
          Scale …
        </Button>
      )}
      {ladder && weighing && (
        <ScaleCheck
          athleteId={ladder.athlete_id}
          units="metric"
          onClose={() => setWeighing(false)}
        />
      )}
    </div>
  );
}

interface SidesProps {
  other: boolean;
  active: Which;
  onPick: (which: Which) => void;
}

/** Which of the two set-ups the panel sets. */
function Sides({ other, active, onPick }: SidesProps) {
  if (!other) return null;
  return (
    <ToggleGroup.Root
      type="single"
      value={active}
      aria-label="Set-up to change"
      onValueChange={(next) => next && onPick(next as Which)}
      className="flex border-t border-hair"
    >
      {(["one", "other"] as const).map((which) => (
        <ToggleGroup.Item
          key={which}
          value={which}
          className="flex-1 py-1 font-head text-faint hover:bg-wash data-[state=on]:border-b-2 data-[state=on]:border-ink data-[state=on]:text-ink"
        >
          {which === "one" ? "First" : "Second"}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}

interface RepProps {
  bench: Schema["Bench"];
  form: Form;
  rep: ReturnType<typeof useRep>;
}

function Rep({ bench, form, rep }: RepProps) {
  const { one, other } = bench;
  const alike = other && other.measure === one.measure && other.along.length > 1;
  return (
    <>
      <AlongRep
        first={{ along: one.along, peak: one.peak_depth }}
        second={alike ? { along: other.along, peak: other.peak_depth } : undefined}
        at={rep.at * (one.along.at(-1)?.depth ?? 1)}
        ends={[form.ends[0] ?? "start", form.ends[1] ?? "end"]}
        unit={one.demand.unit}
        width={288}
        height={130}
      />
      <div className="flex items-center gap-2">
        <Button
          onClick={() => rep.setPlaying(!rep.playing)}
          title="Move through the rep at its tempo (Space)"
        >
          {rep.playing ? "Stop" : "Play"}
        </Button>
        <input
          type="range"
          aria-label="Place along the rep"
          min={0}
          max={1}
          step={0.01}
          value={rep.at}
          onChange={(event) => {
            rep.setPlaying(false);
            rep.setAt(Number(event.target.value));
          }}
          className="flex-1 accent-ink"
        />
      </div>
    </>
  );
}
