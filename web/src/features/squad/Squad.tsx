/** Squad: who needs the coach first, and why; one line each. */
import { useQuery } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { useNavigate } from "react-router";
import { type Keys, useKeys } from "../../app/keys";
import type { Schema } from "../../common/api/client";
import { queries } from "../../common/api/queries";
import { Undo } from "../../common/proposals/Undo";
import { Away } from "../../common/ui/Away";
import { Button } from "../../common/ui/Button";
import { Mark, type Tone } from "../../common/ui/Mark";
import { TitleBlock, today } from "../../common/ui/TitleBlock";
import { counted, criterion, day } from "../../common/units/figures";
import { CriterionGauge } from "./CriterionGauge";
import { KitChecks } from "./KitChecks";
import { LadderDialog } from "./LadderDialog";
import { NewAthlete } from "./NewAthlete";
import { Queue, waitingIn } from "./Queue";
import { RecordDialog } from "./RecordDialog";
import { WeekLook } from "./WeekLook";

type Line = Schema["SquadLineOut"];

const TONE: Record<Schema["FlagOut"]["kind"], Tone> = {
  stopped: "over",
  pain: "over",
  load: "watch",
  blocked: "watch",
  proposal: "watch",
  missed: "watch",
  new: "plain",
};

export default function Squad() {
  const squad = useQuery(queries.squad);
  const navigate = useNavigate();
  const [sought, setSought] = useState("");
  const [selected, setSelected] = useState(0);
  const [adding, setAdding] = useState(false);
  const [record, setRecord] = useState<Line | null>(null);
  const [starting, setStarting] = useState<Line | null>(null);
  const [queue, setQueue] = useState(false);
  const [quiet, setQuiet] = useState(false);
  const [told, setSaid] = useState("");
  const [undoable, setUndoable] = useState<string | undefined>();
  const setTold = (words: string, proposalId?: string) => {
    setSaid(words);
    setUndoable(proposalId);
  };
  const search = useRef<HTMLInputElement>(null);

  const all = squad.data?.athletes ?? [];
  const named = all.filter((line) => line.name.toLowerCase().includes(sought.trim().toLowerCase()));
  const needing = named.filter((line) => line.flags.length > 0);
  const folded = !quiet && !sought && needing.length > 0 && named.length > FOLDED_FROM;
  const shown = folded ? needing : named;
  const waiting = waitingIn(all);

  const open = (line: Line | undefined) => {
    if (!line) return;
    if (!line.ladder_id) return setStarting(line);
    navigate(`/ladder/${line.ladder_id}`);
  };
  const go = (down: number) =>
    setSelected((now) => Math.max(0, Math.min(shown.length - 1, now + down)));
  useKeys([
    ["/", () => search.current?.focus()],
    ["q", () => setQueue(!queue)],
    ...(queue
      ? []
      : ([
          ["ArrowUp", () => go(-1)],
          ["ArrowDown", () => go(1)],
          ["Enter", () => open(shown[selected])],
        ] as Keys)),
  ]);

  if (squad.error) return <Away error={squad.error} retry={() => squad.refetch()} />;
  return (
    <>
      <main className="min-h-0 flex-1 overflow-auto">
        <div className="flex flex-wrap items-center gap-3 border-b border-hair px-4 py-1.5">
          <h1 className="text-xl">Squad</h1>
          <Button
            aria-pressed={!queue}
            className="aria-pressed:border-ink aria-pressed:bg-wash"
            onClick={() => setQueue(false)}
          >
            {counted(all.length, "athlete")}
          </Button>
          <Button
            aria-pressed={queue}
            className="aria-pressed:border-ink aria-pressed:bg-wash"
            onClick={() => setQueue(true)}
            title="Needs your decision (Q)"
          >
            {waiting.length} need{waiting.length === 1 ? "s" : ""} your decision
          </Button>
          <span className="order-last basis-full text-sm text-faint">{squad.data?.order}</span>
          <span className="flex-1" />
          <input
            ref={search}
            value={sought}
            onChange={(event) => {
              setSought(event.target.value);
              setSelected(0);
            }}
            onKeyDown={(event) => {
              if (event.key === "Enter") open(shown[0]);
              if (event.key === "Escape") event.currentTarget.blur();
            }}
            aria-label="Find an athlete (/)"
            placeholder="Find an athlete  /"
            className="w-48 border border-line bg-sheet px-2 py-1"
          />
          <Button main onClick={() => setAdding(true)}>
            New athlete
          </Button>
        </div>
        <WeekLook due={squad.data?.due ?? []} onTold={setTold} />
        {told && (
          <p role="status" className="border-b border-hair bg-wash px-4 py-1.5">
            {told}
            {undoable && <Undo proposalId={undoable} onUndone={() => setTold("Undone.")} />}
          </p>
        )}
        <KitChecks due={squad.data?.kit_checks ?? []} />
        {queue && <Queue waiting={waiting} onTold={setTold} />}
        {squad.data && all.length === 0 && <FirstSteps onNew={() => setAdding(true)} />}
        {!queue && all.length > 0 && shown.length === 0 && (
          <p className="p-6">Nobody here is called “{sought}”.</p>
        )}
        {!queue && shown.length > 0 && (
          <table className="w-full max-xl:block">
            <thead className="max-xl:hidden">
              <tr className="lettering border-b border-ink [&>th]:px-3 [&>th]:py-1">
                <th className="min-w-40">Athlete</th>
                <th className="min-w-40">Why</th>
                <th className="min-w-44">Current rung</th>
                <th>Reach against the criterion</th>
                <th>Today</th>
                <th>Last session</th>
                <th>
                  <span className="sr-only">Record</span>
                </th>
              </tr>
            </thead>
            <tbody className="max-xl:block">
              {shown.map((line, index) => (
                <SquadRow
                  key={line.id}
                  line={line}
                  selected={index === selected}
                  onOpen={() => open(line)}
                  onRecord={() => setRecord(line)}
                />
              ))}
            </tbody>
          </table>
        )}
        {!queue && folded && (
          <p className="p-4">
            <Button onClick={() => setQuiet(true)}>
              Show the {named.length - needing.length} who are up to date
            </Button>
          </p>
        )}
      </main>
      <TitleBlock sheet={`Squad, ${counted(all.length, "athlete")}`} date={today()} />
      <NewAthlete open={adding} onOpenChange={setAdding} />
      {record && <RecordDialog line={record} onClose={() => setRecord(null)} />}
      {starting && <LadderDialog line={starting} onClose={() => setStarting(null)} />}
    </>
  );
}

/** From so many athletes on, those who are up to date are folded away. */
const FOLDED_FROM = 25;

function todayWords(things: number | null): string {
  if (things === null) return "not planned";
  if (things === 0) return "rest";
  return things === 1 ? "1 thing" : `${things} things`;
}

interface RowProps {
  line: Line;
  selected: boolean;
  onOpen: () => void;
  onRecord: () => void;
}

function SquadRow({ line, selected, onOpen, onRecord }: RowProps) {
  const navigate = useNavigate();
  return (
    <tr
      aria-current={selected || undefined}
      className={`border-b border-hair align-top max-xl:flex max-xl:flex-wrap max-xl:gap-x-6 max-xl:px-1 max-xl:py-2 [&>*]:px-3 [&>*]:py-2 max-xl:[&>*]:py-0.5 ${selected ? "bg-wash outline-1 -outline-offset-1 outline-line" : ""}`}
    >
      <th scope="row" className="max-w-72 text-left max-xl:max-w-none max-xl:basis-full">
        <button
          type="button"
          onClick={onOpen}
          className="text-left text-lg underline decoration-line decoration-1 underline-offset-4"
        >
          {line.name}
        </button>
        <p className="line-clamp-2 font-text text-sm font-normal text-faint">{line.note}</p>
      </th>
      <td>
        {line.flags.length === 0 && <Mark tone="ready">up to date</Mark>}
        {line.flags.map((mark) => (
          <div key={mark.text}>
            <Mark tone={TONE[mark.kind]}>{mark.text}</Mark>
          </div>
        ))}
      </td>
      <td>
        {line.current_rung ? (
          <>
            {line.current_rung.name}
            <p className="text-sm text-faint">toward: {line.goal}</p>
          </>
        ) : (
          <Button onClick={onOpen}>Give a ladder …</Button>
        )}
      </td>
      <td>
        {line.criterion && line.expected && (
          <>
            <CriterionGauge expected={line.expected} criterion={line.criterion} />
            <p className="text-sm text-faint">criterion {criterion(line.criterion)}</p>
          </>
        )}
      </td>
      <td className="whitespace-nowrap">
        <span className="text-faint xl:hidden">Today: </span>
        {todayWords(line.today)}
      </td>
      <td className="whitespace-nowrap">
        <span className="text-faint xl:hidden">Last session: </span>
        {line.last_session ? day(line.last_session) : "none yet"}
      </td>
      <td className="whitespace-nowrap">
        <Button
          quiet
          onClick={() => navigate(`/intake/${line.id}`)}
          aria-label={`Intake of ${line.name}`}
        >
          Intake …
        </Button>
        <Button quiet onClick={onRecord} aria-label={`Record of ${line.name}`}>
          Record …
        </Button>
      </td>
    </tr>
  );
}

/** Where nobody is yet: what leads from here to a planned week. */
function FirstSteps({ onNew }: { onNew: () => void }) {
  return (
    <section aria-label="First steps" className="max-w-2xl p-6">
      <p>Your athletes stand here, whoever needs you first on top. From nothing to a week:</p>
      <ol className="list-decimal space-y-1 py-3 pl-6">
        <li>
          <b>New athlete</b>: a name, body mass and height are enough.
        </li>
        <li>
          <b>Intake</b>: what may hurt, what they want, the kit they have, and two or three tests.
        </li>
        <li>
          <b>Placement</b>: the tests say on which rung of which ladder they stand; give it to them.
        </li>
        <li>
          <b>Week</b>: plan it, print it, or send the athlete a link to their phone.
        </li>
      </ol>
      <Button main onClick={onNew}>
        Add the first athlete
      </Button>
    </section>
  );
}
