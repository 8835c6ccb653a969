import Link from "next/link";
import type { ReactNode } from "react";
import { SHUT_OFF_WORDS } from "@/content/words";
import { slotTitle } from "@/content/slot-words";
import {
  awayWords,
  bandWords,
  betweenWords,
  capitalised,
  dateWords,
  inSentence,
} from "@/core/quantities/words";
import type { PlainDate } from "@/core/quantities/plain-date";
import { fillBand, type Standing } from "@/core/register/standing";
import { Gauge } from "@/ui/gauge";
import { Needle } from "@/ui/needle";
import { LinkButton } from "@/ui/button";
import type { Today } from "../today-queries";
import { headline } from "../today-words";

/** A page one takes in; the picture of the house has the rest. */
const MOST_CLOSER = 12;

/** What to do now, then what comes closer; `ends` and `house` are drawn by the page. */
export function TodayView({
  data,
  openCount,
  ends,
  house,
  start,
}: {
  data: Today;
  openCount: number;
  ends: ReactNode;
  house: ReactNode;
  start: (standing: Standing) => ReactNode;
}) {
  const { book, today, season, past, soon, next, closer, watch } = data;
  const counts = { open: openCount, past, soon, slots: book.slots.length };
  return (
    <div className="grid gap-x-10 gap-y-8 wide:grid-cols-[minmax(0,1fr)_23rem]">
      <div className="flex flex-col gap-6">
        <div>
          <h1 className="text-[1.75rem]">{headline(counts)}</h1>
          <p className="mt-1 text-second">{season}.</p>
        </div>
        {ends}
        {book.units
          .filter((unit) => unit.setUpStep !== undefined)
          .map((unit) => (
            <p key={unit.id} className="border-l-4 border-attention bg-wash px-4 py-2.5">
              Half entered:{" "}
              <Link
                href={`/homes/${book.home.id}/units/${unit.id}/set-up/${unit.setUpStep}`}
                className="font-semibold text-link underline underline-offset-4"
              >
                {unit.name}, carry on
              </Link>
            </p>
          ))}
        {next && (
          <Next {...next} today={today}>
            {start(next.standing)}
          </Next>
        )}
        {book.slots.length === 0 && (
          <NothingYet homeId={book.home.id} hasUnit={book.units.length > 0} />
        )}
        {closer.length > 0 && (
          <section aria-labelledby="closer">
            <h2 id="closer" className="text-xl">
              Coming closer
            </h2>
            <ul className="mt-2">
              {closer.slice(0, MOST_CLOSER).map((standing) => (
                <CloserRow key={standing.slot.id} homeId={book.home.id} {...{ standing, today }} />
              ))}
            </ul>
            {closer.length > MOST_CLOSER && (
              <p className="border-t border-rule pt-3">
                <Link
                  href={`/homes/${book.home.id}/house`}
                  className="text-link underline underline-offset-4"
                >
                  {closer.length - MOST_CLOSER} more in the house
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

function OnWatch({ homeId, watch }: { homeId: string; watch: Today["watch"] }) {
  if (watch.length === 0) return null;
  return (
    <section aria-labelledby="watch" className="border-t-[3px] border-ink pt-3">
      <h2 id="watch" className="text-lg">
        On watch
      </h2>
      <ul>
        {watch.map(({ verdict, words, href }) => (
          <li key={words} className="border-b border-rule">
            <Link
              href={`/homes/${homeId}/${href}`}
              className="flex min-h-11 items-start gap-3 py-2 no-underline hover:underline"
            >
              <Needle verdict={verdict} />
              {words}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Next({
  standing,
  job,
  today,
  children,
}: NonNullable<Today["next"]> & { today: PlainDate; children: ReactNode }) {
  const { unit, slot, wear, sentence } = standing;
  const off = unit.shutOffs[0];
  const title = job
    ? `${unit.name}: ${job.title.toLowerCase()}`
    : `${unit.name}: ${inSentence(slot.name)}`;
  return (
    <section aria-labelledby="next" className="border-t-[3px] border-ink pt-4">
      <div className="flex flex-wrap items-start justify-between gap-x-6 gap-y-3">
        <div>
          <h2 id="next" className="text-[1.375rem]">
            {title}
          </h2>
          {wear?.likely && (
            <p className="figures mt-0.5">
              <strong>{capitalised(awayWords(wear.likely, today))}</strong>
              <span className="text-second">
                , most likely {dateWords(wear.likely, today)}
                {wear.early && wear.late && `, ${betweenWords(wear.early, wear.late, today)}`}
                {job && `; about ${job.handsOnMinutes} minutes`}
              </span>
            </p>
          )}
        </div>
        {children}
      </div>
      <div className="mt-4 flex gap-5">
        {wear && (
          <Gauge
            fill={wear.percentNow / 100}
            band={fillBand(wear)}
            label={`${Math.round(wear.percentNow)} % full`}
            height={84}
          />
        )}
        <dl className="grid grow grid-cols-[4.5rem_minmax(0,1fr)] self-start">
          <Row name="Why">{sentence}</Row>
          <Row name="Where">
            {[slot.place, unit.access].filter(Boolean).join("; ") || unit.name}
          </Row>
          {off && (
            <Row name="Shut off">
              {off.place}, {off.offPosition ?? SHUT_OFF_WORDS[off.kind].off}
            </Row>
          )}
          <Row name="Bring">
            {[inSentence(slotTitle(slot)), ...(job?.bring.slice(1) ?? [])].join(", ")}
          </Row>
        </dl>
      </div>
    </section>
  );
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
  standing,
  today,
}: {
  homeId: string;
  standing: Standing;
  today: PlainDate;
}) {
  const { slot, unit, wear, sentence } = standing;
  return (
    <li className="grid grid-cols-[2.25rem_minmax(0,1fr)_auto] items-center gap-x-4 border-t border-rule py-3">
      <Gauge
        fill={(wear?.percentNow ?? 0) / 100}
        band={wear ? fillBand(wear) : undefined}
        label={wear ? `${Math.round(wear.percentNow)} % full` : "not known"}
      />
      <div>
        <Link
          href={`/homes/${homeId}/parts/${slot.id}`}
          className="font-semibold no-underline hover:underline"
        >
          {unit.name}, {inSentence(slotTitle(slot))}
        </Link>
        <p className="text-second">{sentence}</p>
      </div>
      <div className="figures max-w-32 text-right">
        {wear?.likely ? (
          <>
            <p className="font-semibold">{awayWords(wear.likely, today)}</p>
            {wear.early && wear.late && (
              <p className="text-[0.9375rem] text-second">
                {bandWords(wear.early, wear.late, today)}
              </p>
            )}
          </>
        ) : (
          <Link href={`/homes/${homeId}/parts/${slot.id}/changed`} className="text-link">
            When was it changed?
          </Link>
        )}
      </div>
    </li>
  );
}

function NothingYet({ homeId, hasUnit }: { homeId: string; hasUnit: boolean }) {
  return (
    <section className="border-t-[3px] border-ink pt-4">
      <h2 className="text-xl">
        {hasUnit ? "Now its filter" : "Start with the machine you know best"}
      </h2>
      <p className="mt-1 mb-4 max-w-prose">
        {hasUnit
          ? "The unit is in. Open it and add the slot its filter sits in: then this page can say when it is due."
          : "A furnace, a heat pump, a ventilator: where it stands, how it is shut off, which filter it takes. Two minutes with the size printed on the old filter at hand."}
      </p>
      <LinkButton
        weight="strong"
        href={hasUnit ? `/homes/${homeId}/house` : `/homes/${homeId}/units/new`}
      >
        {hasUnit ? "Open the house" : "Add a unit"}
      </LinkButton>
    </section>
  );
}
