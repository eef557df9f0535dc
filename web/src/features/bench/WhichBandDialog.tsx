/** Which of the coach's bands brings a count within reach, and how high it must hang. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { answer, api, type Schema } from "../../common/api/client";
import { PLACES } from "../../common/movement/BandFold";
import { type SetUp, setUpOf } from "../../common/movement/setups";
import { Button } from "../../common/ui/Button";
import { Dialog } from "../../common/ui/Dialog";
import { Choice, Field } from "../../common/ui/Field";
import { Wrong } from "../../common/ui/Wrong";
import { Explained } from "../../common/units/Explained";
import { type Asking, type AskingDialog, asked } from "./asking";
import { DoneFields } from "./DoneFields";
import { telling } from "./state";

export function WhichBandDialog({ open, onOpenChange, ...asking }: AskingDialog) {
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      wide
      title="Which band"
      about="The least assistance that brings the count within reach, and each band that gives it."
    >
      <Choosing {...asking} />
    </Dialog>
  );
}

function Choosing(props: Asking) {
  const { lying, ladderId, forms, onTake, onDone } = props;
  const { task, form } = asked(props);
  const unit = form.counted === "hold" ? "s" : "reps";
  const [count, setCount] = useState("5");
  const [at, setAt] = useState<(typeof PLACES)[number]>("hips");
  const done = telling(lying.done, form, forms);
  const puzzle: Schema["BandPuzzle"] | null =
    done && Number(count) > 0 ? { body: lying.body, task, done, count: Number(count), at } : null;
  const found = useQuery({
    queryKey: ["which-band", puzzle],
    queryFn: ({ signal }) =>
      answer(api.POST("/api/bench/bands", { body: puzzle as Schema["BandPuzzle"], signal })),
    enabled: puzzle !== null,
  });
  return (
    <>
      <p className="pt-2">{props.words}</p>
      <div className="grid grid-cols-2 gap-x-3">
        <Field
          label={unit === "s" ? "Seconds wanted" : "Reps wanted"}
          unit={unit}
          type="number"
          min={1}
          value={count}
          onChange={(event) => setCount(event.target.value)}
        />
        <Choice
          label="The band takes hold at the"
          value={at}
          options={PLACES.map((place) => [place, place] as const)}
          onChange={(event) => setAt(event.target.value as typeof at)}
        />
      </div>
      <DoneFields
        ladderId={ladderId}
        done={lying.done}
        now={task}
        forms={forms}
        onChange={onDone}
      />
      <Wrong error={found.error} />
      {puzzle && found.isFetching && !found.data && (
        <p className="pt-3 text-faint">Working it out …</p>
      )}
      {found.data && (
        <>
          <p className="pt-3">
            Taken off the demand:{" "}
            <Explained name="the assistance that is wanted" figure={found.data.assistance} />
          </p>
          <Answers answers={found.data.bands} onTake={onTake} />
        </>
      )}
    </>
  );
}

interface AnswersProps {
  answers: Schema["BandAnswer"][];
  onTake: (setup: SetUp) => void;
}

function Answers({ answers, onTake }: AnswersProps) {
  if (answers.length === 0)
    return (
      <p className="pt-2 text-watch">
        ◆ No band is measured yet: close this and open “Band and assistance”, then “The bands …”.
      </p>
    );
  return (
    <table className="mt-2 w-full" aria-label="Bands that give it">
      <thead>
        <tr className="lettering border-b border-ink [&>th]:pr-3">
          <th>Band</th>
          <th>Hung at</th>
          <th>Pulls</th>
          <th>Likely then</th>
          <th>
            <span className="sr-only">Take</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {answers.map((answer) => (
          <tr key={answer.name} className="border-b border-hair align-top [&>*]:py-1.5 [&>*]:pr-3">
            <th scope="row">{answer.name}</th>
            {answer.anchor && answer.setup ? (
              <>
                <td>
                  <Explained name={`the height of ${answer.name}`} figure={answer.anchor} />
                </td>
                <td>
                  {answer.pull && (
                    <Explained name={`the pull of ${answer.name}`} figure={answer.pull} />
                  )}
                  {answer.stretch && (
                    <span className={answer.stretch > 2.5 ? "text-watch" : "text-faint"}>
                      {" "}
                      at {answer.stretch.toFixed(1)} × its length
                      {answer.stretch > 2.5 && " ◆ near its limit"}
                    </span>
                  )}
                </td>
                <td>
                  {answer.expected && (
                    <Explained
                      name={`what is likely with ${answer.name}`}
                      figure={answer.expected}
                    />
                  )}
                </td>
                <td>
                  <Button
                    onClick={() => answer.setup && onTake(setUpOf(answer.setup))}
                    aria-label={`Set it up: ${answer.name}`}
                  >
                    Set it up
                  </Button>
                </td>
              </>
            ) : (
              <td colSpan={4} className="text-faint">
                {answer.unavailable_reason}
              </td>
            )}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
