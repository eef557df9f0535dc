/** What went wrong with something typed, field by field. */
import { Problem } from "../api/client";

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
        {list.map((one) => (
          <li key={one.field + one.problem}>
            <b>{one.field}</b>: {one.problem} {one.remedy}
          </li>
        ))}
      </ul>
    </div>
  );
}
