/** A ladder as a file: out as JSON, Markdown and SVG; in as JSON, tried first. */
import { useState } from "react";
import { useNavigate } from "react-router";
import { answer, api, type Schema } from "../api/client";
import { useAct } from "../hooks/useAct";
import { Button } from "../ui/Button";
import { Dialog } from "../ui/Dialog";
import { Wrong } from "../ui/Wrong";

const KINDS = [
  ["json", "JSON, to keep and to read in again"],
  ["md", "Markdown, to read"],
  ["svg", "SVG, the drawing"],
] as const;
/** As the service has it. */
const MOST_KIB = 256;

interface Props {
  athleteId: string;
  athleteName: string;
  /** The ladder to send out, if there is one. */
  ladderId?: string;
  onClose: () => void;
}

export function FileDialog({ athleteId, athleteName, ladderId, onClose }: Props) {
  return (
    <Dialog open onOpenChange={onClose} title="Ladder files" wide>
      {ladderId && (
        <section>
          <h3 className="lettering pt-3">Out</h3>
          <ul>
            {KINDS.map(([kind, words]) => (
              <li key={kind}>
                <a
                  className="inline-flex min-h-6 items-center py-1 underline"
                  href={`/api/ladders/${ladderId}/file?kind=${kind}`}
                  download
                >
                  {words}
                </a>
              </li>
            ))}
          </ul>
        </section>
      )}
      <ImportForm athleteId={athleteId} athleteName={athleteName} onClose={onClose} />
    </Dialog>
  );
}

function ImportForm({ athleteId, athleteName, onClose }: Omit<Props, "ladderId">) {
  const [content, setContent] = useState<unknown>(null);
  const [told, setTold] = useState<Schema["Imported"] | null>(null);
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const navigate = useNavigate();

  const send = (found: unknown, dry_run: boolean) =>
    answer(
      api.POST("/api/athletes/{athlete_id}/ladder-files", {
        params: { path: { athlete_id: athleteId }, query: { dry_run } },
        body: found as Record<string, never>,
      }),
    );

  const fault = (place: string, problem: string, remedy: string) =>
    setTold({ goal: "", rungs: [], faults: [{ place, problem, remedy }], ladder_id: null });

  async function read(file: File | undefined) {
    setTold(null);
    setContent(null);
    if (!file) return;
    if (file.size > MOST_KIB * 1024) {
      fault("file", `it is over ${MOST_KIB} KiB.`, "Send one ladder at a time.");
      return;
    }
    let found: unknown;
    try {
      found = JSON.parse(await file.text());
    } catch (cause) {
      fault("file", `it is not JSON: ${(cause as Error).message}.`, "Mend it there.");
      return;
    }
    await act(
      () => send(found, true),
      (tried) => {
        setTold(tried);
        if (tried.faults.length === 0) setContent(found);
      },
    );
  }

  const make = () =>
    act(
      () => send(content, false),
      (made) => {
        onClose();
        navigate(`/ladder/${made.ladder_id}`);
      },
    );

  return (
    <section>
      <h3 className="lettering pt-4">In, for {athleteName}</h3>
      <p className="text-faint">It is tried first; nothing is written until all is right.</p>
      <label className="block pt-2">
        <span className="lettering">Ladder file</span>
        <input
          type="file"
          accept=".json,application/json"
          className="block w-full border border-line p-1.5"
          onChange={(event) => read(event.target.files?.[0])}
        />
      </label>
      <Wrong error={error} />
      {told && told.faults.length > 0 && <Faults faults={told.faults} />}
      {told && told.faults.length === 0 && (
        <>
          <p className="pt-3 text-ready">
            ● All is right: “{told.goal}”, {told.rungs.length} rungs.
          </p>
          <ol className="max-h-52 list-decimal overflow-y-auto pl-6 text-sm">
            {told.rungs.map(({ name, movement, demand }) => (
              <li key={name}>
                {name}{" "}
                <span className="text-faint">
                  · {movement} · {demand}
                </span>
              </li>
            ))}
          </ol>
          <Button main busy={busy} onClick={make} className="mt-3">
            Draw this ladder
          </Button>
        </>
      )}
    </section>
  );
}

function Faults({ faults }: { faults: Schema["FileFault"][] }) {
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
