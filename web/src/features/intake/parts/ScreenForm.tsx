/** The screen's questions; what was answered last time stands in it to go on from. */
import type { FormEvent } from "react";
import { api, type Schema } from "../../../common/api/client";
import { useAct, useSendId } from "../../../common/hooks/useAct";
import { useDraft } from "../../../common/hooks/useDraft";
import { Button } from "../../../common/ui/Button";
import { Choice, Field } from "../../../common/ui/Field";
import { Tick } from "../../../common/ui/Tick";
import { Ticks } from "../../../common/ui/Ticks";
import { Wrong } from "../../../common/ui/Wrong";
import { DISEASES, MEDICINES, PAIN_PLACES, SIGNS } from "../questions";
import { YesNo } from "./YesNo";

type Answers = Schema["NewScreen"];
type Question = NonNullable<Answers["asked"]>[number];

const BLANK: Answers = {
  id: "",
  born: "",
  active: false,
  pregnant: false,
  front_comfortable: false,
  lax: false,
  asked: [],
};

type Stage = NonNullable<Answers["pregnancy_stage"]> | null;

interface Props {
  athleteId: string;
  before: Answers | null;
}

export function ScreenForm({ athleteId, before }: Props) {
  const [typed, keepTyping, settle] = useDraft<Answers>(
    `screen.${athleteId}`,
    () => before ?? BLANK,
  );
  const [id, next] = useSendId();
  const { act, busy, error } = useAct("squad", "athlete", "ladder");

  const put = (changes: Partial<Answers>) => keepTyping({ ...typed, ...changes });
  const asked = (question: Question) => typed.asked?.includes(question) ?? true;
  const answer = (question: Question, changes: Partial<Answers>, is = true) => {
    const others = (typed.asked ?? []).filter((one) => one !== question);
    put({ ...changes, asked: is ? [...others, question] : others });
  };

  function keep(event: FormEvent) {
    event.preventDefault();
    act(
      () =>
        api.POST("/api/athletes/{athlete_id}/screens", {
          params: { path: { athlete_id: athleteId } },
          body: { ...typed, id },
        }),
      () => {
        settle();
        next();
      },
    );
  }

  return (
    <form onSubmit={keep} className="px-4 pb-4">
      <div className="grid gap-x-6 md:grid-cols-2">
        <Field
          label="Born"
          type="date"
          required
          value={typed.born}
          onChange={(event) => put({ born: event.target.value })}
        />
        <Field
          label="Weeks since the last operation, if within a year"
          type="number"
          min={0}
          max={52}
          value={typed.operated_weeks ?? ""}
          onChange={(event) =>
            answer(
              "operation",
              { operated_weeks: event.target.value ? Number(event.target.value) : null },
              event.target.value !== "",
            )
          }
        />
        <span />
        <Tick
          label="no operation within a year"
          on={asked("operation") && typed.operated_weeks == null}
          onChange={(none) => answer("operation", { operated_weeks: null }, none)}
        />
      </div>
      <YesNo
        label="Trains already: half an hour, three days a week, for the last three months"
        name="active"
        value={asked("active") ? typed.active : null}
        onChange={(active) => answer("active", { active })}
      />
      <Ticks
        name="A known disease"
        options={DISEASES}
        on={typed.diseases ?? []}
        onChange={(diseases) => answer("diseases", { diseases }, diseases.length > 0)}
        none={asked("diseases") && !typed.diseases?.length}
        onNone={(none) => answer("diseases", { diseases: [] }, none)}
      />
      <Ticks
        name="Noticed lately"
        options={SIGNS}
        on={typed.signs ?? []}
        onChange={(signs) => answer("signs", { signs }, signs.length > 0)}
        none={asked("signs") && !typed.signs?.length}
        onNone={(none) => answer("signs", { signs: [] }, none)}
      />
      <Ticks
        name="Takes medicines"
        options={MEDICINES}
        on={typed.medicines ?? []}
        onChange={(medicines) => answer("medicines", { medicines }, medicines.length > 0)}
        none={asked("medicines") && !typed.medicines?.length}
        onNone={(none) => answer("medicines", { medicines: [] }, none)}
      />
      <fieldset className="mt-3">
        <legend className="lettering">Besides</legend>
        <YesNo
          label="Pregnant, or within three months of birth"
          name="pregnant"
          value={asked("pregnancy") ? (typed.pregnant ?? false) : null}
          onChange={(pregnant) => answer("pregnancy", { pregnant })}
        />
        {typed.pregnant && (
          <Pregnancy typed={typed} onChange={(changes) => answer("pregnancy", changes)} />
        )}
        <YesNo
          label="Joints that bend further than most people's"
          name="lax"
          value={asked("lax") ? (typed.lax ?? false) : null}
          onChange={(lax) => answer("lax", { lax })}
        />
      </fieldset>
      <fieldset className="mt-3">
        <legend className="lettering">Pain now, 0 to 10</legend>
        <div className="grid grid-cols-4 gap-2 sm:grid-cols-8">
          {PAIN_PLACES.map((place) => (
            <label key={place} className="text-sm">
              {place}
              <input
                type="number"
                min={0}
                max={10}
                value={typed.pains?.[place] ?? (asked("pains") ? 0 : "")}
                onChange={(event) =>
                  answer("pains", {
                    pains: { ...typed.pains, [place]: Number(event.target.value) },
                  })
                }
                className="block w-full border border-line bg-sheet px-1 text-right"
              />
            </label>
          ))}
        </div>
        <Tick
          label="no pain anywhere"
          on={asked("pains") && !Object.values(typed.pains ?? {}).some((pain) => pain > 0)}
          onChange={(none) => answer("pains", { pains: {} }, none)}
        />
      </fieldset>
      <Wrong error={error} />
      <Button main type="submit" busy={busy} className="mt-4">
        Keep the answers
      </Button>
    </form>
  );
}

interface PregnancyProps {
  typed: Answers;
  onChange: (changes: Partial<Answers>) => void;
}

function Pregnancy({ typed, onChange }: PregnancyProps) {
  return (
    <>
      <Choice
        label="How far"
        value={typed.pregnancy_stage ?? ""}
        options={[
          ["", "not told"],
          ["first third", "in the first third"],
          ["later", "after the first third"],
          ["after birth", "within three months of birth"],
        ]}
        onChange={(event) => onChange({ pregnancy_stage: (event.target.value || null) as Stage })}
      />
      <YesNo
        label="Lying on the front is comfortable"
        name="front_comfortable"
        value={typed.front_comfortable ?? false}
        onChange={(front_comfortable) => onChange({ front_comfortable })}
      />
    </>
  );
}
