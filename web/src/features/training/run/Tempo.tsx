/** A rep's tempo as a point that moves on the path of the joint that travels farthest. */
import { useEffect, useRef } from "react";
import { Figure } from "../../../common/drawing/Figure";
import { fit } from "../../../common/drawing/projection";
import { beat, now } from "../engine/clock";
import { elapsed } from "../engine/machine";
import type { Along, Running, RunSet } from "../engine/types";

interface Props {
  run: Running;
  set: RunSet;
  path: Along["paths"][string] | undefined;
  seconds: number;
}

const [WIDTH, HEIGHT] = [366, 190];
const PAD = { left: 8, right: 6, top: 3, bottom: 3 };

export function Tempo({ run, set, path, seconds }: Props) {
  const { phases } = set.what;
  const at = beat(phases, seconds);
  if (!at) return <p className="py-4 font-head text-5xl">At your own pace</p>;
  return (
    <div>
      <p className="flex items-baseline gap-4 font-head">
        <span
          data-beat={`${at.reps}/${at.index}`}
          className="text-7xl leading-tight font-semibold sm:text-[9rem]"
        >
          {at.phase.name === "top" ? "hold" : at.phase.name}
        </span>
        <span className="text-6xl text-faint sm:text-8xl">{Math.ceil(at.left - 1e-6)}</span>
      </p>
      <p className="font-head text-2xl text-faint">
        rep {at.reps + 1}, tempo {set.what.tempo} s
      </p>
      {path && path.points.length > 1 && <Moving run={run} set={set} path={path} />}
    </div>
  );
}

/** The drawing stands; the point alone is moved, each time the screen is drawn. */
function Moving({
  run,
  set,
  path,
}: Omit<Props, "seconds" | "path"> & { path: Along["paths"][string] }) {
  const point = useRef<SVGCircleElement>(null);
  const latest = useRef(run);
  latest.current = run;
  const figures = [path.start, path.end];
  const project = fit(figures, { width: WIDTH, height: HEIGHT, pad: PAD });
  const line = path.points.map((point) => project(point));
  const lines = useRef(line);
  lines.current = line;
  const { phases } = set.what;
  useEffect(() => {
    const still = matchMedia("(prefers-reduced-motion: reduce)").matches;
    let frame = 0;
    const draw = () => {
      const beatNow = beat(phases, elapsed(latest.current, now()));
      if (beatNow && point.current) {
        // without motion the point stands where the phase leads
        const [x, y] = along(lines.current, still ? beatNow.phase.end : beatNow.depth);
        point.current.setAttribute("cx", x.toFixed(1));
        point.current.setAttribute("cy", y.toFixed(1));
        point.current.dataset.depth = beatNow.depth.toFixed(4);
        point.current.dataset.reps = String(beatNow.reps);
        point.current.dataset.elapsed = elapsed(latest.current, now()).toFixed(3);
      }
      frame = requestAnimationFrame(draw);
    };
    draw();
    return () => cancelAnimationFrame(frame);
  }, [phases]);
  return (
    <div className="relative max-w-full overflow-hidden" style={{ width: WIDTH, height: HEIGHT }}>
      <Figure figures={figures} width={WIDTH} height={HEIGHT} label="The rep's two ends" small />
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        width={WIDTH}
        height={HEIGHT}
        className="absolute inset-0"
        aria-hidden="true"
      >
        <polyline
          points={line.map(([x, y]) => `${x},${y}`).join(" ")}
          fill="none"
          strokeWidth={2}
          className="stroke-ready"
        />
        <circle ref={point} r={11} className="fill-ready stroke-sheet" strokeWidth={2} data-point />
      </svg>
    </div>
  );
}

/** The place on a line of equal steps at a share of it. */
function along(line: [number, number][], share: number): [number, number] {
  const place = Math.max(0, Math.min(1, share)) * (line.length - 1);
  const [x1, y1] = line[Math.floor(place)] ?? [0, 0];
  const [x2, y2] = line[Math.ceil(place)] ?? [x1, y1];
  const part = place - Math.floor(place);
  return [x1 + (x2 - x1) * part, y1 + (y2 - y1) * part];
}
