/** Tests: the most telling first, each with how it is done and what ends it; results beside. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { Schema } from "../../../common/api/client";
import { queries } from "../../../common/api/queries";
import { AnyTestDialog } from "../../../common/athlete/AnyTestDialog";
import { Figure } from "../../../common/drawing/Figure";
import { Button } from "../../../common/ui/Button";
import { day, done, rangeWords } from "../../../common/units/figures";
import { TestRun } from "../TestRun";

export function TestsPart({ athleteId }: { athleteId: string }) {
  const battery = useQuery(queries.battery(athleteId)).data;
  const kept = useQuery(queries.capacity(athleteId)).data?.tests ?? [];
  const [running, setRunning] = useState<Schema["TestCard"] | null>(null);
  const [any, setAny] = useState(false);
  if (!battery) return <p className="p-4 text-faint">Choosing the tests …</p>;
  return (
    <div className="flex flex-col lg:flex-row">
      <div className="min-w-0 flex-1 px-4 pb-4">
        <p className="pt-2 text-faint">
          Proposed by goals, limits, readiness and kit; what tells most stands first. Warm up, and
          do no more than feels fresh.
        </p>
        <Button onClick={() => setAny(true)}>Test any movement …</Button>
        {battery.tests.length === 0 && (
          <p className="pt-3">
            Nothing can be tested now. What is closed, and why, is listed below.
          </p>
        )}
        <ol>
          {battery.tests.map((card, i) => (
            <Card key={card.id} card={card} number={i + 1} onRun={() => setRunning(card)} />
          ))}
        </ol>
        {battery.measures.length > 0 && (
          <details className="mt-3">
            <summary className="lettering cursor-pointer">
              Compared with others, or with themselves: {battery.measures.length}
            </summary>
            <ol>
              {battery.measures.map((card, i) => (
                <Card key={card.id} card={card} number={i + 1} onRun={() => setRunning(card)} />
              ))}
            </ol>
          </details>
        )}
        {battery.left_out.length > 0 && (
          <details className="mt-3" open={battery.tests.length === 0}>
            <summary className="lettering cursor-pointer">
              Left out for now: {battery.left_out.length}
            </summary>
            <ul>
              {battery.left_out.map(({ name, why }) => (
                <li key={name} className="border-t border-hair py-0.5">
                  {name}: <span className="text-watch">{why}</span>
                </li>
              ))}
            </ul>
          </details>
        )}
      </div>
      <aside
        aria-label="Results"
        className="w-full border-t border-ink px-4 pb-4 lg:w-[22rem] lg:shrink-0 lg:border-t-0 lg:border-l"
      >
        <h2 className="pt-2 text-lg">Results</h2>
        {kept.length === 0 && <p className="text-faint">What was tested is listed here.</p>}
        {kept.length > 0 && (
          <a className="underline" href={`/api/athletes/${athleteId}/tests/file`} download>
            All of them as CSV
          </a>
        )}
        <ul>
          {kept.map((test) => (
            <Result key={test.id} test={test} />
          ))}
        </ul>
      </aside>
      {any && <AnyTestDialog athleteId={athleteId} onClose={() => setAny(false)} />}
      {running && (
        <TestRun
          key={running.id}
          athleteId={athleteId}
          card={running}
          onClose={() => setRunning(null)}
        />
      )}
    </div>
  );
}

interface CardProps {
  card: Schema["TestCard"];
  number: number;
  onRun: () => void;
}

function Card({ card, number, onRun }: CardProps) {
  return (
    <li className="flex gap-4 border-t border-hair py-2">
      <div className="w-44 shrink-0 max-sm:hidden">
        <Figure figures={card.figures} width={176} height={104} small label={card.name} />
      </div>
      <div className="min-w-0 flex-1">
        <h2 className="text-lg">
          <span className="pr-2 text-faint">{number}</span>
          {card.name}
        </h2>
        <p className="text-sm text-faint">
          {card.family}. {card.why}
          {card.expected && ` Likely ${rangeWords(card.expected)}.`}
        </p>
        <p>{card.how}</p>
        {card.cautions.map((caution) => (
          <p key={caution} className="text-sm text-watch">
            ◆ {caution}
          </p>
        ))}
      </div>
      <Button main onClick={onRun} aria-label={`Test: ${card.name}`} className="self-start">
        Test …
      </Button>
    </li>
  );
}

function Result({ test }: { test: Schema["TestDone"] }) {
  return (
    <li className="border-t border-hair py-1.5">
      <div className="flex items-baseline justify-between gap-2">
        <b className="font-head text-[1.05rem]">
          {test.words}
          {test.side && `, ${test.side}`}
        </b>
        <span className="whitespace-nowrap">{done(test.amount, test.unit)}</span>
      </div>
      <p className="text-sm text-faint">
        {day(test.local_date)}
        {test.since && `; ${test.since} since the test before`}
        {test.norm_text && `; among people of that age: ${test.norm_text}`}
      </p>
    </li>
  );
}
