/** A place that is about someone, before anyone is picked. */
import { Link } from "react-router";

export function NobodyPicked() {
  return (
    <main className="flex-1 p-6">
      Whose? Pick an athlete in the{" "}
      <Link to="/squad" className="underline">
        squad
      </Link>{" "}
      first.
    </main>
  );
}
