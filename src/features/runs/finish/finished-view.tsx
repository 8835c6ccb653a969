import { Link } from "@/ui/link";
import { inEnglish } from "@/content/english";
import { END_WORDS, GRADE_WORDS } from "@/content/words";
import { READING_WORDS, VERDICT_WORDS } from "@/content/reading-words";
import { readWords } from "@/presentation/reading-advice";
import { slotTitle } from "@/presentation/slot-words";
import { triggerWords } from "@/presentation/task-words";
import { endWordsOf } from "@/core/runs/run";
import { moneyWords } from "@/core/quantities/money";
import type { PlainDate } from "@/core/quantities/plain-date";
import {
  awayWords,
  betweenWords,
  capitalised,
  dateWords,
  inSentence,
  listWords,
} from "@/core/quantities/words";
import { dueWords } from "@/presentation/schedule-words";
import { judgementOf } from "@/core/history/readings-taken";
import type { HistoryEvent } from "@/core/history/history-event";
import { Bracket } from "@/ui/bracket";
import { LinkButton } from "@/ui/button";
import { LeadPanel } from "@/ui/lead-panel";
import { Needle } from "@/ui/needle";
import { UrgentLink } from "@/ui/urgent-link";
import type { RunSheet } from "../guide/run-queries";
import { PictureFigure } from "@/ui/picture";
import { ArrivedHeading } from "@/ui/arrived-heading";
import { UndoFinish } from "./undo-finish";

/** What the run changed: the new due day with its reason, what was seen and used, what comes next. */
export function FinishedView({ sheet }: { sheet: RunSheet }) {
  const { run, unit, part, slot, state, input } = sheet;
  const isStopped = state.status === "stopped";
  const isDeferred = state.aborted !== null && !sheet.written.some(isWork);
  const path = part ? `parts/${part.id}` : unit ? `units/${unit.id}` : "jobs";
  return (
    <main className="mx-auto max-w-3xl px-4 py-8">
      {!isStopped && run.endedAt && (
        <UndoFinish runId={run.id} endedAt={run.endedAt} serverNow={input.serverNow} />
      )}
      <div className="flex items-start justify-between gap-4">
        <p className="text-second">{unit?.name ?? run.procedure.title}</p>
        <span className="no-print">
          <UrgentLink href={`/emergency/${run.homeId}`}>Emergency</UrgentLink>
        </span>
      </div>
      <ArrivedHeading className="text-3xl outline-none">
        {isStopped
          ? "Given up, nothing changed"
          : isDeferred
            ? "Put off, nothing counts as done"
            : "Done"}
      </ArrivedHeading>
      {isDeferred && state.aborted && (
        <p className="mt-3 border-l-[6px] border-attention bg-wash px-4 py-3 text-lg">
          “{state.aborted.words}”
          {state.aborted.until &&
            `. To be tried again ${dateWords(state.aborted.until as PlainDate, sheet.today)}.`}
        </p>
      )}
      {!isStopped && (
        <div className="mt-4">
          <LeadPanel leads={sheet.leads} />
        </div>
      )}
      {!isStopped && <NextDue sheet={sheet} />}
      <StillOpen sheet={sheet} />
      {sheet.round && sheet.round.owed.length > 0 && (
        <p className="mt-4 border-l-[6px] border-attention bg-wash px-4 py-3 text-lg">
          It is on again: of the jobs before, still to see are{" "}
          {listWords(sheet.round.owed.map(inSentence))}.
        </p>
      )}
      {!isStopped && <Facts sheet={sheet} />}
      <BeforeAndAfter sheet={sheet} />
      <div className="no-print mt-6 flex flex-wrap gap-3">
        {!isStopped && !isDeferred && part && (
          <LinkButton weight="strong" href={`/homes/${run.homeId}/parts/${part.id}/label`}>
            {slot ? "Label for the frame" : "Label to stick on it"}
          </LinkButton>
        )}
        <LinkButton href={`/homes/${run.homeId}`}>Back to Today</LinkButton>
        <LinkButton href={`/homes/${run.homeId}/${path}`}>
          Open {unit?.name ?? "all jobs"}
        </LinkButton>
      </div>
      <NextStep sheet={sheet} />
    </main>
  );
}

const isWork = ({ kind }: HistoryEvent) =>
  kind === "fitted" || kind === "cleaned" || kind === "done";

function NextDue({ sheet: { status, job, today } }: { sheet: RunSheet }) {
  const due = status?.due ?? job?.due;
  if (!due || !job) return null;
  const { opens: early, closes: late } = job;
  return (
    <section className="mt-5 border-y-[3px] border-ink py-5" aria-label="Next due">
      <p className="text-[1.75rem] leading-tight font-bold" data-testid="next-due">
        Next due {awayWords(due, today)}, {dateWords(due, today)}
      </p>
      <p className="mt-2 text-lg">
        {early && late && early !== late && `${capitalised(betweenWords(early, late, today))}. `}
        {status?.why ?? `${capitalised(triggerWords(job.because))}.`}
      </p>
    </section>
  );
}

function StillOpen({ sheet: { state, input } }: { sheet: RunSheet }) {
  const { open } = state.ends;
  if (open.length === 0) return null;
  return (
    <ul className="mt-5 flex flex-col gap-2">
      {open.map((end) => (
        <li key={end.id} className="flex items-center gap-4 bg-wash px-3 py-3 text-lg">
          <Bracket />
          Still open: {endWordsOf(state, input.job.place, end.id) ?? END_WORDS[end.end].open}
        </li>
      ))}
    </ul>
  );
}

function Facts({ sheet }: { sheet: RunSheet }) {
  const { snapshot: book, run, slot, state, written } = sheet;
  const { home } = book;
  const work = written.find(isWork);
  const used = state.finish?.used ?? [];
  const rows: [string, React.ReactNode, string?][] = written.flatMap(
    (event): [string, React.ReactNode, string?][] => {
      const grade = event.look?.grade;
      if (grade)
        return [["The old one", inEnglish(sheet.english, GRADE_WORDS[grade].name), event.id]];
      if (!event.reading) return [];
      const { verdict } = judgementOf(event.reading);
      return [
        [
          READING_WORDS[event.reading.kind].name,
          <span key={event.id} className="flex items-center gap-3">
            <Needle verdict={verdict} />
            {readWords(event.reading, home.unitSystem)}, {VERDICT_WORDS[verdict]}
          </span>,
          event.id,
        ],
      ];
    },
  );
  const size = state.completed.findLast(({ seen }) => seen.size)?.seen.size;
  if (size)
    rows.push(["The slot", `measured ${size.opening}${size.buy ? `; buy ${size.buy}` : ""}`]);
  if (work) {
    if (slot && work.kind === "fitted") rows.push(["Fitted", slotTitle(slot), work.id]);
    if (work.kind === "cleaned") rows.push(["Cleaned", slot ? slotTitle(slot) : "yes", work.id]);
    if (used.length > 0) rows.push(["Used", used.join(", ")]);
    if (work.costMinor)
      rows.push(["Cost", moneyWords({ minor: work.costMinor, currency: home.currency }), work.id]);
    if (work.minutes) rows.push(["Took", `${work.minutes} minutes at work`, work.id]);
    if (work.words) rows.push(["Noted", work.words, work.id]);
  }
  if (rows.length === 0) return null;
  const isFirstOf = (eventId: string, i: number) =>
    rows.findIndex(([, , each]) => each === eventId) === i;
  return (
    <dl className="mt-5 grid grid-cols-[8.5rem_minmax(0,1fr)_auto] text-lg">
      {rows.map(([name, value, eventId], i) => (
        <div key={i} className="col-span-3 grid grid-cols-subgrid border-b border-rule py-2">
          <dt className="text-second">{name}</dt>
          <dd>{value}</dd>
          <dd className="no-print">
            {eventId && isFirstOf(eventId, i) && (
              <Link
                href={`/homes/${run.homeId}/entries/${eventId}`}
                aria-label={`Correct: ${name}`}
                className="text-base text-link"
              >
                Correct
              </Link>
            )}
          </dd>
        </div>
      ))}
    </dl>
  );
}

/** Pictures side by side, as they were taken. */
function BeforeAndAfter({ sheet: { photos } }: { sheet: RunSheet }) {
  if (photos.length === 0) return null;
  return (
    <section aria-label="Before and after" className="mt-6 grid grid-cols-2 gap-4">
      {(["before", "after"] as const).map((moment) => (
        <div key={moment}>
          <h2 className="border-b-[3px] border-ink text-lg">
            {moment === "before" ? "Before" : "After"}
          </h2>
          <div className="mt-2 flex flex-wrap gap-3">
            {photos
              .filter((photo) => photo.moment === moment)
              .map(({ id }) => (
                <PictureFigure
                  key={id}
                  id={id}
                  words={`${moment === "before" ? "Before" : "After"} the work`}
                />
              ))}
          </div>
        </div>
      ))}
    </section>
  );
}

function NextStep({ sheet: { run, next, today, round } }: { sheet: RunSheet }) {
  if (!next)
    return round ? (
      <p className="no-print mt-8 border-t-[3px] border-ink pt-4 text-lg">
        That was the last job of the round.{" "}
        <Link href={round.path} className="text-link underline underline-offset-4">
          The round’s sheet
        </Link>
      </p>
    ) : null;
  const { task, unit } = next;
  const isLed = task.procedureIds.length > 0;
  return (
    <section aria-label="Next" className="no-print mt-8 border-t-[3px] border-ink pt-4">
      <h2 className="text-xl">
        {round
          ? `Next in the round, ${round.left === 1 ? "the last one" : `${round.left} left`}`
          : "While you are at it"}
      </h2>
      <p className="mt-1 flex flex-wrap items-center justify-between gap-3 text-lg">
        <span>
          {unit ? `${unit.name}: ${inSentence(task.name)}` : task.name}, {dueWords(next, today)},
          about {task.handsOn} minutes
        </span>
        <LinkButton
          weight={round ? "strong" : "plain"}
          href={`/homes/${run.homeId}/jobs/${task.id}/${isLed ? "start" : "done"}`}
        >
          {isLed ? "Prepare it" : "Note it done"}
        </LinkButton>
      </p>
      {round && (
        <Link href={round.path} className="flex min-h-11 items-center text-link">
          The round’s sheet: to stop here, or to take another first
        </Link>
      )}
    </section>
  );
}
