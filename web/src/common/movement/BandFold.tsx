/** What pulls or lifts from outside: one of the coach's bands, or a helping hand. */

import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { Schema } from "../api/client";
import { queries } from "../api/queries";
import { BandsDialog } from "../equipment/BandsDialog";
import { Button } from "../ui/Button";
import { Choice } from "../ui/Field";
import { Slider } from "../ui/Slider";
import { Tick } from "../ui/Tick";
import { VOCABULARY } from "../vocabulary";
import { Fold } from "./Fold";
import type { SetUp } from "./setups";

type Hold = Schema["BandHoldRequest"];

export const PLACES = VOCABULARY.bandPlaces;
const placeOptions = PLACES.map((place) => [place, place] as const);

interface Props {
  setup: SetUp;
  onChange: (setup: SetUp) => void;
}

export function BandFold({ setup, onChange }: Props) {
  const bands = useQuery(queries.bands).data?.bands ?? [];
  const [listing, setListing] = useState(false);
  const { band: hold, assistance } = setup;
  const held = hold && bands.find((band) => same(band, hold.band));

  function take(id: string) {
    const band = bands.find((band) => band.id === id);
    onChange({ ...setup, band: band ? hung(band, hold) : null });
  }
  const put = (changes: Partial<Hold>) =>
    hold && onChange({ ...setup, band: { ...hold, ...changes } });

  return (
    <Fold name="Band and assistance" summary={summaryOf(setup, held ?? undefined)}>
      <Choice
        label="Band"
        value={held?.id ?? (hold ? "other" : "")}
        options={[
          ["", "none"],
          ...(hold && !held ? ([["other", "one out of use"]] as const) : []),
          ...bands.map(({ id, name }) => [id, name] as const),
        ]}
        onChange={(event) => take(event.target.value)}
      />
      {hold && (
        <>
          <Choice
            label="Takes hold at the"
            value={hold.at}
            options={placeOptions}
            onChange={(event) => put({ at: event.target.value as Hold["at"] })}
          />
          <Tick
            label="folded in two"
            on={hold.band.doubled}
            onChange={(doubled) => put({ band: { ...hold.band, doubled } })}
          />
          <Tick
            label="its other end held in the hands"
            on={hold.in_hands}
            onChange={(in_hands) => put({ in_hands })}
          />
          {!hold.in_hands && (
            <>
              <Slider
                label="other end above the floor"
                unit="m"
                low={0}
                high={5}
                step={0.05}
                value={hold.anchor_height_m}
                onChange={(anchor_height_m) => put({ anchor_height_m })}
              />
              <Slider
                label="other end towards the head's side"
                unit="m"
                low={-2}
                high={2}
                step={0.05}
                value={hold.anchor_ahead_m}
                onChange={(anchor_ahead_m) => put({ anchor_ahead_m })}
              />
            </>
          )}
        </>
      )}
      <Button className="mt-2" onClick={() => setListing(true)}>
        The bands …
      </Button>
      <Slider
        label="a helping hand takes off"
        unit="kg"
        low={0}
        high={80}
        step={0.5}
        value={assistance?.kg ?? 0}
        onChange={(kg) =>
          onChange({ ...setup, assistance: kg > 0 ? { kg, at: assistance?.at ?? "hips" } : null })
        }
      />
      {assistance && (
        <Choice
          label="It lifts at the"
          value={assistance.at}
          options={placeOptions}
          onChange={(event) =>
            onChange({
              ...setup,
              assistance: { ...assistance, at: event.target.value as Hold["at"] },
            })
          }
        />
      )}
      <BandsDialog open={listing} onOpenChange={setListing} />
    </Fold>
  );
}

function same(band: Schema["BandOut"], held: Schema["BandRequest"]): boolean {
  const telling = (one: { rest_m: number; pulls: Schema["PullReading"][] }) =>
    JSON.stringify([one.rest_m, one.pulls.map(({ length_m, force_n }) => [length_m, force_n])]);
  return telling(band) === telling(held);
}

function hung(band: Schema["BandOut"], before: Hold | null): Hold {
  const { rest_m, pulls, limit } = band;
  return {
    at: before?.at ?? "hips",
    anchor_height_m: before?.anchor_height_m ?? 2.2,
    anchor_ahead_m: before?.anchor_ahead_m ?? 0,
    in_hands: before?.in_hands ?? false,
    band: { rest_m, pulls, limit, doubled: before?.band.doubled ?? false },
  };
}

function summaryOf({ band, assistance }: SetUp, held: Schema["BandOut"] | undefined): string {
  const parts = [];
  if (band) parts.push(`${held?.name ?? "a band"}${band.band.doubled ? ", folded" : ""}`);
  if (assistance) parts.push(`assistance ${assistance.kg} kg`);
  return parts.join(", ") || "none";
}
