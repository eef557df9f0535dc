/** Every ready ladder, and where the tests would put the athlete; or one of the coach's own. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { answer, api, type Schema } from "../../../common/api/client";
import { queries } from "../../../common/api/queries";
import { useAct } from "../../../common/hooks/useAct";
import { FileDialog } from "../../../common/ladder/FileDialog";
import { OwnLadderDialog } from "../../../common/ladder/OwnLadderDialog";
import { Button } from "../../../common/ui/Button";
import { Wrong } from "../../../common/ui/Wrong";
import { rangeWords } from "../../../common/units/figures";

export function LaddersPart({ athleteId }: { athleteId: string }) {
  const found = useQuery(queries.placements(athleteId));
  const name = useQuery(queries.athlete(athleteId)).data?.name ?? "";
  const [dialog, setDialog] = useState<"" | "own" | "file">("");
  return (
    <section aria-label="Ladders">
      <div className="flex flex-wrap items-baseline gap-3 pt-5">
        <h2 className="flex-1 text-xl">Ladders</h2>
        <Button onClick={() => setDialog("own")}>A ladder of your own …</Button>
        <Button quiet onClick={() => setDialog("file")}>
          Read a ladder file …
        </Button>
      </div>
      <Wrong error={found.error} />
      {found.isPending && <p className="text-faint">Placing on every ladder …</p>}
      {found.data && (
        <table className="mt-2 w-full">
          <thead>
            <tr className="lettering border-b border-ink [&>th]:pr-4">
              <th>Toward</th>
              <th>The rung whose prescription fits</th>
              <th>Likely there</th>
              <th>What would narrow it</th>
              <th>
                <span className="sr-only">Acts</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {found.data.ladders.map((ladder) => (
              <Row key={ladder.id} athleteId={athleteId} one={ladder} />
            ))}
          </tbody>
        </table>
      )}
      {dialog === "own" && (
        <OwnLadderDialog athleteId={athleteId} name={name} onClose={() => setDialog("")} />
      )}
      {dialog === "file" && (
        <FileDialog athleteId={athleteId} athleteName={name} onClose={() => setDialog("")} />
      )}
    </section>
  );
}

function Row({ athleteId, one }: { athleteId: string; one: Schema["PlacedOn"] }) {
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const give = () =>
    act(() =>
      answer(
        api.POST("/api/athletes/{athlete_id}/ladders", {
          params: { path: { athlete_id: athleteId } },
          body: {
            ready_ladder: one.id,
            goal: "",
            purpose: "strength",
            level: "beginner",
            test: null,
          },
        }),
      ),
    );
  const range = one.low_rung === one.high_rung ? "" : `${one.low_rung} to ${one.high_rung}`;
  return (
    <tr className="border-b border-hair align-top [&>*]:py-1.5 [&>*]:pr-4">
      <th scope="row">
        {one.goal}
        <span className="block font-text text-sm font-normal text-faint">
          {one.family}
          {one.household && ", household kit"}
        </span>
      </th>
      <td>
        <Fits one={one} />
        {range && <span className="block text-sm text-faint">its range: {range}</span>}
        {one.shut > 0 && !one.closed && (
          <span className="block text-sm text-watch">
            ◆ {one.shut} of {one.rungs} rungs are closed
          </span>
        )}
        <Wrong error={error} />
      </td>
      <td>{one.expected ? rangeWords(one.expected) : "–"}</td>
      <td className="text-sm text-faint">
        {one.narrower || one.waits || (one.test ? `Test: ${one.test}` : "–")}
      </td>
      <td className="text-right">
        {one.ladder_id ? (
          <Link to={`/ladder/${one.ladder_id}`} className="underline">
            Open
          </Link>
        ) : (
          !one.closed && (
            <Button busy={busy} onClick={give} aria-label={`Give the ladder: ${one.goal}`}>
              Give
            </Button>
          )
        )}
      </td>
    </tr>
  );
}

function Fits({ one }: { one: Schema["PlacedOn"] }) {
  if (one.closed) return <span className="text-over">■ closed: {one.closed}</span>;
  if (!one.rung) return <span className="text-faint">nothing tells yet</span>;
  if (!one.fits) return <>the foot, “{one.rung}”, whose prescription does not fit yet</>;
  return <>{one.rung}</>;
}
