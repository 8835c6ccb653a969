"use client";

import { EMERGENCIES } from "@/content/emergencies";
import type { Alarm } from "@/core/runs/run-event";
import type { Unit } from "@/core/inventory/inventory";
import { Button } from "@/ui/button";
import { Link } from "@/ui/link";
import { RunDialog } from "../guide/run-dialogs";
import { ShutOffLines } from "./shut-off-lines";

/** One press from every step: how the machine is shut off, and the six things that cannot wait. */
export function SafetyPress({
  homeId,
  unit,
  isOpen,
  setOpen,
  onAlarm,
}: {
  homeId: string;
  unit: Unit | undefined;
  isOpen: boolean;
  setOpen: (isOpen: boolean) => void;
  /** Gas and carbon monoxide put the whole job on hold. */
  onAlarm: (alarm: Alarm) => void;
}) {
  return (
    <>
      <button
        type="button"
        title="How to shut it off, and what cannot wait"
        onClick={() => setOpen(true)}
        className="min-h-12 shrink-0 border-b-4 border-attention bg-wash px-3 text-[1.125rem] leading-tight font-semibold whitespace-nowrap text-ink wide:px-4"
      >
        Emergency
      </button>
      {isOpen && (
        <RunDialog title="Emergency" onClose={() => setOpen(false)}>
          {unit &&
            (unit.shutOffs.length > 0 ? (
              <div className="mt-2">
                <ShutOffLines shutOffs={unit.shutOffs} />
              </div>
            ) : (
              <p className="mt-2">Not written down yet. Follow its cable and pipe away from it.</p>
            ))}
          <ul className="mt-4 flex flex-col gap-2">
            {EMERGENCIES.map(({ id, line }) => (
              <li key={id}>
                {id === "gas" || id === "co" ? (
                  <Button
                    weight="strong"
                    className="min-h-14 w-full text-xl"
                    onClick={() => {
                      setOpen(false);
                      onAlarm(id);
                    }}
                  >
                    {line}
                  </Button>
                ) : (
                  <Link
                    href={`/emergency/${homeId}/${id}${unit ? `?unit=${unit.id}` : ""}`}
                    className="flex min-h-14 items-center border-l-[10px] border-attention bg-wash px-4 text-xl font-semibold text-ink no-underline"
                  >
                    {line}
                  </Link>
                )}
              </li>
            ))}
          </ul>
          <Button className="mt-4 min-h-14" onClick={() => setOpen(false)}>
            Back to the step
          </Button>
        </RunDialog>
      )}
    </>
  );
}
