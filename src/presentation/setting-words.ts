import { asItShouldBe, type Setting } from "@/core/inventory/as-it-should-be";
import type { HomeSnapshot } from "@/core/history/home-snapshot";

/** A line of the sheet with the place it is about: “Hall thermostat”. */
export type SettingAt = Setting & { place: string };

/** The sheet of how things should be, in the order of the machines they belong to, the home’s own last. */
export function settingsAt({
  settings,
  units,
  parts,
}: Pick<HomeSnapshot, "settings" | "units" | "parts">): SettingAt[] {
  const all = asItShouldBe(settings);
  const at = (setting: Setting, place: string): SettingAt => ({ ...setting, place });
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
