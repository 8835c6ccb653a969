import { Link } from "@/ui/link";
import type { ReactNode } from "react";
import type { HistoryLine } from "@/presentation/history-rows";
import { HistoryList } from "./history-list";

type Lines = {
  homeId: string;
  lines: HistoryLine[];
  /** How many there are in all. */
  total: number;
};

/** What was done and seen at a unit and its parts. */
export function UnitHistory({ unitId, ...lines }: Lines & { unitId: string }) {
  return (
    <History
      {...lines}
      empty="Nothing yet."
      add={
        <span className="flex flex-wrap gap-x-4">
          {[
            { href: `noticed?unit=${unitId}`, words: "Something noticed" },
            { href: `breakdowns/new?unit=${unitId}`, words: "It broke down" },
            { href: `units/${unitId}/note`, words: "Write a note" },
          ].map(({ href, words }) => (
            <Link
              key={href}
              href={`/homes/${lines.homeId}/${href}`}
              className="text-link underline underline-offset-4"
            >
              {words}
            </Link>
          ))}
        </span>
      }
    />
  );
}

/** What was done and seen at one part. */
export function PartHistory({
  partId,
  isFilter,
  isService,
  ...lines
}: Lines & { partId: string; isFilter: boolean; isService: boolean }) {
  return (
    <History
      {...lines}
      empty={
        isFilter
          ? "Nothing yet. When was this filter fitted? A guess is a good start."
          : "Nothing yet. When was it last seen to? A guess is a good start."
      }
      add={
        <Link
          href={`/homes/${lines.homeId}/parts/${partId}/changed`}
          className="text-link underline underline-offset-4"
        >
          {isService ? "Add what was done earlier" : "Add a change made earlier"}
        </Link>
      }
    />
  );
}

/** What was done and seen, the newest first; the older half of a long record on request. */
function History({ homeId, lines, total, empty, add }: Lines & { empty: string; add: ReactNode }) {
  return (
    <section aria-labelledby="history">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 id="history" className="text-lg">
          What was done and seen
        </h2>
        {add}
      </div>
      {lines.length === 0 && <p className="mt-2 text-second">{empty}</p>}
      <HistoryList homeId={homeId} lines={lines} />
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
