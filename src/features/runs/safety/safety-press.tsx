"use client";

import { useState } from "react";
import type { Alarm } from "@/core/runs/run-event";
import type { Unit } from "@/core/inventory/inventory";
import { Button } from "@/ui/button";
import { RunDialog } from "../guide/run-dialogs";
import { ShutOffLines } from "./shut-off-lines";

/** One press from every step: how the machine is shut off, and what to do at a gas smell or an alarm. */
export function SafetyPress({
  unit,
  hasGas,
  onAlarm,
}: {
  unit: Unit | undefined;
  hasGas: boolean;
  onAlarm: (alarm: Alarm) => void;
}) {
  const [isOpen, setOpen] = useState(false);
  if (!unit && !hasGas) return null;
  const say = (alarm: Alarm) => {
    setOpen(false);
    onAlarm(alarm);
  };
  const name = unit ? "How to shut it off" : "Gas smell or CO alarm?";
  return (
    <>
      <button
        type="button"
        title={name}
        onClick={() => setOpen(true)}
        className="min-h-12 shrink-0 border-b-4 border-amber bg-slate px-3 text-[1.125rem] leading-tight font-semibold whitespace-nowrap text-on-slate wide:px-4"
      >
        {hasGas ? "Emergency" : "Shut off"}
      </button>
      {isOpen && (
        <RunDialog title={name} onClose={() => setOpen(false)}>
          {unit &&
            (unit.shutOffs.length > 0 ? (
              <div className="mt-2">
                <ShutOffLines shutOffs={unit.shutOffs} />
              </div>
            ) : (
              <p className="mt-2">Not written down yet. Follow its cable and pipe away from it.</p>
            ))}
          <div className="mt-4 flex flex-col gap-3">
            {hasGas && (
              <>
                <Button weight="strong" className="min-h-16 text-xl" onClick={() => say("gas")}>
                  It smells of gas
                </Button>
                <Button weight="strong" className="min-h-16 text-xl" onClick={() => say("co")}>
                  A CO alarm sounds
                </Button>
              </>
            )}
            <Button className="min-h-14" onClick={() => setOpen(false)}>
              Back to the step
            </Button>
          </div>
        </RunDialog>
      )}
    </>
  );
}
