/** A coach's own movements and tags as a file: out, and in, tried first. */
import { answer, api } from "../../api/client";
import { JsonFile } from "../../files/JsonFile";

export function CatalogueFile() {
  return (
    <details className="pt-2">
      <summary className="min-h-11 cursor-pointer py-2 text-sm">
        Your own movements and tags as a file
      </summary>
      <a className="underline" href="/api/catalogue-file" download>
        Out, as JSON
      </a>
      <JsonFile
        label="In"
        changes={["catalogue"]}
        send={(body, dry_run) =>
          answer(api.POST("/api/catalogue-files", { params: { query: { dry_run } }, body }))
        }
        said={({ movements, tagged }, taken) => (
          <p className="text-ready">
            ● {taken ? "Taken" : "It holds"}: {movements.join(", ") || "no movement"}; {tagged}{" "}
            tagged.
          </p>
        )}
        verb="Take it in"
      />
    </details>
  );
}
