/** What is limited, what that closes, and the limits a coach sets besides what the screen says. */
import { type FormEvent, useState } from "react";
import { api, type Schema } from "../../common/api/client";
import { useAct, useSendId } from "../../common/hooks/useAct";
import { Button } from "../../common/ui/Button";
import { Dialog } from "../../common/ui/Dialog";
import { Choice, Field } from "../../common/ui/Field";
import { Wrong } from "../../common/ui/Wrong";
import { counted, day } from "../../common/units/figures";
import { VOCABULARY } from "../../common/vocabulary";

type Quantity = Schema["LimitRequest"]["quantity"];

export function LimitList({ athleteId, screen }: { athleteId: string; screen: Schema["Screen"] }) {
  const [setting, setSetting] = useState(false);
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const end = (limit_id: string) =>
    act(() =>
      api.POST("/api/athletes/{athlete_id}/limits/{limit_id}/end", {
        params: { path: { athlete_id: athleteId, limit_id } },
      }),
    );
  return (
    <section aria-label="Limits">
      {screen.limits.length > 0 && <h3 className="lettering pt-3">Limits</h3>}
      <ul>
        {screen.limits.map((limit) => (
          <li key={limit.id} className="border-t border-hair py-1">
            <b>{limit.words}</b>
            {limit.until && <span className="text-faint"> until {day(limit.until)}</span>}
            <span className="block text-sm text-faint">
              {limit.why} (set by {limit.set_by})
            </span>
            {limit.forms.length > 0 && (
              <details className="text-sm text-faint">
                <summary className="cursor-pointer">
                  closes {counted(limit.forms.length, "movement")}
                </summary>
                {limit.forms.join(", ")}
              </details>
            )}
            {limit.by_coach && (
              <Button quiet busy={busy} onClick={() => end(String(limit.by_coach))}>
                End this limit
              </Button>
            )}
          </li>
        ))}
      </ul>
      {screen.left_open && <p className="border-t border-hair pt-1 text-sm">{screen.left_open}</p>}
      <Wrong error={error} />
      <Button className="mt-2" onClick={() => setSetting(true)}>
        Set a limit …
      </Button>
      <LimitDialog open={setting} onOpenChange={setSetting} athleteId={athleteId} />
    </section>
  );
}

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  athleteId: string;
}

function LimitDialog({ open, onOpenChange, athleteId }: Props) {
  const [id, next] = useSendId();
  const [quantity, setQuantity] = useState<Quantity>("knee bend");
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const chosen = VOCABULARY.limits.find(([name]) => name === quantity) ?? VOCABULARY.limits[0];
  const [, asks, unit, greatest] = chosen;

  function keep(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    act(
      () =>
        api.POST("/api/athletes/{athlete_id}/limits", {
          params: { path: { athlete_id: athleteId } },
          body: {
            id,
            quantity,
            most: Number(typed.get("most")),
            why: String(typed.get("why")),
            until: String(typed.get("until")) || null,
          },
        }),
      () => {
        next();
        onOpenChange(false);
      },
    );
  }

  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Set a limit"
      about="Leaves less open than the screen does, everywhere: ladders, week, warm-up, tests. To leave more open, record a clearance."
    >
      <form onSubmit={keep}>
        <Choice
          label="What is limited"
          value={quantity}
          options={VOCABULARY.limits.map(([name, words]) => [name, words] as const)}
          onChange={(event) => setQuantity(event.target.value as Quantity)}
        />
        <Field
          key={quantity}
          label="At most"
          unit={unit || "class"}
          name="most"
          type="number"
          min={0}
          max={greatest}
          step={unit ? 5 : 1}
          required
          hint={
            unit
              ? `The ${asks}, 0 to ${greatest}.`
              : `0 closes all of it; 1 leaves light work open${greatest > 2 ? ", 2 moderate" : ""}.`
          }
        />
        <Field label="Why" name="why" required maxLength={500} />
        <Field label="Until" name="until" type="date" hint="Empty: until you end it." />
        <Wrong error={error} />
        <Button main type="submit" busy={busy} className="mt-3">
          Set it
        </Button>
      </form>
    </Dialog>
  );
}
