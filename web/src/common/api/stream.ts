/** Lines that stay open, server-sent events and sockets: every message has a named shape. */
import type { Schema } from "./client";

/** What each stream of events carries. */
interface Streams {
  "/api/live/stream": Schema["LiveFloor"];
  [planning: `/api/athletes/${string}/week/plans/${string}/stream`]: Schema["PlanningOut"];
}

/** What each socket tells, and what it is told. */
interface Sockets {
  [scale: `/api/scale?${string}`]: {
    message: Schema["LoadCellReading"];
    tell: Schema["Tare"] | Schema["PullLine"] | Schema["UnitNow"];
  };
  [motion: `/api/athletes/${string}/motion`]: {
    message: Schema["MotionSeen"];
    tell: Schema["MotionTarget"];
  };
}

const AGAIN_AFTER = 2_000;

/**
 * Listen to a stream that comes back by itself when it breaks.
 *
 * @param dropped told each time it breaks.
 * @returns what ends it.
 */
export function listen<Path extends keyof Streams>(
  path: Path,
  onMessage: (message: Streams[Path]) => void,
  dropped: () => void = () => {},
): () => void {
  let source: EventSource;
  let timer: ReturnType<typeof setTimeout>;
  const open = () => {
    source = new EventSource(path);
    source.onmessage = ({ data }) => onMessage(JSON.parse(data));
    source.onerror = () => {
      dropped();
      // an answer that is no stream ends the source for good; begin a new one
      if (source.readyState === EventSource.CLOSED) timer = setTimeout(open, AGAIN_AFTER);
    };
  };
  open();
  return () => {
    clearTimeout(timer);
    source.close();
  };
}

/** A socket: what is told and what ends it. */
export interface Line<Message> {
  tell: (message: Message) => void;
  close: () => void;
}

/**
 * Open a socket.
 *
 * @param opened told once it stands.
 * @param gone told when it breaks; not when it is closed from here.
 */
export function connect<Path extends keyof Sockets>(
  path: Path,
  onMessage: (message: Sockets[Path]["message"]) => void,
  gone: () => void,
  opened: (line: Line<Sockets[Path]["tell"]>) => void = () => {},
): Line<Sockets[Path]["tell"]> {
  const scheme = location.protocol === "https:" ? "wss" : "ws";
  const socket = new WebSocket(`${scheme}://${location.host}${path}`);
  const line: Line<Sockets[Path]["tell"]> = {
    tell: (message) => {
      if (socket.readyState === WebSocket.OPEN) socket.send(JSON.stringify(message));
    },
    close: () => {
      socket.onclose = null;
      socket.close();
    },
  };
  socket.onopen = () => opened(line);
  socket.onmessage = ({ data }) => onMessage(JSON.parse(data));
  socket.onclose = gone;
  return line;
}
