/** One lane of a ladder: its axis, its rails, and how far the athlete reaches on them. */
import type { Schema } from "../api/client";
import { axisTicks, type LaneLayout } from "./ladderScale";
import { heightsOf } from "./lettering";

interface Props {
  layout: LaneLayout;
  /** Another athlete's reach in the same lane, hatched beside. */
  other?: Schema["EstimateOut"] | undefined;
}

export function LadderLane({ layout, other }: Props) {
  const { lane } = layout;
  return (
    <>
      <Axis layout={layout} />
      {other && <OtherReach layout={layout} reach={other} />}
      <Rails layout={layout} />
      {lane.reach && lane.capacity && (
        <Reach layout={layout} reach={lane.reach} capacity={lane.capacity} beside={!!other} />
      )}
    </>
  );
}

function ends({ scale }: LaneLayout): { top: number; foot: number } {
  return { top: scale.y(scale.high), foot: scale.y(scale.low) };
}

function Axis({ layout }: { layout: LaneLayout }) {
  const { axis: x, scale } = layout;
  const { top, foot } = ends(layout);
  return (
    <g className="stroke-line">
      <line x1={x} y1={top} x2={x} y2={foot + 18} strokeWidth={1} />
      {axisTicks(scale).map((value) => (
        <line
          key={value}
          x1={x - 5}
          y1={scale.y(value)}
          x2={x}
          y2={scale.y(value)}
          strokeWidth={1}
        />
      ))}
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
