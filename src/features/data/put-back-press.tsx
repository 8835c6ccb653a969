"use client";

import { useRouter } from "next/navigation";
import { AlertDialog } from "radix-ui";
import { useState, useTransition } from "react";
import { Button } from "@/ui/button";
import { SEEN } from "@/run-client/last-seen";
import { pageTroubleWords } from "@/ui/trouble-words";
import { putBack } from "./copies-actions";

const UNREACHED = "Nothing was put back: Amber Lintel could not be reached. Ask again.";

/** Asks before a copy takes the place of everything, and says what becomes of what is here. */
export function PutBackPress({
  copy,
  day,
  origin,
  now,
}: {
  copy: { kind: string; name: string };
  day: string;
  /** Where it comes from: of one day there may be several. */
  origin: string;
  /** The homes that are here now; null where there are none. */
  now: string | null;
}) {
  const router = useRouter();
  const [problem, setProblem] = useState<string | null>(null);
  const [pending, startTransition] = useTransition();
  const go = () =>
    startTransition(async () => {
      try {
        const wrong = await putBack(copy);
        setProblem(wrong);
        if (wrong) return;
        SEEN.forget();
        router.push("/");
      } catch (error) {
        const trouble = pageTroubleWords(error);
        setProblem(trouble ? `${trouble.title}. Nothing was put back.` : UNREACHED);
      }
    });
  return (
    <AlertDialog.Root onOpenChange={() => setProblem(null)}>
      <AlertDialog.Trigger asChild>
        <Button aria-label={`Put back the copy of ${day}, ${origin}`}>Put back</Button>
      </AlertDialog.Trigger>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-slate/60" />
        <AlertDialog.Content className="fixed top-1/2 left-1/2 z-50 max-h-[90dvh] w-[min(34rem,92vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto border-4 border-ink bg-ground p-5">
          <AlertDialog.Title className="font-display text-xl font-bold">
            Put back the copy of {day}?
          </AlertDialog.Title>
          <AlertDialog.Description className="mt-2">
            {now
              ? `Everything here now (${now}) makes room for it, with all that was entered since. It is kept as a copy of today, in this list. What is off or open at a machine right now may not be on record in the copy: put that right first.`
              : "There is no home here now. What there is, removed homes too, is kept as a copy of today, in this list."}
          </AlertDialog.Description>
          {problem && (
            <p role="alert" className="mt-3 font-medium text-attention-text">
              {problem}
            </p>
          )}
          <div className="mt-4 flex flex-wrap gap-3">
            <Button weight="strong" pending={pending} onClick={go}>
              {pending ? "Putting it back…" : "Put it back"}
            </Button>
            <AlertDialog.Cancel asChild>
              <Button>Leave all as it is</Button>
            </AlertDialog.Cancel>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
