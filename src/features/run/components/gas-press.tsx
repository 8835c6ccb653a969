"use client";

import { useState } from "react";
import type { Alarm } from "@/core/procedures/run-event";
import { Button } from "@/ui/button";
import { CloseDialog, RunDialog } from "./run-dialog";

/** One press from every step near a flame: what to do at a gas smell or a CO alarm. */
export function GasPress({ onAlarm }: { onAlarm: (alarm: Alarm) => void }) {
  const [isOpen, setOpen] = useState(false);
  const say = (alarm: Alarm) => {
    setOpen(false);
    onAlarm(alarm);
  };
  return (
    <>
      <button
        type="button"
        aria-label="Gas smell or CO alarm?"
        onClick={() => setOpen(true)}
        className="min-h-11 shrink-0 border-2 border-attention px-3 leading-tight font-semibold text-attention-text"
      >
        Gas?
      </button>
      {isOpen && (
        <RunDialog title="What is it?" onClose={() => setOpen(false)}>
          <div className="mt-4 flex flex-col gap-3">
            <Button weight="strong" className="min-h-16 text-xl" onClick={() => say("gas")}>
              It smells of gas
            </Button>
            <Button weight="strong" className="min-h-16 text-xl" onClick={() => say("co")}>
              A CO alarm sounds
            </Button>
            <CloseDialog asChild>
              <Button className="min-h-14">Neither</Button>
            </CloseDialog>
          </div>
        </RunDialog>
      )}
    </>
  );
}
