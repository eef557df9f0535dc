/** What counts as a gap and as a step on this ladder, and what a coach likes to change first. */
import { useState } from "react";
import { answer, api, type Schema } from "../../../common/api/client";
import { useAct } from "../../../common/hooks/useAct";
import { Button } from "../../../common/ui/Button";
import { Dialog } from "../../../common/ui/Dialog";
import { Field } from "../../../common/ui/Field";
import { Wrong } from "../../../common/ui/Wrong";

const WORDS: Record<Schema["StepPolicyDocument"]["lever_order"][number], string> = {
  tempo: "tempo: slower, with pauses",
  lever: "leverage: heights, shapes, the working hand's share",
  range: "range: deeper, or less of the way",
  load: "load: a bag, less of a band",
};

export function SettingsDialog(props: { sheet: Schema["LadderSheet"]; onClose: () => void }) {
  const { sheet, onClose } = props;
  const [typed, setTyped] = useState({
    min_reps: String(sheet.settings.min_reps),
    min_hold_s: String(sheet.settings.min_hold_s),
    target_step_percent: String(sheet.settings.target_step_percent),
  });
  const [order, setOrder] = useState(sheet.settings.lever_order);
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const field = (name: keyof typeof typed) => ({
    type: "number",
    step: "any",
    value: typed[name],
    onChange: (event: { target: { value: string } }) =>
      setTyped({ ...typed, [name]: event.target.value }),
  });
  const raise = (index: number) =>
    setOrder(
      order.map((one, i) =>
        i === index - 1 ? at(order, index) : i === index ? at(order, index - 1) : one,
      ),
    );
  const keep = () =>
    act(
      () =>
        answer(
          api.PUT("/api/ladders/{ladder_id}/settings", {
            params: { path: { ladder_id: sheet.id }, header: { "If-Match": sheet.version } },
            body: {
              min_reps: Number(typed.min_reps),
              min_hold_s: Number(typed.min_hold_s),
              target_step_percent: Number(typed.target_step_percent),
              lever_order: order,
            },
          }),
        ),
      onClose,
    );
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title="Steps of this ladder"
      about="A gap is a step above which whoever just meets the criterion would likely get less than is useful."
    >
      <Field
        label="Least useful reps"
        unit="reps"
        hint="5 by common practice."
        {...field("min_reps")}
      />
      <Field
        label="Least useful hold"
        unit="s"
        hint="5 s by common practice."
        {...field("min_hold_s")}
      />
      <Field
        label="Wanted step"
        unit="%"
        hint="10 % at most: loads are published to go up by 2 to 10 %."
        {...field("target_step_percent")}
      />
      <h3 className="lettering pt-3">What a bridge changes first</h3>
      <ol className="list-decimal pl-6">
        {order.map((one, index) => (
          <li key={one} className="py-0.5">
            <span className="inline-flex w-full items-center justify-between gap-2">
              {WORDS[one]}
              {index > 0 && (
                <Button quiet onClick={() => raise(index)} aria-label={`Earlier: ${one}`}>
                  ↑ earlier
                </Button>
              )}
            </span>
          </li>
        ))}
      </ol>
      <Wrong error={error} />
      <Button main busy={busy} onClick={keep} className="mt-3">
        Keep
      </Button>
    </Dialog>
  );
}

const at = <T,>(list: T[], index: number) => list[index] as T;
