/** What opens to say how it came about. */
import { type ReactNode, useState } from "react";
import { Dialog } from "./Dialog";

interface OpensProps {
  /** What it is, to go after “How”. */
  name: string;
  /** What is pressed. */
  words: ReactNode;
  large?: boolean;
  children: () => ReactNode;
}

export function Opens({ name, words, large, children }: OpensProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        onClick={() => setOpen(true)}
        className={`min-h-6 border-b border-dotted border-line text-left hover:bg-wash ${large ? "text-xl" : ""}`}
        title={`How ${name} came about`}
      >
        {words}
      </button>
      {open && (
        <Dialog open onOpenChange={setOpen} title={name.charAt(0).toUpperCase() + name.slice(1)}>
          {children()}
        </Dialog>
      )}
    </>
  );
}
