import { Check, Power, PowerOff } from "lucide-react";
import { Link } from "@/ui/link";
import type { ReactNode } from "react";
import { capitalised, dateWords, inSentence, listWords, longDate } from "@/core/quantities/words";
import type { Wanted } from "@/core/runs/bring-list";
import { PrintButton } from "@/ui/print-button";
import type { RoundJob, RoundLine, RoundSheet } from "./round-queries";

/** One round on one page: the order, what to bring, what to look at before; to start, and to print. */
export function RoundView({
  sheet,
  deeds,
}: {
  sheet: RoundSheet;
  /** Starting, going on, agreeing: for the screen only. */
  deeds: ReactNode;
}) {
  const { homeId, homeName, today, day, person, isVisit, isUnplanned, isDraft, entry } = sheet;
  const isBegun = entry?.startedAt !== undefined;
  return (
    <>
      <Link
        href={`/homes/${homeId}/year`}
        className="no-print flex min-h-11 items-center text-link"
      >
        The year
      </Link>
      <div className="flex flex-wrap items-start justify-between gap-x-8 gap-y-3">
        <div>
          <h1 className="text-[1.75rem]">
            {isVisit ? "Visit" : "Round"} of {dateWords(day, today)}
          </h1>
          <p className="mt-1 text-lg">
            {isUnplanned ? (
              "Nothing is planned for this day."
            ) : (
              <>
                <strong className="figures">
                  {jobsOf(sheet).length} {jobsOf(sheet).length === 1 ? "job" : "jobs"},{" "}
                  {sheet.minutes} minutes
                </strong>
                {sheet.waitsUsed > 0 &&
                  `; ${sheet.waitsUsed} minutes saved by working in the waits`}
                . {person.name}.
              </>
            )}
          </p>
          <p className="hidden text-second print:block">
            {homeName}, {longDate(day)}
          </p>
          {isDraft && (
            <p className="mt-2 border-l-[6px] border-attention bg-wash px-3 py-1.5">
              This round is in the draft only: publish that first to count on it.
            </p>
          )}
        </div>
        <div className="no-print flex flex-wrap gap-3">{deeds}</div>
      </div>
      {!isUnplanned && (
        <div className="mt-5 grid gap-x-12 gap-y-6 wide:grid-cols-[minmax(0,1fr)_22rem]">
          <section aria-label="In this order">
            <h2 className="border-b-[3px] border-ink pb-1 text-xl">
              {sheet.isOver
                ? `Over: ${jobsOf(sheet).length - sheet.left} of ${jobsOf(sheet).length} done`
                : isBegun
                  ? `${sheet.left} of ${jobsOf(sheet).length} left`
                  : "In this order"}
            </h2>
            <ol>
              {sheet.lines.map((line) => (
                <Line key={keyOf(line)} line={line} homeId={homeId} />
              ))}
            </ol>
          </section>
          <div className="flex flex-col gap-6">
            <Before checks={sheet.checks} />
            <Things title="Spares and consumables" things={sheet.consumables} />
            <Things title="Tools" things={sheet.tools} own={sheet.ownTools} />
            <div className="no-print">
              <PrintButton />
            </div>
          </div>
        </div>
      )}
    </>
  );
}

const jobsOf = ({ lines }: RoundSheet): RoundJob[] =>
  lines.flatMap((line) => (line.kind === "job" ? [line.job] : []));

const keyOf = (line: RoundLine): string =>
  line.kind === "job" ? `job ${line.job.id}` : `${line.kind} ${line.unit}`;

/** “0:40”, from the beginning of the round. */
const clock = (minutes: number): string =>
  `${Math.floor(minutes / 60)}:${String(Math.round(minutes % 60)).padStart(2, "0")}`;

function Line({ line, homeId }: { line: RoundLine; homeId: string }) {
  if (line.kind !== "job")
    return (
      <li className="grid grid-cols-[3.25rem_1.75rem_minmax(0,1fr)] items-center border-b border-rule py-1.5 text-second">
        <span className="figures">{clock(line.start)}</span>
        {line.kind === "off" ? (
          <PowerOff aria-hidden="true" className="size-4.5" />
        ) : (
          <Power aria-hidden="true" className="size-4.5" />
        )}
        <span>
          {line.unit} {line.kind === "off" ? "off, once for all of it" : "on again"}
          {line.owed.length > 0 && (
            <span className="block text-ink">
              Then still to see: {listWords(line.owed.map(inSentence))}.
            </span>
          )}
        </span>
      </li>
    );
  const { job } = line;
  return (
    <li
      data-state={job.state}
      className="grid grid-cols-[3.25rem_1.75rem_minmax(0,1fr)_auto] items-start border-b border-rule py-2.5 data-[state=done]:text-second"
    >
      <span className="figures text-second">{clock(job.start)}</span>
      <span className="pt-0.5">
        {job.state === "done" ? (
          <Check aria-label="Done" strokeWidth={3} className="size-5" />
        ) : (
          <span
            aria-hidden="true"
            data-going={job.state === "going" || undefined}
            className="block size-4.5 border-2 border-ink data-going:bg-attention"
          />
        )}
      </span>
      <span>
        <Link
          href={`/homes/${homeId}/jobs/${encodeURIComponent(job.id)}`}
          className="font-semibold text-inherit decoration-rule underline-offset-4"
        >
          {job.isReturn ? `Put back: ${job.name.toLowerCase()}` : job.name}
        </Link>
        <span className="block text-second">
          {[job.unit, job.level].filter(Boolean).join(", ")}
          {job.state === "going" ? "; begun, not finished" : ""}
        </span>
      </span>
      <span className="figures text-right text-second">
        {job.minutes} min
        {job.waiting > 0 && <span className="block">then {job.waiting} of waiting</span>}
      </span>
    </li>
  );
}

function Before({ checks }: { checks: readonly string[] }) {
  if (checks.length === 0) return null;
  return (
    <section aria-label="Before you begin">
      <h2 className="border-b-[3px] border-ink pb-1 text-xl">Before you begin</h2>
      <ul>
        {checks.map((words) => (
          <li key={words} className="flex gap-2.5 border-b border-rule py-2">
            <span aria-hidden="true" className="mt-1 size-4 shrink-0 border-[1.5px] border-ink" />
            {words}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Things({
  title,
  things,
  own = [],
}: {
  title: string;
  things: readonly Wanted[];
  own?: readonly string[];
}) {
  if (things.length + own.length === 0) return null;
  return (
    <section aria-label={title}>
      <h2 className="border-b-[3px] border-ink pb-1 text-xl">{title}</h2>
      <ul>
        {things.map(({ thing, jobs }) => (
          <li key={thing} className="border-b border-rule py-1.5">
            {capitalised(thing)}
            {jobs.length > 1 && <span className="text-second">, for {jobs.length} jobs</span>}
          </li>
        ))}
        {own.map((words) => (
          <li key={words} className="border-b border-rule py-1.5">
            {capitalised(words)}
          </li>
        ))}
      </ul>
    </section>
  );
}
