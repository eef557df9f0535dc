import { useQuery } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { useNavigate } from "react-router";
import { answer, api, type Schema } from "../../common/api/client";
import { queries } from "../../common/api/queries";
import { useAct, useSendId } from "../../common/hooks/useAct";
import { changesOf } from "../../common/movement/setups";
import { Button } from "../../common/ui/Button";
import { Dialog } from "../../common/ui/Dialog";
import { Choice, Field } from "../../common/ui/Field";
import { Wrong } from "../../common/ui/Wrong";

/** A ready ladder for an athlete, entered where one test says. */
export function LadderDialog({
  line,
  onClose,
}: {
  line: Schema["SquadLineOut"];
  onClose: () => void;
}) {
  const catalogue = useQuery(queries.catalogue).data;
  const navigate = useNavigate();
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const [testId] = useSendId();
  const [ready, setReady] = useState("push-up");
  const [tested, setTested] = useState("");
  const family = catalogue?.ladders.find(({ id }) => id === ready)?.family;
  const tests = (catalogue?.tests ?? []).filter(
    (test) => test.family === family && test.tells_capacity,
  );
  const test = tests.find(({ id }) => id === tested);

  function send(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    const text = (name: string) => String(typed.get(name));
    const test = tests.find(({ id }) => id === text("test"));
    const amount = Number(text("amount"));
    const body = {
      ready_ladder: text("ready"),
      goal: "",
      purpose: text("purpose") as Schema["NewLadder"]["purpose"],
      level: text("level") as Schema["NewLadder"]["level"],
      test: test
        ? {
            ...changesOf(test),
            id: testId,
            movement: test.movement,
            rpe: 10,
            side: "" as const,
            amount,
          }
        : null,
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
      about="One test, as many as possible, places them. Warm up first; stop when form goes, at any sharp pain, dizziness or chest pain."
    >
      <form onSubmit={send}>
        <Choice
          label="Ready ladder"
          name="ready"
          value={ready}
          onChange={(event) => {
            setReady(event.target.value);
            setTested("");
          }}
          options={(catalogue?.ladders ?? []).map((ladder) => [ladder.id, ladder.goal])}
        />
        <Choice
          label="Purpose"
          name="purpose"
          defaultValue="strength"
          options={[
            ["learn", "learn the movement"],
            ["strength", "strength"],
            ["size", "size"],
            ["endurance", "endurance"],
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
          value={tested}
          onChange={(event) => setTested(event.target.value)}
          options={[
            ["", "a test that is kept already"],
            ...tests.map(({ id, name }) => [id, name] as const),
          ]}
        />
        {test && (
          <Field
            label={test.unit === "s" ? "Longest clean hold, s" : "As many clean reps as possible"}
            name="amount"
            unit={test.unit}
            type="number"
            min={1}
            max={test.unit === "s" ? 3600 : 200}
            required
            hint={test.how}
          />
        )}
        <Wrong error={error} />
        <Button main type="submit" busy={busy} className="mt-3">
          Draw the ladder
        </Button>
      </form>
    </Dialog>
  );
}
