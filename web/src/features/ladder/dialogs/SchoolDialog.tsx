/** By which school a ladder progresses, and where its rungs' doses depart from it. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { answer, api, type Schema } from "../../../common/api/client";
import { queries } from "../../../common/api/queries";
import { useAct } from "../../../common/hooks/useAct";
import { Button } from "../../../common/ui/Button";
import { Dialog } from "../../../common/ui/Dialog";
import { Choice } from "../../../common/ui/Field";
import { Tick } from "../../../common/ui/Tick";
import { Wrong } from "../../../common/ui/Wrong";
import { dose } from "../../../common/units/figures";

type Doses = Schema["PrescriptionsOut"];
type Purpose = Doses["purpose"];
type Level = Doses["level"];

const PURPOSES: Purpose[] = [
  "learn",
  "skill",
  "strength",
  "size",
  "endurance",
  "keep",
  "finisher",
  "daily",
];
const LEVELS: Level[] = ["beginner", "intermediate", "advanced"];

export function SchoolDialog({ ladder, onClose }: { ladder: string; onClose: () => void }) {
  const found = useQuery(queries.doses(ladder));
  return (
    <Dialog open onOpenChange={onClose} title="School and doses" widest>
      <Wrong error={found.error} />
      {found.data && <Chosen ladder={ladder} doses={found.data} onClose={onClose} />}
    </Dialog>
  );
}

function Chosen(props: { ladder: string; doses: Doses; onClose: () => void }) {
  const { ladder, doses, onClose } = props;
  const [school, setSchool] = useState(doses.school);
  const [purpose, setPurpose] = useState(doses.purpose);
  const [level, setLevel] = useState(doses.level);
  const [anew, setAnew] = useState(false);
  const { act, busy, error } = useAct();
  const words = doses.schools.find(({ id }) => id === school);
  const departing = doses.rungs.filter(({ overrides }) => overrides.length > 0);
  return (
    <>
      <div className="grid gap-x-4 sm:grid-cols-3">
        <Choice
          label="School"
          value={school}
          options={doses.schools.map(({ id, name }) => [id, name] as const)}
          onChange={(event) => setSchool(event.target.value as Doses["school"])}
        />
        <Choice
          label="Purpose"
          value={purpose}
          options={PURPOSES.map((one) => [one, one] as const)}
          onChange={(event) => setPurpose(event.target.value as Purpose)}
        />
        <Choice
          label="Level"
          value={level}
          options={LEVELS.map((one) => [one, one] as const)}
          onChange={(event) => setLevel(event.target.value as Level)}
        />
      </div>
      <p className="pt-2">
        <b>Moves up:</b> {words?.moves_up}
      </p>
      <p>
        <b>Sets:</b> {words?.grows}
      </p>
      <Tick label="Give every rung the dose that these ask for" on={anew} onChange={setAnew} />
      <Wrong error={error} />
      <Button
        main
        busy={busy}
        className="mt-2"
        onClick={() =>
          act(
            () =>
              answer(
                api.PUT("/api/ladders/{ladder_id}/school", {
                  params: { path: { ladder_id: ladder } },
                  body: { school, purpose, level, anew },
                }),
              ),
            onClose,
          )
        }
      >
        Keep
      </Button>
      <h3 className="lettering pt-4">Set by hand against a rule</h3>
      {departing.length === 0 && <p>Every rung's dose is as its school asks.</p>}
      <ul>
        {departing.map((rung) => (
          <li key={rung.id} className="border-t border-hair py-1">
            <b>{rung.name}</b>: {dose(rung.given)}
            <ul className="pl-4 text-sm">
              {rung.overrides.map((one) => (
                <li key={one.rule}>
                  {one.given}, not {one.asked}.{" "}
                  <span className="text-faint">
                    {one.sentence} ({one.source})
                  </span>
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </>
  );
}
