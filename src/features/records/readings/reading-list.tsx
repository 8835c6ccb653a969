"use client";

import { Listing, type Column } from "@/ui/listing";
import { Needle, type Verdict } from "@/ui/needle";
import type { ReadingSeries } from "./readings-queries";

type ReadingRow = ReadingSeries["rows"][number];

/** The readings of one kind, each with its verdict. */
export function ReadingList({
  label,
  name,
  rows,
}: {
  label: string;
  name: string;
  rows: readonly ReadingRow[];
}) {
  return (
    <Listing
      {...{ label, name, rows }}
      columns={COLUMNS}
      words={({ when, words, under, verdict }) => [when, words, under, verdict].join(" ")}
      cardClass="grid-cols-3 items-center gap-x-4"
    />
  );
}

const COLUMNS: readonly Column<ReadingRow>[] = [
  {
    id: "when",
    heading: "When",
    className: "figures",
    sortsBy: ({ date }) => date,
    cell: ({ when }) => when,
  },
  {
    id: "read",
    heading: "Read",
    className: "figures font-semibold",
    sortsBy: ({ value }) => value,
    cell: ({ words, under }) => (
      <>
        {words}
        {under !== "" && (
          <span className="block text-[0.9375rem] font-normal text-second">{under}</span>
        )}
      </>
    ),
  },
  {
    id: "verdict",
    heading: "Verdict",
    sortsBy: ({ verdict }) => verdict,
    cell: ({ verdict }) => (
      <span className="flex items-center gap-2">
        <Needle verdict={verdict as Verdict} size={20} />
        {verdict}
      </span>
    ),
  },
];
