/** A ladder from nothing: a goal, and a first rung to build on. */
import { useState } from "react";
import { useNavigate } from "react-router";
import { answer, api, type Schema } from "../api/client";
import { useAct, useSendId } from "../hooks/useAct";
import { MovementFinder } from "../movement/MovementFinder";
import { Button } from "../ui/Button";
import { Dialog } from "../ui/Dialog";
import { Field } from "../ui/Field";
import { Wrong } from "../ui/Wrong";
import { freshRung } from "./rungs";

interface Props {
  athleteId: string;
  name: string;
  onClose: () => void;
}

export function OwnLadderDialog({ athleteId, name, onClose }: Props) {
  const [goal, setGoal] = useState("");
  const [named, setNamed] = useState(false);
  const [id] = useSendId();
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const navigate = useNavigate();

  const begin = (movement: Schema["MovementOut"]) =>
    act(
      () =>
        answer(
          api.POST("/api/athletes/{athlete_id}/ladders", {
            params: { path: { athlete_id: athleteId } },
            body: {
              goal,
              first: { ...freshRung(movement), id },
              purpose: "strength",
              level: "beginner",
            },
          }),
        ),
      (made) => {
        onClose();
        navigate(`/ladder/${made.id}`);
      },
    );

  if (named)
    return (
      <MovementFinder
        athleteId={athleteId}
        title={`The first rung toward “${goal}”`}
        act={(movement) => (
          <>
            <Wrong error={error} />
            <Button main busy={busy} onClick={() => begin(movement)}>
              Begin with this
            </Button>
          </>
        )}
        onClose={onClose}
      />
    );
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title={`A ladder of your own for ${name}`}
      about="Name what it leads to; the easiest rung comes next, and the rest on the ladder itself."
    >
      <form
        onSubmit={(event) => {
          event.preventDefault();
          setNamed(goal.trim() !== "");
        }}
      >
        <Field
          label="Goal"
          value={goal}
          required
          maxLength={120}
          onChange={(event) => setGoal(event.target.value)}
        />
        <Button main type="submit" className="mt-3">
          Pick the first rung …
        </Button>
      </form>
    </Dialog>
  );
}
