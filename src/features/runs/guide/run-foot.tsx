import type { ReactNode } from "react";

const BIG =
  "flex min-h-14 low:min-h-11 items-center justify-center px-4 text-[1.1875rem] leading-tight low:px-2 low:text-base font-semibold rounded-sm border-2 border-ink";

/** What the thumb reaches: what else one may want to say, and the two ways on. */
export function RunFoot({
  goOnWords,
  canGoOn,
  onGoOn,
  canGoBack,
  onBack,
  children,
}: {
  goOnWords: string;
  canGoOn: boolean;
  onGoOn: () => void;
  canGoBack: boolean;
  onBack: () => void;
  children: ReactNode;
}) {
  return (
    <footer className="sticky bottom-0 z-10 border-t border-rule bg-surface px-4 pt-1 pb-4 low:flex low:flex-row-reverse low:items-center low:gap-4 low:py-1">
      <div className="flex flex-wrap items-center justify-between gap-x-3 wide:justify-start wide:gap-x-8 low:flex-nowrap low:whitespace-nowrap">
        {children}
      </div>
      <div className="grid grid-cols-[6.5rem_1fr] gap-3 low:grow low:grid-cols-[4.5rem_1fr]">
        <button
          type="button"
          onClick={onBack}
          disabled={!canGoBack}
          className={`${BIG} disabled:border-rule disabled:text-second`}
        >
          Back
        </button>
        <button
          type="button"
          onClick={onGoOn}
          aria-disabled={!canGoOn || undefined}
          className={`${BIG} bg-ink text-ground aria-disabled:border-second aria-disabled:bg-second`}
        >
          {goOnWords}
        </button>
      </div>
    </footer>
  );
}
