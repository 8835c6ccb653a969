import type { RunTime } from "./run-times";
import { NotifyPress } from "./notify-press";

/** A wait that holds nobody: how long, that one may go, and how one is called back. */
export function CallBack({
  runId,
  drying,
  left,
}: {
  runId: string;
  drying: RunTime;
  left: string;
}) {
  return (
    <section
      aria-label="You can leave now"
      className="flex max-w-[38rem] flex-col gap-3 border-y-[3px] border-ink py-4"
    >
      <p data-testid="wait" className="figures text-[2rem] leading-tight font-semibold">
        {left}
      </p>
      <p>
        {drying.words.charAt(0).toUpperCase() + drying.words.slice(1)}. You can leave now. What is
        open stands on every page with its hours, and this page goes on from here on any device.
      </p>
      <div className="flex flex-wrap gap-x-6 text-[1.125rem]">
        <a
          href={`/api/v1/runs/${runId}/ready.ics`}
          className="flex min-h-12 items-center text-link underline underline-offset-4"
        >
          Put it in my calendar, with an alarm
        </a>
        <NotifyPress />
      </div>
    </section>
  );
}
