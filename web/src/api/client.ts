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
  ) {
    super(errors.map((one) => `${one.field}: ${one.problem} ${one.remedy}`).join(" ") || title);
  }
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
    const body = await response.json().catch(() => null);
    throw new Problem(response.status, body?.title ?? response.statusText, body?.errors ?? []);
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
export function deviceMoment(): { at: string; zone: string } {
  return {
    at: new Date().toISOString(),
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  };
}
