/** The typed way to the API. Every failure becomes a `Problem` that names field and remedy. */
import createClient, { type Middleware } from "openapi-fetch";
import type { components, paths } from "./schema";

export type Schema = components["schemas"];

export interface FieldProblem {
  field: string;
  problem: string;
  remedy: string;
}

export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly errors: FieldProblem[],
    /** As the service's log names the request. */
    readonly requestId = "",
  ) {
    super(
      errors.map((error) => `${error.field}: ${error.problem} ${error.remedy}`).join(" ") || title,
    );
  }
}

/** The problem document of a refusal; of one that is none, what its status says. */
export async function problemOf(response: Response): Promise<Problem> {
  const body: Partial<Schema["ProblemDocument"]> | null = await response.json().catch(() => null);
  const { title = response.statusText, errors = [], request_id = "" } = body ?? {};
  return new Problem(response.status, title, errors, request_id);
}

export const AWAY = new Problem(0, "The service does not answer", [
  {
    field: "connection",
    problem: "the service cannot be reached.",
    remedy: "Nothing typed is lost; try again in a moment.",
  },
]);

const refusals: Middleware = {
  async onResponse({ response }) {
    if (response.ok) return;
    throw await problemOf(response);
  },
  onError() {
    return AWAY;
  },
};

export const api = createClient<paths>({ baseUrl: "/" });
api.use(refusals);

/** The body of an answer whose failures have become exceptions already. */
export async function answer<T>(call: Promise<{ data?: T }>): Promise<T> {
  return (await call).data as T;
}

/** Time and zone as this device sees them. */
export function deviceMoment(): { at: string; time_zone: string } {
  return {
    at: new Date().toISOString(),
    time_zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  };
}
