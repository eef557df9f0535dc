/** A computed figure that opens the account of how it came about. */
import { useQuery } from "@tanstack/react-query";
import type { Schema } from "../api/client";
import { Account, Opens } from "./Account";
import { plain, told } from "./figures";
import { Wrong } from "./Wrong";

interface Props {
  name: string;
  figure: Schema["Explained"];
}

export function Explained({ name, figure }: Props) {
  return (
    <Opens name={name} words={told(figure)}>
      {() => <Told figure={figure} />}
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
    <Opens name={name} words={told(figure)}>
      {() => <AskedAccount about={about} ask={ask} />}
    </Opens>
  );
}

function AskedAccount({ about, ask }: Pick<AskedProps, "about" | "ask">) {
  const found = useQuery({ queryKey: ["account", ...about], queryFn: ask, gcTime: 60_000 });
  if (found.error) return <Wrong error={found.error} />;
  if (!found.data) return <p className="py-4 text-faint">Asking …</p>;
  return <Told figure={found.data} />;
}

function Told({ figure }: { figure: Schema["Explained"] }) {
  return (
    <>
      <Range figure={figure} />
      {figure.spread_low != null && figure.spread_high != null && (
        <p className="text-faint">
          The published methods differ between {plain(figure.spread_low)} and{" "}
          {plain(figure.spread_high)} {figure.unit}.
        </p>
      )}
      <Account derivation={figure.derivation} />
    </>
  );
}

export function Range({ figure }: { figure: Schema["Estimate"] }) {
  return (
    <>
      <p className="pt-3 text-lg">{told(figure)}</p>
      <p className="text-faint">The likely value, and the range it lies in 8 times of 10.</p>
    </>
  );
}
