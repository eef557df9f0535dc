/** How something came about: the formula in words, what went in, the sources. */
import { type ReactNode, useState } from "react";
import type { Schema } from "../api/client";
import { Dialog } from "./Dialog";
import { InputRows } from "./InputRows";

export function Account({ derivation }: { derivation: Schema["Derivation"] }) {
  return (
    <>
      <h3 className="lettering pt-4">How it came about</h3>
      <p>{derivation.formula}</p>
      {derivation.note && <p className="pt-1 text-watch">{derivation.note}</p>}
      {derivation.inputs.length > 0 && (
        <>
          <h3 className="lettering pt-4">From</h3>
          <table className="w-full">
            <InputRows inputs={derivation.inputs} />
          </table>
        </>
      )}
      <h3 className="lettering pt-4">Sources</h3>
      <ul className="list-disc pl-5 text-sm">
        {derivation.sources.map((source) => (
          <li key={source}>{source}</li>
        ))}
      </ul>
    </>
  );
}

interface OpensProps {
  /** What it is, to go after “How”. */
  name: string;
  /** What is pressed. */
  words: ReactNode;
  large?: boolean;
  children: () => ReactNode;
}

/** A figure that opens the account of how it came about. */
export function Opens({ name, words, large, children }: OpensProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        onClick={() => setOpen(true)}
        className={`min-h-6 border-b border-dotted border-line text-left hover:bg-wash ${large ? "text-xl" : ""}`}
        title={`How ${name} came about`}
      >
        {words}
      </button>
      {open && (
        <Dialog open onOpenChange={setOpen} title={name.charAt(0).toUpperCase() + name.slice(1)}>
          {children()}
        </Dialog>
      )}
    </>
  );
}
