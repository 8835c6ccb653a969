import { englishOf, inEnglish } from "@/content/english";
import { JOBS } from "@/content/default-tasks";
import { readingWords } from "@/core/readings/reading-units";
import { breakdownWords } from "@/core/timeline/breakdown";
import { partKind } from "@/content/part-kinds";
import { READING_WORDS } from "@/content/reading-words";
import { readWords } from "./reading-advice";
import { signOf } from "@/content/signs";
import { GRADE_WORDS } from "@/content/words";
import { moneyWords } from "@/core/quantities/money";
import type { PlainDate } from "@/core/quantities/plain-date";
import { dateWords, inSentence } from "@/core/quantities/words";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { HistoryEvent } from "@/core/history/history-event";
import { MEDIA } from "@/core/filters/media";

/** An entry of the record as a line: what happened, where, and what is known besides. */
export type HistoryLine = {
  id: string;
  date: PlainDate;
  when: string;
  what: string;
  details: string[];
  /** A change stands out from what was only seen or said. */
  isChange: boolean;
};

function whatHappened(snapshot: HomeSnapshot, event: HistoryEvent): string {
  const slot = [...snapshot.slots, ...snapshot.retiredSlots].find(
    (each) => each.id === event.partId,
  );
  switch (event.kind) {
    case "fitted":
      return slot && MEDIA[slot.media].cleaned ? "Fitted" : "New filter fitted";
    case "cleaned":
      return "Cleaned and put back";
    case "done":
      return doneWords(snapshot, event);
    case "noticed":
      return `Noticed: ${signOf(event.sign ?? "")?.words ?? "something"}`;
    case "reading":
      if (event.sign) return `Noticed: ${signOf(event.sign)?.words ?? "something"}`;
      return event.reading
        ? `${READING_WORDS[event.reading.kind].name}: ${readWords(event.reading, snapshot.home.unitSystem)}`
        : "A reading";
    case "breakdown":
      return "Broke down";
    case "forgotten":
      return "What its looks taught was forgotten";
    case "put-off":
      return "Not possible";
    case "look":
      return lookWords(snapshot, event);
    default:
      return event.words ?? "Note";
  }
}

/** What a look saw: by eye, by the drop across the filter, or both. */
function lookWords({ home }: HomeSnapshot, { look }: HistoryEvent): string {
  const seen = [
    look?.grade && inEnglish(englishOf(home), GRADE_WORDS[look.grade].name),
    look?.pressureDropPa !== undefined &&
      readingWords("filter-drop", look.pressureDropPa, home.unitSystem),
  ].filter(Boolean);
  return seen.length === 0 ? "Looked at" : `Looked at: ${seen.join(", ")}`;
}

/** What was done, by the name of the job where the entry says which. */
function doneWords(snapshot: HomeSnapshot, { partId, unitId, taskKey }: HistoryEvent): string {
  const part = snapshot.parts.find((each) => each.id === partId);
  const unit = [...snapshot.units, ...snapshot.retired].find((each) => each.id === unitId);
  const definitions = part
    ? JOBS.part(part.kind, unit?.kind ?? "")
    : partId
      ? []
      : JOBS.unit(unit?.kind ?? "");
  const own = snapshot.tasks.find((task) => task.key === taskKey)?.changes.name;
  const isMain = taskKey === undefined || definitions[0]?.key === taskKey;
  if (part && isMain) return partKind(part.kind).done;
  return own ?? definitions.find(({ key }) => key === taskKey)?.name ?? "Serviced";
}

/** What is known of a breakdown, and how its filters and the weather stood that day. */
function breakdownDetails(snapshot: HomeSnapshot, event: HistoryEvent): (string | undefined)[] {
  const { code, found, cause, daysWithout } = event.breakdown ?? {};
  return [
    code && `code ${code}`,
    found && inSentence(found),
    cause && `cause: ${inSentence(cause)}`,
    daysWithout === undefined
      ? undefined
      : `${daysWithout} ${daysWithout === 1 ? "day" : "days"} without`,
    ...breakdownWords(snapshot, event),
  ];
}

/** The newest first; with `named`, each says at which part it was. */
export function historyLines(
  snapshot: HomeSnapshot,
  events: readonly HistoryEvent[],
  today: PlainDate,
  named: boolean,
): HistoryLine[] {
  const partName = new Map(
    [...snapshot.slots, ...snapshot.retiredSlots, ...snapshot.parts].map((part) => [
      part.id,
      part.name,
    ]),
  );
  return events.toReversed().map((event) => {
    const what = whatHappened(snapshot, event);
    const where = named && event.partId ? partName.get(event.partId) : undefined;
    const details = [
      event.kind === "note" ? undefined : event.words,
      event.costMinor === undefined
        ? undefined
        : moneyWords({ minor: event.costMinor, currency: snapshot.home.currency }),
      event.minutes === undefined ? undefined : `${event.minutes} min`,
      event.corrects ? "corrected" : undefined,
      ...(event.kind === "breakdown" ? breakdownDetails(snapshot, event) : []),
    ];
    return {
      id: event.id,
      date: event.date,
      when: dateWords(event.date, today),
      what: where ? `${where}: ${what.charAt(0).toLowerCase()}${what.slice(1)}` : what,
      details: details.filter((each) => each !== undefined),
      isChange: !["look", "note", "reading", "noticed"].includes(event.kind),
    };
  });
}
