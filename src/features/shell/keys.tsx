"use client";

import { useRouter } from "next/navigation";
import { Dialog } from "radix-ui";
import { useEffect, useState } from "react";
import { Button } from "@/ui/button";
import { singleKeys } from "@/ui/single-keys";

const KEYS = [
  ["t", "Today"],
  ["h", "House"],
  ["y", "Year"],
  ["n", "Note a look, or a reading"],
  ["i", "something noticed: a smell, a noise, weak air"],
  ["/", "find a unit, a size, a word"],
  ["← →", "walk along the beam, from peg to peg"],
  ["Space", "in a job: done, go on"],
  ["Backspace", "in a job: back"],
  ["o", "in a job: say why something stays open"],
  ["!", "emergency: gas, an alarm, fire, water, sparks, a shock"],
  ["?", "this list"],
] as const;

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  target.closest("input, textarea, select, [role=menu], [role=dialog]");

/** The keys of every page of a home, and the list of them. */
export function Keys({ homeId }: { homeId: string }) {
  const router = useRouter();
  const [listed, setListed] = useState(false);

  // Keys belong to the window, which React does not own.
  useEffect(() => {
    const on = (act: () => void) => (event: KeyboardEvent) => {
      if (isTyping(event.target)) return;
      event.preventDefault();
      act();
    };
    return singleKeys({
      t: on(() => router.push(`/homes/${homeId}`)),
      h: on(() => router.push(`/homes/${homeId}/house`)),
      y: on(() => router.push(`/homes/${homeId}/year`)),
      n: on(() => router.push(`/homes/${homeId}/look`)),
      i: on(() => router.push(`/homes/${homeId}/noticed`)),
      "Shift+!": on(() => router.push(`/emergency/${homeId}`)),
      "!": on(() => router.push(`/emergency/${homeId}`)),
      "Shift+?": on(() => setListed(true)),
      "?": on(() => setListed(true)),
    });
  }, [router, homeId]);

  return (
    <Dialog.Root open={listed} onOpenChange={setListed}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-slate/60" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 w-[min(28rem,92vw)] -translate-x-1/2 -translate-y-1/2 border-t-8 border-ink bg-surface p-6"
        >
          <Dialog.Title className="font-display text-xl font-bold">Keys</Dialog.Title>
          <dl className="mt-3 grid grid-cols-[7rem_1fr]">
            {KEYS.map(([key, words]) => (
              <div key={key} className="contents">
                <dt className="border-t border-rule py-2 font-semibold">{key}</dt>
                <dd className="border-t border-rule py-2">{words}</dd>
              </div>
            ))}
          </dl>
          <p className="mt-3 text-second">
            They can be turned off in the menu under the home’s name.
          </p>
          <Dialog.Close asChild>
            <Button className="mt-4">Close</Button>
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
