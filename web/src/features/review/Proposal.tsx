/** The newest decision: outcome, reasons, figures, rules, and the coach's answer. */

import type { ReactNode } from "react";
import type { Schema } from "../../common/api/client";
import { Answering } from "../../common/proposals/Answering";
import { OUTCOMES } from "../../common/proposals/outcomes";
import { Mark } from "../../common/ui/Mark";
import { InputRows } from "../../common/units/Explained";
import { day } from "../../common/units/figures";

interface Props {
  decision: Schema["ProposalOut"];
  sheet: Schema["ReviewSheet"];
}

export function Proposal({ decision, sheet }: Props) {
  const { word, tone } = OUTCOMES[decision.outcome];
  const moves = decision.to_rung.id !== decision.from_rung.id;
  return (
    <article>
      <p className="lettering">
        {decision.monday
          ? `For the week of ${day(decision.monday)}`
          : `After the session of ${day(decision.local_date)}`}
      </p>
      <h1 className="text-4xl">
        <Mark tone={tone}>{word}</Mark>
      </h1>
      <p className="font-head text-xl">
        {decision.from_rung.name}
        {decision.made ? <> → {decision.made}</> : moves && <> → {decision.to_rung.name}</>}
      </p>
      <p className="max-w-prose py-2 text-lg">{decision.reason}</p>
      <div className="grid gap-x-8 md:grid-cols-2">
        <table className="w-full self-start">
          <caption className="lettering text-left">Figures</caption>
          <InputRows inputs={decision.figures} />
        </table>
        <div>
          <h2 className="lettering">Rules that spoke</h2>
          {decision.rules.map((rule) => (
            <p key={rule.id} className="border-t border-hair py-0.5">
              <code className="font-head">{rule.id}</code> {rule.sentence}{" "}
              <span className="text-faint">({rule.source})</span>
            </p>
          ))}
          <h2 className="lettering pt-2">Confidence: {decision.confidence}</h2>
          <p className="border-t border-hair py-0.5">{decision.confidence_why}</p>
          <p className="pt-1 text-sm text-faint">
            Model {decision.model_version}, catalogue {decision.catalogue_version}
          </p>
        </div>
      </div>
      {decision.answer === null ? (
        <Answering decisionId={decision.id} from={decision.from_rung.id} rungs={sheet.rungs} />
      ) : (
        <p className="mt-4 border border-hair bg-wash p-3" role="status">
          <Answered decision={decision} /> {sheet.athlete_name} stands on{" "}
          <b>{sheet.standing.name}</b>.
        </p>
      )}
      {decision.message && <Told message={decision.message} />}
    </article>
  );
}

function Told({ message }: { message: Schema["MessageOut"] }) {
  return (
    <section aria-label="Message" className="mt-3 max-w-prose border-l-2 border-line pl-3">
      <p className="lettering">In the outbox, not sent from here</p>
      <p className="whitespace-pre-line">{message.body}</p>
    </section>
  );
}

function Answered({ decision }: { decision: Schema["ProposalOut"] }): ReactNode {
  const why = decision.word && `: ${decision.word}`;
  const when = decision.answered_at ? ` on ${day(decision.answered_at)}` : "";
  if (decision.answer === "take") return `Taken${when}.`;
  if (decision.answer === "edit")
    return `Edited${when} to “${decision.final_rung?.name ?? ""}”${why}.`;
  if (decision.answer === "decline") return `Declined${when}${why}.`;
  return "Lapsed: a newer session spoke.";
}
