/** The figures that went into a result, one a line; one that was itself computed opens its account. */
import type { Schema } from "../api/client";
import { Explained } from "./Explained";
import { plain } from "./figures";

export function InputRows({ inputs }: { inputs: (Schema["Input"] | Schema["ComputedInput"])[] }) {
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
