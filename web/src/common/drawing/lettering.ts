/** Where a ladder's words stand, so that none covers another: the weightier keep their place, the
 * others move up or down a line, and a tick's figure gives way. */
import type { Schema } from "../api/client";
import { demand, ratio } from "../units/figures";
import { axisTicks, type LaneLayout, type Layout } from "./ladderScale";

export interface Words {
  key: string;
  text: string;
  x: number;
  /** Of the baseline, px from the top. */
  y: number;
  /** Which end of the words stands at `x`. */
  end: "start" | "end";
  size: number;
  className: string;
  /** Left out where there is no room; others are moved. */
  gives?: boolean;
}

interface Asked {
  sheet: Schema["LadderSheet"];
  layout: Layout;
  selected: number;
  /** Rungs of a bridge: their numbers. */
  pencilled: { number: number; lane: number; demand: Schema["EstimateOut"] }[];
  /** Another's reach stands beside, and capacity is left out. */
  beside: boolean;
}

const LINE = 15;
/** Of a letter's size: the width of an average letter of the narrow face. */
const WIDTH = 0.5;
/** Lines of lettering that words may move from their place. */
const REACH = 8;

/** All words of a drawing, the weightiest first, each where it stands. */
export function lettering(asked: Asked): Words[] {
  const placed: Words[] = [];
  for (const words of wanted(asked)) {
    const free = moves(words).find((at) => !placed.some((other) => overlap(at, other)));
    if (free) placed.push(free);
    else if (!words.gives) placed.push(words);
  }
  return placed;
}

/** Where words may stand: as near their place as can be. */
function moves(words: Words): Words[] {
  if (words.gives) return [words];
  const steps = Array.from({ length: REACH }, (_, i) => (i + 1) * LINE);
  return [0, ...steps.flatMap((step) => [step, -step])].map((by) => ({
    ...words,
    y: words.y + by,
  }));
}

function box({ text, x, y, end, size }: Words) {
  const width = text.length * size * WIDTH + 4;
  const left = end === "start" ? x : x - width;
  return { left, right: left + width, top: y - size, foot: y + size * 0.3 };
}

function overlap(one: Words, other: Words): boolean {
  const [a, b] = [box(one), box(other)];
  return a.left < b.right && b.left < a.right && a.top < b.foot && b.top < a.foot;
}

function wanted({ sheet, layout, selected, pencilled, beside }: Asked): Words[] {
  return [
    ...pencilled.flatMap(({ number, lane, demand: asked }) => {
      const at = layout.lanes[lane];
      return at ? [pencil(at, number, at.scale.y(asked.likely))] : [];
    }),
    ...steps(sheet, layout, selected),
    ...layout.lanes.flatMap((lane, index) => reach(lane, index, beside)),
    ...layout.lanes.flatMap((lane, index) => axis(lane, index, layout)),
    ...layout.lanes.flatMap((lane, index) => ticks(lane, index)),
  ];
}

const pencil = (lane: LaneLayout, number: number, y: number): Words => ({
  key: `pencil ${number}`,
  text: String(number),
  x: lane.right + 24,
  y: y + 4,
  end: "start",
  size: 13,
  className: "cleared fill-over font-head font-semibold",
});

/** Gaps, the weightiest first; of the other steps, those beside the picked rung. */
function steps(sheet: Schema["LadderSheet"], layout: Layout, selected: number): Words[] {
  return shownSteps(sheet, layout, selected).map(({ step, by, lane, from, to }) => ({
    key: `step ${step.lower_id} ${step.upper_id}`,
    text: `${step.easier ? "easier " : step.gap ? "gap " : ""}${ratio(by)}`,
    x: lane.left - 21,
    y: (from + to) / 2 + 4,
    end: "end",
    size: 13,
    className: `cleared font-head font-medium ${step.gap || step.easier ? "fill-over" : "fill-ink"}`,
  }));
}

export interface ShownStep {
  step: Schema["LadderSheet"]["steps"][number];
  by: Schema["EstimateOut"];
  lane: LaneLayout;
  from: number;
  to: number;
}

/** Steps that are dimensioned: gaps, and what stands beside the picked rung. */
export function shownSteps(
  sheet: Schema["LadderSheet"],
  layout: Layout,
  selected: number,
): ShownStep[] {
  const position = (id: string) => sheet.rungs.findIndex((rung) => rung.id === id);
  return sheet.steps.flatMap((step) => {
    const [lower, upper] = [position(step.lower_id), position(step.upper_id)];
    const lane = layout.lanes[sheet.rungs[lower]?.lane ?? -1];
    const beside = lower === selected || upper === selected;
    if (!step.ratio || !lane || !(step.gap || step.easier || beside)) return [];
    return [
      {
        step,
        by: step.ratio,
        lane,
        from: layout.heights[lower] ?? 0,
        to: layout.heights[upper] ?? 0,
      },
    ];
  });
}

function reach(layout: LaneLayout, index: number, beside: boolean): Words[] {
  const { reach, capacity } = layout.lane;
  if (!reach || !capacity) return [];
  const { reachY, capacityY, highest, beyond } = heightsOf(layout, reach, capacity);
  const at = { x: layout.left + 12, end: "start", size: 13 } as const;
  const words: Words[] = [
    {
      ...at,
      key: `reach ${index}`,
      text: `reach ${demand(reach.likely, reach.unit)}`,
      y: reachY - 5,
      className: "cleared fill-ready font-head font-semibold",
    },
  ];
  if (!beside)
    words.push({
      ...at,
      key: `capacity ${index}`,
      text: `${beyond ? "↑ " : ""}capacity ${demand(capacity.likely, capacity.unit)}`,
      y: beyond ? highest + 4 : capacityY - 4,
      className: "cleared fill-ink font-head",
    });
  return words;
}

/** Where reach and capacity stand; a capacity over the top rung is only pointed at. */
export function heightsOf(
  { scale }: LaneLayout,
  reach: Schema["Explained"],
  capacity: Schema["Explained"],
) {
  const [highest, foot] = [scale.y(scale.high), scale.y(scale.low)];
  const within = (y: number) => Math.min(foot, Math.max(highest - 6, y));
  const capacityY = scale.y(capacity.likely);
  return {
    reachY: within(scale.y(reach.likely)),
    highY: within(scale.y(reach.high)),
    lowY: within(scale.y(reach.low)),
    capacityY,
    highest,
    foot,
    beyond: capacityY < highest + 4,
  };
}

/** "kg on the hands, a rep of 2 s"; "N·m of hip torque, held": in as many lines as the lane needs. */
function axis({ lane, scale, axis: x }: LaneLayout, index: number, layout: Layout): Words[] {
  const what = lane.measure_words === "hand load" ? "on the hands" : `of ${lane.measure_words}`;
  const counted = lane.counted === "reps" ? "a rep of 2 s" : "held";
  const room = layout.lanes.length > 1 ? layout.lane : Number.POSITIVE_INFINITY;
  const y = Math.min(layout.height - 2, scale.y(scale.low) + 34);
  const all = `${lane.unit} ${what}, ${counted}`;
  const lines = all.length * 13 * WIDTH < room ? [all] : [`${lane.unit} ${what},`, counted];
  return lines.map((text, line) => ({
    key: `axis ${index} ${line}`,
    text,
    x: x - 36,
    y: y + line * LINE,
    end: "start",
    size: 13,
    className: "cleared fill-faint font-head",
  }));
}

const ticks = ({ scale, axis: x }: LaneLayout, index: number): Words[] =>
  axisTicks(scale).map((value) => ({
    key: `tick ${index} ${value}`,
    text: String(value),
    x: x - 9,
    y: scale.y(value) + 4,
    end: "end",
    size: 12,
    className: "fill-faint",
    gives: true,
  }));
