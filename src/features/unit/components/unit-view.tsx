import Link from "next/link";
import type { ReactNode } from "react";
import { slotTitle } from "@/content/slot-words";
import { unitKind } from "@/content/unit-kinds";
import { awayWords, betweenWords, dateWords } from "@/core/quantities/words";
import type { HomeEnds } from "@/core/register/home-ends";
import { wearOfPlace } from "@/core/wear/place-history";
import { factorWords, sureWords } from "@/core/wear/reasons";
import { fillBand, type Standing } from "@/core/register/standing";
import { Bracket } from "@/ui/bracket";
import { LinkButton } from "@/ui/button";
import { Gauge } from "@/ui/gauge";
import { END_WORDS } from "@/content/words";
import { curveOf } from "../curve";
import type { UnitSheet } from "../unit-queries";
import { History } from "./history";
import { ShutOffCard } from "./shut-off-card";
import { SlotFacts } from "./slot-facts";
import { WearCurve } from "./wear-curve";

/** Everything about one machine; `start` is the button that begins a slot's job. */
export function UnitView({
  sheet,
  ends,
  start,
}: {
  sheet: UnitSheet;
  ends: HomeEnds;
  start: (standing: Standing) => ReactNode;
}) {
  const { book, unit, levelName, standings, shown, today } = sheet;
  const open = ends.open.filter((end) => end.unit === unit.id);
  return (
    <div className="grid gap-x-10 gap-y-6 wide:grid-cols-[minmax(0,1fr)_21.5rem]">
      <div className="order-2 flex min-w-0 flex-col gap-5 wide:order-1">
        <header>
          <p className="text-second">
            {levelName}, {unitKind(unit.kind).name.toLowerCase()}
            {unit.makeModel && `, ${unit.makeModel}`}
          </p>
          <h1 className="text-[1.75rem]">{unit.name}</h1>
        </header>
        {open.length > 0 && (
          <div className="flex items-center gap-4 bg-wash px-3 py-2.5">
            <Bracket />
            <p className="font-semibold">
              Left open: {open.map((end) => END_WORDS[end.end].open).join(", ")}
            </p>
          </div>
        )}
        {standings.length > 1 && <SlotChoice {...{ sheet, standings }} />}
        {shown ? (
          <ShownSlot sheet={sheet} shown={shown} start={start} />
        ) : (
          <section className="border-t-[3px] border-ink pt-4">
            <h2 className="text-xl">Now its filter</h2>
            <p className="mt-1 mb-4 max-w-prose">
              Pull the old one a hand’s width out and read the size on its frame.
            </p>
            <LinkButton weight="strong" href={`/homes/${book.home.id}/units/${unit.id}/slots/new`}>
              Add the filter slot
            </LinkButton>
          </section>
        )}
      </div>
      <aside className="order-1 flex flex-col gap-5 wide:order-2">
        <ShutOffCard unit={unit} />
        <div className="hidden flex-col gap-5 wide:flex">
          {shown && (
            <SlotFacts home={book.home} slot={shown.slot} today={today} fittedOn={shown.fittedOn} />
          )}
          {unit.access && <p className="text-second">To get at it: {unit.access}</p>}
          <UnitLinks sheet={sheet} />
        </div>
      </aside>
      <div className="order-3 flex flex-col gap-5 wide:hidden">
        {shown && (
          <SlotFacts home={book.home} slot={shown.slot} today={today} fittedOn={shown.fittedOn} />
        )}
        <UnitLinks sheet={sheet} />
      </div>
    </div>
  );
}

function UnitLinks({ sheet: { book, unit, shown } }: { sheet: UnitSheet }) {
  const home = `/homes/${book.home.id}`;
  return (
    <ul className="-ml-2 flex flex-col">
      {shown && (
        <li>
          <LinkButton weight="quiet" href={`${home}/slots/${shown.slot.id}/edit`}>
            Change what is written here
          </LinkButton>
        </li>
      )}
      <li>
        <LinkButton weight="quiet" href={`${home}/units/${unit.id}/edit`}>
          Change the unit and its shut-offs
        </LinkButton>
      </li>
      <li>
        <LinkButton weight="quiet" href={`${home}/units/${unit.id}/slots/new`}>
          Add {shown ? "another" : "a"} filter slot
        </LinkButton>
      </li>
    </ul>
  );
}

function SlotChoice({ sheet, standings }: { sheet: UnitSheet; standings: Standing[] }) {
  return (
    <nav aria-label="Filters of this unit" className="flex flex-wrap gap-2">
      {standings.map(({ slot, wear }) => (
        <Link
          key={slot.id}
          href={`?slot=${slot.id}`}
          aria-current={slot.id === sheet.shown?.slot.id ? "true" : undefined}
          className="flex min-h-14 items-center gap-3 border-b-4 border-transparent px-2 no-underline aria-[current=true]:border-attention"
        >
          <Gauge
            fill={(wear?.percentNow ?? 0) / 100}
            label={`${Math.round(wear?.percentNow ?? 0)} % full`}
            height={36}
          />
          <span className="font-semibold">{slot.name}</span>
        </Link>
      ))}
    </nav>
  );
}

function ShownSlot({
  sheet,
  shown,
  start,
}: {
  sheet: UnitSheet;
  shown: Standing;
  start: (standing: Standing) => ReactNode;
}) {
  const { book, today, history, shownDrivers } = sheet;
  const { slot, wear, sentence } = shown;
  return (
    <section aria-labelledby="slot" className="flex flex-col gap-5 border-t-[3px] border-ink pt-4">
      <div className="flex flex-wrap items-start gap-x-6 gap-y-3">
        <div className="flex grow basis-80 gap-4">
          {wear && (
            <Gauge
              fill={wear.percentNow / 100}
              band={fillBand(wear)}
              label={`${Math.round(wear.percentNow)} % full`}
              height={76}
            />
          )}
          <div>
            <h2 id="slot" className="text-[1.375rem]">
              {slotTitle(slot)}
              {wear?.likely && `: ${awayWords(wear.likely, today)}`}
            </h2>
            <p className="mt-1">
              {wear?.likely && (
                <>
                  Most likely <strong>{dateWords(wear.likely, today)}</strong>
                  {wear.early && wear.late && `, ${betweenWords(wear.early, wear.late, today)}`}
                  .{" "}
                </>
              )}
              {sentence}
            </p>
            {wear && wear.belief.mu !== 0 && (
              <p className="mt-1 text-second">
                This slot loads {factorWords(wear.belief)}, {sureWords(wear.belief)}.
              </p>
            )}
          </div>
        </div>
        <div className="flex grow flex-wrap gap-2 wide:grow-0">
          {start(shown)}
          <LinkButton href={`/homes/${book.home.id}/look?slot=${slot.id}`}>Note a look</LinkButton>
        </div>
      </div>
      {wear && (
        <WearCurve
          curve={curveOf(
            wearOfPlace(shown.context, shown.stints, today)!,
            history,
            shownDrivers,
            today,
          )}
          today={today}
          title={slotTitle(slot)}
        />
      )}
      <History homeId={book.home.id} home={book.home} {...{ history, today, slot }} />
    </section>
  );
}

export function ChangedLink({
  homeId,
  slotId,
  strong,
}: {
  homeId: string;
  slotId: string;
  strong: boolean;
}) {
  return (
    <LinkButton
      weight={strong ? "strong" : "plain"}
      href={`/homes/${homeId}/slots/${slotId}/changed`}
    >
      Note it done
    </LinkButton>
  );
}
