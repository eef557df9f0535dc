/** A private address that is shown once, to be handed on. */
import { Hand } from "./Hand";

export function Once({ label, address }: { label: string; address: string }) {
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
      <Hand text={address} address />
    </div>
  );
}
