import { Link } from "@/ui/link";
import type { ReactNode } from "react";
import { DECISION_WORDS, VISIT_VERDICT_WORDS } from "@/content/visits";
import { READING_WORDS } from "@/content/reading-words";
import { moneyWords } from "@/core/quantities/money";
import { dateWords, dayAndMonth, inSentence } from "@/core/quantities/words";
import type { Finding } from "@/core/visits/visit";
import { adviceWords, readWords } from "@/presentation/reading-advice";
import { LinkButton } from "@/ui/button";
import { Needle } from "@/ui/needle";
import { PictureFigure } from "@/ui/picture";
import { UnitFigure } from "@/ui/unit-figure";
import { unitKind } from "@/content/unit-kinds";
import { likelyWords } from "./likely-words";
import type { VisitPage } from "./visit-queries";

const LINK = "text-link underline underline-offset-4";

/** A visit: what it is for, what was measured and found, how it ended. */
export function VisitView({
  page,
  begin,
  settle,
  remove,
  papers,
}: {
  page: VisitPage;
  /** The button that begins it. */
  begin: ReactNode;
  /** The button that says a finding was put right, or was not after all. */
  settle: (finding: Finding) => ReactNode;
  /** The buttons that take out a planned visit or a finding. */
  remove: (target: { kind: "visit" | "finding"; id: string; name: string }) => ReactNode;
  /** Its invoice and pictures, with the press to add one. */
  papers: ReactNode;
}) {
  const { snapshot, today, visit, row, units, due, deferred, likely } = page;
  const home = `/homes/${snapshot.home.id}`;
  const here = `${home}/visits/${visit.id}`;
  const { currency } = snapshot.home;
  const money = (minor: number | undefined) =>
    minor === undefined ? "" : moneyWords({ minor, currency });
  return (
    <div className="grid gap-x-10 gap-y-6 wide:grid-cols-[minmax(0,1fr)_20rem]">
      <div className="flex min-w-0 flex-col gap-6">
        <header>
          <p className="text-second">
            <Link href={`${home}/visits`} className={LINK}>
              Visits
            </Link>
            {`: ${row.why.toLowerCase()}, ${row.who}`}
          </p>
          <h1 className="text-[1.75rem]">
            {visit.on ? dateWords(visit.on, today) : "A visit without a day yet"}
          </h1>
          {row.state === "over" && (
            <p className="mt-1 text-[1.0625rem]">
              Left {visit.verdict ? VISIT_VERDICT_WORDS[visit.verdict] : ""}
              {visit.signedBy && `, signed by ${visit.signedBy}`}.{visit.words && ` ${visit.words}`}
            </p>
          )}
          <div className="mt-4 flex flex-wrap gap-2">
            {row.state === "planned" && begin}
            {row.state === "under-way" && (
              <LinkButton
                weight="strong"
                href={`${here}/${firstOpen(page) ? `units/${firstOpen(page)}` : "end"}`}
              >
                Go on with it
              </LinkButton>
            )}
            {row.state !== "over" && <LinkButton href={`${here}/brief`}>The brief</LinkButton>}
            {row.state === "planned" && (
              <LinkButton href={`${here}/edit`}>Change the plan</LinkButton>
            )}
            {row.state === "under-way" && <LinkButton href={`${here}/end`}>End it</LinkButton>}
            {row.state === "over" && (
              <a
                href={`/api/v1/homes/${snapshot.home.id}/visits/${visit.id}/report`}
                className={`inline-flex min-h-11 items-center ${LINK}`}
              >
                The report, to keep
              </a>
            )}
          </div>
        </header>
        {units.map(({ unit, isSeen, readings, findings }) => (
          <section key={unit.id} className="border-t-[3px] border-ink pt-2.5">
            <div className="flex items-center gap-3">
              <UnitFigure figure={unitKind(unit.kind).figure} size={36} />
              <h2 className="text-xl">{unit.name}</h2>
              {row.state !== "planned" && (
                <Link href={`${here}/units/${unit.id}`} className={`ml-auto ${LINK}`}>
                  {isSeen || row.state === "over" ? "Its checks" : "Check it"}
                </Link>
              )}
            </div>
            {readings.length > 0 && (
              <ul className="mt-2">
                {readings.map(({ event, taken, judgement }) => (
                  <li key={event.id} className="flex items-start gap-3 border-b border-rule py-2">
                    <Needle verdict={judgement.verdict} size={20} />
                    <span>
                      {READING_WORDS[taken.kind].name}:{" "}
                      <strong className="figures">
                        {readWords(taken, snapshot.home.unitSystem)}
                      </strong>
                      {(judgement.verdict === "act" || judgement.verdict === "stop") &&
                        `; ${adviceWords(taken.kind, judgement)}`}
                    </span>
                  </li>
                ))}
              </ul>
            )}
            {findings.map((finding) => (
              <FindingRow
                key={finding.id}
                {...{ finding, page, settle, remove }}
                price={money(finding.priceMinor)}
              />
            ))}
            {row.state === "planned" && due.every(({ task }) => task.unitId !== unit.id) && (
              <p className="mt-1 text-second">Nothing falls due here that needs a licence.</p>
            )}
            {row.state === "planned" && (
              <ul className="mt-2">
                {due
                  .filter(({ task }) => task.unitId === unit.id)
                  .map((job) => (
                    <li key={job.task.id} className="border-b border-rule py-2">
                      {inSentence(job.task.name)}
                      <span className="text-second">, due {dayAndMonth(job.due!, today)}</span>
                    </li>
                  ))}
              </ul>
            )}
          </section>
        ))}
      </div>
      <aside className="flex flex-col gap-6">
        {row.state !== "over" && likely.length > 0 && (
          <section aria-labelledby="likely" className="border-t-[3px] border-ink pt-3">
            <h2 id="likely" className="text-lg">
              Likely to be needed
            </h2>
            <ul>
              {likely.map((part) => (
                <li key={part.part.id} className="border-b border-rule py-2">
                  <Link href={`${home}/parts/${part.part.id}`} className="font-semibold">
                    {part.part.name}
                  </Link>
                  <span className="block text-second">{likelyWords(part, today)}</span>
                </li>
              ))}
            </ul>
          </section>
        )}
        {row.state !== "over" && deferred.length > 0 && (
          <section aria-labelledby="deferred" className="border-t-[3px] border-ink pt-3">
            <h2 id="deferred" className="text-lg">
              Put off before
            </h2>
            <ul>
              {deferred.map((finding) => (
                <li key={finding.id} className="border-b border-rule py-2">
                  <Link href={`${home}/visits/${finding.visitId}#${finding.id}`}>
                    {finding.words}
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        )}
        {visit.questions && (
          <section className="border-t-[3px] border-ink pt-3">
            <h2 className="text-lg">To ask</h2>
            <p className="whitespace-pre-line">{visit.questions}</p>
          </section>
        )}
        {row.state === "over" && (
          <section className="border-t-[3px] border-ink pt-3">
            <h2 className="text-lg">Counted</h2>
            <p className="figures">
              {[visit.minutes !== undefined && `${visit.minutes} min`, money(visit.costMinor)]
                .filter(Boolean)
                .join(", ") || "neither minutes nor money"}
            </p>
            {visit.nextOn && <p>Next: {dateWords(visit.nextOn, today)}</p>}
          </section>
        )}
        {row.state !== "planned" && (
          <section className="border-t-[3px] border-ink pt-3">
            <h2 className="mb-2 text-lg">Invoice and pictures</h2>
            {papers}
          </section>
        )}
        {row.state === "planned" && (
          <div>{remove({ kind: "visit", id: visit.id, name: "the planned visit" })}</div>
        )}
      </aside>
    </div>
  );
}

/** The first machine whose checks nobody saved yet. */
const firstOpen = ({ units }: VisitPage): string | undefined =>
  units.find(({ isSeen }) => !isSeen)?.unit.id;

function FindingRow({
  finding,
  page: { snapshot, today, visit, pictures },
  price,
  settle,
  remove,
}: {
  finding: Finding;
  page: VisitPage;
  price: string;
} & Pick<Parameters<typeof VisitView>[0], "settle" | "remove">) {
  const { id, unitId, words, advice, decision, until, because, settledOn } = finding;
  const here = `/homes/${snapshot.home.id}/visits/${visit.id}`;
  return (
    <article id={id} className="mt-3 border-l-4 border-attention bg-wash px-4 py-2.5">
      <h3 className="font-semibold">{words}</h3>
      {(advice || price) && (
        <p className="figures">Advised: {[advice, price].filter(Boolean).join(", ")}</p>
      )}
      <p>
        {settledOn
          ? `Put right ${dayAndMonth(settledOn, today)}.`
          : `You decided: ${DECISION_WORDS[decision]}${until ? ` until ${dateWords(until, today)}` : ""}.`}
        {because && ` “${because}”`}
      </p>
      <div className="flex flex-wrap gap-2">
        {pictures
          .filter(({ findingId }) => findingId === id)
          .map((picture) => (
            <PictureFigure key={picture.id} id={picture.id} words={words} />
          ))}
      </div>
      <div className="-ml-2 flex flex-wrap items-center">
        {!settledOn && (
          <LinkButton weight="quiet" href={`${here}/units/${unitId}?finding=${id}`}>
            Decide or change
          </LinkButton>
        )}
        {settle(finding)}
        {remove({ kind: "finding", id, name: words })}
      </div>
    </article>
  );
}
