/** What a movement of one's own works, strains and needs: as what it is made from, until it is said
 * otherwise. */
import type { Schema } from "../../api/client";
import { VOCABULARY } from "../../vocabulary";

type Own = Schema["OwnMovementOf"];
type Region = (typeof VOCABULARY.regions)[number];
type Shares = Partial<Record<Region, number>>;

interface Props {
  own: Own;
  seen: Schema["OwnMovementSeen"];
  put: (change: Partial<Own>) => void;
}

export function OwnWork({ own, seen, put }: Props) {
  const said: Shares = { ...own.prime, ...own.helping };
  const shares = Object.keys(said).length ? said : (seen.regions as Shares);
  return (
    <>
      <Regions shares={shares} onShares={(next) => put(split(next))} />
      <Stress own={own} seen={seen} put={put} />
      <Kit kit={own.kit ?? seen.kit} onKit={(kit) => put({ kit })} />
    </>
  );
}

/** A region that does a fifth of the work or more is a prime mover. */
function split(shares: Shares): Pick<Own, "prime" | "helping"> {
  const all = Object.entries(shares);
  const from = VOCABULARY.primeFrom;
  return {
    prime: Object.fromEntries(all.filter(([, share]) => share >= from)),
    helping: Object.fromEntries(all.filter(([, share]) => share < from)),
  };
}

function Regions({ shares, onShares }: { shares: Shares; onShares: (next: Shares) => void }) {
  const there = VOCABULARY.regions.filter((region) => region in shares);
  const sum = Object.values(shares).reduce((all, share) => all + share, 0);
  return (
    <fieldset className="pt-3">
      <legend className="lettering">What works, % of it</legend>
      <ul className="grid grid-cols-2 gap-x-3">
        {there.map((region) => (
          <li key={region} className="flex items-center justify-between gap-2">
            <label className="flex flex-1 items-center justify-between gap-2">
              {region}
              <input
                inputMode="numeric"
                aria-label={`${region}, %`}
                value={shares[region]}
                onChange={(event) => {
                  const { [region]: _, ...others } = shares;
                  const share = Math.round(Number(event.target.value));
                  onShares(
                    event.target.value === "" ? others : { ...shares, [region]: share || 0 },
                  );
                }}
                className="w-14 border border-line bg-sheet px-1 py-1"
              />
            </label>
          </li>
        ))}
      </ul>
      <p className={sum === 100 ? "text-faint" : "text-watch"}>
        {sum === 100 ? "100 % in all" : `◆ ${sum} % in all: make it 100`}
      </p>
      <select
        aria-label="Another region"
        value=""
        onChange={(event) => onShares({ ...shares, [event.target.value]: Math.max(5, 100 - sum) })}
        className="border border-line bg-sheet px-1 py-1"
      >
        <option value="">another region …</option>
        {VOCABULARY.regions
          .filter((region) => !(region in shares))
          .map((region) => (
            <option key={region}>{region}</option>
          ))}
      </select>
    </fieldset>
  );
}

const CLASSES = [
  [1, "light"],
  [2, "moderate"],
  [3, "hard"],
] as const;

function Stress({ own, seen, put }: Props) {
  const stress: NonNullable<Own["stress"]> = own.stress ?? (seen.stress as Own["stress"]) ?? {};
  const joints = VOCABULARY.joints.filter((joint) => joint in stress);
  return (
    <fieldset className="pt-3">
      <legend className="lettering">Joint stress, as proposed</legend>
      <ul className="grid grid-cols-2 gap-x-3">
        {joints.map((joint) => (
          <li key={joint} className="flex items-center justify-between gap-2">
            <span>{joint}</span>
            <select
              aria-label={`Stress of the ${joint}`}
              value={stress[joint]}
              onChange={(event) => {
                const much = CLASSES.find(([one]) => String(one) === event.target.value)?.[0] ?? 1;
                put({ stress: { ...stress, [joint]: much } });
              }}
              className="border border-line bg-sheet px-1 py-1"
            >
              {CLASSES.map(([one, words]) => (
                <option key={one} value={one}>
                  {words}
                </option>
              ))}
            </select>
          </li>
        ))}
      </ul>
    </fieldset>
  );
}

interface KitProps {
  kit: string[];
  onKit: (kit: NonNullable<Own["kit"]>) => void;
}

function Kit({ kit, onKit }: KitProps) {
  const kinds = VOCABULARY.kitKinds;
  const isThere = (kind: string) => kit.includes(kind);
  return (
    <fieldset className="pt-3">
      <legend className="lettering">Needs any one of these; nothing if none is ticked</legend>
      <ul className="grid grid-cols-2 gap-x-3 sm:grid-cols-3">
        {kinds.map(([kind, words]) => (
          <li key={kind}>
            <label className="flex min-h-8 items-center gap-2">
              <input
                type="checkbox"
                checked={isThere(kind)}
                onChange={(event) =>
                  onKit(
                    kinds
                      .map(([one]) => one)
                      .filter((one) => (one === kind ? event.target.checked : isThere(one))),
                  )
                }
              />
              {words}
            </label>
          </li>
        ))}
      </ul>
    </fieldset>
  );
}
