/** Equal choices side by side: what changes, what it is now, what it would be, and one press. */
import type { ReactNode } from "react";
import type { Schema } from "../api/client";
import { Button } from "../ui/Button";
import { Explained } from "../units/Explained";
import { amount } from "../units/figures";

interface TableProps {
  label: string;
  also?: string;
  children: ReactNode;
}

/** The table; `also` heads a column between what it would be and the press. */
export function ChoiceTable({ label, also, children }: TableProps) {
  return (
    <table className="mt-3 w-full max-sm:block" aria-label={label}>
      <thead className="max-sm:hidden">
        <tr className="lettering border-b border-ink [&>th]:pr-3">
          <th>Change</th>
          <th>Now</th>
          <th>Then</th>
          {also && <th>{also}</th>}
          <th>
            <span className="sr-only">Choose</span>
          </th>
        </tr>
      </thead>
      <tbody className="max-sm:block">{children}</tbody>
    </table>
  );
}

interface ChoiceProps {
  label: string;
  /** Until it is worked out, and where it cannot be, words stand in its place. */
  words?: string;
  now?: number | undefined;
  unit?: string | undefined;
  to?: Schema["Explained"] | null | undefined;
  also?: string;
  press?: { label: string; busy?: boolean | undefined; onPress: () => void } | undefined;
}

/** One choice. */
export function Choice({ label, words, now, unit, to, also, press }: ChoiceProps) {
  return (
    <tr className="border-b border-hair align-top max-sm:flex max-sm:flex-wrap max-sm:items-center [&>*]:py-1.5 [&>*]:pr-3">
      <th scope="row" className="text-left max-sm:basis-full">
        {label}
      </th>
      <td className="whitespace-nowrap">{now !== undefined && unit && amount(now, unit)}</td>
      {to && press ? (
        <>
          <td>
            <Explained name={label} figure={to} />
          </td>
          {also !== undefined && <td>{also}</td>}
          <td>
            <Button
              busy={press.busy ?? false}
              onClick={press.onPress}
              aria-label={`${press.label}: ${label}`}
            >
              {press.label}
            </Button>
          </td>
        </>
      ) : (
        <td colSpan={3} className="text-faint">
          {words}
        </td>
      )}
    </tr>
  );
}
