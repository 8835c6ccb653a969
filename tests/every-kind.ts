import type { Demo } from "../demo/demo-homes";
import { partKind } from "../src/content/part-kinds";
import { UNIT_KINDS } from "../src/content/unit-kinds";
import { equipmentSchema } from "../src/core/climate/run-hours";
import type { UnitSystem } from "../src/core/quantities/length";
import { snapshot } from "./small-home";

/** A home with a machine of every kind there is, all the filters and parts each may have, and an empty record. */
export function everyKind(id: string, unitSystem: UnitSystem): Demo {
  const home = snapshot([]);
  const levels = [
    { id: `${id}-inside`, name: "Inside", storey: 0, place: "inside" },
    { id: `${id}-yard`, name: "Yard", storey: 0, place: "outdoors" },
  ] as const;
  const units = UNIT_KINDS.map(({ id: kind, name, shutOffs }) => ({
    id: `${id}-${kind}`,
    levelId: levels[0].id,
    systemId: `${id}-air-${kind}`,
    kind,
    name,
    attributes: {},
    shutOffs: shutOffs.map((off) => ({ id: `${id}-${kind}-${off}`, kind: off, place: "" })),
  }));
  return {
    snapshot: {
      ...home,
      home: { ...home.home, id, name: "Every kind", unitSystem },
      levels: [...levels],
      systems: UNIT_KINDS.map(({ id: kind, name, ducted, equipment }) => ({
        id: `${id}-air-${kind}`,
        name,
        ducted,
        equipment: equipmentSchema.parse(equipment),
      })),
      units,
      slots: UNIT_KINDS.flatMap(({ id: kind, slots }) =>
        slots.map(({ name, media, airSide, slotPlace }, i) => ({
          id: `${id}-${kind}-slot-${i}`,
          unitId: `${id}-${kind}`,
          name,
          slotPlace,
          cutToSize: false,
          seat: "open",
          media,
          airSide,
          filterCount: 1,
          direction: "unknown",
          indicator: false,
        })),
      ),
      parts: UNIT_KINDS.flatMap(({ id: kind, parts }) =>
        parts.map((part) => ({
          id: `${id}-${kind}-${part.kind}`,
          unitId: `${id}-${kind}`,
          kind: part.kind,
          name: partKind(part.kind).name,
          attributes: {},
        })),
      ),
    },
    runs: [],
    photos: [],
  };
}
