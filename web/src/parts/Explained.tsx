/** A computed figure that opens the account of how it came about. */
import { useQuery } from "@tanstack/react-query";
import { type ReactNode, useState } from "react";
import type { Schema } from "../api/client";
import { Dialog } from "./Dialog";
import { plain, told } from "./figures";
import { InputRows } from "./InputRows";
import { Wrong } from "./Wrong";

interface Props {
  name: string;
  figure: Schema["Explained"];
}

export function Explained({ name, figure }: Props) {
  return (
    <Opens name={name} figure={figure}>
      {() => <Account figure={figure} />}
    </Opens>
  );
}

interface AskedProps {
  name: string;
  figure: Schema["Estimate"];
  /** What identifies the question, for the cache. */
  about: unknown[];
  ask: () => Promise<Schema["Explained"]>;
}

/** A figure whose account is asked for when it is opened. */
export function Asked({ name, figure, about, ask }: AskedProps) {
  return (
    <Opens name={name} figure={figure}>
      {() => <AskedAccount about={about} ask={ask} />}
    </Opens>
  );
}

function AskedAccount({ about, ask }: Pick<AskedProps, "about" | "ask">) {
  const found = useQuery({ queryKey: ["account", ...about], queryFn: ask, gcTime: 60_000 });
  if (found.error) return <Wrong error={found.error} />;
  if (!found.data) return <p className="py-4 text-faint">Asking …</p>;
  return <Account figure={found.data} />;
}

interface OpensProps {
  name: string;
  figure: Schema["Estimate"];
  children: () => ReactNode;
}

function Opens({ name, figure, children }: OpensProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        onClick={() => setOpen(true)}
        className="border-b border-dotted border-line text-left hover:bg-wash"
        title={`How ${name} came about`}
      >
        {told(figure)}
      </button>
      {open && (
        <Dialog open onOpenChange={setOpen} title={name.charAt(0).toUpperCase() + name.slice(1)}>
          {children()}
        </Dialog>
      )}
    </>
  );
}

function Account({ figure }: { figure: Schema["Explained"] }) {
  const { derivation } = figure;
  return (
    <>
      <p className="pt-3 text-lg">{told(figure)}</p>
      <p className="text-faint">The likely value, and the range it lies in 8 times of 10.</p>
      {figure.spread_low != null && figure.spread_high != null && (
        <p className="text-faint">
          The published methods differ between {plain(figure.spread_low)} and{" "}
          {plain(figure.spread_high)} {figure.unit}.
        </p>
      )}
      <h3 className="lettering pt-4">How it came about</h3>
      <p>{derivation.formula}</p>
      {derivation.note && <p className="pt-1 text-watch">{derivation.note}</p>}
      <h3 className="lettering pt-4">From</h3>
      <table className="w-full">
        <InputRows inputs={derivation.inputs} />
      </table>
      <h3 className="lettering pt-4">Sources</h3>
      <ul className="list-disc pl-5 text-sm">
        {derivation.sources.map((source) => (
          <li key={source}>{source}</li>
        ))}
      </ul>
    </>
  );
}
