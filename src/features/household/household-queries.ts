import "server-only";
import { DRIVER_WORDS } from "@/content/words";
import { dayAndMonth } from "@/core/quantities/words";
import type { FilterSlot, HomeBook, ScopedDriver } from "@/core/register/register";
import { homeBook } from "@/db/home-book";
import { todayIn } from "@/lib/clock";
import type { DriverRow } from "./components/driver-list";

type Values = Record<string, string[]>;

export type Household = {
  rows: DriverRow[];
  scopes: { value: string; label: string }[];
  /** The fields of the driver being changed, or of a new one. */
  fields: Values;
};

/** “Cellar furnace, filter” */
const slotPlace = (book: HomeBook, slot: FilterSlot): string =>
  `${book.units.find((unit) => unit.id === slot.unitId)?.name}, ${slot.name.toLowerCase()}`;

function scopeWords(book: HomeBook, driver: ScopedDriver): string | false {
  switch (driver.scope) {
    case "home":
      return false;
    case "system":
      return `at ${book.systems.find((system) => system.id === driver.systemId)?.name ?? "a removed system"}`;
    case "part": {
      const slot = book.slots.find((each) => each.id === driver.partId);
      return slot ? `only at ${slotPlace(book, slot)}` : "at a removed slot";
    }
  }
}

const scopeValue = (driver: ScopedDriver): string =>
  driver.scope === "home"
    ? "home"
    : driver.scope === "system"
      ? `system:${driver.systemId}`
      : `part:${driver.partId}`;

function fieldsOfDriver(driver: ScopedDriver): Values {
  return {
    kind: [driver.kind],
    scope: [scopeValue(driver)],
    count: [driver.count === undefined ? "" : String(driver.count)],
    fraction: [
      driver.fraction === undefined ? "" : String(Math.round(driver.fraction * 1000) / 10),
    ],
    from: [driver.from ?? ""],
    to: [driver.to ?? ""],
    label: [driver.label ?? ""],
  };
}

export async function householdOf(
  homeId: string,
  changing: string | null,
): Promise<Household | null> {
  const book = await homeBook(homeId);
  if (!book) return null;
  const today = todayIn(book.home.timeZone);
  const rows = book.drivers.map((driver): DriverRow => {
    const details = [
      driver.label && DRIVER_WORDS[driver.kind].name.toLowerCase(),
      driver.count !== undefined && String(driver.count),
      driver.fraction !== undefined && `${Math.round(driver.fraction * 1000) / 10} %`,
      scopeWords(book, driver),
      driver.from && `from ${dayAndMonth(driver.from, today)}`,
      driver.to && `to ${dayAndMonth(driver.to, today)}`,
    ];
    return {
      id: driver.id,
      name: driver.label ?? DRIVER_WORDS[driver.kind].name,
      details: details.filter(Boolean).join(", "),
    };
  });
  const changed = book.drivers.find((driver) => driver.id === changing);
  return {
    rows,
    scopes: [
      { value: "home", label: "in the whole home" },
      ...book.systems.map((system) => ({
        value: `system:${system.id}`,
        label: `at ${system.name}`,
      })),
      ...book.slots.map((slot) => ({
        value: `part:${slot.id}`,
        label: `only at ${slotPlace(book, slot)}`,
      })),
    ],
    fields: changed ? fieldsOfDriver(changed) : { kind: ["renovation"], scope: ["home"] },
  };
}
