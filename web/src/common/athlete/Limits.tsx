/** What an athlete's screen closes, shown wherever it binds. */
import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { queries } from "../api/queries";

export function Limits({ athleteId }: { athleteId: string }) {
  const screen = useQuery(queries.screen(athleteId)).data;
  if (!screen || screen.outcome === "go") return null;
  const doctor = screen.outcome === "doctor";
  return (
    <p
      className={`border-l-4 bg-wash px-3 py-1 ${doctor ? "border-over text-over" : "border-watch text-watch"}`}
    >
      <b className="font-head">{doctor ? "▲ See a doctor first." : "◆ With limits."}</b>{" "}
      {doctor
        ? "Nothing can be given until a clearance is recorded."
        : screen.limits.map(({ words }) => words).join("; ")}{" "}
      <Link to={`/intake/${athleteId}/screen`} className="underline">
        Why
      </Link>
    </p>
  );
}
