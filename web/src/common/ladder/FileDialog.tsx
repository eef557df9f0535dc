import { useNavigate } from "react-router";
import { answer, api } from "../api/client";
import { JsonFile } from "../files/JsonFile";
import { Dialog } from "../ui/Dialog";

const KINDS = [
  ["json", "JSON, to keep and to read in again"],
  ["md", "Markdown, to read"],
  ["svg", "SVG, the drawing"],
] as const;

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
  const navigate = useNavigate();
  return (
    <section>
      <h3 className="lettering pt-4">In, for {athleteName}</h3>
      <p className="text-faint">It is tried first; nothing is written until all is right.</p>
      <JsonFile
        label="Ladder file"
        changes={["squad", "athlete", "ladder"]}
        send={(body, dry_run) =>
          answer(
            api.POST("/api/athletes/{athlete_id}/ladder-files", {
              params: { path: { athlete_id: athleteId }, query: { dry_run } },
              body,
            }),
          )
        }
        said={({ goal, rungs }) => (
          <>
            <p className="pt-3 text-ready">
              ● All is right: “{goal}”, {rungs.length} rungs.
            </p>
            <ol className="max-h-52 list-decimal overflow-y-auto pl-6 text-sm">
              {rungs.map(({ name, movement, demand }) => (
                <li key={name}>
                  {name}{" "}
                  <span className="text-faint">
                    · {movement} · {demand}
                  </span>
                </li>
              ))}
            </ol>
          </>
        )}
        verb="Draw this ladder"
        onTaken={({ ladder_id }) => {
          onClose();
          navigate(`/ladder/${ladder_id}`);
        }}
      />
    </section>
  );
}
