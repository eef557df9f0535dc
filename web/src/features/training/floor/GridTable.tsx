/** The grid itself: cells that keys go through as a pencil goes down a page. */
import { type KeyboardEvent, useRef } from "react";
import { Button } from "../../../common/ui/Button";
import { VOCABULARY } from "../../../common/vocabulary";
import { COLUMNS, type Known, type Place, type Row } from "./grid";

interface Props {
  rows: Row[];
  known: Map<string, Known>;
  /** Rows of an earlier session: none is added or taken away. */
  fixed: boolean;
  onRows: (rows: Row[]) => void;
  onAdd: () => void;
}

export function GridTable({ rows, known, fixed, onRows, onAdd }: Props) {
  const table = useRef<HTMLTableElement>(null);
  const change = (index: number, part: Partial<Row>) =>
    onRows(rows.map((row, at) => (at === index ? { ...row, ...part } : row)));

  function onKeyDown(event: KeyboardEvent<HTMLInputElement>, index: number, column: number) {
    const cell = (row: number) =>
      table.current?.querySelector<HTMLInputElement>(`[data-cell="${row}.${column}"]`);
    if (event.key === "Enter" || event.key === "ArrowDown" || event.key === "ArrowUp") {
      event.preventDefault();
      const up = event.key === "ArrowUp" || event.shiftKey;
      if (!up && event.key === "Enter" && index === rows.length - 1 && !fixed) onAdd();
      const next = up ? index - 1 : index + 1;
      if (cell(next)) cell(next)?.focus();
      else requestAnimationFrame(() => cell(next)?.focus()); // the row is being added
    }
    if (event.key.toLowerCase() === "d" && event.ctrlKey) {
      event.preventDefault();
      const key = COLUMNS[column]?.key;
      const above = rows[index - 1];
      if (above && key) change(index, { [key]: above[key] });
    }
  }

  return (
    <table ref={table} className="mt-2 w-full border-collapse">
      <thead>
        <tr className="lettering border-b border-ink [&>th]:px-1">
          <th>Set</th>
          <th>Movement</th>
          <th>Side</th>
          {COLUMNS.map((column) => (
            <th key={column.key}>{column.title}</th>
          ))}
          <th>Clean</th>
          <th>
            <span className="sr-only">Row</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row, index) => (
          <tr key={row.id} className="border-b border-hair [&>td]:px-1">
            <td className="text-faint">{index + 1}</td>
            <td className="w-60 min-w-40">
              <select
                aria-label={`Movement, row ${index + 1}`}
                value={row.what}
                disabled={fixed}
                onChange={(event) => change(index, { what: event.target.value, number: 0 })}
                className="w-full border-0 bg-sheet py-1"
              >
                {[...known].map(([key, one]) => (
                  <option key={key} value={key}>
                    {one.name}
                  </option>
                ))}
              </select>
            </td>
            <td>
              <select
                aria-label={`Side, row ${index + 1}`}
                value={row.side}
                onChange={(event) => change(index, { side: event.target.value as Row["side"] })}
                className="border-0 bg-sheet py-1"
              >
                <option value="">both</option>
                <option>left</option>
                <option>right</option>
              </select>
            </td>
            {COLUMNS.map((column, at) => (
              <td key={column.key} className={column.wide ? "w-36" : "w-20"}>
                <input
                  data-cell={`${index}.${at}`}
                  aria-label={`${column.title}, row ${index + 1}`}
                  value={row[column.key]}
                  placeholder={column.key === "count" ? row.asked : ""}
                  onChange={(event) => change(index, { [column.key]: event.target.value })}
                  onKeyDown={(event) => onKeyDown(event, index, at)}
                  className="w-full border border-transparent bg-sheet px-1 py-1 hover:border-hair focus:border-ink"
                />
                {column.key === "kg" && Number(row.kg.replace(",", ".")) > 0 && (
                  <select
                    aria-label={`Where the kilos hang, row ${index + 1}`}
                    value={row.at}
                    onChange={(event) => change(index, { at: event.target.value as Place })}
                    className="border-0 bg-sheet text-sm text-faint"
                  >
                    <option value="">as usual</option>
                    {VOCABULARY.loadPlaces.map((place) => (
                      <option key={place}>{place}</option>
                    ))}
                  </select>
                )}
              </td>
            ))}
            <td>
              <input
                type="checkbox"
                aria-label={`Clean, row ${index + 1}`}
                checked={row.form_ok}
                onChange={(event) => change(index, { form_ok: event.target.checked })}
              />
            </td>
            <td>
              {!fixed && (
                <Button
                  quiet
                  aria-label={`Take away row ${index + 1}`}
                  onClick={() => onRows(rows.filter((_, other) => other !== index))}
                >
                  ×
                </Button>
              )}
            </td>
          </tr>
        ))}
      </tbody>
      {!fixed && (
        <tfoot>
          <tr>
            <td colSpan={COLUMNS.length + 5}>
              <Button quiet onClick={onAdd}>
                Add a row
              </Button>
            </td>
          </tr>
        </tfoot>
      )}
    </table>
  );
}
