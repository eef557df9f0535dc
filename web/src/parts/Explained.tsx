/** A computed figure that opens the account of how it came about. */
import { useState } from "react";
import type { Schema } from "../api/client";
import { Dialog } from "./Dialog";
import { plain, told } from "./figures";

interface Props {
  name: string;
  figure: Schema["Explained"];
}

export function Explained({ name, figure }: Props) {
  const [open, setOpen] = useState(false);
  const { derivation } = figure;
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
      <Dialog
        open={open}
        onOpenChange={setOpen}
        title={name.charAt(0).toUpperCase() + name.slice(1)}
      >
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
          <tbody>
            {derivation.inputs.map((input) => (
              <tr key={input.name} className="border-t border-hair">
                <th scope="row" className="font-text font-normal">
                  {input.name}
                </th>
                <td className="text-right">
                  {plain(input.value)} {input.unit}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <h3 className="lettering pt-4">Sources</h3>
        <ul className="list-disc pl-5 text-sm">
          {derivation.sources.map((source) => (
            <li key={source}>{source}</li>
          ))}
        </ul>
      </Dialog>
    </>
  );
}
