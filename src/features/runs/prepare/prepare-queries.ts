import "server-only";
import { englishOf, inEnglish } from "@/content/english";
import { scheduleNow } from "@/server/snapshots/snapshot-cache";
import { procedureIn } from "@/content/procedures/library";
import { slotTitle } from "@/presentation/slot-words";
import {
  bringOf,
  minutesOf,
  type JobFact,
  type PlaceAsk,
  type Procedure,
  type RunSetting,
} from "@/core/runs/procedure";
import { fromCelsius } from "@/core/quantities/temperature";
import { addDays, dayIn, type PlainDate } from "@/core/quantities/plain-date";
import {
  capitalised,
  dateWords,
  dayAndMonth,
  inSentence,
  listWords,
} from "@/core/quantities/words";
import { togetherOf } from "@/core/inventory/shared-shut-offs";
import { isSupply } from "@/core/runs/run-ends";
import type { JobStatus } from "@/core/scheduling/schedule";
import type { Identity } from "@/core/inventory/identity";
import type { FilterSlot, Part, Unit } from "@/core/inventory/inventory";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { Attributes } from "@/core/inventory/attribute";
import { reachOf } from "@/core/inventory/reach";
import { runsBefore } from "@/server/snapshots/beside";
import type { GoingRun, ReadRun, RunsBefore } from "@/server/snapshots/read-runs";
import { homeNow } from "@/server/snapshots/snapshot-cache";
import { todayIn } from "@/lib/clock";
import { doneToday, factsOf, mildnessOf, needsLicence } from "@/core/runs/place-facts";

/** One way of doing a job: a procedure in one of its variants. */
export type Way = {
  value: string;
  procedure: Procedure;
  variant: string | null;
  name: string;
  says: string;
  handsOn: number;
  waiting: number;
  /** Why it must not be done so today. */
  barred: string | null;
};

export type Check = { id: string; words: string; hint?: string };

export type Prepare = {
  snapshot: HomeSnapshot;
  today: PlainDate;
  job: JobStatus;
  unit: Unit | undefined;
  part: Part | FilterSlot | undefined;
  slot: FilterSlot | undefined;
  going: string | null;
  ways: Way[];
  way: Way;
  facts: JobFact[];
  tools: string[];
  consumables: string[];
  checks: Check[];
  /** What has to be known of the place, and is not yet. */
  asks: PlaceAsk[];
  /** What was in the way or noted the last time. */
  lastTime: string[];
  needsLicence: boolean;
};

const wayValue = (id: string, variant: string | null) => (variant ? `${id}.${variant}` : id);

const wayName = ({ title }: Procedure, variant: string, isOneOfSeveral: boolean): string =>
  variant === "" ? title : isOneOfSeveral ? `${title}: ${inSentence(variant)}` : variant;

/** Everything that may speak against a way today. */
type Against = {
  snapshot: HomeSnapshot;
  unit: Unit | undefined;
  part: Part | FilterSlot | undefined;
  /** Jobs done today at the same air, and ways gone there. */
  done: ReadonlySet<string>;
  waysToday: ReadonlySet<string>;
};

function waysOf(job: JobStatus, against: Against): Way[] {
  return job.task.procedureIds.flatMap((id) => {
    const found = procedureIn(against.snapshot, id);
    if (!found) return [];
    const only = { id: null, name: "", says: found.says ?? "" };
    return (found.variants ?? [only]).map((variant): Way => {
      const { handsOn, waiting } = minutesOf(found, variant.id);
      return {
        value: wayValue(id, variant.id),
        procedure: found,
        variant: variant.id,
        name: wayName(found, variant.name, job.task.procedureIds.length > 1),
        says: variant.says,
        handsOn,
        waiting,
        barred: barredBy(found, variant, against),
      };
    });
  });
}

type Variant = NonNullable<Procedure["variants"]>[number];

/** Why a way must not be gone here, or not today; null where nothing speaks against it. */
function barredBy(
  { id, asks = [] }: Procedure,
  variant: Partial<Omit<Variant, "id">>,
  { snapshot: book, unit, part, done, waysToday }: Against,
): string | null {
  const { neverAt, notSameDayAs = [], notSameDayWay = [] } = variant;
  // Machines of one air system usually drain through one line.
  const kinds = book.units.flatMap((each) =>
    each.id === unit?.id || (unit && each.systemId === unit.systemId) ? [each.kind] : [],
  );
  if (neverAt && kinds.some((kind) => neverAt.kinds.includes(kind))) return neverAt.why;
  if (notSameDayAs.some((key) => done.has(key)))
    return "The coil above it was cleaned today: not on the same day.";
  const other = notSameDayWay.find((way) =>
    waysToday.has(way.includes(".") ? way : wayValue(id, way)),
  );
  if (other)
    return `${capitalised(other.split(".").at(-1)!)} went down this drain today: never both on one day.`;
  const bars = asks.flatMap((ask) => {
    const answer = answerTo(ask, unit, part);
    return ask.options.find(({ value }) => value === answer)?.bars ?? [];
  });
  return bars[0] ?? null;
}

const answersOf = (part: Part | FilterSlot | undefined): Attributes =>
  part && "attributes" in part ? part.attributes : {};

/** What is known of the place already; undefined where nobody was asked yet. */
function answerTo(
  { key, of, orOfUnit }: PlaceAsk,
  unit: Unit | undefined,
  part: Part | FilterSlot | undefined,
): string | undefined {
  const own = of === "unit" ? unit?.attributes[key] : answersOf(part)[key];
  return own ?? (orOfUnit ? unit?.attributes[orOfUnit] : undefined);
}

/** The ways that somebody went today at this air, by their runs: the record does not say which. */
async function waysGoneToday({ snapshot, today, before }: PrepareGrounds, unit: Unit | undefined) {
  const systems = new Map(snapshot.units.map((each) => [each.id, each.systemId]));
  const since = new Date(Date.parse(today) - 2 * DAY_MS).toISOString();
  const ways = new Set<string>();
  for (const { run, events } of await before.since(since)) {
    if (systems.get(run.unitId ?? "") !== unit?.systemId) continue;
    const days = events.map(({ at }) => dayIn(snapshot.home.timeZone, Date.parse(at)));
    if (days.includes(today)) ways.add(wayValue(run.procedureId, run.variant));
  }
  return ways;
}
const DAY_MS = 86_400_000;

/** The home a job is prepared in: as pages read it, or inside a write. */
export type PrepareGrounds = {
  snapshot: HomeSnapshot;
  going: readonly GoingRun[];
  today: PlainDate;
  before: RunsBefore;
};

/** Everything worth knowing before a job is begun; null where no procedure leads through it. */
export async function prepareOf(
  homeId: string,
  jobId: string,
  wanted: string | undefined,
): Promise<Prepare | null> {
  const home = await homeNow(homeId);
  if (!home) return null;
  const { snapshot, going } = home;
  const today = todayIn(snapshot.home.timeZone);
  return prepareIn({ snapshot, going, today, before: await runsBefore(homeId) }, jobId, wanted);
}

/** The same in a home that is read already. */
export async function prepareIn(
  grounds: PrepareGrounds,
  jobId: string,
  wanted: string | undefined,
): Promise<Prepare | null> {
  const { snapshot, today } = grounds;
  const job = scheduleNow(snapshot, today).find((each) => each.task.id === jobId);
  if (!job) return null;
  const unit = job.unit ?? undefined;
  const slot = snapshot.slots.find(({ id }) => id === job.task.partId);
  const part = slot ?? snapshot.parts.find(({ id }) => id === job.task.partId);
  const ways = waysOf(job, {
    snapshot,
    unit,
    part,
    done: doneToday(snapshot, unit, today),
    waysToday: await waysGoneToday(grounds, unit),
  });
  const going = grounds.going.find(({ task }) => task === job.task.id)?.run.id ?? null;
  const last = await grounds.before.last(job.task);
  const before = last && wayValue(last.run.procedureId, last.run.variant);
  const way =
    ways.find(({ value }) => value === wanted) ??
    ways.find(({ value, barred }) => value === before && !barred) ??
    ways.find(({ barred }) => !barred);
  if (!way) return null;
  const asked = part && "attributes" in part ? part : undefined;
  const facts = factsOf(snapshot, { unit, slot, part: asked });
  const setting: RunSetting = { facts, variant: way.variant };
  const { tools, consumables } = bringOf(way.procedure, setting);
  return {
    snapshot,
    today,
    job,
    unit,
    part,
    slot,
    going,
    ways,
    way,
    facts,
    asks: (way.procedure.asks ?? []).filter((ask) => answerTo(ask, unit, part) === undefined),
    tools: [...ownTool(part?.identity), ...tools],
    consumables: consumables.map((thing) =>
      thing === "the new filter" && slot ? `a new ${inSentence(slotTitle(slot))}` : thing,
    ),
    checks: checksOf(snapshot, way.procedure, { facts, unit, slot, today }),
    lastTime: [
      ...obstacleLine(snapshot, job, today),
      ...(last ? notesOf(last, today, snapshot.home.timeZone) : []),
    ],
    needsLicence: needsLicence(way.procedure) || job.task.who === "licensed",
  };
}

/** The part’s own tool, and where it hangs. */
const ownTool = ({ tool, toolHangs }: Identity = {}): string[] =>
  tool ? [`its own ${inSentence(tool)}${toolHangs ? ` (${inSentence(toolHangs)})` : ""}`] : [];

/** What somebody noted on the way the last time, for whoever does it now. */
function notesOf({ run, state }: ReadRun, today: PlainDate, timeZone: string): string[] {
  const day = dateWords(dayIn(timeZone, Date.parse(run.startedAt)), today);
  return state.notes.map(({ words }) => `${day}: ${words}`);
}

/** What stood in the way the last time somebody came in vain, whether it was done since or not. */
function obstacleLine({ history }: HomeSnapshot, { task }: JobStatus, today: PlainDate): string[] {
  const last = history
    .ofUnit(task.unitId)
    .findLast(
      ({ kind, partId, taskKey }) =>
        kind === "put-off" && partId === task.partId && (taskKey ?? task.key) === task.key,
    );
  return last ? [`${dateWords(last.date, today)}, not possible: ${last.words ?? ""}`] : [];
}

/** What has to be true before it is begun: of the job, of the place, of the day, of the household. */
function checksOf(
  snapshot: HomeSnapshot,
  job: Procedure,
  {
    facts,
    unit,
    slot,
    today,
  }: {
    facts: readonly JobFact[];
    unit: Unit | undefined;
    slot: FilterSlot | undefined;
    today: PlainDate;
  },
): Check[] {
  const own = (job.checks ?? []).filter(({ when }) => when === undefined || facts.includes(when));
  const reached = reachOf(unit, slot);
  const isOnRoof = reached === "roof";
  const isHigh = reached === "loft" || reached === "ladder";
  const others = togetherOf(snapshot.units)
    .filter(({ units }) => unit && units.includes(unit.id))
    .flatMap(({ units }) => units)
    .filter((id) => id !== unit?.id);
  const cutToo = snapshot.units.filter(({ id }) => others.includes(id)).map(({ name }) => name);
  const opensSupply = job.steps.some(({ opens = [] }) => opens.some(isSupply));
  return [
    ...own,
    ...(cutToo.length > 0 && opensSupply
      ? [
          {
            id: "together",
            words: `${capitalised(listWords(cutToo))} may stand still meanwhile`,
            hint: "They hang on the same shut-off, by what their cards say.",
          },
        ]
      : []),
    ...(job.mildDay ? [{ id: "mild", ...mildCheck(snapshot, job.mildDay, today) }] : []),
    ...(isOnRoof
      ? [
          {
            id: "roof",
            words: "Dry roof, no wind to speak of, and somebody knows you are up there",
            hint: "Its edge secured, or kept well away from. In wind or wet: another day.",
          },
        ]
      : []),
    ...(isHigh && !own.some(({ id }) => id === "alone")
      ? [
          {
            id: "alone",
            words: inEnglish(
              englishOf(snapshot.home),
              "A safe ladder, a torch, and somebody knows you are up there",
            ),
          },
        ]
      : []),
    ...(job.household
      ? [{ id: "household", words: "The household has been told", hint: job.household }]
      : []),
  ];
}

function mildCheck(
  snapshot: HomeSnapshot,
  mildDay: NonNullable<Procedure["mildDay"]>,
  today: PlainDate,
): { words: string; hint: string } {
  const isAfternoon = mildDay.at === "afternoon";
  const { meanC, isObserved, isMild, from } = mildnessOf(snapshot, mildDay, today);
  const isUs = snapshot.home.unitSystem === "us";
  // Figure and unit stay on one line.
  const degrees = (celsius: number) =>
    `${String(Math.round(fromCelsius(celsius, isUs ? "F" : "C"))).replace("-", "−")}\u00a0°${isUs ? "F" : "C"}`;
  const part = isAfternoon ? " in the afternoon" : "";
  const day = isObserved
    ? `the last day noted had${part}`
    : `${dayAndMonth(today, today)} usually has${part}`;
  const later = from ? `; mild enough is usual from ${dayAndMonth(from, today)} on` : "";
  return {
    words: isAfternoon
      ? `It is ${degrees(mildDay.leastC)} or more outside this afternoon`
      : `It is ${degrees(mildDay.leastC)} or more outside, and stays so`,
    hint: `${capitalised(mildDay.why)}. ${capitalised(day)} ${degrees(meanC)}${isMild ? "" : later}.`,
  };
}

/** When what has to wait is over, if the job began now; null for waits one sits out. */
export function readyOn({ way, today }: Prepare): PlainDate | null {
  const days = Math.floor(way.waiting / (24 * 60));
  return days > 0 ? addDays(today, days) : null;
}
