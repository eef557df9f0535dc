/** A session of the coach's own: movements in groups, each exactly as meant or on their own rung. */
import { useQuery } from "@tanstack/react-query";
import { type KeyboardEvent, useState } from "react";
import { answer, api, type Schema } from "../../../common/api/client";
import { queries } from "../../../common/api/queries";
import { useAct, useSendId } from "../../../common/hooks/useAct";
import { Button } from "../../../common/ui/Button";
import { Dialog } from "../../../common/ui/Dialog";
import { Choice, Field } from "../../../common/ui/Field";
import { Wrong } from "../../../common/ui/Wrong";
import { VOCABULARY } from "../../../common/vocabulary";

type Slot = Schema["SlotOf"];
type Block = Schema["ShapeBlockOf"];
type Exactly = Schema["ExactlyOf"];

/** A slot or a group has no name of its own; its row has. */
interface Row<T> {
  id: string;
  of: T;
}

interface Group {
  block: Omit<Block, "slots">;
  slots: Row<Slot>[];
}

const FORMATS = [...new Set([...VOCABULARY.formatsAlone, ...VOCABULARY.formatsTogether])];
const TOGETHER: readonly string[] = VOCABULARY.formatsTogether;

const row = <T,>(of: T): Row<T> => ({ id: crypto.randomUUID(), of });
const straight = (): Row<Group> =>
  row<Group>({ block: { format: "straight sets", rounds: 3 }, slots: [] });
const groupsOf = (blocks: Block[]): Row<Group>[] =>
  blocks.map(({ slots, ...block }) => row<Group>({ block, slots: slots.map(row) }));

/** Comma and point are both decimals; nothing typed is nothing asked. */
const figure = (typed: string): number | null =>
  typed.trim() === "" ? null : Number(typed.replace(",", "."));

interface Props {
  /** To begin with. */
  from: Block[];
  /** The own session that is changed; a new one if left out. */
  own?: { id: string; name: string } | undefined;
  onClose: () => void;
  onKept: (id: string) => void;
}

export function BuildDialog({ from, own, onClose, onKept }: Props) {
  const [name, setName] = useState(own?.name ?? "");
  const [groups, setGroups] = useState(from.length ? groupsOf(from) : [straight()]);
  const [made, next] = useSendId();
  const id = own?.id ?? made;
  const { act, busy, error } = useAct("athlete", "squad");
  const put = (key: string, change: (group: Group) => Group) =>
    setGroups(groups.map((one) => (one.id === key ? { ...one, of: change(one.of) } : one)));
  const keep = () =>
    act(
      () =>
        answer(
          api.PUT("/api/session-templates/{session_id}", {
            params: { path: { session_id: id } },
            body: {
              name,
              blocks: groups.map(({ of }) => ({
                ...of.block,
                slots: of.slots.map(({ of: slot }) => slot),
              })),
            },
          }),
        ),
      () => {
        next();
        onKept(id);
      },
    );
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title={own ? `Change “${own.name}”` : "Build a session"}
      about="Pick movements and group them. What is left empty is as each one’s own prescription has it; the warm-up makes itself."
      widest
    >
      <Field label="Name" value={name} onChange={(event) => setName(event.target.value)} />
      {groups.map((one, at) => (
        <GroupPart
          key={one.id}
          number={at + 1}
          group={one.of}
          onChange={(change) => put(one.id, change)}
          onUp={() => setGroups(swapped(groups, at, at - 1))}
          onRemove={() => setGroups(groups.filter(({ id: key }) => key !== one.id))}
        />
      ))}
      <Wrong error={error} />
      <div className="flex flex-wrap gap-2 pt-3">
        <Button onClick={() => setGroups([...groups, straight()])}>Add a group</Button>
        <Button main busy={busy} disabled={!name.trim()} onClick={keep}>
          Keep the session
        </Button>
      </div>
    </Dialog>
  );
}

function swapped<T>(all: T[], one: number, other: number): T[] {
  const [a, b] = [all[one], all[other]];
  if (a === undefined || b === undefined) return all;
  return all.map((each, at) => (at === one ? b : at === other ? a : each));
}

interface GroupProps {
  number: number;
  group: Group;
  onChange: (change: (group: Group) => Group) => void;
  onUp: () => void;
  onRemove: () => void;
}

function GroupPart({ number, group, onChange, onUp, onRemove }: GroupProps) {
  const { block, slots } = group;
  const together = TOGETHER.includes(block.format);
  const clocked = block.format === "interval";
  const setBlock = (change: Partial<Group["block"]>) =>
    onChange((now) => ({ ...now, block: { ...now.block, ...change } }));
  const changeFormat = (format: Block["format"]) =>
    onChange((now) => ({
      block: { format, rounds: 3 },
      slots: TOGETHER.includes(format) ? now.slots.map(withoutRest) : now.slots,
    }));
  const setSlots = (next: Row<Slot>[]) => onChange((now) => ({ ...now, slots: next }));
  const seconds = (label: string, field: "between" | "round_rest" | "work") => (
    <Field
      label={`${label}, s`}
      inputMode="numeric"
      placeholder={USUAL[field]}
      value={block[field] ?? ""}
      onChange={(event) => setBlock({ [field]: figure(event.target.value) })}
    />
  );
  return (
    <section aria-label={`Group ${number}`} className="mt-3 border border-line p-2">
      <div className="grid grid-cols-2 items-end gap-2 sm:grid-cols-5">
        <Choice
          label="Done as"
          value={block.format}
          options={FORMATS.map((one) => [one, one] as const)}
          onChange={(event) => changeFormat(event.target.value as Block["format"])}
        />
        {clocked && seconds("Work", "work")}
        {together && seconds(clocked ? "Change over" : "Between", "between")}
        {together && seconds("After a round", "round_rest")}
        <div className="flex gap-1 pb-6">
          <Button quiet disabled={number === 1} onClick={onUp} aria-label={`Group ${number} up`}>
            ↑
          </Button>
          <Button quiet onClick={onRemove} aria-label={`Take group ${number} away`}>
            ×
          </Button>
        </div>
      </div>
      <ol>
        {slots.map((one, at) => (
          <SlotPart
            key={one.id}
            slot={one.of}
            rests={!together}
            onChange={(change) =>
              setSlots(
                slots.map((each) =>
                  each.id === one.id ? { ...each, of: { ...each.of, ...change } } : each,
                ),
              )
            }
            onUp={() => setSlots(swapped(slots, at, at - 1))}
            onRemove={() => setSlots(slots.filter(({ id }) => id !== one.id))}
          />
        ))}
      </ol>
      <Adder onAdd={(slot) => setSlots([...slots, row(slot)])} />
    </section>
  );
}

/** What a group has where nothing is typed, s. */
const USUAL = { between: "60 or 20", round_rest: "90", work: "40" };

const withoutRest = ({ id, of }: Row<Slot>): Row<Slot> => ({
  id,
  of: { ...of, asked: { ...NOTHING, ...of.asked, rest: null } },
});

/** Type what it is called; Enter takes the first. */
function Adder({ onAdd }: { onAdd: (slot: Slot) => void }) {
  const [words, setWords] = useState("");
  const movements = useQuery(queries.catalogue).data?.movements ?? [];
  const asked = words.trim();
  const ids =
    useQuery({ ...queries.movementsCalled(asked), enabled: asked !== "" }).data?.ids ?? [];
  const found = asked
    ? ids.flatMap((id) => movements.find((one) => one.id === id) ?? []).slice(0, 6)
    : [];
  const add = (movement: Schema["MovementOut"] | undefined) => {
    if (!movement) return;
    onAdd({
      family: movement.family,
      movements: [movement.id],
      purpose: "strength",
      sets: 3,
      exact: true,
      asked: NOTHING,
    });
    setWords("");
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key !== "Enter") return;
    event.preventDefault();
    add(found[0]);
  };
  return (
    <div className="max-w-md">
      <Field
        label="Add a movement"
        value={words}
        onChange={(event) => setWords(event.target.value)}
        onKeyDown={onKeyDown}
        hint="Enter takes the first"
      />
      <ul>
        {found.map((one) => (
          <li key={one.id}>
            <Button quiet onClick={() => add(one)}>
              {one.name} <span className="text-faint">{one.family}</span>
            </Button>
          </li>
        ))}
      </ul>
    </div>
  );
}

const NOTHING: Exactly = {
  low: null,
  high: null,
  rpe: null,
  rest: null,
  tempo: "",
  bag: 0,
  belt: 0,
  hands: 0,
  assistance: 0,
};

interface SlotProps {
  slot: Slot;
  /** Whether its sets keep rests of their own; in rounds the group's are kept. */
  rests: boolean;
  onChange: (change: Partial<Slot>) => void;
  onUp: () => void;
  onRemove: () => void;
}

const LOADS = [
  ["bag", "bag, kg"],
  ["belt", "belt, kg"],
  ["hands", "hands, kg"],
  ["assistance", "assistance, kg"],
] as const;

function SlotPart({ slot, rests, onChange, onUp, onRemove }: SlotProps) {
  const movements = useQuery(queries.catalogue).data?.movements ?? [];
  const name = movements.find(({ id }) => id === slot.movements?.[0])?.name ?? slot.family;
  const asked = { ...NOTHING, ...slot.asked };
  const [load, setLoad] = useState<(typeof LOADS)[number][0]>(
    LOADS.find(([field]) => asked[field])?.[0] ?? "bag",
  );
  const ask = (change: Partial<Exactly>) => onChange({ asked: { ...asked, ...change } });
  const box = (words: string, value: string | number, put: (typed: string) => void) => (
    <label className="w-20 text-sm">
      {words}
      <input
        aria-label={`${name}, ${words}`}
        defaultValue={value}
        onChange={(event) => put(event.target.value)}
        className="block w-full border border-line bg-sheet px-1 py-1"
      />
    </label>
  );
  return (
    <li className="flex flex-wrap items-end gap-2 border-t border-hair py-2">
      <div className="flex w-full items-baseline justify-between">
        <strong className="font-head">{name}</strong>
        <span>
          <Button quiet onClick={onUp} aria-label={`${name} up`}>
            ↑
          </Button>
          <Button quiet onClick={onRemove} aria-label={`Take ${name} away`}>
            ×
          </Button>
        </span>
      </div>
      <label className="text-sm">
        who decides
        <select
          aria-label={`${name}, who decides`}
          value={slot.exact ? "exact" : "own"}
          onChange={(event) => onChange({ exact: event.target.value === "exact" })}
          className="block border border-line bg-sheet px-1 py-1"
        >
          <option value="exact">exactly this</option>
          <option value="own">their current rung</option>
        </select>
      </label>
      {box("sets", slot.sets ?? "", (typed) => onChange({ sets: figure(typed) }))}
      {box("from", asked.low ?? "", (typed) => ask({ low: figure(typed) }))}
      {box("to", asked.high ?? "", (typed) => ask({ high: figure(typed) }))}
      {box("effort", asked.rpe ?? "", (typed) => ask({ rpe: figure(typed) }))}
      {rests && box("rest, s", asked.rest ?? "", (typed) => ask({ rest: figure(typed) }))}
      {box("tempo", asked.tempo ?? "", (typed) => ask({ tempo: typed.trim() }))}
      <label className="text-sm">
        load
        <select
          aria-label={`${name}, kind of load`}
          value={load}
          onChange={(event) => {
            const field = event.target.value as typeof load;
            setLoad(field);
            ask({ bag: 0, belt: 0, hands: 0, assistance: 0, [field]: asked[load] });
          }}
          className="block border border-line bg-sheet px-1 py-1"
        >
          {LOADS.map(([field, words]) => (
            <option key={field} value={field}>
              {words}
            </option>
          ))}
        </select>
      </label>
      {box("kg", asked[load] || "", (typed) => ask({ [load]: figure(typed) ?? 0 }))}
    </li>
  );
}
