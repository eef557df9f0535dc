/** Sets as CSV: out as they stand; in with columns matched, a dry run first, all rows or none. */
import { useState } from "react";
import { answer, api, type Schema } from "../../../common/api/client";
import { useAct } from "../../../common/hooks/useAct";
import { Button } from "../../../common/ui/Button";
import { Dialog } from "../../../common/ui/Dialog";
import { Choice } from "../../../common/ui/Field";
import { Wrong } from "../../../common/ui/Wrong";
import { counted } from "../../../common/units/figures";
import { type LogFileTask, refusalOf, useLogFileTask } from "./useLogFileTask";

const SHOWN = 30;

type Doubtful = NonNullable<Schema["LogFile"]["doubtful"]>;
const SAID = [
  ["ask", "say which they are"],
  ["known", "the same sets: leave them as they are"],
  ["new", "other sets: keep them too"],
] as const;

/** A file as base64, read as bytes: what letters it holds is for the service to say. */
async function asBase64(file: File): Promise<string> {
  const url = await new Promise<string>((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(new Error("The file cannot be read."));
    reader.readAsDataURL(file);
  });
  return url.slice(url.indexOf(",") + 1);
}

export function CsvDialog({ athleteId, onClose }: { athleteId: string; onClose: () => void }) {
  const [content, setContent] = useState("");
  const [matching, setMatching] = useState<Record<string, string>>({});
  const [read, setRead] = useState<Schema["ReadFile"] | null>(null);
  const [doubtful, setDoubtful] = useState<Doubtful>("ask");
  const [names, setNames] = useState<Record<string, string>>({});
  const [withoutBad, setWithoutBad] = useState(false);
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const task = useLogFileTask(athleteId, read?.task_id ?? null);

  const send = (
    file: string,
    match: Record<string, string>,
    keep: boolean,
    called: Record<string, string> = names,
  ) =>
    act(
      () =>
        answer(
          api.POST("/api/athletes/{athlete_id}/log-files", {
            params: { path: { athlete_id: athleteId } },
            body: {
              content: file,
              matching: match,
              keep,
              doubtful: keep ? doubtful : "ask",
              names: called,
              without_bad: keep && withoutBad,
            },
          }),
        ),
      setRead,
    );
  const take = async (file: File | undefined) => {
    if (!file) return;
    const next = await asBase64(file);
    setContent(next);
    setMatching({});
    setNames({});
    setWithoutBad(false);
    setRead(null);
    await send(next, {}, false, {});
  };
  const match = (ours: string, theirs: string) => {
    const next = { ...matching, [ours]: theirs };
    setMatching(next);
    void send(content, next, false);
  };

  const call = (words: string, movement: string | undefined) => {
    const { [words]: _, ...others } = names;
    const next = movement === undefined ? others : { ...others, [words]: movement };
    setNames(next);
    void send(content, matching, false, next);
  };

  return (
    <Dialog open onOpenChange={onClose} title="Sets as CSV">
      <p className="pt-2">
        <a className="underline" href={`/api/athletes/${athleteId}/logs`}>
          All sets of this athlete (CSV)
        </a>
      </p>
      <label className="block pt-4">
        <span className="lettering">A CSV file of sets</span>
        <input
          type="file"
          accept=".csv,text/csv"
          onChange={(event) => void take(event.target.files?.[0])}
          className="block w-full pt-1"
        />
      </label>
      <Wrong error={error ?? refusalOf(task)} />
      {read?.task_id && <TaskWords sets={read.sets} task={task} />}
      {read && !read.task_id && (
        <p role="status" className="pt-2 font-head text-lg">
          {read.kept
            ? keptWords(read)
            : `${counted(read.sets, "set")} can be read${read.known ? `, ${read.known} of them are logged already` : ""}${read.bad.length ? `, ${counted(read.bad.length, "row")} cannot` : ""}. Nothing is kept yet.`}
        </p>
      )}
      {read && !read.kept && !read.task_id && (
        <>
          <Matching read={read} onMatch={match} />
          <Names read={read} names={names} onCall={call} />
          <BadRows bad={read.bad} />
          {read.bad.length > 0 && read.bad.length < read.sets + read.bad.length && (
            <label className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                checked={withoutBad}
                onChange={(event) => setWithoutBad(event.target.checked)}
              />
              keep the others without {counted(read.bad.length, "row")} above
            </label>
          )}
          {read.doubtful.length > 0 && (
            <Choice
              label={`${counted(read.doubtful.length, "row")} like a set of that day, at another time`}
              value={doubtful}
              options={SAID}
              onChange={(event) => setDoubtful(event.target.value as Doubtful)}
            />
          )}
          <Button
            main
            busy={busy}
            disabled={
              (read.bad.length > 0 && !withoutBad) ||
              (read.doubtful.length > 0 && doubtful === "ask")
            }
            onClick={() => send(content, matching, true)}
            className="mt-3"
          >
            Keep the new sets
          </Button>
        </>
      )}
    </Dialog>
  );
}

function keptWords({ new: fresh, known }: { new: number; known: number }): string {
  return `Kept: ${counted(fresh, "set")} new, ${known} logged already.`;
}

function TaskWords({ sets, task }: { sets: number; task: LogFileTask | null }) {
  const [doing, done] = [`Keeping ${counted(sets, "set")} …`, task?.state === "done"];
  if (task?.refusal) return null;
  return (
    <p role="status" className="pt-2 font-head text-lg">
      {done && task ? keptWords(task) : doing}
      {task?.note && <span className="block font-body text-base">{task.note}</span>}
    </p>
  );
}

interface MatchingProps {
  read: Schema["ReadFile"];
  onMatch: (ours: string, theirs: string) => void;
}

function Matching({ read, onMatch }: MatchingProps) {
  return (
    <>
      <h3 className="lettering pt-2">Which column is which</h3>
      <div className="grid max-h-56 grid-cols-2 gap-x-4 overflow-auto">
        {read.columns.map((ours) => (
          <label key={ours} className="flex items-center gap-2 py-0.5">
            <span className="w-28">{ours}</span>
            <select
              value={read.matching[ours] ?? ""}
              onChange={(event) => onMatch(ours, event.target.value)}
              className="min-w-0 flex-1 border border-line bg-sheet"
            >
              <option value="">none</option>
              {read.header.map((name) => (
                <option key={name}>{name}</option>
              ))}
            </select>
          </label>
        ))}
      </div>
    </>
  );
}

interface NamesProps {
  read: Schema["ReadFile"];
  names: Record<string, string>;
  onCall: (words: string, movement: string | undefined) => void;
}

/** What the file calls movements that nobody here does: which is meant, or leave them out. */
function Names({ read, names, onCall }: NamesProps) {
  const matched = Object.entries(names);
  if (read.unknown.length === 0 && matched.length === 0) return null;
  return (
    <>
      <h3 className="lettering pt-2">Which movement is which</h3>
      <ul aria-label="Names to match">
        {matched.map(([words, movement]) => (
          <li key={words} className="flex flex-wrap items-center gap-2 py-0.5">
            “{words}” {movement ? `is ${movement.replaceAll("-", " ")}` : "is left out"}
            <Button quiet onClick={() => onCall(words, undefined)}>
              Undo
            </Button>
          </li>
        ))}
        {read.unknown.map(({ words, rows, guesses }) => (
          <li key={words} className="flex flex-wrap items-center gap-2 py-0.5">
            “{words}”, {counted(rows, "row")}:
            {guesses.map(({ id, name }) => (
              <Button key={id} onClick={() => onCall(words, id)}>
                {name}
              </Button>
            ))}
            <Button quiet onClick={() => onCall(words, "")}>
              leave out
            </Button>
          </li>
        ))}
      </ul>
    </>
  );
}

function BadRows({ bad }: { bad: Schema["BadRowOut"][] }) {
  if (bad.length === 0) return null;
  return (
    <ul aria-label="Rows that cannot be kept" className="max-h-48 overflow-auto pt-2">
      {bad.slice(0, SHOWN).map((row) => (
        <li key={`${row.row}${row.field}`} className="border-b border-hair">
          <span className="text-over">
            ▲ row {row.row}, {row.field}:
          </span>{" "}
          {row.problem} {row.remedy}
        </li>
      ))}
    </ul>
  );
}
