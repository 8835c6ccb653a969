import { cadenceWords, DOER_WORDS, pathOfTask } from "@/presentation/task-words";
import type { PlainDate } from "@/core/quantities/plain-date";
import { dayAndMonth, listWords } from "@/core/quantities/words";
import {
  dueWords,
  jobFill,
  lastWords,
  putOffWords,
  windowWords,
} from "@/presentation/schedule-words";
import type { TaskStanding } from "@/core/scheduling/schedule";
import type { DueState } from "@/core/scheduling/due";
import type { HomeBook } from "@/core/inventory/inventory";
import { LOOK, RENEW } from "@/core/scheduling/task";

/** A job as every list shows it. */
export type JobRow = {
  id: string;
  name: string;
  /** Its unit and part, where the list does not say. */
  where: string;
  path: string;
  state: DueState;
  due: string;
  window: string;
  how: string;
  last: string;
  /** Of whoever does it: minutes, and who that is. */
  effort: string;
  fill: number | null;
  isOff: boolean;
  isChanged: boolean;
  isVisit: boolean;
  /** That somebody tried in vain, and when they try again. */
  putOff: string;
  /** Whether a procedure leads through it. */
  isLed: boolean;
  /** The days of its coming rounds, the first of them. */
  rounds: string;
  /** A filter’s renewal is noted with its look, and led through step by step. */
  isRenewal: boolean;
  /** Where it is noted as done: a look at a filter, or its change, says how it looked. */
  doneAt: string;
};

function doneAtOf({ key, partId, id }: TaskStanding["task"]): string {
  if (key === LOOK) return `look?slot=${partId}`;
  return key === RENEW ? `parts/${partId}/changed` : `jobs/${id}/done`;
}

/** So many rounds are named; the rest are counted. */
const MOST_ROUNDS = 6;

function roundsWords(ahead: readonly PlainDate[], today: PlainDate): string {
  const named = ahead.slice(0, MOST_ROUNDS).map((date) => dayAndMonth(date, today));
  const more = ahead.length - named.length;
  return more > 0 ? `${named.join(", ")} and ${more} more` : listWords(named);
}

export function jobRow(book: HomeBook, standing: TaskStanding, today: PlainDate): JobRow {
  const { task, unit } = standing;
  const part = [...book.slots, ...book.parts].find((each) => each.id === task.partId);
  const minutes = `${task.handsOn} min`;
  return {
    id: task.id,
    name: task.name,
    where: [unit?.name, part?.name].filter(Boolean).join(", "),
    path: pathOfTask(task),
    state: standing.state,
    due: dueWords(standing, today),
    window: windowWords(standing, today),
    how: task.isOff ? "switched off" : cadenceWords(task.cadence),
    last: lastWords(standing, today),
    effort: task.who === "owner" ? minutes : `${minutes}, ${DOER_WORDS[task.who].name}`,
    fill: jobFill(standing, today),
    isOff: task.isOff,
    isChanged: task.isChanged,
    isVisit: task.who === "licensed",
    putOff: putOffWords(standing, today),
    isLed: task.procedureIds.length > 0,
    rounds: roundsWords(standing.ahead, today),
    isRenewal: task.key === RENEW,
    doneAt: doneAtOf(task),
  };
}
