/** Sessions to start from, filled in for the athlete or for a group; the coach's own among them. */

import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { answer, api, type Schema } from "../../../common/api/client";
import { queries } from "../../../common/api/queries";
import { useAct, useSendId } from "../../../common/hooks/useAct";
import { Button } from "../../../common/ui/Button";
import { Dialog } from "../../../common/ui/Dialog";
import { Field } from "../../../common/ui/Field";
import { Ticks } from "../../../common/ui/Ticks";
import { Wrong } from "../../../common/ui/Wrong";
import { rangeWords } from "../../../common/units/figures";
import { VOCABULARY } from "../../../common/vocabulary";
import { type Availability, availabilityOf, keepAvailability, withExtra } from "../availability";
import { BuildDialog } from "../builder/BuildDialog";
import type { Draft, Sheet } from "../plan";
import { SessionView } from "../SessionView";

type Ready = Schema["ReadySession"];

interface Props {
  sheet: Sheet;
  draft: Draft;
  day: number;
  keep: (next: Draft, note: string) => void;
  onClose: () => void;
}

export function ReadyDialog({ sheet, draft, day, keep, onClose }: Props) {
  const ready = useQuery(queries.readySessions);
  const [picked, pick] = useState("");
  const all = ready.data?.sessions ?? [];
  const sessions = [
    ...all.filter(({ kind }) => kind === "own"),
    ...all.filter(({ kind }) => kind !== "own"),
  ];
  const shape = sessions.find(({ id }) => id === picked) ?? sessions[0];
  const dayName = sheet.days.find(({ index }) => index === day)?.name ?? "";
  const [building, build] = useState<Partial<Ready> | null>(null);
  if (building)
    return (
      <BuildDialog
        athleteId={sheet.athlete_id}
        from={building.blocks ?? []}
        own={building.id && building.name ? { id: building.id, name: building.name } : undefined}
        onClose={() => build(null)}
        onKept={(id) => {
          pick(id);
          build(null);
        }}
      />
    );
  return (
    <Dialog open onOpenChange={onClose} title="Start from a session" widest>
      <Wrong error={ready.error} />
      <div className="grid gap-4 pt-3 md:grid-cols-[14rem_1fr]">
        <div>
          <Button main onClick={() => build({})} className="mb-2 w-full">
            Build a session …
          </Button>
          <ul aria-label="Sessions" className="max-h-[64vh] overflow-y-auto border border-line">
            {sessions.map((session) => (
              <li key={session.id}>
                <button
                  type="button"
                  aria-pressed={session.id === shape?.id}
                  onClick={() => pick(session.id)}
                  className={`block w-full border-b border-hair px-2 py-1 text-left ${
                    session.id === shape?.id ? "bg-ink text-sheet" : "hover:bg-wash"
                  }`}
                >
                  {session.name}
                  {session.kind === "own" && " (own)"}
                </button>
              </li>
            ))}
          </ul>
        </div>
        {shape && (
          <Filled
            key={shape.id}
            sheet={sheet}
            shape={shape}
            date={sheet.days.find(({ index }) => index === day)?.date ?? ""}
            dayName={dayName}
            onPut={(session) => put(session, shape)}
            onGiven={onClose}
            onBuild={(whole) => build(whole ? shape : { blocks: shape.blocks })}
          />
        )}
      </div>
    </Dialog>
  );

  /** Its items become pins of this day; what stands on no ladder is added to the week first. */
  async function put(session: Schema["SessionSheet"], from: Ready) {
    const items = session.blocks
      .filter(({ format }) => format !== "warm-up" && format !== "preparatory work")
      .flatMap((block) => block.items.map((item) => ({ ...item, format: block.format })));
    let availability: Availability = availabilityOf(sheet);
    for (const item of items) {
      const [kind, movement = ""] = item.key.split(":");
      if (kind !== "movement") continue;
      const slot = from.blocks
        .flatMap(({ slots }) => slots)
        .find(({ movements }) => movements?.includes(movement));
      const there = availability.extras.find((extra) => extra.movement === movement);
      if (!there)
        availability = withExtra(availability, {
          movement,
          purpose: slot?.purpose ?? "strength",
          sets: slot?.sets ?? null,
          days: 1,
          rotation: "",
          letter: "",
        });
    }
    const groups = session.blocks
      .filter(({ format }) => TOGETHER.includes(format))
      .map(({ format, items: those }) => ({
        format: format as Availability["hands"]["together"][number]["format"],
        keys: those.map(({ key }) => key),
        rounds: 3,
      }));
    const together = [...availability.hands.together, ...groups];
    availability = { ...availability, hands: { ...availability.hands, together } };
    await keepAvailability(sheet, availability);
    const placed = items.map(({ key }) => ({ task: key, day }));
    const others = draft.placed.filter(
      (placement) =>
        !placed.some((mine) => mine.task === placement.task && mine.day === placement.day),
    );
    const pins = draft.pins.filter(
      (pin) => !placed.some((mine) => mine.task === pin.task && mine.day === pin.day),
    );
    keep(
      {
        ...draft,
        placed: [...others, ...placed],
        pins: [...pins, ...placed.map((placement) => ({ ...placement, there: true }))],
      },
      `put “${from.name}” on ${dayName}`,
    );
    onClose();
  }
}

const TOGETHER: readonly string[] = VOCABULARY.formatsTogether;

interface FilledProps {
  sheet: Sheet;
  shape: Ready;
  /** Of the day, ISO 8601. */
  date: string;
  dayName: string;
  onPut: (session: Schema["SessionSheet"]) => Promise<void>;
  /** It stands on the day. */
  onGiven: () => void;
  /** From it; or it itself, changed. */
  onBuild: (whole: boolean) => void;
}

function Filled({ sheet, shape, date, dayName, onPut, onGiven, onBuild }: FilledProps) {
  const found = useQuery(queries.filledSession(sheet.athlete_id, shape.id));
  const [grouping, setGrouping] = useState(false);
  const [name, setName] = useState("");
  const [id, next] = useSendId();
  const { act, busy, error } = useAct("athlete", "squad");
  const keepOwn = () =>
    act(
      () =>
        answer(
          api.PUT("/api/session-templates/{session_id}", {
            params: { path: { session_id: id } },
            body: { name, blocks: shape.blocks },
          }),
        ),
      () => {
        setName("");
        next();
      },
    );
  const give = (athletes: string[]) =>
    act(
      () =>
        answer(
          api.PUT("/api/session-templates/{template_id}/days/{day}", {
            params: { path: { template_id: shape.id, day: date } },
            body: { athletes },
          }),
        ),
      onGiven,
    );
  const removeOwn = () =>
    act(() =>
      answer(
        api.DELETE("/api/session-templates/{session_id}", {
          params: { path: { session_id: shape.id } },
        }),
      ),
    );
  return (
    <section aria-label={shape.name}>
      <div className="flex flex-wrap items-end gap-2">
        <Button main busy={busy} disabled={!found.data} onClick={() => give([sheet.athlete_id])}>
          Put it on {dayName}
        </Button>
        {shape.kind !== "own" && (
          <Button
            busy={busy}
            disabled={!found.data}
            onClick={() => found.data && act(() => onPut(found.data.session))}
          >
            Into the week’s plan
          </Button>
        )}
        <Button onClick={() => onBuild(false)}>Build from it …</Button>
        <Button onClick={() => setGrouping(!grouping)} aria-expanded={grouping}>
          For a group …
        </Button>
        {shape.kind === "own" && <Button onClick={() => onBuild(true)}>Change …</Button>}
        {shape.kind === "own" && (
          <Button grave busy={busy} onClick={removeOwn}>
            Take away
          </Button>
        )}
        <div className="flex items-end gap-2">
          <Field
            label="Keep as your own, named"
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
          <Button busy={busy} disabled={!name.trim()} onClick={keepOwn} className="mb-1">
            Keep
          </Button>
        </div>
      </div>
      <Wrong error={error ?? found.error} />
      {grouping ? (
        <Group shape={shape} first={sheet.athlete_id} dayName={dayName} onGive={give} />
      ) : (
        <>
          {!found.data && !found.error && <p className="py-4 text-faint">Filling it in …</p>}
          {found.data && <SessionView session={found.data.session} />}
        </>
      )}
    </section>
  );
}

interface GroupProps {
  shape: Ready;
  first: string;
  dayName: string;
  onGive: (athletes: string[]) => void;
}

function Group({ shape, first, dayName, onGive }: GroupProps) {
  const squad = useQuery(queries.squad);
  const [who, setWho] = useState([first]);
  const [group, setGroup] = useState<Schema["GroupSheet"] | null>(null);
  const { act, busy, error } = useAct("athlete", "squad");
  const people = (squad.data?.athletes ?? []).map(({ id, name }) => [id, name] as const);
  return (
    <div>
      <Ticks name="Who trains together" options={people} on={who} onChange={setWho} />
      <Button
        busy={busy}
        disabled={who.length === 0}
        onClick={() =>
          act(
            () =>
              answer(
                api.POST("/api/session-templates/{template_id}/group", {
                  params: { path: { template_id: shape.id } },
                  body: { athletes: who },
                }),
              ),
            setGroup,
          )
        }
      >
        Fill it in for them
      </Button>{" "}
      <Button main busy={busy} disabled={who.length === 0} onClick={() => onGive(who)}>
        Put it on {who.length === 1 ? "their" : `all ${who.length} people’s`} {dayName}
      </Button>
      <a
        className="ml-2 border border-line px-3 py-1 font-head font-medium hover:bg-wash"
        href={`/api/session-templates/${shape.id}/class-sheet?${who.map((athleteId) => `athletes=${athleteId}`).join("&")}`}
      >
        Class sheet to print (PDF)
      </a>
      <Link
        className="ml-2 border border-line px-3 py-1 font-head font-medium hover:bg-wash"
        to={`/class/${shape.id}?${who.map((athleteId) => `athletes=${athleteId}`).join("&")}`}
      >
        Class clock for a big screen
      </Link>
      <Wrong error={error} />
      {group && (
        <table className="mt-3 w-full">
          <caption className="lettering text-left">
            {group.name}: {Math.round(group.minutes)} min together
          </caption>
          <tbody>
            {group.sessions.map((session) => (
              <tr key={session.athlete_id} className="border-t border-hair align-top">
                <th scope="row" className="pr-3">
                  {session.athlete_name}
                  <br />
                  <span className="font-text font-normal">
                    {rangeWords(session.session.minutes)}
                  </span>
                </th>
                <td>
                  <ul>
                    {session.session.blocks
                      .filter(({ format }) => format !== "warm-up")
                      .flatMap((block) =>
                        block.items.map((item) => (
                          <li key={item.key}>
                            {item.name}: <span className="text-faint">{item.sets.join("; ")}</span>
                          </li>
                        )),
                      )}
                  </ul>
                  {session.session.notes.map((note) => (
                    <p key={note} className="text-watch">
                      ◆ {note}
                    </p>
                  ))}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
