import { Link } from "@/ui/link";
import type { ReactNode } from "react";
import { QUALIFICATION_WORDS } from "@/presentation/task-words";
import { dateWords, inSentence } from "@/core/quantities/words";
import type { FormAction, FormView } from "@/ui/form";
import type { Prepare, Way } from "./prepare-queries";
import { readyOn } from "./prepare-queries";
import { tryAgainOn } from "@/core/runs/place-facts";
import { DeferralForm, StartForm } from "./prepare-forms";

/** What to bring, to check and to tell before a job is begun. */
export function PrepareView({
  ready,
  start,
  deferral,
  initial,
  shutOff,
}: {
  ready: Prepare;
  start: FormAction;
  deferral: FormAction;
  initial: FormView;
  shutOff: ReactNode;
}) {
  const { snapshot: book, job, unit, part, way, ways, today, lastTime } = ready;
  const where = [part?.place, unit?.access].filter(Boolean).join("; ");
  const back = readyOn(ready);
  return (
    <div className="grid gap-x-12 gap-y-6 wide:grid-cols-[minmax(0,1fr)_22rem]">
      <div>
        <p className="text-second">
          {[unit?.name, part && inSentence(part.name)].filter(Boolean).join(", ") ||
            "The whole home"}
        </p>
        <h1 className="text-[1.75rem]">{job.task.name}</h1>
        <p className="figures mt-1 text-lg">
          <strong>{way.handsOn} minutes at work</strong>
          {way.waiting > 0 && `, ${waitWords(way.waiting)}`}
          {back && `: back together ${dateWords(back, today)} at the earliest`}
          {`. For ${QUALIFICATION_WORDS[way.procedure.who].name}.`}
        </p>
        {lastTime.length > 0 && (
          <section
            aria-label="The last time"
            className="mt-4 border-l-[6px] border-attention bg-wash px-4 py-3"
          >
            <h2 className="text-lg">The last time</h2>
            <ul>
              {lastTime.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
          </section>
        )}
        {ways.length > 1 ? (
          <Ways ready={ready} />
        ) : (
          way.procedure.says && <p className="mt-3 max-w-prose text-lg">{way.procedure.says}</p>
        )}
        <List title="Bring" things={[...ready.consumables, ...ready.tools]} />
        <section className="mt-6 border-t-[3px] border-ink pt-3">
          <StartForm
            action={start}
            initial={initial}
            submit={`${way.procedure.verb}: start`}
            checks={ready.checks}
            asks={ready.asks}
            needsLicence={ready.needsLicence}
          />
        </section>
        <DeferralForm
          action={deferral}
          initial={initial}
          today={today}
          tryAgain={tryAgainOn(today)}
        />
      </div>
      <aside className="flex flex-col gap-5">
        {shutOff}
        {where && (
          <section className="border-t-[3px] border-ink pt-3">
            <h2 className="text-lg">Getting to it</h2>
            <p>{where}</p>
          </section>
        )}
        {way.procedure.rules && (
          <section className="border-t-[3px] border-ink pt-3">
            <h2 className="text-lg">Rules where you live</h2>
            <p>
              {book.home.localRules ??
                "None written down. What somebody unlicensed may touch differs from place to place: ask, and write it down."}{" "}
              <Link
                href={`/homes/${book.home.id}/edit`}
                className="text-link underline underline-offset-4"
              >
                {book.home.localRules ? "Change" : "Write them down"}
              </Link>
            </p>
            <p className="mt-1 text-second">The unit’s own manual comes first.</p>
          </section>
        )}
        <Link
          href={`/homes/${book.home.id}/procedures/${way.procedure.id}`}
          className="text-link underline underline-offset-4"
        >
          Read all its steps first
        </Link>
      </aside>
    </div>
  );
}

const MINUTES_PER_HOUR = 60;
const HOURS_PER_DAY = 24;
function waitWords(minutes: number): string {
  const hours = minutes / MINUTES_PER_HOUR;
  if (hours >= HOURS_PER_DAY)
    return `then ${Math.round(hours / HOURS_PER_DAY)} days in which it dries by itself`;
  return hours >= 2 ? `${Math.round(hours)} hours of waiting` : `${minutes} minutes of waiting`;
}

/** Strategies beside each other: the address names the one that is followed. */
function Ways({ ready: { ways, way, snapshot: book, job } }: { ready: Prepare }) {
  return (
    <nav aria-label="Ways to do it" className="mt-5">
      <h2 className="text-xl">Which way</h2>
      <ul className="mt-2 grid gap-2 wide:grid-cols-2">
        {ways.map((each) => (
          <li key={each.value}>
            <WayCard
              each={each}
              isChosen={each.value === way.value}
              href={`/homes/${book.home.id}/jobs/${job.task.id}/start?way=${each.value}`}
            />
          </li>
        ))}
      </ul>
    </nav>
  );
}

function WayCard({ each, isChosen, href }: { each: Way; isChosen: boolean; href: string }) {
  const card = "block h-full rounded-sm border-2 px-4 py-3 text-ink no-underline";
  const body = (
    <>
      <span className="flex items-baseline justify-between gap-3">
        <strong>{each.name}</strong>
        <span className="figures shrink-0 text-second">{each.handsOn} min</span>
      </span>
      <span className="block">{each.barred ?? each.says}</span>
    </>
  );
  if (each.barred) return <p className={`${card} border-rule text-second`}>{body}</p>;
  return (
    <Link
      href={href}
      replace
      scroll={false}
      aria-current={isChosen ? "true" : undefined}
      className={`${card} ${isChosen ? "border-ink bg-surface outline-2 outline-ink" : "border-rule hover:border-ink"}`}
    >
      {body}
    </Link>
  );
}

function List({ title, things }: { title: string; things: readonly string[] }) {
  if (things.length === 0) return null;
  return (
    <section aria-label={title} className="mt-6 border-t-[3px] border-ink pt-3">
      <h2 className="text-xl">{title}</h2>
      <ul className="mt-1 grid list-[square] gap-x-8 pl-5 wide:grid-cols-2">
        {things.map((thing) => (
          <li key={thing}>{thing}</li>
        ))}
      </ul>
    </section>
  );
}
