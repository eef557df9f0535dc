/** Where everything on a ladder's drawing stands: lanes side by side, each to its own scale. */
import type { Schema } from "../api/client";

const CM_PER_PIXEL = 2.54 / 96;
const TOP = 8;
const BELOW = 52;
/** Px from one lane to the next, from a lane's left edge to its axis and its rails, and to the
 * labels: for a single lane, for two, and for more. */
const LANES = {
  one: { width: 260, axis: 44, left: 128, right: 236 },
  two: { width: 160, axis: 44, left: 92, right: 148 },
  more: { width: 122, axis: 34, left: 72, right: 112 },
};

export interface LadderScale {
  low: number;
  high: number;
  /** Height on the page of a demand, px from the top. */
  y: (demand: number) => number;
  /** As a drawing states it. */
  words: string;
  unit: string;
}

export interface LaneLayout {
  lane: Schema["Lane"];
  scale: LadderScale;
  /** Px of the axis and of both rails. */
  axis: number;
  left: number;
  right: number;
}

export interface Layout {
  lanes: LaneLayout[];
  /** Px from one lane to the next. */
  lane: number;
  /** Px where the labels begin. */
  labels: number;
  height: number;
  /** Px from one label to the next. */
  row: number;
  /** Where each rung stands, px from the top. */
  heights: number[];
  /** Where each rung's label stands. */
  rows: number[];
}

/** More rungs than this are told in a line each, so that they still fit on a page. */
export const ROOMY = 15;

/** Lay a ladder out on a page at least so high. */
export function layoutOf(sheet: Schema["LadderSheet"], least: number): Layout {
  const count = sheet.rungs.length;
  const row = count > ROOMY ? 24 : 46;
  const height = Math.max(least, count * row + 30);
  const many = sheet.lanes.length;
  const { width, axis, left, right } = LANES[many <= 1 ? "one" : many === 2 ? "two" : "more"];
  const lanes = sheet.lanes.map((lane, index) => {
    const x = index * width;
    const scale = scaleOf(sheet, index, height);
    return { lane, scale, axis: x + axis, left: x + left, right: x + right };
  });
  const heights = sheet.rungs.map((rung, index) =>
    rung.lane !== null && rung.demand
      ? (lanes[rung.lane]?.scale.y(rung.demand.likely) ?? 0)
      : height - BELOW - ((index + 0.5) / count) * (height - BELOW - TOP),
  );
  return {
    lanes,
    lane: width,
    labels: Math.max(1, many) * width + 40,
    height,
    row,
    heights,
    rows: spread(heights, row, height - 6),
  };
}

/** Fit a lane's demands into the part of the page where its rungs stand in the order. */
function scaleOf(sheet: Schema["LadderSheet"], lane: number, height: number): LadderScale {
  const places = sheet.rungs.flatMap((rung, index) => (rung.lane === lane ? [index] : []));
  const demands = places.map((index) => sheet.rungs[index]?.demand?.likely ?? 0);
  const least = Math.min(...demands);
  const most = Math.max(...demands);
  const margin = Math.max(1, (most - least) * 0.06);
  const low = Math.max(0, least - margin);
  const high = most + margin;
  const [first, last] = [Math.min(...places), Math.max(...places)];
  const page = height - BELOW - TOP;
  const whole = sheet.lanes.length === 1;
  const foot = whole ? height - BELOW : TOP + page * (1 - first / sheet.rungs.length);
  const top = whole ? TOP : TOP + page * (1 - (last + 1) / sheet.rungs.length);
  const y = (demand: number) => foot - ((demand - low) / (high - low)) * (foot - top);
  const perCm = (high - low) / ((foot - top) * CM_PER_PIXEL);
  const unit = sheet.lanes[lane]?.unit ?? "kg";
  return { low, high, y, words: `1 cm : ${perCm.toFixed(2)} ${unit}`, unit };
}

/** Round values for the axis, about eight of them. */
export function axisTicks({ low, high }: LadderScale): number[] {
  const step = [1, 2, 5, 10, 20].find((size) => (high - low) / size <= 10) ?? 50;
  const first = Math.ceil(low / step) * step;
  return Array.from({ length: Math.floor((high - first) / step) + 1 }, (_, i) => first + i * step);
}

/**
 * Move labels apart as little as need be: each keeps to its height where there is room.
 * Heights may come in any order; the answer keeps it.
 */
export function spread(heights: number[], row: number, height: number): number[] {
  const order = heights.map((_, index) => index).sort((a, b) => at(heights, a) - at(heights, b));
  const placed = [...heights];
  let free = row / 2;
  for (const index of order) {
    placed[index] = Math.max(at(heights, index), free);
    free = at(placed, index) + row;
  }
  let limit = height - row / 2;
  for (const index of order.reverse()) {
    placed[index] = Math.min(at(placed, index), limit);
    limit = at(placed, index) - row;
  }
  return placed;
}

const at = (values: number[], index: number) => values[index] ?? 0;
