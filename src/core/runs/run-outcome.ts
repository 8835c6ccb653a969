import { isWordKind, type ReadingKind } from "../readings/reading-kinds";
import type { AlarmSeen, AlarmState, ReadingSeen } from "./run-event";
import { dayIn, type PlainDate } from "../quantities/plain-date";
import { LEFT_OPEN, takenEnds, wokenEnds, type Procedure } from "./procedure";
import { endWordsOf } from "./run";
import { endId } from "./run-ends";
import type { RunJob, RunState, CompletedStep } from "./run-state";
import type { EndEntry, EndKind } from "./loose-ends";
import type { HistoryEvent } from "../history/history-event";

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
  /** The part of a kind at its machine, or in its air: where such a thing is read. */
  partOf: (kind: string) => { unitId: string; partId: string } | undefined;
  /** The slots of its machine, or of the air that goes through it. */
  itsSlots: readonly string[];
};

/**
 * The step from which the job counts, if it was done before anybody aborted it.
 *
 * @example countedStep({ completed: [] }) // undefined
 */
export const countedStep = (state: RunState): CompletedStep | undefined =>
  state.completed.find(
    ({ step, leftOpen, handedOver, onReturn }) =>
      step.renews === true && leftOpen === undefined && !handedOver && !onReturn,
  );

const base = (where: RunWhere) => ({
  recordedAt: where.recordedAt,
  runId: where.runId,
  ...(where.unitId ? { unitId: where.unitId } : {}),
  ...(where.partId ? { partId: where.partId } : {}),
});

/** The filter of the house that was chosen on the way. */
const chosenSlot = (state: RunState): string | undefined =>
  state.completed.findLast(({ step }) => step.records?.kind === "filter-choice")?.seen.place;

const NO_LIMITS = { tolerancePercent: undefined, finalRatio: undefined, fogLimit: undefined };

/**
 * The looks and readings among what was seen, as entries of the record; the same names every time.
 *
 * @example seenEntries(done, where)[0].look // { grade: "grey" }
 */
export function seenEntries(state: RunState, where: RunWhere): HistoryEvent[] {
  return state.completed.flatMap((completed) => entriesOf(completed, chosenSlot(state), where));
}

function entriesOf(
  { step, seen, at, event }: CompletedStep,
  chosen: string | undefined,
  where: RunWhere,
): HistoryEvent[] {
  const { records } = step;
  const common = { ...base(where), date: dayOf(where, at) };
  const taken = (
    of: { kind: ReadingKind; value: number | string; unit?: string | undefined },
    id: string,
    unitId = where.unitId,
    { typed, rated, school }: Pick<ReadingSeen, "typed" | "rated" | "school"> = {},
  ): HistoryEvent => ({
    ...common,
    ...(unitId === where.unitId ? {} : { unitId }),
    id,
    kind: "reading",
    reading: {
      ...of,
      unit: isWordKind(of.kind) ? undefined : of.unit,
      rated,
      limits: NO_LIMITS,
      school,
      flags: [],
      mode: undefined,
      ...(typed ? { typed } : {}),
    },
  });
  switch (records?.kind) {
    case "look": {
      if (!seen.grade) return [];
      if (records.of === "its-filters")
        return where.itsSlots.map((partId): HistoryEvent => {
          const { grade } = seen;
          const unitId = where.unitOfSlot(partId) ?? where.unitId;
          return {
            ...common,
            id: `${event}-look-${partId}`,
            kind: "look",
            look: { grade: grade! },
            unitId,
            partId,
          };
        });
      const place = seen.place ?? chosen;
      const partId = place ?? where.partId;
      const unitId = partId ? (where.unitOfSlot(partId) ?? where.unitId) : where.unitId;
      const look = { grade: seen.grade };
      const item = where.itemBefore && !place ? { itemId: where.itemBefore } : {};
      return [{ ...common, ...item, id: `${event}-look`, kind: "look", look, unitId, partId }];
    }
    case "alarms":
      return (seen.alarms ?? []).flatMap(({ place, ppm }) =>
        ppm === undefined
          ? []
          : [
              taken(
                { kind: "co-ppm", value: ppm, unit: "ppm" },
                `${event}-reading-${place}`,
                place,
              ),
            ],
      );
    case "choice": {
      const { reads } = records.options.find(({ value }) => value === seen.choice) ?? {};
      return reads ? [taken({ kind: reads.reading, value: reads.value }, `${event}-reading`)] : [];
    }
    case "reading": {
      const kind = records.reading;
      const each = (seen.each ?? []).map(({ place, value }) =>
        taken({ kind, value }, `${event}-reading-${place}`, place),
      );
      if (!seen.reading) return each;
      const { value, unit } = seen.reading;
      const at = records.at === undefined ? undefined : where.partOf(records.at);
      const one = (unitId: string | undefined, id: string) => ({
        ...taken({ kind, value, unit }, id, unitId, seen.reading),
        ...at,
      });
      if (records.of !== "every-co-alarm")
        return [...each, one(seen.place ?? where.unitId, `${event}-reading`)];
      // Zero everywhere was read everywhere; anything else belongs to the one that shows it.
      const alarms = value === 0 ? where.alarms : [seen.place ?? where.alarms[0]];
      return alarms.map((alarm, i) => one(alarm, `${event}-reading-${i}`));
    }
    default:
      return [];
  }
}

/** A job of another part that a run did on the way, or that was ticked as done: where, which, and when. */
export type WorkInside = { name: string; partId?: string; at: string; event: string };

/**
 * What a run did beside its own job: what its steps do to other parts, and what was ticked of a visit’s works.
 * A step that was left open, left to others or done on the way back did nothing.
 *
 * @example worksInside({ completed: [] }) // []
 */
export const worksInside = ({ completed }: Pick<RunState, "completed">): WorkInside[] =>
  completed.flatMap(({ step, seen, at, event, leftOpen, handedOver, onReturn }) => {
    if (leftOpen !== undefined || handedOver || onReturn) return [];
    const ticked =
      step.records?.kind === "works"
        ? (seen.each ?? []).map(({ place, value }) => ({ name: value, partId: place, at, event }))
        : [];
    const { records } = step;
    const answered =
      records?.kind === "choice"
        ? (records.options.find(({ value }) => value === seen.choice)?.does ?? [])
        : [];
    return [...(step.does ?? []), ...answered].map((name) => ({ name, at, event })).concat(ticked);
  });

const dayOf = (where: RunWhere, at: string): PlainDate => dayIn(where.homeTimeZone, Date.parse(at));

/** How alarms were found that show no figure. */
function alarmWords(alarms: readonly AlarmSeen[]): string[] {
  const count = (state: AlarmState) => alarms.filter((alarm) => alarm.state === state).length;
  const said = [
    [count("tested"), "tested and sounded"],
    [count("quiet"), "quiet"],
    [count("silent"), "silent when tested"],
    [count("chirps"), "chirping"],
  ] as const;
  const words = said.flatMap(([n, state]) => (n > 0 ? [`${n} ${state}`] : []));
  return words.length > 0 ? [`CO alarms: ${words.join(", ")}`] : [];
}

const counted = (n: number, words: string): string[] =>
  n > 0 ? [`${n} ${n === 1 ? "setting" : "settings"} ${words}`] : [];

/** How the settings of the house were found, where not all was as it should be. */
function settingWords(each: readonly { value: string }[]): string[] {
  const count = (state: string) => each.filter(({ value }) => value === state).length;
  return [
    ...counted(count("put-back"), "put back as it should be"),
    ...counted(count("otherwise"), "otherwise now"),
  ];
}

/**
 * What was said in passing, and which answers suggest something, in one line.
 *
 * @example wordsOf(done) // undefined
 */
export function wordsOf(state: RunState): string | undefined {
  const said = [
    ...state.completed.flatMap(({ step, seen }) =>
      step.records?.kind === "choice"
        ? step.records.options.flatMap(({ value, name, suggests }) =>
            value === seen.choice && suggests ? [name.toLowerCase()] : [],
          )
        : [],
    ),
    ...state.completed.flatMap(({ step: { records }, seen }) =>
      records?.kind === "words" && seen.words ? [`${records.label}: ${seen.words}`] : [],
    ),
    ...state.completed.flatMap(({ seen }) => alarmWords(seen.alarms ?? [])),
    ...state.completed.flatMap(({ step: { records }, seen }) =>
      records?.kind === "settings" ? settingWords(seen.each ?? []) : [],
    ),
    ...state.notes.map((note) => note.words),
    ...state.madeSafe.map(({ words }) => `made safe: ${words}`),
    ...(state.round > 0 ? [`${state.round + 1} rounds until it was clear`] : []),
  ];
  return said.length > 0 ? said.join("; ") : undefined;
}

/**
 * The job done, at the day of the step from which it counts; null where it was not.
 *
 * @example doneEntry(done, where).date // "2026-03-14"
 */
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

/**
 * That a job was not possible, why, and when to try again; null where nobody aborted it.
 *
 * @example deferralEntry(done, where) // null
 */
export function deferralEntry(state: RunState, where: RunWhere): HistoryEvent | null {
  const { aborted } = state;
  if (!aborted || countedStep(state)) return null;
  return {
    ...base(where),
    id: `${aborted.event}-put-off`,
    kind: "put-off",
    taskKey: where.taskKey,
    date: dayOf(where, aborted.at),
    words: aborted.words,
    ...(aborted.until ? { until: aborted.until as PlainDate } : {}),
  };
}

/**
 * What stays open when a run is over, with the words of whoever left it so.
 *
 * @example endsLeft(job, done) // []
 */
export function endsLeft(
  job: RunJob,
  state: RunState,
): (EndEntry & { label?: string; words?: string })[] {
  const { procedure, setting } = job;
  const earlier = [...wokenEnds(procedure, setting), ...takenEnds(procedure, setting)];
  const before = new Set(earlier.map(({ end }) => endId(job.place, end.key)));
  return [...state.ends.open, ...state.ends.parked].flatMap((end) => {
    // What was parked or left off before this run, and is so still, stands under its earlier name.
    if (before.has(end.id)) return [];
    const entry = state.log.find((each) => each.id === end.id && each.action !== "close");
    const left = state.completed.find(
      ({ step, leftOpen }) =>
        leftOpen !== undefined && end.id === `${job.place.run}:${step.closes}`,
    );
    const label = endWordsOf(state, job.place, end.id);
    const said = left?.leftOpen ?? state.keptOff?.words;
    const owed = left ? owedAfter(procedure, left.step.id) : [];
    const words =
      said && owed.length > 0 && !state.keptOff
        ? `${said}. Once it is back: ${owed.join(", ")}`
        : said;
    return entry ? [{ ...entry, ...(label ? { label } : {}), ...(words ? { words } : {}) }] : [];
  });
}

/** What was passed over as the machine was left off, and is to be looked at once it is back: the titles of steps. */
const owedAfter = ({ steps }: Procedure, closing: string): string[] =>
  steps.flatMap(({ kind, title, unlessSeen }) =>
    kind === "test" && unlessSeen?.step === closing && unlessSeen.is.includes(LEFT_OPEN)
      ? [title.charAt(0).toLowerCase() + title.slice(1)]
      : [],
  );

/**
 * Which ends of earlier runs this one has put back, as they were recorded then: parked for a season, or left
 * off by the job before in a round.
 *
 * @example wokenBy(job, done) // []
 */
export function wokenBy(job: RunJob, state: RunState): { id: string; end: EndKind }[] {
  const open = new Set([...state.ends.open, ...state.ends.parked].map(({ id }) => id));
  const { procedure, setting } = job;
  const back = (key: string) => !open.has(endId(job.place, key));
  const woken = wokenEnds(procedure, setting).flatMap(({ end }) => {
    const parked = setting.parked?.find((each) => each.key === end.key && each.end === end.end);
    return parked && back(end.key) ? [{ id: parked.id, end: end.end }] : [];
  });
  const taken = (setting.inRound?.taken ?? []).filter(({ key }) => back(key));
  return [...woken, ...taken.map(({ id, end }) => ({ id, end }))];
}

/**
 * The settings noted or made on the way, for the home’s sheet of how things should be: the last word of
 * each.
 *
 * @example settingsNoted(done) // []
 */
export function settingsNoted(state: RunState): { key: string; label: string; value: string }[] {
  const noted = state.completed.flatMap(({ step: { records }, seen, leftOpen }) => {
    if (records?.kind !== "setting" || leftOpen !== undefined) return [];
    const chosen = records.options?.find(({ value }) => value === seen.choice)?.name;
    const value = chosen ?? seen.words;
    return value === undefined ? [] : [{ key: records.key, label: records.label, value }];
  });
  return [...new Map(noted.map((each) => [each.key, each])).values()];
}
