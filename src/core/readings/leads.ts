import type { Grade } from "../filters/belief";
import type { Media } from "../filters/media";
import type { HistoryEvent } from "../history/history-event";
import { judgementOf } from "../history/readings-taken";
import type { HomeSnapshot } from "../history/home-snapshot";
import type { PlannedTask } from "../scheduling/task";
import type { PlainDate } from "../quantities/plain-date";
import { isHeatingWeather } from "../climate/climate";
import type { ReadingKind, Verdict } from "./reading-kinds";

/** What leads on: a word that was seen, a verdict, a grade of a filter, or an answer in a job. */
export type LeadsFrom =
  | { reading: ReadingKind; is: readonly string[] }
  | { reading: ReadingKind; verdict: readonly Verdict[]; side?: "above" | "below" }
  | { sign: readonly string[] }
  | { grade: readonly Grade[]; media: readonly Media[] }
  | { procedure: string; step: string; is: readonly string[] };

/** From something seen to what is to be done, now and in jobs, and why. */
export type Lead = {
  id: string;
  from: LeadsFrom;
  /** What is done at once, before anything else. */
  now?: string;
  /** Somebody licensed is called, now. */
  call?: true;
  /** What to do is on the page of such an emergency, by its name there. */
  emergency?: string;
  /** It holds only at machines of these kinds, or where an outdoor unit heats, or where it does not. */
  only?: { at: readonly string[] } | { heating: boolean };
  why: string;
  /** Jobs it leads to, as `kind:key`: of the same part or machine first, else of its air. */
  to: readonly string[];
  /**
   * Noticed of no machine in particular, it may come from any: their jobs are meant, all of them, or of each
   * sort the one that is nearest.
   */
  ofTheHouse?: "all" | "one-each";
  /** Whether its filters fit is to be asked: dirt came past them. */
  fit?: true;
};

/** What was seen: an entry of the record, or an answer of a job. */
export type SeenThere =
  | (Pick<HistoryEvent, "reading" | "look" | "sign" | "partId" | "unitId" | "roomId"> & {
      date?: PlainDate;
    })
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
  if ("is" in from) return from.is.includes(String(reading.value));
  const { verdict, facts } = judgementOf(reading);
  return (
    verdict !== "unknown" &&
    from.verdict.includes(verdict) &&
    (!from.side || facts["side"] === from.side)
  );
}

/** What decides of a machine whether a lead holds there. */
export type LeadPlace = {
  kind: string | undefined;
  /** Of a part: its kind. */
  partKind: string | undefined;
  /** The house is being heated in these weeks. */
  isHeatingWeather: boolean;
};

/** Machines whose outdoor coil gets cold as they heat. */
const HEATS_FROM_OUTDOORS: readonly string[] = ["ducted-heat-pump", "ductless-head", "rooftop"];

/**
 * Whether a lead holds at a place: by the kind of machine, and by whether ice there is the ordinary frost of an
 * outdoor unit that heats. Indoors, or in summer, it never is.
 *
 * @example holdsAt({}, { kind: "boiler" }) // true
 */
export function holdsAt(
  { only }: Pick<Lead, "only">,
  { kind, partKind, isHeatingWeather }: LeadPlace,
): boolean {
  if (!only) return true;
  if ("at" in only) return kind !== undefined && only.at.includes(kind);
  const isIndoors = partKind === "evaporator-coil";
  const heats = kind !== undefined && HEATS_FROM_OUTDOORS.includes(kind);
  return only.heating === (heats && isHeatingWeather && !isIndoors);
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
  const room = "roomId" in seen ? seen.roomId : undefined;
  const level = home.rooms.find(({ id }) => id === room)?.levelId;
  const nearRoom = ({ unitId }: PlannedTask): number => {
    const unit = home.units.find(({ id }) => id === unitId);
    return room !== undefined && unit?.roomId === room ? 0 : unit?.levelId === level ? 1 : 2;
  };
  const nearest = (lead: Lead, name: string): PlannedTask[] => {
    const named = tasks.filter(({ kind, key }) => `${kind}:${key}` === name);
    if (seen.unitId === undefined) {
      if (!lead.ofTheHouse) return [];
      const sorted = [...named].sort((a, b) => nearRoom(a) - nearRoom(b));
      return lead.ofTheHouse === "all" ? named : sorted.slice(0, 1);
    }
    const at = [
      named.filter(({ partId }) => partId !== undefined && partId === seen.partId),
      named.filter(({ unitId }) => unitId !== undefined && unitId === seen.unitId),
      named.filter(({ unitId }) => system !== undefined && systemAt(unitId) === system),
    ];
    return at.find((some) => some.length > 0)?.slice(0, 1) ?? [];
  };
  const place: LeadPlace = {
    kind: home.units.find(({ id }) => id === seen.unitId)?.kind,
    partKind: home.parts.find(({ id }) => id === seen.partId)?.kind,
    isHeatingWeather:
      "date" in seen && seen.date !== undefined && isHeatingWeather(home.home.climate, seen.date),
  };
  return leads
    .filter((lead) => isSeen(lead.from, seen, (id) => slot(id)?.media) && holdsAt(lead, place))
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
