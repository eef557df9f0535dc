/** What is asked of every week, and putting it back changed. */
import { answer, api, type Schema } from "../../common/api/client";

/** Asked for, most of it may be left out; answered, all of it is there. */
type Complete<T> = T extends (infer One)[]
  ? Complete<One>[]
  : T extends object
    ? { [Name in keyof T]-?: Complete<T[Name]> }
    : T;

export type Availability = Complete<Schema["AvailabilityRequest"]>;
export type Lost = Complete<Schema["Losses"]>;

type Sheet = Schema["WeekSheet"];

export const availabilityOf = (sheet: Sheet) => sheet.availability as Availability;
export const lostOf = (sheet: Sheet) => sheet.lost as Lost;
export type Extra = Availability["extras"][number];
export type Edit = Availability["hands"]["edits"][number];

export function keepAvailability(sheet: Sheet, availability: Availability) {
  return answer(
    api.PUT("/api/athletes/{athlete_id}/week/availability", {
      params: {
        path: { athlete_id: sheet.athlete_id },
        query: { week_start: sheet.week_start },
        header: { "If-Match": sheet.availability_version },
      },
      body: availability,
    }),
  );
}

/** The availability with one item's sets and format in place of what was set by hand before. */
export function withEdit(availability: Availability, edit: Edit | null, key: string): Availability {
  const others = availability.hands.edits.filter((edit) => edit.key !== key);
  const edits = edit ? [...others, edit] : others;
  return { ...availability, hands: { ...availability.hands, edits } };
}

export function withExtra(availability: Availability, extra: Extra): Availability {
  const others = availability.extras.filter(({ movement }) => movement !== extra.movement);
  return { ...availability, extras: [...others, extra] };
}

export function withoutExtra(availability: Availability, movement: string): Availability {
  return {
    ...availability,
    extras: availability.extras.filter((extra) => extra.movement !== movement),
  };
}
