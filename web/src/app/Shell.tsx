/** The sheet's frame: places in the top margin, who is picked beneath, the drawing inside. */
import { useQuery } from "@tanstack/react-query";
import { type ReactNode, type RefObject, useEffect, useRef, useState } from "react";
import { Link, useLocation, useNavigate } from "react-router";
import { api, type Schema } from "../common/api/client";
import { queries } from "../common/api/queries";
import { Button } from "../common/ui/Button";
import { KeysDialog } from "./KeysDialog";
import { type Keys, useKeys } from "./keys";
import { PickedBar } from "./PickedBar";
import { type Picked, picked, usePicked } from "./picked";
import { PLACES } from "./places";
import { useSheet } from "./sheet";

type Line = Schema["SquadLineOut"];

export function Shell({ coach, children }: { coach: Schema["SignedIn"]; children: ReactNode }) {
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const [sheet, turnSheet] = useSheet();
  const [keysOpen, setKeysOpen] = useState(false);
  const [, name = "", thing = ""] = pathname.split("/");
  const here = PLACES.find((place) => place.name.toLowerCase() === name);
  const squad = useQuery(queries.squad).data?.athletes;
  const who = useWho(squad, here?.about ?? "nobody", thing);
  const athlete = squad?.find(({ id }) => id === who.athlete);
  useTitle(here?.name ?? name, here?.about === "nobody" ? undefined : athlete?.name);
  const content = useFocusOn(name);
  useFocusKept(content);

  const keys: Keys = [["?", () => setKeysOpen(true)]];
  for (const place of PLACES) keys.push([place.digit, () => navigate(place.path(who))]);
  useKeys(keys);

  async function signOut() {
    await api.POST("/api/sign-out").catch(() => undefined);
    sessionStorage.clear(); // what lay on the bench, and whose ladder was at hand
    location.assign("/"); // a fresh page, so that nothing read before stays in memory
  }

  return (
    <div className="flex min-h-full flex-col p-2 lg:h-full">
      <a
        href="#content"
        className="sr-only focus:not-sr-only focus:absolute focus:z-30 focus:bg-sheet focus:p-2"
      >
        Skip to the sheet
      </a>
      <div className="flex min-h-0 flex-1 flex-col border border-ink bg-sheet">
        <header className="print:hidden border-b border-ink">
          <div className="flex flex-wrap items-stretch">
            <span className="flex items-center px-4 font-head text-lg font-semibold tracking-[0.18em] max-sm:hidden">
              INVELO
            </span>
            <nav
              aria-label="Places"
              className="flex flex-1 flex-wrap items-stretch border-hair max-lg:order-last max-lg:basis-full max-lg:border-t lg:border-l"
            >
              {PLACES.map((place) => (
                <PlaceLink key={place.digit} place={place} who={who} here={here === place} />
              ))}
            </nav>
            <div className="flex flex-wrap items-center gap-1 px-2 max-lg:ml-auto">
              <Link to="/settings" className="px-2 py-1 underline" title="Your settings">
                {coach.name}
              </Link>
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
          </div>
          {squad && squad.length > 0 && <PickedBar squad={squad} who={who} here={here} />}
        </header>
        <div
          ref={content}
          id="content"
          tabIndex={-1}
          className="flex min-h-0 flex-1 flex-col outline-none"
        >
          {children}
        </div>
      </div>
      <KeysDialog open={keysOpen} onOpenChange={setKeysOpen} place={here} />
    </div>
  );
}

/** Who is picked: the address says it where it names someone, else whoever was picked before. */
function useWho(
  squad: Line[] | undefined,
  about: (typeof PLACES)[number]["about"],
  thing: string,
): Picked {
  const before = usePicked();
  const line = squad?.find(({ id, ladders }) =>
    about === "ladder"
      ? thing !== "" && ladders.some((ladder) => ladder.id === thing)
      : id === (about === "athlete" && thing ? thing : before.athlete),
  );
  const named = about === "ladder" ? thing : before.ladder;
  const theirs = line?.ladders.some(({ id }) => id === named) ? named : line?.ladder_id;
  const who = line ? { athlete: line.id, ladder: theirs ?? "" } : before;
  useEffect(
    () => picked.set({ athlete: who.athlete, ladder: who.ladder }),
    [who.athlete, who.ladder],
  );
  return who;
}

/** What had the focus is gone: the sheet takes it, so that keys go on and a reader stays there. */
function useFocusKept(content: RefObject<HTMLElement | null>) {
  useEffect(() => {
    const sheet = content.current;
    if (!sheet) return;
    let last: EventTarget | null = null;
    const note = (event: FocusEvent) => {
      last = event.target;
    };
    const watch = new MutationObserver(() => {
      const gone = last instanceof Element && !last.isConnected;
      if (gone && document.activeElement === document.body) sheet.focus({ preventScroll: true });
    });
    sheet.addEventListener("focusin", note);
    watch.observe(sheet, { childList: true, subtree: true });
    return () => {
      sheet.removeEventListener("focusin", note);
      watch.disconnect();
    };
  }, [content]);
}

function useTitle(place: string, athlete: string | undefined) {
  useEffect(() => {
    const said = place.charAt(0).toUpperCase() + place.slice(1);
    document.title = [said, athlete, "Invelo"].filter(Boolean).join(", ");
  }, [place, athlete]);
}

/** The sheet takes the focus when another place opens, so that the next Tab leads into it. */
function useFocusOn(place: string) {
  const content = useRef<HTMLDivElement>(null);
  const before = useRef(place);
  useEffect(() => {
    if (before.current !== place) content.current?.focus({ preventScroll: true });
    before.current = place;
  }, [place]);
  return content;
}

interface PlaceProps {
  place: (typeof PLACES)[number];
  who: Picked;
  here: boolean;
}

function PlaceLink({ place, who, here }: PlaceProps) {
  return (
    <Link
      to={place.path(who)}
      aria-current={here ? "page" : undefined}
      title={`${place.name} (${place.digit})`}
      className={`flex items-baseline gap-2 border-r border-hair px-2 py-2 font-head text-[1.05rem] sm:px-5 ${here ? "bg-ink text-sheet [&>span]:text-sheet" : "hover:bg-wash"}`}
    >
      <span className="text-sm text-faint max-sm:hidden">{place.digit}</span>
      {place.name}
    </Link>
  );
}
