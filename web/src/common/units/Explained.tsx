/** Computed figures that open the account of how they came about, down to what went in. */
import { useQuery } from "@tanstack/react-query";
import type { Schema } from "../api/client";
import { Opens } from "../ui/Opens";
import { Wrong } from "../ui/Wrong";
import { plain, rangeWords } from "./figures";

interface Props {
  name: string;
  figure: Schema["Explained"];
}

export function Explained({ name, figure }: Props) {
  return (
    <Opens name={name} words={rangeWords(figure)}>
      {() => <Derivation figure={figure} />}
    </Opens>
  );
}

interface AskedProps {
  name: string;
  figure: Schema["EstimateOut"];
  /** What identifies the question, for the cache. */
  about: unknown[];
  ask: () => Promise<Schema["Explained"]>;
}

/** A figure whose account is asked for when it is opened. */
export function Asked({ name, figure, about, ask }: AskedProps) {
  return (
    <Opens name={name} words={rangeWords(figure)}>
      {() => <AskedAccount about={about} ask={ask} />}
    </Opens>
  );
}

function AskedAccount({ about, ask }: Pick<AskedProps, "about" | "ask">) {
  const found = useQuery({ queryKey: ["account", ...about], queryFn: ask, gcTime: 60_000 });
  if (found.error) return <Wrong error={found.error} />;
  if (!found.data) return <p className="py-4 text-faint">Asking …</p>;
  return <Derivation figure={found.data} />;
}

function Derivation({ figure }: { figure: Schema["Explained"] }) {
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

export function Range({ figure }: { figure: Schema["EstimateOut"] }) {
  return (
    <>
      <p className="pt-3 text-lg">{rangeWords(figure)}</p>
      <p className="text-faint">The likely value, and the range it lies in 8 times of 10.</p>
    </>
  );
}

/** How something came about: the formula in words, what went in, the sources. */
export function Account({ derivation }: { derivation: Schema["DerivationOut"] }) {
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

/** The figures that went into a result, one a line; one that was itself computed opens its account. */
export function InputRows({
  inputs,
}: {
  inputs: (Schema["InputOut"] | Schema["ComputedInputOut"])[];
}) {
  return (
    <tbody>
      {inputs.map((input) => (
        <tr key={input.name} className="border-t border-hair">
          <th scope="row" className="py-0.5 pr-4 font-text font-normal">
            {input.name}
          </th>
          <td className="text-right whitespace-nowrap">
            {"explained" in input && input.explained ? (
              <Explained name={input.name} figure={input.explained} />
            ) : (
              <>
                {plain(input.value)} {input.unit}
              </>
            )}
          </td>
        </tr>
      ))}
    </tbody>
  );
}
