/** Keep the screen awake while a session runs, where the browser allows. */
import { useEffect } from "react";

export function useWake(on: boolean) {
  useEffect(() => {
    if (!on || !("wakeLock" in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let left = false;
    const take = () => {
      if (document.visibilityState !== "visible") return;
      navigator.wakeLock.request("screen").then(
        (taken) => {
          if (left) void taken.release();
          else lock = taken;
        },
        () => undefined, // a low battery may say no; the session runs on
      );
    };
    take();
    document.addEventListener("visibilitychange", take);
    return () => {
      left = true;
      document.removeEventListener("visibilitychange", take);
      void lock?.release();
    };
  }, [on]);
}
