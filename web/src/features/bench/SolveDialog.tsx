/** What would equal it: each thing changed alone until the aim is met, side by side. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { answer, api, type Schema } from "../../common/api/client";
import { Choice as ChoiceLine, ChoiceTable } from "../../common/movement/ChoiceTable";
import { type SetUp, setUpOf } from "../../common/movement/setups";
import { Dialog } from "../../common/ui/Dialog";
import { Choice, Field } from "../../common/ui/Field";
import { type Asking, type AskingDialog, asked } from "./asking";
import { DoneFields } from "./DoneFields";
import { telling } from "./state";

type Aim = "load" | "step" | "other" | "count";

export function SolveDialog({ open, onOpenChange, ...asking }: AskingDialog) {
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      wide
      title="What equals it"
      about="Each line is one thing changed alone, all else as it is set up."
    >
      <Solving {...asking} />
    </Dialog>
  );
}

function Solving(props: Asking) {
  const { lying, ladderId, forms, onTake, onDone } = props;
  const { task, form, beside } = asked(props);
  const places = form.adjustables.filter(({ name }) => form.loads.includes(name));
  const [kind, setKind] = useState<Aim>(beside ? "other" : places.length ? "load" : "step");
  const [place, setPlace] = useState(places.find(({ name }) => name === "bag")?.name ?? "vest");
  const [kg, setKg] = useState("3");
  const [step, setStep] = useState("5");
  const [count, setCount] = useState("5");

  const aims: [Aim, string][] = [["step", "this, and so much harder"]];
  if (places.length) aims.unshift(["load", "this with more kilos on it"]);
  if (beside)
    aims.unshift(["other", `the ${lying.active === "other" ? "first" : "second"} set-up`]);
  if (form.counted !== "rpe")
    aims.push(["count", form.counted === "hold" ? "so many seconds" : "so many reps"]);
  const done = telling(lying.done, form, forms);
  const aim = aimOf();

  function aimOf(): Schema["Aim"] | null {
    const loaded = `${place}_kg` as keyof Schema["AddedLoadRequest"];
    if (kind === "other") return beside && { model: beside, step_percent: 0 };
    if (kind === "step") return { model: task, step_percent: Number(step) };
    if (kind === "count")
      return done && Number(count) > 0 ? { count: Number(count), step_percent: 0 } : null;
    const added_load = { ...task.added_load, [loaded]: task.added_load[loaded] + Number(kg) };
    return { model: { ...task, added_load }, step_percent: 0 };
  }

  return (
    <>
      <p className="pt-2">{props.words}</p>
      <div className="grid grid-cols-2 gap-x-3">
        <Choice
          label="As hard as"
          value={kind}
          options={aims}
          onChange={(event) => setKind(event.target.value as Aim)}
        />
        {kind === "load" && (
          <>
            <Field
              label="More kilos"
              unit="kg"
              type="number"
              step={0.5}
              value={kg}
              onChange={(event) => setKg(event.target.value)}
            />
            <Choice
              label="Where"
              value={place}
              options={places.map(({ name, label }) => [name, label] as const)}
              onChange={(event) => setPlace(event.target.value)}
            />
          </>
        )}
        {kind === "step" && (
          <Field
            label="Harder by (− for easier)"
            unit="%"
            type="number"
            value={step}
            onChange={(event) => setStep(event.target.value)}
          />
        )}
        {kind === "count" && (
          <Field
            label={form.counted === "hold" ? "Seconds wanted" : "Reps wanted"}
            type="number"
            min={1}
            value={count}
            onChange={(event) => setCount(event.target.value)}
          />
        )}
      </div>
      {kind === "count" && (
        <DoneFields
          ladderId={ladderId}
          done={lying.done}
          now={task}
          forms={forms}
          onChange={onDone}
        />
      )}
      {aim && (
        <ChoiceTable label="Equal choices">
          {form.adjustables
            .filter(({ name }) => !(kind === "load" && name === place))
            .map((adjustable) => (
              <Line
                key={adjustable.name}
                adjustable={adjustable}
                puzzle={{
                  body: lying.body,
                  task,
                  adjustable: adjustable.name,
                  aim,
                  done,
                }}
                onTake={onTake}
              />
            ))}
        </ChoiceTable>
      )}
    </>
  );
}

interface LineProps {
  adjustable: Schema["AdjustableOut"];
  puzzle: Schema["Puzzle"];
  onTake: (setup: SetUp) => void;
}

function Line({ adjustable, puzzle, onTake }: LineProps) {
  const solved = useQuery({
    queryKey: ["solution", puzzle],
    queryFn: ({ signal }) => answer(api.POST("/api/bench/solution", { body: puzzle, signal })),
  });
  const found = solved.data;
  const setup = found?.setup;
  const why = solved.error?.message ?? found?.unavailable_reason;
  return (
    <ChoiceLine
      label={adjustable.label}
      now={found?.now}
      unit={found?.unit}
      to={found?.to}
      words={why ? `cannot: ${why}` : "solving …"}
      press={setup ? { label: "Set it up", onPress: () => onTake(setUpOf(setup)) } : undefined}
    />
  );
}
