import { addDays, daysFrom, readPlainDate, type PlainDate } from "../quantities/plain-date";
import type { HomeSnapshot } from "../history/home-snapshot";
import type { Part } from "../inventory/inventory";
import { goingOf, seriesByPlace } from "../readings/going";
import type { ReadingKind } from "../readings/reading-kinds";

/** Why a part is likely to be needed, the strongest reason first. */
export type LikelyBecause =
  | { because: "read"; kind: ReadingKind; verdict: "watch" | "act" | "stop"; on: PlainDate }
  | { because: "drifts"; kind: ReadingKind; early: PlainDate | null; likely: PlainDate }
  | { because: "seen"; kind: ReadingKind; word: string; on: PlainDate }
  | { because: "age"; years: number; usualYears: number };

export type LikelyPart = { part: Part } & LikelyBecause;

/** What is known of the parts of machines, from content. */
export type PartFacts = {
  /** How long a part of a kind usually lasts, years. */
  lifeYears: Readonly<Record<string, number>>;
  /** Parts that a word seen or heard at a machine points to, as `reading:word`. */
  pointsTo: Readonly<Record<string, readonly string[]>>;
};

const DAYS_PER_YEAR = 365.25;
const ORDER = ["read", "drifts", "seen", "age"] as const;

/** The day a part went in: as its plate says, else as its machine does. */
function fittedOn({ units, history }: HomeSnapshot, part: Part): PlainDate | null {
  const replaced = history
    .ofPart(part.id)
    .findLast(
      ({ kind, taskKey }) => kind === "fitted" || (kind === "done" && taskKey === "replace"),
    );
  const unit = units.find(({ id }) => id === part.unitId);
  return (
    replaced?.date ??
    readPlainDate(part.identity?.madeOn ?? "") ??
    unit?.fittedOn ??
    readPlainDate(unit?.attributes["made-on"] ?? "")
  );
}

/**
 * The parts most likely to be needed on a visit, so that they come in the van: what was read past its
 * limit or near it, what drifts past it before the next visit, what a sound or sight points to, and what
 * is past its usual life. Each part once, by its strongest reason; the strongest first.
 *
 * @param until the day of the visit after this one
 * @example likelyParts(snapshot([]), ["furnace"], { lifeYears: {}, pointsTo: {} }, today, today) // []
 */
export function likelyParts(
  snapshot: HomeSnapshot,
  unitIds: readonly string[],
  facts: PartFacts,
  today: PlainDate,
  until: PlainDate,
): LikelyPart[] {
  const parts = snapshot.parts.filter(({ unitId }) => unitIds.includes(unitId));
  const series = seriesByPlace(snapshot.history.readings);
  const found = parts.flatMap((part): LikelyPart[] => [
    ...series
      .filter(([first]) => first!.event.partId === part.id)
      .flatMap((readings): LikelyPart[] => {
        const { event, taken, judgement } = readings.at(-1)!;
        const { kind } = taken;
        const since = fittedOn(snapshot, part);
        // A new part has nothing to do with what was read at the old one.
        if (since !== null && since > event.date) return [];
        const { verdict } = judgement;
        if (verdict !== "sound" && verdict !== "unknown" && typeof taken.value === "number")
          return [{ part, because: "read", kind, verdict, on: event.date }];
        const crossing = goingOf(readings)?.trend.crossing;
        return crossing?.likely && crossing.likely <= until
          ? [{ part, because: "drifts", kind, early: crossing.early, likely: crossing.likely }]
          : [];
      }),
    ...lastWords(snapshot, part.unitId, today)
      .filter(({ kind, word }) => facts.pointsTo[`${kind}:${word}`]?.includes(part.kind))
      .map(({ kind, word, on }): LikelyPart => ({ part, because: "seen", kind, word, on })),
    ...pastItsLife(snapshot, part, facts, today),
  ]);
  const rank = ({ because }: LikelyPart) => ORDER.indexOf(because);
  const best = new Map<string, LikelyPart>();
  for (const each of found.sort((a, b) => rank(a) - rank(b)))
    if (!best.has(each.part.id)) best.set(each.part.id, each);
  return [...best.values()];
}

/** What was last seen or heard at a machine, of each kind, within a year. */
function lastWords({ history }: HomeSnapshot, unitId: string, today: PlainDate) {
  const since = addDays(today, -Math.round(DAYS_PER_YEAR));
  const last = new Map<ReadingKind, { kind: ReadingKind; word: string; on: PlainDate }>();
  for (const { event, taken } of history.readings)
    if (event.unitId === unitId && typeof taken.value === "string" && event.date >= since)
      last.set(taken.kind, { kind: taken.kind, word: taken.value, on: event.date });
  return [...last.values()];
}

function pastItsLife(
  snapshot: HomeSnapshot,
  part: Part,
  { lifeYears }: PartFacts,
  today: PlainDate,
): LikelyPart[] {
  const since = fittedOn(snapshot, part);
  const usualYears = lifeYears[part.kind];
  if (since === null || usualYears === undefined) return [];
  const years = daysFrom(since, today) / DAYS_PER_YEAR;
  return years >= usualYears
    ? [{ part, because: "age", years: Math.floor(years), usualYears }]
    : [];
}
