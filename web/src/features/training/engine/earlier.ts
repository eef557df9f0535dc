/** What release 0.1 left on the device, in today's words: a session may be under way. */

const NAMES: Record<string, string> = {
  effort: "rpe",
  zone: "time_zone",
  worn: "added_load",
  help: "assistance",
};
const KINDS: Record<string, string> = { "rig up": "rig_change" };

/** The same value, with the fields renamed wherever they stand in it. */
export function renamed<Kept>(kept: Kept): Kept {
  if (Array.isArray(kept)) return kept.map(renamed) as Kept;
  if (kept === null || typeof kept !== "object" || kept instanceof Blob) return kept;
  const entries = Object.entries(kept).map(([name, value]) => [
    NAMES[name] ?? name,
    name === "kind" ? (KINDS[String(value)] ?? value) : renamed(value),
  ]);
  return Object.fromEntries(entries) as Kept;
}
