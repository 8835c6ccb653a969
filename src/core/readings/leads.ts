import type { Grade } from "../filters/belief";
import type { Media } from "../filters/media";
import type { HistoryEvent } from "../history/history-event";
import { judgementOf } from "../history/readings-taken";
import type { HomeSnapshot } from "../history/home-snapshot";
import type { PlannedTask } from "../scheduling/task";
import type { ReadingKind, Verdict } from "./reading-kinds";

/** What leads on: a word that was seen, a verdict, a grade of a filter, or an answer in a job. */
export type LeadsFrom =
  | { reading: ReadingKind; is: readonly string[] }
  | { reading: ReadingKind; verdict: readonly Verdict[] }
  | { sign: readonly string[] }
  | { grade: readonly Grade[]; media: readonly Media[] }
  | { procedure: string; step: string; is: readonly string[] };

/** From something seen to what is to be done, now and in jobs, and why. */
export type Lead = {
  id: string;
  from: LeadsFrom;
  /** What is done at once, before anything else. */
  now?: string;
  why: string;
  /** Jobs it leads to, as `kind:key`: of the same part or machine first, else of its air. */
  to: readonly string[];
  /** Noticed of no machine in particular, it may come from any: their jobs are meant, each of them. */
  ofTheHouse?: true;
  /** Whether its filters fit is to be asked: dirt came past them. */
  fit?: true;
};

/** What was seen: an entry of the record, or an answer of a job. */
export type SeenThere =
  | Pick<HistoryEvent, "reading" | "look" | "sign" | "partId" | "unitId">
  | { procedure: string; step: string; word: string; partId?: string; unitId?: string };

function isSeen(from: LeadsFrom, seen: SeenThere, mediaAt: (partId: string) => Media | undefined) {
  if ("procedure" in from)
    return (
      "procedure" in seen &&
      seen.procedure === from.procedure &&
      seen.step === from.step &&
      from.is.includes(seen.word)
    );
  if ("procedure" in seen) return false;
  if ("sign" in from) return seen.sign !== undefined && from.sign.includes(seen.sign);
  if ("grade" in from) {
    const media = seen.partId === undefined ? undefined : mediaAt(seen.partId);
    return (
      media !== undefined &&
      from.media.includes(media) &&
      seen.look?.grade !== undefined &&
      from.grade.includes(seen.look.grade)
    );
  }
  const { reading } = seen;
  if (reading?.kind !== from.reading) return false;
  return "is" in from
    ? from.is.includes(String(reading.value))
    : from.verdict.includes(judgementOf(reading).verdict);
}

/** A lead that holds, the jobs of this home it leads to, and the filters whose fit is asked. */
export type LedOn = { lead: Lead; jobs: PlannedTask[]; filters: string[] };

/**
 * What something seen leads to in this home: each lead with the jobs that are there. A job of the same
 * part counts before one of the same machine, and that before one of its air system. What was noticed of
 * no machine in particular may lead to the jobs of each.
 *
 * @param tasks of the home, those switched off among them
 * @param leads the table of what leads where
 * @example ledOn({ procedure: "p", step: "s", word: "x" }, snapshot([]), [], [{ id: "l", from: { procedure: "p", step: "s", is: ["x"] }, why: "so", to: [] }]).length // 1
 */
export function ledOn(
  seen: SeenThere,
  home: HomeSnapshot,
  tasks: readonly PlannedTask[],
  leads: readonly Lead[],
): LedOn[] {
  const slot = (id: string) => home.slots.find((each) => each.id === id);
  const systemAt = (unitId: string | undefined) =>
    home.units.find(({ id }) => id === unitId)?.systemId;
  const system = systemAt(seen.unitId);
  const nearest = (lead: Lead, name: string): PlannedTask[] => {
    const named = tasks.filter(({ kind, key }) => `${kind}:${key}` === name);
    if (seen.unitId === undefined) return lead.ofTheHouse ? named : [];
    const at = [
      named.filter(({ partId }) => partId !== undefined && partId === seen.partId),
      named.filter(({ unitId }) => unitId !== undefined && unitId === seen.unitId),
      named.filter(({ unitId }) => system !== undefined && systemAt(unitId) === system),
    ];
    return at.find((some) => some.length > 0)?.slice(0, 1) ?? [];
  };
  return leads
    .filter(({ from }) => isSeen(from, seen, (id) => slot(id)?.media))
    .map((lead) => ({
      lead,
      jobs: lead.to.flatMap((name) => nearest(lead, name)),
      filters: lead.fit
        ? home.slots.flatMap(({ id, unitId, airSide }) =>
            airSide === "recirculated" && system !== undefined && systemAt(unitId) === system
              ? id
              : [],
          )
        : [],
    }));
}
