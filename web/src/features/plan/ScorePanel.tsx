/** What stands beside the days: broken rules, what is picked, regions, score, the weeks before. */
import type { Schema } from "../../common/api/client";
import { Button } from "../../common/ui/Button";
import { Mark } from "../../common/ui/Mark";
import { counted, plain } from "../../common/units/figures";
import { TagSets } from "../../common/units/TagSets";
import { short } from "./dates";
import type { Sheet, Task } from "./plan";

interface Props {
  sheet: Sheet;
  /** Whether the sheet's score is of the plan that is shown: an older one is never shown beside it. */
  judged: boolean;
  picked: Task | null;
  onOff: () => void;
}

export function ScorePanel({ sheet, judged, picked, onOff }: Props) {
  const planned = sheet.tasks.some(({ days }) => days.length > 0);
  return (
    <aside
      aria-label="Score"
      className="w-full shrink-0 overflow-y-auto border-line p-3 lg:w-80 lg:border-l"
    >
      {planned && sheet.breaches.length > 0 && (
        <div role="alert" className="mb-3 border-l-4 border-over bg-wash p-2">
          <Mark tone="over">Rules that this week breaks</Mark>
          <ul>
            {sheet.breaches.map((breach) => (
              <li key={breach.words} className="pt-1">
                {breach.words} <span className="text-sm text-faint">{breach.sentence}</span>
              </li>
            ))}
          </ul>
        </div>
      )}
      {picked && (
        <div className="mb-3 border border-line p-2">
          <h2 className="flex items-baseline justify-between gap-2 text-base">
            {picked.name}
            <Button quiet onClick={onOff}>
              Take off
            </Button>
          </h2>
          {picked.goal && <p className="text-sm text-faint">toward {picked.goal}</p>}
          <ul className="text-sm">
            {picked.sets.map((set) => (
              <li key={set}>{set}</li>
            ))}
          </ul>
          <p className="text-sm text-faint">
            {picked.days.length} of {picked.asked} days
            {picked.stressful && ", among the most stressful: twice a week at most"}
          </p>
        </div>
      )}
      {sheet.notices.map((notice) => (
        <p key={notice} className="pb-1 text-watch">
          ◆ {notice}
        </p>
      ))}
      {sheet.short.length > 0 && (
        <section aria-label="Less than asked" className="pb-2">
          <h2 className="lettering">Less than asked</h2>
          <ul>
            {sheet.short.map((shortfall) => (
              <li key={shortfall} className="pb-1 text-watch">
                ◆ {shortfall}
              </li>
            ))}
          </ul>
        </section>
      )}
      {sheet.left_out.map((reason) => (
        <p key={reason} className="pb-1 text-over">
          ▲ Left out: {reason}
        </p>
      ))}
      {judged ? (
        <>
          <Regions sheet={sheet} />
          <TagSets tags={sheet.tags} />
          <Terms sheet={sheet} />
        </>
      ) : (
        <p className="py-2 text-faint">The plan that is shown is being judged …</p>
      )}
      <Before weeks={sheet.before} />
    </aside>
  );
}

function Regions({ sheet }: { sheet: Sheet }) {
  return (
    <table className="mt-2 w-full">
      <caption className="lettering text-left">Hard sets by region</caption>
      <thead className="sr-only">
        <tr>
          <th>Region</th>
          <th>Sets against target</th>
          <th>Sets</th>
          <th>Days</th>
        </tr>
      </thead>
      <tbody>
        {sheet.regions.map(({ region, sets, target, days }) => (
          <tr key={region} className="border-t border-hair">
            <th scope="row" className="pr-2 font-text font-normal">
              {region}
            </th>
            <td className="w-20">
              <Bar share={target ? sets / target : 0} />
            </td>
            <td className="pl-2 text-right whitespace-nowrap">
              {tenths(sets)} of {tenths(target)}
            </td>
            <td className={`pl-2 text-right whitespace-nowrap ${days < 2 ? "text-watch" : ""}`}>
              {days} d
            </td>
          </tr>
        ))}
        <tr className="border-t border-line">
          <th scope="row" className="font-text font-normal">
            push : pull
          </th>
          <td />
          <td className="text-right whitespace-nowrap" colSpan={2}>
            {tenths(sheet.push)} : {tenths(sheet.pull)}
          </td>
        </tr>
      </tbody>
    </table>
  );
}

const tenths = (value: number) => String(Math.round(10 * value) / 10);

/** Sets as a line, the target as a tick at two thirds of the way. */
function Bar({ share }: { share: number }) {
  const width = 78;
  const target = (2 / 3) * width;
  return (
    <svg aria-hidden="true" width={width} height="10">
      <title>Sets against target</title>
      <line x1="0" x2={width} y1="9" y2="9" className="stroke-hair" />
      <rect y="3" width={Math.min(width, share * target)} height="5" className="fill-line" />
      <line x1={target} x2={target} y1="0" y2="10" className="stroke-ink" />
    </svg>
  );
}

function Terms({ sheet }: { sheet: Sheet }) {
  return (
    <div className="mt-4">
      <h2 className="lettering">Score</h2>
      <p>
        {sheet.points} points{sheet.proof && `, ${sheet.proof}`}
        <span className="text-faint"> (fewer are better)</span>
      </p>
      <ul>
        {sheet.terms
          .filter(({ amount }) => amount > 0)
          .map((term) => (
            <li key={term.name} className="border-t border-hair">
              <details>
                <summary className="flex cursor-pointer justify-between gap-2">
                  <span>{term.counts}</span>
                  <span className="whitespace-nowrap">
                    {term.amount} × {term.weight} = {term.points}
                  </span>
                </summary>
                <ul className="pb-1 pl-3 text-sm text-faint">
                  {term.parts.map((part) => (
                    <li key={part}>{part}</li>
                  ))}
                </ul>
              </details>
            </li>
          ))}
      </ul>
    </div>
  );
}

function Before({ weeks }: { weeks: Schema["WeekBefore"][] }) {
  return (
    <div className="mt-4">
      <h2 className="lettering">Two weeks back</h2>
      {weeks.map((week) => (
        <div key={week.week_start} className="border-t border-hair">
          <p>
            Week of {short(week.week_start)}:{" "}
            {week.sessions.length === 0
              ? "nothing logged"
              : counted(week.sessions.length, "session")}
          </p>
          <ul className="text-sm text-faint">
            {week.sessions.map((session) => (
              <li key={session.day + session.goal}>
                {short(session.day)}: {session.goal}, {session.sets} sets at effort{" "}
                {plain(session.rpe)}
              </li>
            ))}
          </ul>
        </div>
      ))}
    </div>
  );
}
