import { toast } from "sonner";

/** Says what was done and offers to take it back, for ten seconds. */
export function undoToast(words: string, undo: () => Promise<unknown>): void {
  toast(words, { action: { label: "Undo", onClick: () => void undo() } });
}
