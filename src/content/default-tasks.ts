import type { Media } from "@/core/filters/media";
import type { Qualification } from "@/core/runs/qualification";
import type { JobCatalogue } from "@/core/scheduling/catalogue";
import type { TaskDefinition } from "@/core/scheduling/task";
import type { Trigger } from "@/core/scheduling/trigger";
import { CLEAN_DUCTS, DRIFTING_OUT, GREY_LOOK, LOOK, RENEW, VACUUM } from "./keys";
import type { PartKindId } from "./part-kinds";
import { renewalOf } from "./procedures/library";
import type { UnitKindId } from "./unit-kinds";

/**
 * The jobs that come round at each kind of part and unit, and in a home. Figures are general trade
 * practice: docs/sources.md#jobs. Every one can be changed for its part; a manual comes first.
 */
type Rest = Partial<Omit<TaskDefinition, "key" | "name" | "trigger">> & {
  minutes?: readonly [handsOn: number, waiting?: number];
};

function job(
  key: string,
  name: string,
  trigger: Trigger,
  who: Qualification,
  handsOn: number,
  { minutes: _, ...rest }: Rest = {},
): TaskDefinition {
  return { key, name, trigger, who, handsOn, waiting: 0, ...rest };
}

type Unit = Extract<Trigger, { kind: "every" }>["unit"];
type Within = NonNullable<Extract<Trigger, { kind: "every" }>["within"]>;
const every = (n: number, unit: Unit, within?: Within): Trigger => ({
  kind: "every",
  n,
  unit,
  within,
});
const yearly = every(1, "year");
type Anchor = Extract<Trigger, { kind: "season" }>["anchor"];
const season = (anchor: Anchor, offsetDays = 0): Trigger => ({
  kind: "season",
  anchor,
  offsetDays,
});
const after = (event: string, days: number): Trigger => ({ kind: "after", event, days });
type Reading = Extract<Trigger, { kind: "reading" }>["reading"];
const onReading = (reading: Reading, verdict: "watch" | "act" = "act"): Trigger => ({
  kind: "reading",
  reading,
  verdict,
});
const earliest = (...of: Trigger[]): Trigger => ({ kind: "earliest", of });

/** Once enough dust has gone through it. */
const WEAR: Trigger = { kind: "wear" };

const led = (...procedureIds: string[]) => ({ procedureIds });

/** Weeks before the cold or the heat in which technicians still have time. */
const BEFORE_HEATING = season("heatingStart", -28);
const BEFORE_COOLING = season("coolingStart", -28);
/** How soon a coil is looked at once building work has ended, and ducts are thought of, days. */
const COIL_AFTER_WORKS_DAYS = 14;
const DUCTS_AFTER_WORKS_DAYS = 30;
const LOOK_AFTER_DUCTS_DAYS = 7;
/** How soon after moving in everybody has to find water, gas and power, days. Our choice. */
const SHUT_OFFS_AFTER_MOVING_DAYS = 7;

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

const PART_TASKS: Partial<Record<PartKindId, readonly TaskDefinition[]>> = {
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
      BEFORE_HEATING,
      "confident",
      15,
      led("polish-flame-sensor"),
    ),
  ],
  pilot: [
    job("measure", "Measure the pilot’s millivolts", BEFORE_HEATING, "confident", 20, {
      waiting: 5,
      ...led("measure-pilot"),
    }),
    job("replace", "Have the thermocouple replaced", onReading("thermocouple-mv"), "licensed", 30, {
      onlyWhen: true,
      safety: true,
      ...led("replace-thermocouple"),
    }),
  ],
  "heat-exchanger": [
    job("test", "Have the heat exchanger tested", every(2, "year"), "licensed", 20, {
      safety: true,
      ...led("test-heat-exchanger"),
    }),
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
  ],
  "metal-vent": [
    job("look", "Look over the vent pipe", BEFORE_HEATING, "owner", 5, {
      safety: true,
      ...led("look-at-vent-pipe"),
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
    job(
      "measure",
      "Measure the four temperatures",
      every(6, "month", "heating"),
      "owner",
      15,
      led("four-temperatures"),
    ),
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
      season("coolingStart", -7),
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
  ],
  pressure: [
    job(
      "read",
      "Read the pressure, cold",
      every(2, "month", "heating"),
      "owner",
      2,
      led("read-pressure"),
    ),
    job("top-up", "Bring the pressure back", onReading("boiler-pressure-bar"), "owner", 10, {
      onlyWhen: true,
      ...led("top-up-pressure"),
    }),
  ],
  radiator: [
    job(
      "bleed",
      "Bleed the radiators",
      season("heatingStart", -14),
      "owner",
      20,
      led("bleed-radiators"),
    ),
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
      after("renovation", DUCTS_AFTER_WORKS_DAYS),
      "licensed",
      120,
      { onlyWhen: true, ...led("accept-duct-cleaning") },
    ),
    job("debris", "Have the ducts looked into", onReading("duct-debris"), "licensed", 30, {
      onlyWhen: true,
      ...led("look-into-ducts"),
    }),
  ],
  "outside-terminal": [
    job("brush", "Clear the outside terminal", yearly, "owner", 10, led("brush-outside-terminal")),
  ],
  "dryer-duct": [
    job("brush", "Brush out the dryer’s duct", yearly, "owner", 30, {
      safety: true,
      ...led("brush-dryer-duct"),
    }),
  ],
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
const PART_TASKS_AT: Partial<
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
        earliest(season("coolingStart", -21), WEAR),
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

const FURNACE: readonly TaskDefinition[] = [
  job("look", "Look the furnace over", BEFORE_HEATING, "confident", 25, {
    alsoDoes: ["belt:look", "metal-vent:look"],
    ...led("look-furnace-over"),
  }),
  job("visit", "Have it serviced", BEFORE_HEATING, "licensed", 60, {
    alsoDoes: ["burners:clean", "heat-exchanger:test", "capacitor:measure", "contactor:look"],
    ...led("technician-visit"),
  }),
];
const COOLING_VISIT = job("visit", "Have it serviced", BEFORE_COOLING, "licensed", 45, {
  waiting: 15,
  alsoDoes: ["capacitor:measure", "contactor:look", "wiring:look"],
  ...led("technician-visit"),
});
const COOLING_TEST = job("test", "Try the cooling", season("firstWarmDay"), "owner", 5, {
  waiting: 15,
  ...led("cooling-test"),
});

const UNIT_TASKS: Partial<Record<UnitKindId, readonly TaskDefinition[]>> = {
  "condensing-furnace": FURNACE,
  "metal-vent-furnace": FURNACE,
  "ducted-heat-pump": [
    COOLING_TEST,
    COOLING_VISIT,
    job("visit-heating", "Have it serviced for the winter", BEFORE_HEATING, "licensed", 45, {
      waiting: 15,
      alsoDoes: ["contactor:look", "wiring:look"],
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
      alsoDoes: ["inlet-screen:wash", "condensate-trap:flush", "capacitor:measure"],
      ...led("service-rooftop"),
    }),
  ],
  "gas-room-heater": [
    job("visit", "Have flue and gas checked", BEFORE_HEATING, "licensed", 30, {
      alsoDoes: ["flue:check"],
      safety: true,
      ...led("technician-visit"),
    }),
  ],
  boiler: [
    job("visit", "Have it serviced", BEFORE_HEATING, "licensed", 60, {
      alsoDoes: ["flue:check", "heat-exchanger:test", "condensate-trap:flush"],
      ...led("technician-visit"),
    }),
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
  "co-alarm": [
    job("replace", "Replace the alarm", { kind: "age", minYears: 5, maxYears: 7 }, "owner", 10, {
      safety: true,
      ...led("replace-alarm"),
    }),
  ],
};

const HOME_TASKS: readonly TaskDefinition[] = [
  job("walk", "Walk round: listen, look, feel", every(30, "day"), "owner", 5, led("walk-round")),
  job(
    "alarms",
    "Press the test of every alarm",
    earliest(every(1, "month"), BEFORE_HEATING),
    "owner",
    5,
    { safety: true, ...led("test-alarms") },
  ),
  job(
    "shut-offs",
    "Learn your shut-offs",
    earliest(after("moved-in", SHUT_OFFS_AFTER_MOVING_DAYS), every(2, "year")),
    "owner",
    15,
    { safety: true, ...led("learn-shut-offs") },
  ),
];

/** The calendar strategy’s interval where no maker gave one: docs/sources.md#jobs. */
const CALENDAR: Readonly<Record<Media, Trigger>> = {
  "fibreglass-25": every(30, "day"),
  "pleated-25": every(90, "day", "inUse"),
  "pleated-50": every(6, "month"),
  "pleated-100": every(1, "year"),
  "pleated-125": every(1, "year"),
  "washable-panel": every(1, "month"),
  "head-mesh": every(2, "week", "inUse"),
  "heater-mesh": every(1, "month", "heating"),
  "portable-mesh": every(2, "week", "inUse"),
  "vent-coarse": every(6, "month"),
  "vent-fine": every(6, "month"),
  "carbon-prefilter": every(120, "day"),
  "hepa-cylinder": every(730, "day"),
  "electrostatic-cell": every(6, "month"),
  "humidifier-panel": every(365, "day"),
};

function renewal(name: string, media: Media): TaskDefinition {
  const { id, handsOnMinutes, waitingMinutes } = renewalOf(media);
  return {
    ...job(RENEW, name, { kind: "wear" }, "owner", handsOnMinutes),
    waiting: waitingMinutes,
    settles: ["indicator-light"],
    ...led(id),
  };
}

/** What is washed and goes back; everything else is changed. */
const WASHED: readonly Media[] = [
  "washable-panel",
  "head-mesh",
  "heater-mesh",
  "portable-mesh",
  "electrostatic-cell",
];

/** The renewal of a filter, by its wear unless somebody goes by another strategy. */
function renewalTask(media: Media): TaskDefinition {
  if (media === "humidifier-panel") return renewal("Change the water panel", media);
  return WASHED.includes(media)
    ? renewal("Clean the filter", media)
    : renewal("Change the filter", media);
}

/** Vacuumed where it sits a ventilator’s filter lasts its half year. */
const VACUUM_FILTER = job(
  VACUUM,
  "Vacuum the filter",
  every(1, "month"),
  "owner",
  5,
  led("vacuum-vent-filter"),
);

/** In ducts that were cleaned a new filter fills fast: it is looked at within a week. */
const LOOK_AFTER_DUCTS = job(
  LOOK,
  "Look at the filter",
  after("duct-cleaning", LOOK_AFTER_DUCTS_DAYS),
  "owner",
  2,
  { onlyWhen: true, ...led("look-at-filter") },
);

/** Every job there is by default. */
export const JOBS: JobCatalogue = {
  home: HOME_TASKS,
  unit: (kind) => UNIT_TASKS[kind as UnitKindId] ?? [],
  part: (kind, unitKind) =>
    PART_TASKS_AT[unitKind as UnitKindId]?.[kind as PartKindId] ??
    PART_TASKS[kind as PartKindId] ??
    [],
  renewal: renewalTask,
  besideRenewal: (media) =>
    media === "vent-coarse" || media === "vent-fine" ? [VACUUM_FILTER] : [],
  calendar: (media) => CALENDAR[media],
  look: (everyDays) =>
    job(LOOK, "Look at the filter", every(everyDays, "day"), "owner", 2, led("look-at-filter")),
  lookAfterDucts: LOOK_AFTER_DUCTS,
  atLight: onReading("indicator-light"),
  atGrey: after(GREY_LOOK, 0),
  soonerBesideLint: {
    key: "polish",
    trigger: earliest(BEFORE_HEATING, every(4, "month", "heating")),
  },
};
