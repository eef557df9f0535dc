/** The figures of one set-up or two: each with its range, each opening its account. */
import { memo, type ReactNode } from "react";
import { answer, api, type Schema } from "../../common/api/client";
import { type Form, formOf } from "../../common/movement/form";
import { Asked } from "../../common/units/Explained";
import type { Answered, Which } from "./state";

interface Props {
  answered: Answered;
  forms: Form[];
}

type Reading = Schema["ReadingOf"];

export const Readings = memo(function Readings({ answered: { sheet, bench }, forms }: Props) {
  const { one, other } = bench;
  const both: [Which, Reading, Form][] = [["one", one, formOf(forms, one)]];
  if (other) both.push(["other", other, formOf(forms, other)]);

  const asked = (which: Which, figure: string, name: string, value: Schema["EstimateOut"]) => (
    <Asked
      name={name}
      figure={value}
      about={[sheet, which, figure]}
      ask={ask(sheet, which, figure)}
    />
  );
  const row = (name: string, cell: (reading: Reading, which: Which, form: Form) => ReactNode) => (
    <tr key={name} className="border-t border-hair align-top [&>*]:py-0.5 [&>*]:pr-3">
      <th scope="row" className="font-text font-normal text-faint">
        {name}
      </th>
      {both.map(([which, reading, form]) => (
        <td key={which}>{cell(reading, which, form)}</td>
      ))}
    </tr>
  );
  const parts = (kind: "forces" | "torques") => [
    ...new Set(both.flatMap(([, reading]) => Object.keys(reading[kind]))),
  ];
  const part = (kind: "forces" | "torques", single: string, name: string, label: string) =>
    row(label, (reading, which) => {
      const value = reading[kind][name];
      return value ? asked(which, `${single}.${name}`, label, value) : "–";
    });
  const counted = both.some(([, , form]) => form.counted === "reps");

  return (
    <table className="w-full">
      <thead>
        <tr className="lettering [&>th]:pr-3">
          <th>Reading</th>
          <th>{other ? "First" : "Likely (8 of 10 between)"}</th>
          {other && <th>Second</th>}
        </tr>
      </thead>
      <tbody>
        {row("limiting", (reading) => reading.measure)}
        {row("demand", (reading, which) => asked(which, "demand", "demand", reading.demand))}
        {row("share", (reading, which) => asked(which, "share", "share", reading.share))}
        {row("likely there", (reading, which) =>
          reading.expected ? (
            asked(which, "expected", "what is likely there", reading.expected)
          ) : (
            <span className="text-faint">{reading.expected_unavailable_reason}</span>
          ),
        )}
        {counted &&
          row("along the rep", (reading, which, form) => (
            <Along reading={reading} form={form} asked={(...rest) => asked(which, ...rest)} />
          ))}
        {counted &&
          row("work of a rep", (reading, which) => (
            <>
              {asked(which, "work", "work of a rep", reading.work)}, {reading.rep_time_s} s
            </>
          ))}
        {row("centre of mass", (reading, which) => (
          <Balance
            overhang={reading.overhang}
            asked={(name, value) => asked(which, "overhang", name, value)}
          />
        ))}
        {parts("forces").map((name) => part("forces", "force", name, `on the ${name}, upwards`))}
        {parts("torques").map((name) =>
          part("torques", "torque", name, `${name.replaceAll("_", " ")} torque`),
        )}
      </tbody>
    </table>
  );
});

export function ask(
  sheet: Schema["Sheet"],
  which: Schema["DerivationRequest"]["which"],
  figure: string,
) {
  return () => answer(api.POST("/api/bench/account", { body: { ...sheet, which, figure } }));
}

interface AlongProps {
  reading: Reading;
  form: Form;
  asked: (figure: string, name: string, value: Schema["EstimateOut"]) => ReactNode;
}

function Along({ reading, form, asked }: AlongProps) {
  const { along, peak_depth } = reading;
  const [start, end] = [along[0], along.at(-1)];
  const peak = along.find(({ depth }) => depth === peak_depth);
  if (!start || !end || !peak || along.length === 1) return "–";
  const between = peak !== start && peak !== end;
  const [begins, ends] = form.ends;
  return (
    <>
      {begins} {asked("start", `demand at the ${begins}`, start.demand)}
      {between && (
        <>
          <br />
          sticks at {Math.round(100 * peak_depth)} % {asked("peak", "greatest demand", peak.demand)}
        </>
      )}
      <br />
      {ends} {asked("end", `demand at the ${ends}`, end.demand)}
    </>
  );
}

interface BalanceProps {
  overhang: Schema["EstimateOut"];
  asked: (name: string, value: Schema["EstimateOut"]) => ReactNode;
}

/** Nearer than this nobody can say whether it is over, m. */
const NEAR = 0.005;

function Balance({ overhang, asked }: BalanceProps) {
  if (Math.max(Math.abs(overhang.low), Math.abs(overhang.high)) < NEAR) return "over the support";
  const ends = [Math.abs(overhang.low), Math.abs(overhang.high)] as const;
  const away = {
    unit: overhang.unit,
    likely: Math.abs(overhang.likely),
    low: overhang.low * overhang.high < 0 ? 0 : Math.min(...ends),
    high: Math.max(...ends),
  };
  return (
    <>
      {asked("how far the centre lies beyond the support", away)} beyond the support
      {overhang.likely !== 0 && `, towards the ${overhang.likely > 0 ? "head" : "feet"}`}
    </>
  );
}
