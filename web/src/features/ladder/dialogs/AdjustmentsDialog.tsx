/** Ways to the next step: each thing changed alone, side by side, so that equal choices compare. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { answer, api, type Schema } from "../../../common/api/client";
import { queries } from "../../../common/api/queries";
import { useAct, useSendId } from "../../../common/hooks/useAct";
import { beside, freeName, plainOf } from "../../../common/ladder/rungs";
import { Choice, ChoiceTable } from "../../../common/movement/ChoiceTable";
import { Button } from "../../../common/ui/Button";
import { Dialog } from "../../../common/ui/Dialog";
import { Wrong } from "../../../common/ui/Wrong";
import { rangeWords } from "../../../common/units/figures";

const STEPS = [-5, 2.5, 5, 10];

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  sheet: Schema["LadderSheet"];
  index: number;
}

export function AdjustmentsDialog({ open, onOpenChange, sheet, index }: Props) {
  const rung = sheet.rungs[index] as Schema["RungOut"];
  const stepsUp = sheet.steps.filter(({ lower_id }) => lower_id === rung.id);
  const [id, next] = useSendId();
  const { act, busy, error } = useAct("squad", "athlete", "ladder");

  function add(way: Schema["AdjustmentOut"]) {
    const made = way.rung;
    if (!made) return;
    act(
      () =>
        answer(
          api.POST("/api/ladders/{ladder_id}/rungs", {
            params: { path: { ladder_id: sheet.id } },
            body: {
              ...plainOf(made),
              name: freeName(sheet, made.name),
              id,
              ...beside(sheet, rung.id, step > 0 ? "above" : "below"),
            },
          }),
        ),
      () => {
        next();
        onOpenChange(false);
      },
    );
  }

  const up = stepsUp[0]?.ratio;
  const toNext = up ? Math.round(1000 * (up.likely - 1)) / 10 : null;
  const [step, setStep] = useState(5);
  const found = useQuery({ ...queries.ways(sheet.id, rung.id, step), enabled: open });
  const steps = toNext === null || STEPS.includes(toNext) ? STEPS : [...STEPS, toNext];
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      wide
      title={`From “${rung.name}”`}
      about="Each line makes the whole step alone; take the one the room allows."
    >
      <fieldset className="flex flex-wrap items-center gap-2 pt-3">
        <legend className="lettering float-left mr-2">Step</legend>
        {steps.map((one) => (
          <Button
            key={one}
            aria-pressed={one === step}
            main={one === step}
            onClick={() => setStep(one)}
          >
            {`${one > 0 ? "+" : "−"}${Math.abs(one)} %${one === toNext ? ", the next rung" : ""}`}
          </Button>
        ))}
      </fieldset>
      <Wrong error={found.error} />
      {found.isPending && <p className="py-4 text-faint">Working it out …</p>}
      <Wrong error={error} />
      {found.data && (
        <ChoiceTable label="Ways to the next step" also="Likely">
          {found.data.ways.map((way) => (
            <Choice
              key={way.adjustable}
              label={way.label}
              now={way.now}
              unit={way.unit}
              to={way.to}
              also={way.expected ? rangeWords(way.expected) : "–"}
              words={`cannot: ${way.unavailable_reason}`}
              press={{ label: "Add as a rung", busy, onPress: () => add(way) }}
            />
          ))}
        </ChoiceTable>
      )}
    </Dialog>
  );
}
