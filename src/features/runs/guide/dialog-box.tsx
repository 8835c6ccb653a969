"use client";

import { Dialog } from "radix-ui";
import type { ReactNode } from "react";

export type DialogBoxProps = {
  title: string;
  onClose: () => void;
  /** Where it rises from: the foot of the screen, where the thumb is, or its head. */
  from: "foot" | "head";
  children: ReactNode;
};

/** A box over the screen of a run, in the library's own hands: focus, Escape, what lies behind. */
export default function DialogBox({ title, onClose, from, children }: DialogBoxProps) {
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-slate/60" />
        <Dialog.Content
          aria-describedby={undefined}
          data-from={from}
          className="fixed z-50 max-h-[92dvh] overflow-y-auto border-t-8 bg-surface p-5 text-lg data-[from=foot]:inset-x-0 data-[from=foot]:bottom-0 data-[from=foot]:mx-auto data-[from=foot]:max-w-xl data-[from=foot]:border-attention data-[from=head]:inset-x-4 data-[from=head]:top-6 data-[from=head]:flex data-[from=head]:flex-col data-[from=head]:gap-4 data-[from=head]:border-ink"
        >
          <Dialog.Title className="font-display text-2xl font-bold">{title}</Dialog.Title>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
