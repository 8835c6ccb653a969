"use client";

import { useEffect, useState } from "react";
import { askForNotices, canNotice } from "@/ui/notices";

type Stage = "cannot" | "ask" | "granted" | "denied";

/** Asks the device whether it may call while a page of the home is open in the background. */
export function NotifyPress() {
  const [stage, setStage] = useState<Stage>("cannot");
  // What a browser allows is known only in it.
  useEffect(() => {
    if (!canNotice()) return;
    const { permission } = Notification;
    queueMicrotask(() => setStage(permission === "default" ? "ask" : permission));
  }, []);
  if (stage === "cannot") return null;
  if (stage !== "ask")
    return (
      <p role="status" className="flex min-h-12 items-center text-second">
        {stage === "granted"
          ? "This device calls while Amber Lintel is open on it."
          : "This device lets no page call."}
      </p>
    );
  const ask = async () => {
    const permission = await askForNotices();
    setStage(permission === "default" ? "ask" : permission);
  };
  return (
    <button
      type="button"
      onClick={() => void ask()}
      className="min-h-12 text-link underline underline-offset-4"
    >
      Call me on this device
    </button>
  );
}
