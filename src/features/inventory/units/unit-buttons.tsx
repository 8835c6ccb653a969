"use client";

import { useTransition } from "react";
import { Button } from "@/ui/button";
import { backIntoService, copyUnit } from "./unit-actions";

/** What can be done to a unit as a whole, at one press. */
export function UnitActions({
  homeId,
  unitId,
  isRetired,
}: {
  homeId: string;
  unitId: string;
  isRetired: boolean;
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
          onClick={() => startTransition(() => copyUnit(homeId, unitId))}
        >
          Enter another one like it
        </Button>
      )}
    </li>
  );
}
