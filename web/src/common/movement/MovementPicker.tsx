/** Type what it is called; Enter takes the first. */
import { useQuery } from "@tanstack/react-query";
import { type KeyboardEvent, useEffect, useState } from "react";
import type { Schema } from "../api/client";
import { queries } from "../api/queries";
import { Button } from "../ui/Button";
import { Field } from "../ui/Field";

type Movement = Schema["MovementOut"];

interface Props {
  label: string;
  onPick: (movement: Movement) => void;
}

const SHOWN = 6;

export function MovementPicker({ label, onPick }: Props) {
  const [words, setWords] = useState("");
  const movements = useQuery(queries.catalogue).data?.movements ?? [];
  const asked = words.trim();
  const called = useQuery({ ...queries.movementsCalled(asked), enabled: asked !== "" });
  // what was found for the words before is shown until these are answered, and never picked
  const answered = asked !== "" && called.data !== undefined && !called.isPlaceholderData;
  const found = asked
    ? (called.data?.ids ?? [])
        .flatMap((id) => movements.find((movement) => movement.id === id) ?? [])
        .slice(0, SHOWN)
    : [];
  const [entered, enter] = useState(false);
  const pick = (movement: Movement | undefined) => {
    enter(false);
    if (!movement) return;
    onPick(movement);
    setWords("");
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key !== "Enter") return;
    event.preventDefault();
    enter(asked !== "");
  };
  useEffect(() => {
    if (entered && answered) pick(found[0]);
  });
  return (
    <div className="max-w-md">
      <Field
        label={label}
        value={words}
        onChange={(event) => {
          enter(false);
          setWords(event.target.value);
        }}
        onKeyDown={onKeyDown}
        hint="Enter takes the first"
      />
      <ul>
        {found.map((one) => (
          <li key={one.id}>
            <Button quiet disabled={!answered} onClick={() => pick(one)}>
              {one.name} <span className="text-faint">{one.family}</span>
            </Button>
          </li>
        ))}
      </ul>
    </div>
  );
}
