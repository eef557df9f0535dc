/** The easier and the harder rung, each at one press, with what it would ask. */
import { Button } from "../../../common/ui/Button";
import { rangeWords, target } from "../../../common/units/figures";
import { beside, swapOf } from "../engine/machine";
import type { Choice, Item, Running } from "../engine/types";

interface Props {
  run: Running;
  item: Item;
  onSwap: (way: 1 | -1) => void;
}

export function Swap({ run, item, onSwap }: Props) {
  const easier = item.choices[beside(run, item, 1)];
  const harder = item.choices[beside(run, item, -1)];
  const now = swapOf(run, item);
  if (!easier && !harder) return null;
  return (
    <section aria-label="Another rung" className="mt-4 border-t border-hair pt-2">
      {now && now.way !== "here" && (
        <p className="pb-1">
          Now on {now.what.name}, {now.low}–{now.high}
          {now.likely && (
            <span className="text-faint">; likely {rangeWords(now.likely)} at most</span>
          )}
        </p>
      )}
      <div className="grid gap-2 sm:grid-cols-2">
        {easier && (
          <Way
            title="Take the easier rung (E)"
            note="Easier"
            choice={easier}
            onClick={() => onSwap(1)}
          />
        )}
        {harder && (
          <Way
            title="Take the harder rung (H)"
            note="Harder"
            choice={harder}
            onClick={() => onSwap(-1)}
          />
        )}
      </div>
    </section>
  );
}

function Way(props: { title: string; note: string; choice: Choice; onClick: () => void }) {
  const { choice } = props;
  return (
    <Button
      onClick={props.onClick}
      title={props.title}
      className="min-h-14 text-left text-lg whitespace-normal!"
    >
      {props.note}: {choice.what.name}, {target(choice.low, choice.high, choice.what.unit)}
    </Button>
  );
}
