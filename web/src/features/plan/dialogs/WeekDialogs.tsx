/** Dialogs of the week's place, one at a time. */
import { dayDate } from "../dates";
import type { Draft, Sheet } from "../plan";
import type { Keep } from "../useWeekEdits";
import type { WeekAct } from "../WeekBar";
import { AdaptDialog } from "./AdaptDialog";
import { AddDialog } from "./AddDialog";
import { AvailabilityDialog } from "./AvailabilityDialog";
import { DailyDialog } from "./DailyDialog";
import { EditDialog } from "./EditDialog";
import { FilesDialog } from "./FilesDialog";
import { ReadyDialog } from "./ReadyDialog";
import { SessionDialog } from "./SessionDialog";

interface Props {
  sheet: Sheet;
  draft: Draft;
  open: WeekAct | null;
  /** The picked day and what is picked on it. */
  day: number;
  task: Sheet["tasks"][number] | undefined;
  keep: Keep;
  onAdapt: () => void;
  onEdit: (key: string) => void;
  onClose: () => void;
}

export function WeekDialogs(props: Props) {
  const { sheet, draft, open, day, task, keep, onAdapt, onEdit, onClose } = props;
  const date = dayDate(sheet.week_start, day);
  return (
    <>
      {open === "session" && (
        <SessionDialog
          sheet={sheet}
          date={date}
          onAdapt={onAdapt}
          onEdit={onEdit}
          onClose={onClose}
        />
      )}
      {open === "adapt" && <AdaptDialog sheet={sheet} date={date} onClose={onClose} />}
      {open === "edit" && task && <EditDialog sheet={sheet} task={task} onClose={onClose} />}
      {open === "availability" && <AvailabilityDialog sheet={sheet} onClose={onClose} />}
      {open === "add" && <AddDialog sheet={sheet} onClose={onClose} />}
      {open === "ready" && (
        <ReadyDialog sheet={sheet} draft={draft} day={day} keep={keep} onClose={onClose} />
      )}
      {open === "daily" && <DailyDialog sheet={sheet} onClose={onClose} />}
      {open === "files" && <FilesDialog sheet={sheet} onClose={onClose} />}
    </>
  );
}
