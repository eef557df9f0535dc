/** A test run on the spot or entered: the clock of a hold, the beat of reps, and what ends it. */
import { useEffect, useState } from "react";
import { api, type Schema } from "../../common/api/client";
import { Figure } from "../../common/drawing/Figure";
import { useAct } from "../../common/hooks/useAct";
import { useClock } from "../../common/hooks/useClock";
import { useDraft } from "../../common/hooks/useDraft";
import { changesOf } from "../../common/movement/setups";
import { Button } from "../../common/ui/Button";
import { Dialog } from "../../common/ui/Dialog";
import { Field } from "../../common/ui/Field";
import { HoldClock } from "../../common/ui/HoldClock";
import { Wrong } from "../../common/ui/Wrong";

type Side = "" | "left" | "right";

interface Props {
  athleteId: string;
  card: Schema["TestCard"];
  onClose: () => void;
}

export function TestRun({ athleteId, card, onClose }: Props) {
  const held = card.unit === "s";
  const sides: Side[] = card.per_side ? ["left", "right"] : [""];
  const [ids] = useState(() => sides.map(() => crypto.randomUUID()));
  const [typed, put, settle] = useDraft<Record<string, string>>(
    `test.${athleteId}.${card.id}`,
    () => ({}),
  );
  const [timing, setTiming] = useState<Side>(sides[0] ?? "");
  const clock = useClock((seconds) => put({ ...typed, [timing]: String(seconds) }));
  const { act, busy, error } = useAct("squad", "athlete", "ladder");

  // A dialog keeps the sheet's keys away, so the clock listens for itself.
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const target = event.target as Element;
      if (event.key !== " " || !held || target.closest("input, button, select")) return;
      event.preventDefault();
      clock.toggle();
    };
    addEventListener("keydown", listen);
    return () => removeEventListener("keydown", listen);
  });

  const keep = () =>
    act(
      async () => {
        for (const [i, side] of sides.entries()) {
          const amount = typed[side];
          if (!amount) continue;
          await api.POST("/api/athletes/{athlete_id}/tests", {
            params: { path: { athlete_id: athleteId } },
            body: {
              id: ids[i] as string,
              movement: card.movement,
              ...changesOf(card),
              amount: Number(amount),
              rpe: card.rpe,
              kind: card.id,
              side,
            },
          });
        }
      },
      () => {
        settle();
        onClose();
      },
    );

  return (
    <Dialog open onOpenChange={onClose} wide title={card.name} about={card.protocol}>
      <div className="flex flex-wrap gap-4 pt-2">
        <Figure figures={card.figures} width={280} height={180} label={card.name} />
        <div className="min-w-60 flex-1">
          <p>{card.how}</p>
          <ul className="mt-2 border-l-4 border-watch bg-wash py-1 pr-2 pl-6">
            {[...card.stop, ...card.cautions].map((caution) => (
              <li key={caution} className="list-disc">
                {caution}
              </li>
            ))}
          </ul>
        </div>
      </div>
      {held ? <HoldClock clock={clock} /> : card.unit === "reps" && <Pace within={card.within} />}
      <form
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        <div className="flex flex-wrap items-end gap-4">
          {sides.map((side) => (
            <div key={side} className="w-56">
              <Field
                label={`${asked(card)}${side && `, ${side}`}`}
                unit={card.unit}
                type="number"
                min={1}
                step={held ? "any" : 1}
                required={!card.per_side}
                value={typed[side] ?? ""}
                onFocus={() => setTiming(side)}
                onChange={(event) => put({ ...typed, [side]: event.target.value })}
              />
            </div>
          ))}
        </div>
        {card.norms.map((norm) => (
          <Norm key={norm.name} norm={norm} unit={card.unit} />
        ))}
        {card.beside && <p className="pt-2 text-sm text-faint">{card.beside}</p>}
        <Wrong error={error} />
        <Button main type="submit" busy={busy} className="mt-3">
          Keep the test
        </Button>
      </form>
    </Dialog>
  );
}

/** What the box asks for: to the end, or short of it. */
function asked({ unit, within, rpe }: Schema["TestCard"]): string {
  if (unit === "cm") return "The best of three";
  if (unit === "s") return rpe === 10 ? "Longest clean hold, s" : "Seconds, clean";
  if (within) return `Clean reps in ${within} s`;
  return rpe === 10 ? "As many clean reps as possible" : "Clean reps, two more left";
}

/** The clock that a test is done by: the time there is for it, or the pace of its reps. */
function Pace({ within }: { within: number }) {
  return within ? <Countdown seconds={within} /> : <Beat />;
}

function Countdown({ seconds }: { seconds: number }) {
  const { gone, running, press } = useSecondsGone();
  const left = Math.max(0, seconds - gone);
  return (
    <div className="flex items-center gap-4 pt-3">
      <Button large onClick={press}>
        {running ? "Again" : "Start the clock"}
      </Button>
      <span className="font-head text-4xl" role="timer">
        {left > 0 ? `${Math.ceil(left)} s left` : "Stop: count the last one"}
      </span>
    </div>
  );
}

/** A rep of two seconds, told in words that change with it. */
function Beat() {
  const { gone, running, press } = useSecondsGone();
  const down = Math.floor(gone) % 2 === 0;
  return (
    <div className="flex items-center gap-4 pt-3">
      <Button large onClick={press}>
        {running ? "Stop the beat" : "Start the beat"}
      </Button>
      <span className="font-head text-4xl" role="timer">
        {running ? `${Math.floor(gone / 2) + 1} · ${down ? "down" : "up"}` : "2 s a rep"}
      </span>
    </div>
  );
}

/** Seconds since a press, looked at ten times a second; another press ends them. */
function useSecondsGone() {
  const [began, setBegan] = useState<number | null>(null);
  const [, tick] = useState(0);
  useEffect(() => {
    if (began === null) return;
    const timer = setInterval(() => tick((now) => now + 1), 100);
    return () => clearInterval(timer);
  }, [began]);
  return {
    gone: began === null ? 0 : (Date.now() - began) / 1000,
    running: began !== null,
    press: () => setBegan(began === null ? Date.now() : null),
  };
}

function Norm({ norm, unit }: { norm: Schema["NormOut"]; unit: string }) {
  return (
    <div className="mt-2">
      <p className="lettering">
        {norm.name}, {norm.age} years
      </p>
      <p className="flex flex-wrap gap-x-4">
        {norm.words.map((note, i) => (
          <span key={note}>
            {note} {i === 0 ? `under ${norm.least[1]}` : `from ${norm.least[i]}`}
            {unit === "s" && " s"}
          </span>
        ))}
      </p>
      <p className="text-sm text-faint">{norm.source}. Shown beside, never judged by.</p>
    </div>
  );
}
