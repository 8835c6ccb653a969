import { JOBS } from "@/content/default-tasks";
import { CLEAN_DUCTS } from "@/content/keys";
import { dueCalculatorOf } from "@/core/scheduling/chain";
import { civil, fromDay, plainDate, toDay, type PlainDate } from "@/core/quantities/plain-date";
import { dueTaskOf, scheduleGrounds } from "@/core/scheduling/schedule";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { HistoryEvent } from "@/core/history/history-event";
import { partsOf } from "@/core/scheduling/trigger";
import { RENEW, type PlannedTask } from "@/core/scheduling/task";
import { tasksOf } from "../src/core/scheduling/home-tasks";
import type { PartKindId } from "../src/content/part-kinds";
import { chanceFrom } from "@/core/quantities/chance";

/** What is told of one part and of no other of its kind. */
const TOLD: Readonly<Record<string, string[]>> = {
  "yard-condenser-condenser-coil": [
    "lime-tree honeydew, rinsed top to bottom",
    "sticky again after a week in June",
  ],
};
/** What people say of what they did. */
const SAID: Partial<Record<PartKindId, string[]>> = {
  "flame-sensor": ["a grey film, bright again"],
  belt: ["glazed at the edge"],
  "condensate-trap": ["pale slime", "clear", "pale slime, filled again"],
  "condensate-line": ["two cups, then clear", "clear at once"],
  "plastic-vent": ["leaves in the intake", "clear"],
  "outside-grilles": ["a wren’s nest begun", "cobwebs"],
  "drain-ports": ["half a litre from the lower one"],
  "magnetic-filter": ["a thick coat", "a coat", "a film"],
  "dryer-duct": ["two handfuls of lint", "a handful of lint"],
  "supply-run": ["after the scullery: pale grit"],
};

/** Jobs of every week are written down for this long, those of every month for a year or so. */
const WEEKLY_DAYS = 20;
const WEEKLY_KEPT_DAYS = 60;
const MONTHLY_DAYS = 40;
const MONTHLY_KEPT_DAYS = 400;

/** Jobs that were thought of later draw their days apart, so that all the others stay where they were. */
const LATER = [
  ...["home:shut-offs", "ducts:boots", "drain-ports:drain", "drain-ports:wake"],
  ...["flame-sensor:polish", "line-insulation:look", "supply-run:clean"],
];

/** What is brushed before it goes into the shed. */
const PUT_AWAY = "box-cooler-condenser-coil.clean";
/** The middle of each September. */
const autumns = (start: number, now: number): number[] =>
  Array.from({ length: 5 }, (_, i) => toDay(plainDate(`${civil(start).year + i}-09-14`))).filter(
    (day) => day > start && day < now,
  );

/** How people keep their days: some early, more of them late, within the window. */
function doneOn(
  dates: { opens: number | null; due: number; closes: number | null },
  draw: number,
): number {
  const opens = dates.opens ?? dates.due;
  const closes = dates.closes ?? dates.due;
  return Math.round(opens + draw * (closes - opens));
}

/** Three years in which everything but the filters was cleaned, flushed, looked at and set. */
export function demoCare(
  snapshot: HomeSnapshot,
  today: PlainDate,
  seed: number,
  forgotten: readonly string[],
): HistoryEvent[] {
  const [chance, later, latest] = [chanceFrom(seed), chanceFrom(seed + 1), chanceFrom(seed + 2)];
  const [start, now] = [toDay(snapshot.home.enteredOn!), toDay(today)];
  const grounds = scheduleGrounds(snapshot);
  const tasks = tasksOf(snapshot, JOBS);
  const cared = tasks
    .filter((task) => task.key !== RENEW && !task.isOff)
    .flatMap((task): HistoryEvent[] => {
      const unit = snapshot.units.find((each) => each.id === task.unitId) ?? null;
      const dueTask = dueTaskOf(grounds, task, unit, undefined, null);
      if (!dueTask || dueTask.cadence.kind === "age" || dueTask.cadence.kind === "reading")
        return [];
      const work = dueCalculatorOf(dueTask, start, now);
      // What follows from an event is done at all its places on one day.
      const name = `${task.kind}:${task.key}`;
      const stream = name === "filter:look" ? latest : LATER.includes(name) ? later : chance;
      const draw = () => (dueTask.cadence.kind === "after" ? 0.5 : 0.3 + 0.5 * stream.uniform());
      const days: number[] = [];
      for (let dates = work.now(); dates?.due != null;) {
        const day = Math.max(start, doneOn({ ...dates, due: dates.due }, draw()));
        if (day >= now || day <= (days.at(-1) ?? -Infinity)) break;
        days.push(day);
        dates = work.after(day);
      }
      const step = days.length > 1 ? (days.at(-1)! - days[0]!) / (days.length - 1) : Infinity;
      const kept =
        step < WEEKLY_DAYS ? WEEKLY_KEPT_DAYS : step < MONTHLY_DAYS ? MONTHLY_KEPT_DAYS : Infinity;
      const told = forgotten.includes(task.id) ? days.slice(0, -1) : days;
      return (
        told
          // The last time is known however long ago: snow was shovelled last winter.
          .filter((day, i) => now - day <= kept || i === told.length - 1)
          .map((day, i) => entryOf(snapshot.home.id, task, fromDay(day), i, stream.uniform()))
      );
    });
  const putAway = tasks
    .filter(({ id }) => id === PUT_AWAY)
    .flatMap((task) =>
      autumns(start, now).map((day, i) =>
        entryOf(`${snapshot.home.id}-autumn`, task, fromDay(day), i, 0.5),
      ),
    );
  return [...cared, ...putAway, ...looksAfterDucts(snapshot.home.id, tasks, cared, now)];
}

/** Ducts that were cleaned have their filters looked at a few days later. */
function looksAfterDucts(
  homeId: string,
  tasks: readonly PlannedTask[],
  cared: readonly HistoryEvent[],
  now: number,
): HistoryEvent[] {
  const ofDucts = tasks.filter((task) => task.kind === "supply-run" && task.key === CLEAN_DUCTS);
  const isCleaning = ({ taskKey, partId }: HistoryEvent) =>
    ofDucts.some((task) => task.key === taskKey && task.partId === partId);
  const days = [...new Set(cared.filter(isCleaning).map(({ date }) => toDay(date) + 4))];
  const isAfterDucts = ({ trigger }: PlannedTask) =>
    partsOf(trigger).some((each) => each.kind === "after" && each.event === "duct-cleaning");
  return tasks
    .filter((task) => task.kind === "filter" && isAfterDucts(task))
    .flatMap((task) =>
      days
        .filter((day) => day < now)
        .map((day, i) => entryOf(`${homeId}-ducts`, task, fromDay(day), i, 0.5)),
    );
}

function entryOf(
  homeId: string,
  task: PlannedTask,
  date: PlainDate,
  i: number,
  draw: number,
): HistoryEvent {
  const said = TOLD[task.partId ?? ""] ?? SAID[task.kind as PartKindId] ?? [];
  const { unitId, partId, key, handsOn } = task;
  return {
    id: `${homeId}-${task.id}-done-${i}`,
    kind: "done",
    ...(unitId ? { unitId } : {}),
    ...(partId ? { partId } : {}),
    taskKey: key,
    date,
    recordedAt: `${date}T11:00:00.000Z`,
    minutes: Math.max(1, Math.round(handsOn * (0.8 + 0.6 * draw))),
    ...(said.length > 0 ? { words: said[i % said.length]! } : {}),
  };
}
