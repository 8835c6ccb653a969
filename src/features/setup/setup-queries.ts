import "server-only";
import { differenceFromKelvin, fromCelsius } from "@/core/quantities/temperature";
import type { Level } from "@/core/register/register";
import { homeBook } from "@/db/home-book";

type Values = Record<string, string[]>;

const figure = (value: number) => String(Math.round(value * 10) / 10);

/** A home as its form shows it, in the home's own unit of temperature. */
export async function homeFieldsOf(homeId: string): Promise<Values | null> {
  const book = await homeBook(homeId);
  if (!book) return null;
  const { name, unitSystem, currency, timeZone, climate } = book.home;
  const unit = unitSystem === "us" ? "F" : "C";
  const degrees = (celsius: number) => figure(fromCelsius(celsius, unit));
  const ranges =
    typeof climate.dailyRangeC === "number" ? [climate.dailyRangeC] : climate.dailyRangeC;
  return {
    name: [name],
    unitSystem: [unitSystem],
    currency: [currency],
    timeZone: [timeZone],
    monthlyMean: [climate.monthlyMeanC.map(degrees).join(" ")],
    heatingDesign: [degrees(climate.heatingDesignC)],
    coolingDesign: [degrees(climate.coolingDesignMeanC)],
    dailyRange: [ranges.map((range) => figure(differenceFromKelvin(range, unit))).join(" ")],
  };
}

export async function levelsOf(homeId: string): Promise<Level[] | null> {
  return (await homeBook(homeId))?.levels ?? null;
}

/** A unit as its form shows it. */
export async function unitFieldsOf(homeId: string, unitId: string): Promise<Values | null> {
  const book = await homeBook(homeId);
  const unit = book?.units.find((each) => each.id === unitId);
  const system = book?.systems.find((each) => each.id === unit?.systemId);
  if (!unit || !system) return null;
  const { heats, cools, fan } = system.equipment;
  return {
    kind: [unit.kind],
    name: [unit.name],
    levelId: [unit.levelId],
    makeModel: [unit.makeModel ?? ""],
    access: [unit.access ?? ""],
    ...(heats ? { heats: ["on"] } : {}),
    ...(cools ? { cools: ["on"] } : {}),
    fanMode: [fan.mode],
    fanHours: [fan.hours === undefined ? "" : String(fan.hours)],
    shutOffKind: unit.shutOffs.map((off) => off.kind),
    shutOffPlace: unit.shutOffs.map((off) => off.place),
    shutOffPosition: unit.shutOffs.map((off) => off.offPosition ?? ""),
  };
}
