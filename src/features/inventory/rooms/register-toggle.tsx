"use client";

import { useOptimistic, useTransition } from "react";
import type { Register } from "@/core/inventory/inventory";
import { turnRegister } from "./rooms-actions";

/** A register as its lever stands: a press turns it. */
export function RegisterToggle({
  homeId,
  register,
  name,
}: {
  homeId: string;
  register: Register;
  name: string;
}) {
  const [isShut, show] = useOptimistic(register.isShut);
  const [, startTransition] = useTransition();
  const turn = () =>
    startTransition(async () => {
      show(!isShut);
      await turnRegister(homeId, register.id, !isShut);
    });
  return (
    <button
      type="button"
      onClick={turn}
      aria-pressed={isShut}
      data-shut={isShut || undefined}
      className="group flex min-h-11 items-center gap-2 px-1 text-left"
    >
      <Grille role={register.role} isShut={isShut} />
      <span>
        {name} <span className="text-second group-data-shut:hidden">open</span>
        <span className="hidden font-semibold text-attention-text group-data-shut:inline">
          shut
        </span>
      </span>
    </button>
  );
}

/** Slats that stand open or lie shut; a return is drawn with a frame within. */
function Grille({ role, isShut }: { role: Register["role"]; isShut: boolean }) {
  return (
    <svg
      aria-hidden="true"
      viewBox="0 0 30 22"
      width="30"
      className="shrink-0 stroke-ink"
      fill="none"
    >
      <rect x="1" y="1" width="28" height="20" strokeWidth="2" className="fill-surface" />
      {role === "return" && <rect x="4" y="4" width="22" height="14" strokeWidth="1" />}
      {isShut
        ? [6, 11, 16].map((y) => <line key={y} x1="5" x2="25" y1={y} y2={y} strokeWidth="3.4" />)
        : [8, 13, 18, 23].map((x) => (
            <line key={x} x1={x - 2} x2={x} y1="17" y2="5" strokeWidth="1.6" />
          ))}
    </svg>
  );
}
