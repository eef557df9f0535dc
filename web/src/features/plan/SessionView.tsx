/** A session as it is done: block by block, what spoils what, what it adds up to. */
import type { Schema } from "../../common/api/client";
import { Button } from "../../common/ui/Button";
import { Explained } from "../../common/units/Explained";
import { plain, rangeWords } from "../../common/units/figures";
import { TagSets } from "../../common/units/TagSets";

type Session = Schema["SessionSheet"];

interface Props {
  session: Session;
  /** Opens an item's sets, where they can be set by hand. */
  onEdit?: (key: string) => void;
}

export function SessionView({ session, onEdit }: Props) {
  return (
    <div className="grid gap-x-6 pt-3 md:grid-cols-[1fr_15rem]">
      <ol>
        {session.blocks.map((block) => (
          <li key={block.items.map(({ key }) => key).join(" ")} className="pb-3">
            <h3 className="lettering border-b border-ink">{block.words}</h3>
            {block.format === "warm-up" ? (
              <WarmUp items={block.items} />
            ) : (
              <ul>
                {block.items.map((item) => (
                  <Item key={item.key} item={item} onEdit={onEdit} />
                ))}
              </ul>
            )}
          </li>
        ))}
      </ol>
      <div>
        <h3 className="lettering">Takes</h3>
        <Explained name="the session's length" figure={session.minutes} />
        {session.notes.map((note) => (
          <p key={note} className="pt-2 text-watch">
            ◆ {note}
          </p>
        ))}
        <h3 className="lettering pt-3">Hard sets</h3>
        <p>{session.regions.map(({ region, sets }) => `${region} ${plain(sets)}`).join(", ")}</p>
        <TagSets tags={session.tags} />
        <h3 className="lettering pt-3">Torque × seconds</h3>
        <ul>
          {Object.entries(session.joints).map(([joint, sum]) => (
            <li key={joint} className="flex justify-between gap-2 text-sm">
              <span>{joint.replace("_", " ")}</span>
              <span>{rangeWords(sum)}</span>
            </li>
          ))}
        </ul>
        {session.rpe_only.length > 0 && (
          <p className="text-sm text-faint">By effort only: {session.rpe_only.join(", ")}.</p>
        )}
        <h3 className="lettering pt-3">Sides, push and pull</h3>
        <p>
          {session.left_s + session.right_s > 0 &&
            `left ${plain(session.left_s)} s, right ${plain(session.right_s)} s; `}
          push {plain(session.push)}, pull {plain(session.pull)} sets
        </p>
        {session.departures.length > 0 && (
          <>
            <h3 className="lettering pt-3">Set by hand against a rule</h3>
            <ul className="text-sm">
              {session.departures.map((departure) => (
                <li key={departure.item + departure.rule}>
                  {departure.item}: {departure.given}, not {departure.asked}.{" "}
                  <span className="text-faint">{departure.sentence}</span>
                </li>
              ))}
            </ul>
          </>
        )}
        {session.needed.length > 0 && (
          <>
            <h3 className="lettering pt-3">You will need</h3>
            <ul className="list-disc pl-4 text-sm">
              {session.needed.map((piece) => (
                <li key={piece}>{piece}</li>
              ))}
            </ul>
          </>
        )}
        <h3 className="lettering pt-3">Before you start</h3>
        <ul className="list-disc pl-4 text-sm">
          {session.cautions.map((caution) => (
            <li key={caution}>{caution}</li>
          ))}
        </ul>
      </div>
    </div>
  );
}

/** In one breath: what it is made of matters less than that it is done. */
function WarmUp({ items }: { items: Schema["SessionItem"][] }) {
  return (
    <p className="py-1">
      {items
        .map(({ name, sets }) => `${name} ${sets[0]?.split(" × ")[1]?.split(",")[0]}`)
        .join("; ")}
    </p>
  );
}

interface ItemProps {
  item: Schema["SessionItem"];
  onEdit: Props["onEdit"] | undefined;
}

function Item({ item, onEdit }: ItemProps) {
  return (
    <li className="border-b border-hair py-1">
      <div className="flex items-baseline justify-between gap-2">
        <strong className="font-head">
          {item.name}
          {item.goal && item.goal !== item.name && (
            <span className="font-normal text-faint"> towards {item.goal}</span>
          )}
        </strong>
        {onEdit && item.role !== "preparation" && (
          <Button quiet onClick={() => onEdit(item.key)} aria-label={`Sets of ${item.name}`}>
            Sets …
          </Button>
        )}
      </div>
      <p>{item.sets.join("; ")}</p>
      {item.cues[0] && <p className="text-sm text-faint">{item.cues[0]}</p>}
      {item.easier.length > 0 && (
        <p className="text-sm text-faint">
          Easier, and where a drop set goes: {item.easier.slice(0, 3).join(", ")}
        </p>
      )}
      {item.why && <p className="text-sm text-watch">◆ {item.why}</p>}
      {item.rig && <p className="text-sm text-faint">Set up: {item.rig}.</p>}
    </li>
  );
}
