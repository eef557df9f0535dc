/** What a coach does to a ladder's order: each act draws what came of it. */
import { useQueryClient } from "@tanstack/react-query";
import { flushSync } from "react-dom";
import { answer, api, type Schema } from "../../common/api/client";
import { queries } from "../../common/api/queries";
import { useAct, useSendId } from "../../common/hooks/useAct";
import { beside, freeName, freshRung } from "../../common/ladder/rungs";

export function useLadderActs(sheet: Schema["LadderSheet"]) {
  const client = useQueryClient();
  const [newId, nextId] = useSendId();
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const path = { path: { ladder_id: sheet.id } };

  /** Draw what came back at once, so that nobody asks for a rung that is gone. */
  const turn = (way: "undo" | "redo") =>
    act(async () => {
      const made = await answer(
        api.POST(`/api/ladders/{ladder_id}/${way}`, {
          params: { ...path, header: { "If-Match": sheet.version } },
        }),
      );
      flushSync(() => client.setQueryData(queries.ladder(sheet.id).queryKey, made));
    });

  const move = (index: number, position: number) => {
    const moved = sheet.rungs[index];
    if (!moved || position < 0 || position >= sheet.rungs.length) return;
    act(() =>
      answer(
        api.POST("/api/ladders/{ladder_id}/rungs/{rung_id}/position", {
          params: { path: { ladder_id: sheet.id, rung_id: moved.id } },
          body: { position },
        }),
      ),
    );
  };

  /** Put a movement beside a rung, and go on with the new one's id. */
  const add = (
    movement: Schema["MovementOut"],
    rung: Schema["RungOut"],
    side: "above" | "below",
    then: (id: string) => void,
  ) =>
    act(
      () =>
        answer(
          api.POST("/api/ladders/{ladder_id}/rungs", {
            params: path,
            body: {
              ...freshRung(movement, freeName(sheet, movement.name)),
              id: newId,
              ...beside(sheet, rung.id, side),
            },
          }),
        ),
      () => {
        then(newId);
        nextId();
      },
    );

  const resume = () =>
    act(() => answer(api.POST("/api/ladders/{ladder_id}/resume", { params: path })));

  return {
    undo: () => turn("undo"),
    redo: () => turn("redo"),
    move,
    add,
    resume,
    busy,
    error,
  };
}
