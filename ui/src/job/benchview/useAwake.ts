import { useEffect } from "react";

/** The screen stays lit while this is shown; where the browser cannot, nothing is lost. */
export function useAwake(): void {
  useEffect(() => {
    let isGone = false;
    let lock: WakeLockSentinel | undefined;
    const hold = async () => {
      if (document.visibilityState !== "visible" || !("wakeLock" in navigator)) return;
      lock = await navigator.wakeLock.request("screen").catch(() => undefined);
      if (isGone) void lock?.release();
    };
    // the system takes the lock away whenever the page is out of sight
    const again = () => void hold();
    again();
    document.addEventListener("visibilitychange", again);
    return () => {
      isGone = true;
      document.removeEventListener("visibilitychange", again);
      void lock?.release();
    };
  }, []);
}
