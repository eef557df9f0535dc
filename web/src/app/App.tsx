/** All pages: what needs no sign-in, the phone, and the coach's places, each loaded when it is asked for. */
import { lazy, Suspense } from "react";
import { Route, Routes } from "react-router";
import { Opening } from "../common/ui/Away";
import { Unbroken } from "./Unbroken";

const Coached = lazy(() => import("./Coached"));
const Open = lazy(() => import("../features/training/phone/Open"));
const Phone = lazy(() => import("../features/training/phone/Phone"));
const Forgotten = lazy(() => import("../features/account/Forgotten"));
const Reset = lazy(() => import("../features/account/Reset"));
const Join = lazy(() => import("../features/account/Join"));
const Letters = lazy(() => import("../features/account/Letters"));

export function App() {
  return (
    <Suspense fallback={<Opening />}>
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
