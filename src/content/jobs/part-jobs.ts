import type { Attributes } from "@/core/inventory/attribute";
import type { TaskDefinition } from "@/core/scheduling/task";
import type { Trigger } from "@/core/scheduling/trigger";
import { CLEAN_DUCTS, DRIFTING_OUT } from "../keys";
import type { PartKindId } from "../part-kinds";
import type { UnitKindId } from "../unit-kinds";
import {
  after,
  BEFORE_COOLING,
  BEFORE_HEATING,
  earliest,
  every,
  job,
  led,
  onReading,
  season,
  WEAR,
  yearly,
} from "./define";

/** How soon a coil is looked at once building work has ended, and ducts are thought of, days. */
const COIL_AFTER_WORKS_DAYS = 14;
const DUCTS_AFTER_WORKS_DAYS = 30;

/** A portable cooler is woken a week before the heat, and brushed on the same morning, days. */
const WAKING = -7;
const RIGHT_BEFORE_WAKING = WAKING - 1;

/** A line is flushed while its machine makes water. */
const flushLine = (trigger: Trigger): TaskDefinition =>
  job("flush", "Brush and flush the line", trigger, "owner", 20, {
    settles: ["drain"],
    alsoDoes: ["condensate-line:clear"],
    ...led("flush-condensate-line"),
  });

const CLEAR_LINE = job("clear", "Clear the blocked line", onReading("drain"), "owner", 30, {
  onlyWhen: true,
  alsoDoes: ["condensate-line:flush"],
  ...led("flush-condensate-line"),
});

function brushDryerDuct(trigger: Trigger): TaskDefinition {
  return job("brush", "Brush out the dryer’s duct", trigger, "owner", 30, {
    safety: true,
    ...led("brush-dryer-duct"),
  });
}

/** A dryer’s duct longer than this, in metres, or with more bends, chokes on its lint in half a year. */
const LONG_DRYER_DUCT_M = 6;
const MANY_BENDS = 2;
const HALF_YEARLY = every(6, "month");

/**
 * The jobs of a part whose rhythm follows from how it is built; undefined where it follows from nothing,
 * or where nobody knows how it is built.
 */
export function partTasksByBuild(
  kind: PartKindId,
  { length, bends, tube }: Attributes = {},
): readonly TaskDefinition[] | undefined {
  const isHard =
    Number(length ?? 0) > LONG_DRYER_DUCT_M ||
    Number(bends ?? 0) > MANY_BENDS ||
    tube === "flexible";
  return kind === "dryer-duct" && isHard ? [brushDryerDuct(HALF_YEARLY)] : undefined;
}

export const PART_TASKS: Partial<Record<PartKindId, readonly TaskDefinition[]>> = {
  blower: [
    job("clean", "Vacuum the blower", every(2, "year"), "confident", 30, led("vacuum-blower")),
  ],
  belt: [
    job(
      "look",
      "Look at the belt for cracks and slack",
      yearly,
      "confident",
      10,
      led("look-at-belt"),
    ),
    job("replace", "Put on a new belt", onReading("belt"), "confident", 20, {
      onlyWhen: true,
      alsoDoes: ["belt:look"],
      ...led("new-belt"),
    }),
  ],
  burners: [
    job(
      "clean",
      "Have the burners cleaned",
      every(2, "year"),
      "licensed",
      30,
      led("clean-burners"),
    ),
  ],
  "flame-sensor": [
    job(
      "polish",
      "Polish the flame sensor",
      every(2, "year"),
      "confident",
      15,
      led("polish-flame-sensor"),
    ),
  ],
  pilot: [
    job("measure", "Measure the pilot’s millivolts", BEFORE_HEATING, "confident", 20, {
      waiting: 5,
      reads: "thermocouple-mv",
      ...led("measure-pilot"),
    }),
    job("replace", "Have the thermocouple replaced", onReading("thermocouple-mv"), "licensed", 30, {
      onlyWhen: true,
      safety: true,
      ...led("replace-thermocouple"),
    }),
  ],
  "heat-exchanger": [
    job(
      "test",
      "Have the heat exchanger tested",
      earliest(every(2, "year"), onReading("heat-exchanger")),
      "licensed",
      20,
      { safety: true, ...led("test-heat-exchanger") },
    ),
  ],
  "condensate-trap": [
    job("flush", "Rinse and refill the trap", every(6, "month"), "owner", 15, led("rinse-trap")),
  ],
  "condensate-line": [flushLine(every(2, "month", "cooling")), CLEAR_LINE],
  "plastic-vent": [
    job(
      "intake",
      "Clear leaves from vent and intake",
      season("leafFall", 14),
      "owner",
      20,
      led("clear-vent-and-intake"),
    ),
    job("snow", "Clear snow from both ends", every(1, "week", "snow"), "owner", 5, {
      safety: true,
      ...led("clear-snow-from-vents"),
    }),
    job("mend", "Have the vent hung or joined anew", onReading("plastic-pipe"), "licensed", 45, {
      onlyWhen: true,
      safety: true,
      ...led("mend-vent-pipe"),
    }),
  ],
  "metal-vent": [
    job("look", "Look over the vent pipe", BEFORE_HEATING, "owner", 5, {
      safety: true,
      ...led("look-at-vent-pipe"),
    }),
    job("inspect", "Have the rust inspected", onReading("vent-pipe", "watch"), "licensed", 20, {
      onlyWhen: true,
      safety: true,
      ...led("check-flue"),
    }),
  ],
  "air-intake": [job("brush", "Vacuum the air inlet", yearly, "owner", 10, led("brush-air-inlet"))],
  wiring: [
    job("look", "Look over wires and ends, power off", yearly, "owner", 10, led("look-at-wiring")),
    job("mend", "Have the wires’ ends made anew", onReading("wires"), "licensed", 30, {
      onlyWhen: true,
      alsoDoes: ["wiring:look"],
      safety: true,
      ...led("mend-wires"),
    }),
  ],
  "evaporator-coil": [
    job(
      "look",
      "Look at the indoor coil",
      earliest(BEFORE_COOLING, after("renovation", COIL_AFTER_WORKS_DAYS)),
      "owner",
      20,
      led("look-at-indoor-coil"),
    ),
    job("clean", "Clean the indoor coil", earliest(onReading("coil"), WEAR), "confident", 90, {
      settles: ["coil"],
      waiting: 10,
      onlyWhen: true,
      alsoDoes: ["evaporator-coil:look", "drain-pan:wipe"],
      ...led("clean-indoor-coil"),
    }),
  ],
  "drain-pan": [
    job("wipe", "Wipe the pan, lift the float", BEFORE_COOLING, "owner", 10, led("wipe-pan")),
  ],
  "float-switch": [
    job("lift", "Lift the float switch once", BEFORE_COOLING, "owner", 5, led("lift-float")),
  ],
  "condenser-coil": [
    job(
      "clean",
      "Rinse the outdoor coil",
      earliest(season("coolingStart", -21), WEAR),
      "owner",
      45,
      {
        waiting: 10,
        alsoDoes: ["base-drain:clear"],
        ...led("rinse-outdoor-coil"),
        settles: ["coil"],
      },
    ),
    // A strategy: one’s own rinse in spring, and once a year somebody who opens it and rinses from inside.
    job("deep-clean", "Have the outdoor coil cleaned from inside", yearly, "licensed", 45, {
      whereWanted: true,
      ...led("have-outdoor-coil-cleaned"),
    }),
  ],
  "base-drain": [
    job(
      "clear",
      "Clear the holes in its base",
      season("leafFall", 21),
      "owner",
      5,
      led("clear-base-drains"),
    ),
    job(
      "ice",
      "Look for ice under its base",
      season("firstFrost", 7),
      "owner",
      5,
      led("look-for-ice"),
    ),
  ],
  capacitor: [
    job("measure", "Have the capacitors measured", yearly, "licensed", 10, led("electrical-check")),
    job(
      "replace",
      "Have the capacitor replaced",
      earliest(onReading("capacitor-uf"), after(DRIFTING_OUT, 0)),
      "licensed",
      20,
      { onlyWhen: true, alsoDoes: ["capacitor:measure"], ...led("replace-capacitor") },
    ),
  ],
  "line-insulation": [
    job(
      "look",
      "Look at the wrap of its lines",
      BEFORE_COOLING,
      "owner",
      5,
      led("look-at-line-wrap"),
    ),
    job("mend", "Mend the wrap of its lines", onReading("line-wrap"), "owner", 20, {
      onlyWhen: true,
      settles: ["line-wrap"],
      ...led("mend-line-wrap"),
    }),
  ],
  contactor: [
    job("look", "Have the contactor looked at", yearly, "licensed", 5, led("electrical-check")),
  ],
  clearance: [
    job(
      "growth",
      "Cut back what grows round it",
      every(1, "month", "growth"),
      "owner",
      10,
      led("cut-back-growth"),
    ),
    job(
      "snow",
      "Dig it free of snow",
      every(1, "week", "snow"),
      "owner",
      10,
      led("dig-free-of-snow"),
    ),
  ],
  "inlet-screen": [
    job(
      "wash",
      "Wash the inlet screen",
      every(3, "month"),
      "licensed",
      10,
      led("wash-inlet-screen"),
    ),
  ],
  "head-drain": [
    job(
      "flush",
      "Pour water through its drain",
      BEFORE_COOLING,
      "owner",
      10,
      led("pour-through-head-drain"),
    ),
  ],
  "fine-filter": [
    job("wash", "Wash the fine filter", every(6, "month"), "owner", 5, {
      waiting: 45,
      ...led("wash-fine-filter"),
    }),
    job("replace", "Put in a new fine filter", every(3, "year"), "owner", 5, {
      alsoDoes: ["fine-filter:wash"],
      ...led("replace-fine-filter"),
    }),
  ],
  "recovery-core": [
    job(
      "wash",
      "Wash the recovery core",
      earliest(every(5, "year", "growth"), onReading("heat-recovery-efficiency")),
      "owner",
      60,
      { waiting: 2880, ...led("wash-recovery-core") },
    ),
    job("measure", "Measure the four temperatures", every(6, "month", "heating"), "owner", 15, {
      reads: "heat-recovery-efficiency",
      ...led("four-temperatures"),
    }),
  ],
  "cover-seal": [
    job(
      "look",
      "Look at the cover’s seal",
      every(6, "month"),
      "owner",
      5,
      led("look-at-cover-seal"),
    ),
    job("replace", "Put in a new seal", onReading("seal"), "owner", 15, {
      onlyWhen: true,
      alsoDoes: ["cover-seal:look"],
      ...led("new-cover-seal"),
    }),
  ],
  "room-valves": [
    job("wash", "Wash the room valves", every(6, "month"), "owner", 30, {
      waiting: 20,
      ...led("wash-room-valves"),
    }),
  ],
  "outside-grilles": [
    job(
      "brush",
      "Brush the outside grilles",
      every(6, "month"),
      "owner",
      15,
      led("brush-outside-grilles"),
    ),
  ],
  grilles: [
    job(
      "vacuum",
      "Vacuum the grilles",
      every(3, "month", "inUse"),
      "owner",
      10,
      led("vacuum-grilles"),
    ),
  ],
  "drain-ports": [
    job(
      "drain",
      "Empty its water",
      every(1, "month", "cooling"),
      "owner",
      10,
      led("drain-portable-cooler"),
    ),
    job("store", "Drain it and put it away dry", season("coolingEnd", 14), "owner", 25, {
      waiting: 240,
      ...led("store-portable-cooler"),
    }),
    job(
      "wake",
      "Bring it out for the summer",
      season("coolingStart", WAKING),
      "owner",
      15,
      led("wake-portable-cooler"),
    ),
  ],
  "exhaust-hose": [
    job("vacuum", "Vacuum the hose’s ends", yearly, "owner", 10, led("vacuum-exhaust-hose")),
  ],
  flue: [
    job("check", "Have the flue checked", yearly, "licensed", 20, {
      safety: true,
      ...led("check-flue"),
    }),
  ],
  "magnetic-filter": [
    job("clean", "Clean the magnetic filter", BEFORE_HEATING, "owner", 30, {
      settles: ["sludge"],
      alsoDoes: ["magnetic-filter:again"],
      ...led("magnetic-full-clean", "magnetic-quick-flush"),
    }),
    job("again", "Flush it once more", onReading("sludge"), "owner", 10, {
      onlyWhen: true,
      ...led("magnetic-quick-flush", "magnetic-full-clean"),
    }),
    job("seal", "Put in a new washer or lid ring", onReading("seal"), "owner", 15, {
      onlyWhen: true,
      ...led("new-lid-ring"),
    }),
  ],
  inhibitor: [
    job("check", "Test the heating’s water", yearly, "owner", 10, led("test-heating-water")),
    job("dose", "Put inhibitor in", onReading("inhibitor-strip", "watch"), "owner", 25, {
      waiting: 15,
      onlyWhen: true,
      settles: ["inhibitor-strip"],
      ...led("dose-inhibitor"),
    }),
  ],
  pressure: [
    job("read", "Read the pressure, cold", every(2, "month", "heating"), "owner", 2, {
      reads: "boiler-pressure-bar",
      ...led("read-pressure"),
    }),
    job("top-up", "Bring the pressure back", onReading("boiler-pressure-bar"), "owner", 10, {
      onlyWhen: true,
      ...led("top-up-pressure"),
    }),
  ],
  radiator: [
    job("bleed", "Bleed the radiators", season("heatingStart", -14), "owner", 20, {
      together: true,
      ...led("bleed-radiators"),
    }),
  ],
  damper: [
    job(
      "winter",
      "Open it for winter",
      season("heatingStart", 7),
      "owner",
      15,
      led("humidifier-winter"),
    ),
    job(
      "summer",
      "Shut it for summer",
      season("heatingEnd", 7),
      "owner",
      10,
      led("humidifier-summer"),
    ),
  ],
  "supply-run": [
    job(
      CLEAN_DUCTS,
      "Have the ducts cleaned",
      earliest(after("renovation", DUCTS_AFTER_WORKS_DAYS), onReading("duct-amount")),
      "licensed",
      120,
      { onlyWhen: true, settles: ["duct-amount"], ...led("accept-duct-cleaning") },
    ),
    job("debris", "Have the ducts looked into", onReading("duct-debris"), "licensed", 30, {
      onlyWhen: true,
      ...led("look-into-ducts"),
    }),
  ],
  "outside-terminal": [
    job("brush", "Clear the outside terminal", yearly, "owner", 10, led("brush-outside-terminal")),
  ],
  "dryer-duct": [brushDryerDuct(yearly)],
  "outside-flap": [
    job("free", "See that the flap moves", every(6, "month"), "owner", 5, led("free-outside-flap")),
  ],
  batteries: [
    job(
      "change",
      "Put in new batteries",
      season("heatingStart", -14),
      "owner",
      5,
      led("change-batteries"),
    ),
  ],
  programme: [
    job("check", "Check its times and its reading", every(6, "month"), "owner", 5, {
      waiting: 15,
      ...led("check-programme"),
    }),
  ],
  "gas-hose": [
    job("check", "Check hose and joints for leaks", BEFORE_HEATING, "owner", 10, {
      safety: true,
      ...led("check-gas-hose"),
    }),
    job("replace", "Have hose and regulator replaced", every(5, "year"), "licensed", 20, {
      safety: true,
      alsoDoes: ["gas-hose:check"],
      ...led("replace-gas-hose"),
    }),
  ],
  "gas-bottle": [
    job(
      "change",
      "Change the gas bottle",
      every(2, "month", "heating"),
      "owner",
      10,
      led("change-gas-bottle"),
    ),
  ],
  "room-air": [
    job("look", "See that the room has air", every(1, "month", "heating"), "owner", 5, {
      safety: true,
      ...led("check-room-air"),
    }),
  ],
  "grease-filter": [
    job("wash", "Wash the grease filters", every(1, "month"), "owner", 15, {
      waiting: 30,
      ...led("wash-grease-filter"),
    }),
  ],
  "hood-carbon": [
    job("change", "Put in new carbon", every(4, "month"), "owner", 10, led("change-hood-carbon")),
  ],
  "water-tank": [
    job(
      "wash",
      "Wash its tank, try its float",
      every(1, "month", "inUse"),
      "owner",
      10,
      led("clean-dehumidifier-tank"),
    ),
  ],
  "relief-valve": [
    job("try", "Try the relief valve", yearly, "owner", 10, {
      safety: true,
      ...led("try-relief-valve"),
    }),
  ],
  sediment: [
    job("flush", "Flush the sediment out", yearly, "confident", 30, {
      waiting: 60,
      ...led("flush-tank"),
    }),
  ],
  anode: [
    job("look", "Have the anode looked at", every(3, "year"), "licensed", 30, led("look-at-anode")),
  ],
};

/** Where a kind of unit wants something else of a kind of part than most do. */
export const PART_TASKS_AT: Partial<
  Record<UnitKindId, Partial<Record<PartKindId, readonly TaskDefinition[]>>>
> = {
  // Its burner makes water while it heats.
  "condensing-furnace": {
    "condensate-line": [flushLine(every(2, "month", "heating")), CLEAR_LINE],
  },
  boiler: { "condensate-line": [flushLine(every(2, "month", "heating")), CLEAR_LINE] },
  humidifier: { "condensate-line": [flushLine(every(2, "month", "heating")), CLEAR_LINE] },
  ventilator: { "condensate-line": [flushLine(every(6, "month")), CLEAR_LINE] },
  "exhaust-air-heater": { "condensate-line": [flushLine(every(6, "month")), CLEAR_LINE] },
  // It stands in a room: brushed and wiped, never hosed or foamed.
  "portable-cooler": {
    "condenser-coil": [
      job(
        "clean",
        "Brush and wipe the coils",
        earliest(season("coolingStart", RIGHT_BEFORE_WAKING), WEAR),
        "owner",
        25,
        {
          ...led("brush-portable-coils"),
          settles: ["coil"],
        },
      ),
    ],
  },
  // Deep cleaning of heads, and their outdoor coil, are left to technicians.
  "ductless-head": {
    "evaporator-coil": [
      job("look", "Look at the head’s coil", BEFORE_COOLING, "owner", 10, led("look-at-head-coil")),
      job(
        "clean",
        "Have the head’s coil cleaned",
        earliest(onReading("coil"), WEAR),
        "licensed",
        90,
        {
          settles: ["coil"],
          waiting: 30,
          onlyWhen: true,
          alsoDoes: ["evaporator-coil:look"],
          ...led("deep-clean-head"),
        },
      ),
    ],
    "condenser-coil": [
      job(
        "look",
        "Look at the outdoor coil",
        season("coolingStart", -21),
        "owner",
        5,
        led("look-round-outdoor-unit"),
      ),
      job(
        "clean",
        "Have the outdoor coil cleaned",
        earliest(onReading("coil"), WEAR),
        "licensed",
        45,
        {
          settles: ["coil"],
          onlyWhen: true,
          alsoDoes: ["condenser-coil:look"],
          ...led("have-outdoor-coil-cleaned"),
        },
      ),
    ],
  },
};
