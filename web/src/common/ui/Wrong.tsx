/** What went wrong with something typed, field by field. */
import { Problem } from "../api/client";

/** By what name whoever runs the service finds this in its log. */
export function RequestName({ error }: { error: Error }) {
  if (!(error instanceof Problem) || error.status < 500 || !error.requestId) return null;
  return <p className="text-faint">Request {error.requestId} in the service's log.</p>;
}

export function Wrong({ error }: { error: Error | null }) {
  if (!error) return null;
  const list = error instanceof Problem ? error.errors : [];
  return (
    <div role="alert" className="my-3 border-l-4 border-over bg-wash p-3">
      <strong className="font-head text-over">
        {error instanceof Problem ? error.title : "Something went wrong"}
      </strong>
      {list.length === 0 && <p>{error.message}</p>}
      <ul>
        {list.map((entry) => (
          <li key={entry.field + entry.problem}>
            <b>{entry.field}</b>: {entry.problem} {entry.remedy}
          </li>
        ))}
      </ul>
      <RequestName error={error} />
    </div>
  );
}
