/** Today: the session, what to mind, one press to begin; then the next days and each ladder alone. */
import { useState } from "react";
import { Link } from "react-router";
import { Button } from "../../../common/ui/Button";
import { day, target } from "../../../common/units/figures";
import { endedBefore } from "../engine/machine";
import type { Along, Sheet } from "../engine/types";
import type { Run } from "../engine/useRun";
import { DailyPart } from "./DailyPart";
import { isDone } from "./done";
import { usePain } from "./pain";

interface Props {
  along: Along;
  run: Run;
  ended: boolean;
}

export function Today({ along, run, ended }: Props) {
  const today = along.sessions.find((sheet) => sheet.day === along.today);
  const next = along.sessions.filter((sheet) => sheet !== today);
  const [picked, setPicked] = useState<Sheet | null>(null);
  const [pain] = usePain(along);
  const shown = picked ?? today;
  const start = (sheet: Sheet) => run.start(along, sheet, endedBefore(sheet, pain.places));
  return (
    <main className="px-3 pb-6">
      {along.stopped.map(({ goal, why }) => (
        <p key={goal} className="mt-3 border-l-4 border-over bg-wash p-2">
          <strong className="text-over">▲ {goal} is stopped.</strong> {why}
        </p>
      ))}
      {along.shut.map((why) => (
        <p key={why} className="mt-3 border-l-4 border-watch bg-wash p-2">
          ◆ {why}
        </p>
      ))}
      {along.stop || pain.alarm ? (
        <div role="alert" className="mt-4 border-2 border-over p-3 text-xl">
          <strong className="text-over">▲ {along.stop || pain.alarm}</strong>
        </div>
      ) : (
        <>
          {!along.checked_in && (
            <p className="mt-3 flex flex-wrap items-center gap-2 border-l-4 border-watch bg-wash p-2">
              <span className="flex-1">How do you come to this day? Say it before you start.</span>
              <Link to="check-in" className="font-head underline">
                Check in
              </Link>
            </p>
          )}
          {shown ? (
            <Session
              sheet={shown}
              pain={pain.places}
              done={isDone(along, shown)}
              onStart={() => start(shown)}
              onAgain={() => start({ ...shown, id: null })}
              disabled={ended}
            />
          ) : (
            <p className="pt-4 text-xl">Nothing is planned today. Rest counts too.</p>
          )}
          <Others
            along={along}
            title="The next days"
            sheets={next}
            picked={shown}
            onPick={setPicked}
          />
          <Others
            along={along}
            title="One ladder alone"
            sheets={along.single}
            picked={shown}
            onPick={setPicked}
          />
          <DailyPart athleteId={along.athlete_id} today={along.today} />
          {picked && today && (
            <Button onClick={() => setPicked(null)} className="mt-3 min-h-11">
              Back to today
            </Button>
          )}
        </>
      )}
    </main>
  );
}

interface SessionProps {
  sheet: Sheet;
  pain: string[];
  /** It was finished today. */
  done: boolean;
  onStart: () => void;
  onAgain: () => void;
  disabled: boolean;
}

function Session({ sheet, pain, done, onStart, onAgain, disabled }: SessionProps) {
  const gone = endedBefore(sheet, pain);
  const left = sheet.items.filter((item) => !gone.includes(item.key));
  return (
    <section aria-label={sheet.name}>
      <p className="lettering pt-4">
        {sheet.adapted ? "Set for this day" : sheet.day ? "Planned" : "One ladder alone"}
      </p>
      <h1 className="text-4xl">{sheet.name}</h1>
      <p className="text-lg">
        about {Math.round(sheet.minutes.likely)} min ({Math.round(sheet.minutes.low)}–
        {Math.round(sheet.minutes.high)})
      </p>
      {(sheet.needed ?? []).length > 0 && (
        <div className="mt-2 border border-hair p-2">
          <h2>You will need</h2>
          <ul className="list-disc pl-5">
            {(sheet.needed ?? []).map((thing) => (
              <li key={thing}>{thing}</li>
            ))}
          </ul>
        </div>
      )}
      <div className="mt-2 border border-watch p-2">
        <h2 className="text-watch">◆ Before you start</h2>
        <ul className="list-disc pl-5">
          {sheet.cautions.map((caution) => (
            <li key={caution}>{caution}</li>
          ))}
        </ul>
      </div>
      {done ? (
        <div className="mt-3 flex flex-wrap items-center gap-3 border-l-4 border-ready bg-wash p-3">
          <p className="flex-1 text-xl text-ready">✓ Done today. Rest is part of it.</p>
          <Button quiet onClick={onAgain} disabled={disabled} className="min-h-11">
            Do it once more
          </Button>
        </div>
      ) : (
        <Button
          main
          large
          onClick={onStart}
          disabled={disabled || left.length === 0}
          className="mt-3 w-full"
        >
          Start the session
        </Button>
      )}
      {sheet.blocks.map((block) => (
        <div key={block.items.join()} className="border-b border-hair py-2">
          <h2 className="lettering">{block.words}</h2>
          {block.items.map((key) => (
            <ItemLine key={key} sheet={sheet} item={key} gone={gone.includes(key)} />
          ))}
        </div>
      ))}
      {[...sheet.closed, ...sheet.notes].map((words) => (
        <p key={words} className="pt-2 text-faint">
          {words}
        </p>
      ))}
    </section>
  );
}

function ItemLine(props: { sheet: Sheet; item: string; gone: boolean }) {
  const item = props.sheet.items.find(({ key }) => key === props.item);
  const set = item?.sets[0];
  if (!item || !set) return null;
  return (
    <div className="pt-1">
      <p className={`flex justify-between gap-3 text-lg ${props.gone ? "line-through" : ""}`}>
        <span>{item.name}</span>
        <span className="whitespace-nowrap">
          {item.sets.length} × {target(set.low, set.high, set.what.unit)}
          {item.counted === "per side" && " a side"}
        </span>
      </p>
      {props.gone && <p className="text-over">▲ Left out today: it loads what hurts.</p>}
      {item.notes.map((note) => (
        <p key={note} className="text-watch">
          ◆ {note}
        </p>
      ))}
      {item.last && <p className="text-sm text-faint">{item.last}</p>}
    </div>
  );
}

interface OthersProps {
  along: Along;
  title: string;
  sheets: Sheet[];
  picked: Sheet | undefined;
  onPick: (sheet: Sheet) => void;
}

function Others({ along, title, sheets, picked, onPick }: OthersProps) {
  if (sheets.length === 0) return null;
  return (
    <section className="pt-5">
      <h2 className="lettering border-b border-ink">{title}</h2>
      {sheets.map((sheet) => (
        <button
          key={sheet.name + sheet.day}
          type="button"
          aria-pressed={sheet === picked}
          onClick={() => onPick(sheet)}
          className="flex min-h-12 w-full items-center justify-between border-b border-hair text-left text-lg aria-pressed:font-semibold"
        >
          <span>{sheet.name}</span>
          <span className="text-faint">
            {isDone(along, sheet) && <span className="pr-2 text-ready">✓ done</span>}
            {sheet.day ? day(sheet.day) : ""} {Math.round(sheet.minutes.likely)} min
          </span>
        </button>
      ))}
    </section>
  );
}
