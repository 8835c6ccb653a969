import { ArrowLeft } from "lucide-react";
import { Link } from "@/ui/link";
import type { Alarm } from "@/core/runs/run-event";
import { Bracket } from "@/ui/bracket";
import type { RunWith } from "./run-with";
import { SafetyPress } from "../safety/safety-press";

/** What is done, how much is open, the way out for now, and how it is made safe. */
export function RunHead({
  known,
  open,
  emergency,
  onAlarm,
}: {
  known: RunWith;
  open: number;
  /** Whether what cannot wait is shown. */
  emergency: { isOpen: boolean; setOpen: (isOpen: boolean) => void };
  onAlarm: (alarm: Alarm) => void;
}) {
  return (
    <header className="sticky top-0 z-20 border-b-[5px] border-ink bg-ground">
      <div className="flex min-h-14 items-center justify-between gap-x-3 pr-4 pl-1">
        <Link
          href={`/homes/${known.homeId}`}
          aria-label="Leave for now"
          title="Leave for now: it goes on from here"
          className="flex h-12 w-11 shrink-0 items-center justify-center text-link no-underline"
        >
          <ArrowLeft aria-hidden="true" strokeWidth={2.5} className="size-7" />
        </Link>
        <h1 className="line-clamp-2 text-lg leading-tight" title={known.title}>
          {known.title}
        </h1>
        <p
          className="figures ml-auto flex shrink-0 items-center gap-1.5 text-right text-[1.125rem] leading-tight"
          data-open={open}
        >
          {open === 0 ? (
            <span className="hidden wide:inline">nothing open</span>
          ) : (
            <>
              <Bracket height={22} />
              {open}
              <span className="sr-only wide:not-sr-only"> left open</span>
            </>
          )}
        </p>
        <SafetyPress homeId={known.homeId} unit={known.unit} {...emergency} onAlarm={onAlarm} />
      </div>
    </header>
  );
}
