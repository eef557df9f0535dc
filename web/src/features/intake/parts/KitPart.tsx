/** Places and what is in them, safe or not; bands with their curves; loads to hand. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Schema } from "../../../common/api/client";
import { queries } from "../../../common/api/queries";
import { Bands } from "../../../common/equipment/BandsDialog";
import { PiecesDialog } from "../../../common/equipment/PiecesDialog";
import { useAct } from "../../../common/hooks/useAct";
import { useDraft } from "../../../common/hooks/useDraft";
import { Button } from "../../../common/ui/Button";
import { Choice, Field } from "../../../common/ui/Field";
import { Tick } from "../../../common/ui/Tick";
import { Wrong } from "../../../common/ui/Wrong";
import { VOCABULARY } from "../../../common/vocabulary";
import { ItemDialog } from "../ItemDialog";
import { ItemRow } from "./ItemRow";

const FILLS: readonly string[] = VOCABULARY.kitThatFills;

type Place = Schema["PlaceOut"];

export function KitPart({ athleteId }: { athleteId: string }) {
  const person = useQuery(queries.person(athleteId)).data;
  const places = useQuery(queries.places).data?.places;
  const [picking, setPicking] = useState(false);
  if (!person || !places) return <p className="p-4 text-faint">Fetching the kit …</p>;
  const loads = places
    .filter(({ id }) => person.places.includes(id))
    .flatMap(({ items }) =>
      items.filter(({ kind, unavailable_reason }) => FILLS.includes(kind) && !unavailable_reason),
    );
  return (
    <div className="px-4 pb-4">
      {places.length === 0 && (
        <p className="pt-3 text-faint">
          No place yet. Begin with where they train most: the floor, a bar, what is in the room.
        </p>
      )}
      {places.map((place) => (
        <PlaceCard key={place.id} athleteId={athleteId} place={place} person={person} />
      ))}
      <NewPlace />
      <h2 className="mt-4 border-t border-ink pt-2 text-lg">Bands</h2>
      <Bands />
      <h2 className="mt-4 border-t border-ink pt-2 text-lg">Loads to hand</h2>
      <p className="text-faint">
        {loads.length
          ? loads.map(({ name, kg, count }) => `${count} × ${name}, ${kg} kg`).join("; ")
          : "Nothing of known weight in these places yet."}
      </p>
      <Button className="mt-2" onClick={() => setPicking(true)}>
        Make a load …
      </Button>
      <PiecesDialog
        open={picking}
        onOpenChange={setPicking}
        there={loads.map(({ id, name, kg, count }) => ({
          id,
          name,
          weight: String(kg),
          unit: "kg",
          count: String(count),
        }))}
      />
    </div>
  );
}

interface CardProps {
  athleteId: string;
  place: Place;
  person: Schema["PersonOut"];
}

function PlaceCard({ athleteId, place, person }: CardProps) {
  const [adding, setAdding] = useState(false);
  const { act, error } = useAct("places", "squad", "athlete", "ladder");
  const trains = person.places.includes(place.id);
  const { missing: _, version, ...told } = person;
  const train = (on: boolean) =>
    act(() =>
      api.PUT("/api/athletes/{athlete_id}/person", {
        params: { path: { athlete_id: athleteId }, header: { "If-Match": version } },
        body: {
          ...told,
          places: on
            ? [...person.places, place.id]
            : person.places.filter((one) => one !== place.id),
        },
      }),
    );
  return (
    <section aria-label={place.name} className="mt-3 border border-line">
      <div className="flex flex-wrap items-center gap-x-4 border-b border-hair px-3 py-1.5">
        <h2 className="text-lg">{place.name}</h2>
        <span className="text-faint">
          {place.floor === "both" ? "a gripping and a smooth" : place.floor} floor
        </span>
        <Tick label="they train here" on={trains} onChange={train} />
        <span className="flex-1" />
        <Button onClick={() => setAdding(true)} aria-label={`Add kit at ${place.name}`}>
          Add kit …
        </Button>
      </div>
      <Wrong error={error} />
      {place.items.length === 0 ? (
        <p className="px-3 py-2 text-faint">Only the floor so far.</p>
      ) : (
        <table className="w-full">
          <thead>
            <tr className="lettering [&>th]:px-3 [&>th]:pt-1">
              <th>Kit</th>
              <th>Measure</th>
              <th>To set up</th>
              <th>Safety</th>
              <th>
                <span className="sr-only">Acts</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {place.items.map((item) => (
              <ItemRow key={item.id} item={item} />
            ))}
          </tbody>
        </table>
      )}
      {adding && <ItemDialog place={place} onClose={() => setAdding(false)} />}
    </section>
  );
}

function NewPlace() {
  const [{ name, floor }, put, settle] = useDraft<Pick<Place, "name" | "floor">>("place", () => ({
    name: "",
    floor: "gripping",
  }));
  const { act, busy, error } = useAct("places", "squad", "athlete", "ladder");
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        act(
          () =>
            api.PUT("/api/places/{place_id}", {
              params: { path: { place_id: crypto.randomUUID() } },
              body: { name, floor },
            }),
          settle,
        );
      }}
    >
      <div className="w-56">
        <Field
          label="A new place"
          value={name}
          required
          maxLength={60}
          placeholder="home, truck, park"
          onChange={(event) => put({ name: event.target.value, floor })}
        />
      </div>
      <div className="w-56 pb-5">
        <Choice
          label="Its floor"
          value={floor}
          options={[
            ["gripping", "gripping: feet hold"],
            ["smooth", "smooth: feet slide"],
            ["both", "one of each"],
          ]}
          onChange={(event) => put({ name, floor: event.target.value as Place["floor"] })}
        />
      </div>
      <Button type="submit" busy={busy} className="mb-5">
        Add the place
      </Button>
      <Wrong error={error} />
    </form>
  );
}
