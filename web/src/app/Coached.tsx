/** Everything that asks for a coach's sign-in; none of it comes onto an athlete's phone. */
import { useQuery } from "@tanstack/react-query";
import { lazy, type ReactNode, Suspense } from "react";
import { Navigate, Route, Routes, useLocation } from "react-router";
import { Problem } from "../common/api/client";
import { queries } from "../common/api/queries";
import { Away, Opening } from "../common/ui/Away";
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
const Settings = lazy(() => import("../features/account/Settings"));
const Review = lazy(() => import("../features/review/Review"));

const of = (place: string, sheet: ReactNode) => <Whose place={place}>{sheet}</Whose>;

export default function Coached() {
  const me = useQuery(queries.me);
  const place = useLocation().pathname.split("/")[1];
  if (me.error instanceof Problem && me.error.status === 401) return <SignIn />;
  if (me.error) return <Away error={me.error} retry={() => me.refetch()} />;
  if (!me.data) return <Opening />;
  return (
    <Shell coach={me.data}>
      <Unbroken key={place}>
        <Suspense fallback={<Opening />}>
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
