/** Technique notes: the coach's own cues for this athlete, shown with the movement from then on. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { answer, api } from "../../../common/api/client";
import { queries } from "../../../common/api/queries";
import { useAct, useSendId } from "../../../common/hooks/useAct";
import { Button } from "../../../common/ui/Button";
import { Choice, Field } from "../../../common/ui/Field";
import { Wrong } from "../../../common/ui/Wrong";

export function NotesPanel({ athleteId }: { athleteId: string }) {
  const notes = useQuery(queries.notes(athleteId));
  const history = useQuery(queries.history(athleteId));
  const [movement, setMovement] = useState("");
  const [text, setText] = useState("");
  const [id, nextId] = useSendId();
  const { act, busy, error } = useAct("athlete");
  const sets = history.data?.sessions.flatMap((session) => session.sets) ?? [];
  // of each movement the newest set: that is the one a note is pinned to
  const known = new Map(sets.toReversed().map((set) => [set.movement, set]));
  const picked = known.get(movement) ?? sets[0];
  const keep = () =>
    picked &&
    act(
      () =>
        answer(
          api.PUT("/api/athletes/{athlete_id}/notes/{note_id}", {
            params: { path: { athlete_id: athleteId, note_id: id } },
            body: { movement: picked.movement, text, set_id: picked.id },
          }),
        ),
      () => {
        setText("");
        nextId();
      },
    );
  const retire = (note_id: string) =>
    act(() =>
      answer(
        api.DELETE("/api/athletes/{athlete_id}/notes/{note_id}", {
          params: { path: { athlete_id: athleteId, note_id } },
        }),
      ),
    );
  return (
    <section aria-label="Technique notes" className="pt-5">
      <h2 className="lettering border-b border-ink">Technique notes, cues from the next time on</h2>
      <ul>
        {notes.data?.map((note) => (
          <li key={note.id} className="flex items-baseline gap-2 border-b border-hair py-1">
            <span className="flex-1">
              <span className="text-faint">
                {known.get(note.movement)?.name ?? note.movement}:{" "}
              </span>
              {note.text}
            </span>
            <Button
              quiet
              busy={busy}
              onClick={() => retire(note.id)}
              aria-label={`Take away: ${note.text}`}
            >
              Take away
            </Button>
          </li>
        ))}
      </ul>
      {picked ? (
        <>
          <Choice
            label="Movement"
            value={picked.movement}
            onChange={(event) => setMovement(event.target.value)}
            options={[...known].map(([key, set]) => [key, set.name] as const)}
          />
          <Field
            label="Note"
            value={text}
            maxLength={200}
            onChange={(event) => setText(event.target.value)}
          />
          <div className="pt-2">
            <Button busy={busy} disabled={!text.trim()} onClick={keep}>
              Keep the note
            </Button>
          </div>
        </>
      ) : (
        <p className="text-faint">Once a set is logged, a note can be pinned to it.</p>
      )}
      <Wrong error={error ?? notes.error ?? history.error} />
    </section>
  );
}
