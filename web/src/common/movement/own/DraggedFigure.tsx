/** A figure whose joints are dragged: what they set is told in degrees when they are let go. */
import { type PointerEvent, useRef, useState } from "react";
import type { Schema } from "../../api/client";
import { Figure } from "../../drawing/Figure";
import { fit, type Point } from "../../drawing/projection";
import { angleOf, HANDLES, PARENTS } from "./joints";

interface Props {
  /** The end at hand first. */
  figures: Schema["FigureOut"][];
  /** Joints that may be set. */
  free: string[];
  facing: 1 | -1;
  label: string;
  onSet: (joint: string, degrees: number) => void;
}

const [WIDTH, HEIGHT] = [460, 300];
const PAD = { left: 60, right: 60, top: 22, bottom: 30 };

export function DraggedFigure({ figures, free, facing, label, onSet }: Props) {
  const sheet = useRef<SVGSVGElement>(null);
  const [held, hold] = useState<{ handle: string; at: Point } | null>(null);
  const first = figures[0];
  if (!first) return null;
  const project = fit(figures, { width: WIDTH, height: HEIGHT, pad: PAD });
  const [originX, originY] = project({ x: 0, y: 0 });
  const point = (event: PointerEvent): Point => {
    const box = sheet.current?.getBoundingClientRect();
    if (!box) return [0, 0];
    const scale = WIDTH / box.width;
    return [(event.clientX - box.left) * scale, (event.clientY - box.top) * scale];
  };
  const letGo = (event: PointerEvent) => {
    if (!held) return;
    const [x, y] = point(event);
    const to = { x: (x - originX) / project.scale, y: (originY - y) / project.scale };
    const joint = HANDLES.find(([handle]) => handle === held.handle)?.[1];
    hold(null);
    if (joint) onSet(joint, angleOf(held.handle, to, first.joints, facing));
  };
  const parent = held && first.joints[PARENTS[held.handle] ?? ""];
  return (
    <div className="relative max-w-full" style={{ width: WIDTH }}>
      <Figure figures={figures} width={WIDTH} height={HEIGHT} label={label} />
      <svg
        ref={sheet}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="absolute inset-0 h-full w-full touch-none"
        aria-hidden="true"
        onPointerMove={(event) => held && hold({ ...held, at: point(event) })}
        onPointerUp={letGo}
      >
        {parent && held && (
          <line
            x1={project(parent)[0]}
            y1={project(parent)[1]}
            x2={held.at[0]}
            y2={held.at[1]}
            className="stroke-ready"
            strokeWidth={2}
            strokeDasharray="4 4"
          />
        )}
        {HANDLES.filter(([handle, joint]) => free.includes(joint) && first.joints[handle]).map(
          ([handle]) => {
            const place = first.joints[handle];
            const [x, y] = held?.handle === handle ? held.at : place ? project(place) : [0, 0];
            return (
              <circle
                key={handle}
                data-handle={handle}
                cx={x}
                cy={y}
                r={9}
                className="cursor-grab fill-reach stroke-ready"
                strokeWidth={2}
                onPointerDown={(event) => {
                  event.currentTarget.ownerSVGElement?.setPointerCapture(event.pointerId);
                  hold({ handle, at: point(event) });
                }}
              />
            );
          },
        )}
      </svg>
    </div>
  );
}
