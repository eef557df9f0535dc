/** The coach's bands: each with its measured curve; a new one is pulled and measured. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Schema } from "../api/client";
import { queries } from "../api/queries";
import { BandCurve } from "../drawing/BandCurve";
import { useAct } from "../hooks/useAct";
import { Button } from "../ui/Button";
import { Dialog } from "../ui/Dialog";
import { Wrong } from "../ui/Wrong";
import { centimetres } from "../units/figures";
import { MeasuringBand } from "./MeasuringBand";

const WHY = ["cut", "knotted", "replaced", "lost"] as const;

export function BandsDialog(props: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Dialog
      {...props}
      wide
      title="The bands"
      about="A band is known by its pull at five lengths or more, up to twice its own; until then its label will do. Cut, knotted or replaced, it is another band: take it out of use and measure the new one."
    >
      <Bands />
    </Dialog>
  );
}

/** The bands in use, and the way to measure one. */
export function Bands() {
  const [measuring, setMeasuring] = useState(false);
  return (
    <>
      <Kept />
      {measuring ? (
        <MeasuringBand onKept={() => setMeasuring(false)} />
      ) : (
        <Button className="mt-3" onClick={() => setMeasuring(true)}>
          Measure a band …
        </Button>
      )}
    </>
  );
}

function Kept() {
  const bands = useQuery(queries.bands).data?.bands ?? [];
  const [last, setLast] = useState<Schema["BandOut"] | null>(null);
  const { act, error } = useAct("bands", "places", "squad", "athlete", "ladder");
  const takeBack = ({ name, rest_m, readings, limit }: Schema["BandOut"]) =>
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
          “{last.name}” is out of use.{" "}
          <Button quiet onClick={() => takeBack(last)}>
            Take it back
          </Button>
        </p>
      )}
      <ul className="grid grid-cols-2 gap-3 pt-3 max-sm:grid-cols-1">
        {bands.map((band) => (
          <BandCard key={band.id} band={band} onRetired={() => setLast(band)} />
        ))}
      </ul>
    </>
  );
}

function BandCard({ band, onRetired }: { band: Schema["BandOut"]; onRetired: () => void }) {
  const [ending, setEnding] = useState(false);
  const { act, error } = useAct("bands", "places", "squad", "athlete", "ladder");
  const retire = (why: (typeof WHY)[number]) =>
    act(
      () =>
        api.POST("/api/bands/{band_id}/retirement", {
          params: { path: { band_id: band.id } },
          body: { why },
        }),
      onRetired,
    );
  return (
    <li className="border border-hair p-2">
      <div className="flex items-baseline justify-between">
        <b className="font-head text-lg">{band.name}</b>
        <Button quiet onClick={() => setEnding(!ending)} aria-label={`Out of use: ${band.name}`}>
          Out of use …
        </Button>
      </div>
      {ending && (
        <div className="border-t border-hair py-1">
          <p className="text-sm">What was done with it keeps its curve. What became of it?</p>
          {WHY.map((why) => (
            <Button key={why} quiet onClick={() => retire(why)}>
              {why}
            </Button>
          ))}
        </div>
      )}
      <Wrong error={error} />
      <BandCurve band={band} width={250} height={110} />
      <p className="text-sm text-faint">
        {centimetres(band.rest_m)} long, not beyond {centimetres(band.limit * band.rest_m)}.{" "}
        {band.measured
          ? `Its pulls lie within ${band.scatter_percent.toFixed(0)} % of the curve.`
          : `From its label: ± ${band.scatter_percent.toFixed(0)} %. Measure it to narrow that.`}
      </p>
    </li>
  );
}
