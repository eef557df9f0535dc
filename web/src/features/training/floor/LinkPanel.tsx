/** An athlete's private link: made, shown once, ended. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Once } from "../../../common/account/Once";
import { answer, api, type Schema } from "../../../common/api/client";
import { queries } from "../../../common/api/queries";
import { useAct } from "../../../common/hooks/useAct";
import { Button } from "../../../common/ui/Button";
import { Wrong } from "../../../common/ui/Wrong";
import { day } from "../../../common/units/figures";

export function LinkPanel({ athleteId, name }: { athleteId: string; name: string }) {
  const link = useQuery(queries.link(athleteId));
  const [address, setAddress] = useState("");
  const { act, busy, error } = useAct("athlete");
  const params = { params: { path: { athlete_id: athleteId } } };
  const make = () =>
    act(
      () => answer(api.POST("/api/athletes/{athlete_id}/link", { ...params, body: { days: 180 } })),
      (made) => setAddress(`${location.origin}${made.address}`),
    );
  const end = () =>
    act(
      () => answer(api.DELETE("/api/athletes/{athlete_id}/link", params)),
      () => setAddress(""),
    );
  const reader = useQuery(queries.reader(athleteId)).data;
  const [sent, say] = useState("");
  const send = () =>
    act(
      () => answer(api.POST("/api/athletes/{athlete_id}/link/letter", params)),
      (to) => {
        setAddress("");
        say(`A new link is on its way to ${to.email}.`);
      },
    );
  const works = link.data?.state === "works";
  return (
    <section aria-label="Private link" className="pt-5">
      <h2 className="lettering border-b border-ink">Private link</h2>
      <p className="pt-1 text-faint">
        {link.data && inWords(link.data, name)} With it they see their own day, log their sets, and
        nothing of anyone else.
      </p>
      <Wrong error={error ?? link.error} />
      {address && <Once label={`Send it to ${name}`} address={address} />}
      {sent && (
        <p role="status" className="text-ready">
          ✓ {sent}
        </p>
      )}
      <div className="flex flex-wrap gap-2 pt-1">
        <Button busy={busy} onClick={make}>
          {works ? "Make a new one, end this" : "Make a link"}
        </Button>
        {reader?.unavailable_reason === "" && (
          <Button busy={busy} onClick={send}>
            {works ? "Send a new one, end this" : "Send a link"} to {reader.email}
          </Button>
        )}
        {works && (
          <Button grave busy={busy} onClick={end}>
            End the link
          </Button>
        )}
      </div>
    </section>
  );
}

function inWords(link: Schema["LinkState"], name: string): string {
  if (link.state === "none") return `${name} has none yet.`;
  if (link.state === "expired") return "It has run out.";
  if (link.state === "revoked") return "It was ended.";
  const opened = link.opened_at ? `opened last ${day(link.opened_at)}` : "not opened yet";
  return `Works until ${day(link.expires_at ?? "")}; ${opened}.`;
}
