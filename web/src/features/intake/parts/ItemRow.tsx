/** A thing of a place: measures, safety, photo; what is unsafe is told and never planned with. */
import { useRef, useState } from "react";
import { api, type Schema } from "../../../common/api/client";
import { useAct } from "../../../common/hooks/useAct";
import { Button } from "../../../common/ui/Button";
import { Wrong } from "../../../common/ui/Wrong";
import { centimetres, day } from "../../../common/units/figures";
import { smaller } from "../photo";

type Item = Schema["KitItemOut"];

export function ItemRow({ item }: { item: Item }) {
  const { act, error } = useAct("places", "squad", "athlete", "ladder");
  const [seeing, setSeeing] = useState(false);
  const file = useRef<HTMLInputElement>(null);
  const path = { params: { path: { item_id: item.id } } };
  const look = (safe: boolean) =>
    act(() => api.POST("/api/kit/{item_id}/check", { ...path, body: { safe } }));
  const remove = () => act(() => api.DELETE("/api/kit/{item_id}", path));
  const approve = () =>
    act(
      () => api.POST("/api/kit/{item_id}/approval", path),
      () => setSeeing(false),
    );
  const send = (chosen: File) =>
    act(async () =>
      api.PUT("/api/kit/{item_id}/photo", { ...path, body: { photo: await smaller(chosen) } }),
    );

  return (
    <tr className="border-t border-hair align-top [&>*]:px-3 [&>*]:py-1.5">
      <th scope="row">
        {item.name}
        <span className="block font-text text-sm font-normal text-faint">
          {item.kind}
          {item.count > 1 && `, ${item.count} of them`}
          {item.home_made && ", home-made"}
        </span>
      </th>
      <td className="whitespace-nowrap">{measure(item)}</td>
      <td className="whitespace-nowrap">
        {item.setup_minutes > 0 ? `${item.setup_minutes} min` : "–"}
      </td>
      <td>
        {item.unavailable_reason ? (
          <span className="text-over">▲ not planned with: {item.unavailable_reason}</span>
        ) : (
          <span className="text-ready">● may be planned with</span>
        )}
        {item.checked_on && (
          <span className="block text-sm text-faint">
            looked at {day(item.checked_on)} by {item.checked_by}
          </span>
        )}
        {item.look_for && <span className="block text-sm text-faint">Look: {item.look_for}.</span>}
        {seeing && (
          <img
            src={`/api/kit/${item.id}/photo`}
            alt={`${item.name} as it is rigged`}
            className="mt-1 max-h-64 border border-line"
          />
        )}
        <Wrong error={error} />
      </td>
      <td className="w-px whitespace-nowrap text-right">
        {item.look_for && (
          <>
            <Button quiet onClick={() => look(true)} aria-label={`Safe: ${item.name}`}>
              Safe
            </Button>
            <Button quiet onClick={() => look(false)} aria-label={`Unsafe: ${item.name}`}>
              Unsafe
            </Button>
          </>
        )}
        {item.home_made && (
          <>
            <input
              ref={file}
              type="file"
              accept="image/jpeg,image/png"
              aria-label={`Photo of ${item.name}`}
              className="sr-only"
              tabIndex={-1}
              onChange={(event) => {
                const chosen = event.target.files?.[0];
                if (chosen) send(chosen);
              }}
            />
            <Button quiet onClick={() => file.current?.click()}>
              Photo …
            </Button>
            {item.has_photo && !seeing && (
              <Button quiet onClick={() => setSeeing(true)}>
                See it
              </Button>
            )}
            {seeing && !item.approved_on && (
              <Button quiet onClick={approve}>
                Approve
              </Button>
            )}
          </>
        )}
        <Button quiet onClick={remove} aria-label={`Take off ${item.name}`}>
          Take off
        </Button>
      </td>
    </tr>
  );
}

function measure({ height_m, kg, kind }: Item): string {
  const parts = [];
  if (height_m !== null) parts.push(`${centimetres(height_m)} high`);
  if (kg !== null) parts.push(kind === "bag" ? `holds ${kg} kg` : `${kg} kg`);
  return parts.join(", ") || "–";
}
