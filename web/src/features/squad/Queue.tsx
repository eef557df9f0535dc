/** The decisions that wait, one after the other, worked by keys; plain ones together. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { useKeys } from "../../app/keys";
import { answer, api, type Schema } from "../../common/api/client";
import { queries, useRefresh } from "../../common/api/queries";
import { Answering, type Mode } from "../../common/proposals/Answering";
import { ANSWERS, noteOf, OUTCOMES } from "../../common/proposals/outcomes";
import { Button } from "../../common/ui/Button";
import { Dialog } from "../../common/ui/Dialog";
import { Mark } from "../../common/ui/Mark";
import { Wrong } from "../../common/ui/Wrong";
import { counted, day } from "../../common/units/figures";

type Line = Schema["SquadLineOut"];
export type Waits = Schema["PendingDecisionOut"] & { athlete: Line };

/** Every decision that waits, in the squad's own order. */
export const waitingIn = (lines: Line[]): Waits[] =>
  lines.flatMap((athlete) =>
    athlete.pending_decisions.map((decision) => ({ ...decision, athlete })),
  );

interface Props {
  waiting: Waits[];
  /** What was done, and the proposal that can be undone. */
  onTold: (words: string, proposalId?: string) => void;
}

export function Queue({ waiting, onTold }: Props) {
  const navigate = useNavigate();
  const refresh = useRefresh("squad", "athlete", "ladder", "messages");
  const [at, setAt] = useState(0);
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const [open, setOpen] = useState<{ one: Waits; mode: Mode } | null>(null);
  const [error, setError] = useState<Error | null>(null);
  const [busy, setBusy] = useState(false);
  const plain = waiting.filter((decision) => decision.plain);
  const chosen = plain.filter((decision) => ticked.has(decision.id));
  const here = waiting[Math.min(at, waiting.length - 1)];

  const tick = (one: Waits | undefined) => {
    if (!one?.plain) return;
    const next = new Set(ticked);
    if (!next.delete(one.id)) next.add(one.id);
    setTicked(next);
  };
  const look = (one: Waits | undefined) => {
    if (!one) return;
    navigate(`/review/${one.ladder_id}`);
  };
  const ask = (mode: Mode) => here && setOpen({ one: here, mode });

  async function takeTicked() {
    if (chosen.length === 0 || busy) return;
    setBusy(true);
    try {
      const done = await answer(
        api.POST("/api/proposals/accept", { body: { ids: chosen.map((decision) => decision.id) } }),
      );
      setTicked(new Set());
      setError(null);
      await refresh();
      const weeks = done.replanned.length;
      onTold(
        `${counted(done.accepted.length, "proposal")} accepted, messages written${weeks ? `; ${counted(weeks, "week")} being planned anew` : ""}.`,
      );
    } catch (cause) {
      setError(cause as Error);
    } finally {
      setBusy(false);
    }
  }

  useKeys([
    ["ArrowUp", () => setAt(Math.max(0, at - 1))],
    ["ArrowDown", () => setAt(Math.min(waiting.length - 1, at + 1))],
    ["x", () => tick(here)],
    ["t", takeTicked],
    ["y", () => ask("none")],
    ["e", () => ask("edit")],
    ["d", () => ask("decline")],
    ["Enter", () => look(here)],
  ]);

  if (waiting.length === 0)
    return (
      <p className="p-6">
        Up to date. Sessions and weeks put proposals here that need your decision.
      </p>
    );
  return (
    <section aria-label="Needs your decision">
      <div className="flex flex-wrap items-center gap-2 border-b border-hair px-4 py-1.5">
        <Button main busy={busy} disabled={chosen.length === 0} onClick={takeTicked}>
          Accept {chosen.length} ticked
        </Button>
        <Button onClick={() => setTicked(new Set(plain.map((decision) => decision.id)))}>
          Tick all {plain.length} plain
        </Button>
        <span className="text-faint">
          Plain and sure ones can be accepted together; the others are answered one by one.
        </span>
        <Wrong error={error} />
      </div>
      <ul>
        {waiting.map((decision) => (
          <Row
            key={decision.id}
            one={decision}
            here={decision === here}
            ticked={ticked.has(decision.id)}
            onTick={() => tick(decision)}
            onAnswer={(mode) => setOpen({ one: decision, mode })}
            onLook={() => look(decision)}
          />
        ))}
      </ul>
      {open && (
        <AnswerDialog
          {...open}
          onClose={() => setOpen(null)}
          onAnswered={(said) => {
            setOpen(null);
            onTold(answeredWords(open.one, said), said.answer === "decline" ? undefined : said.id);
          }}
        />
      )}
    </section>
  );
}

function answeredWords(one: Waits, said: Schema["AnsweredProposalOut"]): string {
  const week = said.replanned ? ` The week of ${day(said.replanned)} is being planned anew.` : "";
  const message = said.message ? " A message was written." : "";
  return `${one.athlete.name}: ${ANSWERS[said.answer ?? "expired"]}.${week}${message}`;
}

interface RowProps {
  one: Waits;
  here: boolean;
  ticked: boolean;
  onTick: () => void;
  onAnswer: (mode: Mode) => void;
  onLook: () => void;
}

function Row({ one, here, ticked, onTick, onAnswer, onLook }: RowProps) {
  const { tone } = OUTCOMES[one.outcome];
  const note = noteOf(one);
  const moves = one.to_rung !== one.from_rung;
  return (
    <li
      aria-current={here || undefined}
      className={`grid grid-cols-[1.5rem_12rem_11rem_minmax(0,1fr)_auto] items-start gap-3 border-b border-hair px-4 py-2 max-md:grid-cols-[1.5rem_minmax(0,1fr)] max-md:[&>*:nth-child(n+3)]:col-start-2 ${here ? "bg-wash" : ""}`}
    >
      {one.plain ? (
        <input
          type="checkbox"
          className="mt-1.5"
          checked={ticked}
          onChange={onTick}
          aria-label={`Take “${note}” for ${one.athlete.name}, ${one.goal}`}
        />
      ) : (
        <span aria-hidden="true" />
      )}
      <span>
        <b className="font-head text-lg">{one.athlete.name}</b>
        <span className="block text-sm text-faint">{one.goal}</span>
      </span>
      <span>
        <Mark tone={one.standing === "blocked" ? "watch" : tone}>{note}</Mark>
        <span className="block text-sm text-faint">
          {one.standing === "blocked" && "blocked; "}by the {one.weekly ? "week" : "session"},{" "}
          {one.confidence} confidence
        </span>
      </span>
      <span>
        <span className="font-head">
          {one.from_rung}
          {moves && ` → ${one.to_rung}`}
        </span>
        <span className="block text-sm">{one.reason}</span>
      </span>
      <span className="flex gap-1">
        <Button onClick={() => onAnswer("none")} aria-label={`Answer for ${one.athlete.name}`}>
          Answer …
        </Button>
        <Button quiet onClick={onLook} aria-label={`Review of ${one.athlete.name}, ${one.goal}`}>
          Review
        </Button>
      </span>
    </li>
  );
}

interface AnswerProps {
  one: Waits;
  mode: Mode;
  onClose: () => void;
  onAnswered: (said: Schema["AnsweredProposalOut"]) => void;
}

function AnswerDialog({ one, mode, onClose, onAnswered }: AnswerProps) {
  const sheet = useQuery(queries.review(one.ladder_id));
  const proposal = sheet.data?.proposals.find((each) => each.id === one.id);
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title={`${one.athlete.name}: ${noteOf(one)}`}
      about={one.reason}
      wide
    >
      <Wrong error={sheet.error} />
      {proposal?.preview && (
        <p className="mt-2 max-w-prose border-l-2 border-line pl-3 whitespace-pre-line">
          {proposal.preview}
        </p>
      )}
      {proposal && sheet.data && (
        <Answering
          proposalId={one.id}
          from={proposal.from_rung.id}
          rungs={sheet.data.rungs}
          mode={mode}
          onAnswered={onAnswered}
        />
      )}
    </Dialog>
  );
}
