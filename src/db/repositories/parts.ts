import { and, asc, eq, inArray, isNull } from "drizzle-orm";
import type { Rating, RatingScheme } from "@/core/quantities/rating";
import type { SizeMm } from "@/core/quantities/size";
import type { Direction, FilterSlot, Item, TypedSize } from "@/core/register/register";
import type { Media } from "@/core/wear/media";
import type { Reader, Tx } from "../client";
import { filterSlots, items, parts, units } from "../schema";

const ratingOf = (scheme: string | null, name: string | null): { rating?: Rating } =>
  scheme === null || name === null
    ? {}
    : { rating: { scheme: scheme as RatingScheme, class: name } };

const sizeOf = (w: number, h: number, d: number | null): SizeMm => ({
  w,
  h,
  ...(d === null ? {} : { d }),
});

const typedSize = (
  text: string | null,
  w: number | null,
  h: number | null,
  d: number | null,
): TypedSize | undefined =>
  text === null || w === null || h === null ? undefined : { text, mm: sizeOf(w, h, d) };

/** Drops the keys that hold nothing, so that a row and a form give the same plain data. */
function known<T extends object>(record: T): { [K in keyof T]: NonNullable<T[K]> } {
  return Object.fromEntries(
    Object.entries(record).filter(([, value]) => value !== null && value !== undefined),
  ) as { [K in keyof T]: NonNullable<T[K]> };
}

function toSlot(
  part: typeof parts.$inferSelect,
  slot: typeof filterSlots.$inferSelect,
): FilterSlot {
  return {
    id: part.id,
    unitId: part.unitId,
    name: part.name,
    media: slot.media as Media,
    ...ratingOf(slot.ratingScheme, slot.ratingClass),
    airSide: slot.airSide,
    filterCount: slot.filterCount,
    nominal: {
      text: slot.nominalText,
      unit: slot.nominalUnit,
      mm: sizeOf(slot.nominalWidthMm, slot.nominalHeightMm, slot.nominalDepthMm),
    },
    direction: slot.direction as Direction,
    indicator: slot.indicator,
    ...known({
      place: part.place,
      measured: typedSize(
        slot.measuredText,
        slot.measuredWidthMm,
        slot.measuredHeightMm,
        slot.measuredDepthMm,
      ),
      opening: typedSize(
        slot.openingText,
        slot.openingWidthMm,
        slot.openingHeightMm,
        slot.openingDepthMm,
      ),
      directionMark: slot.directionMark,
      priceMinor: slot.priceMinor,
      baseHours: slot.baseHours,
      maxAgeDays: slot.maxAgeDays,
    }),
  };
}

function toRow(slot: FilterSlot) {
  return {
    media: slot.media,
    ratingScheme: slot.rating?.scheme ?? null,
    ratingClass: slot.rating?.class ?? null,
    airSide: slot.airSide,
    filterCount: slot.filterCount,
    nominalText: slot.nominal.text,
    nominalUnit: slot.nominal.unit,
    nominalWidthMm: slot.nominal.mm.w,
    nominalHeightMm: slot.nominal.mm.h,
    nominalDepthMm: slot.nominal.mm.d ?? null,
    measuredText: slot.measured?.text ?? null,
    measuredWidthMm: slot.measured?.mm.w ?? null,
    measuredHeightMm: slot.measured?.mm.h ?? null,
    measuredDepthMm: slot.measured?.mm.d ?? null,
    openingText: slot.opening?.text ?? null,
    openingWidthMm: slot.opening?.mm.w ?? null,
    openingHeightMm: slot.opening?.mm.h ?? null,
    openingDepthMm: slot.opening?.mm.d ?? null,
    direction: slot.direction,
    directionMark: slot.directionMark ?? null,
    indicator: slot.indicator,
    priceMinor: slot.priceMinor ?? null,
    baseHours: slot.baseHours ?? null,
    maxAgeDays: slot.maxAgeDays ?? null,
  };
}

/** The filter slots of a home's units, in the order they were entered. */
export async function listSlots(db: Reader, homeId: string): Promise<FilterSlot[]> {
  const rows = await db
    .select({ part: parts, slot: filterSlots })
    .from(parts)
    .innerJoin(filterSlots, eq(filterSlots.partId, parts.id))
    .innerJoin(units, eq(units.id, parts.unitId))
    .where(and(eq(units.homeId, homeId), isNull(units.deletedAt), isNull(parts.deletedAt)))
    .orderBy(asc(parts.createdAt));
  return rows.map(({ part, slot }) => toSlot(part, slot));
}

export async function homeOfPart(db: Reader, partId: string): Promise<string | null> {
  const rows = await db
    .select({ homeId: units.homeId })
    .from(parts)
    .innerJoin(units, eq(units.id, parts.unitId))
    .where(eq(parts.id, partId));
  return rows[0]?.homeId ?? null;
}

export async function insertSlot(tx: Tx, slot: FilterSlot, createdAt: string): Promise<void> {
  const { id, unitId, name, place } = slot;
  await tx.insert(parts).values({ id, unitId, kind: "filter-slot", name, place, createdAt });
  await tx.insert(filterSlots).values({ partId: id, ...toRow(slot) });
}

export async function updateSlot(tx: Tx, slot: FilterSlot): Promise<void> {
  await tx
    .update(parts)
    .set({ name: slot.name, place: slot.place ?? null })
    .where(eq(parts.id, slot.id));
  await tx.update(filterSlots).set(toRow(slot)).where(eq(filterSlots.partId, slot.id));
}

export async function markPartDeleted(tx: Tx, id: string, at: string | null): Promise<void> {
  await tx.update(parts).set({ deletedAt: at }).where(eq(parts.id, id));
}

export async function listItems(db: Reader, partIds: readonly string[]): Promise<Item[]> {
  if (partIds.length === 0) return [];
  const rows = await db
    .select()
    .from(items)
    .where(inArray(items.partId, [...partIds]));
  return rows.map((row) => ({
    id: row.id,
    partId: row.partId,
    media: row.media as Media,
    sizeText: row.sizeText,
    ...ratingOf(row.ratingScheme, row.ratingClass),
    ...(row.priceMinor === null ? {} : { priceMinor: row.priceMinor }),
  }));
}

export async function insertItem(tx: Tx, item: Item): Promise<void> {
  const { id, partId, media, rating, sizeText, priceMinor } = item;
  await tx.insert(items).values({
    id,
    partId,
    media,
    ratingScheme: rating?.scheme,
    ratingClass: rating?.class,
    sizeText,
    priceMinor,
  });
}
