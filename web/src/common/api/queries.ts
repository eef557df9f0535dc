/** What the places read; each key starts with what it is about, so that an act can refresh it. */
import { queryOptions, useQueryClient } from "@tanstack/react-query";
import { useCallback } from "react";
import { answer, api, type Schema } from "./client";

const path = (ladder_id: string) => ({ params: { path: { ladder_id } } });

export const queries = {
  me: queryOptions({
    queryKey: ["me"],
    queryFn: () => answer(api.GET("/api/me")),
    retry: false,
  }),
  invitations: queryOptions({
    queryKey: ["me", "invitations"],
    queryFn: () => answer(api.GET("/api/invitations")),
  }),
  archived: queryOptions({
    queryKey: ["me", "archived"],
    queryFn: () => answer(api.GET("/api/archived-athletes")),
  }),
  accountEvents: queryOptions({
    queryKey: ["me", "events"],
    queryFn: () => answer(api.GET("/api/me/events")),
  }),
  coaches: (athlete_id: string) =>
    queryOptions({
      queryKey: ["athlete", athlete_id, "coaches"],
      queryFn: () =>
        answer(api.GET("/api/athletes/{athlete_id}/coaches", { params: { path: { athlete_id } } })),
    }),
  squad: queryOptions({
    queryKey: ["squad"],
    queryFn: () => answer(api.GET("/api/squad")),
  }),
  catalogue: queryOptions({
    queryKey: ["catalogue"],
    queryFn: () => answer(api.GET("/api/catalogue")),
    staleTime: Number.POSITIVE_INFINITY,
  }),
  movementsCalled: (words: string) =>
    queryOptions({
      queryKey: ["catalogue", "called", words],
      queryFn: () => answer(api.GET("/api/movements", { params: { query: { words } } })),
      staleTime: Number.POSITIVE_INFINITY,
      placeholderData: (before: Schema["MovementsFound"] | undefined) => before,
    }),
  classClock: (template_id: string, athletes: string[], rotate: boolean) =>
    queryOptions({
      queryKey: ["squad", "class-clock", template_id, athletes, rotate],
      queryFn: () =>
        answer(
          api.GET("/api/session-templates/{template_id}/class-clock", {
            params: { path: { template_id }, query: { athletes, rotate } },
          }),
        ),
      staleTime: Number.POSITIVE_INFINITY,
    }),
  sessionPreview: (athlete_id: string, blocks: Schema["ShapeBlockOf"][]) =>
    queryOptions({
      queryKey: ["athlete", athlete_id, "session-preview", blocks],
      queryFn: () =>
        answer(
          api.POST("/api/athletes/{athlete_id}/session-preview", {
            params: { path: { athlete_id } },
            body: { name: "So far", blocks },
          }),
        ),
      retry: false,
    }),
  movementTags: queryOptions({
    queryKey: ["catalogue", "tags"],
    queryFn: () => answer(api.GET("/api/movement-tags")),
  }),
  ownMovementSeen: (own: Schema["OwnMovementOf"]) =>
    queryOptions({
      queryKey: ["own-movement", own],
      queryFn: () => answer(api.POST("/api/own-movements/preview", { body: own })),
      staleTime: Number.POSITIVE_INFINITY,
      placeholderData: (before: Schema["OwnMovementSeen"] | undefined) => before,
    }),
  athlete: (athlete_id: string) =>
    queryOptions({
      queryKey: ["athlete", athlete_id],
      queryFn: () =>
        answer(api.GET("/api/athletes/{athlete_id}", { params: { path: { athlete_id } } })),
    }),
  scaleChecks: (athlete_id: string) =>
    queryOptions({
      queryKey: ["athlete", athlete_id, "scale-checks"],
      queryFn: () =>
        answer(
          api.GET("/api/athletes/{athlete_id}/scale-checks", { params: { path: { athlete_id } } }),
        ),
    }),
  screen: (athlete_id: string) =>
    queryOptions({
      queryKey: ["athlete", athlete_id, "screen"],
      queryFn: () =>
        answer(api.GET("/api/athletes/{athlete_id}/screen", { params: { path: { athlete_id } } })),
    }),
  spared: (athlete_id: string) =>
    queryOptions({
      queryKey: ["athlete", athlete_id, "spared"],
      queryFn: () =>
        answer(api.GET("/api/athletes/{athlete_id}/spared", { params: { path: { athlete_id } } })),
    }),
  person: (athlete_id: string) =>
    queryOptions({
      queryKey: ["athlete", athlete_id, "person"],
      queryFn: () =>
        answer(api.GET("/api/athletes/{athlete_id}/person", { params: { path: { athlete_id } } })),
    }),
  readiness: (athlete_id: string) =>
    queryOptions({
      queryKey: ["athlete", athlete_id, "readiness"],
      queryFn: () =>
        answer(
          api.GET("/api/athletes/{athlete_id}/readiness", { params: { path: { athlete_id } } }),
        ),
    }),
  battery: (athlete_id: string) =>
    queryOptions({
      queryKey: ["athlete", athlete_id, "battery"],
      queryFn: () =>
        answer(api.GET("/api/athletes/{athlete_id}/battery", { params: { path: { athlete_id } } })),
    }),
  capacity: (athlete_id: string) =>
    queryOptions({
      queryKey: ["athlete", athlete_id, "capacity"],
      queryFn: () =>
        answer(
          api.GET("/api/athletes/{athlete_id}/capacity", { params: { path: { athlete_id } } }),
        ),
    }),
  skills: queryOptions({
    queryKey: ["skills"],
    queryFn: () => answer(api.GET("/api/skills")),
    staleTime: Number.POSITIVE_INFINITY,
  }),
  places: queryOptions({
    queryKey: ["places"],
    queryFn: () => answer(api.GET("/api/places")),
  }),
  ladder: (id: string) =>
    queryOptions({
      queryKey: ["ladder", id],
      queryFn: () => answer(api.GET("/api/ladders/{ladder_id}", path(id))),
    }),
  rung: (ladder_id: string, rung_id: string) =>
    queryOptions({
      queryKey: ["ladder", ladder_id, "rung", rung_id],
      queryFn: () =>
        answer(
          api.GET("/api/ladders/{ladder_id}/rungs/{rung_id}", {
            params: { path: { ladder_id, rung_id } },
          }),
        ),
    }),
  ways: (ladder_id: string, rung_id: string, step_percent: number) =>
    queryOptions({
      queryKey: ["ladder", ladder_id, "rung", rung_id, "ways", step_percent],
      queryFn: () =>
        answer(
          api.GET("/api/ladders/{ladder_id}/rungs/{rung_id}/adjustments", {
            params: { path: { ladder_id, rung_id }, query: { step_percent } },
          }),
        ),
    }),
  prescriptions: (id: string) =>
    queryOptions({
      queryKey: ["ladder", id, "prescriptions"],
      queryFn: () => answer(api.GET("/api/ladders/{ladder_id}/prescriptions", path(id))),
    }),
  bridge: (ladder_id: string, lower_id: string, upper_id: string) =>
    queryOptions({
      queryKey: ["ladder", ladder_id, "bridge", lower_id, upper_id],
      queryFn: () =>
        answer(
          api.GET("/api/ladders/{ladder_id}/bridge", {
            params: { path: { ladder_id }, query: { lower_id, upper_id } },
          }),
        ),
    }),
  beside: (ladder_id: string, athlete_id: string) =>
    queryOptions({
      queryKey: ["ladder", ladder_id, "beside", athlete_id],
      queryFn: () =>
        answer(
          api.GET("/api/ladders/{ladder_id}/beside/{athlete_id}", {
            params: { path: { ladder_id, athlete_id } },
          }),
        ),
      enabled: athlete_id !== "",
    }),
  movement: (movement_id: string, athlete_id: string) =>
    queryOptions({
      queryKey: ["movement", movement_id, athlete_id],
      queryFn: () =>
        answer(
          api.GET("/api/movements/{movement_id}", {
            params: { path: { movement_id }, query: { athlete_id } },
          }),
        ),
    }),
  placements: (athlete_id: string) =>
    queryOptions({
      queryKey: ["athlete", athlete_id, "placements"],
      queryFn: () =>
        answer(
          api.GET("/api/athletes/{athlete_id}/placements", { params: { path: { athlete_id } } }),
        ),
    }),
  week: (athlete_id: string, week_start: string) =>
    queryOptions({
      queryKey: ["athlete", athlete_id, "week", week_start],
      queryFn: () =>
        answer(
          api.GET("/api/athletes/{athlete_id}/week", {
            params: { path: { athlete_id }, query: week_start ? { week_start } : {} },
          }),
        ),
      // a worker may have planned it anew since
      refetchOnMount: "always",
    }),
  /** A plan that is not kept: its score, and the rules it breaks. */
  trial: (sheet: Schema["WeekSheet"], draft: Omit<Schema["ToKeep"], "number" | "note">) =>
    queryOptions({
      queryKey: ["athlete", sheet.athlete_id, "trial", sheet.week_start, draft],
      queryFn: () =>
        answer(
          api.POST("/api/athletes/{athlete_id}/week/preview", {
            params: {
              path: { athlete_id: sheet.athlete_id },
              query: { week_start: sheet.week_start },
            },
            body: { ...draft, number: sheet.revision, note: "" },
          }),
        ),
    }),
  daySession: (athlete_id: string, day: string) =>
    queryOptions({
      queryKey: ["athlete", athlete_id, "day", day],
      queryFn: () =>
        answer(
          api.GET("/api/athletes/{athlete_id}/days/{day}/session", {
            params: { path: { athlete_id, day } },
          }),
        ),
    }),
  readySessions: queryOptions({
    queryKey: ["athlete", "sessions to start from"],
    queryFn: () => answer(api.GET("/api/session-templates")),
  }),
  filledSession: (athlete_id: string, template_id: string) =>
    queryOptions({
      queryKey: ["athlete", athlete_id, "session", template_id],
      queryFn: () =>
        answer(
          api.GET("/api/athletes/{athlete_id}/session-templates/{template_id}", {
            params: { path: { athlete_id, template_id } },
          }),
        ),
    }),
  daily: (athlete_id: string) =>
    queryOptions({
      queryKey: ["athlete", athlete_id, "daily"],
      queryFn: () =>
        answer(api.GET("/api/athletes/{athlete_id}/daily", { params: { path: { athlete_id } } })),
    }),
  feed: (athlete_id: string) =>
    queryOptions({
      queryKey: ["athlete", athlete_id, "feed"],
      queryFn: () =>
        answer(api.GET("/api/athletes/{athlete_id}/feed", { params: { path: { athlete_id } } })),
    }),
  along: (athlete_id: string) =>
    queryOptions({
      queryKey: ["athlete", athlete_id, "along"],
      queryFn: () =>
        answer(api.GET("/api/athletes/{athlete_id}/floor", { params: { path: { athlete_id } } })),
    }),
  history: (athlete_id: string) =>
    queryOptions({
      queryKey: ["athlete", athlete_id, "done"],
      queryFn: () =>
        answer(api.GET("/api/athletes/{athlete_id}/history", { params: { path: { athlete_id } } })),
    }),
  setVersions: (athlete_id: string, set_id: string) =>
    queryOptions({
      queryKey: ["athlete", athlete_id, "versions", set_id],
      queryFn: () =>
        answer(
          api.GET("/api/athletes/{athlete_id}/sets/{set_id}/history", {
            params: { path: { athlete_id, set_id } },
          }),
        ),
    }),
  link: (athlete_id: string) =>
    queryOptions({
      queryKey: ["athlete", athlete_id, "link"],
      queryFn: () =>
        answer(api.GET("/api/athletes/{athlete_id}/link", { params: { path: { athlete_id } } })),
    }),
  reader: (athlete_id: string) =>
    queryOptions({
      queryKey: ["athlete", athlete_id, "letters"],
      queryFn: () =>
        answer(api.GET("/api/athletes/{athlete_id}/letters", { params: { path: { athlete_id } } })),
    }),
  letters: (key: string) =>
    queryOptions({
      queryKey: ["letters", key],
      queryFn: () => answer(api.GET("/api/letters/{key}", { params: { path: { key } } })),
      retry: false,
    }),
  notes: (athlete_id: string) =>
    queryOptions({
      queryKey: ["athlete", athlete_id, "notes"],
      queryFn: () =>
        answer(api.GET("/api/athletes/{athlete_id}/notes", { params: { path: { athlete_id } } })),
    }),
  forms: queryOptions({
    queryKey: ["catalogue", "forms"],
    queryFn: () => answer(api.GET("/api/bench/forms")),
    staleTime: Number.POSITIVE_INFINITY,
  }),
  bands: queryOptions({
    queryKey: ["bands"],
    queryFn: () => answer(api.GET("/api/bands")),
  }),
  record: (id: string) =>
    queryOptions({
      queryKey: ["ladder", id, "record"],
      queryFn: () => answer(api.GET("/api/ladders/{ladder_id}/record", path(id))),
      enabled: id !== "",
    }),
  personal: (id: string) =>
    queryOptions({
      queryKey: ["ladder", id, "personal"],
      queryFn: () => answer(api.GET("/api/ladders/{ladder_id}/personal", path(id))),
    }),
  review: (id: string) =>
    queryOptions({
      queryKey: ["ladder", id, "review"],
      queryFn: () => answer(api.GET("/api/ladders/{ladder_id}/review", path(id))),
    }),
  trends: (id: string, weeks: number) =>
    queryOptions({
      queryKey: ["ladder", id, "trends", weeks],
      queryFn: () =>
        answer(
          api.GET("/api/ladders/{ladder_id}/trends", {
            params: { path: { ladder_id: id }, query: { weeks } },
          }),
        ),
    }),
  session: (athlete_id: string, session_id: string) =>
    queryOptions({
      queryKey: ["athlete", athlete_id, "session", session_id],
      queryFn: () =>
        answer(
          api.GET("/api/athletes/{athlete_id}/sessions/{session_id}", {
            params: { path: { athlete_id, session_id } },
          }),
        ),
    }),
  messages: (before: string | null) =>
    queryOptions({
      queryKey: ["messages", before],
      queryFn: () => answer(api.GET("/api/messages", { params: { query: { before } } })),
      // until what is on its way has come to its end
      refetchInterval: ({ state }) =>
        state.data?.messages.some(({ status }) => status === "queued") ? 2000 : false,
    }),
};

/** What a query's key begins with, and so what an act can say that it changed. */
export type Root =
  | "me"
  | "catalogue"
  | "squad"
  | "athlete"
  | "ladder"
  | "bands"
  | "places"
  | "messages"
  | "letters";

/** Read anew what an act changed, and nothing else. */
export function useRefresh(...changed: Root[]): () => Promise<unknown> {
  const client = useQueryClient();
  const roots = changed.join(" ");
  return useCallback(
    () =>
      Promise.all(roots.split(" ").map((root) => client.invalidateQueries({ queryKey: [root] }))),
    [client, roots],
  );
}
