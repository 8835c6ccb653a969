"use client";

import { sayProblem, undoToast } from "@/ui/toasts";
import type { Removable } from "@/server/commands/trash";
import { bringBack, removeThing } from "./removed-actions";

/** Removes a row of a list at once, and offers to undo it. */
export function RemoveLink({ target, name }: { target: Removable; name: string }) {
  const remove = async () => {
    const problem = await removeThing(target);
    if (problem) sayProblem(problem);
    else undoToast(`Removed: ${name}`, () => bringBack(target));
  };
  return (
    <button
      type="button"
      onClick={() => void remove()}
      aria-label={`Remove: ${name}`}
      className="min-h-11 px-2 text-link"
    >
      {target.kind === "register" ? <span aria-hidden="true">×</span> : "Remove"}
    </button>
  );
}
