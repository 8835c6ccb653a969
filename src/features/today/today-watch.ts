import { READING_WORDS } from "@/content/reading-words";
import { adviceWords, readWords } from "@/presentation/reading-advice";
import { addDays, readPlainDate, type PlainDate } from "@/core/quantities/plain-date";
import { FINDING_NEAR_DAYS, isBack } from "@/core/visits/visit";
import {
  capitalised,
  countWords,
  dayAndMonth,
  inSentence,
  listWords,
} from "@/core/quantities/words";
import { signOf } from "@/content/signs";
import { stillNoticed, verdictOfSign } from "@/core/noticed/sign";
import { nextJobFor, watchedReadings } from "@/core/readings/watch";
import { LEADS } from "@/content/leads";
import { burnsUnflued } from "@/content/unit-kinds";
import { ductCleanings } from "@/core/history/duct-cleanings";
import { ledOn } from "@/core/readings/leads";
import type { PlannedTask } from "@/core/scheduling/task";
import { visitsMadeFor, wasSaidSeen, wasSeenTo } from "@/core/visits/made-for";
import { tasksNow } from "@/server/snapshots/snapshot-cache";
import { crossingWords } from "@/presentation/trend-words";
import { dueWords } from "@/presentation/schedule-words";
import { VERDICTS, type ReadingKind } from "@/core/readings/reading-kinds";
import type { JobStatus } from "@/core/scheduling/schedule";
import { isCoAlarm, levelsWithoutAlarm, warrantyOf } from "@/core/inventory/alarms";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { HistoryEvent } from "@/core/history/history-event";
import { shutRegisters } from "@/core/inventory/shut-registers";

const HOUSE = "The house";

export type Watch = {
  verdict: "watch" | "act" | "stop";
  /** The machine, or the house as a whole. */
  place: string;
  words: string;
  href: string;
  /** Where it is going, in words. */
  trend?: string;
  /** What is done about it next. */
  next?: { words: string; href: string };
  /** Whom to call about it, now. */
  call?: { name: string; phone: string };
  /** The page of the emergency it is. */
  emergency?: string;
  /** What is done at once. */
  now?: string;
  unitId?: string;
  /** The entry of what was noticed, to say that it has gone again. */
  gone?: string;
  /** The entry of what means stop, to say who saw to it and what was found. */
  stop?: string;
};

/** What is on watch in a home, the worst first: readings, alarms, registers, warranties. */
export function watchOf(
  snapshot: HomeSnapshot,
  today: PlainDate,
  schedule: readonly JobStatus[],
): Watch[] {
  return [
    ...alarms(snapshot),
    ...unfluedWithoutAlarm(snapshot),
    ...neverCleanedDucts(snapshot, today),
    ...withoutMagneticFilter(snapshot),
    ...deferredFindings(snapshot, today),
    ...readings(snapshot, schedule, today),
    ...signs(snapshot, today),
    ...registers(snapshot),
    ...warranties(snapshot, today),
  ].sort((a, b) => VERDICTS.indexOf(b.verdict) - VERDICTS.indexOf(a.verdict));
}

/** Levels people live on without an alarm; one that is spent stands among the jobs. */
function alarms(snapshot: HomeSnapshot): Watch[] {
  const all = snapshot.units.filter((unit) => isCoAlarm(unit.kind));
  const bare = levelsWithoutAlarm(snapshot.levels, snapshot.rooms, all).map((level) => level.name);
  if (bare.length === 0) return [];
  const words = `No carbon monoxide alarm on: ${listWords(bare)}.`;
  return [{ verdict: "act", place: HOUSE, words, href: "rooms" }];
}

/** What burns without a flue in a room where nothing would warn of it. */
const unfluedWithoutAlarm = ({ units }: HomeSnapshot): Watch[] =>
  units.filter(burnsUnflued).flatMap((unit): Watch[] => {
    const warned = units.some(
      ({ kind, roomId, levelId }) =>
        isCoAlarm(kind) && (unit.roomId ? roomId === unit.roomId : levelId === unit.levelId),
    );
    if (warned) return [];
    return [
      {
        verdict: "act",
        place: unit.name,
        unitId: unit.id,
        href: `units/${unit.id}`,
        words: `${unit.name}: it burns without a flue, and no CO alarm hangs in its room. Not lit until one does.`,
        next: { words: "Enter the alarm once it hangs", href: "units/new" },
      },
    ];
  });

/** Ducts this old that nobody is known to have cleaned bring the question, years. Our choice. */
const DUCTS_OLD_YEARS = 20;
const DAYS_PER_YEAR = 365.25;

/** Ducts never cleaned in decades: what lies in them is looked at before anybody is called. */
function neverCleanedDucts(snapshot: HomeSnapshot, today: PlainDate): Watch[] {
  const long = addDays(today, -Math.round(DUCTS_OLD_YEARS * DAYS_PER_YEAR));
  return snapshot.units.flatMap((unit): Watch[] => {
    if (unit.kind !== "ducts" || !unit.fittedOn || unit.fittedOn > long) return [];
    const cleaned = [
      readPlainDate(unit.attributes["cleaned-on"] ?? ""),
      ...ductCleanings(snapshot),
    ];
    const wasLookedAt = snapshot.history.readings.some(
      ({ taken, event }) => taken.kind === "duct-amount" && event.date > long,
    );
    if (wasLookedAt || cleaned.some((day) => day !== null && day > long)) return [];
    return [
      {
        verdict: "watch",
        place: unit.name,
        unitId: unit.id,
        href: `units/${unit.id}`,
        words: `${unit.name}: in place since ${unit.fittedOn.slice(0, 4)}, and no cleaning is known. What lies in them, and how much?`,
        next: {
          words: "Look through a register, say what lies there",
          href: `reading?place=${unit.id}&kind=duct-amount`,
        },
      },
    ];
  });
}

/** A boiler whose water runs through no magnetic filter: advice, for its next visit. */
const withoutMagneticFilter = ({ units, parts }: HomeSnapshot): Watch[] =>
  units
    .filter(
      ({ id, kind }) =>
        kind === "boiler" &&
        parts.some(({ unitId }) => unitId === id) &&
        !parts.some((part) => part.unitId === id && part.kind === "magnetic-filter"),
    )
    .map(({ id, name }) => ({
      verdict: "watch",
      place: name,
      unitId: id,
      href: `units/${id}`,
      words: `${name}: it has no magnetic filter. Have one fitted on the return, where a bucket fits below.`,
      next: { words: "Ask for it at a visit", href: `visits/new?unit=${id}` },
    }));

/** What was found on a visit and put off, once its time is near. */
const deferredFindings = (snapshot: HomeSnapshot, today: PlainDate): Watch[] =>
  snapshot.findings
    .filter((finding) => isBack(finding, addDays(today, FINDING_NEAR_DAYS)))
    .map(({ id, visitId, unitId, words, until, decision }): Watch => {
      const unit = snapshot.units.find((each) => each.id === unitId)?.name ?? "A machine";
      const when = until
        ? `put off until ${dayAndMonth(until, today)}`
        : decision === "now"
          ? "to be done"
          : "not decided yet";
      const isPast = until !== undefined && until < today;
      return {
        verdict: isPast ? "act" : "watch",
        place: unit,
        unitId,
        words: `${unit}: ${inSentence(words)}; ${when}.`,
        href: `visits/${visitId}#${id}`,
      };
    });

/** Days within which a drift that leaves its limits is of interest. */
const DRIFT_DAYS = 365;

/** What was read and is not sound, or leaves its limits within a year, with what is done about it next. */
function readings(
  snapshot: HomeSnapshot,
  schedule: readonly JobStatus[],
  today: PlainDate,
): Watch[] {
  const { unitSystem } = snapshot.home;
  return watchedReadings(snapshot, schedule, addDays(today, DRIFT_DAYS)).flatMap(
    ({ reading: { event, taken, judgement }, going, isDrifting }): Watch[] => {
      const { unitId, partId } = event;
      const { kind } = taken;
      const unit = snapshot.units.find((each) => each.id === unitId);
      // Out of service nothing is watched any more.
      if (unitId && !unit) return [];
      const place = unit?.name ?? HOUSE;
      const act = adviceWords(kind, judgement);
      const isAct = judgement.verdict === "act" || judgement.verdict === "stop";
      const [led] = ledOn(event, snapshot, tasksNow(snapshot), LEADS);
      const isStop = judgement.verdict === "stop";
      const crossing = going ? crossingWords(going, today) : "";
      return [
        {
          verdict: isDrifting ? "watch" : (judgement.verdict as Watch["verdict"]),
          place,
          words: `${place}, ${inSentence(READING_WORDS[kind].name)}: ${readWords(taken, unitSystem)}${isAct ? `; ${act}` : ""}.`,
          ...(crossing ? { trend: capitalised(`${crossing}.`) } : {}),
          ...(isStop && led?.lead.now ? { now: led.lead.now } : {}),
          ...(isStop ? stopped(snapshot, event) : {}),
          ...(isStop && led?.lead.emergency ? { emergency: led.lead.emergency } : {}),
          ...(isStop ? { stop: event.id } : event.sign ? { gone: event.id } : {}),
          ...(unitId ? { unitId } : {}),
          href: partId ? `parts/${partId}` : unitId ? `units/${unitId}` : "watch",
          next: isStop
            ? nextAfterStop(snapshot, today, event, kind)
            : nextFor(
                snapshot,
                schedule,
                today,
                event,
                kind,
                isDrifting ? `${act}, or watch` : "",
                led?.jobs ?? [],
              ),
        },
      ];
    },
  );
}

/** Whom to call about a machine: who services it, else any technician. */
function stopped({ contacts, units }: HomeSnapshot, { unitId }: HistoryEvent): Pick<Watch, "call"> {
  const own = units.find(({ id }) => id === unitId)?.contactId;
  const who =
    contacts.find(({ id, phone }) => id === own && phone) ??
    contacts.find(({ role, phone }) => role === "technician" && phone);
  return who?.phone ? { call: { name: who.name, phone: who.phone } } : {};
}

/** A stop asks for a call now: a visit is made for it, or it was seen to. No service to come sees to it. */
function nextAfterStop(
  { visits }: HomeSnapshot,
  today: PlainDate,
  event: HistoryEvent,
  kind: ReadingKind | null,
): Watch["next"] {
  const made = visitsMadeFor(visits, event).find(({ endedAt }) => !endedAt);
  const at = event.unitId ? `?unit=${event.unitId}&reason=breakdown` : "";
  if (made)
    return {
      words: made.on
        ? `The visit made for it: ${dayAndMonth(made.on, today)}`
        : "The visit made for it, without a day yet: call",
      href: `visits/${made.id}`,
    };
  if (event.unitId) return { words: "Make a visit for it", href: `visits/new${at}` };
  return kind ? undefined : { words: "Whom to call", href: "contacts" };
}

/** The job that comes next for it, an owner’s before anybody is waited for; else the visit that is planned. */
function nextFor(
  { visits }: HomeSnapshot,
  schedule: readonly JobStatus[],
  today: PlainDate,
  { unitId, partId }: HistoryEvent,
  kind: ReadingKind,
  advice: string,
  led: readonly PlannedTask[],
): Watch["next"] {
  const job = nextJobFor(
    schedule,
    { ...(unitId ? { unitId } : {}), ...(partId ? { partId } : {}) },
    kind,
  );
  const startOf = (task: PlannedTask) => `jobs/${task.id}/start`;
  if (job?.due && job.task.who !== "licensed")
    return { words: `${job.task.name}, ${dueWords(job, today)}`, href: startOf(job.task) };
  // A technician’s work waits for what one can do oneself: a dulled sensor is polished before it is replaced.
  const own = advice ? undefined : led.find(({ who, isOff }) => who !== "licensed" && !isOff);
  if (own) return { words: `${own.name}: yours, today`, href: startOf(own) };
  if (job?.due)
    return { words: `${job.task.name}, ${dueWords(job, today)}`, href: startOf(job.task) };
  const visit = visits
    .filter(
      ({ on, endedAt, unitIds }) => on && !endedAt && on >= today && unitIds.includes(unitId ?? ""),
    )
    .sort((a, b) => (a.on! < b.on! ? -1 : 1))[0];
  const before = advice && capitalised(advice);
  if (visit)
    return {
      words: [
        before,
        `${before ? "at" : "To be seen to at"} the visit on ${dayAndMonth(visit.on!, today)}`,
      ]
        .filter(Boolean)
        .join(": "),
      href: `visits/${visit.id}`,
    };
  return {
    words: before || "Read it again",
    href: `reading?place=${partId ?? unitId ?? ""}`,
  };
}

/** What the household noticed and holds still, where it is no reading: those stand among the readings. */
const signs = (snapshot: HomeSnapshot, today: PlainDate): Watch[] =>
  stillNoticed(snapshot.history.noticed, isStopSign).flatMap((event): Watch[] => {
    const sign = signOf(event.sign);
    if (!sign || sign.reading || verdictOfSign(sign) === "sound") return [];
    const isStop = verdictOfSign(sign) === "stop";
    const isLetGo =
      wasSeenTo(snapshot.visits, event) || wasSaidSeen(snapshot.history.counted, event);
    if (isStop && isLetGo) return [];
    const [led] = ledOn(event, snapshot, tasksNow(snapshot), LEADS);
    const [job] = led?.jobs.filter(({ who, isOff }) => who !== "licensed" && !isOff) ?? [];
    const unit = snapshot.units.find(({ id }) => id === event.unitId)?.name ?? HOUSE;
    return [
      {
        verdict: isStop ? "stop" : "watch",
        place: unit,
        ...(isStop && led?.lead.now ? { now: led.lead.now } : {}),
        ...(isStop && led?.lead.emergency ? { emergency: led.lead.emergency } : {}),
        ...(isStop ? stopped(snapshot, event) : {}),
        ...(isStop
          ? { next: nextAfterStop(snapshot, today, event, null) }
          : job
            ? { next: { words: job.name, href: `jobs/${job.id}/start` } }
            : {}),
        words: `${unit}: ${inSentence(sign.words)}, noticed ${dayAndMonth(event.date, today)}.`,
        href: event.unitId ? `units/${event.unitId}` : "watch",
        ...(event.unitId ? { unitId: event.unitId } : {}),
        ...(isStop ? { stop: event.id } : { gone: event.id }),
      },
    ];
  });

/** Whether a sign that is no reading means stop. */
const isStopSign = (id: string): boolean => {
  const sign = signOf(id);
  return sign !== undefined && verdictOfSign(sign) === "stop";
};

function registers({ registers: all }: HomeSnapshot): Watch[] {
  const shut = shutRegisters(all);
  if (shut?.verdict !== "act") return [];
  const { verdict, mustOpen, returnsShut } = shut;
  const words =
    returnsShut > 0
      ? "A return is shut or blocked: open it."
      : `Too many registers are shut: open ${countWords(mustOpen)} at least.`;
  return [{ verdict, place: HOUSE, words, href: "rooms" }];
}

const warranties = (snapshot: HomeSnapshot, today: PlainDate): Watch[] =>
  snapshot.units.flatMap((unit): Watch[] => {
    const { warrantyEndsOn: ends, warrantyRegistered: isRegistered } = unit;
    if (!ends || warrantyOf(ends, today) === "over") return [];
    const day = dayAndMonth(ends, today);
    const href = `units/${unit.id}`;
    if (isRegistered === false)
      return [
        {
          verdict: "watch",
          place: unit.name,
          href,
          words: `${unit.name}: its warranty, until ${day}, is not registered yet.`,
        },
      ];
    return warrantyOf(ends, today) === "ends-soon"
      ? [
          {
            verdict: "watch",
            place: unit.name,
            href,
            words: `${unit.name}: its warranty ends ${day}.`,
          },
        ]
      : [];
  });
