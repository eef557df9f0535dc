/** One lane of a ladder: its axis, its rails, and how far the athlete reaches on them. */
import type { Schema } from "../api/client";
import { demand } from "../units/figures";
import { axisTicks, type LaneLayout } from "./ladderScale";

interface Props {
  layout: LaneLayout;
  height: number;
  /** Another athlete's reach in the same lane, hatched beside. */
  other?: Schema["EstimateOut"] | undefined;
}

export function LadderLane({ layout, height, other }: Props) {
  const { lane } = layout;
  return (
    <>
      <Axis layout={layout} height={height} />
      {other && <OtherReach layout={layout} reach={other} />}
      <Rails layout={layout} />
      {lane.reach && lane.capacity && (
        <Reach layout={layout} reach={lane.reach} capacity={lane.capacity} beside={!!other} />
      )}
    </>
  );
}

/** "kg on the hands, a rep of 2 s"; "N·m of hip torque". */
function axisWords({ measure_words, unit, counted }: Schema["Lane"]): string {
  const what = measure_words === "hand load" ? "on the hands" : `of ${measure_words}`;
  return `${unit} ${what}${counted === "reps" ? ", a rep of 2 s" : ", held"}`;
}

function ends({ scale }: LaneLayout): { top: number; foot: number } {
  return { top: scale.y(scale.high), foot: scale.y(scale.low) };
}

function Axis({ layout, height }: { layout: LaneLayout; height: number }) {
  const { axis: x, scale, lane } = layout;
  const { top, foot } = ends(layout);
  return (
    <g className="stroke-line">
      <line x1={x} y1={top} x2={x} y2={foot + 18} strokeWidth={1} />
      {axisTicks(scale).map((value) => (
        <g key={value}>
          <line x1={x - 5} y1={scale.y(value)} x2={x} y2={scale.y(value)} strokeWidth={1} />
          <text
            x={x - 9}
            y={scale.y(value) + 4}
            textAnchor="end"
            stroke="none"
            className="fill-faint text-[12px]"
          >
            {value}
          </text>
        </g>
      ))}
      <text
        x={x - 40}
        y={Math.min(height - 2, foot + 36)}
        stroke="none"
        className="cleared fill-faint font-head text-[13px]"
      >
        {axisWords(lane)}
      </text>
    </g>
  );
}

/** The rails, broken at the foot: the scale does not start at zero. */
function Rails({ layout }: { layout: LaneLayout }) {
  const { top, foot } = ends(layout);
  return (
    <g className="stroke-ink" strokeWidth={2} fill="none">
      {[layout.left, layout.right].map((x) => (
        <path key={x} d={`M${x},${top - 4} V${foot + 6} l-5,3 l10,4 l-5,3 V${foot + 22}`} />
      ))}
    </g>
  );
}

interface ReachProps {
  layout: LaneLayout;
  reach: Schema["Explained"];
  capacity: Schema["Explained"];
  /** Another stands in the right half. */
  beside: boolean;
}

/** Filled between the rails up to where the useful prescription is there; a hairline at capacity. */
function Reach({ layout, reach, capacity, beside }: ReachProps) {
  const { left } = layout;
  const right = beside ? (layout.left + layout.right) / 2 : layout.right;
  const heights = heightsOf(layout, reach, capacity);
  const { reachY: top, highY: high, lowY: low, capacityY, foot, beyond } = heights;
  return (
    <g>
      <rect
        x={left}
        y={top}
        width={right - left}
        height={Math.max(0, foot + 16 - top)}
        className="fill-reach"
      />
      <rect
        x={left + 3}
        y={high}
        width={5}
        height={Math.max(0, low - high)}
        className="fill-ready"
      />
      <line x1={left} y1={top} x2={right} y2={top} className="stroke-ready" strokeWidth={2.5} />
      {!beyond && (
        <line
          x1={left}
          y1={capacityY}
          x2={right}
          y2={capacityY}
          className="stroke-ink"
          strokeDasharray="2 3"
        />
      )}
    </g>
  );
}

/** What the heights of reach and capacity say: drawn last, so that no rung strikes the words. */
export function ReachWords({ layout, beside }: { layout: LaneLayout; beside: boolean }) {
  const { reach, capacity } = layout.lane;
  if (!reach || !capacity) return null;
  const { left } = layout;
  const { reachY, capacityY, highest, beyond } = heightsOf(layout, reach, capacity);
  return (
    <g>
      <text
        x={left + 12}
        y={reachY - 5}
        className="cleared fill-ready font-head text-[13px] font-semibold"
      >
        reach {demand(reach.likely, reach.unit)}
      </text>
      {!beside && (
        <text
          x={left + 12}
          y={beyond ? highest + 4 : capacityY - 4}
          className="cleared fill-ink font-head text-[13px]"
        >
          {beyond ? "↑ " : ""}capacity {demand(capacity.likely, capacity.unit)}
        </text>
      )}
    </g>
  );
}

/** Where reach and capacity stand; a capacity over the top rung is only pointed at. */
function heightsOf(layout: LaneLayout, reach: Schema["Explained"], capacity: Schema["Explained"]) {
  const { top: highest, foot } = ends(layout);
  const within = (y: number) => Math.min(foot, Math.max(highest - 6, y));
  const capacityY = layout.scale.y(capacity.likely);
  return {
    reachY: within(layout.scale.y(reach.likely)),
    highY: within(layout.scale.y(reach.high)),
    lowY: within(layout.scale.y(reach.low)),
    capacityY,
    highest,
    foot,
    beyond: capacityY < highest + 4,
  };
}

/** How far another athlete reaches, by the rungs of this one: hatched in the right half. */
function OtherReach({ layout, reach }: { layout: LaneLayout; reach: Schema["EstimateOut"] }) {
  const { right, scale } = layout;
  const left = (layout.left + layout.right) / 2;
  const { top: highest, foot } = ends(layout);
  const top = Math.min(foot, Math.max(highest - 6, scale.y(reach.likely)));
  const lines = Array.from({ length: Math.ceil((foot + 16 - top) / 7) }, (_, i) => top + i * 7);
  return (
    <g className="stroke-watch">
      {lines.map((y) => (
        <line key={y} x1={left} y1={y} x2={right} y2={y} strokeWidth={0.8} />
      ))}
      <line x1={left} y1={top} x2={right} y2={top} strokeWidth={2.5} />
    </g>
  );
}
