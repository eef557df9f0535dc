import { useState } from "react";
import { Button } from "../../parts/Button";
import { Scale } from "./Scale";

interface Props {
  busy: boolean;
  onBack: () => void;
  onFinish: (effort: number) => void;
}

/** The last question of a session. */
export function Finish({ busy, onBack, onFinish }: Props) {
  const [effort, setEffort] = useState<number | null>(null);
  return (
    <div className="py-6">
      <h1 className="text-4xl">How hard was the whole session?</h1>
      <Scale
        name="Session effort"
        about="1: hardly any. 10: as hard as a session can be."
        from={1}
        to={10}
        value={effort}
        onChange={setEffort}
      />
      <div className="flex flex-wrap gap-3 pt-6">
        <Button
          main
          large
          busy={busy}
          disabled={effort === null}
          onClick={() => effort !== null && onFinish(effort)}
        >
          Close the session
        </Button>
        <Button large onClick={onBack}>
          Back to the sets
        </Button>
      </div>
    </div>
  );
}
