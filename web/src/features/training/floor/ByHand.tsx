/** A whole session in one grid, as fast as paper; or an earlier one, put right row by row. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import { answer, api, deviceMoment, type Schema } from "../../../common/api/client";
import { queries } from "../../../common/api/queries";
import { useAct, useSendId } from "../../../common/hooks/useAct";
import { SetLine } from "../../../common/movement/SetLine";
import { Away } from "../../../common/ui/Away";
import { Button } from "../../../common/ui/Button";
import { Choice, Field } from "../../../common/ui/Field";
import { TitleBlock, today } from "../../../common/ui/TitleBlock";
import { Wrong } from "../../../common/ui/Wrong";
import { day } from "../../../common/units/figures";
import { GridTable } from "./GridTable";
import {
  asSent,
  blank,
  corrected,
  fromSession,
  fromSheet,
  knownOf,
  numbered,
  type Row,
} from "./grid";

export default function ByHand() {
  const { athleteId = "" } = useParams();
  const along = useQuery(queries.along(athleteId));
  const history = useQuery(queries.history(athleteId));
  const error = along.error ?? history.error;
  if (error) return <Away error={error} retry={() => along.refetch()} />;
  if (!along.data || !history.data)
    return <main className="flex-1 p-6 text-faint">Laying out the grid …</main>;
  return <Grid along={along.data} history={history.data.sessions} />;
}

interface Props {
  along: Schema["OfflineBundleOut"];
  history: Schema["LoggedSessionOut"][];
}

function Grid({ along, history }: Props) {
  const navigate = useNavigate();
  const known = knownOf(along, history);
  const first = [...known.keys()][0] ?? "";
  const sheets = [...along.sessions, ...along.single];
  const [source, setSource] = useState(sheets.length ? "0" : "rows");
  const [rows, setRows] = useState<Row[]>(() =>
    sheets[0] ? fromSheet(sheets[0]) : [blank(first)],
  );
  const [when, setWhen] = useState(along.today);
  const [time, setTime] = useState(() => new Date().toTimeString().slice(0, 5));
  const [rpe, setRpe] = useState("");
  const [session, nextSession] = useSendId();
  const [said, setSaid] = useState("");
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const past = history.find((one) => one.id === source);
  const sheet = sheets[Number(source)];

  const begin = (next: string) => {
    setSource(next);
    setSaid("");
    nextSession();
    const found = history.find((one) => one.id === next);
    const asked = sheets[Number(next)];
    setRows(found ? fromSession(found) : asked ? fromSheet(asked) : [blank(first)]);
  };
  const { time_zone } = deviceMoment();
  const sent = (row: Row, at: string) => {
    const what = known.get(row.what);
    return what ? [asSent(row, what, at, time_zone)] : [];
  };

  const keep = () =>
    act(
      () => {
        const at = new Date(`${when}T${time || "12:00"}`).toISOString();
        return answer(
          api.PUT("/api/athletes/{athlete_id}/completed-sessions/{session_id}", {
            params: { path: { athlete_id: along.athlete_id, session_id: session } },
            body: {
              name: sheet?.name ?? "Session",
              at,
              time_zone,
              rpe: rpe ? Number(rpe.replace(",", ".")) : null,
              sets: numbered(rows).flatMap((row) => sent(row, at)),
            },
          }),
        );
      },
      (kept) => setSaid(`${kept.new} sets are kept.`),
    );

  /** Of each row goes what differs; all else of the set stays as it was told. */
  const correct = (of: Schema["LoggedSessionOut"]) =>
    act(
      async () => {
        const before = new Map(fromSession(of).map((row) => [row.id, row]));
        let count = 0;
        for (const row of rows) {
          const was = before.get(row.id);
          const changed = was && corrected(was, row);
          const old = of.sets.find(({ id }) => id === row.id);
          if (!changed || !old) continue;
          await answer(
            api.PATCH("/api/athletes/{athlete_id}/sets/{set_id}", {
              params: { path: { athlete_id: along.athlete_id, set_id: row.id } },
              body: { id: crypto.randomUUID(), at: old.at, ...changed },
            }),
          );
          count++;
        }
        return count;
      },
      (count) => {
        setSaid(count ? `${count} ${count === 1 ? "row" : "rows"} put right.` : "Nothing differs.");
        setSource("rows");
        setRows([blank(first)]);
      },
    );

  return (
    <>
      <main className="min-h-0 flex-1 overflow-auto p-4">
        <h1 className="text-2xl">Written down afterwards</h1>
        <div className="flex flex-wrap items-end gap-3">
          <div className="w-72">
            <Choice
              label="What"
              value={source}
              onChange={(event) => begin(event.target.value)}
              groups={[
                [
                  "A new session",
                  [
                    ...sheets.map(
                      ({ name, day: planned }, index) =>
                        [String(index), planned ? `${name}, planned` : name] as const,
                    ),
                    ["rows", "row by row"] as const,
                  ],
                ],
                [
                  "Put right",
                  history.map((one) => [one.id, `${day(one.local_date)}, ${one.name}`] as const),
                ],
              ]}
            />
          </div>
          {!past && (
            <>
              <Field
                label="Day"
                type="date"
                value={when}
                max={along.today}
                onChange={(event) => setWhen(event.target.value)}
              />
              <Field
                label="From"
                type="time"
                value={time}
                onChange={(event) => setTime(event.target.value)}
              />
              <Field
                label="Session effort"
                inputMode="decimal"
                value={rpe}
                onChange={(event) => setRpe(event.target.value)}
              />
            </>
          )}
        </div>
        <p className="pt-1 text-sm text-faint">
          Counts as they are remembered: 12, 11 or 12, about 30. Enter goes down a row, Shift and
          Enter up, Ctrl and D repeats what stands above. A row without a count is left out.
        </p>
        <GridTable
          rows={rows}
          known={known}
          fixed={past !== undefined}
          onRows={setRows}
          onAdd={() => setRows([...rows, blank(rows.at(-1)?.what ?? first)])}
        />
        {past?.sets.some((set) => set.corrects_set_id) && (
          <section aria-label="Put right before" className="max-w-2xl pt-3">
            <h2 className="lettering">Put right before</h2>
            {past.sets
              .filter((set) => set.corrects_set_id)
              .map((set) => (
                <SetLine key={set.id} athleteId={along.athlete_id} set={set} />
              ))}
          </section>
        )}
        <Wrong error={error} />
        {said && (
          <p role="status" className="pt-2 font-head text-lg text-ready">
            ✓ {said}
          </p>
        )}
        <div className="flex gap-2 pt-3">
          <Button main busy={busy} onClick={past ? () => correct(past) : keep}>
            {past ? "Keep what is put right" : "Keep the session"}
          </Button>
          <Button quiet onClick={() => navigate(`/floor/${along.athlete_id}`)}>
            Back to the floor
          </Button>
        </div>
      </main>
      <TitleBlock sheet="Floor, by hand" athlete={along.athlete_name} date={today()} />
    </>
  );
}
