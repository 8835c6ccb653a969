import { useState } from "react";
import { Button } from "@/ui/button";
import { RunSheetDialog } from "../guide/run-dialogs";
import type { ThereAndBack } from "./there-and-back";
import { ThereAndBackV } from "./there-and-back-v";

/** The V beside the step; on a phone a narrow rail without words, which a tap opens. */
export function WayRail({ way }: { way: ThereAndBack }) {
  const [isOpen, setOpen] = useState(false);
  const close = () => setOpen(false);
  return (
    <>
      <div className="hidden wide:block">
        <ThereAndBackV way={way} words />
      </div>
      <button
        type="button"
        aria-label="What is open, there and back"
        aria-haspopup="dialog"
        onClick={() => setOpen(true)}
        className="block w-full wide:hidden"
      >
        <ThereAndBackV way={way} words={false} />
      </button>
      {isOpen && (
        <RunSheetDialog title="There and back" onClose={close}>
          <div className="mx-auto w-40">
            <ThereAndBackV way={way} words />
          </div>
          <Button className="min-h-14 text-lg" onClick={close}>
            Close
          </Button>
        </RunSheetDialog>
      )}
    </>
  );
}
