/** Everything about a rung to change, the figure following. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { answer, api, type Schema } from "../../common/api/client";
import { queries } from "../../common/api/queries";
import { Figure } from "../../common/drawing/Figure";
import { useAct } from "../../common/hooks/useAct";
import { useDraft } from "../../common/hooks/useDraft";
import { type PlainRung, plainOf } from "../../common/ladder/rungs";
import { Fold, Folds } from "../../common/movement/Fold";
import { type Form, formOf } from "../../common/movement/form";
import { SetUpPanel } from "../../common/movement/SetUpPanel";
import { changesOf, type SetUp } from "../../common/movement/setups";
import { Button } from "../../common/ui/Button";
import { Field } from "../../common/ui/Field";
import { Wrong } from "../../common/ui/Wrong";
import { rangeWords } from "../../common/units/figures";

interface Props {
  sheet: Schema["LadderSheet"];
  rung: Schema["RungOut"];
  onClose: () => void;
}

export function RungEditor({ sheet, rung, onClose }: Props) {
  const forms = useQuery(queries.forms).data?.forms;
  const movement = useQuery(queries.catalogue).data?.movements.find(
    ({ id }) => id === rung.movement,
  );
  const [draft, put, settle] = useDraft<PlainRung>(`rung.${rung.id}`, () => plainOf(rung));
  const [begunAt] = useState(rung.version);
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const form = movement && forms?.find(({ id }) => id === movement.form);
  const change = (changes: Partial<PlainRung>) => put({ ...draft, ...changes });

  const keep = () =>
    act(
      () =>
        answer(
          api.PUT("/api/ladders/{ladder_id}/rungs/{rung_id}", {
            params: {
              path: { ladder_id: sheet.id, rung_id: rung.id },
              header: { "If-Match": begunAt },
            },
            body: draft,
          }),
        ),
      () => {
        settle();
        onClose();
      },
    );

  return (
    <aside
      aria-label={`Edit: ${rung.name}`}
      className="w-full border-t border-ink lg:w-[30rem] lg:shrink-0 lg:overflow-y-auto lg:border-t-0 lg:border-l"
    >
      <div className="sticky top-0 z-1 flex items-center justify-between gap-3 border-b border-hair bg-sheet px-4 py-1.5">
        <h2 className="text-xl">Edit the rung</h2>
        <span className="flex gap-2">
          <Button
            quiet
            onClick={() => {
              settle();
              onClose();
            }}
          >
            Leave it
          </Button>
          <Button main busy={busy} onClick={keep}>
            Keep
          </Button>
        </span>
      </div>
      <div className="px-4">
        <Wrong error={error} />
        {form ? (
          <Followed sheet={sheet} setup={{ movement: form.id, ...changesOf(draft) }} form={form} />
        ) : (
          <Figure figures={[rung.figure]} width={440} height={190} label={rung.name} />
        )}
        <Field
          label="Name"
          value={draft.name}
          maxLength={120}
          onChange={(event) => change({ name: event.target.value })}
        />
      </div>
      <Folds open={["Posture", "Prescription and criterion"]}>
        {form && forms && (
          <SetUpPanel
            setup={{ movement: form.id, ...changesOf(draft) }}
            form={formOf(forms, { movement: form.id })}
            onChange={(setup) => change(changesOf(setup))}
          />
        )}
        <PrescriptionFold draft={draft} rung={rung} onChange={change} />
      </Folds>
      <div className="border-t border-hair px-4 pb-4">
        <Field
          label="Why it is here"
          value={draft.why}
          maxLength={300}
          hint="Where the demand alone would not say so."
          onChange={(event) => change({ why: event.target.value })}
        />
      </div>
    </aside>
  );
}

/** The figure of what is being set, for this athlete's body. */
function Followed(props: { sheet: Schema["LadderSheet"]; setup: SetUp; form: Form }) {
  const { sheet, setup, form } = props;
  const { mass_kg, stature_m, lengths } = sheet.measure;
  const body = { mass_kg, stature_m, table: "winter" as const, lengths_m: lengths };
  const asked = useQuery({
    queryKey: ["bench", "rung", body, setup],
    queryFn: ({ signal }) => answer(api.POST("/api/bench", { body: { body, one: setup }, signal })),
    placeholderData: (before) => before,
    gcTime: 10_000,
  });
  const one = asked.data?.one;
  return (
    <>
      {one && (
        <>
          <Figure
            figures={[one.figures[0], one.figures.at(-1)].filter((it) => it !== undefined)}
            width={440}
            height={200}
            label={`${form.name} as set below: the start in ink, the other end dashed`}
          />
          <p>
            {rangeWords(one.demand)} {one.measure}
          </p>
        </>
      )}
      <Wrong error={asked.error} />
    </>
  );
}

interface PrescriptionProps {
  draft: PlainRung;
  rung: Schema["RungOut"];
  onChange: (changes: Partial<PlainRung>) => void;
}

function PrescriptionFold({ draft, rung, onChange }: PrescriptionProps) {
  const prescription = draft.prescription ?? rung.prescription;
  const criterion = draft.criterion ?? rung.criterion;
  const put = (changes: Partial<Schema["PrescriptionDocument"]>) =>
    onChange({ prescription: { ...prescription, ...changes } });
  const show = (changes: Partial<Schema["CriterionDocument"]>) => {
    const { sets, amount, rpe, sessions } = { ...criterion, ...changes };
    onChange({ criterion: { sets, amount, rpe, sessions } });
  };
  return (
    <Fold
      name="Prescription and criterion"
      summary={`${prescription.sets} × ${prescription.low}–${prescription.high} ${prescription.unit}`}
    >
      <div className="grid grid-cols-2 gap-x-4">
        <Count label="Sets" value={prescription.sets} onChange={(sets) => put({ sets })} />
        <Count
          label="Rest"
          unit="s"
          value={prescription.rest_s}
          onChange={(rest_s) => put({ rest_s })}
        />
        <Count
          label="Range's foot"
          unit={prescription.unit}
          value={prescription.low}
          onChange={(low) => put({ low })}
        />
        <Count
          label="Range's top"
          unit={prescription.unit}
          value={prescription.high}
          onChange={(high) => put({ high })}
        />
        <Count
          label="Effort (RPE)"
          step={0.5}
          value={prescription.rpe}
          onChange={(rpe) => put({ rpe })}
        />
        <span />
        <Count label="Criterion: sets" value={criterion.sets} onChange={(sets) => show({ sets })} />
        <Count
          label="Criterion: in every set"
          unit={prescription.unit}
          value={criterion.amount}
          onChange={(amount) => show({ amount })}
        />
        <Count
          label="Criterion: effort at most"
          step={0.5}
          value={criterion.rpe}
          onChange={(rpe) => show({ rpe })}
        />
        <Count
          label="Criterion: sessions running"
          value={criterion.sessions}
          onChange={(sessions) => show({ sessions })}
        />
      </div>
    </Fold>
  );
}

interface CountProps {
  label: string;
  unit?: string;
  step?: number;
  value: number;
  onChange: (value: number) => void;
}

/** A number that is sent once it is one; what is typed stays. */
function Count({ label, unit, step = 1, value, onChange }: CountProps) {
  const [typed, setTyped] = useState(String(value));
  const bad = typed.trim() === "" || Number.isNaN(Number(typed));
  return (
    <Field
      label={label}
      {...(unit ? { unit } : {})}
      type="number"
      step={step}
      value={typed}
      wrong={bad ? "Give a number." : undefined}
      onChange={(event) => {
        setTyped(event.target.value);
        const amount = Number(event.target.value);
        if (event.target.value.trim() !== "" && !Number.isNaN(amount)) onChange(amount);
      }}
    />
  );
}
