/** The block at the foot of every sheet: whose it is, what it shows, to which scale, as of when. */

export interface TitleCells {
  athlete?: string;
  sheet: string;
  scale?: string;
  date: string;
  revision?: string;
}

export function TitleBlock(cells: TitleCells) {
  const shown: [string, string][] = [
    ["Athlete", cells.athlete ?? "all"],
    ["Sheet", cells.sheet],
    ["Scale", cells.scale ?? "none"],
    ["Date", cells.date],
    ["Revision", cells.revision ?? "–"],
  ];
  return (
    <footer className="mt-auto border-t border-ink">
      <dl className="flex flex-wrap">
        {shown.map(([name, value]) => (
          <div
            key={name}
            className="min-w-28 flex-auto border-r border-hair px-3 py-1 last:border-0"
          >
            <dt className="lettering leading-tight">{name}</dt>
            <dd className="leading-tight">{value}</dd>
          </div>
        ))}
      </dl>
    </footer>
  );
}

export function today(): string {
  return new Date().toLocaleDateString("en-GB", {
    day: "numeric",
    month: "short",
    year: "numeric",
  });
}
