import { READING_WORDS } from "@/content/reading-words";
import { adviceWords, readWords } from "@/presentation/reading-advice";
import { addDays, type PlainDate } from "@/core/quantities/plain-date";
import { FINDING_NEAR_DAYS, isBack } from "@/core/visits/visit";
import { countWords, dayAndMonth, inSentence, listWords } from "@/core/quantities/words";
import { partsOf } from "@/core/scheduling/trigger";
import { VERDICTS, type ReadingKind } from "@/core/readings/reading-kinds";
import type { JobStatus } from "@/core/scheduling/schedule";
import { levelsWithoutAlarm, warrantyOf } from "@/core/inventory/alarms";
import { type JudgedReading } from "@/core/history/readings-taken";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { HistoryEvent } from "@/core/history/history-event";
import { shutRegisters } from "@/core/inventory/shut-registers";

export type Watch = { verdict: "watch" | "act" | "stop"; words: string; href: string };

/** What is on watch in a home, the worst first: readings, alarms, registers, warranties. */
export function watchOf(
  snapshot: HomeSnapshot,
  today: PlainDate,
  schedule: readonly JobStatus[],
): Watch[] {
  return [
    ...alarms(snapshot),
    ...deferredFindings(snapshot, today),
    ...readings(snapshot, schedule),
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
  return [{ verdict: "act", words, href: "rooms" }];
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
        words: `${unit}: ${inSentence(words)}; ${when}.`,
        href: `visits/${visitId}#${id}`,
      };
    });

/** The last reading of each kind at each place, where it is not sound. */
function readings(snapshot: HomeSnapshot, schedule: readonly JobStatus[]): Watch[] {
  const last = new Map<string, JudgedReading>();
  for (const reading of snapshot.history.readings) {
    const { unitId, partId } = reading.event;
    last.set(`${partId ?? unitId} ${reading.taken.kind}`, reading);
  }
  return [...last.values()].flatMap(({ event, taken, judgement }): Watch[] => {
    const unit = snapshot.units.find((each) => each.id === event.unitId);
    if (!unit || judgement.verdict === "sound" || isSettled(schedule, event, taken.kind)) return [];
    const { name } = READING_WORDS[taken.kind];
    const act = adviceWords(taken.kind, judgement);
    const read = readWords(taken, snapshot.home.unitSystem);
    const advice = judgement.verdict === "watch" ? "" : `; ${act}`;
    return [
      {
        verdict: judgement.verdict,
        words: `${unit.name}, ${inSentence(name)}: ${read}${advice}.`,
        href: event.partId ? `parts/${event.partId}` : `units/${unit.id}`,
      },
    ];
  });
}

/** Whether a job done since put right what was read: a new seal, a cleaned coil, a replaced part. */
const isSettled = (
  schedule: readonly JobStatus[],
  { date, unitId, partId }: HistoryEvent,
  kind: ReadingKind,
): boolean =>
  schedule.some(
    ({ task, lastDone }) =>
      lastDone !== null &&
      lastDone >= date &&
      (partId ? task.partId === partId : task.unitId === unitId && task.partId === undefined) &&
      (task.settles.includes(kind) ||
        partsOf(task.trigger).some(
          (trigger) => trigger.kind === "reading" && trigger.reading === kind,
        )),
  );

function registers({ registers: all }: HomeSnapshot): Watch[] {
  const shut = shutRegisters(all);
  if (shut?.verdict !== "act") return [];
  const { verdict, mustOpen, returnsShut } = shut;
  const words =
    returnsShut > 0
      ? "A return is shut or blocked: open it."
      : `Too many registers are shut: open ${countWords(mustOpen)} at least.`;
  return [{ verdict, words, href: "rooms" }];
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
          href,
          words: `${unit.name}: its warranty, until ${day}, is not registered yet.`,
        },
      ];
    return warrantyOf(ends, today) === "ends-soon"
      ? [{ verdict: "watch", href, words: `${unit.name}: its warranty ends ${day}.` }]
      : [];
  });
