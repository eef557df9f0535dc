/** One session, opened from a point of a chart. */
import { useQuery } from "@tanstack/react-query";
import { queries } from "../../common/api/queries";
import { SetLine } from "../../common/movement/SetLine";
import { Dialog } from "../../common/ui/Dialog";
import { Wrong } from "../../common/ui/Wrong";
import { day } from "../../common/units/figures";

interface Props {
  athleteId: string;
  sessionId: string;
  onClose: () => void;
}

export function SessionDialog({ athleteId, sessionId, onClose }: Props) {
  const session = useQuery(queries.session(athleteId, sessionId));
  const title = session.data ? `Session of ${day(session.data.local_date)}` : "Session";
  return (
    <Dialog open onOpenChange={onClose} title={title} wide>
      <Wrong error={session.error} />
      {session.data && (
        <>
          <p className="pt-2 text-faint">Effort of the whole session: {session.data.rpe}</p>
          <ul className="pt-2">
            {session.data.sets.map((set) => (
              <li key={set.id} className="border-b border-hair py-1">
                <SetLine athleteId={athleteId} set={set} />
              </li>
            ))}
          </ul>
        </>
      )}
    </Dialog>
  );
}
