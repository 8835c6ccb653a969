import { partTasks, unitTasks } from "@/content/default-tasks";
import { readingWords } from "@/core/readings/reading-units";
import { breakdownWords } from "@/core/history/breakdown";
import { partKind } from "@/content/part-kinds";
import { READING_WORDS, readWords } from "@/content/reading-words";
import { GRADE_WORDS } from "@/content/words";
import { moneyWords } from "@/core/quantities/money";
import type { PlainDate } from "@/core/quantities/plain-date";
import { dateWords } from "@/core/quantities/words";
import type { HistoryEvent, HomeBook } from "@/core/inventory/inventory";
import { MEDIA } from "@/core/filters/media";

/** An entry of the record as a line: what happened, where, and what is known besides. */
export type HistoryLine = {
  id: string;
  when: string;
  what: string;
  details: string[];
  /** A change stands out from what was only seen or said. */
  isChange: boolean;
};

function whatHappened(book: HomeBook, event: HistoryEvent): string {
  const slot = [...book.slots, ...book.retiredSlots].find((each) => each.id === event.partId);
  switch (event.kind) {
    case "fitted":
      return slot && MEDIA[slot.media].cleaned ? "Fitted" : "New filter fitted";
    case "cleaned":
      return "Cleaned and put back";
    case "done":
      return doneWords(book, event);
    case "reading":
      return event.reading
        ? `${READING_WORDS[event.reading.kind].name}: ${readWords(event.reading, book.home.unitSystem)}`
        : "A reading";
    case "breakdown":
      return "Broke down";
    case "forgotten":
      return "What its looks taught was forgotten";
    case "put-off":
      return "Not possible";
    case "look":
      return lookWords(book, event);
    default:
      return event.words ?? "Note";
  }
}

/** What a look saw: by eye, by the drop across the filter, or both. */
function lookWords({ home }: HomeBook, { look }: HistoryEvent): string {
  const seen = [
    look?.grade && GRADE_WORDS[look.grade].name,
    look?.pressureDropPa !== undefined &&
      readingWords("filter-drop", look.pressureDropPa, home.unitSystem),
  ].filter(Boolean);
  return seen.length === 0 ? "Looked at" : `Looked at: ${seen.join(", ")}`;
}

/** What was done, by the name of the job where the entry says which. */
function doneWords(book: HomeBook, { partId, unitId, taskKey }: HistoryEvent): string {
  const part = book.parts.find((each) => each.id === partId);
  const unit = [...book.units, ...book.retired].find((each) => each.id === unitId);
  const definitions = part
    ? partTasks(part.kind, unit?.kind)
    : partId
      ? []
      : unitTasks(unit?.kind ?? "");
  const own = book.tasks.find((task) => task.key === taskKey)?.changes.name;
  const isMain = taskKey === undefined || definitions[0]?.key === taskKey;
  if (part && isMain) return partKind(part.kind).done;
  return own ?? definitions.find(({ key }) => key === taskKey)?.name ?? "Serviced";
}

/** The newest first; with `named`, each says at which part it was. */
export function historyLines(
  book: HomeBook,
  events: readonly HistoryEvent[],
  today: PlainDate,
  named: boolean,
): HistoryLine[] {
  const partName = new Map(
    [...book.slots, ...book.retiredSlots, ...book.parts].map((part) => [part.id, part.name]),
  );
  return events.toReversed().map((event) => {
    const what = whatHappened(book, event);
    const where = named && event.partId ? partName.get(event.partId) : undefined;
    const details = [
      event.kind === "note" ? undefined : event.words,
      event.costMinor === undefined
        ? undefined
        : moneyWords({ minor: event.costMinor, currency: book.home.currency }),
      event.minutes === undefined ? undefined : `${event.minutes} min`,
      event.corrects ? "corrected" : undefined,
      ...(event.kind === "breakdown" ? breakdownWords(book, event) : []),
    ];
    return {
      id: event.id,
      when: dateWords(event.date, today),
      what: where ? `${where}: ${what.charAt(0).toLowerCase()}${what.slice(1)}` : what,
      details: details.filter((each) => each !== undefined),
      isChange: !["look", "note", "reading"].includes(event.kind),
    };
  });
}
