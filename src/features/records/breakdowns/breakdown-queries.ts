import "server-only";
import { actualsByDay, normals } from "@/core/climate/climate";
import type { HistoryEvent } from "@/core/history/history-event";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { stillNoticed } from "@/core/noticed/sign";
import { moneyFigure, moneyWords } from "@/core/quantities/money";
import {
  addDays,
  daysFrom,
  readPlainDate,
  toDay,
  type PlainDate,
} from "@/core/quantities/plain-date";
import { dateWords, dayAndMonth, inSentence, spanWords } from "@/core/quantities/words";
import { fromCelsius } from "@/core/quantities/temperature";
import { breakdownWords } from "@/core/timeline/breakdown";
import { signOf } from "@/content/signs";
import { READING_WORDS, VERDICT_WORDS } from "@/content/reading-words";
import { todayIn } from "@/lib/clock";
import { homeSnapshot, homeStatus, tasksNow } from "@/server/snapshots/snapshot-cache";
import { OTHERWISE } from "./breakdown-form";

type Option = { value: string; label: string };

export type BreakdownPage = {
  snapshot: HomeSnapshot;
  today: PlainDate;
  unit: { id: string; name: string };
  /** What was so that day, as far as the record knows. */
  stood: string[];
  /** The jobs of the machine; those due before that day come first. */
  jobs: Option[];
  values: Record<string, string[]>;
};

const unitsOf = ({ units, retired }: HomeSnapshot) => [...units, ...retired];

/** “−14 °C that day, 9 K colder than usual” */
function weatherOf({ home, actuals }: HomeSnapshot, date: PlainDate): string {
  const day = toDay(date);
  const unit = home.unitSystem === "us" ? "F" : "C";
  const words = (celsius: number) =>
    `${Math.round(fromCelsius(celsius, unit))} °${unit}`.replace("-", "−");
  const usual = normals(home.climate.monthlyMeanC, day, day)[0]!;
  const mean = actualsByDay(actuals, day, day).get(day);
  return mean === undefined
    ? `usually ${words(usual)} on such a day`
    : `${words(mean)} that day, usually ${words(usual)}`;
}

/** Days before a breakdown in which what was noticed or read belongs to its story. */
const STORY_DAYS = 90;

/** What stood at a machine on a day, before anything of that day was written down: what may have led to it. */
function storyOf(snapshot: HomeSnapshot, unitId: string, date: PlainDate) {
  const before = { ...snapshot, history: snapshot.history.without((each) => each.date >= date) };
  const past = homeStatus(before, date).jobs.filter(
    ({ task, due }) => task.unitId === unitId && due !== null && due < date,
  );
  const since = addDays(date, -STORY_DAYS);
  const noticed = stillNoticed(before.history.noticed).filter(
    (event) => event.unitId === unitId && event.date >= since,
  );
  const bad = before.history.readings.filter(
    ({ event, judgement }) =>
      event.unitId === unitId &&
      event.sign === undefined &&
      event.date >= since &&
      judgement.verdict !== "sound",
  );
  const findings = snapshot.findings.filter((finding) => {
    const visit = snapshot.visits.find(({ id }) => id === finding.visitId);
    const isOpen = finding.settledOn === undefined || finding.settledOn >= date;
    return finding.unitId === unitId && isOpen && visit?.on !== undefined && visit.on < date;
  });
  return { past, noticed, bad, findings };
}

function stoodWords(snapshot: HomeSnapshot, unitId: string, date: PlainDate): string[] {
  const { past, noticed, bad, findings } = storyOf(snapshot, unitId, date);
  return [
    weatherOf(snapshot, date),
    ...breakdownWords(snapshot, { id: "", kind: "breakdown", unitId, date, recordedAt: "" }),
    ...past.map(({ task, due }) => `${inSentence(task.name)}: was due ${dayAndMonth(due!, date)}`),
    ...noticed.map(
      ({ sign, date: on }) =>
        `${inSentence(signOf(sign)?.words ?? "something noticed")}, ${spanWords(daysFrom(on, date))} before`,
    ),
    ...bad.map(
      ({ taken, judgement, event }) =>
        `${inSentence(READING_WORDS[taken.kind].name)} read ${dayAndMonth(event.date, date)}: ${VERDICT_WORDS[judgement.verdict]}`,
    ),
    ...findings.map(({ words }) => `found on a visit before and not done: ${inSentence(words)}`),
  ];
}

/** A breakdown as its form holds it. */
export function fieldsOfBreakdown(event: HistoryEvent, currency: string): Record<string, string[]> {
  const { date, words = "", costMinor, breakdown = {} } = event;
  const { code, found, cause, daysWithout, prevented, follows } = breakdown;
  const one = (value: string | undefined) => [value ?? ""];
  return {
    date: [date],
    words: [words],
    code: one(code),
    found: one(found),
    cause: one(cause),
    cost: one(costMinor === undefined ? undefined : moneyFigure(costMinor, currency)),
    daysWithout: one(daysWithout?.toString()),
    prevented: one(
      prevented && "taskId" in prevented ? prevented.taskId : prevented ? OTHERWISE : undefined,
    ),
    preventedWords: one(prevented && "words" in prevented ? prevented.words : undefined),
    follows: one(follows),
  };
}

function pageOf(
  snapshot: HomeSnapshot,
  unitId: string,
  date: PlainDate,
  values: Record<string, string[]>,
): BreakdownPage | null {
  const unit = unitsOf(snapshot).find(({ id }) => id === unitId);
  if (!unit) return null;
  const past = storyOf(snapshot, unitId, date).past.map(({ task }) => task.id);
  const jobs = tasksNow(snapshot)
    .filter((task) => task.unitId === unitId)
    .sort((a, b) => Number(past.includes(b.id)) - Number(past.includes(a.id)))
    .map((task) => {
      const part = [...snapshot.slots, ...snapshot.parts].find(({ id }) => id === task.partId);
      const late = past.includes(task.id) ? " (was due by then)" : "";
      return {
        value: task.id,
        label: `${[part?.name, inSentence(task.name)].filter(Boolean).join(": ")}${late}`,
      };
    });
  return {
    ...{ snapshot, unit, jobs, values },
    today: todayIn(snapshot.home.timeZone),
    stood: stoodWords(snapshot, unitId, date),
  };
}

/**
 * A breakdown to be written down: of a machine, on a day, or today where that is none that has passed;
 * null where there is no such machine.
 */
export async function newBreakdownOf(
  homeId: string,
  unitId: string,
  on: string,
): Promise<BreakdownPage | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const today = todayIn(snapshot.home.timeZone);
  const day = readPlainDate(on) ?? today;
  const date = day <= today ? day : today;
  return pageOf(snapshot, unitId, date, { date: [date] });
}

/** A breakdown as it was written down; null where it does not count any more. */
export async function breakdownOf(homeId: string, eventId: string): Promise<BreakdownPage | null> {
  const snapshot = await homeSnapshot(homeId);
  const event = snapshot?.history.ofKind("breakdown").find(({ id }) => id === eventId);
  if (!snapshot || !event?.unitId) return null;
  return pageOf(
    snapshot,
    event.unitId,
    event.date,
    fieldsOfBreakdown(event, snapshot.home.currency),
  );
}

export type BreakdownRow = {
  id: string;
  date: PlainDate;
  when: string;
  unit: string;
  words: string;
  /** What was found and its cause, as far as they are known. */
  why: string;
  weather: string;
  /** What would have prevented it, and what follows. */
  lesson: string;
  daysWithout: string;
  cost: string;
};

/** Every breakdown of a home, the latest first. */
export async function breakdownsOf(
  homeId: string,
): Promise<{ snapshot: HomeSnapshot; today: PlainDate; rows: BreakdownRow[] } | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const today = todayIn(snapshot.home.timeZone);
  const tasks = new Map(tasksNow(snapshot).map(({ id, name }) => [id, name]));
  const { currency } = snapshot.home;
  const rows = snapshot.history
    .ofKind("breakdown")
    .toReversed()
    .map((event): BreakdownRow => {
      const { code, found, cause, daysWithout, prevented, follows } = event.breakdown ?? {};
      const preventing =
        prevented && ("words" in prevented ? prevented.words : tasks.get(prevented.taskId));
      const next = follows && tasks.get(follows);
      return {
        id: event.id,
        date: event.date,
        when: dateWords(event.date, today),
        unit: unitsOf(snapshot).find(({ id }) => id === event.unitId)?.name ?? "The house",
        words: event.words ?? "Broke down",
        why: [code && `code ${code}`, found, cause && `cause: ${inSentence(cause)}`]
          .filter(Boolean)
          .join("; "),
        weather: weatherOf(snapshot, event.date),
        lesson: [
          preventing && `Would have prevented it: ${inSentence(preventing)}.`,
          next && `Follows: ${inSentence(next)}.`,
        ]
          .filter(Boolean)
          .join(" "),
        daysWithout:
          daysWithout === undefined ? "" : `${daysWithout} ${daysWithout === 1 ? "day" : "days"}`,
        cost: event.costMinor === undefined ? "" : moneyWords({ minor: event.costMinor, currency }),
      };
    });
  return { snapshot, today, rows };
}
