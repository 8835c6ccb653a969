"use client";

import { Dialog } from "radix-ui";
import { SHUT_OFF_WORDS } from "@/content/words";
import { offWords } from "@/presentation/shut-off-words";
import type { ShutOff } from "@/core/inventory/inventory";
import { Button } from "@/ui/button";

/** How a unit is shut off, in the order in which it is done. */
function ShutOffCard({ shutOffs }: { shutOffs: readonly ShutOff[] }) {
  return (
    <section
      aria-labelledby="shut-off"
      className="border-b-[5px] border-amber bg-slate px-4 py-3.5 text-on-slate"
    >
      <h2 id="shut-off" className="text-lg">
        How to shut it off
      </h2>
      <ShutOffList shutOffs={shutOffs} />
    </section>
  );
}

/** Beside the page where there is room, behind one press where there is none. */
export function ShutOffOnPage(props: { name: string; shutOffs: readonly ShutOff[] }) {
  return (
    <>
      <div className="wide:hidden">
        <ShutOffPress {...props} />
      </div>
      <div className="hidden wide:block">
        <ShutOffCard shutOffs={props.shutOffs} />
      </div>
    </>
  );
}

function ShutOffList({ shutOffs }: { shutOffs: readonly ShutOff[] }) {
  if (shutOffs.length === 0)
    return (
      <p className="mt-1">
        Not written down yet. Follow its cable and pipe away from it, then add it.
      </p>
    );
  return (
    <ol className="mt-1.5 list-decimal space-y-1 pl-5">
      {shutOffs.map((off) => (
        <li key={off.id}>
          {SHUT_OFF_WORDS[off.kind]}: {off.place}, {offWords(off)}
        </li>
      ))}
    </ol>
  );
}

/** The same behind one press, for pages that show something else of the unit. */
export function ShutOffPress({ name, shutOffs }: { name: string; shutOffs: readonly ShutOff[] }) {
  return (
    <Dialog.Root>
      <Dialog.Trigger asChild>
        <button
          type="button"
          className="flex min-h-11 items-center gap-3 border-b-4 border-amber bg-slate px-4 font-semibold text-on-slate"
        >
          How to shut it off
        </button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-slate/60" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 w-[min(30rem,92vw)] -translate-x-1/2 -translate-y-1/2 border-b-8 border-amber bg-slate p-6 text-lg text-on-slate"
        >
          <Dialog.Title className="font-display text-xl font-bold">
            {name}: how to shut it off
          </Dialog.Title>
          <ShutOffList shutOffs={shutOffs} />
          <Dialog.Close asChild>
            <Button className="mt-5 border-on-slate text-on-slate hover:bg-transparent">
              Close
            </Button>
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
