import { useQuery } from "@tanstack/react-query";
import type { FormEvent } from "react";
import { useNavigate } from "react-router";
import { answer, api, type Schema } from "../../api/client";
import { queries } from "../../api/queries";
import { Button } from "../../parts/Button";
import { Dialog } from "../../parts/Dialog";
import { Choice, Field } from "../../parts/Field";
import { UNCHANGED } from "../../parts/setups";
import { useAct, useSendId } from "../../parts/useAct";
import { Wrong } from "../../parts/Wrong";

/** Tests that any room allows, from easy to hard. */
const TESTS = {
  knees: { movement: "knee-push-up" },
  chair: { movement: "push-up", values: { hand_height: 0.45 } },
  floor: { movement: "push-up" },
} as const;
type TestName = keyof typeof TESTS;

/** A ready ladder for an athlete, entered where one test says. */
export function LadderDialog({
  line,
  onClose,
}: {
  line: Schema["SquadLine"];
  onClose: () => void;
}) {
  const catalogue = useQuery(queries.catalogue).data;
  const navigate = useNavigate();
  const { act, busy, error } = useAct();
  const [testId] = useSendId();

  function send(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    const text = (name: string) => String(typed.get(name));
    const body = {
      ready_ladder: text("ready"),
      purpose: text("purpose") as Schema["NewLadder"]["purpose"],
      level: text("level") as Schema["NewLadder"]["level"],
      test: {
        ...UNCHANGED,
        effort: 10,
        ...TESTS[text("test") as TestName],
        id: testId,
        reps: Number(text("reps")),
      },
    };
    act(
      () =>
        answer(
          api.POST("/api/athletes/{athlete_id}/ladders", {
            params: { path: { athlete_id: line.id } },
            body,
          }),
        ),
      (ladder) => {
        onClose();
        navigate(`/ladder/${ladder.id}`);
      },
    );
  }

  return (
    <Dialog
      open
      onOpenChange={onClose}
      title={`A ladder for ${line.name}`}
      about="One test of strict reps to the end places them. Warm up first; stop when form goes, at any sharp pain, dizziness or chest pain."
    >
      <form onSubmit={send}>
        <Choice
          label="Ready ladder"
          name="ready"
          options={(catalogue?.ladders ?? []).map((one) => [one.id, one.goal])}
        />
        <Choice
          label="Purpose"
          name="purpose"
          defaultValue="strength"
          options={[
            ["learn", "learn the movement"],
            ["strength", "strength, 6–10 reps"],
            ["size", "size, 8–12 reps"],
            ["endurance", "endurance, 12–15 reps"],
            ["keep", "keep what is there"],
          ]}
        />
        <Choice
          label="Level"
          name="level"
          options={[
            ["beginner", "beginner, 2 sets"],
            ["intermediate", "intermediate, 3 sets"],
            ["advanced", "advanced, 4 sets"],
          ]}
        />
        <Choice
          label="Tested on"
          name="test"
          defaultValue="floor"
          options={[
            ["knees", "Knee push-up"],
            ["chair", "Push-up with hands on a chair, 45 cm"],
            ["floor", "Floor push-up"],
          ]}
        />
        <Field
          label="Reps to the end"
          name="reps"
          unit="reps"
          type="number"
          min={1}
          max={200}
          required
          hint="A count under 15 says most."
        />
        <Wrong error={error} />
        <Button main type="submit" busy={busy} className="mt-3">
          Draw the ladder
        </Button>
      </form>
    </Dialog>
  );
}
