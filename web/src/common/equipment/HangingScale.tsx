/** The hanging scale: what it reads, whether it stands still, and the button that takes it. */
import { useState } from "react";
import { Button } from "../ui/Button";
import { Slider } from "../ui/Slider";
import { type Live, useScale } from "./useScale";

const LOOKS: Partial<Record<Live["state"], string>> = {
  steady: "text-ready",
  silent: "text-over",
  flooding: "text-over",
  gone: "text-over",
  fault: "text-over",
};
const MARKS: Partial<Record<Live["state"], string>> = {
  steady: "● ",
  silent: "▲ ",
  flooding: "▲ ",
  gone: "▲ ",
  fault: "▲ ",
};

interface Props {
  /** A steady pull in kilos, and how far the simulated band was stretched for it. */
  onTake: (kg: number, stretch: number | null) => void;
  onClose: () => void;
}

export function HangingScale({ onTake, onClose }: Props) {
  const { live, send, again } = useScale();
  const [stretch, setStretch] = useState(1);
  const steady = live?.state === "steady";
  return (
    <section aria-label="Hanging scale" className="mt-2 border border-ink p-3">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <output className={`font-head text-4xl ${steady ? "" : "text-faint"}`}>
          {live ? `${live.value.toFixed(2)} ${live.unit}` : "…"}
        </output>
        {steady && (
          <span className="text-faint">
            ± {live.half_width.toFixed(2)} {live.unit}
          </span>
        )}
        <span role="status" className={LOOKS[live?.state ?? "empty"] ?? "text-faint"}>
          {live ? `${MARKS[live.state] ?? ""}${live.words}` : "Reaching for the scale …"}
        </span>
      </div>
      {live?.simulated && (
        <>
          <p className="pt-1 text-sm text-faint">
            A simulated scale with a band on its hook stands in for a real one. Pull it:
          </p>
          <Slider
            label="band pulled to, times its length"
            unit="×"
            low={1}
            high={3}
            step={0.05}
            value={stretch}
            onChange={(next) => {
              setStretch(next);
              send({ type: "pull", stretch: next });
            }}
          />
        </>
      )}
      <div className="flex flex-wrap gap-2 pt-2">
        <Button
          main
          disabled={!steady}
          onClick={() => live && onTake(live.kg, live.simulated ? stretch : null)}
        >
          Take the reading
        </Button>
        <Button onClick={() => send({ type: "tare" })}>Zero it</Button>
        <Button onClick={() => send({ type: "unit", unit: live?.unit === "kg" ? "lb" : "kg" })}>
          {live?.unit === "kg" ? "Read in lb" : "Read in kg"}
        </Button>
        {live && ["gone", "silent", "flooding"].includes(live.state) && (
          <Button onClick={again}>Connect again</Button>
        )}
        <Button quiet onClick={onClose}>
          Put the scale away
        </Button>
      </div>
    </section>
  );
}
