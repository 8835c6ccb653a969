import Link from "next/link";
import { Gauge } from "@/ui/gauge";
import type { JobRow } from "./job-rows";

const ROW =
  "grid grid-cols-[1.75rem_minmax(0,1fr)_auto] items-center gap-x-4 border-b border-rule py-2.5";

const ACT = "inline-flex min-h-8 items-center text-link underline underline-offset-4";

/** Jobs with what is known of each; `placed` names unit and part as well. */
export function JobList({
  homeId,
  rows,
  placed = false,
}: {
  homeId: string;
  rows: readonly JobRow[];
  placed?: boolean;
}) {
  return (
    <ul>
      {rows.map((row) => (
        <li key={row.id} className={ROW}>
          {row.fill === null ? (
            <span />
          ) : (
            <Gauge
              fill={row.fill}
              label={`${Math.round(100 * row.fill)} % of its time`}
              height={32}
            />
          )}
          <JobWords homeId={homeId} row={row} placed={placed} />
          <JobEnd homeId={homeId} row={row} />
        </li>
      ))}
    </ul>
  );
}

function JobWords({ homeId, row, placed }: { homeId: string; row: JobRow; placed: boolean }) {
  return (
    <div>
      <p>
        {placed && row.where !== "" ? (
          <>
            <Link
              href={`/homes/${homeId}/${row.path}`}
              className="font-semibold no-underline hover:underline"
            >
              {row.where}
            </Link>
            : {row.name.charAt(0).toLowerCase() + row.name.slice(1)}
          </>
        ) : (
          <span className="font-semibold">{row.name}</span>
        )}
      </p>
      <p className="text-[0.9375rem] text-second">
        <Link
          href={`/homes/${homeId}/jobs/${row.id}`}
          aria-label={`${row.how}: change how ${row.name.toLowerCase()} comes round`}
          className="text-link underline decoration-1 underline-offset-4"
        >
          {row.how}
        </Link>
        {row.isChanged && !row.isOff && " (changed)"}
        {row.state !== "none" && `; ${row.last}`}
        {`; ${row.effort}`}
        {row.deferral !== "" && `; ${row.deferral}`}
      </p>
    </div>
  );
}

/** When, and the way to say it is done. */
function JobEnd({ homeId, row }: { homeId: string; row: JobRow }) {
  return (
    <div className="figures text-right">
      {row.due !== "" && (
        <p data-state={row.state} className="font-semibold data-[state=past]:text-attention-text">
          {row.due}
        </p>
      )}
      <p className="text-[0.9375rem] text-second">{row.window}</p>
      <span className="flex flex-wrap justify-end gap-x-4">
        {row.isLed && !row.isOff && (
          <Link
            href={`/homes/${homeId}/jobs/${row.id}/start`}
            aria-label={`Do it step by step: ${row.name}`}
            className={ACT}
          >
            Do it
          </Link>
        )}
        {!row.isOff && (
          <Link
            href={`/homes/${homeId}/${row.doneAt}`}
            aria-label={`Note it done: ${row.name}`}
            className={ACT}
          >
            Note it done
          </Link>
        )}
      </span>
    </div>
  );
}

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
        <JobList homeId={homeId} rows={rows} />
      )}
    </section>
  );
}
