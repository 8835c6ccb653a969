import { isWordKind } from "../readings/reading-kinds";
import { dayIn, type PlainDate } from "../quantities/plain-date";
import { endWordsOf } from "../procedures/run";
import type { RunJob, RunState, Settled } from "../procedures/run-state";
import type { EndEntry } from "../procedures/loose-ends";
import type { HistoryEvent } from "./register";

export type RunWhere = {
  homeTimeZone: string;
  runId: string;
  unitId?: string;
  partId?: string;
  taskKey: string;
  recordedAt: string;
  /** The filter that was in place before, where it is a slot. */
  itemBefore?: string;
  /** The homes' CO alarms, for a display read at every one of them. */
  alarms: readonly string[];
  /** Which unit a slot belongs to. */
  unitOfSlot: (slotId: string) => string | undefined;
};

/** The step from which the job counts, if it was done before anybody turned back. */
export const countedStep = (state: RunState): Settled | undefined =>
  state.settled.find(
    ({ step, leftOpen, handedOver, onReturn }) =>
      step.renews === true && leftOpen === undefined && !handedOver && !onReturn,
  );

const base = (where: RunWhere) => ({
  recordedAt: where.recordedAt,
  runId: where.runId,
  ...(where.unitId ? { unitId: where.unitId } : {}),
  ...(where.partId ? { partId: where.partId } : {}),
});

/** The looks and readings among what was seen, as entries of the record; the same names every time. */
export function seenEntries(state: RunState, where: RunWhere): HistoryEvent[] {
  return state.settled.flatMap((settled): HistoryEvent[] => {
    const { step, seen, at, event } = settled;
    const date = dayOf(where, at);
    const { records } = step;
    const common = { ...base(where), date };
    if (records?.kind === "look" && seen.grade) {
      const partId = seen.place ?? where.partId;
      const unitId = partId ? (where.unitOfSlot(partId) ?? where.unitId) : where.unitId;
      const look = { grade: seen.grade };
      const item = where.itemBefore && !seen.place ? { itemId: where.itemBefore } : {};
      return [{ ...common, ...item, id: `${event}-look`, kind: "look", look, unitId, partId }];
    }
    if (records?.kind !== "reading" || !seen.reading) return [];
    const { value, unit, typed } = seen.reading;
    const reading = {
      kind: records.reading,
      value,
      unit: isWordKind(records.reading) ? undefined : unit,
      rated: undefined,
      limits: { tolerancePercent: undefined, finalRatio: undefined, fogLimit: undefined },
      school: undefined,
      flags: [],
      mode: undefined,
      ...(typed ? { typed } : {}),
    };
    const one = (unitId: string | undefined, id: string): HistoryEvent => ({
      ...common,
      unitId,
      id,
      kind: "reading",
      reading,
    });
    if (records.of !== "every-co-alarm")
      return [one(seen.place ?? where.unitId, `${event}-reading`)];
    // Zero everywhere was read everywhere; anything else belongs to the one that shows it.
    const at_ = value === 0 ? where.alarms : [seen.place ?? where.alarms[0]];
    return at_.map((alarm, i) => one(alarm, `${event}-reading-${i}`));
  });
}

const dayOf = (where: RunWhere, at: string): PlainDate => dayIn(where.homeTimeZone, Date.parse(at));

/** What was said in passing, and which answers suggest something, in one line. */
export function wordsOf(state: RunState): string | undefined {
  const said = [
    ...state.settled.flatMap(({ step, seen }) =>
      step.records?.kind === "choice"
        ? step.records.options.flatMap(({ value, name, suggests }) =>
            value === seen.choice && suggests ? [name.toLowerCase()] : [],
          )
        : [],
    ),
    ...state.notes.map((note) => note.words),
    ...state.madeSafe.map(({ words }) => `made safe: ${words}`),
    ...(state.round > 0 ? [`${state.round + 1} rounds until it was clear`] : []),
  ];
  return said.length > 0 ? said.join("; ") : undefined;
}

/** The job done, at the day of the step from which it counts; null where it was not. */
export function doneEntry(state: RunState, where: RunWhere): HistoryEvent | null {
  const counted = countedStep(state);
  if (!counted) return null;
  const { minutes, costMinor } = state.finish ?? {};
  const words = wordsOf(state);
  return {
    ...base(where),
    id: `${counted.event}-done`,
    kind: "done",
    taskKey: where.taskKey,
    date: dayOf(where, counted.at),
    ...(words ? { words } : {}),
    ...(minutes === undefined ? {} : { minutes }),
    ...(costMinor === undefined ? {} : { costMinor }),
  };
}

/** That a job was not possible, why, and when to try again; null where nobody turned back. */
export function putOffEntry(state: RunState, where: RunWhere): HistoryEvent | null {
  const { turnedBack } = state;
  if (!turnedBack || countedStep(state)) return null;
  return {
    ...base(where),
    id: `${turnedBack.event}-put-off`,
    kind: "put-off",
    taskKey: where.taskKey,
    date: dayOf(where, turnedBack.at),
    words: turnedBack.words,
    ...(turnedBack.until ? { until: turnedBack.until as PlainDate } : {}),
  };
}

/** What stays open when a run is over, with the words of whoever left it so. */
export function endsLeft(
  job: RunJob,
  state: RunState,
): (EndEntry & { label?: string; words?: string })[] {
  return state.ends.open.flatMap((end) => {
    const entry = state.log.find((each) => each.id === end.id && each.action === "open");
    const left = state.settled.find(
      ({ step, leftOpen }) =>
        leftOpen !== undefined && end.id === `${job.place.run}:${step.closes}`,
    );
    const label = endWordsOf(state, job.place, end.id);
    return entry
      ? [{ ...entry, ...(label ? { label } : {}), ...(left ? { words: left.leftOpen } : {}) }]
      : [];
  });
}
