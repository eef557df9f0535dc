/** Looking at the week of everyone it is due for: shows how far, can be stopped. */
import { useRef, useState } from "react";
import { answer, api } from "../../common/api/client";
import { useRefresh } from "../../common/api/queries";
import { Button } from "../../common/ui/Button";
import { Wrong } from "../../common/ui/Wrong";
import { counted } from "../../common/units/figures";

interface Props {
  due: string[];
  onTold: (words: string) => void;
}

export function WeekLook({ due, onTold }: Props) {
  const refresh = useRefresh("squad", "athlete", "ladder", "messages");
  const [done, setDone] = useState<number | null>(null);
  const [all, setAll] = useState(0);
  const [error, setError] = useState<Error | null>(null);
  const stopped = useRef(false);

  async function look() {
    const people = [...due];
    stopped.current = false;
    setAll(people.length);
    setError(null);
    let looked = 0;
    let proposed = 0;
    try {
      for (const athlete_id of people) {
        if (stopped.current) break;
        setDone(looked);
        const found = await answer(
          api.POST("/api/athletes/{athlete_id}/week-review", { params: { path: { athlete_id } } }),
        );
        proposed += found.proposed;
        looked += 1;
      }
      onTold(`${counted(looked, "week")} looked at: ${counted(proposed, "new proposal")}.`);
    } catch (cause) {
      setError(cause as Error);
    } finally {
      setDone(null);
      await refresh();
    }
  }

  if (due.length === 0 && done === null) return null;
  return (
    <div className="flex flex-wrap items-center gap-3 border-b border-hair bg-wash px-4 py-1.5">
      {done === null ? (
        <>
          <span>
            {due.length === 1
              ? "The last week of one athlete was not looked at yet."
              : `The last week of ${due.length} athletes was not looked at yet.`}
          </span>
          <Button main onClick={look}>
            Look at the week
          </Button>
        </>
      ) : (
        <>
          <progress value={done} max={all} aria-label="Weeks looked at" />
          <span role="status">
            {done} of {all}
          </span>
          <Button
            onClick={() => {
              stopped.current = true;
            }}
          >
            Stop
          </Button>
        </>
      )}
      <Wrong error={error} />
    </div>
  );
}
