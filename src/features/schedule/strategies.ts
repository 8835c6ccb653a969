import { englishOf, inEnglish } from "@/content/english";
import { JOBS } from "@/content/default-tasks";
import "server-only";
import { triggerWords, STRATEGY_WORDS } from "@/presentation/task-words";
import { GRADE_WORDS } from "@/content/words";
import type { PlainDate } from "@/core/quantities/plain-date";
import { capitalised, dateWords, dayAndMonth, inSentence } from "@/core/quantities/words";
import type { JobStatus } from "@/core/scheduling/schedule";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { FilterStatus } from "@/core/filters/filter-status";
import { LOOK_EVERY_DAYS, RENEW, STRATEGIES, taskId, type Strategy } from "@/core/scheduling/task";
import { factorWords, sureWords } from "@/core/filters/reasons";
import { homeSnapshot, homeStatus, shownOnce } from "@/server/snapshots/snapshot-cache";
import type { HomeStatus } from "@/core/timeline/home-status";
import { todayIn } from "@/lib/clock";
import { jobStatusesWith } from "./job-dates";

/** What one strategy says of a filter. */
export type StrategyCard = {
  strategy: Strategy;
  name: string;
  governs: boolean;
  /** Its day, in a few words. */
  says: string;
  why: string;
};
type Values = Record<string, string[]>;

export type StrategiesOf = {
  taskId: string;
  today: PlainDate;
  cards: StrategyCard[];
  /** Whether looks have taught anything of this place. */
  hasLearnt: boolean;
  /** What the form to choose one begins with. */
  values: Values;
};

export async function strategiesOf(homeId: string, slotId: string): Promise<StrategiesOf | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const status = homeStatus(snapshot, todayIn(snapshot.home.timeZone));
  return shownOnce(status, `strategies of ${slotId}`, () => strategiesShown(status, slotId));
}

function strategiesShown(status: HomeStatus, slotId: string): StrategiesOf | null {
  const { snapshot, today } = status;
  const task = status.tasks.find((each) => each.id === taskId({ partId: slotId }, RENEW));
  const filterStatus = status.filters.find((each) => each.slot.id === slotId);
  if (!task || !filterStatus) return null;
  const now = snapshot.tasks.find((each) => taskId(each, each.key) === task.id)?.changes ?? {};
  const governing = task.strategy ?? "wear";
  const calendar =
    governing === "calendar" && now.cadence ? now.cadence : JOBS.calendar(filterStatus.slot.media);
  const lookEveryDays = now.lookEveryDays ?? LOOK_EVERY_DAYS;
  const cards = STRATEGIES.map((strategy): StrategyCard => {
    const changes = {
      school: strategy,
      lookEveryDays,
      ...(strategy === "calendar" ? { cadence: calendar } : {}),
    };
    const { job, look } = jobStatusesWith(snapshot, task, changes, today);
    return {
      strategy,
      name: STRATEGY_WORDS[strategy].name,
      governs: strategy === governing,
      ...cardWords(snapshot, strategy, {
        filterStatus,
        job,
        look,
        today,
        every: triggerWords(calendar),
      }),
    };
  });
  const every = calendar.kind === "every" ? calendar : null;
  return {
    taskId: task.id,
    today,
    cards,
    hasLearnt: filterStatus.wear !== null && filterStatus.wear.belief.mu !== 0,
    values: {
      school: [governing],
      n: [every ? String(every.n) : ""],
      unit: [every?.unit ?? "day"],
      lookEvery: [String(lookEveryDays)],
    },
  };
}

type Said = {
  filterStatus: FilterStatus;
  job: JobStatus | undefined;
  look: JobStatus | undefined;
  today: PlainDate;
  every: string;
};

function cardWords(
  snapshot: HomeSnapshot,
  strategy: Strategy,
  { filterStatus, job, look, today, every }: Said,
): Pick<StrategyCard, "says" | "why"> {
  const on = (date: PlainDate | null | undefined) => (date ? dateWords(date, today) : "no day yet");
  const { fittedOn, wear } = filterStatus;
  switch (strategy) {
    case "wear":
      return {
        says: on(job?.due),
        why: wear
          ? `This slot loads ${factorWords(wear.belief)}, ${sureWords(wear.belief)}. ${looksWords(wear.looksUsed)}`
          : "Say when the filter went in.",
      };
    case "calendar":
      return {
        says: on(job?.due),
        why: fittedOn
          ? `${capitalised(every)}, from ${dayAndMonth(fittedOn, today)}.`
          : `${capitalised(every)}, from the day it goes in.`,
      };
    case "look": {
      const last = snapshot.history
        .ofPart(filterStatus.slot.id)
        .findLast(({ kind }) => kind === "look");
      const grade = last?.look?.grade;
      const isNow = job?.due != null;
      const said = (words: string) => inEnglish(englishOf(snapshot.home), words);
      const seen =
        last && grade && (!fittedOn || last.date > fittedOn)
          ? `Last look ${dayAndMonth(last.date, today)}, ${said(inSentence(GRADE_WORDS[grade].name))}. `
          : "Not looked at yet. ";
      return {
        says: isNow ? "change it now" : `look by ${on(look?.due)}`,
        why: said(`${seen}Changed at the first look at grey or worse.`),
      };
    }
  }
}

const looksWords = (used: number): string =>
  used === 0
    ? "No look yet."
    : used === 1
      ? "One look at this filter."
      : `${used} looks at this filter.`;
