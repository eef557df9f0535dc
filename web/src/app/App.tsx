import { useQuery } from "@tanstack/react-query";
import { lazy, Suspense } from "react";
import { Navigate, Route, Routes } from "react-router";
import { Problem } from "../api/client";
import { queries } from "../api/queries";
import { Away } from "../parts/Away";
import { SignIn } from "../places/sign-in/SignIn";
import { Shell } from "./Shell";
import { Unbroken } from "./Unbroken";

const Squad = lazy(() => import("../places/squad/Squad"));
const Intake = lazy(() => import("../places/intake/Intake"));
const Ladder = lazy(() => import("../places/ladder/Ladder"));
const Bench = lazy(() => import("../places/bench/Bench"));
const Week = lazy(() => import("../places/week/Week"));
const Floor = lazy(() => import("../places/floor/Floor"));
const ByHand = lazy(() => import("../places/floor/ByHand"));
const Open = lazy(() => import("../places/phone/Open"));
const Phone = lazy(() => import("../places/phone/Phone"));
const Review = lazy(() => import("../places/review/Review"));

export function App() {
  return (
    <Suspense fallback={null}>
      <Routes>
        <Route path="/open" element={<Open />} />
        <Route path="/phone/:athleteId?/*" element={<Phone />} />
        <Route path="*" element={<Coached />} />
      </Routes>
    </Suspense>
  );
}

/** Everything that asks for a coach's sign-in. */
function Coached() {
  const me = useQuery(queries.me);
  if (me.error instanceof Problem && me.error.status === 401) return <SignIn />;
  if (me.error) return <Away error={me.error} retry={() => me.refetch()} />;
  if (!me.data) return null;
  return (
    <Shell coach={me.data}>
      <Unbroken>
        <Suspense fallback={null}>
          <Routes>
            <Route path="/squad" element={<Squad />} />
            <Route path="/intake/:athleteId?/:part?" element={<Intake />} />
            <Route path="/ladder/:ladderId" element={<Ladder />} />
            <Route path="/bench/:ladderId?" element={<Bench />} />
            <Route path="/week/:athleteId?" element={<Week />} />
            <Route path="/floor/:athleteId?" element={<Floor />} />
            <Route path="/floor/:athleteId/by-hand" element={<ByHand />} />
            <Route path="/review/:ladderId/:view?" element={<Review />} />
            <Route path="*" element={<Navigate to="/squad" replace />} />
          </Routes>
        </Suspense>
      </Unbroken>
    </Shell>
  );
}
