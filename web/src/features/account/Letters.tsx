/** Whether someone wants letters from their coach: the page at the foot of each. */
import { useQuery } from "@tanstack/react-query";
import { answer, api } from "../../common/api/client";
import { queries } from "../../common/api/queries";
import { useAct } from "../../common/hooks/useAct";
import { Button } from "../../common/ui/Button";
import { Wrong } from "../../common/ui/Wrong";
import { Entrance, useToken } from "./Entrance";

export default function Letters() {
  const key = useToken();
  const letters = useQuery(queries.letters(key));
  const { act, busy, error } = useAct("letters");
  const path = { params: { path: { key } } };
  const stop = () => act(() => answer(api.POST("/api/letters/{key}/stop", path)));
  const start = () => act(() => answer(api.POST("/api/letters/{key}/start", path)));
  return (
    <Entrance>
      <div className="px-6 pt-4 pb-6">
        {!letters.data && !letters.error && <p className="text-faint">Looking …</p>}
        {letters.error && <p>This address is no longer known. No letters come by it.</p>}
        {letters.data && (
          <p role="status">
            {letters.data.wanted
              ? "Your coach may send you letters about your training."
              : "✓ No more letters are sent to you."}
          </p>
        )}
        <Wrong error={error} />
        {letters.data && (
          <Button
            main
            busy={busy}
            className="mt-3 w-full"
            onClick={letters.data.wanted ? stop : start}
          >
            {letters.data.wanted ? "Stop the letters" : "Send me letters again"}
          </Button>
        )}
      </div>
    </Entrance>
  );
}
