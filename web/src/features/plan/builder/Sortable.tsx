/** A list whose rows are dragged, or moved by keys, into another order. */
import { closestCenter, DndContext, type DragEndEvent } from "@dnd-kit/core";
import { SortableContext, useSortable, verticalListSortingStrategy } from "@dnd-kit/sortable";
import type { ReactNode } from "react";

interface Props<T extends { id: string }> {
  rows: T[];
  onOrder: (rows: T[]) => void;
  /** What a row is called, for whoever moves it by keys. */
  nameOf: (row: T) => string;
  children: (row: T, handle: ReactNode) => ReactNode;
}

export function Sortable<T extends { id: string }>({ rows, onOrder, nameOf, children }: Props<T>) {
  const drop = ({ active, over }: DragEndEvent) => {
    const from = rows.findIndex(({ id }) => id === active.id);
    const to = rows.findIndex(({ id }) => id === over?.id);
    if (from >= 0 && to >= 0 && from !== to) onOrder(movedTo(rows, from, to));
  };
  return (
    <DndContext collisionDetection={closestCenter} onDragEnd={drop}>
      <SortableContext items={rows} strategy={verticalListSortingStrategy}>
        <ol>
          {rows.map((row) => (
            <Row key={row.id} id={row.id} name={nameOf(row)}>
              {(handle) => children(row, handle)}
            </Row>
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

function movedTo<T>(rows: T[], from: number, to: number): T[] {
  const row = rows[from];
  const others = rows.filter((_, at) => at !== from);
  return row === undefined ? rows : [...others.slice(0, to), row, ...others.slice(to)];
}

interface RowProps {
  id: string;
  name: string;
  children: (handle: ReactNode) => ReactNode;
}

function Row({ id, name, children }: RowProps) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, isDragging } =
    useSortable({ id });
  const handle = (
    <button
      type="button"
      ref={setActivatorNodeRef}
      {...attributes}
      {...listeners}
      aria-label={`Move ${name}: Space, then the arrow keys`}
      className="min-h-11 cursor-grab touch-none px-2 text-faint hover:text-ink"
    >
      ⠿
    </button>
  );
  const style = transform ? { transform: `translateY(${Math.round(transform.y)}px)` } : {};
  return (
    <li ref={setNodeRef} style={style} className={isDragging ? "relative z-10 bg-wash" : ""}>
      {children(handle)}
    </li>
  );
}
