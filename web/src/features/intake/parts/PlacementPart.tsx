/** Capacity by family, the rung whose prescription fits, sides compared, and what to test next. */
import { useQuery } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Link } from "react-router";
import { api, type Schema } from "../../../common/api/client";
import { queries } from "../../../common/api/queries";
import { useAct } from "../../../common/hooks/useAct";
import { Button } from "../../../common/ui/Button";
import { Dialog } from "../../../common/ui/Dialog";
import { Choice, Field } from "../../../common/ui/Field";
import { Wrong } from "../../../common/ui/Wrong";
import { Explained } from "../../../common/units/Explained";
import { day } from "../../../common/units/figures";
import { LaddersPart } from "./LaddersPart";

type Capacity = Schema["CapacityOut"];

export function PlacementPart({ athleteId }: { athleteId: string }) {
  const found = useQuery(queries.capacity(athleteId)).data;
  const next = useQuery(queries.battery(athleteId)).data?.tests[0];
  if (!found) return <p className="p-4 text-faint">Reading the tests …</p>;
  if (found.capacities.length === 0)
    return (
      <div className="px-4 pb-4">
        <p className="pt-4">
          Nothing is tested yet.{" "}
          <Link to={`/intake/${athleteId}/tests`} className="underline">
            Do a first test
          </Link>
          ; its capacity and the rung that fits stand here.
        </p>
        <LaddersPart athleteId={athleteId} />
      </div>
    );
  return (
    <div className="px-4 pb-4">
      {next && (
        <p className="pt-2">
          <b>Test next:</b> {next.name}. {next.why}
        </p>
      )}
      <table className="mt-2 w-full">
        <thead>
          <tr className="lettering border-b border-ink [&>th]:pr-4">
            <th>Family</th>
            <th>Capacity</th>
            <th>Current rung</th>
            <th>Sides</th>
            <th>
              <span className="sr-only">Acts</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {found.capacities.map((capacity) => (
            <CapacityRow
              key={`${capacity.family} ${capacity.measure} ${capacity.unit}`}
              one={capacity}
            />
          ))}
        </tbody>
      </table>
      <p className="pt-3 text-sm text-faint">
        Capacity is the one-rep load at a rep of 2 s, or the torque held for 6 s. Model{" "}
        {found.model_version}.
      </p>
      <LaddersPart athleteId={athleteId} />
    </div>
  );
}

function CapacityRow({ one }: { one: Capacity }) {
  const [moving, setMoving] = useState(false);
  return (
    <tr className="border-b border-hair align-top [&>*]:py-2 [&>*]:pr-4">
      <th scope="row">
        {one.family}
        <span className="block font-text text-sm font-normal text-faint">{one.measure}</span>
      </th>
      <td>
        <Explained name={`capacity, ${one.family}`} figure={one.capacity} />
        <span className="block text-sm text-faint">
          ± {one.half_width_percent.toFixed(0)} %, from {one.tests}{" "}
          {one.tests === 1 ? "day" : "days"}, the last {day(one.day)}
        </span>
      </td>
      <td>
        {one.ladder_id ? (
          <>
            <Link to={`/ladder/${one.ladder_id}`} className="font-head text-[1.05rem] underline">
              {one.current_rung}
            </Link>
            <span className="block text-sm text-faint">toward: {one.goal}</span>
            <span className="block text-sm">
              {one.rung === one.current_rung
                ? "● the prescription fits here"
                : `The prescription fits at: ${one.rung}`}
              {one.rungs !== `${one.rung} to ${one.rung}` && `; its range: ${one.rungs}`}
            </span>
            {one.moved_why && (
              <span className="block text-sm text-watch">
                ◆ moved by the coach: {one.moved_why}
              </span>
            )}
            <span className="block text-sm text-faint">{one.narrower}</span>
          </>
        ) : (
          <span className="text-faint">
            {one.ready_ladders.length ? "No ladder yet: see below." : "No ready ladder for it yet."}
          </span>
        )}
      </td>
      <td>
        {one.sides ? (
          <>
            Right {one.sides.words}
            {one.sides.weaker && (
              <span className="block text-watch">◆ begin with the {one.sides.weaker}</span>
            )}
          </>
        ) : (
          <span className="text-faint">–</span>
        )}
      </td>
      <td className="text-right">
        {one.ladder_id && (
          <Button onClick={() => setMoving(true)} aria-label={`Move on ${one.goal}`}>
            Move …
          </Button>
        )}
        {moving && <MoveDialog one={one} onClose={() => setMoving(false)} />}
      </td>
    </tr>
  );
}

function MoveDialog({ one, onClose }: { one: Capacity; onClose: () => void }) {
  const ladder = useQuery(queries.ladder(one.ladder_id ?? "")).data;
  const { act, busy, error } = useAct("squad", "athlete", "ladder");

  function move(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    act(
      () =>
        api.PUT("/api/ladders/{ladder_id}/current-rung", {
          params: { path: { ladder_id: one.ladder_id ?? "" } },
          body: { rung_id: String(typed.get("rung")), note: String(typed.get("note")) },
        }),
      onClose,
    );
  }

  return (
    <Dialog
      open
      onOpenChange={onClose}
      title={`Move on the ladder toward ${one.goal}`}
      about="Your note is kept beside the placement, which stays to be seen."
    >
      {ladder && (
        <form onSubmit={move}>
          <Choice
            label="To"
            name="rung"
            defaultValue={ladder.current_rung_id}
            options={ladder.rungs.map(({ id, name }) => [id, name] as const)}
          />
          <Field label="Why" name="note" required maxLength={300} />
          <Wrong error={error} />
          <Button main type="submit" busy={busy} className="mt-3">
            Move them
          </Button>
        </form>
      )}
    </Dialog>
  );
}
