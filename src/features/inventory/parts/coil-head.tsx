import { SEEN_WORDS } from "@/content/reading-words";
import { SEEN_ON_COIL } from "@/core/filters/belief";
import { gradeOfCoil } from "@/core/filters/coil-wear";
import { fillBand } from "@/core/filters/wear-status";
import { agoWords, betweenWords, dateWords, spanWords } from "@/core/quantities/words";
import { slotTitle } from "@/presentation/slot-words";
import { dueWords } from "@/presentation/schedule-words";
import { LinkButton } from "@/ui/button";
import { Gauge } from "@/ui/gauge";
import { curveOf, type Curve, type SeenLoad } from "../filters/curve";
import { staircaseOf } from "../filters/staircase";
import { Stairs } from "../filters/stairs";
import { WearCurve } from "../filters/wear-curve";
import type { CoilOnSheet, PartSheet } from "../units/unit-queries";

/** A coil’s curve is drawn so far, days. */
const LONGEST_CURVE_DAYS = 5475;

type CoilPart = Extract<PartSheet, { kind: "part" }>;

/** How a coil stands: when it is cleaned, how far it is loaded, why, and what its filter’s leak costs. */
export function CoilHead({ sheet, coil }: { sheet: CoilPart; coil: CoilOnSheet }) {
  const { snapshot, part, today } = sheet;
  const { wear, sentence, sealed } = coil.sheet;
  const home = `/homes/${snapshot.home.id}`;
  const { upstream } = coil.status;
  const stairs =
    wear &&
    staircaseOf({
      ...{ explanation: coil.sheet, wear, today, measure: "points" },
      ...{ drivers: coil.drivers.map(({ driver }) => driver) },
      ...{ homeId: snapshot.home.id, partId: part.id },
    });
  return (
    <>
      <section aria-labelledby="coil" className="flex flex-col gap-5">
        <div className="flex flex-wrap items-start gap-x-6 gap-y-3">
          <div className="flex grow basis-80 gap-4">
            {wear && (
              <Gauge
                fill={wear.percentNow / 100}
                band={fillBand(wear)}
                label={`${Math.round(wear.percentNow)} % of what mats it`}
                height={76}
              />
            )}
            <div>
              <h1 id="coil" className="text-[1.625rem]">
                {part.name}
                {coil.job?.due && `: ${dueWords(coil.job, today)}`}
              </h1>
              {wear?.likely && (
                <p className="mt-1">
                  Matted most likely <strong>{dateWords(wear.likely, today)}</strong>
                  {wear.early &&
                    wear.late &&
                    wear.early !== wear.late &&
                    `, ${betweenWords(wear.early, wear.late, today)}`}
                  .
                </p>
              )}
              <p className="mt-1">{sentence}</p>
              {sealed && upstream && (
                <p className="mt-1">
                  {leakWords(sealed, slotTitle(upstream.slot), upstream.bypass)}
                </p>
              )}
              <p className="mt-1 text-second">
                {coil.status.fittedOn
                  ? `Clean on ${dateWords(coil.status.fittedOn, today)}, ${agoWords(coil.status.fittedOn, today)}.`
                  : "No cleaning recorded."}
              </p>
            </div>
          </div>
          <div className="flex grow flex-wrap gap-x-2 gap-y-1 wide:max-w-72 wide:grow-0 wide:justify-end">
            {coil.job && (
              <LinkButton weight="strong" href={`${home}/jobs/${coil.job.task.id}/start`}>
                Do it step by step
              </LinkButton>
            )}
            <LinkButton
              weight={coil.job ? "plain" : "strong"}
              href={
                coil.job
                  ? `${home}/jobs/${coil.job.task.id}/done`
                  : `${home}/parts/${part.id}/changed`
              }
            >
              Note it cleaned
            </LinkButton>
            <LinkButton href={`${home}/reading?place=${part.id}`}>Note a look</LinkButton>
          </div>
        </div>
        {wear && (
          <WearCurve
            curve={withSealed(
              curveOf(wear, seenOf(sheet), coil.drivers, today, LONGEST_CURVE_DAYS),
              sealed,
            )}
            today={today}
            title={part.name}
            note={
              sealed
                ? "The dotted line: with a strip of foam about the filter from today on."
                : undefined
            }
          />
        )}
      </section>
      {stairs && <Stairs staircase={stairs} title="What loads it" />}
    </>
  );
}

type Sealed = NonNullable<CoilOnSheet["sheet"]["sealed"]>;

/** “1.6 % of the air slips past the filter: from clean it mats in about 5 years; with a foam strip in about 6.” */
function leakWords({ lasts, wouldLast }: Sealed, filter: string, bypass: number): string {
  const share = `${Math.round(1000 * bypass) / 10} % of the air slips past its filter (${filter})`;
  const span = (days: number | null) =>
    days === null ? "more than fifteen years" : `about ${spanWords(days)}`;
  return `${share}: from clean it mats in ${span(lasts)}; with a strip of foam in ${span(wouldLast)}.`;
}

const withSealed = (curve: Curve, sealed: Sealed | null): Curve =>
  sealed ? { ...curve, other: sealed.points.filter(({ x }) => x <= curve.to) } : curve;

const seenOf = ({ snapshot, part }: CoilPart): SeenLoad[] =>
  snapshot.history.ofPart(part.id).flatMap(({ date, reading }) => {
    const grade = reading && gradeOfCoil(reading);
    const words = SEEN_WORDS[String(reading?.value)] ?? "";
    return grade ? [{ date, load: SEEN_ON_COIL[grade].load, words }] : [];
  });
