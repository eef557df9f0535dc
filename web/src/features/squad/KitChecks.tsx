/** Safety checks of kit that run out within two weeks, or have: one line, the rest folded. */
import { counted } from "../../common/units/figures";

export function KitChecks({ due }: { due: string[] }) {
  if (due.length === 0) return null;
  return (
    <details className="border-b border-hair px-4 py-1.5">
      <summary className="cursor-pointer">
        <span className="text-watch">◆ {counted(due.length, "safety check")} of kit</span> to look
        at
      </summary>
      <ul>
        {due.map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ul>
    </details>
  );
}
