import "server-only";
import { calendarOf } from "@/content/default-tasks";
import { tasksOf } from "@/core/scheduling/home-tasks";
import { standingsOf } from "@/server/snapshots/standings";
import { cadenceWords, SCHOOL_WORDS } from "@/presentation/task-words";
import { GRADE_WORDS } from "@/content/words";
import type { PlainDate } from "@/core/quantities/plain-date";
import { capitalised, dateWords, dayAndMonth, inSentence } from "@/core/quantities/words";
import type { TaskStanding } from "@/core/scheduling/schedule";
import { historyOf } from "@/core/history/record";
import type { HomeBook } from "@/core/inventory/inventory";
import type { Standing } from "@/core/filters/filter-status";
import { LOOK_EVERY_DAYS, RENEW, SCHOOLS, taskId, type School } from "@/core/scheduling/task";
import { factorWords, sureWords } from "@/core/filters/reasons";
import { homeBook } from "@/db/home-book";
import { todayIn } from "@/lib/clock";
import { standingsWith } from "./job-dates";

/** What one school says of a filter. */
export type SchoolCard = {
  school: School;
  name: string;
  governs: boolean;
  /** Its day, in a few words. */
  says: string;
  why: string;
};
type Values = Record<string, string[]>;

export type SchoolsOf = {
  taskId: string;
  today: PlainDate;
  cards: SchoolCard[];
  /** Whether looks have taught anything of this place. */
  hasLearnt: boolean;
  /** What the form to choose one begins with. */
  values: Values;
};

export async function schoolsOf(homeId: string, slotId: string): Promise<SchoolsOf | null> {
  const book = await homeBook(homeId);
  const task = book && tasksOf(book).find((each) => each.id === taskId({ partId: slotId }, RENEW));
  if (!book || !task) return null;
  const today = todayIn(book.home.timeZone);
  const standing = standingsOf(book, today).find((each) => each.slot.id === slotId);
  if (!standing) return null;
  const now = book.tasks.find((each) => taskId(each, each.key) === task.id)?.changes ?? {};
  const governing = task.school ?? "wear";
  const calendar =
    governing === "calendar" && now.cadence ? now.cadence : calendarOf(standing.slot.media);
  const lookEveryDays = now.lookEveryDays ?? LOOK_EVERY_DAYS;
  const cards = SCHOOLS.map((school): SchoolCard => {
    const changes = {
      school,
      lookEveryDays,
      ...(school === "calendar" ? { cadence: calendar } : {}),
    };
    const { job, look } = standingsWith(book, task, changes, today);
    return {
      school,
      name: SCHOOL_WORDS[school].name,
      governs: school === governing,
      ...cardWords(book, school, { standing, job, look, today, every: cadenceWords(calendar) }),
    };
  });
  const every = calendar.kind === "every" ? calendar : null;
  return {
    taskId: task.id,
    today,
    cards,
    hasLearnt: standing.wear !== null && standing.wear.belief.mu !== 0,
    values: {
      school: [governing],
      n: [String(every?.n ?? 90)],
      unit: [every?.unit ?? "day"],
      lookEvery: [String(lookEveryDays)],
    },
  };
}

type Said = {
  standing: Standing;
  job: TaskStanding | undefined;
  look: TaskStanding | undefined;
  today: PlainDate;
  every: string;
};

function cardWords(
  book: HomeBook,
  school: School,
  { standing, job, look, today, every }: Said,
): Pick<SchoolCard, "says" | "why"> {
  const on = (date: PlainDate | null | undefined) => (date ? dateWords(date, today) : "no day yet");
  const { fittedOn, wear } = standing;
  switch (school) {
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
      const last = historyOf(book, standing.slot.id).findLast(({ kind }) => kind === "look");
      const grade = last?.look?.grade;
      const isNow = job?.due != null;
      const seen =
        last && grade && (!fittedOn || last.date > fittedOn)
          ? `Last look ${dayAndMonth(last.date, today)}, ${inSentence(GRADE_WORDS[grade].name)}. `
          : "Not looked at yet. ";
      return {
        says: isNow ? "change it now" : `look by ${on(look?.due)}`,
        why: `${seen}Changed at the first look at grey or worse.`,
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
