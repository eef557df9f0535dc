/** The set at hand: what, how much, and its clock: a rep's tempo, a hold, or a window of work. */
import { useState } from "react";
import { useKeys } from "../../../app/keys";
import { Button } from "../../../common/ui/Button";
import { asked, clock } from "../../../common/units/figures";
import { blockOf, countedOf, itemOf, setOf, sideOf, swapsLead } from "../engine/machine";
import type { Along, Event, Item, Running, RunSet } from "../engine/types";
import { Hold } from "./Hold";
import { type Seen, Sensor } from "./Sensor";
import { Tempo } from "./Tempo";

interface Props {
  along: Along;
  run: Running;
  event: Event;
  seconds: number;
  onDone: () => void;
  /** Done, with what a sensor counted. */
  onEntry: (counted: Seen) => void;
}

export function Work({ along, run, event, seconds, onDone, onEntry }: Props) {
  const item = itemOf(run, event.item);
  const set = item && setOf(run, item, event.set);
  const block = blockOf(run, event);
  const [sensing, setSensing] = useState(false);
  const [seen, setSeen] = useState<Seen | null>(null);
  const usable = seen !== null && seen.state === "watching" && seen.full + seen.partial > 0;
  const done = () => (usable && seen ? onEntry(seen) : onDone());
  useKeys([["l", done]]);
  if (!item || !set || !block) return null;
  const { what } = set;
  const path = along.paths[what.path];
  return (
    <section aria-label="The set">
      <Heading item={item} set={set} event={event} run={run} />
      {swapsLead(item, set) && <Lead half={seconds >= event.seconds / 2} />}
      {block.clocked ? (
        <Window left={event.seconds - seconds} />
      ) : what.unit === "reps" ? (
        <Tempo run={run} set={set} path={path} seconds={seconds} />
      ) : what.unit === "s" ? (
        <Hold set={set} seconds={seconds} path={path} paused={run.paused} />
      ) : (
        <p className="py-6 font-head text-6xl">{set.low} cm, landed still</p>
      )}
      {sensing && (
        <Sensor along={along} set={set} onSeen={setSeen} onOff={() => setSensing(false)} />
      )}
      <Button
        main
        large
        onClick={done}
        title="Done (Space)"
        className="mt-3 min-h-20 w-full text-3xl"
      >
        {what.unit === "s" && set.kind !== "easy" ? "Let go" : "Done"}
      </Button>
      {set.kind !== "easy" && what.unit !== "cm" && !sensing && (
        <Button quiet onClick={() => setSensing(true)} className="mt-1 min-h-11">
          Count by a sensor …
        </Button>
      )}
      <Mind item={item} cues={set.cues?.length ? set.cues : item.cues} />
    </section>
  );
}

const KINDS: Partial<Record<RunSet["kind"], string>> = {
  easy: "Easy, to warm up",
  drop: "Drop to",
  piece: "A piece of the hold",
  cluster: "After a few breaths, to finish the range",
  part: "Straight on, without a rest",
  attempt: "An attempt; nobody fails it",
  turn: "Two movements in turn; both count",
  single: "Top single",
};

function Heading(props: { item: Item; set: RunSet; event: Event; run: Running }) {
  const { item, set, event, run } = props;
  const block = run.sheet.blocks[event.block];
  const together = block && block.items.length > 1 && block.rounds > 1;
  const side = sideOf(item, event);
  const where = together
    ? `${block.items.indexOf(item.key) + 1} of ${block.items.length}, round ${event.set + 1} of ${block.rounds}`
    : `set ${event.set + 1} of ${item.sets.length}`;
  return (
    <>
      <p className="lettering pt-2 text-base">
        {block?.format}, {where}
        {KINDS[set.kind] && `. ${KINDS[set.kind]}`}
      </p>
      <h1 className="text-4xl leading-none sm:text-6xl">{set.what.name}</h1>
      <p className="pt-1 font-head text-5xl font-semibold sm:text-6xl">
        {asked(set)}
        {!side && sidesOf(item, set)}
        {side && <span className="pl-3 uppercase">{side}</span>}
        <span className="pl-3 text-2xl font-medium text-faint">effort {set.rpe}</span>
      </p>
      {set.note && <p className="text-xl">{set.note}</p>}
      {set.open_end && <p className="text-xl">As many clean ones as there are.</p>}
    </>
  );
}

function sidesOf(item: Item, set: RunSet): string {
  if (countedOf(item, set) === "per side") return " a side";
  return swapsLead(item, set) ? " alternating" : "";
}

/** Who leads changes halfway; it is said then, once for each half. */
function Lead({ half }: { half: boolean }) {
  return (
    <p
      role="status"
      className={`py-1 font-head text-3xl ${half ? "bg-ready px-2 text-sheet" : ""}`}
    >
      {half ? "Swap the lead: the other side begins each turn" : "In turn; the lead swaps halfway"}
    </p>
  );
}

function Window({ left }: { left: number }) {
  return (
    <p
      role="timer"
      aria-label="Work, seconds left"
      className="font-head text-[9rem] leading-none font-semibold sm:text-[15rem]"
    >
      {clock(left)}
    </p>
  );
}

function Mind({ item, cues }: { item: Item; cues: string[] }) {
  return (
    <ul className="pt-3 text-lg">
      {item.notes.map((note) => (
        <li key={note} className="border-l-4 border-watch pl-2 font-semibold">
          {note}
        </li>
      ))}
      {cues.map((cue) => (
        <li key={cue} className="pt-1 pl-3">
          {cue}
        </li>
      ))}
      {item.last && <li className="pt-2 text-base text-faint">Last time, {item.last}</li>}
    </ul>
  );
}
