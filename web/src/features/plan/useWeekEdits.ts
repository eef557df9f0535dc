/** What a coach changes of a week by hand: each act is kept with a note that says what it was. */
import { answer, api } from "../../common/api/client";
import { useAct } from "../../common/hooks/useAct";
import { type Draft, draftOf, moved, pinTurned, type Sheet, swapped } from "./plan";

/** Keep a draft; `bound` is of a solved one. */
export type Keep = (
  next: Draft,
  note: string,
  bound?: number | null,
  then?: () => void,
) => Promise<void>;

export function useWeekEdits(sheet: Sheet) {
  const { act, busy, error } = useAct("athlete", "squad");
  const draft = draftOf(sheet);
  const params = {
    path: { athlete_id: sheet.athlete_id },
    query: { week_start: sheet.week_start },
  };

  const keep: Keep = (next, note, bound = null, then = () => {}) =>
    act(
      () =>
        answer(
          api.PUT("/api/athletes/{athlete_id}/week", {
            params,
            body: { ...next, number: sheet.revision, bound, note },
          }),
        ),
      then,
    );
  const undo = () =>
    act(() =>
      answer(
        api.POST("/api/athletes/{athlete_id}/week/undo", {
          params: { ...params, header: { "If-Match": String(sheet.revision) } },
        }),
      ),
    );
  const move = (key: string, from: number, to: number, words: string, then: () => void) =>
    keep(moved(draft, key, from, to), `moved ${words} to ${nameOf(sheet, to)}`, null, then);
  const pin = (key: string, day: number, there: boolean, words: string) => {
    const note = there ? "pinned" : "kept off";
    return keep(pinTurned(draft, key, day, there), `${note} ${words}, ${nameOf(sheet, day)}`);
  };
  const swap = (day: number, other: number, then: () => void) => {
    const note = `swapped ${nameOf(sheet, day)} and ${nameOf(sheet, other)}`;
    return keep(swapped(draft, day, other), note, null, then);
  };
  const lose = (index: number) => {
    const days = turned(draft.lost.days, index);
    const lost = days.includes(index);
    const placed = draft.placed.filter(({ day }) => !days.includes(day));
    const note = `${nameOf(sheet, index)} ${lost ? "skipped" : "restored"}`;
    return keep({ ...draft, placed, lost: { ...draft.lost, days } }, note);
  };
  const losePlace = (place: string, words: string) => {
    const places = turned(draft.lost.places, place);
    const note = `${words} ${places.includes(place) ? "skipped" : "restored"}`;
    return keep({ ...draft, lost: { ...draft.lost, places } }, note);
  };
  return { draft, keep, undo, move, pin, swap, lose, losePlace, busy, error };
}

/** With what was not there, or without what was. */
const turned = <T>(those: T[], one: T): T[] =>
  those.includes(one) ? those.filter((other) => other !== one) : [...those, one];

export const nameOf = (sheet: Sheet, index: number) =>
  sheet.days.find((day) => day.index === index)?.name ?? "";
