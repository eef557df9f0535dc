/** The week on paper, in a file, in a calendar. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Once } from "../../../common/account/Once";
import { answer, api } from "../../../common/api/client";
import { queries } from "../../../common/api/queries";
import { useAct } from "../../../common/hooks/useAct";
import { Button } from "../../../common/ui/Button";
import { Dialog } from "../../../common/ui/Dialog";
import { Wrong } from "../../../common/ui/Wrong";
import type { Sheet } from "../plan";

const FILES = [
  ["pdf&paper=a4", "Week and session cards, A4 (PDF)"],
  ["pdf&paper=letter", "Week and session cards, Letter (PDF)"],
  ["md", "To read (Markdown)"],
  ["ics", "For a calendar (iCalendar)"],
] as const;

export function FilesDialog({ sheet, onClose }: { sheet: Sheet; onClose: () => void }) {
  const feed = useQuery(queries.feed(sheet.athlete_id));
  const [address, setAddress] = useState("");
  const { act, busy, error } = useAct("athlete", "squad");
  const params = { params: { path: { athlete_id: sheet.athlete_id } } };
  const open = () =>
    act(
      () => answer(api.POST("/api/athletes/{athlete_id}/feed", params)),
      (made) => setAddress(`${location.origin}${made.address}`),
    );
  const close = () =>
    act(
      () => answer(api.DELETE("/api/athletes/{athlete_id}/feed", params)),
      () => setAddress(""),
    );
  return (
    <Dialog open onOpenChange={onClose} title="Print and files">
      <ul className="pt-3">
        {FILES.map(([query, words]) => (
          <li key={query} className="border-b border-hair">
            <a
              className="block py-1.5 underline"
              href={`/api/athletes/${sheet.athlete_id}/week/file?week_start=${sheet.week_start}&kind=${query}`}
            >
              {words}
            </a>
          </li>
        ))}
        <li className="py-1.5">
          <Button onClick={() => window.print()}>Print this sheet</Button>
        </li>
      </ul>
      <h3 className="lettering pt-4">Private calendar address</h3>
      <p className="text-sm text-faint">
        Whoever has it sees times and places of this and the next weeks, and nothing else. It can be
        ended at any time.
      </p>
      <Wrong error={error ?? feed.error} />
      {address && <Once label="Put it into the calendar" address={address} />}
      <div className="flex gap-2 pt-2">
        <Button busy={busy} onClick={open}>
          {feed.data?.there ? "Make a new address" : "Make an address"}
        </Button>
        {feed.data?.there && (
          <Button grave busy={busy} onClick={close}>
            End the address
          </Button>
        )}
      </div>
    </Dialog>
  );
}
