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
  const places = PLACES.map((place) => [place.digit, place.name] as const);
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Keys and words">
      {place && place.keys.length > 0 && (
        <KeyTable caption={`On this sheet: ${place.name}`} rows={place.keys} />
      )}
      <KeyTable caption="Everywhere" rows={[...places, ["?", "show these keys"]]} />
      <label className="mt-4 flex items-center gap-2">
        <input type="checkbox" checked={on} onChange={(event) => setOn(event.target.checked)} />
        Single-key shortcuts work (arrows and Enter always do)
      </label>
      <h3 className="lettering mt-5 border-b border-ink">Words</h3>
      <dl>
        {WORDS.map(([word, means]) => (
          <div key={word} className="border-b border-hair py-1">
            <dt className="inline font-head">{word}</dt>
            <dd className="inline">: {means}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  );
}

const WORDS: [word: string, means: string][] = [
  ["Ladder", "variations of a movement from easy to the goal, drawn to scale"],
  ["Rung", "one variation on it; the higher, the more it asks of this body"],
  ["Gap", "a step between two rungs that is too big to train across"],
  ["Bridge", "rungs that close a gap with what is to hand"],
  ["Reach", "the greatest demand at which the useful prescription is there"],
  ["Capacity", "what could be done once, or held for 6 s, all out"],
  ["Criterion", "what is shown before moving up"],
  ["Prescription", "sets, reps or seconds, effort, rest, tempo and load"],
  ["Effort (RPE)", "1 to 10; 10 is not one more, 8 is two more"],
  ["80 % range", "where the true value lies 8 times of 10"],
  ["Easy week (deload)", "fewer or easier sets for a week, so that training is absorbed"],
  ["Acute : chronic load", "the last week's load over what is usual"],
];

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
