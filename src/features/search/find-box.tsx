"use client";

import { Search } from "lucide-react";
import { useRouter } from "next/navigation";
import { Dialog } from "radix-ui";
import { lazy, Suspense, useEffect, useState } from "react";
import { singleKeys } from "@/ui/single-keys";
import { FIND_FIELD, FIND_PLACEHOLDER } from "./find-field";

/** The list with its keys, which comes when somebody first looks for something. */
const FindCommand = lazy(() =>
  import("./find-command").then(({ FindCommand: Loaded }) => ({ default: Loaded })),
);

/** Find anything: `/` opens it, arrows walk, Enter goes there. */
export function FindBox({ homeId }: { homeId: string }) {
  const router = useRouter();
  const [isOpen, setOpen] = useState(false);
  const [typed, setTyped] = useState("");

  // Keys belong to the window, which React does not own.
  useEffect(
    () =>
      singleKeys({
        "/": (event) => {
          const target = event.target as HTMLElement | null;
          if (target?.closest("input, textarea, select, [role=menu], [role=dialog]")) return;
          event.preventDefault();
          setOpen(true);
        },
      }),
    [],
  );

  const go = (href: string) => {
    setOpen(false);
    router.push(href);
  };
  return (
    <Dialog.Root open={isOpen} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <button
          type="button"
          aria-keyshortcuts="/"
          className="flex h-11 items-center gap-3 border-[1.5px] border-second bg-surface px-3 text-second wide:w-60"
        >
          <Search aria-hidden="true" strokeWidth={2.4} className="size-5 text-ink wide:hidden" />
          <span className="sr-only grow text-left wide:not-sr-only">Find unit, size, note</span>
          <kbd
            aria-hidden="true"
            className="hidden border border-rule px-1.5 font-sans text-sm wide:inline"
          >
            /
          </kbd>
        </button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-slate/60" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-4 left-1/2 z-50 flex max-h-[85dvh] w-[min(40rem,94vw)] -translate-x-1/2 flex-col border-t-8 border-ink bg-surface wide:top-24"
        >
          <Dialog.Title className="sr-only">Find</Dialog.Title>
          {/* Until the list is there a plain field takes what is typed: nobody waits to type. */}
          <Suspense
            fallback={
              <input
                autoFocus
                aria-label="Find"
                value={typed}
                onChange={(event) => setTyped(event.target.value)}
                placeholder={FIND_PLACEHOLDER}
                className={FIND_FIELD}
              />
            }
          >
            <FindCommand homeId={homeId} start={typed} onType={setTyped} onGo={go} />
          </Suspense>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
