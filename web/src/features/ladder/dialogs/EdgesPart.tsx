/** Where one steps to this rung from: a ladder may branch and join. */
import { answer, api, type Schema } from "../../../common/api/client";
import { useAct } from "../../../common/hooks/useAct";
import { below } from "../../../common/ladder/rungs";
import { Button } from "../../../common/ui/Button";
import { Wrong } from "../../../common/ui/Wrong";

export function EdgesPart({
  sheet,
  rung,
}: {
  sheet: Schema["LadderSheet"];
  rung: Schema["RungOut"];
}) {
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const from = below(sheet, rung.id);
  const free = sheet.rungs.filter(
    ({ id, position }) => position < rung.position && !from.includes(id),
  );
  const edge = (lower_id: string) =>
    act(() =>
      answer(
        api.POST("/api/ladders/{ladder_id}/edges", {
          params: { path: { ladder_id: sheet.id } },
          body: { lower_id, upper_id: rung.id },
        }),
      ),
    );
  const untie = (lower_id: string) =>
    act(() =>
      answer(
        api.DELETE("/api/ladders/{ladder_id}/edges/{lower_id}/{upper_id}", {
          params: { path: { ladder_id: sheet.id, lower_id, upper_id: rung.id } },
        }),
      ),
    );
  const names = new Map(sheet.rungs.map(({ id, name }) => [id, name]));
  return (
    <section aria-label="Ways here" className="mt-2 border-t border-hair pt-2">
      <h3 className="lettering">Steps here from</h3>
      <Wrong error={error} />
      <ul>
        {from.map((id) => (
          <li key={id} className="flex items-center justify-between gap-2">
            {names.get(id)}
            <Button
              quiet
              busy={busy}
              onClick={() => untie(id)}
              aria-label={`No longer from ${names.get(id)}`}
            >
              No longer
            </Button>
          </li>
        ))}
      </ul>
      {from.length === 0 && <p className="text-faint">Nothing: it is a foot of the ladder.</p>}
      {free.length > 0 && (
        <label className="flex items-center gap-2 text-sm">
          <span className="text-faint">also from</span>
          <select
            className="border border-line bg-sheet px-1"
            value=""
            onChange={(event) => event.target.value && edge(event.target.value)}
          >
            <option value="">…</option>
            {free.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
      )}
    </section>
  );
}
