"use client";

import { Dialog } from "radix-ui";
import type { ReactNode } from "react";

/** What a run asks in passing, from the foot of the screen where the thumb is. */
export function RunDialog({
  title,
  onClose,
  children,
}: {
  title: string;
  onClose: () => void;
  children: ReactNode;
}) {
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-slate/60" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-x-0 bottom-0 z-50 mx-auto max-h-[92dvh] max-w-xl overflow-y-auto border-t-8 border-attention bg-surface p-5 text-lg"
        >
          <Dialog.Title className="font-display text-2xl font-bold">{title}</Dialog.Title>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

export const CloseDialog = Dialog.Close;
