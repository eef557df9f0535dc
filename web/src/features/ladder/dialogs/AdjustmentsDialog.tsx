/** Ways to the next step: each thing changed alone, side by side, so that equal choices compare. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { answer, api, type Schema } from "../../../common/api/client";
import { queries } from "../../../common/api/queries";
import { useAct, useSendId } from "../../../common/hooks/useAct";
import { beside, freeName, plainOf } from "../../../common/ladder/rungs";
import { Button } from "../../../common/ui/Button";
import { Dialog } from "../../../common/ui/Dialog";
import { Wrong } from "../../../common/ui/Wrong";
import { Explained } from "../../../common/units/Explained";
import { amount, told } from "../../../common/units/figures";

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
  const { act, busy, error } = useAct();

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
      {found.isPending && <p className="py-4 text-faint">Solving …</p>}
      <Wrong error={error} />
      {found.data && <Table ways={found.data.ways} busy={busy} onAdd={add} />}
    </Dialog>
  );
}

interface TableProps {
  ways: Schema["AdjustmentOut"][];
  busy: boolean;
  onAdd: (way: Schema["AdjustmentOut"]) => void;
}

function Table({ ways, busy, onAdd }: TableProps) {
  return (
    <table className="mt-3 w-full">
      <thead>
        <tr className="lettering border-b border-ink [&>th]:pr-3">
          <th>Change</th>
          <th>Now</th>
          <th>Then</th>
          <th>Likely</th>
          <th>
            <span className="sr-only">Add</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {ways.map((way) => (
          <tr
            key={way.adjustable}
            className="border-b border-hair align-top [&>*]:py-1.5 [&>*]:pr-3"
          >
            <th scope="row">{way.label}</th>
            <td className="whitespace-nowrap">{amount(way.now, way.unit)}</td>
            {way.to ? (
              <>
                <td>
                  <Explained name={way.label} figure={way.to} />
                </td>
                <td>{way.expected ? told(way.expected) : "–"}</td>
                <td>
                  <Button
                    busy={busy}
                    onClick={() => onAdd(way)}
                    aria-label={`Add as a rung: ${way.label}`}
                  >
                    Add as a rung
                  </Button>
                </td>
              </>
            ) : (
              <td colSpan={3} className="text-faint">
                cannot: {way.unavailable_reason}
              </td>
            )}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
