/** What is sent and what still waits, in one line; what was refused, with what to do about it. */
import { Button } from "../../../common/ui/Button";
import { outbox, useSending } from "../engine/sending";

const plural = (count: number) => `${count} ${count === 1 ? "entry waits" : "entries wait"}`;

export function SendingLine({ athleteId }: { athleteId: string }) {
  const { line, waiting, refused, why } = useSending();
  const words = {
    sent: "All is sent.",
    sending: `${plural(waiting)}, being sent …`,
    waiting: `${plural(waiting)} to be sent.`,
    away: `${plural(waiting)} on this device; sent as soon as there is a network.`,
    ended: `${plural(waiting)} on this device, kept. ${why}`,
  }[line];
  return (
    <div className="border-b border-hair">
      <p
        role="status"
        aria-label="Sending"
        className="flex items-center gap-3 px-3 py-1 text-faint"
      >
        <span className={`flex-1 ${line === "ended" ? "text-over" : ""}`}>
          {line === "sent" ? "✓" : line === "ended" ? "▲" : "◇"} {words}
        </span>
        {line === "away" && (
          <Button quiet onClick={() => outbox.send(athleteId)}>
            Send now
          </Button>
        )}
      </p>
      {refused.map((thing) => (
        <div key={thing.seq} role="alert" className="border-t border-over px-3 py-2">
          <strong className="text-over">▲ The {thing.what} was not taken.</strong>{" "}
          {thing.refused?.map((each) => `${each.field}: ${each.problem} ${each.remedy}`).join(" ")}
          <Button quiet onClick={() => thing.seq && outbox.letGo(athleteId, thing.seq)}>
            Let it go
          </Button>
        </div>
      ))}
    </div>
  );
}
