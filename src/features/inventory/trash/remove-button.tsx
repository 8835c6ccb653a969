"use client";

import { useRouter } from "next/navigation";
import { useTransition } from "react";
import { Button } from "@/ui/button";
import { undoToast } from "@/ui/undo-toast";
import { bringBack, removeThing, type Thing } from "./removed-actions";

/** Removes at once, and offers to undo it; afterwards it waits among the removed things. */
export function RemoveButton({ thing, name, goTo }: { thing: Thing; name: string; goTo: string }) {
  const router = useRouter();
  const [pending, startTransition] = useTransition();
  const remove = () =>
    startTransition(async () => {
      await removeThing(thing);
      router.push(goTo);
      undoToast(`Removed: ${name}`, async () => {
        await bringBack(thing);
        router.refresh();
      });
    });
  return (
    <Button weight="quiet" pending={pending} onClick={remove}>
      Remove {name}
    </Button>
  );
}
