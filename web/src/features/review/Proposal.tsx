/** The newest decision: outcome, reasons, figures, rules, and the coach's answer. */

import type { ReactNode } from "react";
import type { Schema } from "../../common/api/client";
import { Answering } from "../../common/proposals/Answering";
import { OUTCOMES } from "../../common/proposals/outcomes";
import { Mark } from "../../common/ui/Mark";
import { InputRows } from "../../common/units/Explained";
import { day } from "../../common/units/figures";

interface Props {
  proposal: Schema["ProposalOut"];
  sheet: Schema["ReviewSheet"];
}

export function Proposal({ proposal, sheet }: Props) {
  const { note, tone } = OUTCOMES[proposal.outcome];
  const moves = proposal.to_rung.id !== proposal.from_rung.id;
  return (
    <article>
      <p className="lettering">
        {proposal.week_start
          ? `For the week of ${day(proposal.week_start)}`
          : `After the session of ${day(proposal.local_date)}`}
      </p>
      <h1 className="text-4xl">
        <Mark tone={tone}>{note}</Mark>
      </h1>
      <p className="font-head text-xl">
        {proposal.from_rung.name}
        {proposal.made ? <> → {proposal.made}</> : moves && <> → {proposal.to_rung.name}</>}
      </p>
      <p className="max-w-prose py-2 text-lg">{proposal.reason}</p>
      <div className="grid gap-x-8 md:grid-cols-2">
        <table className="w-full self-start">
          <caption className="lettering text-left">Figures</caption>
          <InputRows inputs={proposal.figures} />
        </table>
        <div>
          <h2 className="lettering">Rules that spoke</h2>
          {proposal.rules.map((rule) => (
            <p key={rule.id} className="border-t border-hair py-0.5">
              <code className="font-head">{rule.id}</code> {rule.sentence}{" "}
              <span className="text-faint">({rule.source})</span>
            </p>
          ))}
          <h2 className="lettering pt-2">Confidence: {proposal.confidence}</h2>
          <p className="border-t border-hair py-0.5">{proposal.confidence_why}</p>
          <p className="pt-1 text-sm text-faint">
            Model {proposal.model_version}, catalogue {proposal.catalogue_version}
          </p>
        </div>
      </div>
      {proposal.answer === null ? (
        <Answering proposalId={proposal.id} from={proposal.from_rung.id} rungs={sheet.rungs} />
      ) : (
        <p className="mt-4 border border-hair bg-wash p-3" role="status">
          <Answered proposal={proposal} /> {sheet.athlete_name} trains on{" "}
          <b>{sheet.current_rung.name}</b>.
        </p>
      )}
      {proposal.message && <Told message={proposal.message} />}
    </article>
  );
}

function Told({ message }: { message: Schema["MessageOut"] }) {
  return (
    <section aria-label="Message" className="mt-3 max-w-prose border-l-2 border-line pl-3">
      <p className="lettering">Message, not sent from here</p>
      <p className="whitespace-pre-line">{message.body}</p>
    </section>
  );
}

function Answered({ proposal }: { proposal: Schema["ProposalOut"] }): ReactNode {
  const why = proposal.note && `: ${proposal.note}`;
  const when = proposal.answered_at ? ` on ${day(proposal.answered_at)}` : "";
  if (proposal.answer === "accept") return `Accepted${when}.`;
  if (proposal.answer === "edit")
    return `Edited${when} to “${proposal.final_rung?.name ?? ""}”${why}.`;
  if (proposal.answer === "decline") return `Declined${when}${why}.`;
  return "Lapsed: a newer session spoke.";
}
