/** The newest decision: outcome, reasons, figures, rules, and the coach's answer. */

import type { ReactNode } from "react";
import type { Schema } from "../../common/api/client";
import { Answering } from "../../common/proposals/Answering";
import { noteOf, OUTCOMES } from "../../common/proposals/outcomes";
import { Undo } from "../../common/proposals/Undo";
import { Mark } from "../../common/ui/Mark";
import { InputRows } from "../../common/units/Explained";
import { day } from "../../common/units/figures";
import { MessageCard } from "./MessageCard";

interface Props {
  proposal: Schema["ProposalOut"];
  sheet: Schema["ReviewSheet"];
}

export function Proposal({ proposal, sheet }: Props) {
  const { tone } = OUTCOMES[proposal.outcome];
  return (
    <article>
      <p className="lettering">
        {proposal.week_start
          ? `For the week of ${day(proposal.week_start)}`
          : `After the session of ${day(proposal.local_date)}`}
      </p>
      <h1 className="text-4xl">
        <Mark tone={proposal.standing === "blocked" ? "watch" : tone}>{noteOf(proposal)}</Mark>
      </h1>
      <p className="max-w-prose py-2 text-lg">{proposal.reason}</p>
      <Change proposal={proposal} />
      <div className="grid gap-x-8 md:grid-cols-2">
        <table className="w-full self-start">
          <caption className="lettering text-left">Figures</caption>
          <InputRows inputs={proposal.figures} />
        </table>
        <div>
          <h2 className="lettering">Confidence: {proposal.confidence}</h2>
          <p className="border-t border-hair py-0.5">{proposal.confidence_why}</p>
          <details className="pt-2">
            <summary className="lettering cursor-pointer">Rules that spoke</summary>
            {proposal.rules.map((rule) => (
              <p key={rule.id} className="border-t border-hair py-0.5">
                <code className="font-head">{rule.id}</code> {rule.sentence}{" "}
                <span className="text-faint">({rule.source})</span>
              </p>
            ))}
          </details>
          <p className="pt-1 text-sm text-faint">
            Model {proposal.model_version}, catalogue {proposal.catalogue_version}
          </p>
        </div>
      </div>
      {proposal.answer === null ? (
        <>
          <Reads words={proposal.preview} />
          <Answering proposalId={proposal.id} from={proposal.from_rung.id} rungs={sheet.rungs} />
        </>
      ) : (
        <p className="mt-4 border border-hair bg-wash p-3" role="status">
          <Answered proposal={proposal} /> {sheet.athlete_name} trains on{" "}
          <b>{sheet.current_rung.name}</b>.{proposal.undoable && <Undo proposalId={proposal.id} />}
        </p>
      )}
      {proposal.message && <MessageLine message={proposal.message} />}
    </article>
  );
}

/** What is asked now and then, with the sets a week. */
function Change({ proposal }: { proposal: Schema["ProposalOut"] }) {
  const { now, then, regions } = proposal;
  if (!now) return <p className="font-head text-xl">{proposal.from_rung.name}</p>;
  const rows = then
    ? ([
        ["Now", now],
        ["Then", then],
      ] as const)
    : ([["Asked", now]] as const);
  return (
    <table className="mb-3">
      <caption className="sr-only">What is asked</caption>
      <tbody>
        {rows.map(([when, what]) => (
          <tr key={when} className="align-baseline [&>*]:pr-5">
            <th scope="row" className="lettering text-left">
              {when}
            </th>
            <td className="font-head text-xl">{what.name}</td>
            <td className="font-head text-xl whitespace-nowrap">{what.words}</td>
            <td className="text-faint">
              {what.weekly_sets} sets a week{regions.length > 0 && `, ${regions.join(", ")}`}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Reads({ words }: { words: string }) {
  if (!words) return null;
  return (
    <section
      aria-label="What the athlete reads"
      className="mt-3 max-w-prose border-l-2 border-line pl-3"
    >
      <p className="lettering">The athlete reads, once it is accepted</p>
      <p className="whitespace-pre-line">{words}</p>
    </section>
  );
}

function MessageLine({ message }: { message: Schema["MessageOut"] }) {
  return (
    <section aria-label="Message" className="mt-3 max-w-prose border-l-2 border-line pl-3">
      <MessageCard message={message} />
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
  if (proposal.answer === "routine") return `Done by itself${when}.`;
  if (proposal.answer === "undone") return `Undone${when}.`;
  if (proposal.answer === "noted") return "Nothing to decide.";
  return "Lapsed: a newer session spoke.";
}
