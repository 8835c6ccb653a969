import { daysFrom, type PlainDate } from "@/core/quantities/plain-date";
import { betweenWords, dateWords, inSentence } from "@/core/quantities/words";
import type { JobStatus } from "@/core/scheduling/schedule";
import type { HistoryEvent } from "@/core/history/history-event";
import type { HomeStatus } from "@/core/timeline/home-status";
import { triggerWords } from "./task-words";

const MOST_LINES = 3;
/** A season’s job done this long before its next round was for the season that has gone, days. */
const SEASON_BEHIND_DAYS = 300;

/**
 * What an entry just written changed: a line for each job whose day moved, and why; where none
 * did, what the entry was good for all the same.
 */
export function movedBy(status: HomeStatus, eventId: string): string[] {
  const { snapshot, today } = status;
  const at = snapshot.history.entries.findIndex(({ id }) => id === eventId);
  const event = snapshot.history.entries[at];
  if (!event) return [];
  // A look at the old filter and its change were written down together.
  const last = snapshot.history.entries[at - 1];
  const isPair =
    (event.kind === "fitted" || event.kind === "cleaned") &&
    last?.kind === "look" &&
    last.partId === event.partId &&
    last.recordedAt === event.recordedAt;
  const history = snapshot.history.without((each) => each === event || (isPair && each === last));
  const before = status.of({ ...snapshot, history });
  const was = new Map(before.jobs.map((each) => [each.task.id, each]));
  const isIt = ({ task }: JobStatus) =>
    task.partId === event.partId && (!event.taskKey || task.key === event.taskKey);
  const concerned = status.jobs
    .filter(({ task, called }) => isConcerned(task, event) || called?.event.id === event.id)
    .sort((a, b) => Number(isIt(b)) - Number(isIt(a)));
  const lines = concerned.flatMap((now) => {
    const then = was.get(now.task.id);
    if (!then) return [];
    // Done between two seasons a job is expected to move; where it doesn't, that is said too.
    const isOwn = isIt(now) && now.because.kind === "season" && now.lastDone === event.date;
    return then.due !== now.due || isOwn ? [movedWords(then, now, event, today)] : [];
  });
  const [lit] = event.reading?.kind === "indicator-light" ? concerned : [];
  if (lines.length === 0 && lit) return [lightWords(lit, event, today)];
  // A reading or a sign that calls for nothing is judged on its page.
  if (lines.length > 0 || event.kind === "reading" || event.kind === "noticed")
    return lines.slice(0, MOST_LINES);
  const [main] = concerned;
  return main ? [steadyWords(was.get(main.task.id) ?? main, main, event, today)] : [];
}

/** A visit may serve every part of its unit; what is said of one part stays with it. */
const isConcerned = (task: JobStatus["task"], event: HistoryEvent): boolean =>
  event.partId && event.kind !== "done"
    ? task.partId === event.partId
    : task.unitId === event.unitId;

function movedWords(
  then: JobStatus,
  now: JobStatus,
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
  then: JobStatus,
  { because, called, due, lastDone }: JobStatus,
  event: HistoryEvent,
  today: PlainDate,
): string {
  const on = dateWords(event.date, today);
  if (called?.event.id === event.id) return "What was noticed calls for it.";
  if (event.kind === "look") {
    if (then.due === null) return "The look is what it can count from.";
    const isSooner = due !== null && due < then.due;
    return `The look showed it filling ${isSooner ? "faster" : "slower"} than was thought.`;
  }
  if (event.kind === "reading") return "What was read calls for it.";
  if (lastDone !== event.date) return "Counted anew with what was noted.";
  switch (because.kind) {
    case "season": {
      const when = triggerWords(because);
      return daysFrom(event.date, due ?? event.date) < SEASON_BEHIND_DAYS
        ? `Done ${on}, it counts for the season behind it; the next belongs before the coming one, ${when}.`
        : `Done ${on}, it counts for the season that follows it; the next comes round a year on, ${when}.`;
    }
    case "wear":
      return `Counted from ${on}, with what it took up since then.`;
    default:
      return `Counted from ${on}: ${triggerWords(because)}.`;
  }
}

/** What a light came to that moved no day. */
function lightWords({ task, due }: JobStatus, { reading }: HistoryEvent, today: PlainDate): string {
  const day = due ? `${inSentence(task.name)} stays ${dateWords(due, today)}` : "no day moves";
  return reading?.value === "on"
    ? `Its light counts as a look that saw it nearly full: ${day}.`
    : `Its light is off: ${day}.`;
}

/** What an entry was good for that moved no day. */
function steadyWords(
  then: JobStatus,
  now: JobStatus,
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
