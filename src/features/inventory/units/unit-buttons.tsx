"use client";

import { useTransition } from "react";
import { Button } from "@/ui/button";
import { backIntoService, copyUnit } from "./unit-actions";

/** What can be done to a unit as a whole, at one press. */
export function UnitActions({
  homeId,
  unitId,
  isRetired,
  commandId,
}: {
  homeId: string;
  unitId: string;
  isRetired: boolean;
  /** Of the copy, so that two presses make one. */
  commandId: string;
}) {
  const [pending, startTransition] = useTransition();
  return (
    <li>
      {isRetired ? (
        <Button
          weight="quiet"
          pending={pending}
          onClick={() => startTransition(() => backIntoService(homeId, unitId))}
        >
          Put it back into service
        </Button>
      ) : (
        <Button
          weight="quiet"
          pending={pending}
          onClick={() => startTransition(() => copyUnit(homeId, unitId, commandId))}
        >
          Enter another one like it
        </Button>
      )}
    </li>
  );
}
