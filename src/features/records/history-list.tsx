"use client";

import { Link } from "@/ui/link";
import { useMemo } from "react";
import type { HistoryLine } from "@/presentation/history-rows";
import { Listing, type Column } from "@/ui/listing";
import { WithdrawButton } from "./withdraw-button";

/** Entries of the record, each to be corrected or taken back. */
export function HistoryList({ homeId, lines }: { homeId: string; lines: readonly HistoryLine[] }) {
  const columns = useMemo(() => columnsOf(homeId), [homeId]);
  if (lines.length === 0) return null;
  return (
    <Listing
      isWhole
      label="What was done and seen"
      name="record"
      rows={lines}
      columns={columns}
      words={({ when, what, details }) => [when, what, ...details].join(" ")}
      cardClass="grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4"
    />
  );
}

const columnsOf = (homeId: string): Column<HistoryLine>[] => [
  {
    id: "when",
    heading: "When",
    className: "figures text-second wide:w-36 max-wide:col-span-2",
    sortsBy: ({ date }) => date,
    cell: ({ when }) => when,
  },
  {
    id: "what",
    heading: "What",
    sortsBy: ({ what }) => what,
    cell: ({ what, details, isChange }) => (
      <>
        <span className={isChange ? "font-semibold" : ""}>{what}</span>
        {details.length > 0 && <span className="text-second">, {details.join(", ")}</span>}
      </>
    ),
  },
  {
    id: "deeds",
    heading: "To do",
    isHeadingSaid: false,
    className: "wide:w-40",
    cell: ({ id, what, when }) => (
      <span className="flex justify-end wide:-mt-2.5 wide:-mb-2.5">
        <Link
          href={`/homes/${homeId}/entries/${id}`}
          aria-label={`Correct: ${what}, ${when}`}
          className="flex min-h-11 items-center px-2 text-link"
        >
          Correct
        </Link>
        <WithdrawButton homeId={homeId} eventId={id} words={`${what}, ${when}`} />
      </span>
    ),
  },
];
