import type { Contact, Home } from "@/core/inventory/inventory";
import "server-only";
import { degreesText, spanText } from "@/core/quantities/temperature";
import { listPhotosOfMains } from "@/server/snapshots/beside";
export { listHomes } from "@/server/snapshots/beside";
import { mainShelves, type MainShelves } from "./main-pictures";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";

type Values = Record<string, string[]>;

/** A home as its form shows it, in the home's own unit of temperature. */
export async function homeFieldsOf(homeId: string): Promise<Values | null> {
  const snapshot = await homeSnapshot(homeId);
  return snapshot && fieldsOfHome(snapshot.home, snapshot.contacts);
}

/** The pictures of the main shut-offs of a home that is there. */
export const mainShelvesOf = async (homeId: string): Promise<MainShelves> =>
  mainShelves(homeId, await listPhotosOfMains(homeId));

/** Whom to call, as the forms of a home and of its mains show it. */
function callFieldsOf(contacts: readonly Contact[]): Values {
  const technician = contacts.find(({ role }) => role === "technician");
  return {
    gasPhone: [contacts.find(({ role }) => role === "gas")?.phone ?? ""],
    technicianName: [technician?.name ?? ""],
    technicianPhone: [technician?.phone ?? ""],
  };
}

/** A home as its form shows it. */
export function fieldsOfHome(
  {
    name,
    unitSystem,
    currency,
    timeZone,
    climate,
    localRules,
    capacitorStrategy = "label",
    mains = {},
  }: Home,
  contacts: readonly Contact[],
): Values {
  const unit = unitSystem === "us" ? "F" : "C";
  const degrees = (celsius: number) => degreesText(celsius, unit);
  const ranges =
    typeof climate.dailyRangeC === "number" ? [climate.dailyRangeC] : climate.dailyRangeC;
  return {
    name: [name],
    unitSystem: [unitSystem],
    currency: [currency],
    // Most people know UTC by this name only; the form reads it back as the same zone.
    timeZone: [timeZone === "Etc/UTC" ? "UTC" : timeZone],
    localRules: [localRules ?? ""],
    capacitorStrategy: [capacitorStrategy],
    mainWater: [mains.water?.place ?? ""],
    mainWaterOff: [mains.water?.offPosition ?? ""],
    mainGas: [mains.gas?.place ?? ""],
    mainGasOff: [mains.gas?.offPosition ?? ""],
    mainPower: [mains.power?.place ?? ""],
    mainPowerOff: [mains.power?.offPosition ?? ""],
    ...callFieldsOf(contacts),
    monthlyMean: [climate.monthlyMeanC.map(degrees).join(" ")],
    heatingDesign: [degrees(climate.heatingDesignC)],
    coolingDesign: [degrees(climate.coolingDesignMeanC)],
    dailyRange: [ranges.map((range) => spanText(range, unit)).join(" ")],
  };
}
