/** Take, edit or decline one decision; an edit and a decline want a word. */
import { useState } from "react";
import { answer, api, type Schema } from "../api/client";
import { useRefresh } from "../api/queries";
import { Button } from "../ui/Button";
import { Choice, Field } from "../ui/Field";
import { Wrong } from "../ui/Wrong";

export type Mode = "none" | "edit" | "decline";

interface Props {
  proposalId: string;
  /** Where they stand, which an edit starts from. */
  from: string;
  rungs: Schema["RungName"][];
  mode?: Mode;
  onAnswered?: (said: Schema["AnsweredProposalOut"]) => void;
}

export function Answering({ proposalId, from, rungs, mode: first = "none", onAnswered }: Props) {
  const refresh = useRefresh("squad", "athlete", "ladder", "messages");
  const [mode, setMode] = useState<Mode>(first);
  const [rung, setRung] = useState(from);
  const [note, setWord] = useState("");
  const [error, setError] = useState<Error | null>(null);
  const [busy, setBusy] = useState(false);

  async function say(said: Schema["ProposalAnswer"]["answer"]) {
    setBusy(true);
    try {
      const done = await answer(
        api.POST("/api/proposals/{proposal_id}/answer", {
          params: { path: { proposal_id: proposalId } },
          body: { answer: said, rung_id: said === "edit" ? rung : null, note },
        }),
      );
      setError(null);
      await refresh();
      onAnswered?.(done);
    } catch (cause) {
      setError(cause as Error);
    } finally {
      setBusy(false);
    }
  }

  const pick = (next: Mode) => {
    setMode(mode === next ? "none" : next);
    setError(null);
  };
  return (
    <div className="mt-4 border-t border-ink pt-3">
      <div className="flex flex-wrap gap-2">
        <Button main busy={busy} onClick={() => say("accept")}>
          Accept
        </Button>
        <Button aria-expanded={mode === "edit"} onClick={() => pick("edit")}>
          Edit …
        </Button>
        <Button aria-expanded={mode === "decline"} onClick={() => pick("decline")}>
          Decline …
        </Button>
        <span className="self-center text-faint">Nothing changes before you decide.</span>
      </div>
      {mode !== "none" && (
        <form
          className="max-w-md pt-2"
          onSubmit={(event) => {
            event.preventDefault();
            say(mode);
          }}
        >
          {mode === "edit" && (
            <Choice
              label="Train this rung instead"
              value={rung}
              onChange={(event) => setRung(event.target.value)}
              options={rungs.map((rung) => [rung.id, rung.name])}
            />
          )}
          <Field
            label="Why, in short"
            autoFocus
            value={note}
            maxLength={300}
            onChange={(event) => setWord(event.target.value)}
          />
          <Button main type="submit" busy={busy} className="mt-2">
            {mode === "edit" ? "Take the edited decision" : "Decline it"}
          </Button>
        </form>
      )}
      <Wrong error={error} />
    </div>
  );
}
