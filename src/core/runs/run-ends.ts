import { instantOf, withSteadyTimes, type EndEntry, type EndKind } from "./loose-ends";
import { LEFT_OPEN, stepsFor, type Procedure, type RunSetting, type StepEnd } from "./procedure";
import type { RunJob, RunPlace, RunState } from "./run-state";

const MS_PER_MINUTE = 60_000;
/**
 * So many minutes after an instant.
 *
 * @example later("2026-03-14T09:00:00.000Z", 10) // "2026-03-14T09:10:00.000Z"
 */
export const later = (at: string, minutes: number): string =>
  new Date(Date.parse(at) + minutes * MS_PER_MINUTE).toISOString();

/**
 * The name of an end among all runs of a home: its run, and its key there.
 *
 * @example endId({ run: "r1" }, "power") // "r1:power"
 */
export const endId = (place: RunPlace, key: string) => `${place.run}:${key}`;

/**
 * The key an end has within its run.
 *
 * @example keyOfEnd("r1:power") // "power"
 */
export const keyOfEnd = (id: string): string => id.slice(id.indexOf(":") + 1);

/** What of a run opens and closes ends: its steps, what stayed open of others, and what waits once more. */
type Opened = Pick<RunState, "completed" | "stillOpen" | "again">;

/**
 * Every end that was opened so far, those of steps gone back over among them.
 *
 * @example openedBy({ completed: [], stillOpen: [] }) // []
 */
export const openedBy = ({
  completed: settled,
  stillOpen,
}: Pick<Opened, "completed" | "stillOpen">): StepEnd[] => [
  ...stillOpen.map(({ end }) => end),
  ...settled.flatMap(({ step, handedOver }) => (handedOver ? [] : (step.opens ?? []))),
];

/** The machine an end belongs to: the run's own, or that of the filter chosen on the way. */
function unitOf({ place }: RunJob, end: StepEnd, { completed, stillOpen }: Opened): string {
  const known = stillOpen.find((each) => each.end.key === end.key)?.unit;
  if (known !== undefined) return known;
  const chosen = completed.findLast(({ step }) => step.records?.kind === "filter-choice")?.seen
    .unit;
  return (end.ofPlace && chosen) || place.unit;
}

/**
 * The openings and closings that the steps behind us amount to, in the order of their times.
 *
 * @example logOf(job, done).map(({ action }) => action).filter((each) => each === "open").length // 4
 */
export function logOf(job: RunJob, bare: Opened): EndEntry[] {
  const { place } = job;
  const { completed: settled } = bare;
  const ends = new Map(openedBy(bare).map((end) => [end.key, end]));
  const live = new Map<string, EndEntry>();
  const log: EndEntry[] = [];
  const entry = (end: StepEnd, at: string, action: EndEntry["action"]): EndEntry => {
    const kind = kindAt(end, place.isolator);
    const opening = action !== "close";
    return {
      id: endId(place, end.key),
      unit: unitOf(job, end, bare),
      // A switch that names a part sits inside the machine and isolates nothing.
      part: isSupply(end) ? undefined : place.part,
      end: kind,
      at,
      action,
      readyAt: opening && end.dryMinutes ? later(at, end.dryMinutes) : undefined,
      after: opening && end.after ? end.after.map((key) => endId(place, key)) : undefined,
    };
  };
  const open = (end: StepEnd, at: string) => {
    const before = live.get(end.key);
    // A step that is taken back and done again opens the same end, not a second one; but a part that
    // dries starts its drying time again.
    if (before) {
      if (end.dryMinutes) before.readyAt = later(at, end.dryMinutes);
      return;
    }
    // What stays so for a season keeps nothing else off: the humidifier’s water, not its power.
    const opening = entry(end, at, end.parks ? "park" : "open");
    live.set(end.key, opening);
    log.push(opening);
  };
  for (const { end, at } of bare.stillOpen) open(end, at);
  for (const { step, at, leftOpen, handedOver } of withSteadyTimes(settled)) {
    if (handedOver) continue;
    const closing = step.closes === undefined ? undefined : ends.get(step.closes);
    if (closing && leftOpen === undefined && live.delete(closing.key))
      log.push(entry(closing, at, "close"));
    for (const end of step.opens ?? []) open(end, at);
  }
  for (const { closes, readyAt } of bare.again) {
    const drying = closes === undefined ? undefined : live.get(closes);
    if (drying?.readyAt !== undefined && instantOf(readyAt) > instantOf(drying.readyAt))
      drying.readyAt = readyAt;
  }
  return log.sort((a, b) => instantOf(a.at) - instantOf(b.at));
}

/**
 * What an end is at one machine: a procedure says only that the power goes off; which switch or breaker does
 * it depends on the unit.
 *
 * @example kindAt({ end: "switch-off" }, "breaker-off") // "breaker-off"
 */
export const kindAt = ({ end, isInside, ofPlace }: StepEnd, isolator: EndKind): EndKind =>
  end === "switch-off" && !isInside && !ofPlace ? isolator : end;

const SUPPLIES: readonly EndKind[] = [
  "switch-off",
  "breaker-off",
  "disconnect-out",
  "gas-shut",
  "valve-shut",
];
/**
 * Whether it brings power, gas or water back when it is closed.
 *
 * @example isSupply({ end: "gas-shut" }) // true
 */
export const isSupply = ({ end, isInside }: Pick<StepEnd, "end" | "isInside">): boolean =>
  SUPPLIES.includes(end) && !isInside;

/**
 * Ends that are open and not left so in words: what the way back still has to close, by their keys.
 *
 * @example [...openKeys(done)] // []
 */
export function openKeys({
  completed: settled,
  stillOpen,
}: Pick<Opened, "completed" | "stillOpen">): Set<string> {
  const keys = new Set(stillOpen.map(({ end }) => end.key));
  for (const { step, handedOver } of settled) {
    if (handedOver) continue;
    if (step.closes) keys.delete(step.closes);
    for (const end of step.opens ?? []) keys.add(end.key);
  }
  return keys;
}

/**
 * The supplies a procedure shuts from outside its machine: what jobs of one round at one machine can share.
 *
 * @example suppliesOf(job.procedure, job.setting).map(({ end }) => end) // ["switch-off"]
 */
export const suppliesOf = (procedure: Procedure, setting: RunSetting): StepEnd[] =>
  stepsFor(procedure, setting, new Map()).flatMap(({ opens = [] }) =>
    opens.filter((end) => isSupply(end) && !end.ofPlace && !end.parks),
  );

/**
 * The supplies a procedure may as well find shut when it begins: those it shuts before it has tested or
 * measured anything, which wants the machine to run.
 *
 * @example suppliesFoundShut(job.procedure, job.setting).length // 1
 */
export function suppliesFoundShut(procedure: Procedure, setting: RunSetting): StepEnd[] {
  const steps = stepsFor(procedure, setting, new Map());
  const running = steps.findIndex(({ kind }) => kind === "test" || kind === "measure");
  const first = running === -1 ? steps : steps.slice(0, running);
  return suppliesOf(procedure, setting).filter(({ key }) =>
    first.some(({ opens = [] }) => opens.some((end) => end.key === key)),
  );
}

/**
 * What a job looks at once its supplies are back, and passes over where they stay off for a later job: the
 * titles of its steps, to be seen to when that one has put them back.
 *
 * @example owedWhenBack(job.procedure, job.setting).length // 1
 */
export function owedWhenBack(procedure: Procedure, setting: RunSetting): string[] {
  const steps = stepsFor(procedure, setting, new Map());
  const supplies = new Set(suppliesFoundShut(procedure, setting).map(({ key }) => key));
  const back = new Set(
    steps.flatMap(({ id, closes }) => (closes !== undefined && supplies.has(closes) ? [id] : [])),
  );
  return steps.flatMap(({ kind, title, unlessSeen }) =>
    (kind === "test" || kind === "inspect" || kind === "measure") &&
    unlessSeen?.is.includes(LEFT_OPEN) &&
    back.has(unlessSeen.step)
      ? [title]
      : [],
  );
}
