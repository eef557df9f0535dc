/** Loads to hand: which things make a load, in the fewest pieces. */
import { useMutation } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { answer, api } from "../api/client";
import { Button } from "../ui/Button";
import { Dialog } from "../ui/Dialog";
import { Field } from "../ui/Field";
import { Wrong } from "../ui/Wrong";

export interface Thing {
  id: string;
  name: string;
  weight: string;
  unit: "kg" | "litres";
  count: string;
}

const KEY = "invelo.things";
const blank = (): Thing => ({
  id: crypto.randomUUID(),
  name: "",
  weight: "",
  unit: "kg",
  count: "1",
});

/** What is in the room stays on this device, unless the kit of a place is given. */
function useThings(there: Thing[] | undefined) {
  const [things, setThings] = useState<Thing[]>(() => {
    if (there) return [...there, blank()];
    const kept = localStorage.getItem(KEY);
    return kept ? (JSON.parse(kept) as Thing[]) : [blank(), blank(), blank()];
  });
  useEffect(() => {
    if (!there) localStorage.setItem(KEY, JSON.stringify(things));
  }, [things, there]);
  return [things, setThings] as const;
}

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  /** The loads of a place; without them, what was typed here before. */
  there?: Thing[];
  /** What to do with the load, where there is a bag to put it in. */
  onTake?: (kg: number) => void;
}

export function PiecesDialog({ open, onOpenChange, there, onTake }: Props) {
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      wide
      title="Loads to hand"
      about="Books, bottles, sandbags: what is in the room, and which of it makes the load in the fewest pieces. Close a bag well; nothing may shift or fall."
    >
      <Making
        {...(there && { there })}
        {...(onTake && {
          onTake: (kg: number) => {
            onTake(kg);
            onOpenChange(false);
          },
        })}
      />
    </Dialog>
  );
}

function Making({ there, onTake }: Pick<Props, "there" | "onTake">) {
  const [things, setThings] = useThings(there);
  const [target, setTarget] = useState("5");
  const [tolerance, setTolerance] = useState("0.25");
  const [limit, setLimit] = useState("15");
  const put = (id: string, changes: Partial<Thing>) =>
    setThings(things.map((thing) => (thing.id === id ? { ...thing, ...changes } : thing)));

  const making = useMutation({
    mutationFn: () =>
      answer(
        api.POST("/api/bench/pieces", {
          body: {
            target_kg: Number(target),
            tolerance_kg: Number(tolerance),
            limit_kg: Number(limit),
            things: things
              .filter(({ weight }) => weight)
              .map(({ name, weight, unit, count }) => ({
                name,
                kg: unit === "kg" ? Number(weight) : 0,
                litres: unit === "litres" ? Number(weight) : 0,
                count: Number(count),
              })),
          },
        }),
      ),
  });
  const found = making.data;

  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        making.mutate();
      }}
    >
      <div className="grid grid-cols-3 gap-x-3">
        <Field
          label="Load wanted"
          unit="kg"
          value={target}
          inputMode="decimal"
          onChange={(event) => setTarget(event.target.value)}
        />
        <Field
          label="Near enough"
          unit="kg"
          value={tolerance}
          inputMode="decimal"
          onChange={(event) => setTolerance(event.target.value)}
        />
        <Field
          label="The bag holds"
          unit="kg"
          value={limit}
          inputMode="decimal"
          onChange={(event) => setLimit(event.target.value)}
        />
      </div>
      <table className="mt-3 w-full">
        <thead>
          <tr className="lettering">
            <th>Thing</th>
            <th>Each</th>
            <th>In</th>
            <th>How many</th>
          </tr>
        </thead>
        <tbody>
          {things.map((thing, i) => (
            <tr key={thing.id} className="[&>td]:pr-2 [&>td]:pb-1">
              <td>
                <Cell
                  label={`Thing ${i + 1}`}
                  value={thing.name}
                  put={(name) => put(thing.id, { name })}
                />
              </td>
              <td>
                <Cell
                  label={`Weight of thing ${i + 1}`}
                  value={thing.weight}
                  put={(weight) => put(thing.id, { weight })}
                />
              </td>
              <td>
                <select
                  aria-label={`Unit of thing ${i + 1}`}
                  value={thing.unit}
                  onChange={(event) => put(thing.id, { unit: event.target.value as Thing["unit"] })}
                  className="border border-line bg-sheet px-1 py-1"
                >
                  <option value="kg">kg</option>
                  <option value="litres">litres of water</option>
                </select>
              </td>
              <td>
                <Cell
                  label={`Count of thing ${i + 1}`}
                  value={thing.count}
                  put={(count) => put(thing.id, { count })}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <Button quiet onClick={() => setThings([...things, blank()])}>
        One more thing
      </Button>
      <Wrong error={making.error} />
      {found && (
        <div className="border-t border-ink pt-2" aria-live="polite">
          <p className="text-lg">
            {found.pieces.map(({ name, count }) => `${count} × ${name || "unnamed"}`).join(" + ")} ={" "}
            {found.kg.toFixed(2)} kg
          </p>
          <p className="text-faint">
            {found.off_kg === 0
              ? "exactly as wanted"
              : `${Math.abs(found.off_kg).toFixed(2)} kg ${found.off_kg > 0 ? "over" : "under"}`}
          </p>
          {onTake && (
            <Button className="mt-2" onClick={() => onTake(found.kg)}>
              Put it in the bag
            </Button>
          )}
        </div>
      )}
      <Button main type="submit" busy={making.isPending} className="mt-3">
        Find the fewest pieces
      </Button>
    </form>
  );
}

function Cell(props: { label: string; value: string; put: (value: string) => void }) {
  return (
    <input
      aria-label={props.label}
      value={props.value}
      onChange={(event) => props.put(event.target.value)}
      className="w-full border border-line bg-sheet px-2 py-1"
    />
  );
}
