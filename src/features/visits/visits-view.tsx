"use client";

import { Link } from "@/ui/link";
import { useMemo } from "react";
import { VISIT_VERDICT_WORDS } from "@/content/visits";
import { Listing, type Column } from "@/ui/listing";

export type VisitListRow = {
  id: string;
  day: string;
  when: string;
  who: string;
  machines: string;
  why: string;
  state: "planned" | "under-way" | "over";
  verdict: keyof typeof VISIT_VERDICT_WORDS | null;
  cost: string;
  costMinor: number;
};

const STATE_WORDS = { planned: "planned", "under-way": "not ended yet", over: "" } as const;

/** Every visit, planned, under way and over. */
export function VisitList({ homeId, rows }: { homeId: string; rows: readonly VisitListRow[] }) {
  const columns = useMemo(() => columnsOf(homeId), [homeId]);
  return (
    <Listing
      label="Visits"
      name="visits"
      rows={rows}
      columns={columns}
      words={({ when, who, machines, why, state }) => [when, who, machines, why, state].join(" ")}
      cardClass="grid-cols-[minmax(0,1fr)_auto] gap-x-4"
    />
  );
}

const columnsOf = (homeId: string): Column<VisitListRow>[] => [
  {
    id: "when",
    heading: "When",
    className: "figures",
    sortsBy: ({ day }) => day,
    cell: ({ id, when, why }) => (
      <Link href={`/homes/${homeId}/visits/${id}`} className="font-semibold text-link">
        {when}
        <span className="sr-only">, {why}</span>
      </Link>
    ),
  },
  {
    id: "why",
    heading: "Why",
    sortsBy: ({ why }) => why,
    cell: ({ why, who }) => (
      <>
        {why}
        <span className="block text-second">{who}</span>
      </>
    ),
  },
  {
    id: "machines",
    heading: "Machines",
    className: "max-wide:col-span-2",
    cell: ({ machines }) => machines,
  },
  {
    id: "left",
    heading: "Left",
    sortsBy: ({ state, verdict }) => verdict ?? state,
    cell: ({ state, verdict }) => (
      <span
        data-open={state !== "over" || undefined}
        className="data-open:font-semibold data-open:text-attention-text"
      >
        {verdict ? VISIT_VERDICT_WORDS[verdict] : STATE_WORDS[state]}
      </span>
    ),
  },
  {
    id: "cost",
    heading: "Cost",
    className: "figures text-right",
    sortsBy: ({ costMinor }) => costMinor,
    cell: ({ cost }) => cost,
  },
];
