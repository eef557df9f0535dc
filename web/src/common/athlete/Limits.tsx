/** What an athlete's screen and sore places close, shown wherever it binds. */
import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { queries } from "../api/queries";
import { SparedPlaces } from "./SparedPlaces";

const HEADS = {
  unasked: "◆ The health screen is not answered yet.",
  limits: "◆ With limits.",
  doctor: "▲ See a doctor first.",
} as const;

export function Limits({ athleteId }: { athleteId: string }) {
  return (
    <>
      <SparedPlaces athleteId={athleteId} />
      <Screened athleteId={athleteId} />
    </>
  );
}

function Screened({ athleteId }: { athleteId: string }) {
  const screen = useQuery(queries.screen(athleteId)).data;
  if (!screen || screen.outcome === "go") return null;
  const doctor = screen.outcome === "doctor";
  return (
    <p
      className={`border-l-4 bg-wash px-3 py-1 ${doctor ? "border-over text-over" : "border-watch text-watch"}`}
    >
      <b className="font-head">{HEADS[screen.outcome]}</b>{" "}
      {doctor
        ? "Nothing can be given until a clearance is recorded."
        : screen.outcome === "unasked"
          ? "Ask before the first session."
          : screen.limits.map(({ words }) => words).join("; ")}{" "}
      <Link to={`/intake/${athleteId}/screen`} className="underline">
        Why
      </Link>
    </p>
  );
}
