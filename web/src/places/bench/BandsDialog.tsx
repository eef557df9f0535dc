/** The coach's bands: each with its measured curve; a new one is pulled and measured. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Schema } from "../../api/client";
import { queries } from "../../api/queries";
import { BandCurve } from "../../drawing/BandCurve";
import { Button } from "../../parts/Button";
import { Dialog } from "../../parts/Dialog";
import { Field } from "../../parts/Field";
import { centimetres } from "../../parts/figures";
import { useAct, useSendId } from "../../parts/useAct";
import { Wrong } from "../../parts/Wrong";

const PULLS = 6;

export function BandsDialog(props: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const [measuring, setMeasuring] = useState(false);
  return (
    <Dialog
      {...props}
      wide
      title="The bands"
      about="A band is known by its pull at five lengths or more, up to twice its own."
    >
      <Kept />
      {measuring ? (
        <Measuring onKept={() => setMeasuring(false)} />
      ) : (
        <Button className="mt-3" onClick={() => setMeasuring(true)}>
          Measure a band …
        </Button>
      )}
    </Dialog>
  );
}

function Kept() {
  const bands = useQuery(queries.bands).data?.bands ?? [];
  const { act, error } = useAct();
  const [last, setLast] = useState<Schema["Band"] | null>(null);

  const layAside = (band: Schema["Band"]) =>
    act(
      () => api.DELETE("/api/bands/{band_id}", { params: { path: { band_id: band.id } } }),
      () => setLast(band),
    );
  const takeBack = ({ name, rest_m, readings, limit }: Schema["Band"]) =>
    act(
      () =>
        api.POST("/api/bands", {
          body: { id: crypto.randomUUID(), name, rest_m, readings, limit },
        }),
      () => setLast(null),
    );

  if (bands.length === 0 && !last)
    return <p className="pt-3 text-faint">None measured yet. Start with the one you use most.</p>;
  return (
    <>
      <Wrong error={error} />
      {last && (
        <p className="pt-2">
          “{last.name}” is laid aside.{" "}
          <Button quiet onClick={() => takeBack(last)}>
            Take it back
          </Button>
        </p>
      )}
      <ul className="grid grid-cols-2 gap-3 pt-3 max-sm:grid-cols-1">
        {bands.map((band) => (
          <li key={band.id} className="border border-hair p-2">
            <div className="flex items-baseline justify-between">
              <b className="font-head text-lg">{band.name}</b>
              <Button quiet onClick={() => layAside(band)} aria-label={`Lay aside ${band.name}`}>
                Lay aside
              </Button>
            </div>
            <BandCurve band={band} width={250} height={110} />
            <p className="text-sm text-faint">
              {centimetres(band.rest_m)} long, not beyond {centimetres(band.limit * band.rest_m)}.
              Its pulls lie within {band.scatter_percent.toFixed(0)} % of the curve.
            </p>
          </li>
        ))}
      </ul>
    </>
  );
}

interface Reading {
  id: string;
  length: string;
  kg: string;
}

const blank = (): Reading => ({ id: crypto.randomUUID(), length: "", kg: "" });

function Measuring({ onKept }: { onKept: () => void }) {
  const { act, busy, error } = useAct();
  const [id] = useSendId();
  const [name, setName] = useState("");
  const [rest, setRest] = useState("");
  const [readings, setReadings] = useState(() => Array.from({ length: PULLS }, blank));
  const put = (row: string, changes: Partial<Reading>) =>
    setReadings(readings.map((one) => (one.id === row ? { ...one, ...changes } : one)));

  const keep = () =>
    act(
      () =>
        api.POST("/api/bands", {
          body: {
            id,
            name,
            rest_m: Number(rest) / 100,
            limit: 3,
            readings: readings
              .filter(({ length, kg }) => length && kg)
              .map(({ length, kg }) => ({ length_m: Number(length) / 100, kg: Number(kg) })),
          },
        }),
      onKept,
    );

  return (
    <form
      className="mt-3 border-t border-ink"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <div className="grid grid-cols-2 gap-x-3">
        <Field
          label="What you call it"
          value={name}
          required
          onChange={(event) => setName(event.target.value)}
        />
        <Field
          label="Length without pull"
          unit="cm"
          type="number"
          min={1}
          required
          value={rest}
          onChange={(event) => setRest(event.target.value)}
        />
      </div>
      <p className="pt-3 text-sm text-faint">
        Hang it from something that holds, pull with a hanging scale, and write down length and pull
        together. Look it over first: a band with a nick is thrown away.
      </p>
      <table className="w-full">
        <thead>
          <tr className="lettering [&>th]:pr-3">
            <th>Pull</th>
            <th>Length, cm</th>
            <th>Pull, kg</th>
          </tr>
        </thead>
        <tbody>
          {readings.map((reading, i) => (
            <tr key={reading.id} className="[&>td]:pr-3 [&>td]:pb-1">
              <td className="text-faint">{i + 1}</td>
              {(["length", "kg"] as const).map((field) => (
                <td key={field}>
                  <input
                    aria-label={`${field === "kg" ? "Kilos" : "Length"} of pull ${i + 1}`}
                    type="number"
                    step="any"
                    value={reading[field]}
                    onChange={(event) => put(reading.id, { [field]: event.target.value })}
                    className="w-full border border-line bg-sheet px-2 py-1"
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <Button quiet onClick={() => setReadings([...readings, blank()])}>
        One more pull
      </Button>
      <Wrong error={error} />
      <Button main type="submit" busy={busy} className="mt-2">
        Keep the band
      </Button>
    </form>
  );
}
