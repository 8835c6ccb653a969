import { and, asc, eq, inArray, isNull, ne } from "drizzle-orm";
import { dayIn } from "@/core/quantities/plain-date";
import type { Rating, RatingScheme } from "@/core/quantities/rating";
import type { SizeMm } from "@/core/quantities/size";
import type { Direction } from "@/core/inventory/directions";
import type { FilterSlot, Item, Part, SlotPlace, TypedSize } from "@/core/inventory/inventory";
import { identitySchema, type Identity } from "@/core/inventory/identity";
import type { Attributes } from "@/core/inventory/attribute";
import type { Media } from "@/core/filters/media";
import type { Reader, Tx } from "../client";
import { withoutNulls, readAttributesColumn } from "../columns";
import { filterSlots, homes, items, parts, tasks, units } from "../schema";

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

/** In the column of attributes, so that they are found by; no kind asks anything by such a key. */
const IDENTITY = "identity.";
const isOfIdentity = ([key]: [string, unknown]): boolean => key.startsWith(IDENTITY);
const YES = "yes";

function identityIn(answers: Attributes): { identity?: Identity } {
  const stored = Object.entries(answers)
    .filter(isOfIdentity)
    .map(([key, value]) => [key.slice(IDENTITY.length), value] as const);
  const read = Object.fromEntries(
    stored.map(([key, value]) => [key, key === "warrantyRegistered" ? value === YES : value]),
  );
  const identity = identitySchema.safeParse(read);
  return stored.length > 0 && identity.success ? { identity: identity.data } : {};
}

const answersOf = (attributes: Attributes, identity: Identity = {}): { answers: string } => ({
  answers: JSON.stringify({
    ...attributes,
    ...Object.fromEntries(
      Object.entries(identity).flatMap(([key, value]) =>
        value === undefined
          ? []
          : [[IDENTITY + key, value === true ? YES : value === false ? "no" : value]],
      ),
    ),
  }),
});

function toSlot(
  part: typeof parts.$inferSelect,
  slot: typeof filterSlots.$inferSelect,
): FilterSlot {
  return {
    id: part.id,
    unitId: part.unitId,
    name: part.name,
    slotPlace: slot.slotPlace as SlotPlace,
    media: slot.media as Media,
    ...ratingOf(slot.ratingScheme, slot.ratingClass),
    ...identityIn(readAttributesColumn(part.answers)),
    airSide: slot.airSide,
    filterCount: slot.filterCount,
    direction: slot.direction as Direction,
    cutToSize: slot.cutToSize,
    seat: slot.seat,
    indicator: slot.indicator,
    ...withoutNulls({
      place: part.place,
      roomId: part.roomId,
      note: part.note,
      nominal: nominalOf(slot),
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
      indicatorReset: slot.indicatorReset,
      acrossMm: slot.acrossMm,
      cleanDropPa: slot.cleanDropPa,
      priceMinor: slot.priceMinor,
      baseHours: slot.baseHours,
      maxAgeDays: slot.maxAgeDays,
    }),
  };
}

function nominalOf({
  nominalText: text,
  nominalUnit: unit,
  nominalWidthMm: w,
  nominalHeightMm: h,
  nominalDepthMm: d,
}: typeof filterSlots.$inferSelect): FilterSlot["nominal"] | null {
  return text === null || unit === null || w === null || h === null
    ? null
    : { text, unit, mm: sizeOf(w, h, d) };
}

function toRow(slot: FilterSlot) {
  return {
    slotPlace: slot.slotPlace,
    media: slot.media,
    ratingScheme: slot.rating?.scheme ?? null,
    ratingClass: slot.rating?.class ?? null,
    airSide: slot.airSide,
    filterCount: slot.filterCount,
    nominalText: slot.nominal?.text ?? null,
    nominalUnit: slot.nominal?.unit ?? null,
    nominalWidthMm: slot.nominal?.mm.w ?? null,
    nominalHeightMm: slot.nominal?.mm.h ?? null,
    nominalDepthMm: slot.nominal?.mm.d ?? null,
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
    cutToSize: slot.cutToSize,
    seat: slot.seat,
    indicator: slot.indicator,
    indicatorReset: slot.indicatorReset ?? null,
    acrossMm: slot.acrossMm ?? null,
    cleanDropPa: slot.cleanDropPa ?? null,
    priceMinor: slot.priceMinor ?? null,
    baseHours: slot.baseHours ?? null,
    maxAgeDays: slot.maxAgeDays ?? null,
  };
}

const SLOT = "filter-slot";

/** The filter slots of a home's units, in the order they were entered. */
export async function listSlots(db: Reader, homeId: string): Promise<FilterSlot[]> {
  const rows = await db
    .select({ part: parts, slot: filterSlots })
    .from(parts)
    .innerJoin(filterSlots, eq(filterSlots.partId, parts.id))
    .innerJoin(units, eq(units.id, parts.unitId))
    .where(and(eq(units.homeId, homeId), isNull(units.deletedAt), isNull(parts.deletedAt)))
    .orderBy(asc(parts.createdAt), asc(parts.id));
  return rows.map(({ part, slot }) => toSlot(part, slot));
}

/** Every part of a home's units but the filter slots, in the order they were entered. */
export async function listParts(db: Reader, homeId: string): Promise<Part[]> {
  const rows = await db
    .select({ part: parts, timeZone: homes.timeZone })
    .from(parts)
    .innerJoin(units, eq(units.id, parts.unitId))
    .innerJoin(homes, eq(homes.id, units.homeId))
    .where(
      and(
        eq(units.homeId, homeId),
        ne(parts.kind, SLOT),
        isNull(units.deletedAt),
        isNull(parts.deletedAt),
      ),
    )
    .orderBy(asc(parts.createdAt), asc(parts.id));
  return rows.map(
    ({ part: { id, unitId, kind, name, place, roomId, note, ...rest }, timeZone }) => {
      const answers = readAttributesColumn(rest.answers);
      return {
        id,
        unitId,
        kind,
        name,
        attributes: Object.fromEntries(
          Object.entries(answers).filter((entry) => !isOfIdentity(entry)),
        ),
        ...identityIn(answers),
        enteredOn: dayIn(timeZone, Date.parse(rest.createdAt)),
        ...withoutNulls({ place, roomId, note }),
      };
    },
  );
}

export async function homeOfPart(db: Reader, partId: string): Promise<string | null> {
  const rows = await db
    .select({ homeId: units.homeId })
    .from(parts)
    .innerJoin(units, eq(units.id, parts.unitId))
    .where(eq(parts.id, partId));
  return rows[0]?.homeId ?? null;
}

const ownRow = ({ name, place, roomId, note }: Omit<Part, "kind" | "attributes">) => ({
  name,
  place: place ?? null,
  roomId: roomId ?? null,
  note: note ?? null,
});

export async function insertSlot(tx: Tx, slot: FilterSlot, createdAt: string): Promise<void> {
  const { id, unitId } = slot;
  const row = { ...ownRow(slot), ...answersOf({}, slot.identity) };
  await tx.insert(parts).values({ id, unitId, kind: SLOT, ...row, createdAt });
  await tx.insert(filterSlots).values({ partId: id, ...toRow(slot) });
}

export async function updateSlot(tx: Tx, slot: FilterSlot): Promise<void> {
  const row = { ...ownRow(slot), ...answersOf({}, slot.identity) };
  await tx.update(parts).set(row).where(eq(parts.id, slot.id));
  await tx.update(filterSlots).set(toRow(slot)).where(eq(filterSlots.partId, slot.id));
}

export async function insertPart(tx: Tx, part: Part, createdAt: string): Promise<void> {
  const { id, unitId, kind, attributes, identity } = part;
  const row = { ...ownRow(part), ...answersOf(attributes, identity) };
  await tx.insert(parts).values({ id, unitId, kind, ...row, createdAt });
}

export async function updatePart(tx: Tx, part: Part): Promise<void> {
  await tx
    .update(parts)
    .set({ ...ownRow(part), kind: part.kind, ...answersOf(part.attributes, part.identity) })
    .where(eq(parts.id, part.id));
}

/** Hands parts over to another unit: what was recorded at them stays with them. */
export async function movePartsToUnit(
  tx: Tx,
  partIds: readonly string[],
  unitId: string,
): Promise<void> {
  if (partIds.length === 0) return;
  await tx
    .update(parts)
    .set({ unitId })
    .where(inArray(parts.id, [...partIds]));
  await tx
    .update(tasks)
    .set({ unitId })
    .where(inArray(tasks.partId, [...partIds]));
}

export async function markPartDeleted(tx: Tx, id: string, at: string | null): Promise<void> {
  await tx.update(parts).set({ deletedAt: at }).where(eq(parts.id, id));
}

const toItem = (row: typeof items.$inferSelect): Item => ({
  id: row.id,
  partId: row.partId,
  media: row.media as Media,
  sizeText: row.sizeText,
  ...ratingOf(row.ratingScheme, row.ratingClass),
  ...(row.priceMinor === null ? {} : { priceMinor: row.priceMinor }),
});

export async function listItems(db: Reader, ids: readonly string[]): Promise<Item[]> {
  if (ids.length === 0) return [];
  const rows = await db
    .select()
    .from(items)
    .where(inArray(items.id, [...ids]));
  return rows.map(toItem);
}

export async function listItemsOfHome(db: Reader, homeId: string): Promise<Item[]> {
  const rows = await db
    .select({ item: items })
    .from(items)
    .innerJoin(parts, eq(parts.id, items.partId))
    .innerJoin(units, eq(units.id, parts.unitId))
    .where(eq(units.homeId, homeId));
  return rows.map(({ item }) => toItem(item));
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
