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
  blower: [job("clean", "Vacuum the blower", every(2, "year"), "confident", 30)],
  belt: [
    job("look", "Look at the belt for cracks and slack", yearly, "confident", 10),
    job("replace", "Put on a new belt", onReading("belt"), "confident", 20, {
      onlyWhen: true,
      alsoDoes: ["belt:look"],
    }),
  ],
  burners: [job("clean", "Have the burners cleaned", every(2, "year"), "licensed", 30)],
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
    }),
    job("replace", "Have the thermocouple replaced", onReading("thermocouple-mv"), "licensed", 30, {
      onlyWhen: true,
      safety: true,
    }),
  ],
  "heat-exchanger": [
    job("test", "Have the heat exchanger tested", every(2, "year"), "licensed", 20, {
      safety: true,
    }),
  ],
  "condensate-trap": [job("flush", "Rinse and refill the trap", every(6, "month"), "owner", 15)],
  "condensate-line": [flushLine(every(2, "month", "cooling")), CLEAR_LINE],
  "plastic-vent": [
    job("intake", "Clear leaves from vent and intake", season("leafFall", 14), "owner", 20),
    job("snow", "Clear snow from both ends", every(1, "week", "snow"), "owner", 5, {
      safety: true,
    }),
  ],
  "metal-vent": [
    job("look", "Look over the vent pipe", BEFORE_HEATING, "owner", 5, { safety: true }),
  ],
  "air-intake": [job("brush", "Vacuum the air inlet", yearly, "owner", 10)],
  wiring: [
    job("look", "Look over wires and ends, power off", yearly, "owner", 10),
    job("mend", "Have the wires’ ends made anew", onReading("wires"), "licensed", 30, {
      onlyWhen: true,
      alsoDoes: ["wiring:look"],
      safety: true,
    }),
  ],
  "evaporator-coil": [
    job(
      "look",
      "Look at the indoor coil",
      earliest(BEFORE_COOLING, after("renovation", COIL_AFTER_WORKS_DAYS)),
      "owner",
      20,
    ),
    job("clean", "Clean the indoor coil", earliest(onReading("coil"), WEAR), "confident", 90, {
      settles: ["coil"],
      waiting: 10,
      onlyWhen: true,
      alsoDoes: ["evaporator-coil:look", "drain-pan:wipe"],
    }),
  ],
  "drain-pan": [job("wipe", "Wipe the pan, lift the float", BEFORE_COOLING, "owner", 10)],
  "float-switch": [job("lift", "Lift the float switch once", BEFORE_COOLING, "owner", 5)],
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
    job("clear", "Clear the holes in its base", season("leafFall", 21), "owner", 5),
    job("ice", "Look for ice under its base", season("firstFrost", 7), "owner", 5),
  ],
  capacitor: [
    job("measure", "Have the capacitors measured", yearly, "licensed", 10),
    job(
      "replace",
      "Have the capacitor replaced",
      earliest(onReading("capacitor-uf"), after(DRIFTING_OUT, 0)),
      "licensed",
      20,
      { onlyWhen: true, alsoDoes: ["capacitor:measure"] },
    ),
  ],
  contactor: [job("look", "Have the contactor looked at", yearly, "licensed", 5)],
  clearance: [
    job("growth", "Cut back what grows round it", every(1, "month", "growth"), "owner", 10),
    job("snow", "Dig it free of snow", every(1, "week", "snow"), "owner", 10),
  ],
  "inlet-screen": [job("wash", "Wash the inlet screen", every(3, "month"), "licensed", 10)],
  "head-drain": [job("flush", "Pour water through its drain", BEFORE_COOLING, "owner", 10)],
  "fine-filter": [
    job("wash", "Wash the fine filter", every(6, "month"), "owner", 5, {
      waiting: 45,
      ...led("wash-fine-filter"),
    }),
    job("replace", "Put in a new fine filter", every(3, "year"), "owner", 5, {
      alsoDoes: ["fine-filter:wash"],
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
    job("measure", "Measure the four temperatures", every(6, "month", "heating"), "owner", 15),
  ],
  "cover-seal": [
    job("look", "Look at the cover’s seal", every(6, "month"), "owner", 5),
    job("replace", "Put in a new seal", onReading("seal"), "owner", 15, {
      onlyWhen: true,
      alsoDoes: ["cover-seal:look"],
    }),
  ],
  "room-valves": [job("wash", "Wash the room valves", every(6, "month"), "owner", 30)],
  "outside-grilles": [job("brush", "Brush the outside grilles", every(6, "month"), "owner", 15)],
  grilles: [job("vacuum", "Vacuum the grilles", every(3, "month", "inUse"), "owner", 10)],
  "drain-ports": [
    job("store", "Drain it and put it away dry", season("coolingEnd", 14), "owner", 25, {
      waiting: 240,
    }),
  ],
  "exhaust-hose": [job("vacuum", "Vacuum the hose’s ends", yearly, "owner", 10)],
  flue: [job("check", "Have the flue checked", yearly, "licensed", 20, { safety: true })],
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
    }),
  ],
  inhibitor: [job("check", "Test the heating’s water", yearly, "owner", 10)],
  pressure: [
    job("read", "Read the pressure, cold", every(2, "month", "heating"), "owner", 2),
    job("top-up", "Bring the pressure back", onReading("boiler-pressure-bar"), "owner", 10, {
      onlyWhen: true,
    }),
  ],
  radiator: [job("bleed", "Bleed the radiators", season("heatingStart", -14), "owner", 20)],
  damper: [
    job("winter", "Open it for winter", season("heatingStart", 7), "owner", 15),
    job("summer", "Shut it for summer", season("heatingEnd", 7), "owner", 10),
  ],
  "supply-run": [
    job(
      CLEAN_DUCTS,
      "Have the ducts cleaned",
      after("renovation", DUCTS_AFTER_WORKS_DAYS),
      "licensed",
      120,
      { onlyWhen: true },
    ),
    job("debris", "Have the ducts looked into", onReading("duct-debris"), "licensed", 30, {
      onlyWhen: true,
    }),
  ],
  "outside-terminal": [job("brush", "Clear the outside terminal", yearly, "owner", 10)],
  "dryer-duct": [job("brush", "Brush out the dryer’s duct", yearly, "owner", 30, { safety: true })],
  "outside-flap": [job("free", "See that the flap moves", every(6, "month"), "owner", 5)],
  batteries: [job("change", "Put in new batteries", season("heatingStart", -14), "owner", 5)],
  programme: [job("check", "Check its times and its reading", every(6, "month"), "owner", 5)],
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
      job("look", "Look at the head’s coil", BEFORE_COOLING, "owner", 10),
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
        },
      ),
    ],
    "condenser-coil": [
      job("look", "Look at the outdoor coil", season("coolingStart", -21), "owner", 5),
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
        },
      ),
    ],
  },
};

const FURNACE: readonly TaskDefinition[] = [
  job("look", "Look the furnace over", BEFORE_HEATING, "confident", 25, {
    alsoDoes: ["belt:look", "metal-vent:look"],
  }),
  job("visit", "Have it serviced", BEFORE_HEATING, "licensed", 60, {
    alsoDoes: ["burners:clean", "heat-exchanger:test", "capacitor:measure", "contactor:look"],
  }),
];
const COOLING_VISIT = job("visit", "Have it serviced", BEFORE_COOLING, "licensed", 45, {
  waiting: 15,
  alsoDoes: ["capacitor:measure", "contactor:look", "wiring:look"],
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
    }),
  ],
  "split-cooling": [COOLING_TEST, COOLING_VISIT],
  "ductless-head": [
    job("deep-clean", "Have it cleaned through", every(2, "year"), "licensed", 90, {
      waiting: 30,
      alsoDoes: ["evaporator-coil:look", "evaporator-coil:clean", "head-drain:flush"],
    }),
  ],
  rooftop: [
    job("visit", "Have it serviced", every(3, "month"), "licensed", 60, {
      waiting: 10,
      alsoDoes: ["inlet-screen:wash", "condensate-trap:flush", "capacitor:measure"],
    }),
  ],
  "gas-room-heater": [
    job("visit", "Have flue and gas checked", BEFORE_HEATING, "licensed", 30, {
      alsoDoes: ["flue:check"],
      safety: true,
    }),
  ],
  boiler: [
    job("visit", "Have it serviced", BEFORE_HEATING, "licensed", 60, {
      alsoDoes: ["flue:check", "heat-exchanger:test", "condensate-trap:flush"],
    }),
  ],
  ducts: [job("registers", "Count registers, free the returns", every(6, "month"), "owner", 20)],
  "co-alarm": [
    job("replace", "Replace the alarm", { kind: "age", minYears: 5, maxYears: 7 }, "owner", 10, {
      safety: true,
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
    { safety: true },
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

/** Minutes for a filter without a procedure of its own yet: washing takes its drying too. */
const RENEW_MINUTES = 10;
const WASH_WAIT_MINUTES = 60;

function renewal(name: string, media: Media, waiting = 0): TaskDefinition {
  const procedure = renewalOf(media);
  return {
    ...job(RENEW, name, { kind: "wear" }, "owner", procedure?.handsOnMinutes ?? RENEW_MINUTES),
    waiting: procedure?.waitingMinutes ?? waiting,
    settles: ["indicator-light"],
    ...(procedure ? led(procedure.id) : {}),
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
    ? renewal("Clean the filter", media, WASH_WAIT_MINUTES)
    : renewal("Change the filter", media);
}

/** Vacuumed where it sits a ventilator’s filter lasts its half year. */
const VACUUM_FILTER = job(VACUUM, "Vacuum the filter", every(1, "month"), "owner", 5);

/** In ducts that were cleaned a new filter fills fast: it is looked at within a week. */
const LOOK_AFTER_DUCTS = job(
  LOOK,
  "Look at the filter",
  after("duct-cleaning", LOOK_AFTER_DUCTS_DAYS),
  "owner",
  2,
  { onlyWhen: true },
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
  look: (everyDays) => job(LOOK, "Look at the filter", every(everyDays, "day"), "owner", 2),
  lookAfterDucts: LOOK_AFTER_DUCTS,
  atLight: onReading("indicator-light"),
  atGrey: after(GREY_LOOK, 0),
  soonerBesideLint: {
    key: "polish",
    trigger: earliest(BEFORE_HEATING, every(4, "month", "heating")),
  },
};
