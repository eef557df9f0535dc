/** A movement of one's own: another's contacts, its joints set by dragging or by degrees. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { answer, api, type Schema } from "../../api/client";
import { queries } from "../../api/queries";
import { useAct, useSendId } from "../../hooks/useAct";
import { Button } from "../../ui/Button";
import { Dialog } from "../../ui/Dialog";
import { Wrong } from "../../ui/Wrong";
import { Explained } from "../../units/Explained";
import { DraggedFigure } from "./DraggedFigure";
import { OwnSetUp } from "./OwnSetUp";
import { OwnWords } from "./OwnWords";
import { OwnWork } from "./OwnWork";

type Own = Schema["OwnMovementOf"];
type End = "start" | "end";

interface Props {
  /** The movement it is made from. */
  base: Schema["MovementOut"];
  onClose: () => void;
  onKept: (id: string) => void;
}

const isSecond = (joint: string) => joint.startsWith("other_");

export function OwnMovementDialog({ base, onClose, onKept }: Props) {
  const [own, setOwn] = useState<Own>({ name: "", base: base.id });
  const [end, setEnd] = useState<End>("start");
  const [id, next] = useSendId();
  const { act, busy, error } = useAct("catalogue", "athlete");
  const sent = { ...own, name: own.name.trim() || base.name };
  const seen = useQuery(queries.ownMovementSeen(sent)).data;
  const put = (change: Partial<Own>) => setOwn((now) => ({ ...now, ...change }));
  const setAngle = (at: End, joint: string, degrees: number | null) =>
    setOwn((now) => {
      const { [joint]: _, ...others } = now[at] ?? {};
      return { ...now, [at]: degrees === null ? others : { ...others, [joint]: degrees } };
    });
  const second = (seen?.angles ?? []).filter(({ joint }) => isSecond(joint));
  const differ = Object.keys({ ...own.start, ...own.end }).some(isSecond);
  const setDiffer = (yes: boolean) => {
    const angles = (at: End) => ({
      ...Object.fromEntries(Object.entries(own[at] ?? {}).filter(([joint]) => !isSecond(joint))),
      ...(yes ? Object.fromEntries(second.map((one) => [one.joint, Math.round(one[at])])) : {}),
    });
    put(
      seen?.is_hold ? { start: angles("start") } : { start: angles("start"), end: angles("end") },
    );
  };
  const angles = (seen?.angles ?? []).filter(({ joint }) => differ || !isSecond(joint));
  const keep = () =>
    act(
      () =>
        answer(
          api.PUT("/api/own-movements/{movement_id}", {
            params: { path: { movement_id: id } },
            body: { ...own, name: own.name.trim() },
          }),
        ),
      (made) => {
        next();
        onKept(made.id);
      },
    );
  const figures = seen?.figures ?? [];
  const shown = end === "end" ? [...figures].reverse() : figures;
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title={`Your own, made from ${base.name}`}
      about="Drag the joints, or type their angles. It touches the same things and is limited by the same as what it is made from. Once kept it never changes."
      widest
    >
      <div className="grid gap-4 md:grid-cols-[460px_1fr]">
        <div>
          {seen && !seen.is_hold && (
            <div className="flex gap-1 pt-2">
              {(["start", "end"] as const).map((one) => (
                <Button key={one} aria-pressed={end === one} onClick={() => setEnd(one)}>
                  {one === "start" ? "Start of the rep" : "Other end"}
                </Button>
              ))}
            </div>
          )}
          {seen && (
            <DraggedFigure
              figures={shown}
              free={angles.map(({ joint }) => joint)}
              facing={seen.facing_up ? 1 : -1}
              label={`${own.name || base.name}: ${end === "start" ? "the start" : "the other end"} in ink`}
              onSet={(joint, degrees) => setAngle(end, joint, degrees)}
            />
          )}
          {seen?.wrong && <p className="text-over">▲ {seen.wrong}</p>}
          {seen?.demand && !seen.wrong && (
            <p>
              <Explained name={seen.measure_words} figure={seen.demand} /> {seen.measure_words}, for
              a body of 75 kg and 1.75 m
            </p>
          )}
          <table className="mt-2">
            <caption className="lettering text-left">Joint angles, degrees</caption>
            <tbody>
              {angles.map((angle) => (
                <tr key={angle.joint}>
                  <th scope="row" className="pr-3 font-text font-normal">
                    {angle.joint.replace("other_", "second ")}
                  </th>
                  {(seen?.is_hold ? (["start"] as const) : (["start", "end"] as const)).map(
                    (at) => (
                      <td key={at} className="pr-2">
                        <input
                          inputMode="numeric"
                          aria-label={`${angle.joint.replace("other_", "second ")}, ${at}`}
                          value={own[at]?.[angle.joint] ?? ""}
                          placeholder={String(Math.round(angle[at]))}
                          onChange={(event) =>
                            setAngle(at, angle.joint, degrees(event.target.value))
                          }
                          className="w-20 border border-line bg-sheet px-1 py-1"
                        />
                      </td>
                    ),
                  )}
                </tr>
              ))}
            </tbody>
          </table>
          {seen && <OwnSetUp own={own} base={base} names={seen.parameters} put={put} />}
        </div>
        <div>
          <OwnWords own={own} counted={base.counted} put={put} />
          {second.length > 0 && (
            <label className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                checked={differ}
                onChange={(event) => setDiffer(event.target.checked)}
              />
              the legs differ
            </label>
          )}
          {seen && <OwnWork own={own} seen={seen} put={put} />}
          <Wrong error={error} />
          <div className="pt-3">
            <Button
              main
              busy={busy}
              disabled={!own.name.trim() || Boolean(seen?.wrong)}
              onClick={keep}
            >
              Keep the movement
            </Button>
          </div>
        </div>
      </div>
    </Dialog>
  );
}

function degrees(typed: string): number | null {
  const number = Number(typed.replace(",", "."));
  return typed.trim() === "" || Number.isNaN(number) ? null : number;
}
