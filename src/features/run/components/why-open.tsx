"use client";

import { Dialog } from "radix-ui";
import { useState } from "react";
import { Button } from "@/ui/button";
import { TextArea } from "@/ui/field";

const FEWEST_LETTERS = 3;

/** Asks in words why something stays open; without words it can't. */
export function WhyOpen({
  thing,
  onSay,
  onClose,
}: {
  thing: string;
  onSay: (words: string) => void;
  onClose: () => void;
}) {
  const [error, setError] = useState<string>();
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-slate/60" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-x-0 bottom-0 z-50 mx-auto max-w-xl border-t-8 border-attention bg-surface p-5 text-lg"
        >
          <Dialog.Title className="font-display text-2xl font-bold">
            {thing.charAt(0).toUpperCase() + thing.slice(1)}: why?
          </Dialog.Title>
          <form
            className="mt-3 flex flex-col gap-4"
            onSubmit={(event) => {
              event.preventDefault();
              const words = String(new FormData(event.currentTarget).get("words") ?? "").trim();
              if (words.length < FEWEST_LETTERS) setError("Say in a few words why it stays open.");
              else onSay(words);
            }}
          >
            <TextArea
              label="In your words, for whoever comes next"
              name="words"
              rows={3}
              maxLength={300}
              error={error}
            />
            <div className="flex gap-3">
              <Button type="submit" weight="strong">
                Leave it so
              </Button>
              <Dialog.Close asChild>
                <Button>Not after all</Button>
              </Dialog.Close>
            </div>
          </form>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
