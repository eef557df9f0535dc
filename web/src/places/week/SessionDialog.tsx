/** A day's session, opened from its column. */
import { useQuery } from "@tanstack/react-query";
import { queries } from "../../api/queries";
import { Button } from "../../parts/Button";
import { Dialog } from "../../parts/Dialog";
import { day as dayWords } from "../../parts/figures";
import { Wrong } from "../../parts/Wrong";
import type { Sheet } from "./plan";
import { SessionView } from "./SessionView";

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
      about={found.data?.adapted ? "As it was adapted to the day." : sheet.athlete_name}
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
      <Wrong error={found.error} />
      {!found.data && !found.error && <p className="py-4 text-faint">Laying out the session …</p>}
      {found.data && <SessionView session={found.data.session} onEdit={onEdit} />}
    </Dialog>
  );
}
