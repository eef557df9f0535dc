/** What a session is built from while it is built: groups and slots, each with a name of its own. */
import type { Schema } from "../../../common/api/client";
import { VOCABULARY } from "../../../common/vocabulary";

export type Slot = Schema["SlotOf"];
export type Block = Schema["ShapeBlockOf"];
export type Exactly = Schema["ExactlyOf"];
export type Following = Schema["FollowingOf"];
export type Instead = Schema["InsteadOf"];
export type Movement = Schema["MovementOut"];

/** A slot or a group has no name of its own; its row has. */
export interface Row<T> {
  id: string;
  of: T;
}

export interface Group {
  block: Omit<Block, "slots">;
  slots: Row<Slot>[];
}

export const FORMATS = [...new Set([...VOCABULARY.formatsAlone, ...VOCABULARY.formatsTogether])];
const TOGETHER: readonly string[] = VOCABULARY.formatsTogether;
export const isTogether = (format: Block["format"]) => TOGETHER.includes(format);
const CHAINED: readonly string[] = VOCABULARY.formatsChained;
export const isChained = (format: Block["format"]) => CHAINED.includes(format);

export const NOTHING: Exactly = {
  low: null,
  high: null,
  rpe: null,
  rest: null,
  tempo: "",
  range: "",
  sides: "",
  attempt: false,
  bag: 0,
  belt: 0,
  hands: 0,
  ankles: 0,
  assistance: 0,
  band: "",
  values: {},
  in_turn: "",
};

export const row = <T>(of: T): Row<T> => ({ id: crypto.randomUUID(), of });

export const straight = (): Row<Group> =>
  row<Group>({ block: { format: "straight sets", rounds: 3 }, slots: [] });

export const groupsOf = (blocks: Block[]): Row<Group>[] =>
  blocks.map(({ slots, ...block }) => row<Group>({ block, slots: slots.map(row) }));

export const blocksOf = (groups: Row<Group>[]): Block[] =>
  groups.map(({ of }) => ({ ...of.block, slots: of.slots.map(({ of: slot }) => slot) }));

export const slotOf = (movement: Movement): Slot => ({
  family: movement.family,
  movements: [movement.id],
  purpose: "strength",
  sets: 3,
  exact: true,
  asked: NOTHING,
});

/** In rounds the group's rests are kept: none of a movement's own. */
export const withoutRest = ({ id, of }: Row<Slot>): Row<Slot> => ({
  id,
  of: {
    ...of,
    asked: { ...NOTHING, ...of.asked, rest: null },
    each: of.each?.map((exact) => ({ ...exact, rest: null })) ?? [],
  },
});

/** Comma and point are both decimals; nothing typed is nothing asked. */
export const figure = (typed: string): number | null =>
  typed.trim() === "" ? null : Number(typed.replace(",", "."));
