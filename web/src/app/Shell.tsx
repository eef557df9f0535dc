/** The sheet's frame: places in the top margin, the drawing inside, the title block at the foot. */
import { type ReactNode, useEffect, useState, useSyncExternalStore } from "react";
import { Link, useLocation, useNavigate } from "react-router";
import { api, type Schema } from "../common/api/client";
import { Button } from "../common/ui/Button";
import { KeysDialog } from "./KeysDialog";
import { type Keys, useKeys } from "./keys";
import { PLACES, pickedLadder } from "./places";
import { useSheet } from "./sheet";

export function Shell({ coach, children }: { coach: Schema["SignedIn"]; children: ReactNode }) {
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const [sheet, turnSheet] = useSheet();
  const [keysOpen, setKeysOpen] = useState(false);
  const [, name = "", thing = ""] = pathname.split("/");
  const ladder = ["intake", "week", "floor", "class"].includes(name) ? "" : thing;
  useEffect(() => {
    if (ladder) pickedLadder.set(ladder);
  }, [ladder]);
  const picked = useSyncExternalStore(pickedLadder.subscribe, pickedLadder.get);
  const atHand = ladder || picked;
  const here = PLACES.find((place) => place.name.toLowerCase() === name);

  const keys: Keys = [["?", () => setKeysOpen(true)]];
  for (const place of PLACES)
    if (!place.needsLadder || atHand) keys.push([place.digit, () => navigate(place.path(atHand))]);
  useKeys(keys);

  async function signOut() {
    await api.POST("/api/sign-out").catch(() => undefined);
    sessionStorage.clear(); // what lay on the bench, and whose ladder was at hand
    location.assign("/"); // a fresh page, so that nothing read before stays in memory
  }

  return (
    <div className="flex min-h-full flex-col p-2 lg:h-full">
      <div className="flex min-h-0 flex-1 flex-col border border-ink bg-sheet">
        <header className="print:hidden flex flex-wrap items-stretch border-b border-ink">
          <span className="flex items-center px-4 font-head text-lg font-semibold tracking-[0.18em] max-sm:hidden">
            INVELO
          </span>
          <nav
            aria-label="Places"
            className="flex flex-1 flex-wrap items-stretch border-hair max-sm:basis-full max-sm:border-b sm:border-l"
          >
            {PLACES.map((place) => (
              <PlaceLink key={place.digit} place={place} ladder={atHand} here={here === place} />
            ))}
          </nav>
          <div className="flex items-center gap-1 px-2">
            <span className="hidden pr-2 text-faint md:inline">{coach.name}</span>
            <Button quiet onClick={() => setKeysOpen(true)} title="Keys of this place (?)">
              ? Keys
            </Button>
            <Button quiet onClick={turnSheet}>
              {sheet === "day" ? "Night sheet" : "Day sheet"}
            </Button>
            <Button quiet onClick={signOut}>
              Sign out
            </Button>
          </div>
        </header>
        {children}
      </div>
      <KeysDialog open={keysOpen} onOpenChange={setKeysOpen} place={here} />
    </div>
  );
}

function PlaceLink(props: { place: (typeof PLACES)[number]; ladder: string; here: boolean }) {
  const { place, ladder, here } = props;
  const look =
    "flex items-baseline gap-2 border-r border-hair px-2 py-2 font-head text-[1.05rem] sm:px-5";
  const inside = (
    <>
      <span className="text-sm text-faint max-sm:hidden">{place.digit}</span>
      {place.name}
    </>
  );
  if (place.needsLadder && !ladder)
    return (
      <span className={`${look} text-faint`} title="Pick an athlete in the squad first">
        {inside}
      </span>
    );
  return (
    <Link
      to={place.path(ladder)}
      aria-current={here ? "page" : undefined}
      title={`${place.name} (${place.digit})`}
      className={`${look} ${here ? "bg-ink text-sheet [&>span]:text-sheet" : "hover:bg-wash"}`}
    >
      {inside}
    </Link>
  );
}
