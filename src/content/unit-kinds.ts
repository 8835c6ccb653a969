import type { Equipment } from "@/core/climate/run-hours";
import type { ShutOffKind } from "@/core/register/register";
import type { Media } from "@/core/wear/media";
import type { AirSide } from "@/core/wear/drivers";

export type UnitFigure = "furnace" | "rooftop" | "box" | "head" | "ventilator" | "cylinder";

export type UnitKind = {
  id: string;
  name: string;
  /** Said under the name where one chooses. */
  hint: string;
  figure: UnitFigure;
  ducted: boolean;
  equipment: Pick<Equipment, "heats" | "cools" | "fan"> & { heatBalanceC?: number };
  media: Media[];
  airSide: AirSide;
  shutOff: ShutOffKind;
};

const auto = { mode: "auto", hours: undefined, level: undefined } as const;
/** A fan that runs day and night. */
const always = (level: number) => ({ mode: "continuous", hours: undefined, level }) as const;

/** The machines a filter can be entered for. */
export const UNIT_KINDS = [
  {
    id: "condensing-furnace",
    name: "Furnace, condensing",
    hint: "plastic vent, makes water",
    figure: "furnace",
    ducted: true,
    equipment: { heats: true, cools: false, fan: auto },
    media: [
      "pleated-25",
      "pleated-50",
      "pleated-100",
      "pleated-125",
      "fibreglass-25",
      "washable-panel",
    ],
    airSide: "recirculated",
    shutOff: "switch",
  },
  {
    id: "metal-vent-furnace",
    name: "Furnace, metal vent",
    hint: "the vent pipe gets hot",
    figure: "furnace",
    ducted: true,
    equipment: { heats: true, cools: false, fan: auto },
    media: [
      "pleated-25",
      "pleated-50",
      "pleated-100",
      "pleated-125",
      "fibreglass-25",
      "washable-panel",
    ],
    airSide: "recirculated",
    shutOff: "switch",
  },
  {
    id: "ducted-heat-pump",
    name: "Heat pump, ducted",
    hint: "an air handler with a filter indoors",
    figure: "furnace",
    ducted: true,
    equipment: { heats: true, cools: true, fan: auto },
    media: [
      "pleated-25",
      "pleated-50",
      "pleated-100",
      "pleated-125",
      "fibreglass-25",
      "washable-panel",
    ],
    airSide: "recirculated",
    shutOff: "breaker",
  },
  {
    id: "rooftop",
    name: "Packaged rooftop unit",
    hint: "heats and cools from the roof",
    figure: "rooftop",
    ducted: true,
    equipment: { heats: true, cools: true, fan: auto },
    media: ["pleated-50", "pleated-25", "pleated-100"],
    airSide: "recirculated",
    shutOff: "disconnect",
  },
  {
    id: "ductless-head",
    name: "Heat pump, ductless",
    hint: "an indoor head with a mesh behind its front",
    figure: "head",
    ducted: false,
    equipment: { heats: true, cools: true, fan: auto },
    media: ["head-mesh"],
    airSide: "recirculated",
    shutOff: "breaker",
  },
  {
    id: "ventilator",
    name: "Ventilator with heat recovery",
    hint: "runs all year, fresh air in and stale air out",
    figure: "ventilator",
    ducted: true,
    equipment: { heats: false, cools: false, fan: always(1) },
    media: ["vent-coarse", "vent-fine"],
    airSide: "outdoor",
    shutOff: "switch",
  },
  {
    id: "portable-purifier",
    name: "Portable air purifier",
    hint: "a cylinder in the room",
    figure: "cylinder",
    ducted: false,
    equipment: { heats: false, cools: false, fan: always(0.5) },
    media: ["carbon-prefilter", "hepa-cylinder"],
    airSide: "recirculated",
    shutOff: "plug",
  },
] as const satisfies readonly UnitKind[];

export function unitKind(id: string): UnitKind {
  return UNIT_KINDS.find((kind) => kind.id === id) ?? UNIT_KINDS[0];
}
