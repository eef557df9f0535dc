/**
 * The ladder to scale: height on the page is demand, so a big step is a big space. Rungs stand at
 * their true height; their labels are spread beside them, joined by leader lines. Lanes stand side
 * by side; what only effort tells stands beside the scale.
 */
import { type PointerEvent, useState } from "react";
import type { Schema } from "../api/client";
import { demand, range, rangeWords } from "../units/figures";
import { Figure } from "./Figure";
import { LadderLane } from "./LadderLane";
import { type LaneLayout, type Layout, ROOMY } from "./ladderScale";
import { lettering, shownSteps } from "./lettering";
import { Dimension } from "./marks";

const FIGURE = { width: 104, height: 44 };
const NARROW_FIGURE = { width: 72, height: 44 };
const SMALL_FIGURE = { width: 44, height: 22 };
/** Most pixels for each metre of the small figures: each fills its room, so that shapes are told
 * apart. */
const FIGURE_SCALE = { roomy: 48, tight: 24 };

export interface Pencilled {
  /** By which it is called beside the drawing. */
  number: number;
  name: string;
  demand: Schema["EstimateOut"];
  lane: number;
}

interface Props {
  sheet: Schema["LadderSheet"];
  layout: Layout;
  width: number;
  selected: number;
  /** Rungs of a bridge that are not taken yet. */
  pencilled?: Pencilled[];
  /** The same ladder for someone else. */
  other?: Schema["LadderSheet"] | undefined;
  onSelect: (index: number) => void;
  onOpen: (index: number) => void;
  /** A rung was drawn to another place in the order. */
  onMove: (index: number, position: number) => void;
}

export function LadderDrawing(props: Props) {
  const { sheet, layout, width, selected, pencilled = [], other, onSelect, onOpen } = props;
  const { height, heights, rows, labels, row } = layout;
  const tight = sheet.rungs.length > ROOMY;
  const drag = useDrag(props);
  return (
    <div className="relative" style={{ width, height }}>
      <svg width={width} height={height} className="absolute inset-0" aria-hidden="true">
        {layout.lanes.map((lane, index) => (
          <LadderLane
            key={`${lane.lane.measure_words} ${lane.lane.counted}`}
            layout={lane}
            other={other && reachOf(sheet, other, index)}
          />
        ))}
        <Ties sheet={sheet} layout={layout} />
        {sheet.rungs.map((rung, index) => (
          <RungLine
            key={rung.id}
            rung={rung}
            lane={rung.lane === null ? undefined : layout.lanes[rung.lane]}
            y={heights[index] ?? 0}
            label={rows[index] ?? 0}
            labels={labels}
            selected={index === selected}
          />
        ))}
        {shownSteps(sheet, layout, selected).map(({ step, lane, from, to }) => (
          <Dimension
            key={step.lower_id + step.upper_id}
            from={[lane.left - 14, from]}
            to={[lane.left - 14, to]}
            text=""
            tone={step.gap || step.easier ? "over" : "ink"}
          />
        ))}
        {pencilled.map((rung) => (
          <PencilLine key={rung.name} rung={rung} lane={layout.lanes[rung.lane]} />
        ))}
        {lettering({ sheet, layout, selected, pencilled, beside: !!other }).map((words) => (
          <text
            key={words.key}
            x={words.x}
            y={words.y}
            textAnchor={words.end}
            fontSize={words.size}
            stroke="none"
            className={words.className}
          >
            {words.text}
          </text>
        ))}
      </svg>
      <div
        role="listbox"
        aria-label="Rungs by demand"
        tabIndex={0}
        aria-activedescendant={`rung-${selected}`}
      >
        {sheet.rungs.map((rung, index) => (
          // biome-ignore lint/a11y/useKeyWithClickEvents: the listbox and the sheet take the keys
          <div
            key={rung.id}
            id={`rung-${index}`}
            role="option"
            tabIndex={-1}
            aria-selected={index === selected}
            onClick={() => onSelect(index)}
            onDoubleClick={() => onOpen(index)}
            className={`absolute right-0 flex items-center gap-2 pr-2 ${
              index === selected ? "bg-wash outline-1 outline-ink" : "hover:bg-wash"
            } ${drag.from === index ? "opacity-50" : ""}`}
            style={{ left: labels, top: (rows[index] ?? 0) - row / 2 + 1, height: row - 2 }}
          >
            <span className="shrink-0">
              <Figure
                figures={[rung.figure]}
                {...(tight ? SMALL_FIGURE : sheet.lanes.length > 2 ? NARROW_FIGURE : FIGURE)}
                small
                most={tight ? FIGURE_SCALE.tight : FIGURE_SCALE.roomy}
                label={`${rung.name}, seen from the side`}
              />
            </span>
            <RungLabel sheet={sheet} rung={rung} tight={tight} beside={other?.rungs[index]} />
            <span
              aria-hidden="true"
              title="Draw to another place; [ and ] do the same"
              className="ml-auto cursor-grab touch-none px-1 text-faint select-none print:hidden"
              {...drag.handle(index)}
            >
              ⁝⁝
            </span>
          </div>
        ))}
        {drag.at !== null && (
          <div
            className="absolute right-0 h-0.5 bg-ink"
            style={{ left: labels, top: drag.at }}
            aria-hidden="true"
          />
        )}
      </div>
    </div>
  );
}

/**
 * How far another athlete reaches, on this one's scale: kilos and newton metres of two bodies do not
 * compare, so it is carried over by what the lane's first rung asks of each.
 */
function reachOf(
  sheet: Schema["LadderSheet"],
  other: Schema["LadderSheet"],
  lane: number,
): Schema["EstimateOut"] | undefined {
  const reach = other.lanes[lane]?.reach;
  const first = sheet.rungs.findIndex((rung) => rung.lane === lane);
  const [mine, theirs] = [sheet, other].map(({ rungs }) => rungs[first]?.demand?.likely);
  if (!reach || !mine || !theirs) return undefined;
  const by = mine / theirs;
  const { likely, low, high, unit } = reach;
  return { likely: likely * by, low: low * by, high: high * by, unit };
}

/** Drawing a rung by its handle: the nearest label's place is where it goes. */
function useDrag({ layout, onMove }: Props) {
  const [from, setFrom] = useState<number | null>(null);
  const [at, setAt] = useState<number | null>(null);
  const place = (event: PointerEvent) => {
    const list = event.currentTarget.closest("[role=listbox]")?.parentElement;
    return event.clientY - (list?.getBoundingClientRect().top ?? 0);
  };
  const nearest = (y: number) =>
    layout.rows.reduce(
      (best, row, index) =>
        Math.abs(row - y) < Math.abs((layout.rows[best] ?? 0) - y) ? index : best,
      0,
    );
  const handle = (index: number) => ({
    onPointerDown: (event: PointerEvent) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      setFrom(index);
    },
    onPointerMove: (event: PointerEvent) => from !== null && setAt(place(event)),
    onPointerUp: (event: PointerEvent) => {
      const to = nearest(place(event));
      if (from !== null && at !== null && to !== from) onMove(from, to);
      setFrom(null);
      setAt(null);
    },
  });
  return { from, at, handle };
}

interface LabelProps {
  sheet: Schema["LadderSheet"];
  rung: Schema["RungOut"];
  tight: boolean;
  /** The same rung for someone else. */
  beside: Schema["RungOut"] | undefined;
}

function RungLabel({ sheet, rung, tight, beside }: LabelProps) {
  const stands = rung.id === sheet.current_rung_id;
  const fits = rung.id === sheet.placement?.rung_id;
  const figures = rung.demand ? (
    <>
      {demand(rung.demand.likely, rung.demand.unit)}
      {!beside && ` (${range(rung.demand, rung.demand.unit === "kg" ? 1 : 0)})`}
      {rung.expected && ` · ${rangeWords(rung.expected)}`}
      {beside?.expected && <span className="text-watch"> · ≡ {rangeWords(beside.expected)}</span>}
    </>
  ) : (
    "by effort"
  );
  return (
    <div
      className={`min-w-0 flex-1 overflow-hidden leading-tight ${tight ? "flex items-baseline gap-2" : ""}`}
    >
      <div className="flex items-baseline gap-2 font-head text-[1.05rem] whitespace-nowrap">
        <span className={stands ? "font-semibold" : "truncate"} title={rung.name}>
          {rung.name}
        </span>
        {stands && (
          <span className="bg-ink px-1.5 text-sm text-sheet">
            {fits ? "current rung, fits" : "current rung"}
          </span>
        )}
        {fits && !stands && (
          <span className="border border-ready px-1.5 text-sm text-ready">prescription fits</span>
        )}
        {rung.closed && <span className="border border-over px-1 text-sm text-over">■ closed</span>}
      </div>
      <div className="text-sm whitespace-nowrap text-faint">{figures}</div>
    </div>
  );
}

interface RungLineProps {
  rung: Schema["RungOut"];
  /** None where only effort tells. */
  lane: LaneLayout | undefined;
  y: number;
  label: number;
  labels: number;
  selected: boolean;
}

function RungLine({ rung, lane, y, label, labels, selected }: RungLineProps) {
  const elbow = labels - 22;
  if (!lane || !rung.demand)
    return (
      <g className="stroke-line" fill="none">
        <circle cx={elbow - 6} cy={label} r={4} className="stroke-ink" strokeDasharray="2 2" />
        <path d={`M${elbow - 2},${label} H${labels}`} strokeWidth={1} />
      </g>
    );
  const high = lane.scale.y(rung.demand.high);
  const low = lane.scale.y(rung.demand.low);
  return (
    <g className="stroke-ink">
      <line x1={lane.left} y1={y} x2={lane.right} y2={y} strokeWidth={selected ? 4 : 2} />
      <g className="stroke-line" strokeWidth={1} fill="none">
        <path d={`M${lane.right + 8},${high} V${low} m-3,0 h6 M${lane.right + 5},${high} h6`} />
        <path d={`M${lane.right + 8},${y} H${elbow - 10} L${elbow},${label} H${labels}`} />
      </g>
    </g>
  );
}

/** A rung in pencil: dashed. */
function PencilLine({ rung, lane }: { rung: Pencilled; lane: LaneLayout | undefined }) {
  if (!lane) return null;
  const y = lane.scale.y(rung.demand.likely);
  return (
    <line
      x1={lane.left - 6}
      y1={y}
      x2={lane.right + 20}
      y2={y}
      className="stroke-over"
      strokeWidth={2}
      strokeDasharray="6 4"
    />
  );
}

const position = (sheet: Schema["LadderSheet"], id: string) =>
  sheet.rungs.findIndex((rung) => rung.id === id);

/** Where a way branches off, joins or changes its lane, it is drawn. */
function Ties({ sheet, layout }: { sheet: Schema["LadderSheet"]; layout: Layout }) {
  const end = (index: number) => {
    const rung = sheet.rungs[index];
    const lane = rung?.lane == null ? undefined : layout.lanes[rung.lane];
    return lane
      ? { x: lane.right, y: layout.heights[index] ?? 0 }
      : { x: layout.labels - 28, y: layout.rows[index] ?? 0 };
  };
  return sheet.steps.map((step) => {
    const [lower, upper] = [position(sheet, step.lower_id), position(sheet, step.upper_id)];
    const same = sheet.rungs[lower]?.lane === sheet.rungs[upper]?.lane;
    if (same && upper === lower + 1) return null;
    const [a, b] = [end(lower), end(upper)];
    const bulge = Math.max(a.x, b.x) + (same ? 16 : 4);
    return (
      <path
        key={step.lower_id + step.upper_id}
        d={`M${a.x},${a.y} C${bulge},${a.y} ${bulge},${b.y} ${b.x},${b.y}`}
        className="stroke-line"
        strokeDasharray="1 3"
        strokeWidth={1.6}
        fill="none"
      />
    );
  });
}
