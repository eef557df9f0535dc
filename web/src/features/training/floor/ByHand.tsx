/** A whole session in one grid, as fast as paper; or an earlier one, put right row by row. */
import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { useNavigate, useParams } from "react-router";
import { answer, api, deviceMoment, type Schema } from "../../../common/api/client";
import { queries } from "../../../common/api/queries";
import { useAct } from "../../../common/hooks/useAct";
import { useDraft } from "../../../common/hooks/useDraft";
import { MovementPicker } from "../../../common/movement/MovementPicker";
import { SetLine } from "../../../common/movement/SetLine";
import { Away } from "../../../common/ui/Away";
import { Button } from "../../../common/ui/Button";
import { Choice, Field } from "../../../common/ui/Field";
import { TitleBlock, today } from "../../../common/ui/TitleBlock";
import { Wrong } from "../../../common/ui/Wrong";
import { day } from "../../../common/units/figures";
import { GridTable } from "./GridTable";
import {
  anew,
  asSent,
  blank,
  corrected,
  fromSession,
  fromSheet,
  type Known,
  keyOf,
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
  return <Grid key={athleteId} along={along.data} history={history.data.sessions} />;
}

interface Props {
  along: Schema["OfflineBundleOut"];
  history: Schema["LoggedSessionOut"][];
}

/** A session that is being written down. */
interface Written {
  /** Its id, so that sending it twice keeps it once. */
  id: string;
  source: string;
  rows: Row[];
  /** Movements that no session or rung has. */
  added: Known[];
  when: string;
  time: string;
  rpe: string;
}

function Grid({ along, history }: Props) {
  const navigate = useNavigate();
  const table = useRef<HTMLDivElement>(null);
  /** The cell to write in once its row is there. */
  const next = useRef("");
  const sheets = [...along.sessions, ...along.single];
  const fresh = (source: string, added: Known[] = []): Written => {
    const past = history.find((session) => session.id === source);
    const asked = sheets[Number(source)];
    return {
      id: crypto.randomUUID(),
      source,
      rows: past ? fromSession(past) : asked ? fromSheet(asked) : [],
      added,
      when: along.today,
      time: new Date().toTimeString().slice(0, 5),
      rpe: "",
    };
  };
  const [begun, beginAnew] = useState(() => fresh(sheets.length ? "0" : "rows"));
  const [written, put, settle, pending] = useDraft<Written>(
    `by-hand.${along.athlete_id}`,
    () => begun,
  );
  const { source, rows } = written;
  const [said, setSaid] = useState("");
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const known = knownOf(along, history, written.added);
  const first = [...known.keys()][0] ?? "";
  const past = history.find((session) => session.id === source);
  const change = (part: Partial<Written>) => put({ ...written, ...part });
  const begin = (next: string) => {
    setSaid("");
    put(fresh(next, written.added));
  };
  const keep = () => {
    const body = bodyOf(written, known, sheets[Number(source)]?.name ?? "Session");
    return act(
      () =>
        answer(
          api.PUT("/api/athletes/{athlete_id}/completed-sessions/{session_id}", {
            params: { path: { athlete_id: along.athlete_id, session_id: written.id } },
            body,
          }),
        ),
      (kept) => {
        setSaid(`${kept.new} ${kept.new === 1 ? "set is" : "sets are"} kept.`);
        beginAnew(fresh("rows"));
        settle();
      },
    );
  };
  const correct = (of: Schema["LoggedSessionOut"]) =>
    act(
      () => putRight(along.athlete_id, of, rows),
      (count) => {
        setSaid(count ? `${count} ${count === 1 ? "row" : "rows"} put right.` : "Nothing differs.");
        beginAnew(fresh("rows"));
        settle();
      },
    );
  const add = (movement: Schema["MovementOut"]) => {
    const one = anew(movement);
    change({ added: [...written.added, one], rows: [...rows, blank(keyOf(one))] });
    next.current = `[data-cell="${rows.length}.0"]`;
  };
  useEffect(() => {
    if (!next.current) return;
    table.current?.querySelector<HTMLInputElement>(next.current)?.focus();
    next.current = "";
  });

  return (
    <>
      <main className="min-h-0 flex-1 overflow-auto p-4">
        <h1 className="text-2xl">Written down afterwards</h1>
        <Head
          along={along}
          history={history}
          written={written}
          past={past !== undefined}
          onBegin={begin}
          onChange={change}
        />
        <p className="pt-1 text-sm text-faint">
          Counts as they are remembered: 12, 11 or 12, about 30. Kilos with a comma or a point;
          below nought is assistance. A band by its name: red, red folded, red + blue. Enter goes
          down a row, Shift and Enter up, Ctrl and D repeats what stands above. A row without a
          count is left out.
        </p>
        <div ref={table} className="relative overflow-x-auto">
          <GridTable
            rows={rows}
            known={known}
            fixed={past !== undefined}
            onRows={(next) => change({ rows: next })}
            onAdd={() => change({ rows: [...rows, blank(rows.at(-1)?.what ?? first)] })}
          />
        </div>
        {!past && <MovementPicker label="Another movement" onPick={add} />}
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
        <div className="flex flex-wrap gap-2 pt-3">
          <Button main busy={busy} onClick={past ? () => correct(past) : keep}>
            {past ? "Keep what is put right" : "Keep the session"}
          </Button>
          {pending && (
            <Button quiet onClick={settle}>
              Throw the draft away
            </Button>
          )}
          <Button quiet onClick={() => navigate(`/floor/${along.athlete_id}`)}>
            Back to the floor
          </Button>
        </div>
      </main>
      <TitleBlock sheet="Floor, by hand" athlete={along.athlete_name} date={today()} />
    </>
  );
}

interface HeadProps extends Props {
  written: Written;
  past: boolean;
  onBegin: (source: string) => void;
  onChange: (part: Partial<Written>) => void;
}

/** Which session, and when it was. */
function Head({ along, history, written, past, onBegin, onChange }: HeadProps) {
  const sheets = [...along.sessions, ...along.single].map(
    ({ name, day: planned }, index) =>
      [String(index), planned ? `${name}, planned` : name] as const,
  );
  return (
    <div className="flex flex-wrap items-end gap-3">
      <div className="w-72">
        <Choice
          label="What"
          value={written.source}
          onChange={(event) => onBegin(event.target.value)}
          groups={[
            ["A new session", [...sheets, ["rows", "row by row"] as const]],
            [
              "Put right",
              history.map(
                (session) => [session.id, `${day(session.local_date)}, ${session.name}`] as const,
              ),
            ],
          ]}
        />
      </div>
      {!past && (
        <>
          <Field
            label="Day"
            type="date"
            value={written.when}
            max={along.today}
            onChange={(event) => onChange({ when: event.target.value })}
          />
          <Field
            label="From"
            type="time"
            value={written.time}
            onChange={(event) => onChange({ time: event.target.value })}
          />
          <Field
            label="Session effort"
            inputMode="decimal"
            value={written.rpe}
            onChange={(event) => onChange({ rpe: event.target.value })}
          />
        </>
      )}
    </div>
  );
}

function bodyOf(
  written: Written,
  known: Map<string, Known>,
  name: string,
): Schema["SessionByHand"] {
  const at = new Date(`${written.when}T${written.time || "12:00"}`).toISOString();
  const { time_zone } = deviceMoment();
  return {
    name,
    at,
    time_zone,
    rpe: written.rpe ? Number(written.rpe.replace(",", ".")) : null,
    sets: numbered(written.rows).flatMap((row) => {
      const what = known.get(row.what);
      return what ? [asSent(row, what, at, time_zone)] : [];
    }),
  };
}

/** Of each row goes what differs; all else of the set stays as it was told. */
async function putRight(
  athlete_id: string,
  of: Schema["LoggedSessionOut"],
  rows: Row[],
): Promise<number> {
  const before = new Map(fromSession(of).map((row) => [row.id, row]));
  let count = 0;
  for (const row of rows) {
    const was = before.get(row.id);
    const changed = was && corrected(was, row);
    const old = of.sets.find(({ id }) => id === row.id);
    if (!changed || !old) continue;
    await answer(
      api.PATCH("/api/athletes/{athlete_id}/sets/{set_id}", {
        params: { path: { athlete_id, set_id: row.id } },
        body: { id: crypto.randomUUID(), at: old.at, ...changed },
      }),
    );
    count++;
  }
  return count;
}
