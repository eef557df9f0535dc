/** The way in: the token stands behind the '#', which no browser sends along; it is handed over once. */
import { useEffect, useState } from "react";
import { useNavigate } from "react-router";
import { answer, api, Problem } from "../../../common/api/client";
import { Wrong } from "../../../common/ui/Wrong";
import { owner } from "../engine/keep";

export default function Open() {
  const navigate = useNavigate();
  const [error, setError] = useState<Error | null>(null);
  useEffect(() => {
    const token = location.hash.slice(1);
    history.replaceState(null, "", location.pathname); // out of the history before anything else
    if (!token) {
      setError(
        new Problem(0, "No link here", [
          { field: "link", problem: "it is not whole.", remedy: "Open it as your coach sent it." },
        ]),
      );
      return;
    }
    answer(api.POST("/api/link", { body: { token } })).then((opened) => {
      owner.set(opened.athlete_id);
      navigate(`/phone/${opened.athlete_id}`, { replace: true });
    }, setError);
  }, [navigate]);
  return (
    <main className="p-6 text-lg">
      {error ? <Wrong error={error} /> : <p className="text-faint">Coming in …</p>}
    </main>
  );
}
