/** A day's session, opened from its column. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { answer, api } from "../../../common/api/client";
import { queries } from "../../../common/api/queries";
import { useAct, useSendId } from "../../../common/hooks/useAct";
import { Button } from "../../../common/ui/Button";
import { Dialog } from "../../../common/ui/Dialog";
import { Field } from "../../../common/ui/Field";
import { Wrong } from "../../../common/ui/Wrong";
import { day as dayWords } from "../../../common/units/figures";
import type { Sheet } from "../plan";
import { SessionView } from "../SessionView";

interface Props {
  sheet: Sheet;
  date: string;
  onAdapt: () => void;
  onEdit: (key: string) => void;
  onClose: () => void;
}

export function SessionDialog({ sheet, date, onAdapt, onEdit, onClose }: Props) {
  const found = useQuery(queries.daySession(sheet.athlete_id, date));
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title={`Session of ${dayWords(date)}`}
      about={found.data?.adapted ? "As it was set for the day." : sheet.athlete_name}
      widest
    >
      <div className="flex flex-wrap gap-2 pt-3">
        <Button onClick={onAdapt}>Adapt the day …</Button>
        <a
          className="border border-line px-3 py-1 font-head font-medium hover:bg-wash"
          href={`/api/athletes/${sheet.athlete_id}/days/${date}/card`}
        >
          Card to print (PDF)
        </a>
      </div>
      {found.data && <KeepOwn athleteId={sheet.athlete_id} day={date} />}
      <Wrong error={found.error} />
      {!found.data && !found.error && <p className="py-4 text-faint">Laying out the session …</p>}
      {found.data && <SessionView session={found.data.session} onEdit={onEdit} />}
    </Dialog>
  );
}

/** The day as it stands, kept for any other day and anyone else. */
function KeepOwn({ athleteId, day }: { athleteId: string; day: string }) {
  const [name, setName] = useState("");
  const [id, next] = useSendId();
  const { act, busy, error } = useAct("athlete", "squad");
  const keep = () =>
    act(
      () =>
        answer(
          api.PUT("/api/athletes/{athlete_id}/days/{day}/session-templates/{session_id}", {
            params: { path: { athlete_id: athleteId, day, session_id: id } },
            body: { name },
          }),
        ),
      () => {
        setName("");
        next();
      },
    );
  return (
    <details className="pt-2">
      <summary className="cursor-pointer font-head">Keep it as a session of your own</summary>
      <div className="flex items-end gap-2">
        <Field label="Named" value={name} onChange={(event) => setName(event.target.value)} />
        <Button busy={busy} disabled={!name.trim()} onClick={keep} className="mb-1">
          Keep
        </Button>
      </div>
      <Wrong error={error} />
    </details>
  );
}
