import { Link } from "@/ui/link";
import { Fragment, type ReactNode } from "react";
import { unitKind } from "@/content/unit-kinds";
import { offWords } from "@/presentation/shut-off-words";
import { slotTitle } from "@/presentation/slot-words";
import { jobTitle, triggerWords, pathOfTask } from "@/presentation/task-words";
import { betweenWords, capitalised, dateWords, inSentence } from "@/core/quantities/words";
import type { JobStatus } from "@/core/scheduling/schedule";
import {
  calledWords,
  dueWords,
  jobFill,
  lastWords,
  deferralWords,
  windowWords,
} from "@/presentation/schedule-words";
import { bringOf, usualVariant, type Procedure } from "@/core/runs/procedure";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { Unit } from "@/core/inventory/inventory";
import type { FilterStatus } from "@/core/filters/filter-status";
import { Gauge } from "@/ui/gauge";
import { LinkButton } from "@/ui/button";
import { OnWatch, StopList } from "./watch-list";
import type { Today, TodayJob } from "./today-queries";
import { headline } from "./today-words";

/** A page one takes in; the picture of the house has the rest. */
const MOST_CLOSER = 12;

const GROUPS = [
  { when: "past", name: "Past its time" },
  { when: "now", name: "Now and this week" },
  { when: "closer", name: "Coming closer" },
] as const;

/** What to do now, then what comes closer; `ends` and `house` are drawn by the page. */
export function TodayView({
  data,
  openCount,
  walk,
  notices,
  ends,
  round,
  house,
  start,
}: {
  data: Today;
  openCount: number;
  /** The first walk where it is under way: it leads to the machines half entered too. */
  walk: ReactNode;
  /** What the home is told once. */
  notices: ReactNode;
  ends: ReactNode;
  /** The round under way, or the next one. */
  round: ReactNode;
  house: ReactNode;
  start: (next: TodayJob) => ReactNode;
}) {
  const { snapshot: book, today, season, past, soon, next, closer, watch, problems } = data;
  // A boiler has no filter of air, and is not asked for one.
  const slotless = book.units.filter(
    (unit) =>
      unit.setUpStep === undefined &&
      unitKind(unit.kind).slots.some(({ usual }) => usual) &&
      book.slots.every(({ unitId }) => unitId !== unit.id),
  );
  const counts = { open: openCount, past, soon, units: book.units.length };
  return (
    <div className="grid gap-x-10 gap-y-8 wide:grid-cols-[minmax(0,1fr)_23rem]">
      <div className="flex flex-col gap-6">
        <div>
          <h1 className="text-[1.75rem]">{headline(counts)}</h1>
          <p className="mt-1 text-second">{season}.</p>
        </div>
        <StopList homeId={book.home.id} watch={watch} />
        {data.clockBehind && (
          <p role="alert" className="border-l-4 border-attention bg-wash px-4 py-2.5">
            <strong className="block">Look at this computer’s clock.</strong>
            It stands at {dateWords(today, data.clockBehind)}, but something was entered on{" "}
            {dateWords(data.clockBehind, today)}. Nothing is lost; what is due is reckoned from the
            clock, so set it before you go by these days.
          </p>
        )}
        {ends}
        {round}
        {notices}
        {walk ??
          book.units
            .filter((unit) => unit.setUpStep !== undefined)
            .map((unit) => <HalfEntered key={unit.id} homeId={book.home.id} unit={unit} />)}
        {problems.length > 0 && (
          <ul aria-label="Can’t be read" className="flex flex-col gap-2">
            {problems.map(({ words, path }) => (
              <li key={words} className="border-l-4 border-attention bg-wash px-4 py-2.5">
                <Link href={`/homes/${book.home.id}/${path}`} className="text-ink">
                  {words}
                </Link>
              </li>
            ))}
          </ul>
        )}
        {next && (
          <Next next={next} today={today}>
            {start(next)}
          </Next>
        )}
        {book.units.length === 0 && <NothingYet homeId={book.home.id} />}
        {slotless.map((unit) => (
          <NoFilterYet key={unit.id} homeId={book.home.id} unit={unit} />
        ))}
        {closer.length > 0 && (
          <section aria-labelledby="closer">
            <h2 id="closer" className="sr-only">
              What comes then
            </h2>
            {GROUPS.map(({ when, name }) => {
              const rows = closer.slice(0, MOST_CLOSER).filter((row) => row.when === when);
              return rows.length === 0 ? null : (
                <Fragment key={when}>
                  <h3 className="mt-5 mb-2 text-xl first-of-type:mt-0">{name}</h3>
                  <ul>
                    {rows.map((row) => (
                      <CloserRow key={row.job.task.id} homeId={book.home.id} {...{ row, today }} />
                    ))}
                  </ul>
                </Fragment>
              );
            })}
            <p className="border-t border-rule pt-3">
              <Link
                href={`/homes/${book.home.id}/jobs`}
                className="text-link underline underline-offset-4"
              >
                {closer.length > MOST_CLOSER
                  ? `${closer.length - MOST_CLOSER} more, and all that come round`
                  : "All jobs that come round"}
              </Link>
            </p>
            {data.undated > 0 && (
              <p className="mt-2 text-second">
                Nobody has said yet when{" "}
                {data.undated === 1 ? "one of them was" : `${data.undated} of them were`} last done.{" "}
                <Link
                  href={`/homes/${book.home.id}/when-last`}
                  className="text-link underline underline-offset-4"
                >
                  Say when, as far as you know
                </Link>
              </p>
            )}
          </section>
        )}
      </div>
      <aside className="flex flex-col gap-6">
        {house}
        <OnWatch homeId={book.home.id} watch={watch} />
      </aside>
    </div>
  );
}

function Next({
  next,
  today,
  children,
}: {
  next: TodayJob;
  today: PlainDate;
  children: ReactNode;
}) {
  const { job, part, status, procedure } = next;
  const { task, unit } = job;
  const filterStatus = status?.filterStatus;
  const off = unit?.shutOffs[0];
  const fill = status ? status.fill : jobFill(job, today);
  const minutes = procedure?.handsOnMinutes ?? task.handsOn;
  const where = [filterStatus?.slot.place ?? part?.place, unit?.access].filter(Boolean).join("; ");
  const bring = procedure ? bringWords(procedure, filterStatus) : [];
  return (
    <section aria-labelledby="next" className="border-t-[3px] border-ink pt-4">
      <div className="flex flex-wrap items-start justify-between gap-x-6 gap-y-3">
        <div>
          <h2 id="next" className="text-[1.375rem]">
            {jobTitle(job)}
          </h2>
          <p className="figures mt-0.5">
            <strong>{capitalised(dueWords(job, today))}</strong>
            <span className="text-second">
              {`, ${nextWindow(job, today)}; about ${minutes} minutes`}
            </span>
          </p>
        </div>
        {children}
      </div>
      <div className="mt-4 flex gap-5">
        {fill !== null && (
          <Gauge
            fill={fill}
            band={status?.band}
            label={status?.fillWords ?? "its time is running out"}
            height={84}
          />
        )}
        <dl className="grid grow grid-cols-[4.5rem_minmax(0,1fr)] self-start">
          <Row name="Why">{status?.why ?? whyWords(job, today)}</Row>
          {job.deferral && <Row name="Last time">{capitalised(deferralWords(job, today))}</Row>}
          <Row name="Where">{where || unit?.name || "through the house"}</Row>
          {off && (
            <Row name="Shut off">
              {off.place}, {offWords(off)}
            </Row>
          )}
          {bring.length > 0 && <Row name="Bring">{bring.join(", ")}</Row>}
        </dl>
      </div>
    </section>
  );
}

/** What to bring, the filter by its size; what else stands before the start. */
function bringWords(procedure: Procedure, filterStatus: FilterStatus | undefined): string[] {
  const facts = { facts: [], variant: usualVariant(procedure) };
  const { tools, consumables } = bringOf(procedure, facts);
  const things = [...consumables, ...tools].filter((thing) => thing !== "the new filter");
  return filterStatus && consumables.includes("the new filter")
    ? [inSentence(slotTitle(filterStatus.slot)), ...things]
    : things;
}

/** How it comes round, and when it was last done. */
const whyWords = (job: JobStatus, today: PlainDate): string =>
  job.called
    ? `${calledWords(job, today)}.`
    : `${capitalised(triggerWords(job.because))}; ${lastWords(job, today)}.`;

function nextWindow(job: JobStatus, today: PlainDate): string {
  const { due, opens, closes, state, because } = job;
  if (state === "past" || !due || because.kind === "age") return windowWords(job, today);
  const between = opens && closes ? `, ${betweenWords(opens, closes, today)}` : "";
  return `most likely ${dateWords(due, today)}${between}`;
}

function Row({ name, children }: { name: string; children: ReactNode }) {
  return (
    <div className="col-span-2 grid grid-cols-subgrid border-t border-rule py-2 first:border-t-0 first:pt-0">
      <dt className="text-second">{name}</dt>
      <dd>{children}</dd>
    </div>
  );
}

function CloserRow({
  homeId,
  row: { job, status },
  today,
}: {
  homeId: string;
  row: TodayJob;
  today: PlainDate;
}) {
  const fill = status ? status.fill : jobFill(job, today);
  return (
    <li className="grid grid-cols-[2.25rem_minmax(0,1fr)_auto] items-center gap-x-4 border-t border-rule py-3">
      <Gauge
        fill={fill ?? 0}
        band={status?.band}
        label={
          status?.fillWords ??
          (fill === null ? "not known" : `${Math.round(100 * fill)} % of its time`)
        }
      />
      <div>
        <Link
          href={`/homes/${homeId}/${pathOfTask(job.task)}`}
          className="font-semibold no-underline hover:underline"
        >
          {status
            ? `${status.filterStatus.unit.name}, ${inSentence(slotTitle(status.filterStatus.slot))}`
            : jobTitle(job)}
        </Link>
        <p className="text-second">
          {status?.why ?? whyWords(job, today)}
          {job.task.who === "licensed" && " For a technician."}
          {job.deferral && ` ${capitalised(deferralWords(job, today))}.`}
        </p>
      </div>
      <div className="figures max-w-36 text-right wide:max-w-52">
        {job.due ? (
          <>
            <p
              data-past={job.state === "past" || undefined}
              className="font-semibold data-past:text-attention-text"
            >
              {dueWords(job, today)}
            </p>
            <p className="text-[0.9375rem] text-second">{windowWords(job, today)}</p>
          </>
        ) : (
          <Link href={`/homes/${homeId}/parts/${job.task.partId}/changed`} className="text-link">
            When was it changed?
          </Link>
        )}
      </div>
    </li>
  );
}

function HalfEntered({ homeId, unit }: { homeId: string; unit: Unit }) {
  return (
    <p className="border-l-4 border-attention bg-wash px-4 py-2.5">
      Half entered:{" "}
      <Link
        href={`/homes/${homeId}/units/${unit.id}/set-up/${unit.setUpStep}`}
        className="font-semibold text-link underline underline-offset-4"
      >
        {unit.name}, carry on
      </Link>
    </p>
  );
}

function NothingYet({ homeId }: { homeId: string }) {
  return (
    <section className="border-t-[3px] border-ink pt-4">
      <h2 className="text-xl">Walk through the house once</h2>
      <p className="mt-1 mb-4 max-w-prose">
        Room by room, phone in hand: every place a filter may hide, what shuts what off, which alarm
        is how old. Half of it today, the rest another day; it ends with what is due first. Or enter
        the machine you know best: two minutes, with the size printed on the old filter at hand.
      </p>
      <div className="flex flex-wrap gap-2">
        <LinkButton weight="strong" href={`/homes/${homeId}/walk`}>
          Begin the first walk
        </LinkButton>
        <LinkButton href={`/homes/${homeId}/units/new`}>Add a unit</LinkButton>
      </div>
    </section>
  );
}

function NoFilterYet({ homeId, unit }: { homeId: string; unit: Unit }) {
  return (
    <p className="border-l-4 border-rule bg-surface px-4 py-2.5">
      {unit.name} has no filter written down.{" "}
      <Link
        href={`/homes/${homeId}/units/${unit.id}/slots/new`}
        className="font-semibold text-link underline underline-offset-4"
      >
        Add the slot it sits in
      </Link>
    </p>
  );
}
