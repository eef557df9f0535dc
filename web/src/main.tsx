import { QueryCache, QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { setNonce } from "get-nonce";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { BrowserRouter } from "react-router";
import { App } from "./app/App";
import { applySheet } from "./app/sheet";
import { Problem } from "./common/api/client";
import "./index.css";

const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content;
if (nonce) setNonce(nonce);
applySheet();

const client: QueryClient = new QueryClient({
  queryCache: new QueryCache({
    // A session that ran out shows the sign-in sheet, wherever it was noticed.
    onError: (error, query) => {
      if (error instanceof Problem && error.status === 401 && query.queryKey[0] !== "me")
        client.invalidateQueries({ queryKey: ["me"] });
    },
  }),
  defaultOptions: {
    queries: {
      // What the service refused stays refused; only an absent service is asked again.
      retry: (count, error) =>
        count < 2 && (!(error instanceof Problem) || error.status === 0 || error.status === 503),
      staleTime: 10_000,
    },
  },
});

createRoot(document.getElementById("root") as HTMLElement).render(
  <StrictMode>
    <QueryClientProvider client={client}>
      <BrowserRouter>
        <App />
      </BrowserRouter>
    </QueryClientProvider>
  </StrictMode>,
);
