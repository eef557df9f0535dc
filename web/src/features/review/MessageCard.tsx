/** A message to an athlete: put right, sent as a letter, or handed on. */
import { useQuery } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Hand } from "../../common/account/Hand";
import { answer, api, type Schema } from "../../common/api/client";
import { queries } from "../../common/api/queries";
import { useAct } from "../../common/hooks/useAct";
import { useFormDraft } from "../../common/hooks/useDraft";
import { Button } from "../../common/ui/Button";
import { Field } from "../../common/ui/Field";
import { Wrong } from "../../common/ui/Wrong";
import { day } from "../../common/units/figures";

type Message = Schema["MessageOut"];

export function MessageCard({ message }: { message: Message }) {
  const reader = useQuery(queries.reader(message.athlete_id)).data;
  const [editing, edit] = useState(false);
  const { act, busy, error } = useAct("messages", "ladder");
  const open = message.status === "draft" || message.status === "failed";
  const send = () =>
    act(() =>
      answer(
        api.POST("/api/messages/{message_id}/send", {
          params: { path: { message_id: message.id } },
        }),
      ),
    );
  if (editing) return <Edited message={message} onClose={() => edit(false)} />;
  const name = reader?.name ?? "";
  return (
    <>
      <p className="lettering">{message.subject}</p>
      <p className="whitespace-pre-line">{message.body}</p>
      <p role="status" className={message.status === "failed" ? "text-over" : "text-faint"}>
        {stateWords(message, reader)}
      </p>
      <Wrong error={error} />
      <div className="flex flex-wrap gap-2">
        {open && (
          <Button onClick={() => edit(true)} aria-label={`Edit the message to ${name}`}>
            Edit
          </Button>
        )}
        {open && reader?.unavailable_reason === "" && (
          <Button busy={busy} onClick={send} aria-label={`Send the message to ${name}`}>
            Send to {reader.email}
          </Button>
        )}
        <Hand name={`the message to ${name}`} text={message.body} />
      </div>
    </>
  );
}

function Edited({ message, onClose }: { message: Message; onClose: () => void }) {
  const { act, busy, error } = useAct("messages", "ladder");
  const { typed, onChange, settle } = useFormDraft(`message.${message.id}`);
  const done = () => {
    settle();
    onClose();
  };
  const keep = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const body = { subject: String(form.get("subject")), body: String(form.get("body")) };
    const params = { path: { message_id: message.id } };
    act(() => answer(api.PUT("/api/messages/{message_id}", { params, body })), done);
  };
  return (
    <form onSubmit={keep} onChange={onChange} aria-label="The message">
      <Field
        label="Subject"
        name="subject"
        maxLength={120}
        defaultValue={typed("subject", message.subject)}
        required
      />
      <label htmlFor="message-body" className="lettering block pt-3">
        Message
      </label>
      <textarea
        id="message-body"
        name="body"
        rows={6}
        maxLength={2000}
        defaultValue={typed("body", message.body)}
        required
        className="w-full border border-line bg-sheet px-2 py-1.5"
      />
      <p className="text-sm text-faint">
        Nothing of health: letters are read on more screens than one.
      </p>
      <Wrong error={error} />
      <div className="flex gap-2 pt-2">
        <Button type="submit" busy={busy}>
          Keep the message
        </Button>
        <Button onClick={done}>Leave it as it was</Button>
      </div>
    </form>
  );
}

function stateWords(message: Message, reader: Schema["Reader"] | undefined): string {
  if (message.status === "sent") return `✓ Sent on ${day(message.sent_at ?? message.at)}.`;
  if (message.status === "queued")
    return message.failure
      ? `On its way. ${message.failure} It is tried again.`
      : "On its way to the mail server.";
  if (message.status === "failed") return `Not sent. ${message.failure}`;
  return `Draft. ${reader?.unavailable_reason ?? ""}`.trim();
}
