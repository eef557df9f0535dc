/** A JSON file of ours, tried first: its faults are said by place, and nothing is written before. */
import { type ReactNode, useState } from "react";
import type { Schema } from "../api/client";
import type { Root } from "../api/queries";
import { useAct } from "../hooks/useAct";
import { Button } from "../ui/Button";
import { Wrong } from "../ui/Wrong";

type Fault = Schema["FileFault"];

/** KiB of a file, as the service has it. */
const MOST = 256;

interface Props<Answer extends { faults: Fault[] }> {
  label: string;
  /** What taking it in changes. */
  changes: Root[];
  send: (content: Record<string, never>, dry_run: boolean) => Promise<Answer>;
  /** What an answer without a fault says; `taken` once it is kept. */
  said: (answer: Answer, taken: boolean) => ReactNode;
  /** On the button that keeps it. */
  verb: string;
  onTaken?: (answer: Answer) => void;
}

export function JsonFile<Answer extends { faults: Fault[] }>(props: Props<Answer>) {
  const { label, changes, send, said, verb, onTaken } = props;
  const [content, setContent] = useState<Record<string, never> | null>(null);
  const [tried, setTried] = useState<Answer | null>(null);
  const [unread, setUnread] = useState<Fault | null>(null);
  const { act, busy, error } = useAct(...changes);

  async function read(file: File | undefined) {
    setTried(null);
    setContent(null);
    setUnread(null);
    if (!file) return;
    const fault = (problem: string, remedy: string) =>
      setUnread({ place: "file", problem, remedy });
    if (file.size > MOST * 1024) return fault(`it is over ${MOST} KiB.`, "Send less at a time.");
    let found: Record<string, never>;
    try {
      found = JSON.parse(await file.text());
    } catch (cause) {
      return fault(`it is not JSON: ${(cause as Error).message}.`, "Mend it there.");
    }
    await act(
      () => send(found, true),
      (answer) => {
        setTried(answer);
        if (answer.faults.length === 0) setContent(found);
      },
    );
  }

  const take = () =>
    content &&
    act(
      () => send(content, false),
      (answer) => {
        setTried(answer);
        setContent(null);
        onTaken?.(answer);
      },
    );

  const faults = unread ? [unread] : (tried?.faults ?? []);
  return (
    <>
      <label className="block pt-2">
        <span className="lettering">{label}</span>
        <input
          type="file"
          accept=".json,application/json"
          className="block w-full border border-line p-1.5"
          onChange={(event) => read(event.target.files?.[0])}
        />
      </label>
      <Wrong error={error} />
      {faults.length > 0 && <Faults faults={faults} />}
      {tried && faults.length === 0 && <div role="status">{said(tried, content === null)}</div>}
      {content && (
        <Button main busy={busy} onClick={take} className="mt-3">
          {verb}
        </Button>
      )}
    </>
  );
}

function Faults({ faults }: { faults: Fault[] }) {
  return (
    <div role="alert" className="my-3 border-l-4 border-over bg-wash p-3">
      <strong className="font-head text-over">
        {faults.length === 1 ? "One fault" : `${faults.length} faults`}; nothing was written
      </strong>
      <ul className="max-h-52 overflow-y-auto">
        {faults.map(({ place, problem, remedy }) => (
          <li key={place + problem}>
            <code>{place}</code>: {problem} {remedy}
          </li>
        ))}
      </ul>
    </div>
  );
}
