/** A motion sensor's count beside what is asked. It proposes; whoever trains confirms. */
import { useEffect, useRef, useState } from "react";
import type { Schema } from "../../../common/api/client";
import { connect } from "../../../common/api/stream";
import { Button } from "../../../common/ui/Button";
import type { Along, RunSet } from "../engine/types";

export type Seen = Schema["MotionSeen"];

interface Props {
  along: Along;
  set: RunSet;
  onSeen: (seen: Seen | null) => void;
  onOff: () => void;
}

export function Sensor({ along, set, onSeen, onOff }: Props) {
  const [seen, setSeen] = useState<Seen | null>(null);
  const report = useRef(onSeen);
  report.current = onSeen;
  const { movement, changes } = set.what;
  const asked = useRef({ movement, changes, low: set.low, high: set.high });
  useEffect(() => {
    const lost = (now: Seen | null) =>
      now && now.state === "watching"
        ? { ...now, state: "gone" as const, words: "The sensor has gone. Count by hand." }
        : now;
    const line = connect(
      `/api/athletes/${along.athlete_id}/motion`,
      (now) => {
        setSeen(now);
        report.current(now);
      },
      () => setSeen(lost),
      (opened) => opened.tell(asked.current),
    );
    return () => {
      line.close();
      report.current(null);
    };
  }, [along.athlete_id]);
  if (!seen) return <p className="pt-2 text-faint">Looking for the sensor …</p>;
  const good = seen.state === "watching";
  const held = set.what.unit === "s";
  return (
    <section aria-label="Sensor" className="mt-2 border border-line p-2">
      <p className={good ? "text-faint" : "text-over"}>
        {good ? "◇" : "▲"} {seen.words} {seen.simulated && "Simulated sensor."}
      </p>
      <table className="w-full font-head text-xl">
        <thead>
          <tr className="lettering">
            <th>Seen</th>
            <th>Now</th>
            <th>Asked</th>
          </tr>
        </thead>
        <tbody>
          {held ? (
            <tr>
              <th scope="row">held</th>
              <td data-seen="seconds">{seen.seconds.toFixed(1)} s</td>
              <td>
                {set.low}–{set.high} s
              </td>
            </tr>
          ) : (
            <>
              <tr>
                <th scope="row">full reps</th>
                <td data-seen="full">
                  {seen.full}
                  {seen.partial > 0 && ` and ${seen.partial} partial`}
                </td>
                <td>
                  {set.low}–{set.high}
                </td>
              </tr>
              <tr>
                <th scope="row">deepest, {seen.joint}</th>
                <td>
                  {seen.deepest === null ? "–" : `${Math.round(seen.deepest)}°`}
                  {seen.last && seen.last !== "full" && (
                    <span className="text-watch"> ◆ {seen.last}</span>
                  )}
                </td>
                <td>past {Math.round(seen.least)}°</td>
              </tr>
              <tr>
                <th scope="row">a rep</th>
                <td>{seen.rep_seconds === null ? "–" : `${seen.rep_seconds.toFixed(1)} s`}</td>
                <td>{seen.asked_seconds.toFixed(1)} s</td>
              </tr>
            </>
          )}
        </tbody>
      </table>
      {seen.faults.map((fault) => (
        <p key={fault} className="text-watch">
          ◆ {fault}
        </p>
      ))}
      <Button quiet onClick={onOff} className="min-h-11">
        Count by hand
      </Button>
    </section>
  );
}
