import { Dialog } from "../common/ui/Dialog";
import { useKeysOn } from "./keys";
import { PLACES, type Place } from "./places";

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  place: Place | undefined;
}

export function KeysDialog({ open, onOpenChange, place }: Props) {
  const [on, setOn] = useKeysOn();
  const places = PLACES.map((one) => [one.digit, one.name] as const);
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Keys">
      {place && place.keys.length > 0 && (
        <KeyTable caption={`On this sheet: ${place.name}`} rows={place.keys} />
      )}
      <KeyTable caption="Everywhere" rows={[...places, ["?", "show these keys"]]} />
      <label className="mt-4 flex items-center gap-2">
        <input type="checkbox" checked={on} onChange={(event) => setOn(event.target.checked)} />
        Single-key shortcuts work (arrows and Enter always do)
      </label>
    </Dialog>
  );
}

function KeyTable({ caption, rows }: { caption: string; rows: (readonly [string, string])[] }) {
  return (
    <table className="mt-3 w-full">
      <caption className="lettering pb-1 text-left">{caption}</caption>
      <tbody>
        {rows.map(([key, does]) => (
          <tr key={key} className="border-t border-hair">
            <th scope="row" className="w-24 py-1">
              <kbd className="font-head">{key}</kbd>
            </th>
            <td className="py-1">{does}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
