"use client";

import { undoToast } from "@/ui/undo-toast";
import { bringBack, removeThing, type Thing } from "./removed-actions";

/** Removes a row of a list at once, and offers to undo it. */
export function RemoveLink({ thing, name }: { thing: Thing; name: string }) {
  const remove = async () => {
    await removeThing(thing);
    undoToast(`Removed: ${name}`, () => bringBack(thing));
  };
  return (
    <button
      type="button"
      onClick={() => void remove()}
      aria-label={`Remove: ${name}`}
      className="min-h-11 px-2 text-link"
    >
      {thing.kind === "register" ? <span aria-hidden="true">×</span> : "Remove"}
    </button>
  );
}
