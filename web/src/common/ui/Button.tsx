import type { ButtonHTMLAttributes } from "react";

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  /** The one act a view asks for. */
  main?: boolean;
  /** A side act, without a border. */
  quiet?: boolean;
  /** An act that harms if done by mistake. */
  grave?: boolean;
  /** Large enough to hit with a tired thumb. */
  large?: boolean;
  busy?: boolean;
}

export function Button({ main, quiet, grave, large, busy, className = "", ...rest }: Props) {
  const look = main
    ? "border-ink bg-ink text-sheet hover:opacity-90"
    : grave
      ? "border-over text-over hover:bg-wash"
      : quiet
        ? "border-transparent hover:bg-wash"
        : "border-line hover:bg-wash";
  const size = large ? "min-h-14 px-6 text-xl" : "min-h-8 px-3";
  return (
    <button
      type="button"
      {...rest}
      disabled={rest.disabled || busy}
      aria-busy={busy}
      className={`border font-head whitespace-nowrap font-medium disabled:cursor-default disabled:opacity-50 ${look} ${size} ${className}`}
    />
  );
}
