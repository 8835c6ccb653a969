import type { TaskDefinition } from "@/core/scheduling/task";
import type { UnitKindId } from "../unit-kinds";
import { BEFORE_COOLING, BEFORE_HEATING, every, job, led, season, yearly } from "./define";

const FURNACE: readonly TaskDefinition[] = [
  job("look", "Look the furnace over", BEFORE_HEATING, "confident", 25, {
    alsoDoes: ["belt:look", "metal-vent:look"],
    ...led("look-furnace-over"),
  }),
  job("visit", "Have it serviced", BEFORE_HEATING, "licensed", 60, led("technician-visit")),
];
const COOLING_VISIT = job("visit", "Have it serviced", BEFORE_COOLING, "licensed", 45, {
  waiting: 15,
  ...led("technician-visit"),
});
const COOLING_TEST = job("test", "Try the cooling", season("firstWarmDay"), "owner", 5, {
  waiting: 15,
  ...led("cooling-test"),
});

/**
 * What is done on a visit is what was ticked there: a service counts for no test of a part by itself, or the
 * two-yearly ones would never fall due.
 */
export const UNIT_TASKS: Partial<Record<UnitKindId, readonly TaskDefinition[]>> = {
  "condensing-furnace": FURNACE,
  "metal-vent-furnace": FURNACE,
  "ducted-heat-pump": [
    COOLING_TEST,
    COOLING_VISIT,
    job("visit-heating", "Have it serviced for the winter", BEFORE_HEATING, "licensed", 45, {
      waiting: 15,
      ...led("technician-visit"),
    }),
  ],
  "split-cooling": [COOLING_TEST, COOLING_VISIT],
  "ductless-head": [
    job("deep-clean", "Have it cleaned through", every(2, "year"), "licensed", 90, {
      waiting: 30,
      alsoDoes: ["evaporator-coil:look", "evaporator-coil:clean", "head-drain:flush"],
      ...led("deep-clean-head"),
    }),
    job("lay-up", "Lay it up for a long idle time", season("coolingEnd", 14), "owner", 5, {
      waiting: 180,
      whereWanted: true,
      ...led("lay-up-heat-pump"),
    }),
    job("wake", "Wake it from its idle time", season("coolingStart", -7), "owner", 10, {
      waiting: 15,
      whereWanted: true,
      ...led("wake-heat-pump"),
    }),
  ],
  rooftop: [
    job("visit", "Have it serviced", every(3, "month"), "licensed", 60, {
      waiting: 10,
      ...led("service-rooftop"),
    }),
  ],
  "gas-room-heater": [
    job("visit", "Have its burner and gas side checked", BEFORE_HEATING, "licensed", 30, {
      safety: true,
      ...led("technician-visit"),
    }),
  ],
  boiler: [
    job("visit", "Have it serviced", BEFORE_HEATING, "licensed", 60, led("technician-visit")),
    job(
      "flush",
      "Have it flushed before a new boiler",
      { kind: "age", minYears: 12, maxYears: 18 },
      "licensed",
      180,
      { waiting: 60, onlyWhen: true, ...led("flush-before-new-boiler") },
    ),
  ],
  ducts: [
    job(
      "registers",
      "Count registers, free the returns",
      every(6, "month"),
      "owner",
      20,
      led("count-registers"),
    ),
    job("boots", "Wash registers, vacuum their boots", yearly, "owner", 40, {
      waiting: 20,
      ...led("wash-registers"),
    }),
  ],
  "bath-fan": [
    job(
      "test",
      "Does the fan draw? Vacuum its grille",
      every(6, "month"),
      "owner",
      15,
      led("test-bath-fan"),
    ),
  ],
  "smoke-alarm": [
    job("dust", "Vacuum its slots and test it", yearly, "owner", 5, {
      safety: true,
      ...led("dust-smoke-alarm"),
    }),
    job("replace", "Replace the alarm", { kind: "age", minYears: 8, maxYears: 10 }, "owner", 10, {
      safety: true,
      ...led("replace-alarm"),
    }),
  ],
  // The carbon monoxide in it is spent first: it goes by that.
  "smoke-co-alarm": [
    job("dust", "Vacuum its slots, test smoke and CO", yearly, "owner", 5, {
      safety: true,
      ...led("dust-smoke-alarm"),
    }),
    job("replace", "Replace the alarm", { kind: "age", minYears: 5, maxYears: 7 }, "owner", 10, {
      safety: true,
      ...led("replace-alarm"),
    }),
  ],
  "co-alarm": [
    job("replace", "Replace the alarm", { kind: "age", minYears: 5, maxYears: 7 }, "owner", 10, {
      safety: true,
      ...led("replace-alarm"),
    }),
  ],
};
