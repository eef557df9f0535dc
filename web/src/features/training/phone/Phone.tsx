/** The athlete's phone: today, the week, what was done; sent and unsent, network or not. */
import { lazy, Suspense, useEffect } from "react";
import { Link, Navigate, Route, Routes, useLocation, useParams } from "react-router";
import { useSheet } from "../../../app/sheet";
import { Unbroken } from "../../../app/Unbroken";
import { Button } from "../../../common/ui/Button";
import { isEnded, useAlong } from "../engine/along";
import { CLOCK_BELIEVED_MS, offInWords } from "../engine/clock";
import { install } from "../engine/install";
import { owner } from "../engine/keep";
import { watchLine } from "../engine/sending";
import { useRun } from "../engine/useRun";
import { SendingLine } from "./SendingLine";
import { Today } from "./Today";

const CheckIn = lazy(() => import("./CheckIn"));
const History = lazy(() => import("./History"));
const Runner = lazy(() => import("../run/Runner"));

export default function Phone() {
  const { athleteId = "" } = useParams();
  const id = athleteId || owner.get();
  if (!id) return <NoLink />;
  if (!athleteId) return <Navigate to={`/phone/${id}`} replace />;
  return <Of key={id} athleteId={id} />;
}

function NoLink() {
  return (
    <main className="p-6 text-lg">
      <h1 className="text-3xl">This phone has no link yet</h1>
      <p className="pt-2">Open the private link that your coach sent you.</p>
    </main>
  );
}

function Of({ athleteId }: { athleteId: string }) {
  const taken = useAlong(athleteId);
  const run = useRun(athleteId);
  const { pathname } = useLocation();
  useEffect(() => watchLine(athleteId), [athleteId]);
  useEffect(install, []);
  const { along, offset, error } = taken;
  const ended = isEnded(error);
  const here = `/phone/${athleteId}`;
  if (run.run === undefined) return null;
  if (along && run.run)
    return (
      <Suspense fallback={null}>
        <Runner along={along} run={run} />
      </Suspense>
    );
  return (
    <div className="mx-auto flex h-dvh max-w-3xl flex-col border-hair bg-sheet sm:border-x">
      <header className="flex items-center border-b border-ink">
        <span className="flex-1 px-3 font-head text-lg font-semibold">
          {along?.athlete_name ?? "Invelo"}
        </span>
        <SheetButton />
      </header>
      <SendingLine athleteId={athleteId} />
      {ended && (
        <div role="alert" className="border-b border-over bg-wash p-3 text-lg">
          <strong className="text-over">▲ This link has ended.</strong>{" "}
          {error.errors.map((error) => `${error.problem} ${error.remedy}`).join(" ")}
        </div>
      )}
      {error && !ended && along && (
        <p role="status" className="border-b border-hair bg-wash px-3 py-2">
          ◇ No network. Everything here works; what you log is sent later.
        </p>
      )}
      {Math.abs(offset) > CLOCK_BELIEVED_MS && (
        <p role="alert" className="border-b border-watch bg-wash px-3 py-2">
          <strong className="text-watch">◆ This device's clock is {offInWords(offset)}.</strong>{" "}
          Times are put right as they are sent; set the clock when you can.
        </p>
      )}
      <div className="min-h-0 flex-1 overflow-y-auto">
        <Unbroken>
          <Suspense fallback={null}>
            {along ? (
              <Routes>
                <Route index element={<Today along={along} run={run} ended={ended} />} />
                <Route
                  path="check-in"
                  element={<CheckIn along={along} fresh={taken.fresh} renew={taken.renew} />}
                />
                <Route path="history" element={<History athleteId={athleteId} />} />
                <Route path="*" element={<Navigate to={here} replace />} />
              </Routes>
            ) : (
              <Waiting error={error} retry={taken.renew} ended={ended} />
            )}
          </Suspense>
        </Unbroken>
      </div>
      <nav aria-label="Pages" className="grid grid-cols-3 border-t border-ink bg-sheet">
        {[
          [here, "Today"],
          [`${here}/check-in`, "Check-in"],
          [`${here}/history`, "Done"],
        ].map(([to = "", name]) => (
          <Link
            key={to}
            to={to}
            aria-current={pathname === to ? "page" : undefined}
            className={`min-h-14 border-r border-hair py-3 text-center font-head text-lg last:border-0 ${pathname === to ? "bg-ink text-sheet" : ""}`}
          >
            {name}
          </Link>
        ))}
      </nav>
    </div>
  );
}

function Waiting(props: { error: Error | null; retry: () => void; ended: boolean }) {
  if (!props.error) return <main className="p-4 text-faint">Laying out the day …</main>;
  return (
    <main className="p-4 text-lg">
      <p>
        {props.ended
          ? "Nothing is kept on this device."
          : "The service cannot be reached, and nothing is kept on this device yet."}
      </p>
      <Button large onClick={props.retry} className="mt-3">
        Try again
      </Button>
    </main>
  );
}

function SheetButton() {
  const [sheet, turn] = useSheet();
  return (
    <Button quiet onClick={turn} className="min-h-11">
      {sheet === "day" ? "Night sheet" : "Day sheet"}
    </Button>
  );
}
