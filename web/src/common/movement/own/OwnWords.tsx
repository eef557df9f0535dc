/** What a movement of one's own is called, and what is said of it. */
import type { Schema } from "../../api/client";
import { Choice, Field } from "../../ui/Field";

type Own = Schema["OwnMovementOf"];

interface Props {
  own: Own;
  /** As the movement is counted that it is made from. */
  counted: string;
  put: (change: Partial<Own>) => void;
}

const COUNTED = ["total", "per side", "alternating"] as const;

export function OwnWords({ own, counted, put }: Props) {
  return (
    <>
      <Field
        label="Name"
        value={own.name}
        onChange={(event) => put({ name: event.target.value })}
      />
      <Field
        label="Also called"
        hint="apart by commas"
        onChange={(event) => put({ also: parts(event.target.value, ",") })}
      />
      <Choice
        label="Counted"
        value={own.counted ?? counted}
        options={COUNTED.map((way) => [way, way] as const)}
        onChange={(event) =>
          put({ counted: COUNTED.find((way) => way === event.target.value) ?? null })
        }
      />
      <Lines
        label="Cues, one a line, three at most"
        onLines={(cues) => put({ cues: cues.slice(0, 3) })}
      />
      <Lines
        label="Faults, one a line: what is seen: what to do"
        onLines={(lines) => put({ faults: lines.map(faultOf) })}
      />
    </>
  );
}

function Lines({ label, onLines }: { label: string; onLines: (lines: string[]) => void }) {
  return (
    <label className="block pt-3">
      <span className="lettering">{label}</span>
      <textarea
        rows={2}
        onChange={(event) => onLines(parts(event.target.value, "\n"))}
        className="block w-full border border-line bg-sheet px-2 py-1"
      />
    </label>
  );
}

const parts = (typed: string, by: string): string[] =>
  typed
    .split(by)
    .map((word) => word.trim())
    .filter(Boolean);

function faultOf(line: string): Schema["OwnFault"] {
  const [name = "", ...remedy] = line.split(":");
  return { name: name.trim(), remedy: remedy.join(":").trim() || "Less of it, cleanly." };
}
