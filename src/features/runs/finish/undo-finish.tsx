"use client";

import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { Button } from "@/ui/button";
import { newId } from "@/run-client/new-id";

const SECONDS = 10;

/** For ten seconds after a finish: takes it back, and the run goes on where it was. */
export function UndoFinish({
  runId,
  endedAt,
  serverNow,
}: {
  runId: string;
  endedAt: string;
  serverNow: string;
}) {
  const router = useRouter();
  const gone = Math.max(0, (Date.parse(serverNow) - Date.parse(endedAt)) / 1000);
  const [left, setLeft] = useState(Math.ceil(SECONDS - gone));
  const [trouble, setTrouble] = useState<string | null>(null);
  const isNear = left > 0;
  // The clock is outside React.
  useEffect(() => {
    if (!isNear) return;
    const timer = setInterval(() => setLeft((seconds) => seconds - 1), 1000);
    return () => clearInterval(timer);
  }, [isNear]);
  if (!isNear && !trouble) return null;
  const undo = async () => {
    const event = {
      id: newId(),
      at: new Date(Date.parse(serverNow)).toISOString(),
      kind: "undone",
    };
    const answer = await fetch(`/api/v1/runs/${runId}/events`, {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ events: [event] }),
    }).catch(() => null);
    const body = (await answer?.json().catch(() => null)) as { refused?: unknown[] } | null;
    if (answer?.ok && body?.refused?.length === 0) return router.refresh();
    setTrouble("That came too late. Correct it entry by entry below.");
  };
  return (
    <p
      role="status"
      className="no-print mb-6 flex min-h-14 flex-wrap items-center justify-between gap-3 bg-slate px-4 text-on-slate"
    >
      {trouble ?? "Written down."}
      {!trouble && (
        <Button weight="quiet" className="min-h-14 text-on-slate!" onClick={() => void undo()}>
          Undo <span className="figures">({left})</span>
        </Button>
      )}
    </p>
  );
}
