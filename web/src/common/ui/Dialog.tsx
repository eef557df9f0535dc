import { Dialog as Radix } from "radix-ui";
import { type ReactNode, useRef } from "react";
import { Button } from "./Button";

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  about?: string;
  /** For tables. */
  wide?: boolean;
  /** For a list with a sheet beside it. */
  widest?: boolean;
  children: ReactNode;
}

export function Dialog({ open, onOpenChange, title, about, wide, widest, children }: Props) {
  const from = useRef<Element | null>(null);
  return (
    <Radix.Root open={open} onOpenChange={onOpenChange}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-10 bg-desk/80" />
        <Radix.Content
          className={`fixed top-1/2 left-1/2 z-20 max-h-[90vh] ${widest ? "w-[min(96vw,60rem)]" : wide ? "w-[min(94vw,46rem)]" : "w-[min(94vw,34rem)]"} -translate-x-1/2 -translate-y-1/2 overflow-y-auto border border-ink bg-sheet p-5`}
          {...(about ? {} : { "aria-describedby": undefined })}
          onOpenAutoFocus={() => {
            from.current = document.activeElement;
          }}
          onCloseAutoFocus={(event) => {
            event.preventDefault(); // Radix would look for a trigger of its own
            const opener = from.current;
            const there = opener instanceof HTMLElement && opener.isConnected;
            const home = document.getElementById("content");
            (there && opener !== document.body ? opener : home)?.focus();
          }}
        >
          <div className="flex items-baseline justify-between gap-4 border-b border-ink pb-2">
            <Radix.Title className="text-xl">{title}</Radix.Title>
            <Radix.Close asChild>
              <Button quiet>Close</Button>
            </Radix.Close>
          </div>
          {about && <Radix.Description className="pt-2 text-faint">{about}</Radix.Description>}
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
