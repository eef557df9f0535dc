/** A chart in the sheet's look, with the table behind it for readers, printers and copying. */
import { type ReactNode, useId, useState } from "react";
import { Button } from "./Button";

export interface Column<Row> {
  head: string;
  cell: (row: Row) => ReactNode;
}

interface Props<Row> {
  title: string;
  /** What it shows, in a sentence; read in place of the drawing. */
  words: string;
  rows: Row[];
  columns: Column<Row>[];
  rowKey: (row: Row) => string;
  note?: ReactNode;
  children: ReactNode;
}

export function Chart<Row>({ title, words, rows, columns, rowKey, note, children }: Props<Row>) {
  const [table, setTable] = useState(false);
  const id = useId();
  return (
    <figure aria-labelledby={id} className="break-inside-avoid border-t border-ink pt-1">
      <div className="flex items-baseline justify-between gap-3">
        <figcaption id={id} className="font-head text-lg font-semibold">
          {title}
        </figcaption>
        <Button
          quiet
          aria-pressed={table}
          onClick={() => setTable(!table)}
          className="print:hidden"
        >
          {table ? "Drawing" : "Table"}
        </Button>
      </div>
      {table ? (
        <div className="max-h-56 overflow-y-auto" tabIndex={-1}>
          <table className="w-full">
            <thead>
              <tr className="lettering border-b border-ink">
                {columns.map((column) => (
                  <th key={column.head}>{column.head}</th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={rowKey(row)} className="border-b border-hair">
                  {columns.map((column) => (
                    <td key={column.head} className="pr-3">
                      {column.cell(row)}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      ) : (
        <div role="img" aria-label={words}>
          {children}
        </div>
      )}
      {note && <p className="pt-1 text-sm text-faint">{note}</p>}
    </figure>
  );
}
