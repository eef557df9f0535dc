/** The screen: the questions, and beside them where they lead. */
import { useQuery } from "@tanstack/react-query";
import { queries } from "../../../common/api/queries";
import { Away } from "../../../common/ui/Away";
import { Outcome } from "../Outcome";
import { ScreenForm } from "./ScreenForm";

export function ScreenPart({ athleteId }: { athleteId: string }) {
  const screen = useQuery(queries.screen(athleteId));
  if (screen.error) return <Away error={screen.error} retry={() => screen.refetch()} />;
  if (!screen.data) return <p className="p-4 text-faint">Fetching the answers …</p>;
  return (
    <div className="flex flex-col lg:flex-row">
      <div className="min-w-0 flex-1">
        <ScreenForm athleteId={athleteId} before={screen.data.answers} />
      </div>
      <aside
        aria-label="Outcome"
        className="w-full border-t border-ink lg:sticky lg:top-0 lg:w-[24rem] lg:shrink-0 lg:self-start lg:border-t-0 lg:border-l"
      >
        <Outcome athleteId={athleteId} screen={screen.data} />
        <p className="px-4 pb-4 text-sm text-faint">
          A screen refers and limits; it diagnoses nothing. Invelo is a planning aid, not medical
          advice.
        </p>
      </aside>
    </div>
  );
}
