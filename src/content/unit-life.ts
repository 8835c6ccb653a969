import type { UsualLife } from "@/core/money/unit-costs";
import type { UnitKindId } from "./unit-kinds";

/** How long machines usually last, years: general trade practice, docs/sources.md#machines. */
export const UNIT_LIFE: Partial<Record<UnitKindId, UsualLife>> = {
  "condensing-furnace": { min: 15, max: 20 },
  "metal-vent-furnace": { min: 16, max: 24 },
  "ducted-heat-pump": { min: 10, max: 16 },
  "split-cooling": { min: 12, max: 17 },
  "ductless-head": { min: 10, max: 15 },
  rooftop: { min: 12, max: 18 },
  ventilator: { min: 15, max: 20 },
  "exhaust-air-heater": { min: 12, max: 18 },
  "electrostatic-cleaner": { min: 12, max: 20 },
  "portable-purifier": { min: 5, max: 10 },
  "portable-cooler": { min: 5, max: 10 },
  "gas-room-heater": { min: 12, max: 20 },
  boiler: { min: 12, max: 20 },
  humidifier: { min: 10, max: 15 },
  thermostat: { min: 10, max: 15 },
  "co-alarm": { min: 5, max: 7 },
  "smoke-alarm": { min: 8, max: 10 },
  "smoke-co-alarm": { min: 5, max: 7 },
  "range-hood": { min: 10, max: 15 },
  "bath-fan": { min: 8, max: 12 },
  dehumidifier: { min: 5, max: 10 },
  "tank-water-heater": { min: 8, max: 12 },
};
