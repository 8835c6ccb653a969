import { asItShouldBe, type Setting } from "@/core/inventory/as-it-should-be";
import { keyOfEnd } from "@/core/runs/run-ends";
import type { HomeSnapshot } from "@/core/history/home-snapshot";

/** A line of the sheet with the place it is about: “Hall thermostat”. */
export type SettingAt = Setting & {
  place: string;
  /** It is laid by for a season, and otherwise meanwhile. */
  isParked: boolean;
};

/**
 * The sheet of how things should be, in the order of the machines they belong to, the home’s own last.
 *
 * @param parked what is laid by for a season, by the names of its ends
 */
export function settingsAt(
  { settings, units, parts }: Pick<HomeSnapshot, "settings" | "units" | "parts">,
  parked: readonly { unit: string; id: string }[],
): SettingAt[] {
  const all = asItShouldBe(settings);
  const at = (setting: Setting, place: string): SettingAt => ({
    ...setting,
    place,
    isParked: parked.some(
      ({ unit, id }) => unit === setting.unitId && keyOfEnd(id) === setting.key,
    ),
  });
  return [
    ...units.flatMap((unit) =>
      all
        .filter(({ unitId }) => unitId === unit.id)
        .map((setting) => {
          const part = parts.find(({ id }) => id === setting.partId);
          const isNamed = part?.name.toLowerCase() === setting.label.toLowerCase();
          return at(setting, part && !isNamed ? `${unit.name}, ${part.name}` : unit.name);
        }),
    ),
    ...all.filter(({ unitId }) => unitId === undefined).map((setting) => at(setting, "The home")),
  ];
}
