/** A bridge in pencil: each rung to take or to strike, with why it and no other. */
import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { answer, api, type Schema } from "../../common/api/client";
import { queries } from "../../common/api/queries";
import { Figure } from "../../common/drawing/Figure";
import type { Pencilled } from "../../common/drawing/LadderDrawing";
import { useAct } from "../../common/hooks/useAct";
import { freeName, plainOf } from "../../common/ladder/rungs";
import { Button } from "../../common/ui/Button";
import { Wrong } from "../../common/ui/Wrong";
import { rangeWords } from "../../common/units/figures";

interface Props {
  sheet: Schema["LadderSheet"];
  lower: Schema["RungOut"];
  upper: Schema["RungOut"];
  onPencil: (rungs: Pencilled[]) => void;
  onClose: () => void;
}

/** A proposed rung, and the id it has once it is taken. */
interface Offered {
  rung: Schema["ProposedRungOut"];
  id: string;
  state: "pencil" | "taken" | "struck";
}

export function BridgePanel({ sheet, lower, upper, onPencil, onClose }: Props) {
  // Asked once: what is taken changes the ladder, not the proposal.
  const [ends] = useState([lower.id, upper.id] as const);
  const found = useQuery({ ...queries.bridge(sheet.id, ...ends), staleTime: Infinity });
  const [offered, setOffered] = useState<Offered[] | null>(null);
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const lane = upper.lane ?? 0;

  useEffect(() => {
    if (found.data && !offered)
      setOffered(
        found.data.rungs.map((rung) => ({ rung, id: crypto.randomUUID(), state: "pencil" })),
      );
  }, [found.data, offered]);
  useEffect(() => {
    const drawn = (offered ?? []).map(({ rung, state }, index) => ({
      ...{ number: index + 1, name: rung.name, demand: rung.demand, lane },
      state,
    }));
    onPencil(drawn.filter(({ state }) => state === "pencil"));
    return () => onPencil([]);
  }, [offered, lane, onPencil]);

  const put = (index: number, state: Offered["state"]) =>
    setOffered((now) => now?.map((one, i) => (i === index ? { ...one, state } : one)) ?? null);

  async function add(index: number, done: Offered[]) {
    const one = done[index] as Offered;
    const taken = (i: number) => done[i]?.state === "taken";
    const under = done.findLastIndex((_, i) => i < index && taken(i));
    const over = done.findIndex((_, i) => i > index && taken(i));
    await answer(
      api.POST("/api/ladders/{ladder_id}/rungs", {
        params: { path: { ladder_id: sheet.id } },
        body: {
          ...plainOf(one.rung),
          name: freeName(sheet, one.rung.name),
          id: one.id,
          after: [under >= 0 ? (done[under] as Offered).id : ends[0]],
          before: [over >= 0 ? (done[over] as Offered).id : ends[1]],
        },
      }),
    );
  }

  const take = (index: number) =>
    act(
      () => add(index, offered ?? []),
      () => put(index, "taken"),
    );

  const takeAll = () =>
    act(async () => {
      let now = offered ?? [];
      for (let i = 0; i < now.length; i++) {
        if (now[i]?.state !== "pencil") continue;
        await add(i, now);
        now = now.map((one, k) => (k === i ? { ...one, state: "taken" } : one));
        setOffered(now);
      }
    });

  const open = offered?.filter(({ state }) => state === "pencil").length ?? 0;
  return (
    <aside
      aria-label="Bridge"
      className="w-full border-t border-ink lg:w-[30rem] lg:shrink-0 lg:overflow-y-auto lg:border-t-0 lg:border-l"
    >
      <div className="flex items-center justify-between gap-3 border-b border-hair px-4 py-1.5">
        <h2 className="text-xl">Bridge</h2>
        <Button onClick={onClose}>Done</Button>
      </div>
      <div className="px-4 pb-4">
        <p className="pt-1 text-faint">
          From “{lower.name}” to “{upper.name}”, in steps of {sheet.settings.target_step_percent} %
          at most, {sheet.settings.lever_order[0]} first.
        </p>
        <Wrong error={found.error ?? error} />
        {found.isPending && (
          <p className="py-4 text-faint" role="status">
            Looking through what the kit allows …
          </p>
        )}
        {found.data && <Outcome bridge={found.data} />}
        {open > 1 && (
          <Button main busy={busy} onClick={takeAll} className="my-2">
            Take all {open}
          </Button>
        )}
        <ol className="flex flex-col-reverse">
          {offered?.map(({ rung, state }, index) => (
            <li key={rung.name} className="flex gap-3 border-t border-hair py-2">
              <Figure
                figures={rung.figures}
                width={96}
                height={64}
                small
                label={`${rung.name}, seen from the side`}
              />
              <div className="min-w-0 flex-1">
                <b className="font-head text-[1.05rem]">
                  <span className="pr-1 text-over">{index + 1}</span> {rung.name}
                </b>
                <p className="text-sm text-faint">
                  {rangeWords(rung.demand)}
                  {rung.expected && ` · ${rangeWords(rung.expected)}`}
                </p>
                <p className="text-sm">{rung.because}</p>
                {state === "pencil" ? (
                  <div className="flex gap-2 pt-1">
                    <Button
                      busy={busy}
                      onClick={() => take(index)}
                      aria-label={`Take ${rung.name}`}
                    >
                      Take
                    </Button>
                    <Button
                      quiet
                      onClick={() => put(index, "struck")}
                      aria-label={`Strike ${rung.name}`}
                    >
                      Strike
                    </Button>
                  </div>
                ) : (
                  <p className={state === "taken" ? "text-ready" : "text-faint"}>
                    {state === "taken" ? "● taken" : "– struck"}
                  </p>
                )}
              </div>
            </li>
          ))}
        </ol>
      </div>
    </aside>
  );
}

function Outcome({ bridge }: { bridge: Schema["BridgeOut"] }) {
  const looked = `Of ${bridge.considered.toLocaleString("en-GB")} that the kit allows`;
  if (!bridge.possible)
    return (
      <p className="pt-1 text-over">
        ▲ {looked} none climbs it in such steps. {bridge.missing}
      </p>
    );
  if (bridge.rungs.length === 0)
    return (
      <p className="pt-1 text-ready">● The step is no larger than wanted; nothing is needed.</p>
    );
  return (
    <p className="pt-1 text-sm text-faint">
      {looked}, the fewest rungs; then the nearest to the upper one, then what you like best. The
      last step is ×{bridge.last_ratio.toFixed(2)}.
    </p>
  );
}
