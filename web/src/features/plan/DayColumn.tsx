/** A day, time to height: warm-up hatched at the top, items below, a line where the minutes end. */
import type { Schema } from "../../common/api/client";
import { Button } from "../../common/ui/Button";
import { Mark } from "../../common/ui/Mark";
import { short } from "./dates";
import type { Pin, Task } from "./plan";

/** Pixels of a minute. */
export const PX = 8;

/** Minutes from which an item has room for its sets below its name. */
const TWO_LINES = 5;

interface Props {
  day: Schema["PlannedDay"];
  tasks: Task[];
  pins: Pin[];
  /** Minutes of the tallest column. */
  tallest: number;
  picked: string;
  broken: Schema["BreachOnDays"][];
  preview: boolean;
  onPick: (key: string) => void;
  onOpen: () => void;
  onLose: () => void;
  /** Whether its place cannot be had this week. */
  placeLost: boolean;
  onLosePlace: () => void;
  onDrop: (key: string, from: number) => void;
}

export function DayColumn(props: Props) {
  const { day, tasks, pins, tallest, picked, broken, preview, onOpen, onLose } = props;
  const { placeLost, onLosePlace } = props;
  const minutes = tasks.reduce((sum, task) => sum + task.minutes, 0);
  const warmUp = tasks.length ? Math.max(0, preview ? 6 : day.taken - minutes) : 0;
  const taken = warmUp + minutes;
  return (
    <section
      aria-label={`${day.name} ${short(day.date)}`}
      className={`flex min-w-36 flex-1 flex-col border ${day.past ? "border-hair" : "border-line"}`}
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        const [key = "", from = ""] = event.dataTransfer.getData("text/plain").split("@");
        props.onDrop(key, Number(from));
      }}
    >
      <header className="border-b border-line px-2 py-1">
        <h2 className="flex items-baseline justify-between text-base">
          <button
            type="button"
            onClick={onOpen}
            disabled={tasks.length === 0}
            className="font-head font-semibold enabled:underline"
            title={tasks.length ? "Open the session (Enter)" : undefined}
          >
            {day.name} {short(day.date)}
          </button>
          <span className="text-sm font-normal text-faint">{day.at}</span>
        </h2>
        <p className="text-sm leading-tight text-faint">
          {day.place_name || "anywhere"}
          {placeLost && ", skipped this week"}
          {day.adapted && ", adapted"}
        </p>
        <p className="text-sm">
          {day.lost ? (
            <Mark tone="watch">skipped this week</Mark>
          ) : taken > day.minutes ? (
            <Mark tone="over">{`${taken} of ${day.minutes} min`}</Mark>
          ) : (
            `${taken} of ${day.minutes} min${day.past ? ", past" : ""}`
          )}
        </p>
      </header>
      <ol
        className="relative flex flex-col md:min-h-(--tall)"
        style={{ "--tall": `${tallest * PX}px` } as React.CSSProperties}
      >
        {warmUp > 0 && (
          <li
            className="shrink-0 overflow-hidden border-b border-hair bg-[repeating-linear-gradient(135deg,transparent_0_5px,var(--hair)_5px_6px)] px-2 text-sm"
            style={{ height: warmUp * PX }}
          >
            <span className="bg-sheet px-1 text-faint">warm-up, {warmUp} min</span>
          </li>
        )}
        {tasks.map((task) => (
          <Item
            key={task.key}
            task={task}
            day={day.index}
            pinned={pins.some((pin) => pin.task === task.key && pin.day === day.index && pin.there)}
            here={picked === task.key}
            onPress={() => (picked === task.key ? onOpen() : props.onPick(task.key))}
          />
        ))}
        <li
          aria-hidden="true"
          className="pointer-events-none absolute inset-x-0 border-t border-dashed border-ink max-md:hidden"
          style={{ top: day.minutes * PX }}
        />
      </ol>
      <footer className="mt-auto px-2 py-1">
        {broken.map((one) => (
          <p key={one.words} className="text-sm text-over">
            ▲ {one.words}
          </p>
        ))}
        {!day.past && (
          <Button quiet onClick={onLose} className="text-sm">
            {day.lost ? "Restore this day" : "Skip this day"}
          </Button>
        )}
        {!day.past && day.place && (
          <Button quiet onClick={onLosePlace} className="text-sm">
            {placeLost ? `Restore ${day.place_name}` : `Skip ${day.place_name}`}
          </Button>
        )}
      </footer>
    </section>
  );
}

interface ItemProps {
  task: Task;
  day: number;
  pinned: boolean;
  here: boolean;
  /** Picks it; once it is picked, opens the session. */
  onPress: () => void;
}

function Item({ task, day, pinned, here, onPress }: ItemProps) {
  return (
    <li className="shrink-0" style={{ height: task.minutes * PX, minHeight: 24 }}>
      <button
        type="button"
        draggable
        onDragStart={(event) => event.dataTransfer.setData("text/plain", `${task.key}@${day}`)}
        onClick={onPress}
        aria-pressed={here}
        title={`${task.name}: ${task.sets.join("; ")}`}
        className={`flex h-full w-full flex-col overflow-hidden border-b border-hair px-2 text-left leading-tight ${
          here ? "bg-ink text-sheet" : "hover:bg-wash"
        }`}
      >
        <span className="flex justify-between gap-1 font-head font-medium">
          <span>
            {task.stressful ? "◆ " : ""}
            {task.name}
          </span>
          <span>{pinned ? "⌖ pinned" : ""}</span>
        </span>
        {task.minutes >= TWO_LINES && (
          <span className={`truncate text-sm ${here ? "" : "text-faint"}`}>
            {task.minutes} min · {task.sets.map((set) => set.split(", rest")[0]).join("; ")}
          </span>
        )}
      </button>
    </li>
  );
}
