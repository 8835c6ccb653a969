import { and, asc, eq, isNull, sql } from "drizzle-orm";
import { z } from "zod";
import { climateSchema } from "@/core/climate/climate";
import { dayIn } from "@/core/quantities/plain-date";
import type { Home, Level, Mains } from "@/core/inventory/inventory";
import type { Reader, Tx } from "../client";
import { withoutNulls, readJson } from "../columns";
import { homeNotices, homes, levels, registerNumber, weatherDays } from "../schema";

const figures = z.array(z.number());
const mainSchema = z.object({ place: z.string(), offPosition: z.string().optional() });
const mainsSchema = z
  .object({ water: mainSchema, gas: mainSchema, power: mainSchema })
  .partial()
  .catch({});

function mainsOf(column: string): { mains?: Mains } {
  const read = mainsSchema.parse(readJson(column));
  const mains = withoutNulls(read) as Mains;
  return Object.keys(mains).length > 0 ? { mains } : {};
}

function toHome(row: typeof homes.$inferSelect): Home {
  return {
    id: row.id,
    name: row.name,
    timeZone: row.timeZone,
    unitSystem: row.unitSystem,
    currency: row.currency,
    ...(row.localRules ? { localRules: row.localRules } : {}),
    ...mainsOf(row.mains),
    ...(row.capacitorStrategy === "label" || row.capacitorStrategy === "general"
      ? { capacitorStrategy: row.capacitorStrategy }
      : {}),
    ...(row.hourMinor === null ? {} : { hourMinor: row.hourMinor }),
    enteredOn: dayIn(row.timeZone, Date.parse(row.createdAt)),
    climate: climateSchema.parse({
      monthlyMeanC: figures.parse(JSON.parse(row.monthlyMeanC)),
      heatingDesignC: row.heatingDesignC,
      coolingDesignMeanC: row.coolingDesignMeanC,
      dailyRangeC: JSON.parse(row.dailyRangeK),
      spreadC: row.spreadK,
    }),
  };
}

const toRow = (home: Home) => ({
  name: home.name,
  timeZone: home.timeZone,
  unitSystem: home.unitSystem,
  currency: home.currency,
  monthlyMeanC: JSON.stringify(home.climate.monthlyMeanC),
  heatingDesignC: home.climate.heatingDesignC,
  coolingDesignMeanC: home.climate.coolingDesignMeanC,
  dailyRangeK: JSON.stringify(home.climate.dailyRangeC),
  spreadK: home.climate.spreadC,
  localRules: home.localRules ?? null,
  mains: JSON.stringify(home.mains ?? {}),
  hourMinor: home.hourMinor ?? null,
  capacitorStrategy: home.capacitorStrategy ?? null,
});

/** Homes in the order they were entered; the deleted ones are left out. */
export async function listHomes(db: Reader): Promise<Home[]> {
  const rows = await db
    .select()
    .from(homes)
    .where(isNull(homes.deletedAt))
    .orderBy(asc(homes.createdAt));
  return rows.map(toHome);
}

export async function findHome(db: Reader, id: string): Promise<Home | null> {
  const rows = await db
    .select()
    .from(homes)
    .where(and(eq(homes.id, id), isNull(homes.deletedAt)));
  return rows[0] ? toHome(rows[0]) : null;
}

export async function insertHome(tx: Tx, home: Home, createdAt: string): Promise<void> {
  await tx.insert(homes).values({ id: home.id, ...toRow(home), createdAt });
}

export async function updateHome(tx: Tx, home: Home): Promise<void> {
  await tx.update(homes).set(toRow(home)).where(eq(homes.id, home.id));
}

/** Takes a home out of sight, or brings it back with `at` null; nothing of it is lost. */
export async function markHomeDeleted(tx: Tx, id: string, at: string | null): Promise<void> {
  await tx.update(homes).set({ deletedAt: at }).where(eq(homes.id, id));
}

export async function listLevels(db: Reader, homeId: string): Promise<Level[]> {
  const rows = await db.select().from(levels).where(eq(levels.homeId, homeId));
  return rows
    .map(({ id, name, storey, place }) => ({ id, name, storey, place }))
    .sort((a, b) => b.storey - a.storey);
}

export async function insertLevel(tx: Tx, homeId: string, level: Level): Promise<void> {
  await tx.insert(levels).values({ ...level, homeId });
}

/** How often days were observed and written down. */
export async function observedVersion(db: Reader, homeId: string): Promise<number> {
  const rows = await db
    .select({ version: homes.observedVersion })
    .from(homes)
    .where(eq(homes.id, homeId));
  return rows[0]?.version ?? 0;
}

/** How often what homes consist of was changed; the record of what happened does not count. */
export async function registerNumberNow(db: Reader): Promise<number> {
  const rows = await db.select({ number: registerNumber.number }).from(registerNumber);
  return rows[0]?.number ?? 0;
}

/** How often a copy was put in the place of everything: it stands in the head of the file. */
export async function restoredNumber(db: Reader): Promise<number> {
  return Number((await db.get<{ user_version: number }>(sql`pragma user_version`)).user_version);
}

export async function listWeatherDays(db: Reader, homeId: string) {
  return db
    .select({ date: weatherDays.date, meanC: weatherDays.meanC })
    .from(weatherDays)
    .where(eq(weatherDays.homeId, homeId))
    .orderBy(asc(weatherDays.date));
}

/** Days already there keep their row and take the new value. */
export async function recordWeatherDays(
  tx: Tx,
  homeId: string,
  days: readonly { date: string; meanC: number }[],
): Promise<void> {
  for (const day of days)
    await tx
      .insert(weatherDays)
      .values({ homeId, ...day })
      .onConflictDoUpdate({
        target: [weatherDays.homeId, weatherDays.date],
        set: { meanC: day.meanC },
      });
  await tx
    .update(homes)
    .set({ observedVersion: sql`${homes.observedVersion} + 1` })
    .where(eq(homes.id, homeId));
}

/** What a home has not been told yet, by its kind. */
export async function listNotices(db: Reader, homeId: string): Promise<string[]> {
  const rows = await db
    .select({ kind: homeNotices.kind })
    .from(homeNotices)
    .where(and(eq(homeNotices.homeId, homeId), isNull(homeNotices.readAt)));
  return rows.map(({ kind }) => kind);
}

/** Writes down that a notice was read; one that was read before stays so. */
export async function markNoticeRead(
  tx: Tx,
  homeId: string,
  kind: string,
  readAt: string,
): Promise<void> {
  await tx
    .update(homeNotices)
    .set({ readAt })
    .where(
      and(eq(homeNotices.homeId, homeId), eq(homeNotices.kind, kind), isNull(homeNotices.readAt)),
    );
}
