/** The screen's questions; what was answered last time stands in it to go on from. */
import type { FormEvent } from "react";
import { api, type Schema } from "../../../common/api/client";
import { useAct, useSendId } from "../../../common/hooks/useAct";
import { useDraft } from "../../../common/hooks/useDraft";
import { Button } from "../../../common/ui/Button";
import { Field } from "../../../common/ui/Field";
import { Tick } from "../../../common/ui/Tick";
import { Ticks } from "../../../common/ui/Ticks";
import { Wrong } from "../../../common/ui/Wrong";
import { DISEASES, MEDICINES, PAIN_PLACES, SIGNS } from "../questions";

type Answers = Schema["NewScreen"];

const BLANK: Answers = { id: "", born: "", active: false, pregnant: false, lax: false };

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
            put({ operated_weeks: event.target.value ? Number(event.target.value) : null })
          }
        />
      </div>
      <Tick
        label="Trains already: half an hour, three days a week, for the last three months"
        on={typed.active}
        onChange={(active) => put({ active })}
      />
      <Ticks
        name="A known disease"
        options={DISEASES}
        on={typed.diseases ?? []}
        onChange={(diseases) => put({ diseases })}
      />
      <Ticks
        name="Noticed lately"
        options={SIGNS}
        on={typed.signs ?? []}
        onChange={(signs) => put({ signs })}
      />
      <Ticks
        name="Takes medicines"
        options={MEDICINES}
        on={typed.medicines ?? []}
        onChange={(medicines) => put({ medicines })}
      />
      <fieldset className="mt-3">
        <legend className="lettering">Besides</legend>
        <Tick
          label="pregnant, or within three months of birth"
          on={typed.pregnant}
          onChange={(pregnant) => put({ pregnant })}
        />
        <Tick
          label="joints that bend further than most people's"
          on={typed.lax}
          onChange={(lax) => put({ lax })}
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
                value={typed.pains?.[place] ?? 0}
                onChange={(event) =>
                  put({ pains: { ...typed.pains, [place]: Number(event.target.value) } })
                }
                className="block w-full border border-line bg-sheet px-1 text-right"
              />
            </label>
          ))}
        </div>
      </fieldset>
      <Wrong error={error} />
      <Button main type="submit" busy={busy} className="mt-4">
        Keep the answers
      </Button>
    </form>
  );
}
