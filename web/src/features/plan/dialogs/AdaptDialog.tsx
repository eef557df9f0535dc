/** A day that allows less: what it allows, and the session before and after. */

import { useState } from "react";
import { answer, api, type Schema } from "../../../common/api/client";
import { useAct, useSendId } from "../../../common/hooks/useAct";
import { Button } from "../../../common/ui/Button";
import { Dialog } from "../../../common/ui/Dialog";
import { Choice, Field } from "../../../common/ui/Field";
import { Mark } from "../../../common/ui/Mark";
import { Ticks } from "../../../common/ui/Ticks";
import { Wrong } from "../../../common/ui/Wrong";
import { day as dayWords, plain, rangeWords } from "../../../common/units/figures";
import { VOCABULARY } from "../../../common/vocabulary";
import type { Sheet } from "../plan";

type Adapted = Schema["AdaptedSheet"];
type Place = Schema["Sore"]["place"];
type Kit = NonNullable<Schema["KeptDay"]["kinds"]>[number];

const PLACES = VOCABULARY.joints;
const KIT = VOCABULARY.kitKinds.map(([kind]) => kind);
const named = <T extends string>(those: readonly T[]) =>
  those.map((entry) => [entry, entry] as const);

interface Props {
  sheet: Sheet;
  date: string;
  onClose: () => void;
}

export function AdaptDialog({ sheet, date, onClose }: Props) {
  const [typed, setTyped] = useState({ minutes: "", sleep: "", rpe: "", place: "", how: "3" });
  const [tight, setTight] = useState<Place[]>([]);
  const [limited, setLimited] = useState(false);
  const [kinds, setKinds] = useState<Kit[]>(["wall"]);
  const [found, setFound] = useState<Adapted | null>(null);
  const [id] = useSendId();
  const { act, busy, error } = useAct("athlete", "squad");
  const number = (text: string) => (text === "" ? null : Number(text));
  const field = (name: keyof typeof typed) => ({
    value: typed[name],
    onChange: (event: { target: { value: string } }) => {
      setTyped({ ...typed, [name]: event.target.value });
      setFound(null);
    },
  });
  const send = (keep: string | null) =>
    answer(
      api.POST("/api/athletes/{athlete_id}/days/{day}/adapt", {
        params: { path: { athlete_id: sheet.athlete_id, day: date } },
        body: {
          minutes: number(typed.minutes),
          sleep: number(typed.sleep),
          rpe: number(typed.rpe),
          sore: typed.place ? [{ place: typed.place as Place, how: Number(typed.how) }] : [],
          tight,
          kinds: limited ? kinds : null,
          keep,
        },
      }),
    );
  return (
    <Dialog open onOpenChange={onClose} title={`Adapt ${dayWords(date)}`} widest>
      <div className="grid gap-x-4 sm:grid-cols-5">
        <Field label="Minutes" type="number" unit="min" {...field("minutes")} />
        <Field label="Sleep" type="number" unit="h" {...field("sleep")} />
        <Field label="Effort so far" type="number" hint="1–10" {...field("rpe")} />
        <Choice label="Sore place" options={[["", "none"], ...named(PLACES)]} {...field("place")} />
        <Field label="How sore" type="number" hint="0–10; 4 ends it" {...field("how")} />
      </div>
      <details className="pt-2">
        <summary className="cursor-pointer font-head">Tight places, and kit at hand</summary>
        <Ticks
          name="Tight"
          options={named(PLACES)}
          on={tight}
          onChange={(on) => {
            setTight(on);
            setFound(null);
          }}
        />
        <Ticks
          name="Kit"
          options={[["limited", "Only this kit is at hand today"]]}
          on={limited ? ["limited"] : []}
          onChange={(on) => setLimited(on.length > 0)}
        />
        {limited && <Ticks name="At hand" options={named(KIT)} on={kinds} onChange={setKinds} />}
      </details>
      <Wrong error={error} />
      <div className="flex gap-2 pt-3">
        <Button main busy={busy} onClick={() => act(() => send(null), setFound)}>
          Show before and after
        </Button>
        {found && (
          <Button busy={busy} onClick={() => act(() => send(id), onClose)}>
            Keep for this day
          </Button>
        )}
      </div>
      {found && <BeforeAfter found={found} />}
    </Dialog>
  );
}

function BeforeAfter({ found }: { found: Adapted }) {
  return (
    <section aria-label="Before and after" className="pt-3">
      {found.stop && <Mark tone="over">{found.stop}</Mark>}
      <ul>
        {found.changes.map((change) => (
          <li key={change.item + change.why}>
            <b>{change.item}</b> {change.to ? `→ ${change.to}` : "is left out"}: {change.why}
            {change.kept && <span className="text-ready"> Kept equal: {change.kept}.</span>}
          </li>
        ))}
        {found.cuts.map((cut) => (
          <li key={cut} className="text-watch">
            ◆ Cut for time: {cut}.
          </li>
        ))}
        {found.back.map((item) => (
          <li key={item}>Given back, since there is time: {item}.</li>
        ))}
        {found.changes.length + found.cuts.length === 0 && <li>Nothing has to change.</li>}
      </ul>
      <div className="grid gap-4 pt-3 md:grid-cols-2">
        <Side name="Before" session={found.before} />
        <Side name="After" session={found.after} />
      </div>
      <Totals name="Hard sets" those={found.regions} />
      <Totals name="Torque × seconds" those={found.joints} />
    </section>
  );
}

function Side({ name, session }: { name: string; session: Schema["SessionSheet"] }) {
  return (
    <section aria-label={name} className="border border-line p-2">
      <h3 className="flex justify-between border-b border-ink">
        {name}
        <span className="font-text font-normal">{rangeWords(session.minutes)}</span>
      </h3>
      {session.blocks.map((block) => (
        <div key={block.items.map(({ key }) => key).join(" ")}>
          <p className="lettering pt-1">{block.format}</p>
          <ul>
            {block.format === "warm-up" ? (
              <li className="text-sm">{block.items.map((item) => item.name).join(", ")}</li>
            ) : (
              block.items.map((item) => (
                <li key={item.key}>
                  {item.name}: <span className="text-faint">{item.sets.join("; ")}</span>
                </li>
              ))
            )}
          </ul>
        </div>
      ))}
    </section>
  );
}

function Totals({ name, those }: { name: string; those: Schema["Before"][] }) {
  return (
    <table className="mt-3 w-full">
      <caption className="lettering text-left">{name}, before and after</caption>
      <tbody>
        {those.map((entry) => (
          <tr key={entry.name} className="border-t border-hair">
            <th scope="row" className="font-text font-normal">
              {entry.name.replace("_", " ")}
            </th>
            <td className="text-right">{plain(entry.before)}</td>
            <td className={`text-right ${entry.after < 0.9 * entry.before ? "text-watch" : ""}`}>
              {plain(entry.after)} {entry.unit}
            </td>
            <td className="w-24 pl-2 text-sm">
              {entry.after < 0.9 * entry.before
                ? "less"
                : entry.after > 1.1 * entry.before
                  ? "more"
                  : "kept"}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
