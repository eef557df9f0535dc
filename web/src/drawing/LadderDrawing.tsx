/**
 * The ladder to scale: height on the page is demand, so a big step is a big space. Rungs stand at
 * their true height; their labels are spread beside them, joined by leader lines.
 */
import type { Schema } from "../api/client";
import { demand, range, ratio, told } from "../parts/figures";
import { Figure } from "./Figure";
import { axisTicks, type LadderScale, spread } from "./ladderScale";
import { Dimension } from "./marks";

export const RAIL = { left: 128, right: 236 };
const LABELS = 300;
const ROW = 46;
const FIGURE = { width: 104, height: ROW - 2 };
/** Pixels for each metre of the small figures: one scale for all, so that bodies compare. */
const FIGURE_SCALE = 25;

interface Props {
  sheet: Schema["LadderSheet"];
  scale: LadderScale;
  width: number;
  height: number;
  selected: number;
  onSelect: (index: number) => void;
  onOpen: (index: number) => void;
}

export function LadderDrawing(props: Props) {
  const { sheet, scale, width, height, selected, onSelect, onOpen } = props;
  const heights = sheet.rungs.map((rung) => scale.y(rung.demand.likely));
  const rows = spread(heights, ROW, height);
  return (
    <div className="relative" style={{ width, height }}>
      <svg width={width} height={height} className="absolute inset-0" aria-hidden="true">
        <Axis scale={scale} height={height} words={axisWords(sheet)} />
        <Rails height={height} />
        {sheet.rungs.map((rung, index) => (
          <RungLine
            key={rung.id}
            rung={rung}
            scale={scale}
            label={rows[index] ?? 0}
            selected={index === selected}
          />
        ))}
        <Reach sheet={sheet} scale={scale} height={height} />
        <Steps sheet={sheet} heights={heights} selected={selected} />
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
            }`}
            style={{ left: LABELS, top: (rows[index] ?? 0) - ROW / 2 + 1, height: ROW - 2 }}
          >
            <Figure
              figures={[rung.figure]}
              {...FIGURE}
              small
              most={FIGURE_SCALE}
              label={`${rung.name}, seen from the side`}
            />
            <RungLabel sheet={sheet} rung={rung} />
          </div>
        ))}
      </div>
    </div>
  );
}

function RungLabel({ sheet, rung }: { sheet: Schema["LadderSheet"]; rung: Schema["Rung"] }) {
  const stands = rung.id === sheet.standing_id;
  const fits = rung.id === sheet.placement.rung_id;
  return (
    <div className="min-w-0 leading-tight">
      <div className="flex items-baseline gap-2 font-head text-[1.05rem] whitespace-nowrap">
        <span className={stands ? "font-semibold" : ""}>{rung.name}</span>
        {stands && <span className="bg-ink px-1.5 text-sm text-sheet">stands here</span>}
        {fits && <span className="border border-ready px-1.5 text-sm text-ready">dose fits</span>}
      </div>
      <div className="text-sm whitespace-nowrap text-faint">
        {demand(rung.demand.likely, rung.demand.unit)} (
        {range(rung.demand, rung.demand.unit === "kg" ? 1 : 0)}) · {told(rung.expected)}
      </div>
    </div>
  );
}

/** "kg on the hands, a rep of 2 s"; "N·m of hip torque". */
function axisWords({ measure_words, rungs, unit }: Schema["LadderSheet"]): string {
  const of = rungs[0]?.demand.unit ?? "kg";
  const what = measure_words === "hand load" ? "on the hands" : `of ${measure_words}`;
  return `${of} ${what}${unit === "reps" ? ", a rep of 2 s" : ""}`;
}

interface AxisProps {
  scale: LadderScale;
  height: number;
  words: string;
}

function Axis({ scale, height, words }: AxisProps) {
  const x = 44;
  return (
    <g className="stroke-line">
      <line x1={x} y1={6} x2={x} y2={height - 18} strokeWidth={1} />
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
      <text x={4} y={height - 2} stroke="none" className="fill-faint font-head text-[13px]">
        {words}
      </text>
    </g>
  );
}

/** Filled between the rails up to where the useful dose is there; a hairline at capacity. */
function Reach({ sheet, scale, height }: Pick<Props, "sheet" | "scale" | "height">) {
  const { reach, capacity } = sheet.placement;
  const top = Math.max(0, scale.y(reach.likely));
  const capacityY = scale.y(capacity.likely);
  const beyond = capacityY < 12;
  return (
    <g>
      <rect
        x={RAIL.left}
        y={top}
        width={RAIL.right - RAIL.left}
        height={Math.max(0, height - 24 - top)}
        className="fill-reach"
      />
      <rect
        x={RAIL.left + 3}
        y={Math.max(0, scale.y(reach.high))}
        width={5}
        height={Math.max(0, scale.y(reach.low) - Math.max(0, scale.y(reach.high)))}
        className="fill-ready"
      />
      <line
        x1={RAIL.left}
        y1={top}
        x2={RAIL.right}
        y2={top}
        className="stroke-ready"
        strokeWidth={2.5}
      />
      <text
        x={RAIL.left + 12}
        y={top - 5}
        className="cleared fill-ready font-head text-[13px] font-semibold"
      >
        reach {demand(reach.likely, reach.unit)}
      </text>
      {!beyond && (
        <line
          x1={RAIL.left}
          y1={capacityY}
          x2={RAIL.right}
          y2={capacityY}
          className="stroke-ink"
          strokeDasharray="2 3"
        />
      )}
      <text
        x={RAIL.left + 12}
        y={beyond ? 12 : capacityY - 4}
        className="cleared fill-ink font-head text-[13px]"
      >
        {beyond ? "↑ " : ""}capacity {demand(capacity.likely, capacity.unit)}
      </text>
    </g>
  );
}

/** The rails, broken at the foot: the scale does not start at zero. */
function Rails({ height }: { height: number }) {
  const foot = height - 20;
  return (
    <g className="stroke-ink" strokeWidth={2} fill="none">
      {[RAIL.left, RAIL.right].map((x) => (
        <path key={x} d={`M${x},4 V${foot - 12} l-5,3 l10,4 l-5,3 V${foot + 4}`} />
      ))}
    </g>
  );
}

interface RungLineProps {
  rung: Schema["Rung"];
  scale: LadderScale;
  label: number;
  selected: boolean;
}

function RungLine({ rung, scale, label, selected }: RungLineProps) {
  const y = scale.y(rung.demand.likely);
  const high = scale.y(rung.demand.high);
  const low = scale.y(rung.demand.low);
  const elbow = LABELS - 22;
  return (
    <g className="stroke-ink">
      <line x1={RAIL.left} y1={y} x2={RAIL.right} y2={y} strokeWidth={selected ? 4 : 2} />
      <g className="stroke-line" strokeWidth={1} fill="none">
        <path d={`M${RAIL.right + 8},${high} V${low} m-3,0 h6 M${RAIL.right + 5},${high} h6`} />
        <path d={`M${RAIL.right + 8},${y} H${elbow - 10} L${elbow},${label} H${LABELS}`} />
      </g>
    </g>
  );
}

/** Gaps are dimensioned in red; of the other steps, those beside the picked rung. */
function Steps(props: { sheet: Schema["LadderSheet"]; heights: number[]; selected: number }) {
  const { sheet, heights, selected } = props;
  return sheet.steps.map((step, index) => {
    const beside = index === selected || index === selected - 1;
    if (!step.gap && !step.easier && !beside) return null;
    const low = heights[index] ?? 0;
    const high = heights[index + 1] ?? 0;
    const word = step.easier ? "easier " : step.gap ? "gap " : "";
    return (
      <Dimension
        key={sheet.rungs[index]?.id}
        from={[RAIL.left - 14, low]}
        to={[RAIL.left - 14, high]}
        text={`${word}${ratio(step.ratio)}`}
        tone={step.gap || step.easier ? "over" : "ink"}
        side="left"
      />
    );
  });
}
