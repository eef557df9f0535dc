/** Hard sets by a coach's own tags, in a line. */
import { plain } from "./figures";

export function TagSets({ tags }: { tags: Record<string, number> }) {
  const sorted = Object.entries(tags).sort((a, b) => b[1] - a[1]);
  if (sorted.length === 0) return null;
  return (
    <p className="text-sm">
      <span className="lettering">Your tags</span>{" "}
      {sorted.map(([tag, sets]) => `${tag} ${plain(sets)}`).join(", ")}
    </p>
  );
}
