/** Goals, time, likes and body measures; anything may be left open and filled in later. */
import { useQuery } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { api, type Schema } from "../../../common/api/client";
import { queries } from "../../../common/api/queries";
import { useAct } from "../../../common/hooks/useAct";
import { useDraft } from "../../../common/hooks/useDraft";
import { Button } from "../../../common/ui/Button";
import { Choice, Field } from "../../../common/ui/Field";
import { Ticks } from "../../../common/ui/Ticks";
import { Wrong } from "../../../common/ui/Wrong";
import { Measures } from "../Measures";

type Person = Schema["PersonRequest"];

/** The first one ticked is what a new ladder takes. */
const METHODS = [
  [
    "double_progression",
    "double progression: a fixed range of reps or seconds, climbed before the rung changes",
  ],
  ["near_failure", "near failure: sets to at most two in reserve"],
  ["rpe_target", "guided by effort"],
  ["wave", "a three-day wave of holds"],
  ["density", "density: against the clock, in work windows"],
  ["habit", "habit: a smallest prescription, never pushed"],
] as const;

export function PersonPart({ athlete }: { athlete: Schema["AthleteOut"] }) {
  const person = useQuery(queries.person(athlete.id)).data;
  if (!person) return <p className="p-4 text-faint">Fetching what is known …</p>;
  return (
    <div className="flex flex-col lg:flex-row">
      <div className="min-w-0 flex-1 px-4 pb-4">
        <PersonForm athleteId={athlete.id} person={person} />
      </div>
      <aside
        aria-label="Measures"
        className="w-full border-t border-ink px-4 pb-4 lg:w-[24rem] lg:shrink-0 lg:border-t-0 lg:border-l"
      >
        <Measures athlete={athlete} units={person.units} />
      </aside>
    </div>
  );
}

function PersonForm({ athleteId, person }: { athleteId: string; person: Schema["PersonOut"] }) {
  const skills = useQuery(queries.skills).data?.skills ?? [];
  const movements = useQuery(queries.catalogue).data?.movements ?? [];
  const { missing: _, version, ...kept } = person;
  const [begunAt] = useState(version);
  const [typed, keepTyping, settle] = useDraft<Person>(`person.${athleteId}`, () => kept);
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const put = (changes: Partial<Person>) => keepTyping({ ...typed, ...changes });
  const number = (text: string) => (text ? Number(text) : null);

  function keep(event: FormEvent) {
    event.preventDefault();
    act(
      () =>
        api.PUT("/api/athletes/{athlete_id}/person", {
          params: { path: { athlete_id: athleteId }, header: { "If-Match": begunAt } },
          body: { ...typed, places: person.places },
        }),
      settle,
    );
  }

  return (
    <form onSubmit={keep}>
      <Ticks
        name="Goals, the first ticked leads"
        options={skills.map(({ id, name }) => [id, name] as const)}
        on={typed.goals ?? []}
        onChange={(goals) => put({ goals })}
      />
      <div className="grid gap-x-6 sm:grid-cols-3">
        <Field
          label="Years of strength training"
          type="number"
          min={0}
          max={80}
          step={0.25}
          value={typed.training_years ?? ""}
          onChange={(event) => put({ training_years: number(event.target.value) })}
          hint="0.5 is half a year"
        />
        <Field
          label="Days a week"
          type="number"
          min={1}
          max={7}
          value={typed.days ?? ""}
          onChange={(event) => put({ days: number(event.target.value) })}
        />
        <Field
          label="Minutes a day"
          type="number"
          min={5}
          max={180}
          value={typed.minutes ?? ""}
          onChange={(event) => put({ minutes: number(event.target.value) })}
        />
      </div>
      <div className="grid gap-x-6 sm:grid-cols-3">
        <Choice
          label="Purpose"
          value={typed.aim}
          options={[
            ["gain", "gain"],
            ["keep", "keep what is there"],
          ]}
          onChange={(event) => put({ aim: event.target.value as Person["aim"] })}
        />
        <Choice
          label="Measures in"
          value={typed.units}
          options={[
            ["metric", "kg and cm"],
            ["imperial", "lb and in"],
          ]}
          onChange={(event) => put({ units: event.target.value as Person["units"] })}
        />
        <Choice
          label="Norms of"
          value={typed.sex ?? ""}
          hint="For published norms; nothing else."
          options={[
            ["", "neither"],
            ["female", "women"],
            ["male", "men"],
          ]}
          onChange={(event) =>
            put({
              sex: event.target.value === "" ? null : (event.target.value as "male" | "female"),
            })
          }
        />
      </div>
      <Ticks
        name="Methods preferred"
        options={METHODS}
        on={typed.methods ?? []}
        onChange={(methods) => put({ methods })}
      />
      <details className="mt-3">
        <summary className="lettering cursor-pointer">
          Movements disliked{typed.dislikes?.length ? `: ${typed.dislikes.length}` : ""}
        </summary>
        <Ticks
          name="Rather not"
          options={movements.map(({ id, name }) => [id, name] as const)}
          on={typed.dislikes ?? []}
          onChange={(dislikes) => put({ dislikes })}
        />
      </details>
      <details className="mt-3">
        <summary className="lettering cursor-pointer">
          Warm-up of your own{typed.warm_up?.length ? `: ${typed.warm_up.length}` : ""}
        </summary>
        <p className="text-sm text-faint">
          Takes the place of the general warm-up, in the order ticked; what something closes to them
          is left out. Nothing ticked: made from the day’s patterns.
        </p>
        <Ticks
          name="In this order"
          options={movements
            .filter(({ family }) => family === "balance and mobility")
            .map(({ id, name }) => [id, name] as const)}
          on={typed.warm_up ?? []}
          onChange={(warm_up) => put({ warm_up })}
        />
      </details>
      <Wrong error={error} />
      <Button main type="submit" busy={busy} className="mt-4">
        Keep what they want
      </Button>
      {person.missing.length > 0 && (
        <p className="pt-2 text-sm text-faint">Would still help: {person.missing.join(", ")}.</p>
      )}
    </form>
  );
}
