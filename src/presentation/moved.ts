import { daysFrom, type PlainDate } from "@/core/quantities/plain-date";
import { betweenWords, dateWords, inSentence } from "@/core/quantities/words";
import type { TaskStanding } from "@/core/scheduling/schedule";
import type { HistoryEvent, HomeBook } from "@/core/inventory/inventory";
import { agendaNow } from "@/server/snapshots/agendas";
import { cadenceWords } from "./task-words";

const MOST_LINES = 3;
/** A season’s job done this long before its next round was for the season that has gone, days. */
const SEASON_BEHIND_DAYS = 300;

/**
 * What an entry just written changed: a line for each job whose day moved, and why; where none
 * did, what the entry was good for all the same.
 */
export function movedBy(book: HomeBook, eventId: string, today: PlainDate): string[] {
  const at = book.events.findIndex(({ id }) => id === eventId);
  const event = book.events[at];
  if (!event) return [];
  // A look at the old filter and its change were written down together.
  const last = book.events[at - 1];
  const isPair =
    (event.kind === "fitted" || event.kind === "cleaned") &&
    last?.kind === "look" &&
    last.partId === event.partId &&
    last.recordedAt === event.recordedAt;
  const events = book.events.filter((each) => each !== event && !(isPair && each === last));
  const was = new Map(agendaNow({ ...book, events }, today).map((each) => [each.task.id, each]));
  const isIt = ({ task }: TaskStanding) =>
    task.partId === event.partId && (!event.taskKey || task.key === event.taskKey);
  const around = agendaNow(book, today)
    .filter(({ task }) => isAround(task, event))
    .sort((a, b) => Number(isIt(b)) - Number(isIt(a)));
  const lines = around.flatMap((now) => {
    const then = was.get(now.task.id);
    if (!then) return [];
    // Done between two seasons a job is expected to move; where it doesn't, that is said too.
    const isOwn = isIt(now) && now.because.kind === "season" && now.lastDone === event.date;
    return then.due !== now.due || isOwn ? [movedWords(then, now, event, today)] : [];
  });
  // A reading that calls for nothing is judged on its page.
  if (lines.length > 0 || event.kind === "reading") return lines.slice(0, MOST_LINES);
  const [main] = around;
  return main ? [steadyWords(was.get(main.task.id) ?? main, main, event, today)] : [];
}

/** A visit may serve every part of its unit; what is said of one part stays with it. */
const isAround = (task: TaskStanding["task"], event: HistoryEvent): boolean =>
  event.partId && event.kind !== "done"
    ? task.partId === event.partId
    : task.unitId === event.unitId;

function movedWords(
  then: TaskStanding,
  now: TaskStanding,
  event: HistoryEvent,
  today: PlainDate,
): string {
  const name = now.task.name;
  if (!now.due) return `${name}: nothing calls for it any more.`;
  const isSame = then.due === now.due;
  const was = then.due && !isSame ? ` instead of ${dateWords(then.due, today)}` : "";
  return `${name}: ${isSame ? "still next" : "next"} ${dateWords(now.due, today)}${was}. ${whyWords(then, now, event, today)}`;
}

function whyWords(
  then: TaskStanding,
  { because, due, lastDone }: TaskStanding,
  event: HistoryEvent,
  today: PlainDate,
): string {
  const on = dateWords(event.date, today);
  if (event.kind === "look") {
    if (then.due === null) return "The look is what it can count from.";
    const isSooner = due !== null && due < then.due;
    return `The look showed it filling ${isSooner ? "faster" : "slower"} than was thought.`;
  }
  if (event.kind === "reading") return "What was read calls for it.";
  if (lastDone !== event.date) return "Counted anew with what was noted.";
  switch (because.kind) {
    case "season": {
      const when = cadenceWords(because);
      return daysFrom(event.date, due ?? event.date) < SEASON_BEHIND_DAYS
        ? `Done ${on}, it counts for the season behind it; the next belongs before the coming one, ${when}.`
        : `Done ${on}, it counts for the season that follows it; the next comes round a year on, ${when}.`;
    }
    case "wear":
      return `Counted from ${on}, with what it took up since then.`;
    default:
      return `Counted from ${on}: ${cadenceWords(because)}.`;
  }
}

/** What an entry was good for that moved no day. */
function steadyWords(
  then: TaskStanding,
  now: TaskStanding,
  event: HistoryEvent,
  today: PlainDate,
): string {
  const name = inSentence(now.task.name);
  if (event.kind === "look") {
    const narrower =
      now.opens && now.closes && then.opens && then.closes
        ? daysFrom(then.opens, then.closes) - daysFrom(now.opens, now.closes)
        : 0;
    if (narrower > 0)
      return `It looks as was thought: the day stays, and is surer by ${narrower} ${narrower === 1 ? "day" : "days"}, ${betweenWords(now.opens!, now.closes!, today)}.`;
    return `Kept. It teaches nothing new: ${now.lastDone && now.lastDone >= event.date ? "the filter was changed since" : "what was seen fits what was thought"}.`;
  }
  if (now.lastDone && now.lastDone > event.date)
    return `Kept in the record. No day moves: ${name} is on record later, ${dateWords(now.lastDone, today)}.`;
  return "Kept in the record. No day moves.";
}
