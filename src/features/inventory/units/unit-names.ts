import { inEnglish } from "@/content/english";
import { shortKindName, unitKind } from "@/content/unit-kinds";
import type { Level } from "@/core/inventory/inventory";
import { freeName } from "@/core/quantities/words";
import type { HomeSnapshot } from "@/core/history/home-snapshot";

export const nameFor = (kindId: string, snapshot: HomeSnapshot): string =>
  freeName(
    shortKindName(kindId),
    [...snapshot.units, ...snapshot.retired].map((unit) => unit.name),
  );

/** The level a machine of this kind usually stands on, of those the home has. */
export function levelFor(kindId: string, levels: readonly Level[]): Level {
  for (const word of unitKind(kindId).levels) {
    const names = [word, inEnglish("us", word)];
    const found = levels.find(
      ({ name, place }) =>
        place === word || names.some((each) => name.toLowerCase().includes(each)),
    );
    if (found) return found;
  }
  const ground = levels.find((level) => level.storey === 0) ?? levels[0];
  if (!ground) throw new Error("levelFor: the home has no level");
  return ground;
}

/** The form field of an attribute. */
export const attributeField = (key: string): string => `q-${key}`;
