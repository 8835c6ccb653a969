import Link from "next/link";
import type { ReactNode } from "react";
import type { HistoryLine } from "@/presentation/history-rows";
import { WithdrawButton } from "./withdraw-button";

/** What was done and seen, the newest first; the older half of a long record on request. */
export function History({
  homeId,
  lines,
  total,
  empty,
  add,
}: {
  homeId: string;
  lines: HistoryLine[];
  /** How many there are in all. */
  total: number;
  empty: string;
  add: ReactNode;
}) {
  return (
    <section aria-labelledby="history">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 id="history" className="text-lg">
          What was done and seen
        </h2>
        {add}
      </div>
      {lines.length === 0 && <p className="mt-2 text-second">{empty}</p>}
      <ol className="mt-2">
        {lines.map((line) => (
          <HistoryRow key={line.id} {...{ homeId, line }} />
        ))}
      </ol>
      {total > lines.length && (
        <Link
          href="?record=all"
          scroll={false}
          className="inline-flex min-h-11 items-center text-link underline underline-offset-4"
        >
          {total - lines.length} older
        </Link>
      )}
    </section>
  );
}

function HistoryRow({ homeId, line }: { homeId: string; line: HistoryLine }) {
  const { id, when, what, details, isChange } = line;
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 border-t border-rule wide:grid-cols-[8.5rem_minmax(0,1fr)_auto]">
      <span className="figures text-second max-wide:col-span-2 max-wide:pt-1.5">{when}</span>
      <span>
        <span className={isChange ? "font-semibold" : ""}>{what}</span>
        {details.length > 0 && <span className="text-second">, {details.join(", ")}</span>}
      </span>
      <span className="flex">
        <Link
          href={`/homes/${homeId}/entries/${id}`}
          aria-label={`Correct: ${what}, ${when}`}
          className="flex min-h-11 items-center px-2 text-link"
        >
          Correct
        </Link>
        <WithdrawButton homeId={homeId} eventId={id} words={`${what}, ${when}`} />
      </span>
    </li>
  );
}
