import { telOf } from "@/presentation/phone";
import { Link } from "@/ui/link";
import { PartList } from "../parts/part-list";
import { Fragment, type ReactNode } from "react";
import { slotTitle } from "@/presentation/slot-words";
import { carriesAir, unitKind } from "@/content/unit-kinds";
import { END_WORDS } from "@/content/words";
import { readPlainDate } from "@/core/quantities/plain-date";
import { dateWords, dayAndMonth, inSentence, listWords } from "@/core/quantities/words";
import { alarmLife, isCoAlarm, warrantyOf } from "@/core/inventory/alarms";
import type { HomeEnds } from "@/core/runs/home-ends";
import { attributeWords } from "@/core/inventory/attribute";
import { plateWords, type Unit } from "@/core/inventory/inventory";
import type { FilterSummary } from "@/presentation/filter-status";
import { Bracket } from "@/ui/bracket";
import { LinkButton } from "@/ui/button";
import { Gauge } from "@/ui/gauge";
import { UnitFigure } from "@/ui/unit-figure";
import type { UnitSheet } from "./unit-queries";
import { Facts } from "./facts";
import { ShutOffOnPage } from "./shut-off";

/** Everything about one machine; `actions` are the buttons that copy, retire or bring it back. */
export function UnitView({
  sheet,
  ends,
  next,
  actions,
  jobs,
  light,
  watch,
  pictures,
  history,
}: {
  sheet: UnitSheet;
  ends: HomeEnds;
  /** The step at which its entering stopped, as words. */
  next: { words: string; href: string } | null;
  actions: ReactNode;
  /** The jobs of the unit as a whole, and its readings. */
  jobs: ReactNode;
  /** The button that says the light of one of its filters came on. */
  light: (slotId: string, words: string) => ReactNode;
  /** What must not run, and what is on watch here. */
  watch: ReactNode;
  /** Those taken of it, and the press to take one. */
  pictures: ReactNode;
  history: ReactNode;
}) {
  const { unit, levelName, room } = sheet;
  const { shutOffs: usual, figure, name } = unitKind(unit.kind);
  const links = <UnitLinks sheet={sheet}>{actions}</UnitLinks>;
  return (
    <div className="grid gap-x-10 gap-y-5 wide:grid-cols-[minmax(0,1fr)_21.5rem]">
      <div className="order-2 flex min-w-0 flex-col gap-5 wide:order-1">
        <header className="flex items-end gap-4">
          <UnitFigure figure={figure} size={60} />
          <div>
            <p className="text-second">
              {[levelName, room?.name, name.toLowerCase(), plateWords(unit)]
                .filter(Boolean)
                .join(", ")}
            </p>
            <h1 className="text-[1.75rem]">{unit.name}</h1>
          </div>
        </header>
        {next && (
          <div className="flex flex-wrap items-center justify-between gap-3 border-l-4 border-attention bg-wash px-4 py-2.5">
            <p>
              <strong>Half entered.</strong> Next: {next.words}
            </p>
            <LinkButton weight="strong" href={next.href}>
              Carry on entering it
            </LinkButton>
          </div>
        )}
        {unit.retiredOn && <OutOfService sheet={sheet} />}
        <OpenEnds unit={unit} ends={ends} />
        <Parked unit={unit} ends={ends} />
        {watch}
        <Parts {...{ sheet, light }} />
        {!unit.retiredOn && jobs}
        <div className="wide:hidden">
          <UnitFacts sheet={sheet} />
        </div>
        <section aria-labelledby="pictures">
          <h2 id="pictures" className="mb-2 border-b-[3px] border-ink pb-1 text-xl">
            Pictures
          </h2>
          {pictures}
        </section>
        {history}
        <div className="wide:hidden">{links}</div>
      </div>
      <aside className="order-1 flex flex-col gap-5 wide:order-2">
        {(usual.length > 0 || unit.shutOffs.length > 0) && (
          <ShutOffOnPage name={unit.name} shutOffs={unit.shutOffs} />
        )}
        <div className="hidden flex-col gap-5 wide:flex">
          <UnitFacts sheet={sheet} />
          {links}
        </div>
      </aside>
    </div>
  );
}

function OutOfService({ sheet: { snapshot: book, unit, successor, today } }: { sheet: UnitSheet }) {
  return (
    <p className="border-l-4 border-second bg-surface px-4 py-3">
      <strong>Out of service since {dateWords(unit.retiredOn!, today)}.</strong> Its record stays.
      {successor && (
        <>
          {" "}
          In its place:{" "}
          <Link
            href={`/homes/${book.home.id}/units/${successor.id}`}
            className="text-link underline underline-offset-4"
          >
            {successor.name}
          </Link>
        </>
      )}
    </p>
  );
}

function OpenEnds({ unit, ends }: { unit: Unit; ends: HomeEnds }) {
  const open = ends.open.filter((end) => end.unit === unit.id);
  if (open.length === 0) return null;
  return (
    <div className="flex items-center gap-4 bg-wash px-3 py-2.5">
      <Bracket />
      <p className="font-semibold">
        Left open: {open.map((end) => end.label ?? END_WORDS[end.end].open).join(", ")}
      </p>
    </div>
  );
}

/** What is laid by for a season: it nags nobody, and a job of the other season ends it. */
function Parked({ unit, ends }: { unit: Unit; ends: HomeEnds }) {
  const parked = ends.parked.filter((end) => end.unit === unit.id);
  if (parked.length === 0) return null;
  return (
    <p className="border-l-4 border-second bg-surface px-4 py-2.5">
      <strong>Laid by for the season.</strong>{" "}
      {parked.map(({ label, end }) => label || END_WORDS[end].open).join(", ")}: until the job that
      wakes it.
    </p>
  );
}

/** “Filter light came on”, one for each filter that has one. */
function Lights({
  filters,
  light,
}: {
  filters: readonly FilterSummary[];
  light: (slotId: string, words: string) => ReactNode;
}) {
  const lit = filters.filter(({ filterStatus: { slot } }) => slot.indicator);
  if (lit.length === 0) return null;
  return (
    <div className="-ml-2 flex flex-wrap gap-x-2">
      {lit.map(({ filterStatus: { slot } }) => (
        <Fragment key={slot.id}>
          {light(
            slot.id,
            lit.length > 1 ? `Light of ${inSentence(slot.name)} came on` : "The light came on",
          )}
        </Fragment>
      ))}
    </div>
  );
}

function Parts({
  sheet,
  light,
}: {
  sheet: UnitSheet;
  light: (slotId: string, words: string) => ReactNode;
}) {
  const { snapshot: book, unit, filters, retiredSlots, parts } = sheet;
  const home = `/homes/${book.home.id}`;
  const kind = unitKind(unit.kind);
  // A boiler or an alarm has no filter, so its page does not ask for one.
  const mayHaveFilter = kind.slots.length > 0 || kind.ducted || filters.length > 0;
  const isEmpty = filters.length + retiredSlots.length + parts.length === 0;
  return (
    <section aria-labelledby="parts">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4 border-b-[3px] border-ink pb-1">
        <h2 id="parts" className="text-xl">
          Its parts
        </h2>
        {!unit.retiredOn && (
          <span className="flex gap-4">
            {mayHaveFilter && (
              <Link
                href={`${home}/units/${unit.id}/slots/new`}
                className="text-link underline underline-offset-4"
              >
                Add a filter slot
              </Link>
            )}
            <Link
              href={`${home}/units/${unit.id}/parts/new`}
              className="text-link underline underline-offset-4"
            >
              Add a part
            </Link>
          </span>
        )}
      </div>
      {isEmpty && (
        <p className="mt-3 text-second">
          None yet.{mayHaveFilter && " A filter slot can say when it is due."} Parts keep their
          record.
        </p>
      )}
      <ul>
        {filters.map((status) => (
          <SlotRow key={status.filterStatus.slot.id} {...{ sheet, status }} />
        ))}
        {retiredSlots.map((slot) => (
          <li key={slot.id} className="border-b border-rule py-2.5">
            <Link href={`${home}/parts/${slot.id}`} className="font-semibold no-underline">
              {slotTitle(slot)}
            </Link>
          </li>
        ))}
      </ul>
      {!unit.retiredOn && <Lights {...{ filters, light }} />}
      <PartList homeId={book.home.id} rows={parts} />
    </section>
  );
}

function SlotRow({ sheet, status }: { sheet: UnitSheet; status: FilterSummary }) {
  const { filterStatus, fill, fillWords, band, words, why } = status;
  const { slot } = filterStatus;
  return (
    <li className="border-b border-rule">
      <Link
        href={`/homes/${sheet.snapshot.home.id}/parts/${slot.id}`}
        className="group grid grid-cols-[2.25rem_minmax(0,1fr)_auto] items-center gap-x-4 py-3 no-underline"
      >
        <Gauge fill={fill ?? 0} band={band} label={fillWords} />
        <span>
          <span className="block text-[1.0625rem] font-semibold group-hover:underline">
            {slotTitle(slot)}
          </span>
          <span className="block text-second">{why}</span>
        </span>
        <span className="figures max-w-32 text-right font-semibold">{words}</span>
      </Link>
    </li>
  );
}

function UnitFacts({ sheet }: { sheet: UnitSheet }) {
  const { snapshot: book, unit, today, system, runsWith, contact, predecessor } = sheet;
  const home = `/homes/${book.home.id}`;
  const kind = unitKind(unit.kind);
  const open = kind.attributes.filter(({ key }) => unit.attributes[key] === undefined);
  const made = isCoAlarm(kind.id) ? readPlainDate(unit.attributes["made-on"] ?? "") : null;
  const life = made && alarmLife(made, today);
  const warranty = unit.warrantyEndsOn && warrantyOf(unit.warrantyEndsOn, today);
  return (
    <>
      <Facts
        facts={[
          ["Serial", unit.serial],
          ["In service", unit.fittedOn && `since ${dayAndMonth(unit.fittedOn, today)}`],
          ...kind.attributes.map(
            (attribute) =>
              [
                attribute.fact ?? attribute.label,
                unit.attributes[attribute.key] &&
                  attributeWords(
                    attribute,
                    unit.attributes[attribute.key]!,
                    book.home.unitSystem,
                    today,
                  ),
              ] as const,
          ),
          [
            "Its sensor",
            life &&
              (life.verdict === "act"
                ? `is spent since ${dateWords(life.by, today)}: replace the alarm, new batteries don’t help`
                : life.verdict === "watch"
                  ? `may be spent: replace the alarm by ${dateWords(life.by, today)}`
                  : `is good until ${dateWords(life.from, today)} at least`),
          ],
          ["Refrigerant", unit.refrigerant],
          [
            carriesAir(kind.id) ? "Air" : "Hours",
            (kind.runs || runsWith.length > 0) && system && (
              <>
                {carriesAir(kind.id) &&
                  (runsWith.length > 0
                    ? `runs with ${listWords(runsWith.map((each) => each.name))}; `
                    : "moves its own; ")}
                <Link
                  href={`${home}/systems/${system.id}`}
                  className="text-link underline underline-offset-4"
                >
                  how it runs
                </Link>
              </>
            ),
          ],
          ["To get at it", unit.access],
          ["Papers", unit.papers],
          [
            "Warranty",
            unit.warrantyEndsOn &&
              `${warranty === "over" ? "ended" : warranty === "ends-soon" ? "ends soon:" : "until"} ${dateWords(unit.warrantyEndsOn, today)}${unit.warrantyRegistered === false ? "; not registered yet" : unit.warrantyRegistered ? "; registered" : ""}`,
          ],
          [
            "Serviced by",
            contact && (
              <>
                {contact.name}
                {contact.phone && (
                  <>
                    ,{" "}
                    <a
                      href={telOf(contact.phone)}
                      className="text-link underline underline-offset-4"
                    >
                      {contact.phone}
                    </a>
                  </>
                )}
              </>
            ),
          ],
          [
            "Before it",
            predecessor && (
              <Link
                href={`${home}/units/${predecessor.id}`}
                className="text-link underline underline-offset-4"
              >
                {predecessor.name}
              </Link>
            ),
          ],
          ["Notes", unit.note],
        ]}
      />
      {open.length > 0 && !unit.retiredOn && (
        <p className="text-second">
          Worth knowing still:{" "}
          <Link
            href={`${home}/units/${unit.id}/edit`}
            className="text-link underline underline-offset-4"
          >
            {open.map(({ label }) => label.toLowerCase()).join(", ")}
          </Link>
        </p>
      )}
    </>
  );
}

function UnitLinks({
  sheet: { snapshot: book, unit },
  children,
}: {
  sheet: UnitSheet;
  children: ReactNode;
}) {
  const sheet = `/homes/${book.home.id}/units/${unit.id}`;
  return (
    <ul className="-ml-2 flex flex-col items-start">
      <li>
        <LinkButton weight="quiet" href={`${sheet}/edit`}>
          Change or move it
        </LinkButton>
      </li>
      <li>
        <LinkButton weight="quiet" href={`${sheet}/costs`}>
          What it costs
        </LinkButton>
      </li>
      {!unit.retiredOn && (
        <li>
          <LinkButton weight="quiet" href={`${sheet}/replace`}>
            Replace it, or take it out of service
          </LinkButton>
        </li>
      )}
      {children}
    </ul>
  );
}
