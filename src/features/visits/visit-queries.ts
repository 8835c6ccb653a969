import "server-only";
import { PART_READINGS, READING_WORDS, UNIT_READINGS } from "@/content/reading-words";
import type { PartKindId } from "@/content/part-kinds";
import { unitKind, type UnitKindId } from "@/content/unit-kinds";
import { CHECK_ORDER, PART_FACTS, USUAL_QUESTIONS, VISIT_REASON_WORDS } from "@/content/visits";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { JudgedReading } from "@/core/history/readings-taken";
import type { Contact, Unit } from "@/core/inventory/inventory";
import { addDays, type PlainDate } from "@/core/quantities/plain-date";
import { moneyFigure } from "@/core/quantities/money";
import { dayAndMonth, inSentence } from "@/core/quantities/words";
import type { Instrument } from "@/core/readings/conditions";
import type { CapacitorStrategy } from "@/core/readings/judge";
import { goingOf, seriesByPlace, type Going } from "@/core/readings/going";
import { watchedReadings } from "@/core/readings/watch";
import { isWordKind, type ReadingKind } from "@/core/readings/reading-kinds";
import { unitsFor, type ReadingUnit } from "@/core/readings/reading-units";
import { fogLimitOn } from "@/core/readings/fog-limit";
import type { JobStatus } from "@/core/scheduling/schedule";
import { likelyParts, type LikelyPart } from "@/core/visits/likely-parts";
import {
  FINDING_NEAR_DAYS,
  isBack,
  mayWrite,
  visitState,
  VISIT_REASONS,
  type Asker,
  type Finding,
  type Visit,
  type VisitReason,
} from "@/core/visits/visit";
import { todayIn } from "@/lib/clock";
import { ratedOf } from "@/lib/reading-form";
import { readWords } from "@/presentation/reading-advice";
import {
  findVisitEnd,
  listPhotosOfVisit,
  listVisitDrafts,
  type Photo,
} from "@/server/snapshots/beside";
import { homeSnapshot, scheduleNow } from "@/server/snapshots/snapshot-cache";
import { noticedOf } from "./noticed-words";
import { checkKey, type CheckAt } from "./visit-form";

/** Who asks from a page of the house; a technician’s own page would pass another. */
export { HOUSEHOLD } from "@/core/visits/visit";

type Typed = Record<string, string[]>;

export type VisitRow = {
  visit: Visit;
  state: ReturnType<typeof visitState>;
  who: string;
  machines: string;
  why: string;
};
export type VisitsPage = {
  snapshot: HomeSnapshot;
  today: PlainDate;
  rows: VisitRow[];
  /** What was put off on visits, and asks for its owner again or will. */
  open: (Finding & { unitName: string; isBack: boolean })[];
};

const nameOf = ({ units, retired }: HomeSnapshot, unitId: string): string =>
  [...units, ...retired].find(({ id }) => id === unitId)?.name ?? "A machine";

const whoOf = ({ contacts }: HomeSnapshot, { contactId, signedBy }: Visit): string =>
  contacts.find(({ id }) => id === contactId)?.name ?? signedBy ?? "nobody yet";

const rowOf = (snapshot: HomeSnapshot, visit: Visit): VisitRow => ({
  visit,
  state: visitState(visit),
  who: whoOf(snapshot, visit),
  machines: visit.unitIds.map((id) => nameOf(snapshot, id)).join(", "),
  why: VISIT_REASON_WORDS[visit.reason],
});

/** Findings that are not put right yet, those of somebody’s visits or of all. */
export function openFindings(snapshot: HomeSnapshot, today: PlainDate): VisitsPage["open"] {
  const nearBy = addDays(today, FINDING_NEAR_DAYS);
  return snapshot.findings
    .filter(({ settledOn, decision }) => settledOn === undefined && decision !== "declined")
    .map((finding) => ({
      ...finding,
      unitName: nameOf(snapshot, finding.unitId),
      isBack: isBack(finding, nearBy),
    }))
    .sort((a, b) => ((a.until ?? "") < (b.until ?? "") ? -1 : 1));
}

export async function visitsOf(homeId: string): Promise<VisitsPage | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const today = todayIn(snapshot.home.timeZone);
  const order = ({ visit }: VisitRow) => visit.on ?? "9999";
  return {
    snapshot,
    today,
    rows: snapshot.visits
      .map((visit) => rowOf(snapshot, visit))
      .sort((a, b) => (order(a) < order(b) ? 1 : -1)),
    open: openFindings(snapshot, today),
  };
}

/** Jobs a licence is needed for come so early, days, that a visit may take them along. */
const SOON_DAYS = 90;

/** What is due at some machines that only a technician may do, the soonest first. */
export const dueForTechnician = (
  snapshot: HomeSnapshot,
  unitIds: readonly string[],
  today: PlainDate,
): JobStatus[] =>
  scheduleNow(snapshot, today)
    .filter(
      ({ task, due }) =>
        task.who === "licensed" &&
        !task.isOff &&
        task.unitId !== undefined &&
        unitIds.includes(task.unitId) &&
        due !== null &&
        due <= addDays(today, SOON_DAYS),
    )
    .sort((a, b) => (a.due! < b.due! ? -1 : 1));

/** The reason an address names; the usual one where it names none. */
export const reasonIn = (text: string | string[] | undefined): VisitReason =>
  VISIT_REASONS.find((each) => each === text) ?? "yearly";

export type PlanPage = {
  snapshot: HomeSnapshot;
  today: PlainDate;
  contacts: Contact[];
  units: { id: string; name: string; due: string }[];
  /** Questions that the record suggests: what drifts, what was noticed, what was put off. */
  asks: string[];
};

/** So many questions are suggested; nobody asks more. */
const MOST_ASKS = 6;

/** What the record would ask a technician, and what one asks anyway. */
function asksOf(snapshot: HomeSnapshot, today: PlainDate): string[] {
  const name = (unitId: string | undefined) => (unitId ? nameOf(snapshot, unitId) : "The house");
  const drifting = watchedReadings(
    snapshot,
    scheduleNow(snapshot, today),
    untilNext(
      snapshot,
      snapshot.units.map(({ id }) => id),
      today,
    ),
  )
    .filter(({ going }) => going?.trend.crossing?.likely)
    .map(
      ({ reading: { event, taken } }) =>
        `${name(event.unitId)}: ${inSentence(READING_WORDS[taken.kind].name)} drifts. What would it cost to see to it now?`,
    );
  const noticed = snapshot.units.flatMap((unit) =>
    noticedOf(snapshot, unit.id, today).map((words) => `${unit.name}: ${words}. What is it?`),
  );
  const deferred = openFindings(snapshot, today).map(
    ({ unitName, words }) => `${unitName}: “${words}”. Is it still as it was?`,
  );
  return [...new Set([...noticed, ...deferred, ...drifting, ...USUAL_QUESTIONS])].slice(
    0,
    MOST_ASKS,
  );
}

/** What the form of a visit offers: whom to ask, and which machines have what due. */
export async function planPageOf(homeId: string): Promise<PlanPage | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const today = todayIn(snapshot.home.timeZone);
  return {
    snapshot,
    today,
    contacts: snapshot.contacts,
    asks: asksOf(snapshot, today),
    units: snapshot.units
      .filter(({ kind }) => unitKind(kind).runs || unitKind(kind).shutOffs.length > 0)
      .map((unit) => ({
        id: unit.id,
        name: unit.name,
        due: dueForTechnician(snapshot, [unit.id], today)
          .map(({ task, due }) => `${inSentence(task.name)}, ${dayAndMonth(due!, today)}`)
          .join("; "),
      })),
  };
}

export type VisitPage = {
  snapshot: HomeSnapshot;
  today: PlainDate;
  visit: Visit;
  row: VisitRow;
  units: { unit: Unit; isSeen: boolean; readings: JudgedReading[]; findings: Finding[] }[];
  due: JobStatus[];
  /** Findings of earlier visits at the same machines that are not put right. */
  deferred: Finding[];
  likely: LikelyPart[];
  pictures: Photo[];
};

/** Where no visit of a machine comes round by itself, the next is taken to be a year from this one, days. */
const UNTIL_NEXT_DAYS = 365;

/** The day of the visit after one: by the rhythm in which its machines are serviced, the soonest of them. */
function untilNext(snapshot: HomeSnapshot, unitIds: readonly string[], from: PlainDate): PlainDate {
  const next = scheduleNow(snapshot, from).flatMap(({ task, ahead }) =>
    task.unitId !== undefined &&
    unitIds.includes(task.unitId) &&
    task.partId === undefined &&
    task.key.startsWith("visit")
      ? (ahead.find((day) => day > addDays(from, SAME_VISIT_DAYS)) ?? [])
      : [],
  );
  return next.sort()[0] ?? addDays(from, UNTIL_NEXT_DAYS);
}
/** A service due so soon is done on the visit itself, days. Our choice. */
const SAME_VISIT_DAYS = 45;

/** A visit with everything it stands on; null where there is none or whoever asks may not see it. */
export async function visitOf(
  homeId: string,
  visitId: string,
  asker: Asker,
): Promise<VisitPage | null> {
  const snapshot = await homeSnapshot(homeId);
  const visit = snapshot?.visits.find(({ id }) => id === visitId);
  if (!snapshot || !visit) return null;
  if (asker.kind === "technician" && !mayWrite(asker, visit)) return null;
  const today = todayIn(snapshot.home.timeZone);
  const drafts = await listVisitDrafts(visitId);
  const on = visit.on ?? today;
  const here = snapshot.history.readings.filter(({ event }) => event.visitId === visitId);
  return {
    snapshot,
    today,
    visit,
    row: rowOf(snapshot, visit),
    units: visit.unitIds.flatMap((unitId) => {
      const unit = [...snapshot.units, ...snapshot.retired].find(({ id }) => id === unitId);
      return unit
        ? [
            {
              unit,
              isSeen: drafts.some((each) => each.unitId === unitId && each.isSeen),
              readings: here.filter(({ event }) => event.unitId === unitId),
              findings: snapshot.findings.filter(
                (finding) => finding.visitId === visitId && finding.unitId === unitId,
              ),
            },
          ]
        : [];
    }),
    due: dueForTechnician(snapshot, visit.unitIds, today),
    deferred: snapshot.findings.filter(
      ({ unitId, visitId: of, settledOn, decision }) =>
        of !== visitId &&
        visit.unitIds.includes(unitId) &&
        settledOn === undefined &&
        decision !== "declined",
    ),
    likely: likelyParts(
      snapshot,
      visit.unitIds,
      PART_FACTS,
      today,
      untilNext(snapshot, visit.unitIds, on > today ? on : today),
    ),
    pictures: await listPhotosOfVisit(visitId),
  };
}

/** What is checked at a machine, in the order in which it is done. */
export function checksOf({ parts, history }: HomeSnapshot, unit: Unit): CheckAt[] {
  const atUnit = (UNIT_READINGS[unit.kind as UnitKindId] ?? []).map((kind): CheckAt => ({
    kind,
    unitId: unit.id,
  }));
  const atParts = parts
    .filter(({ unitId }) => unitId === unit.id)
    .flatMap((part) =>
      (PART_READINGS[part.kind as PartKindId] ?? []).map((kind): CheckAt => ({
        kind,
        unitId: unit.id,
        partId: part.id,
      })),
    );
  // The flame of a furnace is asked once, where it was read before: at its burners or at the whole.
  const wasRead = ({ kind, partId }: CheckAt) =>
    history.readings.some(
      ({ event, taken }) =>
        taken.kind === kind && event.unitId === unit.id && event.partId === partId,
    );
  const doubled = (check: CheckAt) => atParts.some(({ kind }) => kind === check.kind);
  const atWhole = atUnit.filter((check) => !doubled(check) || wasRead(check));
  const place = ({ kind }: CheckAt) =>
    CHECK_ORDER.includes(kind) ? CHECK_ORDER.indexOf(kind) : CHECK_ORDER.length;
  return [...atWhole, ...atParts].sort((a, b) => place(a) - place(b));
}

/** A check as its row on the page asks it. */
export type CheckRow = CheckAt & {
  key: string;
  name: string;
  how: string;
  units: ReadingUnit[];
  rated: "value" | "band" | "none";
  ratedWords: string;
  /** What was read the last time, before this visit. */
  before: { words: string; when: string; verdict: JudgedReading["judgement"]["verdict"] } | null;
};

export type UnitChecksPage = VisitPage & {
  unit: Unit;
  rows: CheckRow[];
  partNames: { value: string; label: string; kind: string }[];
  initial: Typed;
  fogLimit: number;
  /** Which capacitor strategy the home follows. */
  school: CapacitorStrategy;
};

/** The checks of a machine on a visit: each with what was read the last time. */
export async function unitChecksOf(
  homeId: string,
  visitId: string,
  unitId: string,
  asker: Asker,
): Promise<UnitChecksPage | null> {
  const page = await visitOf(homeId, visitId, asker);
  const unit = page?.units.find((each) => each.unit.id === unitId)?.unit;
  if (!page || !unit) return null;
  const { snapshot, today, visit } = page;
  const checks = checksOf(snapshot, unit);
  const series = seriesByPlace(snapshot.history.readings);
  const at = ({ kind, partId }: CheckAt) =>
    series.find(
      ([first]) =>
        first!.taken.kind === kind &&
        first!.event.unitId === unit.id &&
        first!.event.partId === partId,
    ) ?? [];
  const rows = checks.map((check): CheckRow => {
    const last = at(check).findLast(({ event }) => event.visitId !== visitId);
    return {
      ...check,
      ...wordsOf(snapshot, check),
      before: last ? beforeOf(snapshot, last, today) : null,
    };
  });
  const draft = (await listVisitDrafts(visitId)).find((each) => each.unitId === unitId);
  return {
    ...page,
    unit,
    rows,
    partNames: snapshot.parts
      .filter((part) => part.unitId === unitId)
      .map(({ id, name, kind }) => ({ value: id, label: name, kind })),
    school: snapshot.home.capacitorStrategy ?? "label",
    initial: draft?.typed ?? checkValues(snapshot, checks, at, visitId),
    fogLimit: fogLimitOn(snapshot, visit.on ?? today),
  };
}

/** “Recovery core: heat recovered”; of a capacitor its own name says what is read. */
const nameOfCheck = (part: string | undefined, read: string): string =>
  part === undefined
    ? read
    : part.toLowerCase().includes(read.toLowerCase())
      ? part
      : `${part}: ${inSentence(read)}`;

function wordsOf({ home, parts }: HomeSnapshot, check: CheckAt) {
  const { kind, partId } = check;
  const words = READING_WORDS[kind];
  const part = parts.find(({ id }) => id === partId);
  return {
    key: checkKey(check),
    name: nameOfCheck(part?.name, words.name),
    how: words.how ?? "",
    units: isWordKind(kind) ? [] : unitsFor(kind, home.unitSystem),
    rated: ratedOf(kind),
    ratedWords: words.rated ?? "Rated",
  };
}

const beforeOf = (
  { home }: HomeSnapshot,
  { event, taken, judgement }: JudgedReading,
  today: PlainDate,
) => ({
  words: readWords(taken, home.unitSystem),
  when: dayAndMonth(event.date, today),
  verdict: judgement.verdict,
});

/** What the form of a machine shows at first: what was read on this visit, and what stood beside it last. */
function checkValues(
  { home }: HomeSnapshot,
  checks: readonly CheckAt[],
  at: (check: CheckAt) => readonly JudgedReading[],
  visitId: string,
): Typed {
  const values: Typed = {};
  for (const check of checks) {
    const readings = at(check);
    const now = readings.findLast(({ event }) => event.visitId === visitId);
    const per = isWordKind(check.kind) ? 1 : (unitsFor(check.kind, home.unitSystem)[0]?.per ?? 1);
    const figure = (value: number) => String(Number((value / per).toPrecision(6)));
    const key = checkKey(check);
    const rated = (now ?? readings.at(-1))?.taken.rated;
    if (typeof rated === "number") values[`rated ${key}`] = [figure(rated)];
    else if (rated) {
      if (rated.min !== undefined) values[`ratedMin ${key}`] = [figure(rated.min)];
      if (rated.max !== undefined) values[`ratedMax ${key}`] = [figure(rated.max)];
    }
    if (!now) continue;
    const { value, typed } = now.taken;
    if (typeof value === "string") values[`word ${key}`] = [value];
    else if (typed) {
      values[`value ${key}`] = [typed.value];
      values[`unit ${key}`] = [typed.unit];
    } else if (typeof value === "number") values[`value ${key}`] = [figure(value)];
  }
  return values;
}

/** A finding as its form shows it; a new one is not decided yet. */
export const findingFieldsOf = ({ home }: HomeSnapshot, finding: Finding | undefined): Typed =>
  finding
    ? {
        words: [finding.words],
        partId: [finding.partId ?? ""],
        advice: [finding.advice ?? ""],
        price: [
          finding.priceMinor === undefined ? "" : moneyFigure(finding.priceMinor, home.currency),
        ],
        decision: [finding.decision],
        until: [finding.until ?? ""],
        because: [finding.because ?? ""],
        staysOff: ["yes"],
      }
    : { decision: ["open"], staysOff: ["yes"] };

/** An instrument as its form shows it. */
export const fieldsOfInstrument = ({ name, note }: Instrument): Typed => ({
  name: [name],
  note: [note ?? ""],
});

export type EndPage = VisitPage & {
  /** The jobs it may have done, first those that are asked about one by one: a licensed person’s. */
  jobs: { value: string; label: string; isAsked: boolean }[];
  initial: Typed;
};

/** Separates the machine, part and key of a job in a form. */
const JOB_SEPARATOR = "|";
export const jobField = ({ task }: Pick<JobStatus, "task">): string =>
  [task.unitId ?? "", task.partId ?? "", task.key].join(JOB_SEPARATOR);

export function jobFrom(field: string): { unitId: string; partId?: string; key: string } | null {
  const [unitId, partId, ...key] = field.split(JOB_SEPARATOR);
  if (!unitId || key.length === 0) return null;
  return { unitId, ...(partId ? { partId } : {}), key: key.join(JOB_SEPARATOR) };
}

/** What the end of a visit asks: what was done, how it was left, what it cost. */
export async function visitEndOf(
  homeId: string,
  visitId: string,
  asker: Asker,
): Promise<EndPage | null> {
  const page = await visitOf(homeId, visitId, asker);
  if (!page) return null;
  const { snapshot, today, visit } = page;
  const jobs = scheduleNow(snapshot, today)
    .filter(({ task }) => task.unitId && visit.unitIds.includes(task.unitId) && !task.isOff)
    .map((job) => ({
      value: jobField(job),
      label: `${nameOf(snapshot, job.task.unitId!)}: ${inSentence(job.task.name)}`,
      isAsked: job.task.who === "licensed",
    }))
    .sort((a, b) => Number(b.isAsked) - Number(a.isAsked));
  const fresh: Typed = {
    verdict: [],
    signedBy: [whoOf(snapshot, visit)].filter((name) => name !== "nobody yet"),
  };
  return { ...page, jobs, initial: (await findVisitEnd(visitId)) ?? fresh };
}

/** A reading as a line of a brief or report: this one, and up to three before. */
export type ReadLine = {
  name: string;
  kind: ReadingKind;
  now: JudgedReading;
  before: JudgedReading[];
  /** Where it is going; null where nothing says so. */
  going: Going | null;
};

const BEFORE_SHOWN = 3;

/** The readings of some machines, by machine, each with those of the visits before. */
export function readLines(
  snapshot: HomeSnapshot,
  unitIds: readonly string[],
  until: PlainDate,
): { unitId: string; lines: ReadLine[] }[] {
  const series = seriesByPlace(
    snapshot.history.readings.filter(({ event }) => event.date <= until),
  );
  return unitIds.map((unitId) => ({
    unitId,
    lines: series.flatMap((readings): ReadLine[] => {
      const { event, taken } = readings[0]!;
      if (event.unitId !== unitId || typeof readings.at(-1)!.taken.value !== "number") return [];
      const { name } = wordsOf(snapshot, {
        kind: taken.kind,
        unitId,
        ...(event.partId ? { partId: event.partId } : {}),
      });
      return [
        {
          name,
          kind: taken.kind,
          now: readings.at(-1)!,
          before: readings.slice(-1 - BEFORE_SHOWN, -1),
          going: goingOf(readings),
        },
      ];
    }),
  }));
}

/** “4.77 µF” */
export const figureOf = ({ home }: HomeSnapshot, { taken }: Pick<JudgedReading, "taken">): string =>
  readWords(taken, home.unitSystem);
