import { Link } from "@/ui/link";
import type { ReactNode } from "react";
import { partKind } from "@/content/part-kinds";
import { slotTitle } from "@/presentation/slot-words";
import { agoWords, betweenWords, capitalised, dateWords } from "@/core/quantities/words";
import { attributeWords } from "@/core/inventory/attribute";
import type { FilterSummary } from "@/presentation/filter-status";
import type { FilterStatus } from "@/core/filters/filter-status";
import type { FilterSlot } from "@/core/inventory/inventory";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { Identity } from "@/core/inventory/identity";
import { identityLines } from "@/presentation/identity-words";
import { LinkButton } from "@/ui/button";
import { Gauge } from "@/ui/gauge";
import { curveOf, filterSeen } from "../filters/curve";
import type { PartSheet } from "../units/unit-queries";
import { Facts } from "../units/facts";
import { ShutOffOnPage } from "../units/shut-off";
import { SlotFacts } from "../filters/slot-facts";
import { CurveWithWhatIf } from "../filters/what-if";
import { whatIfOf } from "../filters/what-if-of";
import { staircaseOf } from "../filters/staircase";
import { Stairs } from "../filters/stairs";
import { CoilHead } from "./coil-head";

/** Everything about one part; `start` is the button that begins a slot's job. */
export function PartView({
  sheet,
  start,
  noting,
  jobs,
  readings,
  history,
}: {
  sheet: PartSheet;
  start: (filterStatus: FilterStatus) => ReactNode;
  /** The buttons that say at one press what was done or seen at a filter. */
  noting: (slot: FilterSlot) => ReactNode;
  /** What comes round at it; of a filter the strategies before. */
  jobs: ReactNode;
  readings: ReactNode;
  history: ReactNode;
}) {
  const { snapshot: book, unit, today } = sheet;
  const home = `/homes/${book.home.id}`;
  const id =
    sheet.kind === "slot"
      ? sheet.filterStatus.slot.id
      : sheet.kind === "part"
        ? sheet.part.id
        : sheet.slot.id;
  const facts =
    sheet.kind === "slot" ? (
      <SlotFacts
        snapshot={book}
        slot={sheet.filterStatus.slot}
        today={today}
        fittedOn={sheet.filterStatus.fittedOn}
      />
    ) : sheet.kind === "part" ? (
      <PartFacts sheet={sheet} />
    ) : (
      <SlotFacts snapshot={book} slot={sheet.slot} today={today} fittedOn={null} />
    );
  const plate = (
    <PlateFacts
      homeId={book.home.id}
      id={id}
      identity={
        sheet.kind === "slot"
          ? sheet.filterStatus.slot.identity
          : sheet.kind === "part"
            ? sheet.part.identity
            : sheet.slot.identity
      }
      today={today}
    />
  );
  const links = (
    <ul className="-ml-2 flex flex-col items-start">
      <li>
        <LinkButton weight="quiet" href={`${home}/parts/${id}/edit`}>
          Change what is written here
        </LinkButton>
      </li>
      {sheet.kind === "slot" && (
        <li>
          <LinkButton weight="quiet" href={`${home}/parts/${id}/label`}>
            Print a label for its frame
          </LinkButton>
        </li>
      )}
      <li>
        <LinkButton weight="quiet" href={`${home}/units/${unit.id}/note?part=${id}`}>
          Write a note
        </LinkButton>
      </li>
    </ul>
  );
  return (
    <div className="grid gap-x-10 gap-y-5 wide:grid-cols-[minmax(0,1fr)_21.5rem]">
      <div className="order-2 flex min-w-0 flex-col gap-5 wide:order-1">
        <nav aria-label="Where this is" className="-mb-3 flex flex-wrap gap-x-2 text-second">
          <Link href={`${home}/house?unit=${unit.id}`} className="text-link">
            House
          </Link>
          <span aria-hidden="true">›</span>
          <Link href={`${home}/units/${unit.id}`} className="text-link">
            {unit.name}
          </Link>
        </nav>
        {sheet.kind === "slot" ? (
          <SlotHead {...{ sheet, start, noting }} />
        ) : sheet.kind === "part" ? (
          sheet.coil ? (
            <CoilHead sheet={sheet} coil={sheet.coil} />
          ) : (
            <PartHead sheet={sheet} />
          )
        ) : (
          <header>
            <h1 className="text-[1.75rem]">{slotTitle(sheet.slot)}</h1>
            <p className="text-second">Its machine is out of service.</p>
          </header>
        )}
        {jobs}
        {readings}
        <div className="flex flex-col gap-3 wide:hidden">
          {facts}
          {plate}
        </div>
        {history}
        <div className="wide:hidden">{links}</div>
      </div>
      <aside className="order-1 flex flex-col gap-5 wide:order-2">
        <ShutOffOnPage name={unit.name} shutOffs={unit.shutOffs} />
        <div className="hidden flex-col gap-5 wide:flex">
          {facts}
          {plate}
          {unit.access && <p className="text-second">To get at it: {unit.access}</p>}
          {links}
        </div>
      </aside>
    </div>
  );
}

/** What its plate says, and where more of it is told. */
function PlateFacts({
  homeId,
  id,
  identity,
  today,
}: {
  homeId: string;
  id: string;
  identity: Identity | undefined;
  today: PlainDate;
}) {
  const lines = identityLines(identity, today);
  return (
    <section aria-label="Its plate">
      <Facts facts={lines.map(({ label, value }) => [label, value] as const)} />
      <Link
        href={`/homes/${homeId}/parts/${id}/identity`}
        className="no-print inline-flex min-h-11 items-center text-link underline underline-offset-4"
      >
        {lines.length === 0 ? "Make, number, tool: none known yet" : "What its plate says"}
      </Link>
    </section>
  );
}

function SlotHead({
  sheet,
  start,
  noting,
}: {
  sheet: Extract<PartSheet, { kind: "slot" }>;
  start: (filterStatus: FilterStatus) => ReactNode;
  noting: (slot: FilterSlot) => ReactNode;
}) {
  const { snapshot: book, today, events, drivers, filterStatus, status, siblings } = sheet;
  const { slot, wear } = filterStatus;
  const { early, due, late, words, why, fill, fillWords, band } = status;
  const stairs =
    wear &&
    staircaseOf({
      ...{ explanation: filterStatus, wear, today, measure: "days" },
      ...{ drivers: drivers.map(({ driver }) => driver), homeId: book.home.id, partId: slot.id },
    });
  return (
    <>
      {siblings.length > 1 && <Siblings homeId={book.home.id} {...{ siblings }} shown={slot.id} />}
      <section aria-labelledby="slot" className="flex flex-col gap-5">
        <div className="flex flex-wrap items-start gap-x-6 gap-y-3">
          <div className="flex grow basis-80 gap-4">
            {fill !== null && <Gauge fill={fill} band={band} label={fillWords} height={76} />}
            <div>
              <h1 id="slot" className="text-[1.625rem]">
                {slotTitle(slot)}
                {words && `: ${words}`}
              </h1>
              <p className="mt-1">
                {due && (
                  <>
                    {status.strategy === "wear" ? "Most likely " : "Due "}
                    <strong>{dateWords(due, today)}</strong>
                    {early && late && early !== late && `, ${betweenWords(early, late, today)}`}
                    .{" "}
                  </>
                )}
                {why}
              </p>
            </div>
          </div>
          <div className="flex grow flex-wrap gap-x-2 gap-y-1 wide:max-w-72 wide:grow-0 wide:justify-end">
            {start(filterStatus)}
            <LinkButton href={`/homes/${book.home.id}/look?slot=${slot.id}`}>
              Note a look
            </LinkButton>
            {noting(slot)}
          </div>
        </div>
        {wear && (
          <CurveWithWhatIf
            system={sheet.snapshot.home.unitSystem}
            curve={curveOf(
              wear,
              filterSeen(events, slot.cleanDropPa, book.home.unitSystem),
              drivers,
              today,
              LONGEST_CURVE_DAYS,
            )}
            today={today}
            title={slotTitle(slot)}
            likely={wear.likely}
            {...whatIfOf(filterStatus, today)}
          />
        )}
      </section>
      {stairs && status.strategy === "wear" && <Stairs staircase={stairs} title="Why then" />}
    </>
  );
}

/** A filter’s curve is drawn so far, days. */
const LONGEST_CURVE_DAYS = 400;

function PartHead({ sheet }: { sheet: Extract<PartSheet, { kind: "part" }> }) {
  const { snapshot: book, part, lastDone, today, mainJob, isLed } = sheet;
  const { care, done } = partKind(part.kind);
  const doneHref = mainJob
    ? `/homes/${book.home.id}/jobs/${mainJob}/done`
    : `/homes/${book.home.id}/parts/${part.id}/changed`;
  return (
    <header className="flex flex-wrap items-start justify-between gap-x-6 gap-y-3">
      <div>
        <h1 className="text-[1.625rem]">{part.name}</h1>
        <p className="mt-1">{capitalised(care)}.</p>
        <p className="mt-1 text-second">
          {lastDone
            ? `${done} ${dateWords(lastDone, today)}, ${agoWords(lastDone, today)}.`
            : "Never recorded."}
        </p>
      </div>
      <div className="flex flex-wrap gap-2">
        {mainJob && isLed && (
          <LinkButton weight="strong" href={`/homes/${book.home.id}/jobs/${mainJob}/start`}>
            Do it step by step
          </LinkButton>
        )}
        <LinkButton weight={mainJob && isLed ? "plain" : "strong"} href={doneHref}>
          Note it done
        </LinkButton>
      </div>
    </header>
  );
}

function PartFacts({ sheet }: { sheet: Extract<PartSheet, { kind: "part" }> }) {
  const { snapshot: book, part, room, today } = sheet;
  const { name, attributes: questions = [] } = partKind(part.kind);
  const open = questions.filter(({ key }) => part.attributes[key] === undefined);
  return (
    <>
      <Facts
        facts={[
          ["What", name === part.name ? undefined : name],
          ["Where", [room?.name, part.place].filter(Boolean).join("; ")],
          ...questions.map(
            (attribute) =>
              [
                attribute.fact ?? attribute.label,
                part.attributes[attribute.key] &&
                  attributeWords(
                    attribute,
                    part.attributes[attribute.key]!,
                    book.home.unitSystem,
                    today,
                  ),
              ] as const,
          ),
          ["Notes", part.note],
        ]}
      />
      {open.length > 0 && (
        <p className="text-second">
          Worth knowing still:{" "}
          <Link
            href={`/homes/${book.home.id}/parts/${part.id}/edit`}
            className="text-link underline underline-offset-4"
          >
            {open.map(({ label }) => label.toLowerCase()).join(", ")}
          </Link>
        </p>
      )}
    </>
  );
}

function Siblings({
  homeId,
  siblings,
  shown,
}: {
  homeId: string;
  siblings: FilterSummary[];
  shown: string;
}) {
  return (
    <nav aria-label="Filters of this unit" className="flex flex-wrap gap-2">
      {siblings.map(({ filterStatus: { slot }, fill, fillWords }) => (
        <Link
          key={slot.id}
          href={`/homes/${homeId}/parts/${slot.id}`}
          aria-current={slot.id === shown ? "true" : undefined}
          className="flex min-h-14 items-center gap-3 border-b-4 border-transparent px-2 no-underline aria-[current=true]:border-attention"
        >
          <Gauge fill={fill ?? 0} label={fillWords} height={36} />
          <span className="font-semibold">{slot.name}</span>
        </Link>
      ))}
    </nav>
  );
}
