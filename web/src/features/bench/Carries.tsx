/** At a place along the rep: who carries what, and each joint's torque against its strength. */
import type { Schema } from "../../common/api/client";

type Along = Schema["AlongRep"];

interface Props {
  along: Along[];
  /** 0 at the rep's start, 1 at its other end. */
  at: number;
}

/** Of the norm, from which on a joint is told to work hard; the trained go beyond all of it. */
const WATCH = 0.7;

export function Carries({ along, at }: Props) {
  const here = nearest(along, at);
  if (!here) return null;
  const whole = Object.values(here.carried).reduce((sum, kg) => sum + kg, 0);
  const contacts = Object.entries(here.carried);
  const joints = here.joints.filter(({ torque }) => torque >= 0.5);
  return (
    <section aria-label="Who carries what" className="pt-2">
      <h3 className="lettering">Who carries what, here</h3>
      {contacts.map(([name, kg]) => (
        <Bar
          key={name}
          name={name}
          words={`${kg.toFixed(1)} kg`}
          share={whole > 0 ? kg / whole : 0}
          fill="bg-line"
        />
      ))}
      <h3 className="lettering pt-2">Torque, of the norm for a body this size</h3>
      {joints.map(({ joint, torque, strength }) => {
        const share = torque / strength;
        return (
          <Bar
            key={joint}
            name={joint.replaceAll("_", " ")}
            words={`${torque.toFixed(0)} of ${strength.toFixed(0)} N·m`}
            share={share}
            fill={share > WATCH ? "bg-watch" : "bg-ink"}
          />
        );
      })}
    </section>
  );
}

function nearest(along: Along[], at: number): Along | undefined {
  return along[Math.round(at * (along.length - 1))];
}

interface BarProps {
  name: string;
  words: string;
  share: number;
  fill: string;
}

/** A share drawn to its length; what is over the whole ends at the rail's end and says so. */
function Bar({ name, words, share, fill }: BarProps) {
  const percent = Math.round(100 * share);
  return (
    <div className="grid grid-cols-[5.5rem_1fr_auto] items-center gap-x-2 text-sm">
      <span>{name}</span>
      <span className="relative h-2 border border-hair" aria-hidden>
        <span
          className={`absolute inset-y-0 left-0 ${fill}`}
          style={{ width: `${Math.max(0, Math.min(100, percent))}%` }}
        />
      </span>
      <span className="text-right tabular-nums">
        {words} <span className="text-faint">{percent} %</span>
      </span>
    </div>
  );
}
