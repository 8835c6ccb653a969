"use client";

import { useRouter } from "next/navigation";
import { useEffect } from "react";
import { notice } from "@/ui/notices";
import { say } from "@/ui/toasts";

/** A wait longer than this is not set on a timer at once: browsers count no further. */
const LONGEST_TIMER_MS = 2_000_000_000;

/** While any page of a home is open: calls when something has dried, and brings the page up to date. */
export function DryCall({
  waits,
  serverNow,
}: {
  waits: readonly { runId: string; words: string; readyAt: string }[];
  serverNow: string;
}) {
  const router = useRouter();
  // The browser's timers and notices are outside React.
  useEffect(() => {
    const timers = waits.map(({ runId, words, readyAt }) => {
      const left = Date.parse(readyAt) - Date.parse(serverNow);
      if (left <= 0 || left > LONGEST_TIMER_MS) return undefined;
      return setTimeout(() => {
        router.refresh();
        if (navigator.userActivation?.hasBeenActive) navigator.vibrate?.([200, 100, 200]);
        void say({
          words,
          stays: true,
          action: { label: "Put it back", onClick: () => router.push(`/runs/${runId}`) },
        });
        void notice(words, runId, `/runs/${runId}`);
      }, left);
    });
    return () => timers.forEach(clearTimeout);
  }, [waits, serverNow, router]);
  return null;
}
