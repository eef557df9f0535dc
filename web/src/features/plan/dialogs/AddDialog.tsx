/** Movements beside the ladders: find one, say how often, and whether it takes turns. */

import { useState } from "react";
import { useAct } from "../../../common/hooks/useAct";
import { MovementFinder } from "../../../common/movement/MovementFinder";
import { Button } from "../../../common/ui/Button";
import { Choice, Field } from "../../../common/ui/Field";
import { Wrong } from "../../../common/ui/Wrong";
import { VOCABULARY } from "../../../common/vocabulary";
import {
  availabilityOf,
  type Extra,
  keepAvailability,
  withExtra,
  withoutExtra,
} from "../availability";
import type { Sheet } from "../plan";

const PURPOSES = VOCABULARY.purposes.filter((purpose) => purpose !== "daily");

export function AddDialog({ sheet, onClose }: { sheet: Sheet; onClose: () => void }) {
  const [purpose, setPurpose] = useState<Extra["purpose"]>("endurance");
  const [days, setDays] = useState("2");
  const [turn, setTurn] = useState("");
  const { act, busy, error } = useAct("athlete", "squad");
  const there = availabilityOf(sheet).extras.map(({ movement }) => movement);
  return (
    <MovementFinder
      athleteId={sheet.athlete_id}
      title="Add a movement to the week"
      onClose={onClose}
      act={(movement) => (
        <div className="border-t border-hair pt-1">
          <div className="grid grid-cols-3 gap-2">
            <Choice
              label="For"
              value={purpose}
              options={PURPOSES.map((purpose) => [purpose, purpose] as const)}
              onChange={(event) => setPurpose(event.target.value as Extra["purpose"])}
            />
            <Field
              label="Days a week"
              type="number"
              min={1}
              max={7}
              value={days}
              onChange={(event) => setDays(event.target.value)}
            />
            <Choice
              label="Takes turns"
              value={turn}
              options={[
                ["", "no"],
                ["A", "as A, with B"],
                ["B", "as B, with A"],
              ]}
              onChange={(event) => setTurn(event.target.value)}
            />
          </div>
          <Wrong error={error} />
          {there.includes(movement.id) ? (
            <Button
              busy={busy}
              className="mt-2"
              onClick={() =>
                act(
                  () => keepAvailability(sheet, withoutExtra(availabilityOf(sheet), movement.id)),
                  onClose,
                )
              }
            >
              Take it out of the week
            </Button>
          ) : (
            <Button
              main
              busy={busy}
              className="mt-2"
              onClick={() =>
                act(
                  () =>
                    keepAvailability(
                      sheet,
                      withExtra(availabilityOf(sheet), {
                        movement: movement.id,
                        purpose,
                        sets: null,
                        days: Number(days),
                        rotation: turn ? "accessories" : "",
                        letter: turn,
                      }),
                    ),
                  onClose,
                )
              }
            >
              Add it to the week
            </Button>
          )}
        </div>
      )}
    />
  );
}
