/** What is asked of every week, and putting it back changed. */
import { answer, api, type Schema } from "../../common/api/client";

/** Asked for, most of it may be left out; answered, all of it is there. */
type Told<T> = T extends (infer One)[]
  ? Told<One>[]
  : T extends object
    ? { [Name in keyof T]-?: Told<T[Name]> }
    : T;

export type Wishes = Told<Schema["AvailabilityRequest"]>;
export type Lost = Told<Schema["Losses"]>;

type Sheet = Schema["WeekSheet"];

export const wishesOf = (sheet: Sheet) => sheet.wishes as Wishes;
export const lostOf = (sheet: Sheet) => sheet.lost as Lost;
export type Extra = Wishes["extras"][number];
export type Edit = Wishes["hands"]["edits"][number];

export function keepWishes(sheet: Sheet, wishes: Wishes) {
  return answer(
    api.PUT("/api/athletes/{athlete_id}/week/wishes", {
      params: { path: { athlete_id: sheet.athlete_id }, query: { monday: sheet.monday } },
      body: wishes,
    }),
  );
}

/** The wishes with one item's sets and format in place of what was set by hand before. */
export function withEdit(wishes: Wishes, edit: Edit | null, key: string): Wishes {
  const others = wishes.hands.edits.filter((one) => one.key !== key);
  const edits = edit ? [...others, edit] : others;
  return { ...wishes, hands: { ...wishes.hands, edits } };
}

export function withExtra(wishes: Wishes, extra: Extra): Wishes {
  const others = wishes.extras.filter(({ movement }) => movement !== extra.movement);
  return { ...wishes, extras: [...others, extra] };
}

export function withoutExtra(wishes: Wishes, movement: string): Wishes {
  return { ...wishes, extras: wishes.extras.filter((one) => one.movement !== movement) };
}
