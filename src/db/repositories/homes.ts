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

/** A home that is kept as it is and not shown: something in it cannot be read. */
export type UnreadableHome = { id: string; name: string; why: string };

/** Reading a home came upon something without a meaning; what it is stands in `why`. */
export class HomeUnreadable extends Error {
  constructor(
    readonly home: string,
    readonly why: string,
    cause: unknown,
  ) {
    super(`“${home}” cannot be read: ${why}`, { cause });
    this.name = "HomeUnreadable";
  }
}

/** Told by its name: Next keeps several instances of a module, and of each class in it. */
export const isHomeUnreadable = (error: unknown): error is HomeUnreadable =>
  error instanceof Error && error.name === "HomeUnreadable";

/** What can go wrong with the row of a home, part by part, each with its words. */
function inWords<T>(row: Row, why: string, read: () => T): T {
  try {
    return read();
  } catch (error) {
    throw new HomeUnreadable(row.name, why, error);
  }
}

type Row = typeof homes.$inferSelect;

/** @throws HomeUnreadable where its time zone or its climate cannot be made out */
function toHome(row: Row): Home {
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
    enteredOn: inWords(row, `nobody knows the time zone “${row.timeZone}”`, () =>
      dayIn(row.timeZone, Date.parse(row.createdAt)),
    ),
    climate: inWords(row, "its climate cannot be made out", () =>
      climateSchema.parse({
        monthlyMeanC: figures.parse(JSON.parse(row.monthlyMeanC)),
        heatingDesignC: row.heatingDesignC,
        coolingDesignMeanC: row.coolingDesignMeanC,
        dailyRangeC: JSON.parse(row.dailyRangeK),
        spreadC: row.spreadK,
      }),
    ),
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

const rowsInOrder = (db: Reader): Promise<Row[]> =>
  db.select().from(homes).where(isNull(homes.deletedAt)).orderBy(asc(homes.createdAt));

function readRow(row: Row): { home: Home } | { problem: UnreadableHome } {
  try {
    return { home: toHome(row) };
  } catch (error) {
    if (!isHomeUnreadable(error)) throw error;
    return { problem: { id: row.id, name: row.name, why: error.why } };
  }
}

/** Homes in the order they were entered; left out are deleted ones, and those that cannot be read. */
export async function listHomes(db: Reader): Promise<Home[]> {
  return (await rowsInOrder(db)).flatMap((row) => {
    const read = readRow(row);
    return "home" in read ? [read.home] : [];
  });
}

/** The homes that cannot be read, and why: they are kept as they are while the others open. */
export async function listUnreadable(db: Reader): Promise<UnreadableHome[]> {
  return (await rowsInOrder(db)).flatMap((row) => {
    const read = readRow(row);
    return "problem" in read ? [read.problem] : [];
  });
}

/** The name of a home, whether or not the rest of it can be read. */
export async function nameOfHome(db: Reader, id: string): Promise<string> {
  const rows = await db.select({ name: homes.name }).from(homes).where(eq(homes.id, id));
  return rows[0]?.name ?? "";
}

/** @throws HomeUnreadable where it is there and cannot be read */
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
