/** The places, numbered as the job runs. */
import type { Picked } from "./picked";

export interface Place {
  digit: string;
  name: string;
  /** Address, given who and which ladder are picked. */
  path: (picked: Picked) => string;
  /** What it is about: an athlete, one of their ladders, or nobody. */
  about: "nobody" | "athlete" | "ladder";
  keys: [key: string, does: string][];
}

export const PLACES: Place[] = [
  {
    digit: "1",
    name: "Squad",
    path: () => "/squad",
    about: "nobody",
    keys: [
      ["/", "find an athlete"],
      ["↑ ↓", "go along the list"],
      ["Enter", "open the athlete's ladder"],
      ["Q", "what needs your decision, and back"],
      ["X", "there: tick a plain one"],
      ["T", "there: accept the ticked ones"],
      ["Y E D", "there: answer, edit, decline"],
    ],
  },
  {
    digit: "2",
    name: "Intake",
    path: ({ athlete }) => `/intake/${athlete}`,
    about: "athlete",
    keys: [
      ["N", "the next part of the sheet"],
      ["P", "the part before"],
      ["Space", "start or stop the clock of a test"],
    ],
  },
  {
    digit: "3",
    name: "Ladder",
    path: ({ ladder }) => `/ladder/${ladder}`,
    about: "ladder",
    keys: [
      ["↑ ↓", "climb the rungs"],
      ["Enter", "open the rung's sheet"],
      ["B", "bridge the step above"],
      ["T", "ways to the next step"],
      ["A", "add a rung above"],
      ["E", "edit the rung"],
      ["[ ]", "move the rung down or up"],
      ["U", "undo"],
      ["R", "do again"],
      ["/", "find a movement"],
    ],
  },
  {
    digit: "4",
    name: "Bench",
    path: ({ ladder }) => `/bench/${ladder}`,
    about: "ladder",
    keys: [
      ["C", "set a second beside it"],
      ["S", "what equals it"],
      ["B", "which band"],
      ["Space", "move through the rep"],
    ],
  },
  {
    digit: "5",
    name: "Week",
    path: ({ athlete }) => `/week/${athlete}`,
    about: "athlete",
    keys: [
      ["← →", "go from day to day"],
      ["↑ ↓", "go along a day"],
      ["[ ]", "move what is picked to the day before or after"],
      ["P", "pin it to its day, or let it go"],
      ["O", "keep it off this day"],
      ["X", "swap the whole day with the next"],
      ["Enter", "open the day's session"],
      ["A", "adapt the day"],
      ["S", "plan the week, or stop"],
      ["K", "keep the plan"],
      ["U", "undo"],
    ],
  },
  {
    digit: "6",
    name: "Floor",
    path: ({ athlete }) => `/floor/${athlete}`,
    about: "athlete",
    keys: [
      ["R", "run a session at the athlete's side"],
      ["W", "write a session down"],
      ["C", "sets as CSV"],
      ["Space", "in a session: done, let go, begin"],
      ["L", "in a session: log the set"],
      ["E H", "in a session: the easier, the harder rung"],
      ["P B K", "in a session: pause, back, skip"],
      ["S V", "in a session: sound, speech"],
    ],
  },
  {
    digit: "7",
    name: "Review",
    path: ({ ladder }) => `/review/${ladder}`,
    about: "ladder",
    keys: [
      ["D", "the newest decision"],
      ["T", "trends"],
      ["M", "the messages"],
    ],
  },
];
