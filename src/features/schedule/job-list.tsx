"use client";

import { Link } from "@/ui/link";
import { useMemo } from "react";
import { Gauge } from "@/ui/gauge";
import { Listing, type Column } from "@/ui/listing";
import type { JobRow } from "./job-rows";

const ACT = "inline-flex min-h-8 items-center text-link underline underline-offset-4";

/** Jobs with what is known of each; `placed` names unit and part as well. */
export function JobList({
  homeId,
  rows,
  label,
  name = "jobs",
  placed = false,
}: {
  homeId: string;
  rows: readonly JobRow[];
  label: string;
  /** For its part of the address, where a page has several lists of jobs. */
  name?: string;
  placed?: boolean;
}) {
  const columns = useMemo(() => columnsOf(homeId, placed), [homeId, placed]);
  return (
    <Listing
      {...{ label, name, rows, columns }}
      words={({ name: job, where, how, last, effort }) => [job, where, how, last, effort].join(" ")}
      cardClass="grid-cols-[1.75rem_minmax(0,1fr)_auto] gap-x-3"
    />
  );
}

const columnsOf = (homeId: string, placed: boolean): Column<JobRow>[] => [
  {
    id: "used",
    heading: "Time used",
    isHeadingSaid: false,
    className: "wide:w-10 wide:align-top max-wide:row-span-3",
    cell: ({ fill }) =>
      fill !== null && (
        <Gauge fill={fill} label={`${Math.round(100 * fill)} % of its time`} height={32} />
      ),
  },
  {
    id: "job",
    heading: "Job",
    sortsBy: ({ name }) => name,
    cell: (row) => (
      <>
        <span className="font-semibold">{row.name}</span>
        {row.deferral !== "" && <span className="block text-second">{row.deferral}</span>}
      </>
    ),
  },
  ...(placed
    ? [
        {
          id: "machine",
          heading: "At",
          className: "max-wide:col-start-2",
          sortsBy: ({ where }: JobRow) => where,
          cell: (row: JobRow) =>
            row.where !== "" && (
              <Link href={`/homes/${homeId}/${row.path}`} className="no-underline hover:underline">
                {row.where}
              </Link>
            ),
        },
      ]
    : []),
  {
    id: "due",
    heading: "Due",
    className:
      "figures wide:w-36 max-wide:col-start-3 max-wide:row-span-2 max-wide:row-start-1 max-wide:max-w-36 max-wide:text-right",
    sortsBy: ({ dueOn }) => dueOn,
    cell: (row) => (
      <>
        <span
          data-state={row.state}
          className="block font-semibold data-[state=past]:text-attention-text"
        >
          {row.due}
        </span>
        <span className="block text-[0.9375rem] text-second">{row.window}</span>
      </>
    ),
  },
  {
    id: "round",
    heading: "Comes round",
    className: "text-[0.9375rem] text-second max-wide:col-span-2 max-wide:col-start-2",
    sortsBy: ({ how }) => how,
    cell: (row) => (
      <>
        <Link
          href={`/homes/${homeId}/jobs/${row.id}`}
          aria-label={`${row.how}: change how ${row.name.toLowerCase()} comes round`}
          className="text-link underline decoration-1 underline-offset-4"
        >
          {row.how}
        </Link>
        {row.isChanged && !row.isOff && " (changed)"}
        {row.state !== "none" && (
          <span className="max-wide:before:content-[';_'] wide:block">{row.last}</span>
        )}
      </>
    ),
  },
  {
    id: "minutes",
    heading: "Minutes",
    className:
      "figures text-[0.9375rem] text-second wide:w-28 max-wide:col-span-2 max-wide:col-start-2",
    sortsBy: ({ minutes }) => minutes,
    cell: ({ effort }) => effort,
  },
  {
    id: "deeds",
    heading: "To do",
    isHeadingSaid: false,
    className: "max-wide:col-span-2 max-wide:col-start-2 wide:w-px wide:whitespace-nowrap",
    cell: (row) =>
      !row.isOff && (
        <span className="flex gap-x-4 max-wide:flex-wrap wide:justify-end">
          {row.isLed && (
            <Link
              href={`/homes/${homeId}/jobs/${row.id}/start`}
              aria-label={`Do it step by step: ${row.name}`}
              className={ACT}
            >
              Do it
            </Link>
          )}
          <Link
            href={`/homes/${homeId}/${row.doneAt}`}
            aria-label={`Note it done: ${row.name}`}
            className={ACT}
          >
            Note it done
          </Link>
        </span>
      ),
  },
];

/** The jobs of one part or unit under a heading. */
export function JobSection({
  homeId,
  rows,
  title,
  add,
}: {
  homeId: string;
  rows: readonly JobRow[];
  title: string;
  /** Where a job of one’s own is added. */
  add: string;
}) {
  return (
    <section aria-label={title} id="jobs">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4 border-b-[3px] border-ink pb-1">
        <h2 className="text-xl">{title}</h2>
        <Link href={add} className="text-link underline underline-offset-4">
          Add a job of your own
        </Link>
      </div>
      {rows.length === 0 ? (
        <p className="mt-3 text-second">None by default. A manual may ask for one: add it.</p>
      ) : (
        <JobList homeId={homeId} rows={rows} label={title} />
      )}
    </section>
  );
}
