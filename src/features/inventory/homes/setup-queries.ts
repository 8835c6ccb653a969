import type { Home } from "@/core/inventory/inventory";
import "server-only";
import { degreesText, spanText } from "@/core/quantities/temperature";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";

type Values = Record<string, string[]>;

/** A home as its form shows it, in the home's own unit of temperature. */
export async function homeFieldsOf(homeId: string): Promise<Values | null> {
  const snapshot = await homeSnapshot(homeId);
  return snapshot && fieldsOfHome(snapshot.home);
}

/** A home as its form shows it. */
export function fieldsOfHome({
  name,
  unitSystem,
  currency,
  timeZone,
  climate,
  localRules,
  capacitorStrategy = "label",
  mains = {},
}: Home): Values {
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
    monthlyMean: [climate.monthlyMeanC.map(degrees).join(" ")],
    heatingDesign: [degrees(climate.heatingDesignC)],
    coolingDesign: [degrees(climate.coolingDesignMeanC)],
    dailyRange: [ranges.map((range) => spanText(range, unit)).join(" ")],
  };
}
