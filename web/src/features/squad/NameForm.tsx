/** An athlete's name, note and time zone, put right. */
import { type FormEvent, useState } from "react";
import { answer, api, type Schema } from "../../common/api/client";
import { useAct } from "../../common/hooks/useAct";
import { Button } from "../../common/ui/Button";
import { Field } from "../../common/ui/Field";
import { Wrong } from "../../common/ui/Wrong";
import { day } from "../../common/units/figures";

export function NameForm({ athlete }: { athlete: Schema["AthleteOut"] }) {
  const { act, busy, error } = useAct("squad", "athlete", "ladder");
  const [said, say] = useState("");
  const keep = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    const of = (name: string) => String(typed.get(name) ?? "");
    act(
      () =>
        answer(
          api.PUT("/api/athletes/{athlete_id}", {
            params: { path: { athlete_id: athlete.id } },
            body: {
              name: of("name"),
              note: of("note"),
              time_zone: of("time_zone"),
              email: of("email"),
            },
          }),
        ),
      () => say("Kept."),
    );
  };
  return (
    <form onSubmit={keep}>
      <div className="grid grid-cols-2 gap-x-4">
        <Field label="Name" name="name" defaultValue={athlete.name} maxLength={80} required />
        <Field label="Time zone" name="time_zone" defaultValue={athlete.time_zone} required />
      </div>
      <Field
        label="E-mail"
        name="email"
        type="email"
        defaultValue={athlete.email}
        maxLength={254}
        hint={
          athlete.letters_stopped_at
            ? `Stopped letters on ${day(athlete.letters_stopped_at)}.`
            : "For letters you send; empty for none."
        }
      />
      <Field label="Note" name="note" defaultValue={athlete.note} maxLength={300} />
      <Wrong error={error} />
      <div className="flex items-center gap-3 pt-2">
        <Button type="submit" busy={busy}>
          Keep name and note
        </Button>
        <span role="status" className="text-ready">
          {said && `✓ ${said}`}
        </span>
      </div>
    </form>
  );
}
