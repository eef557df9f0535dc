/** Everything about one rung: its figure at both ends of the rep, its demand, prescription and criterion. */
import { useQuery } from "@tanstack/react-query";
import type { ReactNode, Ref } from "react";
import { flushSync } from "react-dom";
import { useNavigate } from "react-router";
import { api, type Schema } from "../../common/api/client";
import { queries } from "../../common/api/queries";
import { Figure } from "../../common/drawing/Figure";
import { useAct } from "../../common/hooks/useAct";
import { changesOf } from "../../common/movement/setups";
import { Button } from "../../common/ui/Button";
import { Wrong } from "../../common/ui/Wrong";
import { Explained } from "../../common/units/Explained";
import { criterion, prescription, rangeWords, ratio } from "../../common/units/figures";
import { EdgesPart } from "./dialogs/EdgesPart";

interface Props {
  sheet: Schema["LadderSheet"];
  rung: Schema["RungOut"];
  onFind: () => void;
  onEdit: () => void;
  onBridge: (upper: string) => void;
  onMove: (by: number) => void;
  onGone: () => void;
  ref: Ref<HTMLElement>;
}

export function RungSheet(props: Props) {
  const { sheet, rung, onFind, onEdit, onBridge, onMove, onGone, ref } = props;
  const full = useQuery(queries.rung(sheet.id, rung.id)).data;
  const { act, error } = useAct("squad", "athlete", "ladder");
  const lane = rung.lane === null ? undefined : sheet.lanes[rung.lane];
  const held = rung.prescription.unit === "s";
  const navigate = useNavigate();
  const movements = useQuery(queries.catalogue).data?.movements;
  const form = movements?.find(({ id }) => id === rung.movement)?.form;
  const toBench = () =>
    navigate(`/bench/${sheet.id}`, { state: { movement: form, ...changesOf(rung) } });

  const stand = () =>
    act(() =>
      api.PUT("/api/ladders/{ladder_id}/current-rung", {
        params: { path: { ladder_id: sheet.id } },
        body: { rung_id: rung.id, note: "" },
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
        {rung.id === sheet.current_rung_id ? (
          <span className="lettering">current rung</span>
        ) : (
          <Button onClick={stand}>Stand here</Button>
        )}
      </div>
      {rung.closed && <p className="px-4 pt-1 text-over">■ Closed today: {rung.closed}</p>}
      <div className="px-4">
        <Wrong error={error} />
        <Figure
          figures={full?.figures ?? [rung.figure]}
          width={440}
          height={268}
          label={`${rung.name}: the start in ink, the other end dashed, with the forces on the body`}
        />
        <dl className="grid grid-cols-[8.5rem_1fr] gap-x-3 gap-y-0.5 border-t border-ink pt-2">
          {full?.rpe_only && (
            <Row name="Demand">by effort: the athlete sets the resistance, nothing is computed</Row>
          )}
          {full?.demand && (
            <Row name="Demand">
              <Explained name="demand" figure={full.demand} />
            </Row>
          )}
          {full?.phases && !held && <Ends full={full} words={lane?.measure_words ?? ""} />}
          {full?.share && (
            <Row name="Share">
              <Explained name="share of body weight" figure={full.share} />
            </Row>
          )}
          {full?.work && !held && (
            <Row name="Work">
              <Explained name="work of one rep" figure={full.work} /> a rep of {full.rep_time_s} s
            </Row>
          )}
          {full?.expected && (
            <Row name={held ? "Likely hold" : "Likely reps"}>
              <Explained name={held ? "longest hold" : "reps to failure"} figure={full.expected} />
            </Row>
          )}
          <Row name="Prescription">{prescription(rung.prescription)}</Row>
          <Row name="Criterion">{criterion(rung.criterion)}</Row>
          {sheet.steps
            .filter(({ lower_id }) => lower_id === rung.id)
            .map((step) => (
              <Row key={step.upper_id} name="Step above">
                <StepAbove sheet={sheet} step={step} />{" "}
                <Button
                  quiet
                  onClick={() => onBridge(step.upper_id)}
                  title="Bridge it (B)"
                  aria-label={`Bridge to ${nameOf(sheet, step.upper_id)}`}
                >
                  Bridge …
                </Button>
              </Row>
            ))}
          {rung.why && <Row name="Why here">{rung.why}</Row>}
        </dl>
        <div className="flex flex-wrap gap-1 pt-2">
          <Button onClick={onEdit} title="Edit the rung (E)">
            Edit …
          </Button>
          {rung.demand && (
            <Button onClick={onFind} title="Ways to the next step (T)">
              Ways to the next step …
            </Button>
          )}
          <Button quiet onClick={() => onMove(-1)} title="Move down in the order ([)">
            ↓ Down
          </Button>
          <Button quiet onClick={() => onMove(1)} title="Move up in the order (])">
            ↑ Up
          </Button>
          {form && (
            <Button onClick={toBench} title="Lay this set-up on the Bench">
              On the Bench
            </Button>
          )}
          {rung.id !== sheet.current_rung_id && (
            <Button quiet onClick={remove}>
              Take this rung off
            </Button>
          )}
        </div>
        <EdgesPart sheet={sheet} rung={rung} />
        {full && <Advice full={full} />}
      </div>
    </aside>
  );
}

const nameOf = (sheet: Schema["LadderSheet"], id: string) =>
  sheet.rungs.find((rung) => rung.id === id)?.name ?? "";

function StepAbove({ sheet, step }: { sheet: Schema["LadderSheet"]; step: Schema["StepOut"] }) {
  const upper = nameOf(sheet, step.upper_id);
  if (!step.ratio || !step.above) return <>to {upper}: another measure, no ratio</>;
  return (
    <>
      <span className={step.gap || step.easier ? "text-over" : ""}>
        {ratio(step.ratio)}
        {step.gap && ", a gap"}
        {step.easier && ", easier than this rung: check the order"}
      </span>{" "}
      to {upper}: from this criterion, {rangeWords(step.above)} there
    </>
  );
}

/** The limiting measure at both ends of the rep; the rung's demand is the mean of its hardest third. */
function Ends({ full, words }: { full: Schema["RungSheet"]; words: string }) {
  if (!full.phases) return null;
  const [first = "start", second = "end"] = full.figures.map(({ phase }) => phase);
  const hands = words === "hand load";
  return (
    <Row name={hands ? "On the hands" : words}>
      {first} <Explained name={`load at the ${first}`} figure={full.phases.top} />
      <br />
      {second} <Explained name={`load at the ${second}`} figure={full.phases.bottom} />
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
            {fault.easier && ` Easier: ${fault.easier}.`}
          </li>
        ))}
      </ul>
      {full.limits_of_figure.length > 0 && (
        <p className="pt-2 text-sm text-faint">
          What the figure does not tell: {full.limits_of_figure.join(" ")}
        </p>
      )}
      <h3 className="lettering pt-2">Caution</h3>
      {full.cautions.map((caution) => (
        <p key={caution}>{caution}</p>
      ))}
      {full.stress.length > 0 && (
        <p className="text-sm text-faint">Stress on the joints: {full.stress.join(", ")}.</p>
      )}
    </div>
  );
}
