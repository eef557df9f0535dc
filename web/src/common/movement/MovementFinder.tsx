/** Finding a movement by name, family, region or kit, with its figure at both ends of the rep. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { answer, api, type Schema } from "../api/client";
import { queries } from "../api/queries";
import { Figure } from "../drawing/Figure";
import { useAct } from "../hooks/useAct";
import { Button } from "../ui/Button";
import { Dialog } from "../ui/Dialog";
import { Choice, Field } from "../ui/Field";
import { Wrong } from "../ui/Wrong";
import { Explained } from "../units/Explained";
import { CatalogueFile } from "./own/CatalogueFile";
import { OwnMovementDialog } from "./own/OwnMovementDialog";
import { Tags } from "./Tags";

type Movement = Schema["MovementOut"];

interface Props {
  athleteId: string;
  title: string;
  /** To begin with. */
  family?: string;
  /** What is done with the movement that was found. */
  act?: (movement: Movement) => React.ReactNode;
  onClose: () => void;
}

export function MovementFinder({ athleteId, title, family = "", act, onClose }: Props) {
  const catalogue = useQuery(queries.catalogue);
  const [asked, ask] = useState({ words: "", family, muscle: "", kit: "", tag: "" });
  const tags = useQuery(queries.movementTags).data?.tags ?? {};
  const [picked, pick] = useState("");
  const movements = catalogue.data?.movements ?? [];
  const words = asked.words.trim();
  const named = useQuery({ ...queries.movementsCalled(words), enabled: words !== "" }).data;
  const found = inOrder(movements, words ? named?.ids : undefined).filter((one) =>
    fits(one, asked, tags),
  );
  const movement = found.find(({ id }) => id === picked) ?? found[0];
  const put = (changes: Partial<typeof asked>) => ask({ ...asked, ...changes });
  const [making, make] = useState<Movement | null>(null);
  if (making)
    return (
      <OwnMovementDialog
        base={making}
        onClose={() => make(null)}
        onKept={(id) => {
          make(null);
          ask({ words: "", family: making.family, muscle: "", kit: "", tag: "" });
          pick(id);
        }}
      />
    );
  return (
    <Dialog open onOpenChange={onClose} title={title} widest>
      <Wrong error={catalogue.error} />
      <div className="grid grid-cols-1 gap-x-4 sm:grid-cols-4">
        <Field
          label="Name"
          value={asked.words}
          autoFocus
          onChange={(event) => put({ words: event.target.value })}
        />
        <Choice
          label="Family"
          value={asked.family}
          options={any((catalogue.data?.families ?? []).map(({ name }) => name))}
          onChange={(event) => put({ family: event.target.value })}
        />
        <Choice
          label="Region"
          value={asked.muscle}
          options={any(distinct(movements.flatMap(({ muscles }) => muscles)))}
          onChange={(event) => put({ muscle: event.target.value })}
        />
        <Choice
          label="Kit"
          value={asked.kit}
          options={[
            ...any(distinct(movements.flatMap(({ kit }) => kit))),
            [NOTHING, "none needed"],
          ]}
          onChange={(event) => put({ kit: event.target.value })}
        />
        {Object.keys(tags).length > 0 && (
          <Choice
            label="Your tag"
            value={asked.tag}
            options={any(distinct(Object.values(tags).flat()))}
            onChange={(event) => put({ tag: event.target.value })}
          />
        )}
      </div>
      <p className="pt-2 text-sm text-faint" role="status">
        {found.length} of {movements.length} movements
        {named && named.called > 1 && `; ${named.called} are called just so: pick one`}
      </p>
      <div className="grid gap-4 pt-1 md:grid-cols-[17rem_1fr]">
        <ul
          aria-label="Movements found"
          className="max-h-[26rem] overflow-y-auto border border-hair"
        >
          {found.map((one) => (
            <li key={one.id} className="border-b border-hair">
              <button
                type="button"
                aria-pressed={one.id === movement?.id}
                onClick={() => pick(one.id)}
                className={`w-full px-2 py-1 text-left ${one.id === movement?.id ? "bg-wash" : ""}`}
              >
                {one.name}
                <span className="block text-sm text-faint">
                  {one.family}
                  {twice(one, movements) && `: ${one.form_name.toLowerCase()}`}
                </span>
              </button>
            </li>
          ))}
        </ul>
        {movement ? (
          <MovementSheet id={movement.id} athleteId={athleteId}>
            <span className="flex gap-1">
              {act?.(movement)}
              {movement.id.startsWith(OWN) ? (
                <PutAway movement={movement} />
              ) : (
                <Button onClick={() => make(movement)}>Make your own from it …</Button>
              )}
            </span>
          </MovementSheet>
        ) : (
          <p className="text-faint">Nothing fits: ask for less.</p>
        )}
      </div>
      <CatalogueFile />
    </Dialog>
  );
}

const NOTHING = "nothing";
const OWN = "own:";

/** What was done of it stands; it is offered no more. */
function PutAway({ movement }: { movement: Movement }) {
  const { act, busy, error } = useAct("catalogue");
  const away = () =>
    act(() =>
      answer(
        api.DELETE("/api/own-movements/{movement_id}", {
          params: { path: { movement_id: movement.id.slice(OWN.length) } },
        }),
      ),
    );
  return (
    <>
      <Button busy={busy} onClick={away}>
        Put it away
      </Button>
      <Wrong error={error} />
    </>
  );
}

const any = (names: string[]): (readonly [string, string])[] => [
  ["", "any"],
  ...names.map((name) => [name, name] as const),
];
const distinct = (names: string[]) => [...new Set(names)].sort();
const twice = (one: Movement, all: Movement[]) =>
  all.some(({ id, name }) => id !== one.id && name === one.name);

/** All of them, or those that were found, the likeliest first. */
function inOrder(all: Movement[], ids: string[] | undefined): Movement[] {
  if (!ids) return all;
  const known = new Map(all.map((entry) => [entry.id, entry]));
  return ids.flatMap((id) => known.get(id) ?? []);
}

interface Asked {
  family: string;
  muscle: string;
  kit: string;
  tag: string;
}

function fits(one: Movement, asked: Asked, tags: Record<string, string[]>): boolean {
  return (
    (!asked.tag || (tags[one.id] ?? []).includes(asked.tag)) &&
    (!asked.family || one.family === asked.family) &&
    (!asked.muscle || one.muscles.includes(asked.muscle)) &&
    (!asked.kit || (asked.kit === NOTHING ? one.kit.length === 0 : one.kit.includes(asked.kit)))
  );
}

interface SheetProps {
  id: string;
  athleteId: string;
  children: React.ReactNode;
}

function MovementSheet({ id, athleteId, children }: SheetProps) {
  const found = useQuery(queries.movement(id, athleteId));
  const sheet = found.data;
  if (found.error) return <Wrong error={found.error} />;
  if (!sheet) return <p className="text-faint">Drawing …</p>;
  return (
    <section aria-label={sheet.name} className="max-h-[26rem] overflow-y-auto">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h3 className="font-head text-xl">{sheet.name}</h3>
        {children}
      </div>
      <Tags key={id} movementId={id} />
      {sheet.also.length > 0 && <p className="text-faint">also: {sheet.also.join(", ")}</p>}
      <Figure
        figures={sheet.figures}
        width={400}
        height={190}
        label={`${sheet.name}: the start in ink, the other end dashed`}
      />
      <p>
        {sheet.demand ? (
          <>
            <Explained name={sheet.measure_words} figure={sheet.demand} /> {sheet.measure_words},
            for {sheet.whose}
          </>
        ) : (
          <>By effort: the athlete sets the resistance, so nothing is computed.</>
        )}
      </p>
      <p className="text-sm">
        {sheet.regions.map(({ name, share, prime }) => (
          <span key={name} className={prime ? "font-semibold" : "text-faint"}>
            {name} {share} %{" · "}
          </span>
        ))}
        {COUNTED[sheet.unit]}, {sheet.counted}
      </p>
      <p className="text-sm text-faint">
        {sheet.kit.length ? `Needs ${sheet.kit.join(" or ")}. ` : "Needs no kit. "}
        {sheet.depth.length === 2 && `Depth: ${sheet.depth[0]}, at most ${sheet.depth[1]}. `}
        {sheet.stress.length > 0 && `Stress: ${sheet.stress.join(", ")}. `}
        Rest about {sheet.rest_s} s.
      </p>
      <ul className="list-disc pl-5">
        {sheet.cues.map((cue) => (
          <li key={cue}>{cue}</li>
        ))}
      </ul>
      <ul className="list-disc pl-5 text-sm">
        {sheet.faults.map(({ name, remedy, easier }) => (
          <li key={name}>
            <b>{name}</b>: {remedy}
            {easier && ` Easier: ${easier}.`}
          </li>
        ))}
      </ul>
      {sheet.cautions.map((caution) => (
        <p key={caution} className="text-sm text-watch">
          ◆ {caution}
        </p>
      ))}
      {sheet.says && <p className="text-sm text-faint">{sheet.says}</p>}
    </section>
  );
}

const COUNTED: Record<Schema["MovementOut"]["unit"], string> = {
  reps: "counted in reps",
  s: "held, in seconds",
  cm: "by distance",
};
