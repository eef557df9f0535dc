/** The newest decision: outcome, reasons, figures, rules, and the coach's answer. */

import { type ReactNode, useState } from "react";
import { answer, api, type Schema } from "../../api/client";
import { useRefresh } from "../../api/queries";
import { Button } from "../../parts/Button";
import { Choice, Field } from "../../parts/Field";
import { day } from "../../parts/figures";
import { InputRows } from "../../parts/InputRows";
import { Mark } from "../../parts/Mark";
import { Wrong } from "../../parts/Wrong";
import { OUTCOMES } from "./outcomes";

interface Props {
  decision: Schema["Decision"];
  sheet: Schema["ReviewSheet"];
}

export function Proposal({ decision, sheet }: Props) {
  const { word, tone } = OUTCOMES[decision.outcome];
  const moves = decision.to_rung.id !== decision.from_rung.id;
  return (
    <article>
      <p className="lettering">After the session of {day(decision.local_date)}</p>
      <h1 className="text-4xl">
        <Mark tone={tone}>{word}</Mark>
      </h1>
      <p className="font-head text-xl">
        {decision.from_rung.name}
        {moves && <> → {decision.to_rung.name}</>}
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
        <Answering decision={decision} sheet={sheet} />
      ) : (
        <p className="mt-4 border border-hair bg-wash p-3" role="status">
          <Answered decision={decision} /> {sheet.athlete_name} stands on{" "}
          <b>{sheet.standing.name}</b>.
        </p>
      )}
    </article>
  );
}

function Answered({ decision }: { decision: Schema["Decision"] }): ReactNode {
  const why = decision.word && `: ${decision.word}`;
  const when = decision.answered_at ? ` on ${day(decision.answered_at)}` : "";
  if (decision.answer === "take") return `Taken${when}.`;
  if (decision.answer === "edit")
    return `Edited${when} to “${decision.final_rung?.name ?? ""}”${why}.`;
  if (decision.answer === "decline") return `Declined${when}${why}.`;
  return "Lapsed: a newer session spoke.";
}

type Mode = "none" | "edit" | "decline";

function Answering({ decision, sheet }: Props) {
  const refresh = useRefresh();
  const [mode, setMode] = useState<Mode>("none");
  const [rung, setRung] = useState(decision.from_rung.id);
  const [word, setWord] = useState("");
  const [error, setError] = useState<Error | null>(null);
  const [busy, setBusy] = useState(false);

  async function say(said: Schema["Answer"]["answer"]) {
    setBusy(true);
    try {
      await answer(
        api.POST("/api/decisions/{decision_id}/answer", {
          params: { path: { decision_id: decision.id } },
          body: { answer: said, rung_id: said === "edit" ? rung : null, word },
        }),
      );
      setError(null);
      await refresh();
    } catch (cause) {
      setError(cause as Error);
    }
    setBusy(false);
  }

  return (
    <div className="mt-4 border-t border-ink pt-3">
      <div className="flex flex-wrap gap-3">
        <Button main busy={busy} onClick={() => say("take")}>
          Take it
        </Button>
        <Button aria-pressed={mode === "edit"} onClick={() => setMode("edit")}>
          Edit …
        </Button>
        <Button aria-pressed={mode === "decline"} onClick={() => setMode("decline")}>
          Decline …
        </Button>
        <span className="self-center text-faint">Nothing changes before your word.</span>
      </div>
      {mode !== "none" && (
        <form
          className="max-w-xl"
          onSubmit={(event) => {
            event.preventDefault();
            say(mode);
          }}
        >
          {mode === "edit" && (
            <Choice
              label="Stand on instead"
              value={rung}
              onChange={(event) => setRung(event.target.value)}
              options={sheet.rungs.map((one) => [one.id, one.name])}
            />
          )}
          <Field
            label="Why, in a word"
            value={word}
            maxLength={300}
            onChange={(event) => setWord(event.target.value)}
          />
          <Button type="submit" busy={busy}>
            {mode === "edit" ? "Take the edited decision" : "Decline it"}
          </Button>
        </form>
      )}
      <Wrong error={error} />
    </div>
  );
}
