"use client";

import { useRouter } from "next/navigation";
import { useTransition } from "react";
import { Button } from "@/ui/button";
import { sayProblem, undoToast } from "@/ui/toasts";
import type { Removable } from "@/server/commands/trash";
import { bringBack, removeThing } from "./removed-actions";

/** Removes at once, and offers to undo it; afterwards it waits among the removed things. */
export function RemoveButton({
  target,
  name,
  goTo,
}: {
  target: Removable;
  name: string;
  goTo: string;
}) {
  const router = useRouter();
  const [pending, startTransition] = useTransition();
  const remove = () =>
    startTransition(async () => {
      const problem = await removeThing(target);
      router.push(goTo);
      if (problem) return sayProblem(problem);
      undoToast(`Removed: ${name}`, async () => {
        await bringBack(target);
        router.refresh();
      });
    });
  return (
    <Button weight="quiet" pending={pending} onClick={remove}>
      Remove {name}
    </Button>
  );
}
