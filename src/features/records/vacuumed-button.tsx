"use client";

import { useTransition } from "react";
import { Button } from "@/ui/button";
import { noteVacuumed } from "./record-actions";

/** That a filter was vacuumed where it sits, at one press. */
export function VacuumedButton({
  homeId,
  slotId,
  commandId,
}: {
  homeId: string;
  slotId: string;
  /** Of the entry, so that two presses make one. */
  commandId: string;
}) {
  const [pending, startTransition] = useTransition();
  return (
    <Button
      weight="quiet"
      pending={pending}
      onClick={() => startTransition(() => noteVacuumed(homeId, slotId, commandId))}
    >
      Vacuumed it on the spot
    </Button>
  );
}
