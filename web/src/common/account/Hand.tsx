/** Words to hand on: copied, or by what the device shares with. */
import { useState } from "react";
import { Button } from "../ui/Button";

interface Props {
  /** What it is, for whoever hears the buttons; "" where it stands beside. */
  name?: string;
  text: string;
  /** An address is shared as one. */
  address?: boolean;
}

export function Hand({ name = "", text, address = false }: Props) {
  const [said, say] = useState("");
  const copy = () =>
    navigator.clipboard.writeText(text).then(
      () => say("Copied."),
      () => say("Mark the words and copy them by hand."),
    );
  const share = () => navigator.share(address ? { url: text } : { text }).catch(() => undefined);
  return (
    <div className="flex items-center gap-2 pt-1">
      <Button onClick={copy} {...(name ? { "aria-label": `Copy ${name}` } : {})}>
        Copy
      </Button>
      {"share" in navigator && (
        <Button onClick={share} {...(name ? { "aria-label": `Share ${name}` } : {})}>
          Share …
        </Button>
      )}
      <span role="status" className="text-faint">
        {said}
      </span>
    </div>
  );
}
