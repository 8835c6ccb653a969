import { Link } from "@/ui/link";
import type { ReactNode } from "react";
import type { FirstYear } from "@/core/planning/first-year";
import { readPlainDate, type PlainDate } from "@/core/quantities/plain-date";
import { awayWords, countWords, dateWords, listWords, monthWords } from "@/core/quantities/words";
import type { JobStatus } from "@/core/scheduling/schedule";
import { jobTitle } from "@/presentation/task-words";
import { LinkButton } from "@/ui/button";
import { walkHref, walkWords, type WalkEnd } from "./walk-queries";

const LINK = "text-link underline underline-offset-4";

/** What a walk came to: what is due first, the first rounds, the year, and what is not known yet. */
export function WalkEndView({ page, end }: { page: WalkEnd; end: ReactNode }) {
  const { snapshot, walk, counts, gaps, first, year, past, today, on } = page;
  const home = `/homes/${snapshot.home.id}`;
  return (
    <div className="mx-auto max-w-4xl">
      <p className="text-second">
        The first walk: {walk.seen} of {walk.total} seen.
      </p>
      <h1 className="text-[1.75rem]">{headOf(page)}</h1>
      <p className="mt-1 text-[1.0625rem]">{countsWords(counts)}</p>
      <div className="mt-4 flex flex-wrap gap-2">
        {on && !page.isEnded && (
          <LinkButton weight="strong" href={walkHref(snapshot.home.id, on)}>
            Go on: {walkWords(on, page)}
          </LinkButton>
        )}
        {end}
      </div>
      <div className="mt-6 grid gap-x-10 gap-y-6 wide:grid-cols-[minmax(0,1fr)_19rem]">
        <div className="flex min-w-0 flex-col gap-6">
          <section aria-labelledby="first">
            <Heading id="first">Due first</Heading>
            {first.length === 0 ? (
              <p className="pt-2">Nothing comes closer in the next weeks.</p>
            ) : (
              <ul>
                {first.map(({ words, when, href }) => (
                  <li key={href} className="border-b border-rule">
                    <Link
                      href={href}
                      className="flex min-h-12 items-center justify-between gap-4 py-1.5 no-underline hover:underline"
                    >
                      <span className="font-semibold">{words}</span>
                      <span className="figures shrink-0 text-right">{whenWords(when, today)}</span>
                    </Link>
                  </li>
                ))}
              </ul>
            )}
          </section>
          <FirstYearView {...{ year, today, home }} />
        </div>
        <aside className="flex flex-col gap-6">
          {past.looks.length > 0 && (
            <section
              aria-labelledby="before"
              className="border-l-4 border-attention bg-wash px-4 py-3"
            >
              <h2 id="before" className="text-lg">
                Those before you
              </h2>
              {past.whys.map((why) => (
                <p key={why} className="mt-1">
                  {why}
                </p>
              ))}
              <p className="mt-2 font-semibold">Worth a look in the next weeks:</p>
              <ul>
                {past.looks.map(({ href, words }) => (
                  <li key={href}>
                    <Link href={href} className={`inline-flex min-h-11 items-center ${LINK}`}>
                      {words}
                    </Link>
                  </li>
                ))}
              </ul>
            </section>
          )}
          {gaps.length > 0 && (
            <section aria-labelledby="gaps">
              <Heading id="gaps">Not known yet</Heading>
              <ul>
                {gaps.map(({ words, href }) => (
                  <li key={`${href} ${words}`} className="border-b border-rule">
                    <Link
                      href={href}
                      className="flex min-h-11 items-center py-1.5 no-underline hover:underline"
                    >
                      {words}
                    </Link>
                  </li>
                ))}
              </ul>
            </section>
          )}
        </aside>
      </div>
    </div>
  );
}

const headOf = ({ on, isEnded }: WalkEnd): string =>
  isEnded ? "The walk is ended." : on ? "What comes of it so far" : "The house is known.";

const whenWords = (when: string, today: PlainDate): string => {
  const day = readPlainDate(when);
  if (!day) return "when was it?";
  return day < today ? "past" : awayWords(day, today);
};

const Heading = ({ id, children }: { id: string; children: ReactNode }) => (
  <h2 id={id} className="border-b-[3px] border-ink pb-1 text-xl">
    {children}
  </h2>
);

function countsWords({ units, filters, registers, alarms }: WalkEnd["counts"]): string {
  const some = (n: number, one: string, many: string) => `${countWords(n)} ${n === 1 ? one : many}`;
  return `Entered now: ${listWords([
    some(units, "machine", "machines and alarms"),
    some(filters, "filter", "filters"),
    some(registers, "register", "registers"),
  ])}${alarms === 0 ? "; no alarm yet" : ""}.`;
}

/** A year nobody is frightened of: the first rounds one by one, then the months. */
function FirstYearView({
  year: { rounds, technician, months, always },
  today,
  home,
}: {
  year: FirstYear;
  today: PlainDate;
  home: string;
}) {
  if (rounds.length + months.length === 0 && technician === null) return null;
  return (
    <section aria-labelledby="year">
      <Heading id="year">A calm first year</Heading>
      <p className="mt-2 max-w-prose text-second">
        Safety first, then what is past its time, then what is quickly done: never more than a
        morning. Nothing of it is fixed:{" "}
        <Link href={`${home}/year`} className="text-link underline underline-offset-4">
          the year
        </Link>{" "}
        is planned on your own days, and published when you like it.
      </p>
      <ol className="mt-3 grid gap-x-8 wide:grid-cols-2">
        {rounds.map(({ day, minutes, jobs }) => (
          <li key={day} className="border-t border-rule py-3">
            <p className="figures flex justify-between gap-4">
              <strong>{dateWords(day, today)}</strong>
              <span className="text-second">{minutes} min</span>
            </p>
            <Jobs {...{ jobs, home }} />
          </li>
        ))}
        {technician && (
          <li className="border-t border-rule py-3">
            <p className="figures flex justify-between gap-4">
              <strong>A technician, about {dateWords(technician.day, today)}</strong>
              <span className="text-second">{technician.minutes} min</span>
            </p>
            <Jobs jobs={technician.jobs} home={home} />
          </li>
        )}
      </ol>
      {always.length > 0 && (
        <p className="border-t border-rule py-3">
          <strong>All year round:</strong> {listWords(always.map((job) => jobTitle(job)))}.
        </p>
      )}
      {months.length > 0 && (
        <dl className="grid gap-x-4 border-t-[3px] border-ink wide:grid-cols-[7rem_minmax(0,1fr)_4rem]">
          {months.map(({ month, minutes, jobs }) => (
            <div
              key={month}
              className="border-b border-rule py-2 wide:col-span-3 wide:grid wide:grid-cols-subgrid"
            >
              <dt className="font-semibold">{monthWords(month)}</dt>
              <dd>{listWords([...new Set(jobs.map((job) => jobTitle(job)))])}</dd>
              <dd className="figures text-second wide:text-right">{minutes} min</dd>
            </div>
          ))}
        </dl>
      )}
    </section>
  );
}

const Jobs = ({ jobs, home }: { jobs: readonly JobStatus[]; home: string }) => (
  <ul className="mt-1">
    {jobs.map((job) => (
      <li key={job.task.id}>
        <Link href={`${home}/jobs/${job.task.id}`} className="no-underline hover:underline">
          {jobTitle(job)}
        </Link>
        {job.task.isSafety && <span className="text-second">, for safety</span>}
      </li>
    ))}
  </ul>
);
