/** A private address that is shown once: to copy, or to hand on by what the device shares with. */
import { useState } from "react";
import { Button } from "../ui/Button";

export function Once({ label, address }: { label: string; address: string }) {
  const [said, say] = useState("");
  const copy = () =>
    navigator.clipboard.writeText(address).then(
      () => say("Copied."),
      () => say("Copy it by hand from the field."),
    );
  return (
    <div className="py-2">
      <label>
        <span className="lettering">Shown this once. {label}</span>
        <input
          readOnly
          value={address}
          onFocus={(event) => event.target.select()}
          className="w-full border border-line bg-sheet px-2 py-1"
        />
      </label>
      <div className="flex items-center gap-2 pt-1">
        <Button onClick={copy}>Copy</Button>
        {"share" in navigator && (
          <Button onClick={() => navigator.share({ url: address }).catch(() => undefined)}>
            Share …
          </Button>
        )}
        <span role="status" className="text-faint">
          {said}
        </span>
      </div>
    </div>
  );
}
