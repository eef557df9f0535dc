/** Type what it is called; Enter takes the first. */
import { useQuery } from "@tanstack/react-query";
import { type KeyboardEvent, useState } from "react";
import { queries } from "../../../common/api/queries";
import { Button } from "../../../common/ui/Button";
import { Field } from "../../../common/ui/Field";
import type { Movement } from "./rows";

interface Props {
  label: string;
  onPick: (movement: Movement) => void;
}

const SHOWN = 6;

export function MovementPicker({ label, onPick }: Props) {
  const [words, setWords] = useState("");
  const movements = useQuery(queries.catalogue).data?.movements ?? [];
  const asked = words.trim();
  const ids =
    useQuery({ ...queries.movementsCalled(asked), enabled: asked !== "" }).data?.ids ?? [];
  const found = asked
    ? ids.flatMap((id) => movements.find((one) => one.id === id) ?? []).slice(0, SHOWN)
    : [];
  const pick = (movement: Movement | undefined) => {
    if (!movement) return;
    onPick(movement);
    setWords("");
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key !== "Enter") return;
    event.preventDefault();
    pick(found[0]);
  };
  return (
    <div className="max-w-md">
      <Field
        label={label}
        value={words}
        onChange={(event) => setWords(event.target.value)}
        onKeyDown={onKeyDown}
        hint="Enter takes the first"
      />
      <ul>
        {found.map((one) => (
          <li key={one.id}>
            <Button quiet onClick={() => pick(one)}>
              {one.name} <span className="text-faint">{one.family}</span>
            </Button>
          </li>
        ))}
      </ul>
    </div>
  );
}
