/** A state told by word and shape; colour only underlines it. */

export type Tone = "over" | "watch" | "ready" | "plain";

const SIGN: Record<Tone, string> = { over: "▲", watch: "◆", ready: "●", plain: "○" };
const COLOUR: Record<Tone, string> = {
  over: "text-over",
  watch: "text-watch",
  ready: "text-ready",
  plain: "text-faint",
};

export function Mark({ tone, children }: { tone: Tone; children: string }) {
  return (
    <span className={`inline-flex items-baseline gap-1.5 ${COLOUR[tone]}`}>
      <span aria-hidden="true" className="text-[0.65em]">
        {SIGN[tone]}
      </span>
      {children}
    </span>
  );
}
