/** A household scale under the feet, three positions: what differs, and whether it is to stand. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Schema } from "../api/client";
import { queries } from "../api/queries";
import { useAct, useSendId } from "../hooks/useAct";
import { Button } from "../ui/Button";
import { Dialog } from "../ui/Dialog";
import { Wrong } from "../ui/Wrong";
import { Explained } from "../units/Explained";
import { day } from "../units/figures";
import { fromSi, type Kind, toSi, type Units, unitOf } from "../units/units";

type Check = Schema["ScaleCheckOut"];
type Position = Schema["PositionReading"]["position"];

interface Props {
  athleteId: string;
  units: Units;
  onClose: () => void;
}

export function ScaleCheck({ athleteId, units, onClose }: Props) {
  const { data } = useQuery(queries.scaleChecks(athleteId));
  const [asking, setAsking] = useState(false);
  const newest = data?.checks[0];
  const askAnew = asking || !newest;
  return (
    <Dialog
      open
      wide
      onOpenChange={onClose}
      title="Household scale"
      about="What the feet leave to the hands tells how this body differs from the model, in two minutes. Never a scale on a chair; warm up first, and stop if anything hurts."
    >
      {data && askAnew && (
        <Weighing
          athleteId={athleteId}
          units={units}
          checks={data}
          onKept={() => setAsking(false)}
        />
      )}
      {data && newest && !askAnew && (
        <>
          <Result athleteId={athleteId} units={units} check={newest} />
          <Button quiet className="mt-2" onClick={() => setAsking(true)}>
            Weigh again …
          </Button>
        </>
      )}
    </Dialog>
  );
}

interface WeighingProps {
  athleteId: string;
  units: Units;
  checks: Schema["ScaleChecks"];
  onKept: () => void;
}

function Weighing({ athleteId, units, checks, onKept }: WeighingProps) {
  const { act, busy, error } = useAct("athlete");
  const [id, next] = useSendId();
  const [typed, setTyped] = useState<Record<string, string>>({});
  const put = (name: string, value: string) => setTyped({ ...typed, [name]: value });
  const fill = () => {
    const { standing_kg, readings } = checks.simulated;
    const shown = (kg: number) => String(fromSi(kg, units, "mass"));
    setTyped({
      standing: shown(standing_kg),
      ...Object.fromEntries(readings.map((reading) => [reading.position, shown(reading.read_kg)])),
    });
  };
  const si = (name: string, kind: Kind) => toSi(Number(typed[name]), units, kind);
  const keep = () =>
    act(
      () =>
        api.POST("/api/athletes/{athlete_id}/scale-checks", {
          params: { path: { athlete_id: athleteId } },
          body: {
            id,
            standing_kg: si("standing", "mass"),
            readings: checks.how
              .filter(({ position }) => typed[position])
              .map(({ position }) => ({
                position: position as Position,
                read_kg: si(position, "mass"),
                distance_m: typed[`${position} m`] ? si(`${position} m`, "length") : null,
              })),
          },
        }),
      () => {
        next();
        onKept();
      },
    );
  const box = (name: string, label: string, kind: Kind) => (
    <label className="flex items-center gap-2">
      <input
        aria-label={label}
        type="number"
        step="any"
        value={typed[name] ?? ""}
        onChange={(event) => put(name, event.target.value)}
        className="w-24 border border-line bg-sheet px-2 py-1"
      />
      {unitOf(units, kind)}
    </label>
  );
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <table className="mt-2 w-full">
        <thead>
          <tr className="lettering [&>th]:pr-3 [&>th]:text-left">
            <th>Position</th>
            <th>The scale shows</th>
            <th>Foot to wrist, if measured</th>
          </tr>
        </thead>
        <tbody>
          <tr className="border-t border-hair align-top [&>td]:py-2 [&>td]:pr-3">
            <td>
              <b>Standing</b>
              <span className="block text-sm text-faint">Both feet on it: catches a slip.</span>
            </td>
            <td>{box("standing", "Standing, the scale shows", "mass")}</td>
            <td />
          </tr>
          {checks.how.map(({ position, how }) => (
            <tr key={position} className="border-t border-hair align-top [&>td]:py-2 [&>td]:pr-3">
              <td>
                <b>{position[0]?.toUpperCase() + position.slice(1)}</b>
                <span className="block text-sm text-faint">{how}</span>
              </td>
              <td>{box(position, `${position}, the scale shows`, "mass")}</td>
              <td>{box(`${position} m`, `${position}, foot to wrist`, "length")}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Wrong error={error} />
      <div className="flex flex-wrap gap-2 pt-2">
        <Button main type="submit" busy={busy} disabled={!typed.standing}>
          Compare with the model
        </Button>
        <Button type="button" quiet onClick={fill}>
          No scale at hand: fill in the simulated one
        </Button>
      </div>
    </form>
  );
}

function Result({ athleteId, units, check }: { athleteId: string; units: Units; check: Check }) {
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const path = { params: { path: { athlete_id: athleteId, check_id: check.id } } };
  const url = "/api/athletes/{athlete_id}/scale-checks/{check_id}/acceptance";
  const shown = (kg: number) => `${fromSi(kg, units, "mass")} ${unitOf(units, "mass")}`;
  return (
    <>
      <p className="pt-2 font-head text-lg">{check.words}</p>
      {check.factor && (
        <p>
          Factor on the load of the hands <Explained name="factor" figure={check.factor} />
        </p>
      )}
      <table className="mt-2 w-full">
        <thead>
          <tr className="lettering [&>th]:pr-3 [&>th]:text-left">
            <th>{day(check.on)}</th>
            <th>Scale</th>
            <th>Hands</th>
            <th>Model</th>
          </tr>
        </thead>
        <tbody>
          {check.positions.map((position) => (
            <tr key={position.position} className="border-t border-hair [&>td]:py-1 [&>td]:pr-3">
              <td>
                {position.position}
                {position.odd && <span className="block text-over">▲ {position.odd}</span>}
              </td>
              <td>{shown(position.read_kg)}</td>
              <td>{shown(position.hands_kg)}</td>
              <td>
                <Explained name={`${position.position}, model`} figure={position.expected} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <Wrong error={error} />
      <div className="flex flex-wrap items-center gap-2 pt-3">
        {check.accepted ? (
          <>
            <span>
              Accepted: loads of the hands take the factor, and their ranges are narrower.
            </span>
            <Button busy={busy} onClick={() => act(() => api.DELETE(url, path))}>
              Undo
            </Button>
          </>
        ) : (
          <>
            <Button
              main
              busy={busy}
              disabled={!check.factor || check.undone}
              onClick={() => act(() => api.POST(url, path))}
            >
              Accept
            </Button>
            <span className="text-faint">
              {check.undone ? "It was undone." : "Nothing changes before you say so."}
            </span>
          </>
        )}
      </div>
    </>
  );
}
