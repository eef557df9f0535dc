/** A coach's own tags of a movement: hard sets are counted by them beside the regions. */
import { useQuery } from "@tanstack/react-query";
import { type FormEvent, useId, useState } from "react";
import { answer, api } from "../api/client";
import { queries } from "../api/queries";
import { useAct } from "../hooks/useAct";
import { Button } from "../ui/Button";
import { Wrong } from "../ui/Wrong";

export function Tags({ movementId }: { movementId: string }) {
  const all = useQuery(queries.movementTags).data?.tags ?? {};
  const tags = all[movementId] ?? [];
  const [typed, type] = useState("");
  const { act, busy, error } = useAct("catalogue", "athlete");
  const list = useId();
  const put = (next: string[]) =>
    act(
      () =>
        answer(
          api.PUT("/api/movements/{movement_id}/tags", {
            params: { path: { movement_id: movementId } },
            body: { tags: next },
          }),
        ),
      () => type(""),
    );
  const onSubmit = (event: FormEvent) => {
    event.preventDefault();
    if (typed.trim()) put([...tags, typed]);
  };
  return (
    <form onSubmit={onSubmit} className="flex flex-wrap items-center gap-2 text-sm">
      <span>Your tags:</span>
      {tags.map((tag) => (
        <span key={tag} className="border border-line pl-2">
          {tag}
          <Button
            quiet
            aria-label={`Take the tag ${tag} away`}
            onClick={() => put(tags.filter((one) => one !== tag))}
          >
            ×
          </Button>
        </span>
      ))}
      <input
        aria-label="A tag of your own"
        placeholder="a tag of your own"
        list={list}
        value={typed}
        onChange={(event) => type(event.target.value)}
        className="w-40 border border-line bg-sheet px-2 py-1"
      />
      <datalist id={list}>
        {[...new Set(Object.values(all).flat())].sort().map((tag) => (
          <option key={tag} value={tag} />
        ))}
      </datalist>
      <Button type="submit" busy={busy} disabled={!typed.trim()}>
        Tag it
      </Button>
      <Wrong error={error} />
    </form>
  );
}
