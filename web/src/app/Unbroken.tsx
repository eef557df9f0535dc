import { Component, type ReactNode } from "react";
import { AWAY } from "../common/api/client";
import { Away } from "../common/ui/Away";

interface State {
  error: Error | null;
}

/** Keeps a place that broke from taking the sheet with it. */
export class Unbroken extends Component<{ children: ReactNode }, State> {
  override state: State = { error: null };

  static getDerivedStateFromError(cause: Error): State {
    // A place's own script could not be fetched: the service is away.
    const away = /dynamically imported module/.test(cause.message);
    return { error: away ? AWAY : cause };
  }

  override render() {
    const { error } = this.state;
    if (!error) return this.props.children;
    return <Away error={error} retry={comeBack} />;
  }
}

/** Load the page again once the service answers; until then the plain page stays. */
async function comeBack() {
  const answers = await fetch("/api/health").then(
    (response) => response.ok,
    () => false,
  );
  if (answers) location.reload();
}
