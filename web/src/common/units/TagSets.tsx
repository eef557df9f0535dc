/** Hard sets by a coach's own tags, in a line. */
import { plain } from "./figures";

export function TagSets({ tags }: { tags: Record<string, number> }) {
  const told = Object.entries(tags).sort((a, b) => b[1] - a[1]);
  if (told.length === 0) return null;
  return (
    <p className="text-sm">
      <span className="lettering">Your tags</span>{" "}
      {told.map(([tag, sets]) => `${tag} ${plain(sets)}`).join(", ")}
    </p>
  );
}
