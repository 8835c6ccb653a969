import Link from "next/link";
import { GRADE_WORDS } from "@/content/words";
import { moneyWords } from "@/core/quantities/money";
import type { PlainDate } from "@/core/quantities/plain-date";
import { dateWords } from "@/core/quantities/words";
import type { FilterSlot, HistoryEvent, Home } from "@/core/register/register";
import { WithdrawButton } from "./withdraw-button";

const MOST_SHOWN = 12;

function whatHappened(event: HistoryEvent): string {
  switch (event.kind) {
    case "fitted":
      return "New filter fitted";
    case "cleaned":
      return "Cleaned and put back";
    case "look":
      return event.look?.grade ? `Looked at: ${GRADE_WORDS[event.look.grade].name}` : "Looked at";
    default:
      return event.words ?? "Note";
  }
}

/** What was done and seen at a slot, the newest first. */
export function History({
  homeId,
  home,
  slot,
  history,
  today,
}: {
  homeId: string;
  home: Home;
  slot: FilterSlot;
  history: HistoryEvent[];
  today: PlainDate;
}) {
  return (
    <section aria-labelledby="history">
      <div className="flex items-baseline justify-between gap-4">
        <h3 id="history" className="text-lg">
          What was done and seen
        </h3>
        <Link
          href={`/homes/${homeId}/slots/${slot.id}/changed`}
          className="text-link underline underline-offset-4"
        >
          Add a change made earlier
        </Link>
      </div>
      {history.length === 0 && (
        <p className="mt-2 text-second">
          Nothing yet. When was this filter fitted? A guess is a good start.
        </p>
      )}
      <ol className="mt-2">
        {history.slice(0, MOST_SHOWN).map((event) => (
          <HistoryRow key={event.id} {...{ homeId, home, event, today }} />
        ))}
      </ol>
      {history.length > MOST_SHOWN && (
        <details>
          <summary className="inline-flex min-h-11 items-center text-link underline underline-offset-4">
            {history.length - MOST_SHOWN} older
          </summary>
          <ol>
            {history.slice(MOST_SHOWN).map((event) => (
              <HistoryRow key={event.id} {...{ homeId, home, event, today }} />
            ))}
          </ol>
        </details>
      )}
    </section>
  );
}

function HistoryRow({
  homeId,
  home,
  event,
  today,
}: {
  homeId: string;
  home: Home;
  event: HistoryEvent;
  today: PlainDate;
}) {
  const details = [
    event.words,
    event.costMinor !== undefined &&
      moneyWords({ minor: event.costMinor, currency: home.currency }),
    event.minutes !== undefined && `${event.minutes} min`,
    event.corrects && "corrected",
  ].filter(Boolean);
  return (
    <li className="grid grid-cols-[8.5rem_minmax(0,1fr)_auto] items-center gap-x-4 border-t border-rule">
      <span className="figures text-second">{dateWords(event.date, today)}</span>
      <span>
        <span className={event.kind === "look" ? "" : "font-semibold"}>{whatHappened(event)}</span>
        {details.length > 0 && <span className="text-second">, {details.join(", ")}</span>}
      </span>
      <span className="flex">
        <Link
          href={`/homes/${homeId}/entries/${event.id}`}
          aria-label={`Correct: ${whatHappened(event)}, ${dateWords(event.date, today)}`}
          className="flex min-h-11 items-center px-2 text-link"
        >
          Correct
        </Link>
        <WithdrawButton
          homeId={homeId}
          eventId={event.id}
          words={`${whatHappened(event)}, ${dateWords(event.date, today)}`}
        />
      </span>
    </li>
  );
}
