/** Who sees an athlete, what they may do, and how another coach comes in. */
import { useQuery } from "@tanstack/react-query";
import { Invite } from "../../common/account/Invite";
import { answer, api, type Schema } from "../../common/api/client";
import { queries } from "../../common/api/queries";
import { useAct } from "../../common/hooks/useAct";
import { Button } from "../../common/ui/Button";
import { Wrong } from "../../common/ui/Wrong";

type Role = Schema["CoachOf"]["role"];

const ROLES: Record<Role, string> = {
  owner: "owns the record",
  coach: "coaches",
  reader: "looks on",
};

export function Coaches({ athlete }: { athlete: Schema["AthleteOut"] }) {
  const me = useQuery(queries.me).data;
  const coaches = useQuery(queries.coaches(athlete.id)).data?.coaches ?? [];
  const { act, busy, error } = useAct("athlete", "squad", "me");
  const mine = coaches.find(({ account_id }) => account_id === me?.id)?.role === "owner";
  const path = (account_id: string) => ({
    params: { path: { athlete_id: athlete.id, account_id } },
  });
  const give = (account_id: string, role: Role) =>
    act(() =>
      answer(
        api.PUT("/api/athletes/{athlete_id}/coaches/{account_id}", {
          ...path(account_id),
          body: { role },
        }),
      ),
    );
  const end = (account_id: string) =>
    act(() =>
      answer(api.DELETE("/api/athletes/{athlete_id}/coaches/{account_id}", path(account_id))),
    );
  return (
    <section aria-label="Coaches" className="pt-3">
      <h3 className="lettering border-b border-ink">Coaches</h3>
      <ul>
        {coaches.map(({ account_id, name, email, role }) => (
          <li
            key={account_id}
            className="flex flex-wrap items-baseline gap-x-3 border-b border-hair py-1"
          >
            <span>
              {name} <span className="text-sm text-faint">{email}</span>
            </span>
            <span className="flex-1">{ROLES[role]}</span>
            {mine && role !== "owner" && (
              <>
                <Button
                  quiet
                  busy={busy}
                  onClick={() => give(account_id, role === "coach" ? "reader" : "coach")}
                >
                  {role === "coach" ? "Look on only" : "Let coach"}
                </Button>
                <Button quiet busy={busy} onClick={() => give(account_id, "owner")}>
                  Hand the record over
                </Button>
              </>
            )}
            {role !== "owner" && (mine || account_id === me?.id) && (
              <Button quiet busy={busy} onClick={() => end(account_id)}>
                {account_id === me?.id ? "Leave" : "End"}
              </Button>
            )}
          </li>
        ))}
      </ul>
      <Wrong error={error} />
      {mine && <Invite athlete={athlete} />}
    </section>
  );
}
