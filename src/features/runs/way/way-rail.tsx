import { Dialog } from "radix-ui";
import { Button } from "@/ui/button";
import type { ThereAndBack } from "./there-and-back";
import { ThereAndBackV } from "./there-and-back-v";

/** The V beside the step; on a phone a narrow rail without words, which a tap opens. */
export function WayRail({ way }: { way: ThereAndBack }) {
  return (
    <>
      <div className="hidden wide:block">
        <ThereAndBackV way={way} words />
      </div>
      <Dialog.Root>
        <Dialog.Trigger
          aria-label="What is open, there and back"
          className="block w-full wide:hidden"
        >
          <ThereAndBackV way={way} words={false} />
        </Dialog.Trigger>
        <Dialog.Portal>
          <Dialog.Overlay className="fixed inset-0 z-40 bg-slate/60" />
          <Dialog.Content
            aria-describedby={undefined}
            className="fixed inset-x-4 top-6 z-50 flex max-h-[92dvh] flex-col gap-4 overflow-y-auto border-t-8 border-ink bg-surface p-5 text-lg"
          >
            <Dialog.Title className="font-display text-2xl font-bold">There and back</Dialog.Title>
            <div className="mx-auto w-40">
              <ThereAndBackV way={way} words />
            </div>
            <Dialog.Close asChild>
              <Button className="min-h-14 text-lg">Close</Button>
            </Dialog.Close>
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
    </>
  );
}
