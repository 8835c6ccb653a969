import { triggerWords, QUALIFICATION_WORDS, pathOfTask } from "@/presentation/task-words";
import type { PlainDate } from "@/core/quantities/plain-date";
import { dayAndMonth, inSentence, listWords } from "@/core/quantities/words";
import {
  dueWords,
  jobFill,
  calledWords,
  lastWords,
  deferralWords,
  windowWords,
} from "@/presentation/schedule-words";
import type { JobStatus } from "@/core/scheduling/schedule";
import type { DueState } from "@/core/scheduling/due";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
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
  /** The day itself, to sort by; null where nothing calls for it. */
  dueOn: PlainDate | null;
  window: string;
  how: string;
  last: string;
  /** Of whoever does it: minutes, and who that is. */
  effort: string;
  minutes: number;
  fill: number | null;
  isOff: boolean;
  isChanged: boolean;
  /** That somebody tried in vain, and when they try again. */
  deferral: string;
  /** Whether a procedure leads through it. */
  isLed: boolean;
  /** A filter’s renewal is noted with its look, and led through step by step. */
  isRenewal: boolean;
  /** Where it is noted as done: a look at a filter, or its change, says how it looked. */
  doneAt: string;
};

function doneAtOf({ key, partId, id }: JobStatus["task"]): string {
  if (key === LOOK) return `look?slot=${partId}`;
  return key === RENEW ? `parts/${partId}/changed` : `jobs/${id}/done`;
}

/** So many rounds are named; the rest are counted. */
const MOST_ROUNDS = 6;

/** The days of the coming rounds of a job, the first of them. */
export function roundsWords(ahead: readonly PlainDate[], today: PlainDate): string {
  const named = ahead.slice(0, MOST_ROUNDS).map((date) => dayAndMonth(date, today));
  const more = ahead.length - named.length;
  return more > 0 ? `${named.join(", ")} and ${more} more` : listWords(named);
}

export function jobRow(snapshot: HomeSnapshot, jobStatus: JobStatus, today: PlainDate): JobRow {
  const { task, unit } = jobStatus;
  const part = [...snapshot.slots, ...snapshot.parts].find((each) => each.id === task.partId);
  const minutes = `${task.handsOn} min`;
  return {
    id: task.id,
    name: task.name,
    where: [
      ...new Set([
        unit?.name,
        part?.name,
        ...jobStatus.apart.filter((each) => each !== inSentence(part?.name ?? "")),
      ]),
    ]
      .filter(Boolean)
      .join(", "),
    path: pathOfTask(task),
    state: jobStatus.state,
    due: dueWords(jobStatus, today),
    dueOn: jobStatus.due,
    window: windowWords(jobStatus, today),
    how: task.isOff ? "switched off" : triggerWords(task.trigger),
    last: lastWords(jobStatus, today),
    minutes: task.handsOn,
    effort: task.who === "owner" ? minutes : `${minutes}, ${QUALIFICATION_WORDS[task.who].name}`,
    fill: jobFill(jobStatus, today),
    isOff: task.isOff,
    isChanged: task.isChanged,
    deferral: [calledWords(jobStatus, today), deferralWords(jobStatus, today)]
      .filter(Boolean)
      .join("; "),
    isLed: task.procedureIds.length > 0,
    isRenewal: task.key === RENEW,
    doneAt: doneAtOf(task),
  };
}
