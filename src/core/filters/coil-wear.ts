import { FINAL_RATIO, type CoilGrade } from "./belief";
import type { Equipment } from "../climate/run-hours";
import { LEAK_SHARE } from "../calculators/filter-fit";
import type { HistoryEvent, ReadingTaken } from "../history/history-event";
import type { HomeSnapshot } from "../history/home-snapshot";
import type { FilterSlot, Part, ScopedDriver, Unit } from "../inventory/inventory";
import { daysFrom, type PlainDate } from "../quantities/plain-date";
import type { Rating } from "../quantities/rating";
import type { Coil, Media } from "./media";
import type { InstalledPeriod, PlaceContext } from "./place-history";
import { isGrille } from "./slot-airflow";
import { fitOfSlot } from "./slot-fit";
import { contextOf, driversOf, periodsBetween, systemOf } from "./slot-wear";
import { beliefAfter, likelyDue } from "./wear";
import type { WearInput, WearLook, WearSlot } from "./wear-schema";
import {
  explain,
  wearStatusOf,
  type Explanation,
  type WearNow,
  type WearStatus,
} from "./wear-status";
import { otherwise, type Point } from "./what-if";

/** The coils among the parts of machines. */
const COIL_OF_PART: Readonly<Record<string, Coil>> = {
  "evaporator-coil": "indoor-coil",
  "condenser-coil": "outdoor-coil",
};

/**
 * Which coil a part is; null for every other part.
 *
 * @example coilOf({ kind: "condenser-coil" }) // "outdoor-coil"
 */
export const coilOf = ({ kind }: Pick<Part, "kind">): Coil | null => COIL_OF_PART[kind] ?? null;

/** The jobs after which a coil loads anew: its own cleaning, and that of the whole machine. */
const CLEAN_COIL = "clean";
const DEEP_CLEAN = "deep-clean";

const isCleaned = ({ kind, partId, taskKey }: HistoryEvent, part: Part): boolean =>
  kind === "done" &&
  (partId === part.id
    ? (taskKey ?? CLEAN_COIL) === CLEAN_COIL
    : partId === undefined && taskKey === DEEP_CLEAN);

/** What a reading of a coil, in its own words, says as a grade; ice and bent fins say nothing of dust. */
const GRADE_OF_WORD: Readonly<Record<string, CoilGrade>> = {
  clean: "clean",
  dusted: "dusty",
  matted: "matted",
};

/** What a filter without a rating is taken for, MERV. Our choice: what the trade calls such media. */
const USUAL_MERV: Readonly<Record<Media, number | null>> = {
  "fibreglass-25": 4,
  "pleated-25": 8,
  "pleated-50": 8,
  "pleated-100": 8,
  "pleated-125": 8,
  "washable-panel": 4,
  "head-mesh": 3,
  "heater-mesh": 3,
  "portable-mesh": 3,
  "vent-coarse": 6,
  "vent-fine": 13,
  "carbon-prefilter": 6,
  "hepa-cylinder": 16,
  "electrostatic-cell": 12,
  "humidifier-panel": null,
};

/** The filter before an indoor coil, and what slips past it. */
export type Upstream = { slot: FilterSlot; rating: Rating | undefined; bypass: number };

/**
 * The filter that an indoor coil sits behind: of its own machine, else of its air system; of several the
 * one in the duct or the machine, through which all air goes. Null where there is none. Its leak is the one
 * that counts in its due date, else what its fit works out to.
 *
 * @example upstreamOf(snapshot([]), { id: "coil", unitId: "furnace" }).bypass // 0
 */
export function upstreamOf(
  snapshot: HomeSnapshot,
  part: Pick<Part, "id" | "unitId">,
): Upstream | null {
  const unit = snapshot.units.find(({ id }) => id === part.unitId);
  const system = unit && systemOf(snapshot, unit);
  const members = new Set(
    snapshot.units.flatMap(({ id, systemId }) => (systemId && systemId === system?.id ? id : [])),
  );
  const [slot] = snapshot.slots
    .filter(
      ({ airSide, media, unitId }) =>
        airSide === "recirculated" &&
        media !== "humidifier-panel" &&
        (unitId === part.unitId || members.has(unitId)),
    )
    .sort(
      (a, b) =>
        Number(b.unitId === part.unitId) - Number(a.unitId === part.unitId) ||
        Number(isGrille(a)) - Number(isGrille(b)),
    );
  if (!slot) return null;
  const counted = driversOf(snapshot, slot).find(({ kind }) => kind === "bypass")?.fraction;
  const merv = USUAL_MERV[slot.media];
  return {
    slot,
    rating: slot.rating ?? (merv === null ? undefined : { scheme: "MERV", class: String(merv) }),
    bypass: counted ?? fitOfSlot(slot, system)?.bypass ?? 0,
  };
}

/** A cooler on wheels blows the air of the room over both its coils. */
const IN_THE_ROOM = "portable-cooler";

const wearSlotOf = (coil: Coil, unitKind: string, upstream: Upstream | null): WearSlot => ({
  media: coil,
  rating: undefined,
  airSide: coil === "outdoor-coil" && unitKind !== IN_THE_ROOM ? "outdoor" : "recirculated",
  faceAreaM2: undefined,
  airflowM3h: undefined,
  baseHours: undefined,
  maxAgeDays: undefined,
  agesInUse: undefined,
  cleanDropPa: undefined,
  finalRatio: FINAL_RATIO,
  upstream:
    coil === "indoor-coil"
      ? { rating: upstream?.rating, bypass: upstream?.bypass ?? 0 }
      : undefined,
});

/** The kinds of machine that cool by a coil outdoors and heat by it too. */
const HEAT_PUMPS: ReadonlySet<string> = new Set(["ducted-heat-pump", "ductless-head"]);

/** An outdoor coil takes part in heating at a heat pump only. */
const equipmentOf = (equipment: Equipment, coil: Coil, unitKind: string): Equipment =>
  coil === "outdoor-coil" && !HEAT_PUMPS.has(unitKind) ? { ...equipment, heats: false } : equipment;

/**
 * What a reading of a coil says of its load, as a grade; null where it says nothing of that.
 *
 * @example gradeOfCoil({ kind: "coil", value: "dusted" }) // "dusty"
 */
export const gradeOfCoil = ({ kind, value }: ReadingTaken): CoilGrade | null =>
  kind === "coil" ? (GRADE_OF_WORD[String(value)] ?? null) : null;

/**
 * What of a record the wear of a coil follows from: its own entries, and the cleanings of its machine.
 *
 * @example entriesOfCoil(snapshot([event("done", -3)]), { id: "coil", unitId: "furnace" }) // []
 */
export const entriesOfCoil = (
  { history }: Pick<HomeSnapshot, "history">,
  part: Part,
): HistoryEvent[] =>
  history.ofUnit(part.unitId).filter((event) => event.partId === part.id || isCleaned(event, part));

const lookOf = ({ date, reading }: HistoryEvent): WearLook[] => {
  const grade = reading && gradeOfCoil(reading);
  return grade ? [{ date, grade, pressureDropPa: undefined }] : [];
};

/** A coil in its machine. */
type Coiled = {
  part: Part;
  unit: Unit;
  coil: Coil;
  /** Of an indoor coil: the filter before it; null where there is none. */
  upstream: Upstream | null;
};

/** A coil as its wear is worked out: what surrounds it, and its time from one cleaning to the next. */
type CoilPlace = { context: PlaceContext; installedPeriods: InstalledPeriod[] };

/**
 * A coil with everything its wear follows from. It is taken to be clean on the day its machine was fitted, and
 * after each cleaning; before either is known it has no installed period.
 */
function coilPlaceOf(
  snapshot: HomeSnapshot,
  { part, unit, coil, upstream }: Coiled,
  today: PlainDate,
): CoilPlace {
  const { equipment, ...context } = contextOf(snapshot, part, today);
  const slot = wearSlotOf(coil, unit.kind, upstream);
  const entries = entriesOfCoil(snapshot, part);
  const cleaned = entries.filter((event) => isCleaned(event, part)).map(({ date }) => date);
  const first = unit.fittedOn && !cleaned.some((date) => date <= unit.fittedOn!);
  const starts = [...(first ? [unit.fittedOn!] : []), ...cleaned].map((date) => ({ date, slot }));
  return {
    context: { ...context, equipment: equipmentOf(equipment, coil, unit.kind) },
    installedPeriods: periodsBetween(
      starts,
      entries.flatMap((event) => lookOf(event)),
      [],
    ),
  };
}

/** How a coil stands today. */
export type CoilStatus = WearStatus & Coiled;

/**
 * How a coil stands on a day: how far it is loaded, and when it is matted; null for a part that is none, or
 * moves no air of a system.
 *
 * @example coilStatusOf(snapshot([]), { id: "p", unitId: "furnace", kind: "blower" }, today) // null
 */
export function coilStatusOf(
  snapshot: HomeSnapshot,
  part: Part,
  today: PlainDate,
): CoilStatus | null {
  const coil = coilOf(part);
  const unit = snapshot.units.find(({ id }) => id === part.unitId);
  if (!coil || !unit || !systemOf(snapshot, unit)) return null;
  const upstream = coil === "indoor-coil" ? upstreamOf(snapshot, part) : null;
  const coiled = { part, unit, coil, upstream };
  return { ...coiled, ...wearStatusOf(coilPlaceOf(snapshot, coiled, today), today) };
}

/** A coil behind a good filter mats in ten years: its sheet looks fifteen ahead. */
const SHEET_DAYS = 5475;
const COIL_WORDS = {
  place: "this coil",
  neverFitted: "Say when its machine was fitted, or when the coil was last cleaned.",
};

/** A strip of foam makes a gasket of a rail; where the gap itself is not known, by their shares of it. */
const tightened = (snapshot: HomeSnapshot, { slot, bypass }: Upstream): number =>
  fitOfSlot({ ...slot, seat: "gasket" }, systemOfSlot(snapshot, slot))?.bypass ??
  (bypass * LEAK_SHARE.gasket) / LEAK_SHARE[slot.seat];

const systemOfSlot = (snapshot: HomeSnapshot, { unitId }: FilterSlot) => {
  const unit = snapshot.units.find(({ id }) => id === unitId);
  return unit && systemOf(snapshot, unit);
};

/** A leak smaller than this is not worth a strip of foam, as a share of the air. Our choice. */
const WORTH_SEALING = 0.01;

/** What the sheet of a coil says: its days as far as fifteen years ahead, why, and what its filter's leak costs. */
export type CoilSheet = Explanation & {
  wear: WearNow | null;
  /** With a strip of foam about the filter; null where that gains nothing. */
  sealed: {
    /** Days in which a clean coil mats as it is, and behind the strip; null beyond fifteen years. */
    lasts: number | null;
    wouldLast: number | null;
    /** The load as it would be from today on. */
    points: Point[];
  } | null;
};

/**
 * Everything that the sheet of a coil says of its wear.
 *
 * @param wordsFor names a driver in the words of this home, for the causes
 * @example coilSheetOf(snapshot([]), { part: { id: "p", unitId: "furnace" }, context: { drivers: [] }, installedPeriods: [] }, today, () => "").wear // null
 */
export function coilSheetOf(
  snapshot: HomeSnapshot,
  status: CoilStatus,
  today: PlainDate,
  wordsFor: (driver: ScopedDriver) => string,
): CoilSheet {
  const far = wearStatusOf(status, today, SHEET_DAYS);
  const { wear } = far;
  const said = explain(snapshot, status.part, far, today, wordsFor, COIL_WORDS);
  const { upstream } = status;
  if (!wear || !upstream || upstream.bypass < WORTH_SEALING) return { ...said, wear, sealed: null };
  const bypass = tightened(snapshot, upstream);
  const { input } = wear;
  const tight = {
    ...input,
    slot: { ...input.slot, upstream: { rating: upstream.rating, bypass } },
  };
  const lifeOf = (of: WearInput) => {
    const belief = beliefAfter(input);
    const due = likelyDue({ ...of, belief, fittedOn: today, looks: [], reliefs: [] });
    return due && daysFrom(today, due);
  };
  const sealed = {
    lasts: lifeOf(input),
    wouldLast: lifeOf(tight),
    points: otherwise(input, tight),
  };
  return { ...said, wear, sealed: bypass < upstream.bypass ? sealed : null };
}
