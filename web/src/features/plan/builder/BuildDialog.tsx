/** A session of the coach's own: movements in groups, each exactly as meant or on their own rung. */
import { useQuery } from "@tanstack/react-query";
import { useDeferredValue, useState } from "react";
import { answer, api, type Schema } from "../../../common/api/client";
import { queries } from "../../../common/api/queries";
import { useAct, useSendId } from "../../../common/hooks/useAct";
import { Button } from "../../../common/ui/Button";
import { Dialog } from "../../../common/ui/Dialog";
import { Field } from "../../../common/ui/Field";
import { Wrong } from "../../../common/ui/Wrong";
import { plain, rangeWords } from "../../../common/units/figures";
import { TagSets } from "../../../common/units/TagSets";
import { GroupPart } from "./GroupPart";
import { type Block, blocksOf, type Group, groupsOf, straight } from "./rows";
import { Sortable } from "./Sortable";

interface Props {
  athleteId: string;
  /** To begin with. */
  from: Block[];
  /** The own session that is changed; a new one if left out. */
  own?: { id: string; name: string } | undefined;
  onClose: () => void;
  onKept: (id: string) => void;
}

export function BuildDialog({ athleteId, from, own, onClose, onKept }: Props) {
  const [name, setName] = useState(own?.name ?? "");
  const [groups, setGroups] = useState(from.length ? groupsOf(from) : [straight()]);
  const [made, next] = useSendId();
  const id = own?.id ?? made;
  const { act, busy, error } = useAct("athlete", "squad");
  const put = (key: string, change: (group: Group) => Group) =>
    setGroups((now) => now.map((one) => (one.id === key ? { ...one, of: change(one.of) } : one)));
  const keep = () =>
    act(
      () =>
        answer(
          api.PUT("/api/session-templates/{session_id}", {
            params: { path: { session_id: id } },
            body: { name, blocks: blocksOf(groups) },
          }),
        ),
      () => {
        next();
        onKept(id);
      },
    );
  const step = (way: "easier" | "harder") =>
    act(
      () =>
        answer(
          api.POST("/api/session-templates/level", {
            body: { name: name || "Session", blocks: blocksOf(groups), way },
          }),
        ),
      ({ blocks }) => setGroups(groupsOf(blocks)),
    );
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title={own ? `Change “${own.name}”` : "Build a session"}
      about="Pick movements and group them. What is left empty is as each one’s own prescription has it; the warm-up makes itself."
      widest
    >
      <div className="grid gap-4 lg:grid-cols-[1fr_12rem]">
        <div>
          <Field label="Name" value={name} onChange={(event) => setName(event.target.value)} />
          <Sortable
            rows={groups}
            onOrder={setGroups}
            nameOf={({ of }) => `group ${groups.findIndex((group) => group.of === of) + 1}`}
          >
            {({ id: key, of }, handle) => (
              <GroupPart
                number={groups.findIndex((group) => group.id === key) + 1}
                group={of}
                handle={handle}
                onChange={(change) => put(key, change)}
                onRemove={() => setGroups((now) => now.filter((one) => one.id !== key))}
              />
            )}
          </Sortable>
          <Wrong error={error} />
          <div className="flex flex-wrap gap-2 pt-3">
            <Button onClick={() => setGroups([...groups, straight()])}>Add a group</Button>
            <Button onClick={() => step("easier")}>A level easier</Button>
            <Button onClick={() => step("harder")}>A level harder</Button>
            <Button main busy={busy} disabled={!name.trim()} onClick={keep}>
              Keep the session
            </Button>
          </div>
        </div>
        <SoFar athleteId={athleteId} blocks={blocksOf(groups)} />
      </div>
    </Dialog>
  );
}

/** What the session adds up to for the athlete at hand, while it is built. */
function SoFar({ athleteId, blocks }: { athleteId: string; blocks: Block[] }) {
  const filled = useDeferredValue(blocks.filter(({ slots }) => slots.length > 0));
  const { data: seen, error } = useQuery({
    ...queries.sessionPreview(athleteId, filled),
    enabled: filled.length > 0,
    placeholderData: (before: Schema["Preview"] | undefined) => before,
  });
  const data = seen?.session;
  if (filled.length === 0) return <p className="pt-3 text-faint">Nothing in it yet.</p>;
  return (
    <aside aria-label="So far" className="pt-3">
      <h3 className="lettering">So far, warm-up included</h3>
      <Wrong error={error} />
      {seen?.lacks && <p className="text-watch">◆ {seen.lacks}</p>}
      {data && !error && (
        <>
          <p className="font-head text-2xl">{rangeWords(data.minutes)}</p>
          <h3 className="lettering pt-2">Hard sets</h3>
          <ul>
            {data.regions.map(({ region, sets }) => (
              <li key={region} className="flex justify-between">
                <span>{region}</span>
                <span>{plain(sets)}</span>
              </li>
            ))}
          </ul>
          <TagSets tags={data.tags} />
          <p className="pt-2">
            push {plain(data.push)}, pull {plain(data.pull)} sets
          </p>
          {data.notes.map((note) => (
            <p key={note} className="pt-2 text-watch">
              ◆ {note}
            </p>
          ))}
        </>
      )}
    </aside>
  );
}
