import { READING_WORDS } from "@/content/reading-words";
import { adviceWords, readWords } from "@/presentation/reading-advice";
import { addDays, type PlainDate } from "@/core/quantities/plain-date";
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
import { leadNow } from "@/presentation/lead-words";
import { crossingWords } from "@/presentation/trend-words";
import { dueWords } from "@/presentation/schedule-words";
import { VERDICTS, type ReadingKind } from "@/core/readings/reading-kinds";
import type { JobStatus } from "@/core/scheduling/schedule";
import { levelsWithoutAlarm, warrantyOf } from "@/core/inventory/alarms";
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
  /** What is done at once. */
  now?: string;
  unitId?: string;
  /** The entry of what was noticed, to say that it has gone again. */
  gone?: string;
};

/** What is on watch in a home, the worst first: readings, alarms, registers, warranties. */
export function watchOf(
  snapshot: HomeSnapshot,
  today: PlainDate,
  schedule: readonly JobStatus[],
): Watch[] {
  return [
    ...alarms(snapshot),
    ...deferredFindings(snapshot, today),
    ...readings(snapshot, schedule, today),
    ...signs(snapshot, today),
    ...registers(snapshot),
    ...warranties(snapshot, today),
  ].sort((a, b) => VERDICTS.indexOf(b.verdict) - VERDICTS.indexOf(a.verdict));
}

/** Levels people live on without an alarm; one that is spent stands among the jobs. */
function alarms(snapshot: HomeSnapshot): Watch[] {
  const all = snapshot.units.filter((unit) => unit.kind === "co-alarm");
  const bare = levelsWithoutAlarm(snapshot.levels, snapshot.rooms, all).map((level) => level.name);
  if (bare.length === 0) return [];
  const words = `No carbon monoxide alarm on: ${listWords(bare)}.`;
  return [{ verdict: "act", place: HOUSE, words, href: "rooms" }];
}

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
  return watchedReadings(snapshot.history, schedule, addDays(today, DRIFT_DAYS)).flatMap(
    ({ reading: { event, taken, judgement }, going, isDrifting }): Watch[] => {
      const { unitId, partId } = event;
      const { kind } = taken;
      const unit = snapshot.units.find((each) => each.id === unitId);
      // Out of service nothing is watched any more.
      if (unitId && !unit) return [];
      const place = unit?.name ?? HOUSE;
      const act = adviceWords(kind, judgement);
      const isAct = judgement.verdict === "act" || judgement.verdict === "stop";
      const lead =
        judgement.verdict === "stop" ? leadNow({ reading: kind }, String(taken.value)) : null;
      const crossing = going ? crossingWords(going, today) : "";
      return [
        {
          verdict: isDrifting ? "watch" : (judgement.verdict as Watch["verdict"]),
          place,
          words: `${place}, ${inSentence(READING_WORDS[kind].name)}: ${readWords(taken, unitSystem)}${isAct ? `; ${act}` : ""}.`,
          ...(crossing ? { trend: capitalised(`${crossing}.`) } : {}),
          ...(lead?.now ? { now: lead.now } : {}),
          ...(event.sign ? { gone: event.id } : {}),
          ...(unitId ? { unitId } : {}),
          href: partId ? `parts/${partId}` : unitId ? `units/${unitId}` : "watch",
          next: nextFor(
            snapshot,
            schedule,
            today,
            event,
            kind,
            isDrifting ? `${act}, or watch` : "",
          ),
        },
      ];
    },
  );
}

/** The job that comes next for it, else the visit that is planned, else to read it again. */
function nextFor(
  { visits }: HomeSnapshot,
  schedule: readonly JobStatus[],
  today: PlainDate,
  { unitId, partId }: HistoryEvent,
  kind: ReadingKind,
  advice: string,
): Watch["next"] {
  const job = nextJobFor(
    schedule,
    { ...(unitId ? { unitId } : {}), ...(partId ? { partId } : {}) },
    kind,
  );
  if (job?.due)
    return {
      words: `${job.task.name}, ${dueWords(job, today)}`,
      href: `jobs/${job.task.id}/start`,
    };
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
  stillNoticed(snapshot.history.noticed).flatMap((event): Watch[] => {
    const sign = signOf(event.sign);
    if (!sign || sign.reading || verdictOfSign(sign) === "sound") return [];
    const unit = snapshot.units.find(({ id }) => id === event.unitId)?.name ?? HOUSE;
    return [
      {
        verdict: "watch",
        place: unit,
        words: `${unit}: ${inSentence(sign.words)}, noticed ${dayAndMonth(event.date, today)}.`,
        href: event.unitId ? `units/${event.unitId}` : "watch",
        ...(event.unitId ? { unitId: event.unitId } : {}),
        gone: event.id,
      },
    ];
  });

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
