import { useQuery } from "@tanstack/react-query";
import { lazy, type ReactNode, Suspense } from "react";
import { Navigate, Route, Routes, useLocation } from "react-router";
import { Problem } from "../common/api/client";
import { queries } from "../common/api/queries";
import { Away } from "../common/ui/Away";
import { SignIn } from "../features/account/SignIn";
import { Shell } from "./Shell";
import { Unbroken } from "./Unbroken";
import { Whose } from "./Whose";

const Squad = lazy(() => import("../features/squad/Squad"));
const Intake = lazy(() => import("../features/intake/Intake"));
const Ladder = lazy(() => import("../features/ladder/Ladder"));
const Bench = lazy(() => import("../features/bench/Bench"));
const Week = lazy(() => import("../features/plan/Week"));
const Floor = lazy(() => import("../features/training/floor/Floor"));
const ClassClock = lazy(() => import("../features/training/class/ClassClock"));
const ByHand = lazy(() => import("../features/training/floor/ByHand"));
const Open = lazy(() => import("../features/training/phone/Open"));
const Phone = lazy(() => import("../features/training/phone/Phone"));
const Settings = lazy(() => import("../features/account/Settings"));
const Forgotten = lazy(() => import("../features/account/Forgotten"));
const Reset = lazy(() => import("../features/account/Reset"));
const Join = lazy(() => import("../features/account/Join"));
const Letters = lazy(() => import("../features/account/Letters"));
const Review = lazy(() => import("../features/review/Review"));

export function App() {
  return (
    <Suspense fallback={null}>
      <Routes>
        <Route
          path="/open"
          element={
            <Unbroken>
              <Open />
            </Unbroken>
          }
        />
        <Route
          path="/phone/:athleteId?/*"
          element={
            <Unbroken>
              <Phone />
            </Unbroken>
          }
        />
        <Route path="/forgotten" element={<Forgotten />} />
        <Route path="/reset" element={<Reset />} />
        <Route path="/join" element={<Join />} />
        <Route path="/letters" element={<Letters />} />
        <Route path="*" element={<Coached />} />
      </Routes>
    </Suspense>
  );
}

const of = (place: string, sheet: ReactNode) => <Whose place={place}>{sheet}</Whose>;

/** Everything that asks for a coach's sign-in. */
function Coached() {
  const me = useQuery(queries.me);
  const place = useLocation().pathname.split("/")[1];
  if (me.error instanceof Problem && me.error.status === 401) return <SignIn />;
  if (me.error) return <Away error={me.error} retry={() => me.refetch()} />;
  if (!me.data) return null;
  return (
    <Shell coach={me.data}>
      <Unbroken key={place}>
        <Suspense fallback={null}>
          <Routes>
            <Route path="/squad" element={<Squad />} />
            <Route path="/intake/:athleteId?/:part?" element={of("2", <Intake />)} />
            <Route path="/ladder/:ladderId?" element={of("3", <Ladder />)} />
            <Route path="/bench/:ladderId?" element={<Bench />} />
            <Route path="/week/:athleteId?" element={of("5", <Week />)} />
            <Route path="/floor/:athleteId?" element={<Floor />} />
            <Route path="/class/:templateId" element={<ClassClock />} />
            <Route path="/floor/:athleteId/by-hand" element={<ByHand />} />
            <Route path="/review/:ladderId?/:view?" element={of("7", <Review />)} />
            <Route path="/settings" element={<Settings />} />
            <Route path="*" element={<Navigate to="/squad" replace />} />
          </Routes>
        </Suspense>
      </Unbroken>
    </Shell>
  );
}
