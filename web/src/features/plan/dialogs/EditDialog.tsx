/** The sets of one item by hand: each with its own rung, tempo and target, and the item's format. */

import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { queries } from "../../../common/api/queries";
import { useAct } from "../../../common/hooks/useAct";
import { Button } from "../../../common/ui/Button";
import { Dialog } from "../../../common/ui/Dialog";
import { Choice } from "../../../common/ui/Field";
import { Wrong } from "../../../common/ui/Wrong";
import { VOCABULARY } from "../../../common/vocabulary";
import { availabilityOf, type Edit, keepAvailability, withEdit } from "../availability";
import type { Sheet, Task } from "../plan";

const FORMATS = VOCABULARY.formatsAlone;

type OwnSet = Edit["sets"][number];
const USUAL: OwnSet = { rung: "", tempo: "", low: null, high: null, rpe: null, rest: null };

/** A set has no name of its own; its row has. */
interface Row {
  id: string;
  set: OwnSet;
}

const rowOf = (set: OwnSet): Row => ({ id: crypto.randomUUID(), set });

interface Props {
  sheet: Sheet;
  task: Task;
  onClose: () => void;
}

export function EditDialog({ sheet, task, onClose }: Props) {
  const kept = availabilityOf(sheet).hands.edits.find(({ key }) => key === task.key);
  const [format, setFormat] = useState<Edit["format"]>(kept?.format ?? "straight sets");
  const [rows, setRows] = useState<Row[]>((kept?.sets ?? []).map(rowOf));
  const ladder = task.goal ? (task.key.split("/")[0] ?? "") : "";
  const rungs = useQuery({ ...queries.ladder(ladder), enabled: ladder !== "" });
  const names = rungs.data?.rungs.map(({ name }) => name) ?? [];
  const { act, busy, error } = useAct("athlete", "squad");
  const put = (id: string, change: Partial<OwnSet>) =>
    setRows(rows.map((row) => (row.id === id ? { id, set: { ...row.set, ...change } } : row)));
  const keep = (edit: Edit | null) =>
    act(() => keepAvailability(sheet, withEdit(availabilityOf(sheet), edit, task.key)), onClose);
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title={`Sets of ${task.name}`}
      about={`As the prescription has it: ${task.sets.join("; ")}. What is left empty stays as it is; the session names the rule that a set overrides.`}
      widest
    >
      <Choice
        label="Format"
        value={format}
        options={FORMATS.map((format) => [format, format] as const)}
        onChange={(event) => setFormat(event.target.value as Edit["format"])}
      />
      <table className="mt-3 w-full">
        <caption className="lettering text-left">Sets by hand</caption>
        <thead>
          <tr className="text-sm">
            <th>Set</th>
            <th>Rung</th>
            <th>Tempo</th>
            <th>From</th>
            <th>To</th>
            <th>Effort (RPE)</th>
            <th>Rest, s</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {rows.map(({ id, set }, at) => (
            <SetRow
              key={id}
              number={at + 1}
              set={set}
              rungs={names}
              onChange={(change) => put(id, change)}
              onRemove={() => setRows(rows.filter((row) => row.id !== id))}
            />
          ))}
        </tbody>
      </table>
      <Wrong error={error} />
      <div className="flex flex-wrap gap-2 pt-3">
        <Button onClick={() => setRows([...rows, rowOf(rows.at(-1)?.set ?? USUAL)])}>
          Add a set
        </Button>
        <Button
          main
          busy={busy}
          onClick={() => keep({ key: task.key, format, sets: rows.map(({ set }) => set) })}
        >
          Keep
        </Button>
        {kept && (
          <Button quiet busy={busy} onClick={() => keep(null)}>
            As the prescription has it
          </Button>
        )}
      </div>
    </Dialog>
  );
}

interface RowProps {
  number: number;
  set: OwnSet;
  rungs: string[];
  onChange: (change: Partial<OwnSet>) => void;
  onRemove: () => void;
}

const CELL = "w-full border border-line bg-sheet px-1 py-1";

function SetRow({ number, set, rungs, onChange, onRemove }: RowProps) {
  const figure = (name: "low" | "high" | "rpe" | "rest", words: string) => (
    <td className="w-16 pr-1">
      <input
        type="number"
        aria-label={`Set ${number}, ${words}`}
        className={CELL}
        value={set[name] ?? ""}
        onChange={(event) =>
          onChange({ [name]: event.target.value === "" ? null : Number(event.target.value) })
        }
      />
    </td>
  );
  return (
    <tr className="border-t border-hair">
      <th scope="row">{number}</th>
      <td className="pr-1">
        <select
          aria-label={`Set ${number}, rung`}
          className={CELL}
          value={set.rung}
          onChange={(event) => onChange({ rung: event.target.value })}
        >
          <option value="">its own</option>
          {rungs.map((name) => (
            <option key={name}>{name}</option>
          ))}
        </select>
      </td>
      <td className="w-24 pr-1">
        <input
          aria-label={`Set ${number}, tempo`}
          placeholder="3-0-1-0"
          className={CELL}
          value={set.tempo}
          onChange={(event) => onChange({ tempo: event.target.value })}
        />
      </td>
      {figure("low", "from")}
      {figure("high", "to")}
      {figure("rpe", "rpe")}
      {figure("rest", "rest in seconds")}
      <td>
        <Button quiet onClick={onRemove} aria-label={`Take set ${number} away`}>
          ×
        </Button>
      </td>
    </tr>
  );
}
