/** Run a session: one thing at a time, readable from the mat, with one hand, network or not. */
import { useEffect, useState } from "react";
import { useKeys } from "../../../app/keys";
import { Button } from "../../../common/ui/Button";
import { now } from "../engine/clock";
import * as machine from "../engine/machine";
import { elapsed } from "../engine/machine";
import { hush, isOn, turn } from "../engine/sound";
import type { Along, Entry } from "../engine/types";
import { means, type Run } from "../engine/useRun";
import { useWake } from "../engine/useWake";
import { keepDone } from "../phone/done";
import { SendingLine } from "../phone/SendingLine";
import { EntryForm } from "./EntryForm";
import { Finish } from "./Finish";
import { Skip } from "./Skip";
import { Swap } from "./Swap";
import { useHeard } from "./useHeard";
import { Waiting } from "./Waiting";
import { WarmUp } from "./WarmUp";
import { Work } from "./Work";

export default function Runner({ along, run: running }: { along: Along; run: Run }) {
  const run = running.run;
  const [skipping, setSkipping] = useState(false);
  const [sound, setSound] = useState(isOn("sound"));
  const [speech, setSpeech] = useState(isOn("speech"));
  useWake(run !== null && run !== undefined && !run.finishing);
  useHeard(run ?? null, sound, speech);
  useEffect(() => hush, []);

  const event = run ? machine.eventOf(run) : undefined;
  const next = run ? machine.upcoming(run) : null;
  const item = run && next ? machine.itemOf(run, next[1].item) : undefined;
  const entry = run?.pending[0];
  const working = event?.kind === "work";

  const warmUp = run ? machine.warmUpOf(run) : [];

  const go = () => running.change((run) => machine.advance(run, now(), means));
  const pause = () => running.change((run) => machine.pause(run, now()));
  const back = () => running.change((run) => machine.back(run, now()));
  const beside = (way: 1 | -1) =>
    item &&
    running.change((run) => {
      const index = machine.beside(run, item, way);
      return index < 0 ? run : machine.swap(run, item, index);
    });
  const flip = (what: "sound" | "speech", on: boolean) => {
    turn(what, on);
    what === "sound" ? setSound(on) : setSpeech(on);
  };

  useKeys([
    [" ", () => (run?.paused ? pause() : warmUp.length === 0 && go())],
    ["p", pause],
    ["b", back],
    ["e", () => beside(1)],
    ["h", () => beside(-1)],
    ["k", () => setSkipping(true)],
    ["s", () => flip("sound", !sound)],
    ["v", () => flip("speech", !speech)],
  ]);

  if (!run) return null;
  const log = (entry: Entry, picture: Blob | null) => running.log(entry, along.pain_stop, picture);
  const over = run.finishing && !entry;
  return (
    <div className="mx-auto flex h-dvh max-w-5xl flex-col bg-sheet">
      <header className="flex flex-wrap items-center border-b border-ink">
        <span className="flex-1 px-3 font-head text-lg font-semibold">{run.sheet.name}</span>
        <Toggle on={sound} onClick={() => flip("sound", !sound)} title="Sound (S)">
          Sound
        </Toggle>
        <Toggle on={speech} onClick={() => flip("speech", !speech)} title="Speech (V)">
          Speech
        </Toggle>
      </header>
      <SendingLine athleteId={along.athlete_id} />
      <Progress step={run.at} steps={run.sheet.events.length} />
      <main className="min-h-0 flex-1 overflow-y-auto px-3 pb-4">
        {over ? (
          <Finish
            logged={run.logged}
            onFinish={(rpe) => {
              keepDone(along, run.sheet);
              return running.finish(rpe);
            }}
            onBack={back}
            onLeave={running.leave}
          />
        ) : run.finishing ? null : warmUp.length > 0 ? (
          <WarmUp
            items={warmUp}
            onDone={() => running.change((run) => machine.warmedUp(run, now()))}
            onOneByOne={() => running.change((run) => ({ ...run, oneByOne: true, since: now() }))}
          />
        ) : working && event ? (
          <Work
            along={along}
            run={run}
            event={event}
            seconds={elapsed(run, running.at)}
            onDone={go}
            onEntry={({ full, partial, faults }) =>
              running.change((run) =>
                machine.advance(run, now(), means, { amount: full, partial, faults }),
              )
            }
          />
        ) : event ? (
          <Waiting
            run={run}
            event={event}
            seconds={elapsed(run, running.at)}
            compact={entry !== undefined}
            onGo={go}
          />
        ) : null}
        {entry && !working && (
          <EntryForm
            key={entry.ids[0]}
            along={along}
            run={run}
            entry={entry}
            more={run.pending.length - 1}
            onLog={log}
          />
        )}
        {!over && warmUp.length === 0 && item && machine.canSwap(run) && (
          <Swap run={run} item={item} onSwap={beside} />
        )}
      </main>
      {!over && (
        <nav
          aria-label="The session's clock"
          className="grid grid-cols-4 border-t border-ink bg-sheet [&>button]:border-0 [&>button]:border-r [&>button]:border-hair"
        >
          <Button large onClick={back} title="Back to the set before (B)">
            Back
          </Button>
          <Button large onClick={pause} title="Pause (P)" aria-pressed={run.paused}>
            {run.paused ? "Go on" : "Pause"}
          </Button>
          <Button large onClick={() => setSkipping(true)} title="Skip, with a reason (K)">
            Skip …
          </Button>
          <Button
            large
            onClick={() => running.change((run) => ({ ...run, finishing: true, since: null }))}
          >
            End …
          </Button>
        </nav>
      )}
      {skipping && (
        <Skip
          onClose={() => setSkipping(false)}
          onSkip={(why) => {
            running.skip(why);
            setSkipping(false);
          }}
        />
      )}
    </div>
  );
}

function Progress({ step, steps }: { step: number; steps: number }) {
  return (
    <div
      role="progressbar"
      aria-label="Of the session"
      aria-valuemin={0}
      aria-valuemax={steps}
      aria-valuenow={step}
      className="h-1 bg-wash"
    >
      <div className="h-1 bg-ink" style={{ width: `${(100 * step) / Math.max(1, steps)}%` }} />
    </div>
  );
}

function Toggle(props: { on: boolean; onClick: () => void; title: string; children: string }) {
  return (
    <button
      type="button"
      aria-pressed={props.on}
      onClick={props.onClick}
      title={props.title}
      className="min-h-11 border-l border-hair px-3 font-head"
    >
      {props.children} {props.on ? "on" : "off"}
    </button>
  );
}
