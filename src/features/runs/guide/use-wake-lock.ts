"use client";

import { useEffect } from "react";

/** Keeps the screen awake while a run is open, where the browser can. */
export function useWakeLock(): void {
  // The lock is the device's, and it drops it whenever the page is hidden.
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    const hold = async () => {
      if (document.visibilityState !== "visible" || !("wakeLock" in navigator)) return;
      lock = await navigator.wakeLock.request("screen").catch(() => null);
    };
    const again = () => void hold();
    again();
    document.addEventListener("visibilitychange", again);
    return () => {
      document.removeEventListener("visibilitychange", again);
      void lock?.release();
    };
  }, []);
}
