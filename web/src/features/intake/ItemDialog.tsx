/** A thing added to a place. */

import { useQuery } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { api, type Schema } from "../../common/api/client";
import { queries } from "../../common/api/queries";
import { useAct, useSendId } from "../../common/hooks/useAct";
import { useFormDraft } from "../../common/hooks/useDraft";
import { Button } from "../../common/ui/Button";
import { Dialog } from "../../common/ui/Dialog";
import { Choice, Field } from "../../common/ui/Field";
import { Wrong } from "../../common/ui/Wrong";
import { VOCABULARY } from "../../common/vocabulary";

type Kind = Schema["NewItem"]["kind"];

const KINDS = VOCABULARY.kitKinds;
const WITH_WEIGHT: readonly Kind[] = VOCABULARY.kitWithWeight;
const WEIGHT: Partial<Record<Kind, string>> = { bag: "It holds", gripper: "Rated" };
const WITH_HEIGHT: readonly Kind[] = VOCABULARY.kitWithHeight;

export function ItemDialog({ place, onClose }: { place: Schema["PlaceOut"]; onClose: () => void }) {
  const bands = useQuery(queries.bands).data?.bands ?? [];
  const draft = useFormDraft(`kit.${place.id}`);
  const [kind, setKind] = useState(draft.typed("kind", "surface") as Kind);
  const [id] = useSendId();
  const { act, busy, error } = useAct("places", "squad", "athlete", "ladder");

  function keep(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    const number = (name: string) => (typed.get(name) ? Number(typed.get(name)) : null);
    const height = number("height");
    act(
      () =>
        api.PUT("/api/kit/{item_id}", {
          params: { path: { item_id: id } },
          body: {
            place_id: place.id,
            kind,
            name: String(typed.get("name")),
            height_m: height === null ? null : height / 100,
            kg: number("kg"),
            count: number("count") ?? 1,
            setup_minutes: number("minutes") ?? 0,
            rated_kg: number("rated"),
            home_made: typed.get("home_made") !== null,
            band_id: (typed.get("band") as string | null) || null,
          },
        }),
      () => {
        draft.settle();
        onClose();
      },
    );
  }

  return (
    <Dialog
      open
      onOpenChange={onClose}
      title={`Kit at ${place.name}`}
      about="What bears a person is looked at before it is planned with; a home-made rig only once you have seen a photo of it."
    >
      <form onSubmit={keep} onChange={draft.onChange}>
        <Choice
          label="What it is"
          name="kind"
          value={kind}
          options={KINDS}
          onChange={(event) => setKind(event.target.value as Kind)}
        />
        <Field
          label="What you call it"
          name="name"
          required
          maxLength={60}
          defaultValue={draft.typed("name")}
        />
        {kind === "band" && (
          <Choice
            label="Which band"
            name="band"
            options={bands.map((band) => [band.id, band.name] as const)}
            hint={bands.length ? "" : "Measure one first, further down."}
          />
        )}
        <div className="grid grid-cols-2 gap-x-4">
          {WITH_HEIGHT.includes(kind) && (
            <Field
              label="Height above the floor"
              name="height"
              defaultValue={draft.typed("height")}
              unit="cm"
              type="number"
              step="any"
              required
            />
          )}
          {WITH_WEIGHT.includes(kind) && (
            <Field
              label={WEIGHT[kind] ?? "Weight of one"}
              name="kg"
              defaultValue={draft.typed("kg")}
              unit="kg"
              type="number"
              step="any"
              required
            />
          )}
          <Field
            label="How many"
            name="count"
            type="number"
            min={1}
            defaultValue={draft.typed("count", "1")}
          />
          {(VOCABULARY.kitThatBears as readonly Kind[]).concat("bag").includes(kind) && (
            <Field
              label="Rated for, if it is told"
              name="rated"
              unit="kg"
              type="number"
              min={1}
              step="any"
              defaultValue={draft.typed("rated")}
            />
          )}
          <Field
            label="Time to set it up"
            name="minutes"
            unit="min"
            type="number"
            min={0}
            step="any"
            defaultValue={draft.typed("minutes", "0")}
          />
        </div>
        <label className="flex items-baseline gap-2 pt-1">
          <input
            type="checkbox"
            name="home_made"
            defaultChecked={draft.typed("home_made") !== ""}
          />
          home-made
        </label>
        <Wrong error={error} />
        <Button main type="submit" busy={busy} className="mt-3">
          Keep it
        </Button>
      </form>
    </Dialog>
  );
}
