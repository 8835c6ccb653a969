import { listNos } from "@/server/snapshots/beside";
import "server-only";
import { HOUSEHOLD_WORDS } from "@/content/words";
import { dayAndMonth, inSentence } from "@/core/quantities/words";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { FilterSlot, HouseholdKind, ScopedDriver } from "@/core/inventory/inventory";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";
import { todayIn } from "@/lib/clock";

export type DriverRow = { id: string; name: string; details: string };

const KINDS = Object.keys(HOUSEHOLD_WORDS) as HouseholdKind[];

type Values = Record<string, string[]>;

export type Household = {
  rows: DriverRow[];
  scopes: { value: string; label: string }[];
  /** What was never asked here: neither there nor answered with no. */
  asks: { kind: HouseholdKind; words: string }[];
  /** What was answered with no. */
  nos: { kind: HouseholdKind; words: string }[];
  today: PlainDate;
  /** The fields of the driver being changed, or of a new one. */
  fields: Values;
};

/** “Cellar furnace, filter” */
const slotPlace = (snapshot: HomeSnapshot, slot: FilterSlot): string =>
  `${snapshot.units.find((unit) => unit.id === slot.unitId)?.name}, ${inSentence(slot.name)}`;

function scopeWords(snapshot: HomeSnapshot, driver: ScopedDriver): string | false {
  switch (driver.scope) {
    case "home":
      return false;
    case "room":
      return `in ${snapshot.rooms.find((room) => room.id === driver.roomId)?.name ?? "a removed room"}`;
    case "system":
      return `at ${snapshot.systems.find((system) => system.id === driver.systemId)?.name ?? "a removed system"}`;
    case "part": {
      const slot = snapshot.slots.find((each) => each.id === driver.partId);
      return slot ? `only at ${slotPlace(snapshot, slot)}` : "at a removed slot";
    }
  }
}

function scopeValue(driver: ScopedDriver): string {
  switch (driver.scope) {
    case "home":
      return "home";
    case "room":
      return `room:${driver.roomId}`;
    case "system":
      return `system:${driver.systemId}`;
    case "part":
      return `part:${driver.partId}`;
  }
}

/** A driver as its form shows it. */
export function fieldsOfDriver(driver: ScopedDriver): Values {
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
  begun: { kind?: string; scope?: string; percent?: string },
): Promise<Household | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const today = todayIn(snapshot.home.timeZone);
  const rows = snapshot.drivers.map((driver): DriverRow => {
    const details = [
      driver.label && HOUSEHOLD_WORDS[driver.kind].name.toLowerCase(),
      driver.count !== undefined && String(driver.count),
      driver.fraction !== undefined && `${Math.round(driver.fraction * 1000) / 10} %`,
      scopeWords(snapshot, driver),
      driver.from && `from ${dayAndMonth(driver.from, today)}`,
      driver.to && `to ${dayAndMonth(driver.to, today)}`,
    ];
    return {
      id: driver.id,
      name: driver.label ?? HOUSEHOLD_WORDS[driver.kind].name,
      details: details.filter(Boolean).join(", "),
    };
  });
  const changed = snapshot.drivers.find((driver) => driver.id === changing);
  const nos = await listNos(homeId);
  const has = (kind: HouseholdKind) => snapshot.drivers.some((driver) => driver.kind === kind);
  return {
    rows,
    scopes: [
      { value: "home", label: "in the whole home" },
      ...snapshot.rooms.map((room) => ({ value: `room:${room.id}`, label: `in ${room.name}` })),
      ...snapshot.systems
        .filter((system) => snapshot.units.some((unit) => unit.systemId === system.id))
        .map((system) => ({
          value: `system:${system.id}`,
          label: `at ${system.name}`,
        })),
      ...snapshot.slots.map((slot) => ({
        value: `part:${slot.id}`,
        label: `only at ${slotPlace(snapshot, slot)}`,
      })),
    ],
    asks: KINDS.flatMap((kind) => {
      const { ask } = HOUSEHOLD_WORDS[kind];
      return ask && !has(kind) && !nos.includes(kind) ? [{ kind, words: ask }] : [];
    }),
    nos: nos
      .filter((kind) => !has(kind))
      .map((kind) => ({ kind, words: HOUSEHOLD_WORDS[kind].name })),
    today,
    fields: changed
      ? fieldsOfDriver(changed)
      : {
          kind: [KINDS.find((kind) => kind === begun.kind) ?? "renovation"],
          scope: [begun.scope ?? "home"],
          fraction: [begun.percent ?? ""],
        },
  };
}
