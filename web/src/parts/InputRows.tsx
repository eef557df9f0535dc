/** The figures that went into a result, one a line. */
import type { Schema } from "../api/client";
import { plain } from "./figures";

export function InputRows({ inputs }: { inputs: Schema["Input"][] }) {
  return (
    <tbody>
      {inputs.map((input) => (
        <tr key={input.name} className="border-t border-hair">
          <th scope="row" className="py-0.5 pr-4 font-text font-normal">
            {input.name}
          </th>
          <td className="text-right whitespace-nowrap">
            {plain(input.value)} {input.unit}
          </td>
        </tr>
      ))}
    </tbody>
  );
}
