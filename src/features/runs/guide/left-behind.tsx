"use client";

import { useRouter } from "next/navigation";
import { useEffect } from "react";
import { browserStore } from "@/run-client/device-store";
import { runsWaiting, sendLeftBehind } from "@/run-client/left-behind";
import { RETRY_MS } from "@/run-client/run-sync";
import { sendEvents } from "@/run-client/send-events";
import { say } from "@/ui/toasts";

const waiting = (): string[] => {
  try {
    return runsWaiting(Object.keys(localStorage));
  } catch {
    // A store that is shut off holds nothing.
    return [];
  }
};

/** On every page of a home: hands over what the page of a run had no time, or no server, to hand over. */
export function LeftBehind() {
  const router = useRouter();
  // The device's store and the network are outside React.
  useEffect(() => {
    let isGone = false;
    let isSending = false;
    let timer: ReturnType<typeof setTimeout>;
    const go = async () => {
      const runIds = waiting();
      if (runIds.length === 0 || isSending) return;
      isSending = true;
      const { taken, waits, told } = await sendLeftBehind(browserStore(), runIds, sendEvents);
      isSending = false;
      for (const { id, words } of told)
        void say({
          words,
          stays: true,
          action: { label: "Open the job", onClick: () => router.push(`/runs/${id}`) },
        });
      if (isGone) return;
      if (taken > 0) router.refresh();
      clearTimeout(timer);
      if (waits) timer = setTimeout(() => void go(), RETRY_MS);
    };
    const onOnline = () => void go();
    void go();
    window.addEventListener("online", onOnline);
    return () => {
      isGone = true;
      clearTimeout(timer);
      window.removeEventListener("online", onOnline);
    };
  }, [router]);
  return null;
}
