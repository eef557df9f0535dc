/** A part of the panel that folds away. */
import { Accordion } from "radix-ui";
import type { ReactNode } from "react";

export function Folds({ open, children }: { open: string[]; children: ReactNode }) {
  return (
    <Accordion.Root type="multiple" defaultValue={open}>
      {children}
    </Accordion.Root>
  );
}

interface Props {
  name: string;
  /** What is set in it, for when it is folded. */
  summary?: string;
  children: ReactNode;
}

export function Fold({ name, summary, children }: Props) {
  return (
    <Accordion.Item value={name} className="border-t border-hair">
      <Accordion.Header>
        <Accordion.Trigger className="group flex w-full items-baseline gap-2 px-4 py-1.5 text-left hover:bg-wash">
          <span className="lettering">{name}</span>
          <span className="flex-1 truncate text-right font-text text-sm font-normal text-faint">
            {summary}
          </span>
          <span aria-hidden className="text-faint group-data-[state=open]:rotate-90">
            ›
          </span>
        </Accordion.Trigger>
      </Accordion.Header>
      <Accordion.Content className="px-4 pb-3">{children}</Accordion.Content>
    </Accordion.Item>
  );
}
