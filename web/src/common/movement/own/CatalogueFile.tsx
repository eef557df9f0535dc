/** A coach's own movements and tags as a file: out, and in, tried first. */
import { useState } from "react";
import { answer, api, type Schema } from "../../api/client";
import { useAct } from "../../hooks/useAct";
import { Button } from "../../ui/Button";
import { Wrong } from "../../ui/Wrong";

export function CatalogueFile() {
  const [content, setContent] = useState<unknown>(null);
  const [told, tell] = useState<Schema["CatalogueTaken"] | null>(null);
  const [wrong, setWrong] = useState("");
  const { act, busy, error } = useAct("catalogue");
  const send = (found: unknown, dry_run: boolean) =>
    answer(
      api.POST("/api/catalogue-files", {
        params: { query: { dry_run } },
        body: found as Record<string, never>,
      }),
    );
  async function read(file: File | undefined) {
    tell(null);
    setContent(null);
    setWrong("");
    if (!file) return;
    try {
      const found: unknown = JSON.parse(await file.text());
      await act(
        () => send(found, true),
        (tried) => {
          tell(tried);
          if (tried.faults.length === 0) setContent(found);
        },
      );
    } catch (cause) {
      setWrong(`It is not JSON: ${(cause as Error).message}. Mend it there.`);
    }
  }
  const take = () =>
    act(
      () => send(content, false),
      () => setContent(null),
    );
  return (
    <details className="pt-2">
      <summary className="min-h-11 cursor-pointer py-2 text-sm">
        Your own movements and tags as a file
      </summary>
      <a className="underline" href="/api/catalogue-file" download>
        Out, as JSON
      </a>
      <label className="block pt-2">
        <span className="lettering">In</span>
        <input
          type="file"
          accept=".json,application/json"
          className="block w-full border border-line p-1.5"
          onChange={(event) => read(event.target.files?.[0])}
        />
      </label>
      <Wrong error={error} />
      {wrong && <p className="text-over">▲ {wrong}</p>}
      {told && (
        <div role="status">
          {told.faults.map(({ place, problem, remedy }) => (
            <p key={place + problem} className="text-over">
              ▲ <code>{place}</code>: {problem} {remedy}
            </p>
          ))}
          {told.faults.length === 0 && (
            <p className="text-ready">
              ● {content ? "It holds" : "Taken"}: {told.movements.join(", ") || "no movement"};{" "}
              {told.tagged} tagged.
            </p>
          )}
        </div>
      )}
      {content !== null && (
        <Button main busy={busy} onClick={take}>
          Take it in
        </Button>
      )}
    </details>
  );
}
