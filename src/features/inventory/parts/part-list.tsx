"use client";

import { Link } from "@/ui/link";
import { useMemo } from "react";
import { Gauge } from "@/ui/gauge";
import { Listing, type Column } from "@/ui/listing";
import type { PartRow } from "../units/unit-queries";

/** The parts of a machine that are no filter slots. */
export function PartList({ homeId, rows }: { homeId: string; rows: readonly PartRow[] }) {
  const columns = useMemo(() => columnsOf(homeId), [homeId]);
  if (rows.length === 0) return null;
  return (
    <Listing
      label="Its other parts"
      name="parts"
      rows={rows}
      columns={columns}
      words={({ name, says, due }) => [name, says, due].join(" ")}
      cardClass="grid-cols-[1.5rem_minmax(0,1fr)_auto] gap-x-3"
    />
  );
}

const columnsOf = (homeId: string): Column<PartRow>[] => [
  {
    id: "used",
    heading: "Time used",
    isHeadingSaid: false,
    className: "wide:w-9 wide:align-top max-wide:row-span-2",
    cell: ({ fill }) =>
      fill !== null && (
        <Gauge fill={fill} label={`${Math.round(100 * fill)} % of its time`} height={30} />
      ),
  },
  {
    id: "part",
    heading: "Part",
    sortsBy: ({ name }) => name,
    cell: ({ id, name }) => (
      <Link
        href={`/homes/${homeId}/parts/${id}`}
        className="inline-flex min-h-8 items-center font-semibold no-underline hover:underline"
      >
        {name}
      </Link>
    ),
  },
  {
    id: "last",
    heading: "Last seen to",
    className: "text-[0.9375rem] text-second max-wide:col-start-2",
    sortsBy: ({ lastDone }) => lastDone,
    cell: ({ says }) => says,
  },
  {
    id: "due",
    heading: "Due",
    className:
      "figures text-[0.9375rem] wide:w-36 max-wide:col-start-3 max-wide:row-start-1 max-wide:max-w-28 max-wide:text-right",
    sortsBy: ({ dueOn }) => dueOn,
    cell: ({ due, state }) => (
      <span data-state={state} className="data-[state=past]:text-attention-text">
        {due}
      </span>
    ),
  },
];
