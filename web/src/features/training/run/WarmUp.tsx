/** The warm-up as one list: ticked off by hand, or run one by one with the clock. */
import { useState } from "react";
import { useKeys } from "../../../app/keys";
import { Button } from "../../../common/ui/Button";
import { asked } from "../../../common/units/figures";
import { countedOf } from "../engine/machine";
import type { Item } from "../engine/types";

interface Props {
  items: Item[];
  onDone: () => void;
  onOneByOne: () => void;
}

export function WarmUp({ items, onDone, onOneByOne }: Props) {
  const [ticked, tick] = useState<string[]>([]);
  useKeys([[" ", onDone]]);
  return (
    <section aria-label="Warm-up">
      <h1 className="pt-2 text-4xl">Warm-up</h1>
      <ul className="pt-2">
        {items.map((item) => {
          const set = item.sets[0];
          const done = ticked.includes(item.key);
          return (
            <li key={item.key} className="border-b border-hair">
              <label className="flex min-h-12 items-center gap-3 text-xl">
                <input
                  type="checkbox"
                  checked={done}
                  onChange={() =>
                    tick(done ? ticked.filter((key) => key !== item.key) : [...ticked, item.key])
                  }
                  className="size-6"
                />
                <span className={done ? "text-faint line-through" : ""}>{set?.what.name}</span>
                {set && (
                  <span className="ml-auto whitespace-nowrap">
                    {asked(set)}
                    {countedOf(item, set) === "per side" && " a side"}
                  </span>
                )}
              </label>
              {item.cues[0] && <p className="pb-1 pl-9 text-faint">{item.cues[0]}</p>}
            </li>
          );
        })}
      </ul>
      <Button
        main
        large
        onClick={onDone}
        title="Warm-up done (Space)"
        className="mt-3 min-h-16 w-full text-2xl"
      >
        Warm-up done
      </Button>
      <Button onClick={onOneByOne} className="mt-2 min-h-11 w-full">
        Run it one by one, with the clock
      </Button>
    </section>
  );
}
