/** Leave a set out, with the reason: one press. */

import { useState } from "react";
import { Button } from "../../../common/ui/Button";
import { Dialog } from "../../../common/ui/Dialog";
import { Field } from "../../../common/ui/Field";
import { VOCABULARY } from "../../../common/vocabulary";

const REASONS = VOCABULARY.skipReasons;

export function Skip({ onSkip, onClose }: { onSkip: (why: string) => void; onClose: () => void }) {
  const [why, setWhy] = useState("");
  return (
    <Dialog open onOpenChange={onClose} title="Skip this set because …">
      <div className="grid grid-cols-2 gap-2 pt-3">
        {REASONS.map((reason) => (
          <Button key={reason} onClick={() => onSkip(reason)} className="min-h-14 text-lg">
            {reason}
          </Button>
        ))}
      </div>
      <Field
        label="Another reason"
        value={why}
        maxLength={120}
        onChange={(event) => setWhy(event.target.value)}
      />
      <Button
        main
        disabled={!why.trim()}
        onClick={() => onSkip(why.trim())}
        className="mt-2 min-h-11"
      >
        Skip it
      </Button>
    </Dialog>
  );
}
