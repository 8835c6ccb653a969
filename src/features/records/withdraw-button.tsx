"use client";

import { useTransition } from "react";
import { undoToast } from "@/ui/toasts";
import { restoreEntry, withdrawEntry } from "./history-actions";

export function WithdrawButton({
  homeId,
  eventId,
  words,
}: {
  homeId: string;
  eventId: string;
  words: string;
}) {
  const [pending, startTransition] = useTransition();
  const withdraw = () =>
    startTransition(async () => {
      const withdrawal = await withdrawEntry(homeId, eventId);
      if (withdrawal) undoToast(`Taken out: ${words}`, () => restoreEntry(homeId, withdrawal));
    });
  return (
    <button
      type="button"
      disabled={pending}
      onClick={withdraw}
      aria-label={`Take out: ${words}`}
      className="flex min-h-11 items-center px-2 text-link disabled:opacity-60"
    >
      Take out
    </button>
  );
}
