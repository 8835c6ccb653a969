import { changesOf } from "@/core/history/replacement";
import "server-only";
import { readingFigure } from "@/core/readings/reading-units";
import { slotTitle } from "@/presentation/slot-words";
import { mediaFor, unitKind } from "@/content/unit-kinds";
import { moneyFigure } from "@/core/quantities/money";
import { ratingWords } from "@/core/quantities/rating";
import type { FilterSlot, Unit } from "@/core/inventory/inventory";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { MEDIA_KINDS, type Media } from "@/core/filters/media";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { WearInput } from "@/core/filters/wear-schema";
import { filterStatusesOf, homeSnapshot } from "@/server/snapshots/snapshot-cache";
import { whatIfOf } from "./what-if-of";
import { todayIn } from "@/lib/clock";

type Values = Record<string, string[]>;

export type SlotPage = {
  snapshot: HomeSnapshot;
  unit: Unit;
  slot: FilterSlot;
  today: PlainDate;
  media: readonly Media[];
  airflowM3h: number | undefined;
  /** What could sit there instead, and what its wear is asked with; null where nothing else could. */
  compared: { input: WearInput; media: readonly Media[] } | null;
};

const pageFacts = (snapshot: HomeSnapshot, unit: Unit) => ({
  today: todayIn(snapshot.home.timeZone),
  media: mediaFor(unit.kind, MEDIA_KINDS),
  airflowM3h: snapshot.systems.find((system) => system.id === unit.systemId)?.airflowM3h,
});

export async function slotPageOf(homeId: string, slotId: string): Promise<SlotPage | null> {
  const snapshot = await homeSnapshot(homeId);
  const slot = snapshot?.slots.find((each) => each.id === slotId);
  const unit = snapshot?.units.find((each) => each.id === slot?.unitId);
  if (!snapshot || !slot || !unit) return null;
  const facts = pageFacts(snapshot, unit);
  return { snapshot, unit, slot, ...facts, compared: comparedAt(snapshot, slot, facts.today) };
}

/** The filters that could sit in a slot, once one was seen fitted there. */
function comparedAt(snapshot: HomeSnapshot, slot: FilterSlot, today: PlainDate) {
  const status = filterStatusesOf(snapshot, today).find((each) => each.slot.id === slot.id);
  if (!status?.wear) return null;
  const { input, media } = whatIfOf(status, today);
  return media.length > 1 ? { input, media } : null;
}

/** A slot as its form shows it. */
export function slotFieldsOf({
  snapshot: book,
  slot,
}: Pick<SlotPage, "snapshot" | "slot">): Values {
  const { home } = book;
  return {
    name: [slot.name],
    slotPlace: [slot.slotPlace],
    roomId: [slot.roomId ?? ""],
    note: [slot.note ?? ""],
    ...(slot.cutToSize ? { cutToSize: ["on"] } : {}),
    seat: [slot.seat],
    cleanDrop: [
      slot.cleanDropPa === undefined
        ? ""
        : readingFigure("filter-drop", slot.cleanDropPa, home.unitSystem),
    ],
    indicatorReset: [slot.indicatorReset ?? ""],
    place: [slot.place ?? ""],
    nominal: [slot.nominal?.text ?? ""],
    measured: [slot.measured?.text ?? ""],
    opening: [slot.opening?.text ?? ""],
    filterCount: [String(slot.filterCount)],
    media: [slot.media],
    rating: [slot.rating ? ratingWords(slot.rating) : ""],
    airSide: [slot.airSide],
    direction: [slot.direction],
    directionMark: [slot.directionMark ?? ""],
    ...(slot.indicator ? { indicator: ["on"] } : {}),
    price: [slot.priceMinor === undefined ? "" : moneyFigure(slot.priceMinor, home.currency)],
    baseHours: [slot.baseHours === undefined ? "" : String(slot.baseHours)],
    maxAgeDays: [slot.maxAgeDays === undefined ? "" : String(slot.maxAgeDays)],
  };
}

export type NewSlotPage = Omit<SlotPage, "slot" | "compared"> & { fields: Values };

/** What a new slot of this unit usually is. */
export async function newSlotPageOf(homeId: string, unitId: string): Promise<NewSlotPage | null> {
  const snapshot = await homeSnapshot(homeId);
  const unit = snapshot?.units.find((each) => each.id === unitId);
  if (!snapshot || !unit) return null;
  const usual = unitKind(unit.kind).slots[0];
  const has = snapshot.slots.filter((slot) => slot.unitId === unit.id).length;
  return {
    snapshot,
    unit,
    ...pageFacts(snapshot, unit),
    fields: {
      name: [has === 0 ? (usual?.name ?? "Filter") : `Filter ${has + 1}`],
      slotPlace: [usual?.slotPlace ?? "in-the-machine"],
      filterCount: ["1"],
      media: [usual?.media ?? "pleated-25"],
      airSide: [usual?.airSide ?? "recirculated"],
      seat: ["rail"],
      direction: ["unknown"],
    },
  };
}

/** The filters one can look at, as choices. */
export async function slotChoicesOf(homeId: string) {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  return {
    today: todayIn(snapshot.home.timeZone),
    system: snapshot.home.unitSystem,
    slots: snapshot.slots.map((slot) => ({
      value: slot.id,
      cleanDropPa: slot.cleanDropPa,
      changedOn: changesOf(snapshot.history, slot.id),
      label: `${snapshot.units.find((unit) => unit.id === slot.unitId)?.name}: ${slotTitle(slot)}`,
    })),
  };
}

/** An entry of the record as its form shows it, where it still counts. */
export async function entryOf(homeId: string, eventId: string) {
  const snapshot = await homeSnapshot(homeId);
  const event = snapshot && snapshot.history.counted.find((each) => each.id === eventId);
  if (!snapshot || !event) return null;
  return {
    unitId: event.unitId,
    today: todayIn(snapshot.home.timeZone),
    isLook: event.kind === "look",
    isBreakdown: event.kind === "breakdown",
    fields: {
      date: [event.date],
      grade: event.look?.grade ? [event.look.grade] : [],
      words: [event.words ?? ""],
    },
  };
}
