/** By which method a ladder progresses, and where its rungs' prescriptions depart from it. */

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
import { prescription } from "../../../common/units/figures";
import { VOCABULARY } from "../../../common/vocabulary";

type Prescriptions = Schema["PrescriptionsOut"];
type Purpose = Prescriptions["purpose"];
type Level = Prescriptions["level"];

const PURPOSES = VOCABULARY.purposes;
const LEVELS = VOCABULARY.levels;

export function MethodDialog({ ladder, onClose }: { ladder: string; onClose: () => void }) {
  const found = useQuery(queries.prescriptions(ladder));
  return (
    <Dialog open onOpenChange={onClose} title="Method and prescriptions" widest>
      <Wrong error={found.error} />
      {found.data && <Chosen ladder={ladder} prescriptions={found.data} onClose={onClose} />}
    </Dialog>
  );
}

function Chosen(props: { ladder: string; prescriptions: Prescriptions; onClose: () => void }) {
  const { ladder, prescriptions, onClose } = props;
  const [method, setMethod] = useState(prescriptions.method);
  const [purpose, setPurpose] = useState(prescriptions.purpose);
  const [level, setLevel] = useState(prescriptions.level);
  const [anew, setAnew] = useState(false);
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const words = prescriptions.methods.find(({ id }) => id === method);
  const departing = prescriptions.rungs.filter(({ overrides }) => overrides.length > 0);
  return (
    <>
      <div className="grid gap-x-4 sm:grid-cols-3">
        <Choice
          label="Method"
          value={method}
          options={prescriptions.methods.map(({ id, name }) => [id, name] as const)}
          onChange={(event) => setMethod(event.target.value as Prescriptions["method"])}
        />
        <Choice
          label="Purpose"
          value={purpose}
          options={PURPOSES.map((purpose) => [purpose, purpose] as const)}
          onChange={(event) => setPurpose(event.target.value as Purpose)}
        />
        <Choice
          label="Level"
          value={level}
          options={LEVELS.map((level) => [level, level] as const)}
          onChange={(event) => setLevel(event.target.value as Level)}
        />
      </div>
      <p className="pt-2">
        <b>Moves up:</b> {words?.moves_up}
      </p>
      <p>
        <b>Sets:</b> {words?.grows}
      </p>
      <Tick
        label="Give every rung the prescription that these ask for"
        on={anew}
        onChange={setAnew}
      />
      <Wrong error={error} />
      <Button
        main
        busy={busy}
        className="mt-2"
        onClick={() =>
          act(
            () =>
              answer(
                api.PUT("/api/ladders/{ladder_id}/method", {
                  params: { path: { ladder_id: ladder } },
                  body: { method, purpose, level, anew },
                }),
              ),
            onClose,
          )
        }
      >
        Keep
      </Button>
      <h3 className="lettering pt-4">Set by hand against a rule</h3>
      {departing.length === 0 && <p>Every rung's prescription is as its method asks.</p>}
      <ul>
        {departing.map((rung) => (
          <li key={rung.id} className="border-t border-hair py-1">
            <b>{rung.name}</b>: {prescription(rung.given)}
            <ul className="pl-4 text-sm">
              {rung.overrides.map((override) => (
                <li key={override.rule}>
                  {override.given}, not {override.asked}.{" "}
                  <span className="text-faint">
                    {override.sentence} ({override.source})
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
