/** Everything about one rung: its figure at both ends of the rep, its demand, dose and gate. */
import { useQuery } from "@tanstack/react-query";
import type { ReactNode, Ref } from "react";
import { flushSync } from "react-dom";
import { useNavigate } from "react-router";
import { api, type Schema } from "../../api/client";
import { queries } from "../../api/queries";
import { Figure } from "../../drawing/Figure";
import { Button } from "../../parts/Button";
import { Explained } from "../../parts/Explained";
import { dose, gate, ratio, told } from "../../parts/figures";
import { changesOf } from "../../parts/setups";
import { useAct } from "../../parts/useAct";
import { Wrong } from "../../parts/Wrong";

interface Props {
  sheet: Schema["LadderSheet"];
  rung: Schema["Rung"];
  index: number;
  onFind: () => void;
  onGone: () => void;
  ref: Ref<HTMLElement>;
}

export function RungSheet({ sheet, rung, index, onFind, onGone, ref }: Props) {
  const full = useQuery(queries.rung(sheet.id, rung.id)).data;
  const { act, error } = useAct();
  const above = sheet.steps[index];
  const navigate = useNavigate();
  const movements = useQuery(queries.catalogue).data?.movements;
  const form = movements?.find(({ id }) => id === rung.movement)?.form;
  const toBench = () =>
    navigate(`/bench/${sheet.id}`, { state: { movement: form, ...changesOf(rung) } });

  const stand = () =>
    act(() =>
      api.POST("/api/ladders/{ladder_id}/standing", {
        params: { path: { ladder_id: sheet.id } },
        body: { rung_id: rung.id, word: "" },
      }),
    );

  const remove = () =>
    act(async () => {
      await api.DELETE("/api/ladders/{ladder_id}/rungs/{rung_id}", {
        params: { path: { ladder_id: sheet.id, rung_id: rung.id } },
      });
      flushSync(onGone); // before reading anew, so that nobody asks for what is gone
    });

  return (
    <aside
      ref={ref}
      tabIndex={-1}
      aria-label={`Rung: ${rung.name}`}
      className="w-full border-t border-ink lg:w-[30rem] lg:shrink-0 lg:overflow-y-auto lg:border-t-0 lg:border-l"
    >
      <div className="flex items-center justify-between gap-3 border-b border-hair px-4 py-1.5">
        <h2 className="text-xl">{rung.name}</h2>
        {rung.id === sheet.standing_id ? (
          <span className="lettering">stands here</span>
        ) : (
          <Button onClick={stand}>Stand here</Button>
        )}
      </div>
      <div className="px-4">
        <Wrong error={error} />
        <Figure
          figures={full?.figures ?? [rung.figure]}
          width={440}
          height={268}
          label={`${rung.name}: the start in ink, the other end dashed, with the forces on the body`}
        />
        <dl className="grid grid-cols-[8.5rem_1fr] gap-x-3 gap-y-0.5 border-t border-ink pt-2">
          {full && (
            <>
              <Row name="Demand">
                <Explained name="demand" figure={full.demand} />
              </Row>
              {sheet.unit === "reps" && <Ends full={full} words={sheet.measure_words} />}
              <Row name="Share">
                <Explained name="share of body weight" figure={full.share} />
              </Row>
              {sheet.unit === "reps" && (
                <Row name="Work">
                  <Explained name="work of one rep" figure={full.work} /> a rep of {full.rep_time_s}{" "}
                  s
                </Row>
              )}
              <Row name={sheet.unit === "s" ? "Likely hold" : "Likely reps"}>
                <Explained
                  name={sheet.unit === "s" ? "longest hold" : "reps to failure"}
                  figure={full.expected}
                />
              </Row>
            </>
          )}
          <Row name="Dose">{dose(rung.dose)}</Row>
          <Row name="Gate">{gate(rung.gate)}</Row>
          {above && (
            <Row name="Step above">
              <span className={above.gap || above.easier ? "text-over" : ""}>
                {ratio(above.ratio)}
                {above.gap && ", a gap"}
                {above.easier && ", easier than this rung: check the order"}
              </span>
              : from this gate, {told(above.above)} there
            </Row>
          )}
        </dl>
        <div className="flex gap-2 pt-2">
          <Button onClick={onFind} title="Ways to the next step (T)">
            Ways to the next step …
          </Button>
          {form && (
            <Button onClick={toBench} title="Lay this set-up on the Bench">
              On the Bench
            </Button>
          )}
          {rung.id !== sheet.standing_id && (
            <Button quiet onClick={remove}>
              Take this rung off
            </Button>
          )}
        </div>
        {full && <Advice full={full} />}
      </div>
    </aside>
  );
}

/** The limiting measure at both ends of the rep. A push-up's bottom hardly tells inclines apart. */
function Ends({ full, words }: { full: Schema["RungSheet"]; words: string }) {
  const [first = "start", second = "end"] = full.figures.map(({ phase }) => phase);
  const hands = words === "hand load";
  return (
    <Row name={hands ? "On the hands" : words}>
      {first} <Explained name={`load at the ${first}`} figure={full.phases.top} />
      <br />
      {second} <Explained name={`load at the ${second}`} figure={full.phases.bottom} />
      {hands && ", less certain"}
    </Row>
  );
}

function Row({ name, children }: { name: string; children: ReactNode }) {
  return (
    <>
      <dt className="lettering pt-0.5">{name}</dt>
      <dd>{children}</dd>
    </>
  );
}

function Advice({ full }: { full: Schema["RungSheet"] }) {
  return (
    <div className="mt-2 border-t border-hair pt-2 pb-3">
      <ul className="list-disc pl-5">
        {full.cues.map((cue) => (
          <li key={cue}>{cue}</li>
        ))}
      </ul>
      <h3 className="lettering pt-2">When it goes wrong</h3>
      <ul className="list-disc pl-5">
        {full.faults.map((fault) => (
          <li key={fault.name}>
            <b>{fault.name}</b>: {fault.remedy}
          </li>
        ))}
      </ul>
      <h3 className="lettering pt-2">Caution</h3>
      {full.cautions.map((caution) => (
        <p key={caution}>{caution}</p>
      ))}
    </div>
  );
}
