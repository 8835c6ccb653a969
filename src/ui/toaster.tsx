"use client";

import { useEffect } from "react";
import { Toaster as Shown } from "sonner";

const LOOKS = {
  toast:
    "flex w-full items-center gap-4 border-l-[6px] border-amber bg-slate px-4 py-3 text-on-slate rounded-sm [overflow-wrap:break-word]!",
  title: "font-medium",
  actionButton:
    "ml-auto min-h-11 shrink-0 px-3 font-semibold whitespace-nowrap underline underline-offset-4 text-on-slate",
};

/** The place where short words appear; says when it stands, as what was said before is not shown. */
export default function Toaster({ onReady }: { onReady: () => void }) {
  // The library listens from its first effect on: ours comes after it.
  useEffect(onReady, [onReady]);
  return (
    <Shown
      position="bottom-center"
      duration={10_000}
      toastOptions={{ unstyled: true, classNames: LOOKS }}
    />
  );
}
