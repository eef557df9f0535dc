/** A movement of a group: who decides, what is asked, what follows it, what is done in its place. */
import { useQuery } from "@tanstack/react-query";
import { type ReactNode, useState } from "react";
import { queries } from "../../../common/api/queries";
import { MovementPicker } from "../../../common/movement/MovementPicker";
import { Button } from "../../../common/ui/Button";
import { VOCABULARY } from "../../../common/vocabulary";
import { AskedFields, Box, Pick, SeldomFields } from "./AskedFields";
import { type Exactly, type Following, figure, type Instead, NOTHING, type Slot } from "./rows";

interface Props {
  slot: Slot;
  /** Whether its sets keep rests of their own; in rounds the group's are kept. */
  rests: boolean;
  /** Whether its sets may go on to something without a rest. */
  chains: boolean;
  /** Whether what follows comes after the last set alone. */
  drops: boolean;
  handle: ReactNode;
  onChange: (change: Partial<Slot>) => void;
  onRemove: () => void;
}

const MOST_SETS = 12;

export function SlotPart({ slot, rests, chains, drops, handle, onChange, onRemove }: Props) {
  const movements = useQuery(queries.catalogue).data?.movements ?? [];
  const called = (id: string) => movements.find((movement) => movement.id === id)?.name ?? id;
  const name = slot.movements?.[0] ? called(slot.movements[0]) : slot.family;
  const asked = { ...NOTHING, ...slot.asked };
  const each = slot.each ?? [];
  const differ = (yes: boolean) => {
    const count = Math.min(MOST_SETS, slot.sets ?? 3);
    onChange(
      yes
        ? { each: Array.from({ length: count }, () => asked), sets: count }
        : { each: [], asked: each[0] ?? asked },
    );
  };
  return (
    <div className="flex flex-wrap items-end gap-2 border-t border-hair py-2">
      <div className="flex w-full items-center justify-between">
        <span>
          {handle}
          <strong className="font-head">{name}</strong>
        </span>
        <Button quiet onClick={onRemove} aria-label={`Take ${name} away`}>
          ×
        </Button>
      </div>
      <Pick
        of={name}
        words="who decides"
        value={slot.exact ? "exact" : "own"}
        options={[
          ["exact", "exactly this"],
          ["own", "their current rung"],
        ]}
        onPick={(who) => onChange({ exact: who === "exact" })}
      />
      {each.length === 0 && (
        <>
          <Box
            of={name}
            words="sets"
            value={slot.sets}
            put={(sets) => onChange({ sets: figure(sets) })}
          />
          <AskedFields
            name={name}
            asked={asked}
            rests={rests}
            onChange={(next) => onChange({ asked: next })}
          />
        </>
      )}
      <details className="w-full" open={isSpecial(slot)}>
        <summary className="min-h-11 cursor-pointer py-2 text-sm">
          Range, sides, sets that differ, what follows, if not then
        </summary>
        <div className="flex flex-wrap items-end gap-2">
          <SeldomFields
            name={name}
            asked={asked}
            onChange={(next) =>
              onChange({
                asked: next,
                each: each.map((exact) => ({ ...exact, ...seldomOf(next) })),
              })
            }
          />
          {slot.exact && (
            <SetUp
              name={name}
              movement={slot.movements?.[0] ?? ""}
              values={asked.values ?? {}}
              onChange={(values) =>
                onChange({
                  asked: { ...asked, values },
                  each: each.map((exact) => ({ ...exact, values })),
                })
              }
            />
          )}
          <label className="flex min-h-11 items-center gap-2 text-sm">
            <input
              type="checkbox"
              checked={each.length > 0}
              aria-label={`${name}, sets differ`}
              onChange={(event) => differ(event.target.checked)}
            />
            sets differ
          </label>
        </div>
        {each.length > 0 && (
          <EachSet
            name={name}
            each={each}
            rests={rests}
            onChange={(next) => onChange({ each: next, sets: next.length || null })}
          />
        )}
        <InTurn
          name={name}
          other={asked.in_turn ?? ""}
          called={called}
          onChange={(in_turn) =>
            onChange({
              asked: { ...asked, in_turn },
              each: each.map((exact) => ({ ...exact, in_turn })),
            })
          }
        />
        {chains && (
          <Chain
            name={name}
            then={slot.followed_by ?? []}
            drops={drops}
            called={called}
            onChange={(then) => onChange({ followed_by: then })}
          />
        )}
        <IfNot
          name={name}
          instead={slot.instead ?? []}
          called={called}
          onChange={(instead) => onChange({ instead })}
        />
      </details>
    </div>
  );
}

const isSpecial = ({ asked, each, followed_by: then, instead }: Slot) =>
  Boolean(
    Object.keys(asked?.values ?? {}).length ||
      asked?.range ||
      asked?.sides ||
      asked?.attempt ||
      asked?.in_turn ||
      each?.length ||
      then?.length ||
      instead?.length,
  );

const seldomOf = ({ range, sides, attempt }: Exactly) => ({ range, sides, attempt });

interface SetUpProps {
  name: string;
  movement: string;
  values: Record<string, number>;
  onChange: (values: Record<string, number>) => void;
}

/** Heights and angles of a movement's set-up: metres and degrees, as its form knows them. */
function SetUp({ name, movement, values, onChange }: SetUpProps) {
  const movements = useQuery(queries.catalogue).data?.movements ?? [];
  const forms = useQuery(queries.forms).data?.forms ?? [];
  const form = movements.find(({ id }) => id === movement)?.form;
  const parameters = forms.find(({ id }) => id === form)?.parameters ?? [];
  const [picked, pick] = useState(Object.keys(values)[0] ?? "");
  const one = parameters.find((parameter) => parameter.name === picked) ?? parameters[0];
  if (!one) return null;
  const { [one.name]: now, ...others } = values;
  return (
    <>
      <Pick
        of={name}
        words="set up"
        value={one.name}
        options={parameters.map((each) => [each.name, `${each.label}, ${each.unit}`] as const)}
        onPick={pick}
      />
      <Box
        key={one.name}
        of={name}
        words={one.unit}
        value={now ?? null}
        put={(typed) => {
          const value = figure(typed);
          onChange(value === null ? others : { ...others, [one.name]: value });
        }}
      />
    </>
  );
}

interface EachProps {
  name: string;
  each: Exactly[];
  rests: boolean;
  onChange: (each: Exactly[]) => void;
}

function EachSet({ name, each, rests, onChange }: EachProps) {
  const last = each.at(-1) ?? NOTHING;
  return (
    <div className="border-l-2 border-line pl-2">
      {each.map((exact, at) => (
        <div
          // biome-ignore lint/suspicious/noArrayIndexKey: a set is known by its number alone
          key={at}
          className="flex flex-wrap items-end gap-2 py-1"
        >
          <span className="w-12 pb-1">set {at + 1}</span>
          <AskedFields
            name={`${name}, set ${at + 1}`}
            asked={exact}
            rests={rests}
            onChange={(next) => onChange(each.map((other, i) => (i === at ? next : other)))}
          />
        </div>
      ))}
      <Button disabled={each.length >= MOST_SETS} onClick={() => onChange([...each, last])}>
        Add a set
      </Button>{" "}
      <Button disabled={each.length <= 1} onClick={() => onChange(each.slice(0, -1))}>
        A set less
      </Button>
    </div>
  );
}

interface InTurnProps {
  name: string;
  other: string;
  called: (id: string) => string;
  onChange: (movement: string) => void;
}

/** Another movement, done rep by rep in turn with it. */
function InTurn({ name, other, called, onChange }: InTurnProps) {
  return (
    <fieldset className="border-l-2 border-line pl-2">
      <legend className="lettering">In turn with, one rep of each</legend>
      {other ? (
        <p className="flex items-center gap-2">
          {called(other)}
          <Button quiet aria-label={`Take ${called(other)} away`} onClick={() => onChange("")}>
            ×
          </Button>
        </p>
      ) : (
        <MovementPicker label={`In turn with ${name}`} onPick={({ id }) => onChange(id)} />
      )}
    </fieldset>
  );
}

interface ChainProps {
  name: string;
  then: Following[];
  drops: boolean;
  called: (id: string) => string;
  onChange: (then: Following[]) => void;
}

function Chain({ name, then, drops, called, onChange }: ChainProps) {
  const add = (movement: string) =>
    onChange([...then, { movement, asked: NOTHING, pause: 0, every: !drops }]);
  const put = (at: number, change: Partial<Following>) =>
    onChange(then.map((one, i) => (i === at ? { ...one, ...change } : one)));
  return (
    <fieldset className="border-l-2 border-line pl-2">
      <legend className="lettering">
        {drops ? "The last set drops to" : "Goes straight on to"}
      </legend>
      {then.map((one, at) => {
        const label = one.movement ? called(one.movement) : `${name} again`;
        const asked = { ...NOTHING, ...one.asked };
        return (
          <div
            // biome-ignore lint/suspicious/noArrayIndexKey: a part is known by its place alone
            key={at}
            className="flex flex-wrap items-end gap-2 py-1"
          >
            <strong className="w-full">{label}</strong>
            <AskedFields
              name={label}
              asked={asked}
              rests={false}
              onChange={(next) => put(at, { asked: next })}
            />
            <SeldomFields
              name={label}
              asked={asked}
              onChange={(next) => put(at, { asked: next })}
            />
            <Box
              of={label}
              words="pause, s"
              value={one.pause || null}
              put={(pause) => put(at, { pause: figure(pause) ?? 0 })}
            />
            <Button
              quiet
              aria-label={`Take ${label} away`}
              onClick={() => onChange(then.filter((_, i) => i !== at))}
            >
              ×
            </Button>
          </div>
        );
      })}
      <Button onClick={() => add("")}>The same, done another way</Button>
      <MovementPicker label={`After ${name}`} onPick={({ id }) => add(id)} />
    </fieldset>
  );
}

interface IfNotProps {
  name: string;
  instead: Instead[];
  called: (id: string) => string;
  onChange: (instead: Instead[]) => void;
}

function IfNot({ name, instead, called, onChange }: IfNotProps) {
  return (
    <fieldset className="border-l-2 border-line pl-2">
      <legend className="lettering">If not, then</legend>
      <ul>
        {instead.map((substitute, at) => (
          <li
            key={`${substitute.when} ${substitute.movement}`}
            className="flex flex-wrap items-end gap-2"
          >
            <Pick
              of={called(substitute.movement)}
              words="when"
              value={substitute.when}
              options={VOCABULARY.insteadReasons.map((when) => [when, when] as const)}
              onPick={(when) =>
                onChange(instead.map((other, i) => (i === at ? { ...other, when } : other)))
              }
            />
            <span className="pb-1">{called(substitute.movement)}</span>
            <Button
              quiet
              aria-label={`Take ${called(substitute.movement)} away`}
              onClick={() => onChange(instead.filter((_, i) => i !== at))}
            >
              ×
            </Button>
          </li>
        ))}
      </ul>
      <MovementPicker
        label={`In place of ${name}`}
        onPick={({ id }) => onChange([...instead, { when: "kit missing", movement: id }])}
      />
    </fieldset>
  );
}
