/** A body drawn from the front; a place is picked by touching its circle, or by its button. */

export type PlaceKind = "sore" | "tight" | "hurts";

export interface PlaceState {
  kind: PlaceKind;
  how: number;
}

/** Where each place is drawn, both sides where there are two; a unit is a head's height. */
const AT: Record<string, [x: number, y: number][]> = {
  neck: [[0, 1.25]],
  shoulder: [
    [-0.85, 1.6],
    [0.85, 1.6],
  ],
  elbow: [
    [-1.25, 2.75],
    [1.25, 2.75],
  ],
  wrist: [
    [-1.5, 3.75],
    [1.5, 3.75],
  ],
  back: [[0, 2.75]],
  hip: [
    [-0.45, 3.85],
    [0.45, 3.85],
  ],
  knee: [
    [-0.5, 5.6],
    [0.5, 5.6],
  ],
  ankle: [
    [-0.5, 7.2],
    [0.5, 7.2],
  ],
};

const LINES: [string, string][] = [
  ["shoulder", "elbow"],
  ["elbow", "wrist"],
  ["shoulder", "hip"],
  ["hip", "knee"],
  ["knee", "ankle"],
];

const LOOK: Record<PlaceKind, string> = {
  sore: "fill-watch stroke-watch",
  tight: "fill-wash stroke-watch",
  hurts: "fill-over stroke-over",
};

interface Props {
  places: string[];
  marks: Record<string, PlaceState>;
  picked: string;
  onPick: (place: string) => void;
}

export function BodyMap({ places, marks, picked, onPick }: Props) {
  return (
    <div className="flex gap-3">
      <svg viewBox="-2 0 4 8" className="h-72 w-36 shrink-0 stroke-ink" aria-hidden="true">
        <title>A body from the front</title>
        <g fill="none" strokeWidth={0.05}>
          <circle cx={0} cy={0.6} r={0.45} />
          <line x1={0} y1={1.05} x2={0} y2={1.5} />
          <line x1={-0.85} y1={1.6} x2={0.85} y2={1.6} />
          <line x1={-0.45} y1={3.85} x2={0.45} y2={3.85} />
          {LINES.flatMap(([from, to]) =>
            [0, 1].map((side) => {
              const [x1, y1] = AT[from]?.[side] ?? [0, 0];
              const [x2, y2] = AT[to]?.[side] ?? [0, 0];
              return <line key={`${from}${to}${side}`} x1={x1} y1={y1} x2={x2} y2={y2} />;
            }),
          )}
        </g>
        {places.map((place) =>
          (AT[place] ?? []).map(([x, y]) => (
            // biome-ignore lint/a11y/noStaticElementInteractions: the buttons beside it do the same
            <circle
              key={`${place}${x}`}
              cx={x}
              cy={y}
              r={picked === place ? 0.3 : 0.22}
              strokeWidth={picked === place ? 0.1 : 0.05}
              onClick={() => onPick(place)}
              className={marks[place] ? LOOK[marks[place].kind] : "fill-sheet"}
            />
          )),
        )}
      </svg>
      <div className="grid flex-1 grid-cols-2 content-start gap-1.5">
        {places.map((place) => (
          <button
            key={place}
            type="button"
            aria-pressed={picked === place}
            onClick={() => onPick(place)}
            className="min-h-12 border border-line px-2 text-left font-head text-lg aria-pressed:border-ink aria-pressed:bg-wash"
          >
            {place}
            {marks[place] && (
              <span
                className={`block text-sm ${marks[place].kind === "hurts" ? "text-over" : "text-watch"}`}
              >
                {marks[place].kind === "hurts" ? "▲" : "◆"} {marks[place].kind}
                {marks[place].kind !== "tight" && ` ${marks[place].how}`}
              </span>
            )}
          </button>
        ))}
      </div>
    </div>
  );
}
