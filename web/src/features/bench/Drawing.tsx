/** The figures side by side with their ratio between them; one motion moves both. */
import { memo, useRef, useState } from "react";
import type { Schema } from "../../common/api/client";
import { between } from "../../common/drawing/between";
import { asFile } from "../../common/drawing/copy";
import { Figure } from "../../common/drawing/Figure";
import { Button } from "../../common/ui/Button";
import { Asked } from "../../common/units/Explained";
import { ask } from "./Readings";
import type { Answered } from "./state";

interface Props {
  answered: Answered;
  at: number;
}

const HEIGHT = 300;

export const Drawing = memo(function Drawing({ answered, at }: Props) {
  const { sheet, bench } = answered;
  const { one, other } = bench;
  if (!other)
    return (
      <div className="flex justify-center">
        <Drawn reading={one} at={at} width={620} />
      </div>
    );
  return (
    <div className="grid grid-cols-[1fr_auto_1fr] items-center justify-items-center gap-2 max-lg:grid-cols-1">
      <Drawn reading={one} at={at} width={370} title="First" />
      <Ratio sheet={sheet} bench={bench} />
      <Drawn reading={other} at={at} width={370} title="Second" />
    </div>
  );
});

interface DrawnProps {
  reading: Schema["ReadingOf"];
  at: number;
  width: number;
  title?: string;
}

function Drawn({ reading, at, width, title }: DrawnProps) {
  const drawing = useRef<SVGSVGElement>(null);
  const [said, say] = useState("Copy figure");
  const { figures, words: name } = reading;
  const now = between(figures, at);
  const faint = at > 0.5 ? figures[0] : figures.at(-1);
  if (!now) return null;

  async function copy() {
    if (!drawing.current) return;
    const file = asFile(drawing.current);
    try {
      await navigator.clipboard.writeText(file);
      say("Copied as SVG");
    } catch {
      const link = document.createElement("a");
      link.href = URL.createObjectURL(new Blob([file], { type: "image/svg+xml" }));
      link.download = "figure.svg";
      link.click();
      URL.revokeObjectURL(link.href);
      say("Saved as figure.svg");
    }
  }

  return (
    <figure className="min-w-0 text-center">
      <Figure
        ref={drawing}
        figures={faint && figures.length > 1 ? [now, faint] : [now]}
        width={width}
        height={HEIGHT}
        label={`${name}, ${now.phase}, with the forces on it`}
      />
      <figcaption className="flex items-baseline justify-center gap-2 px-2 text-sm">
        {title && <b className="font-head">{title}</b>}
        <span>{name}</span>
        {now.from_above && <span className="text-faint">seen from above</span>}
        <Button quiet onClick={copy} className="min-h-0 text-sm" aria-live="polite">
          {said}
        </Button>
      </figcaption>
    </figure>
  );
}

/** How much harder, in words a coach says. */
function Ratio({ sheet, bench }: { sheet: Schema["Sheet"]; bench: Schema["Bench"] }) {
  const { ratio, ratio_unavailable_reason } = bench;
  return (
    <div className="w-40 border-y border-ink py-3 text-center" aria-live="polite">
      <div className="lettering">Second ÷ first</div>
      {ratio ? (
        <>
          <div className="font-head text-2xl">
            <Asked
              name="the ratio"
              figure={ratio}
              about={[sheet, "ratio"]}
              ask={ask(sheet, "ratio", "demand")}
            />
          </div>
          <p>{harder(ratio)}</p>
        </>
      ) : (
        <p className="text-sm text-faint">{ratio_unavailable_reason}</p>
      )}
    </div>
  );
}

export function harder({ low, likely, high }: Schema["EstimateOut"]): string {
  const percent = (x: number) => Math.abs(100 * (x - 1));
  const text = (x: number) => percent(x).toFixed(percent(x) < 10 ? 1 : 0);
  if (percent(likely) < 0.05) return "equally hard";
  const note = likely > 1 ? "harder" : "easier";
  const sure = low > 1 || high < 1 ? "" : "; within the range either may be";
  return `${text(likely)} % ${note}${sure}`;
}
