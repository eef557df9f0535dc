/** The ladder's vertical scale. */
import type { Schema } from "../api/client";

const CM_PER_PIXEL = 2.54 / 96;

export interface LadderScale {
  low: number;
  high: number;
  /** Height on the page of a demand, px from the top. */
  y: (demand: number) => number;
  /** As a drawing states it. */
  words: string;
}

/** Fit a ladder's demands between the top and the foot of a page. */
export function ladderScale(sheet: Schema["LadderSheet"], height: number): LadderScale {
  const demands = sheet.rungs.map((rung) => rung.demand.likely);
  const least = Math.min(...demands);
  const most = Math.max(...demands);
  const margin = Math.max(1, (most - least) * 0.06);
  const low = Math.max(0, least - margin);
  const high = most + margin;
  const [top, foot] = [8, height - 40];
  const y = (demand: number) => foot - ((demand - low) / (high - low)) * (foot - top);
  const perCm = (high - low) / ((foot - top) * CM_PER_PIXEL);
  return {
    low,
    high,
    y,
    words: `1 cm : ${perCm.toFixed(2)} ${sheet.rungs[0]?.demand.unit ?? "kg"}`,
  };
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
