/** Review: what the rules propose and why, and what was said to it. */

import { useQuery } from "@tanstack/react-query";
import { lazy, Suspense } from "react";
import { NavLink, useNavigate, useParams } from "react-router";
import { useKeys } from "../../app/keys";
import type { Schema } from "../../common/api/client";
import { queries } from "../../common/api/queries";
import { SparedPlaces } from "../../common/athlete/SparedPlaces";
import { amountOf, Picture } from "../../common/movement/SetLine";
import { ANSWERS, noteOf } from "../../common/proposals/outcomes";
import { Away } from "../../common/ui/Away";
import { TitleBlock } from "../../common/ui/TitleBlock";
import { counted, day } from "../../common/units/figures";
import { Messages } from "./Messages";
import { Proposal } from "./Proposal";

/** With the charts, which weigh more than all the rest of the Review. */
const Trends = lazy(() => import("./Trends"));

const VIEWS = [
  ["proposal", "Proposal", "d"],
  ["trends", "Trends", "t"],
  ["messages", "Messages", "m"],
] as const;

export default function Review() {
  const { ladderId = "", view = "proposal" } = useParams();
  const navigate = useNavigate();
  useKeys(VIEWS.map(([name, , key]) => [key, () => navigate(`/review/${ladderId}/${name}`)]));
  const review = useQuery(queries.review(ladderId));
  if (review.error) return <Away error={review.error} retry={() => review.refetch()} />;
  if (!review.data) return <main className="flex-1 p-6 text-faint">Opening the review …</main>;
  const sheet = review.data;
  const [newest] = sheet.proposals;
  const file = (kind: string) => `/api/ladders/${ladderId}/review/file?kind=${kind}`;
  return (
    <>
      <nav
        aria-label="Views of the review"
        className="flex gap-1 border-b border-hair px-4 print:hidden"
      >
        {VIEWS.map(([name, words, key]) => (
          <NavLink
            key={name}
            to={`/review/${ladderId}/${name}`}
            title={`${words} (${key.toUpperCase()})`}
            className={() =>
              `border-b-2 px-3 py-1 font-head text-lg ${name === view ? "border-ink" : "border-transparent text-faint"}`
            }
            aria-current={name === view ? "page" : undefined}
          >
            {words}
          </NavLink>
        ))}
        <span className="flex-1" />
        <a className="self-center px-2 underline" href={file("md")} download>
          Report for the athlete
        </a>
        <a className="self-center px-2 underline" href={file("pdf")} download>
          Print (PDF)
        </a>
      </nav>
      {view === "proposal" ? (
        <Proposals sheet={sheet} />
      ) : (
        <main className="min-h-0 flex-1 overflow-y-auto">
          <Suspense fallback={null}>
            {view === "trends" ? <Trends ladderId={ladderId} /> : <Messages />}
          </Suspense>
        </main>
      )}
      <TitleBlock
        athlete={sheet.athlete_name}
        sheet={`Review: ${sheet.goal}`}
        date={newest ? day(newest.local_date) : "–"}
        revision={counted(sheet.proposals.length, "proposal")}
      />
    </>
  );
}

function Proposals({ sheet }: { sheet: Schema["ReviewSheet"] }) {
  const [newest, ...older] = sheet.proposals;
  return (
    <main className="flex min-h-0 flex-1 flex-col lg:flex-row">
      <section aria-label="Decision" className="flex-1 p-4 lg:overflow-y-auto">
        <SparedPlaces athleteId={sheet.athlete_id} />
        {newest ? (
          <Proposal key={newest.id} proposal={newest} sheet={sheet} />
        ) : (
          <p>
            A proposal comes here after the first session: what changes next, with the figures and
            rules it rests on. Run one on the Floor.
          </p>
        )}
        {older.length > 0 && <History proposals={older} />}
      </section>
      <Sessions athleteId={sheet.athlete_id} sessions={sheet.sessions} />
    </main>
  );
}

function History({ proposals }: { proposals: Schema["ProposalOut"][] }) {
  return (
    <table className="mt-5 w-full">
      <caption className="lettering border-b border-ink pb-1 text-left">Earlier proposals</caption>
      <tbody>
        {proposals.map((proposal) => (
          <tr key={proposal.id} className="border-b border-hair align-top [&>*]:py-1 [&>*]:pr-4">
            <td className="whitespace-nowrap">{day(proposal.local_date)}</td>
            <th scope="row" className="whitespace-nowrap">
              {noteOf(proposal)}
            </th>
            <td>
              {proposal.now?.name ?? proposal.from_rung.name}
              {proposal.then
                ? ` → ${proposal.then.name}, ${proposal.then.words}`
                : movedTo(proposal)}
            </td>
            <td className="text-faint">
              {proposal.answer ? ANSWERS[proposal.answer] : "open"}
              {proposal.note && `: ${proposal.note}`}
              {proposal.turned_out && <span className="block text-sm">{proposal.turned_out}</span>}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Where a proposal of an earlier release led. */
const movedTo = (one: Schema["ProposalOut"]) =>
  one.to_rung.id === one.from_rung.id ? "" : ` → ${one.to_rung.name}`;

interface SessionsProps {
  athleteId: string;
  sessions: Schema["LoggedSessionOut"][];
}

function Sessions({ athleteId, sessions }: SessionsProps) {
  return (
    <aside
      aria-label="Sessions"
      className="border-t border-ink p-4 lg:w-[27rem] lg:shrink-0 lg:overflow-y-auto lg:border-t-0 lg:border-l"
    >
      <table className="w-full">
        <caption className="lettering border-b border-ink pb-1 text-left">
          Sessions: sets at effort
        </caption>
        <tbody>
          {sessions.map((session) => (
            <tr key={session.id} className="border-b border-hair align-top [&>*]:py-1 [&>*]:pr-3">
              <th scope="row" className="font-text font-normal whitespace-nowrap">
                {day(session.local_date)}
              </th>
              <td>
                <span className="text-sm text-faint">
                  {[...new Set(session.sets.map((set) => set.name))].join(", ")}
                </span>
                <br />
                {session.sets.map((set) => (
                  <SetText key={set.id} athleteId={athleteId} set={set} />
                ))}
              </td>
              <td className="text-right whitespace-nowrap text-faint">session {session.rpe}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </aside>
  );
}

function SetText({ athleteId, set }: { athleteId: string; set: Schema["LoggedSetOut"] }) {
  return (
    <span className="mr-3 inline-block whitespace-nowrap">
      {amountOf(set)}
      <span className="text-faint"> at {set.rpe}</span>
      {!set.form_ok && <span className="text-watch"> form went</span>}
      {set.pain > 0 && (
        <span className="text-over">
          {" "}
          pain {set.pain}
          {set.pain_place && `, ${set.pain_place}`}
        </span>
      )}{" "}
      <Picture athleteId={athleteId} set={set} />
    </span>
  );
}
