/** Movements done together in one format, with its rounds, rests and clock. */
import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { queries } from "../../../common/api/queries";
import { MovementPicker } from "../../../common/movement/MovementPicker";
import { Button } from "../../../common/ui/Button";
import { Choice, Field } from "../../../common/ui/Field";
import {
  type Block,
  FORMATS,
  figure,
  type Group,
  isChained,
  isTogether,
  type Row,
  row,
  type Slot,
  slotOf,
  withoutRest,
} from "./rows";
import { SlotPart } from "./SlotPart";
import { Sortable } from "./Sortable";

interface Props {
  number: number;
  group: Group;
  handle: ReactNode;
  onChange: (change: (group: Group) => Group) => void;
  onRemove: () => void;
}

/** What a group has where nothing is typed, s. */
const USUAL = { between: "60 or 20", round_rest: "90", work: "40" };

export function GroupPart({ number, group, handle, onChange, onRemove }: Props) {
  const movements = useQuery(queries.catalogue).data?.movements ?? [];
  const { block, slots } = group;
  const together = isTogether(block.format);
  const clocked = block.format === "interval";
  const setBlock = (change: Partial<Group["block"]>) =>
    onChange((now) => ({ ...now, block: { ...now.block, ...change } }));
  const changeFormat = (format: Block["format"]) =>
    onChange((now) => ({
      block: { format, rounds: 3 },
      slots: now.slots
        .map(isTogether(format) ? withoutRest : (one) => one)
        .map(({ id, of }) => ({ id, of: chained(of, format) })),
    }));
  const setSlots = (change: (slots: Row<Slot>[]) => Row<Slot>[]) =>
    onChange((now) => ({ ...now, slots: change(now.slots) }));
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
          options={FORMATS.map((format) => [format, format] as const)}
          onChange={(event) => changeFormat(event.target.value as Block["format"])}
        />
        {clocked && (
          <Field
            label="Rounds"
            inputMode="numeric"
            value={block.rounds ?? ""}
            onChange={(event) => setBlock({ rounds: figure(event.target.value) ?? 3 })}
          />
        )}
        {clocked && seconds("Work", "work")}
        {together && seconds(clocked ? "Change over" : "Between", "between")}
        {together && seconds("After a round", "round_rest")}
        <div className="flex gap-1 pb-6">
          {handle}
          <Button quiet onClick={onRemove} aria-label={`Take group ${number} away`}>
            ×
          </Button>
        </div>
      </div>
      <Sortable
        rows={slots}
        onOrder={(next) => setSlots(() => next)}
        nameOf={({ of }) => movements.find(({ id }) => id === of.movements?.[0])?.name ?? of.family}
      >
        {({ id, of }, slotHandle) => (
          <SlotPart
            slot={of}
            rests={!together}
            chains={isChained(block.format)}
            drops={block.format === "drop set"}
            handle={slotHandle}
            onChange={(change) =>
              setSlots((now) =>
                now.map((one) => (one.id === id ? { id, of: { ...one.of, ...change } } : one)),
              )
            }
            onRemove={() => setSlots((now) => now.filter((one) => one.id !== id))}
          />
        )}
      </Sortable>
      <MovementPicker
        label="Add a movement"
        onPick={(movement) => setSlots((now) => [...now, row(slotOf(movement))])}
      />
    </section>
  );
}

/** What follows a set, as the format has it: after the last alone in a drop set. */
function chained(slot: Slot, format: Block["format"]): Slot {
  if (!isChained(format)) return { ...slot, followed_by: [] };
  return {
    ...slot,
    followed_by: slot.followed_by?.map((one) => ({ ...one, every: format !== "drop set" })) ?? [],
  };
}
