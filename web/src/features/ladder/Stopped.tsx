import { useState } from "react";
import { Button } from "../../common/ui/Button";

/** A movement that pain stopped, and the way back to it. */
export function Stopped({ reason, onResume }: { reason: string; onResume: () => void }) {
  const [asking, setAsking] = useState(false);
  return (
    <div className="m-3 border-2 border-over p-3">
      <strong className="font-head text-lg text-over">▲ This movement is stopped</strong>
      <p>{reason}</p>
      {asking ? (
        <p className="flex flex-wrap items-center gap-2 pt-2">
          A clinician agrees that it may return, and today it is free of pain?
          <Button grave onClick={onResume}>
            Yes, take it up again
          </Button>
          <Button onClick={() => setAsking(false)}>Not yet</Button>
        </p>
      ) : (
        <Button className="mt-2" onClick={() => setAsking(true)}>
          Take it up again …
        </Button>
      )}
    </div>
  );
}
