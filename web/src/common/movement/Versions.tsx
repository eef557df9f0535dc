/** A set that was put right: who changed what of it and when, down to its first version. */
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { Schema } from "../api/client";
import { queries } from "../api/queries";
import { dayAndTime } from "../units/figures";

const FIELDS: Record<string, string> = {
  amount: "count",
  least: "at the least",
  most: "at the most",
  partial: "partial reps",
  rpe: "effort",
  form_ok: "form held",
  faults: "form faults",
  felt_in: "felt in",
  pain_place: "where it hurts",
  prescribed_min: "asked, foot",
  prescribed_max: "asked, top",
  prescribed_rpe: "asked, effort",
  prescribed_open: "asked to its end",
};

interface Props {
  athleteId: string;
  set: Schema["LoggedSetOut"];
}

export function Versions({ athleteId, set }: Props) {
  const [open, setOpen] = useState(false);
  if (!set.corrects_set_id) return null;
  return (
    <span className={open ? "basis-full text-sm" : "text-sm"}>
      <button
        type="button"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        className="text-faint underline"
      >
        corrected
      </button>
      {open && <List athleteId={athleteId} set={set} />}
    </span>
  );
}

function List({ athleteId, set }: Props) {
  const versions = useQuery(queries.setVersions(athleteId, set.id)).data;
  if (!versions) return <p className="text-faint">Fetching the earlier versions …</p>;
  return (
    <ol aria-label="Versions of this set" className="border-l border-hair pl-2 text-faint">
      {versions.map((version, i) => (
        <li key={version.id}>
          {i === versions.length - 1 ? "First entered" : "Put right"} by {version.entered_by},{" "}
          {dayAndTime(version.kept_at)}
          {version.changed.map((field) => (
            <span key={field.field} className="block">
              {FIELDS[field.field] ?? field.field.replaceAll("_", " ")}: {field.before} →{" "}
              <b>{field.after}</b>
            </span>
          ))}
        </li>
      ))}
    </ol>
  );
}
