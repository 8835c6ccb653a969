import type { Procedure, Step } from "@/core/runs/procedure";
import { callFor, coverOff, coverOn, hearIt, licensed, unlessOff } from "./common";

/**
 * What only licensed people do. An owner clears the way, asks, sees it run and keeps what was said; the
 * work itself stands in steps for them.
 */
const CLEAR: Step = {
  id: "clear",
  kind: "prepare",
  title: "Clear the way, and say how it is reached",
  detail: "What stands before it, its shut-offs, where its papers are.",
};
const TELL: Step = {
  id: "tell",
  kind: "prepare",
  title: "Say what you have noticed",
  detail: "Noises, smells, water, a cold room, since when. What was put off the last time.",
};
const OFF: Step = licensed({
  id: "power-off",
  kind: "shut",
  title: "Isolate it, prove it dead",
  shows: "shut-off",
  opens: [{ key: "power", end: "switch-off", thing: "power", state: "off" }],
});
const ON: Step = licensed({
  id: "power-on",
  kind: "restore",
  title: "Panels on, power on",
  shows: "shut-off",
  closes: "power",
});
const SAID: Step = {
  id: "said",
  kind: "label",
  title: "What was found, in their words?",
  records: { kind: "words", label: "Found, advised, and for what price" },
  recordIsOptional: true,
};
const RUNS = hearIt({ title: "See it run before they go", ...unlessOff });
/** A brief start before anything is isolated: what is dead shows nothing. */
const HEATING_SIDE: Step = licensed({
  id: "heating-side",
  kind: "test",
  title: "The heating side first, even in summer",
  detail: "A brief start: draught fan, igniter, flames, blower; safeties proved as it runs.",
  runs: true,
  records: { kind: "reading", reading: "flame" },
  recordIsOptional: true,
});
/** What the machine gives once it has run for a quarter of an hour. */
const AMPS: Step = licensed({
  id: "amps",
  kind: "measure",
  title: "Amps of the blower’s motor, after a quarter of an hour",
  detail: "One wire in the clamp, against the plate and the last visit.",
  ...unlessOff,
  records: { kind: "reading", reading: "motor-amps" },
  recordIsOptional: true,
});
const STEADY: Step = licensed({
  id: "steady",
  kind: "measure",
  title: "Gas pressure, refrigerant: one figure beside its plate",
  detail:
    "At the manifold, or at the gauges once it runs steadily. Others go into the visit’s checks.",
  runs: true,
  ...unlessOff,
  records: { kind: "reading", reading: "plate-range" },
  recordIsOptional: true,
});
const CAPACITORS: Step = {
  id: "capacitors",
  kind: "measure",
  title: "Capacitor, against what is printed on it",
  detail: "Discharged, off its wires; a second section is noted in words.",
  records: { kind: "reading", reading: "capacitor-uf", at: "capacitor" },
  recordIsOptional: true,
};

type Work = {
  id: string;
  title: string;
  minutes: number;
  says?: string;
  gas?: true;
  waiting?: number;
  /** What is tried before it is isolated: it has to run for it. */
  before?: Step[];
  work: Step[];
  after?: Step[];
  /** The step from which it counts, where that is not the last of the work. */
  counts?: string;
};

/** Tried as it runs, isolated, worked on, tried again. The last of the work is what counts. */
const work = ({
  id,
  title,
  minutes,
  says,
  gas,
  waiting = 0,
  before = [],
  work: steps,
  after = [],
  counts = steps.at(-1)?.id,
}: Work): Procedure => ({
  id,
  title,
  verb: "Brief",
  who: "licensed",
  handsOnMinutes: minutes,
  waitingMinutes: waiting,
  rules: true,
  ...(gas ? { gas } : {}),
  ...(says ? { says } : {}),
  steps: [
    CLEAR,
    TELL,
    ...before.map(licensed),
    OFF,
    ...steps.map(licensed),
    ON,
    ...after.map((step) => ({ ...step, ...unlessOff })),
    RUNS,
    SAID,
  ].map((step) => (step.id === counts ? { ...step, renews: true as const } : step)),
});

export const cleanBurners = work({
  id: "clean-burners",
  title: "Have the burners cleaned",
  minutes: 30,
  gas: true,
  work: [
    { id: "gas", kind: "inspect", title: "Gas shut, box open, burners out" },
    { id: "clean", kind: "clean", title: "Brush burners, crossovers and the box" },
  ],
  after: [
    {
      id: "flame",
      kind: "test",
      title: "How does it burn now?",
      records: { kind: "reading", reading: "flame" },
    },
  ],
});

export const replaceThermocouple = work({
  id: "replace-thermocouple",
  title: "Have the thermocouple replaced",
  minutes: 30,
  gas: true,
  work: [
    { id: "new", kind: "fit", title: "New thermocouple in, tip in the pilot’s flame" },
    { id: "mv", kind: "measure", title: "Measure it new, and under load" },
  ],
  after: [
    {
      id: "reading",
      kind: "measure",
      title: "What does the new one give?",
      records: { kind: "reading", reading: "thermocouple-mv" },
      recordIsOptional: true,
    },
  ],
});

export const testHeatExchanger = work({
  id: "test-heat-exchanger",
  title: "Have the heat exchanger tested",
  minutes: 20,
  gas: true,
  says: "A crack lets carbon monoxide into the rooms: it is measured, not guessed.",
  work: [{ id: "look", kind: "inspect", title: "Look in with mirror or camera, power off" }],
  after: [
    licensed({
      id: "test",
      kind: "measure",
      title: "Combustion analysis, blower off and blower on",
      detail: "Running: what changes as the blower starts comes through a crack.",
      runs: true,
    }),
    {
      id: "result",
      kind: "inspect",
      title: "What came of it?",
      records: { kind: "reading", reading: "heat-exchanger", at: "heat-exchanger" },
    },
  ],
  counts: "look",
});

export const mendWires = work({
  id: "mend-wires",
  title: "Have the wires’ ends made anew",
  minutes: 30,
  work: [
    { id: "ends", kind: "clean", title: "Cut back, new ends crimped, screws tight" },
    {
      id: "check",
      kind: "inspect",
      title: "How do they look now?",
      records: { kind: "reading", reading: "wires" },
    },
  ],
});

export const electricalCheck = work({
  id: "electrical-check",
  title: "Electrical check",
  minutes: 30,
  waiting: 15,
  says: "The heating side first, even in summer, as it runs; then off: capacitors, contactor, wires.",
  before: [HEATING_SIDE],
  work: [
    { id: "discharge", kind: "inspect", title: "Discharge the capacitors, dust out the box" },
    CAPACITORS,
    {
      id: "contactor",
      kind: "inspect",
      title: "Contactor and wire ends",
      records: { kind: "reading", reading: "wires" },
    },
  ],
  after: [AMPS, STEADY],
});

export const replaceCapacitor = work({
  id: "replace-capacitor",
  title: "Have the capacitor replaced",
  minutes: 20,
  work: [
    { id: "discharge", kind: "inspect", title: "Discharge it, take its picture with the wires" },
    {
      id: "new",
      kind: "fit",
      title: "New one of the same rating and voltage",
      records: { kind: "words", label: "Printed on the new one", keep: "rated" },
      recordIsOptional: true,
    },
    {
      ...CAPACITORS,
      id: "measure",
      title: "Measure the new one",
      detail: "Its first figure: the next ones are compared with it.",
    },
  ],
});

export const checkFlue = work({
  id: "check-flue",
  title: "Have the flue checked",
  minutes: 20,
  gas: true,
  work: [{ id: "look", kind: "inspect", title: "Look along it, inside and outside" }],
  after: [
    licensed({
      id: "draught",
      kind: "measure",
      title: "Draught, spillage and carbon monoxide, as it burns",
      runs: true,
      records: { kind: "reading", reading: "vent-pipe" },
    }),
  ],
});

export const mendVentPipe = work({
  id: "mend-vent-pipe",
  title: "Have the vent hung or joined anew",
  minutes: 45,
  gas: true,
  says: "A pipe that sags holds water, one that drips lets flue gas out: it is made tight and proved.",
  work: [
    { id: "hang", kind: "fit", title: "Hung so that it falls back all the way, joints made anew" },
    {
      id: "tight",
      kind: "inspect",
      title: "How is it now, along its whole length?",
      photo: "after",
      records: { kind: "reading", reading: "plastic-pipe" },
    },
  ],
  after: [
    licensed({
      id: "proved",
      kind: "test",
      title: "Proved tight as it burns: no carbon monoxide beside it",
      runs: true,
    }),
  ],
});

export const deepCleanHead: Procedure = {
  ...work({
    id: "deep-clean-head",
    title: "Have the head cleaned through",
    minutes: 90,
    waiting: 30,
    says: "Coil and wheel in the room, behind a shield: every two or three seasons, or when it smells.",
    work: [
      { id: "shield", kind: "prepare", title: "Shield wall and floor, bag beneath the head" },
      {
        id: "coil",
        kind: "clean",
        title: "Coil, wheel, pan: cleaner, rinse, until it runs clear",
        cleans: { what: "coil", how: "wet", staysWet: true },
        photo: "after",
      },
      { id: "drain", kind: "clean", title: "Drain flushed, fins combed" },
    ],
    after: [
      {
        id: "drain-runs",
        kind: "test",
        title: "Does its drain run?",
        records: { kind: "reading", reading: "drain" },
      },
      {
        id: "smell",
        kind: "test",
        title: "How does it smell now?",
        records: { kind: "reading", reading: "smell" },
      },
    ],
  }),
};

export const haveOutdoorCoilCleaned = work({
  id: "have-outdoor-coil-cleaned",
  title: "Have the outdoor coil cleaned",
  minutes: 45,
  work: [
    {
      id: "clean",
      kind: "clean",
      title: "Casing off, coil rinsed from inside outward",
      cleans: { what: "coil", how: "wet", staysWet: true },
    },
    {
      id: "look",
      kind: "inspect",
      title: "How does it look now?",
      photo: "after",
      records: { kind: "reading", reading: "coil" },
    },
  ],
});

export const replaceGasHose = work({
  id: "replace-gas-hose",
  title: "Have hose and regulator replaced",
  minutes: 20,
  gas: true,
  work: [
    { id: "new", kind: "fit", title: "New hose and regulator, dated" },
    { id: "tight", kind: "test", title: "Proved tight under pressure" },
  ],
});

export const lookAtAnode = work({
  id: "look-at-anode",
  title: "Have the anode looked at",
  minutes: 30,
  says: "A rod that rusts in the tank’s place: eaten through, the tank is next.",
  work: [
    { id: "out", kind: "inspect", title: "Anode out, measured, new one where it is spent" },
    { id: "tight", kind: "test", title: "Filled, tight, no air" },
  ],
});

/** What is tried before it is isolated, in either order; where the electrics come first, only afterwards. */
const VISIT_TESTS: Step[] = [
  { ...HEATING_SIDE, variants: ["heating-first"] },
  licensed({
    id: "season-side",
    kind: "test",
    title: "Start the side that works hardest next",
    detail: "Before summer the cooling, before winter the burner: a brief start, all its safeties.",
    runs: true,
    variants: ["season-first"],
    records: { kind: "reading", reading: "noise" },
    recordIsOptional: true,
  }),
];

/** Before, during and before they leave. */
export const technicianVisit: Procedure = {
  id: "technician-visit",
  title: "A technician’s visit",
  verb: "Brief",
  who: "licensed",
  handsOnMinutes: 60,
  waitingMinutes: 15,
  rules: true,
  gas: true,
  says: "Ready before they ring, measured while they are here, decided before they leave.",
  variants: [
    {
      id: "heating-first",
      name: "Heating side first",
      says: "Even in summer: what is unsafe there hurts.",
    },
    {
      id: "season-first",
      name: "The season’s side first",
      says: "What works hardest in the months to come is tried first, while there is time.",
    },
    {
      id: "electrics-first",
      name: "Electrics first",
      says: "Isolated at once: capacitors, ends and wires; it runs only once they are known.",
    },
  ],
  checks: [
    { id: "brief", words: "Units, access and what was put off are written down" },
    { id: "hatch", words: "Hatch, stairs and the way to it are clear" },
  ],
  steps: [
    {
      id: "questions",
      kind: "prepare",
      title: "Write your questions down",
      detail: "What you noticed, what was put off, what you would like to do yourself.",
      records: { kind: "words", label: "Questions" },
      recordIsOptional: true,
    },
    ...VISIT_TESTS,
    licensed({
      id: "power-off",
      kind: "shut",
      title: "Isolate it, prove it dead",
      shows: "shut-off",
      opens: [{ key: "power", end: "switch-off", thing: "power", state: "off" }],
    }),
    licensed({
      id: "plate",
      kind: "inspect",
      title: "Panels off: plates, wires, water",
      plate: "unit",
      records: { kind: "reading", reading: "wires" },
      recordIsOptional: true,
    }),
    licensed({
      id: "filter",
      kind: "inspect",
      title: "Look at the filter while it is open",
      detail:
        "A technician starves on a full filter too: figures of the blower mean nothing behind one.",
      records: { kind: "look", of: "its-filters" },
      recordIsOptional: true,
      when: "has-filters",
    }),
    licensed({
      id: "exchanger",
      kind: "inspect",
      title: "Heat exchanger: a look in, where it burns",
      records: { kind: "reading", reading: "heat-exchanger", at: "heat-exchanger" },
      recordIsOptional: true,
    }),
    licensed({
      id: "indoor-coil",
      kind: "inspect",
      title: "Indoor coil, pan and drain, where it cools",
      records: { kind: "reading", reading: "coil", at: "evaporator-coil" },
      recordIsOptional: true,
    }),
    licensed({
      id: "outdoor-coil",
      kind: "clean",
      title: "Outdoor coil: brushed or rinsed as it needs, base drains free",
      detail: "Where there is one. What was done is ticked below.",
    }),
    licensed(CAPACITORS),
    licensed({
      id: "replaced",
      kind: "fit",
      title: "What was replaced is measured again",
      records: { kind: "words", label: "Replaced, with its rating" },
      recordIsOptional: true,
    }),
    licensed({
      id: "power-on",
      kind: "restore",
      title: "Panels on, power on",
      closes: "power",
      shows: "shut-off",
    }),
    {
      ...HEATING_SIDE,
      id: "heating-after",
      title: "Now the heating side, even in summer",
      variants: ["season-first", "electrics-first"],
      ...unlessOff,
    },
    AMPS,
    STEADY,
    {
      id: "works",
      kind: "inspect",
      title: "What was really done, of all this?",
      detail:
        "Ask, and tick each: only what is ticked counts as done, a two-yearly test above all.",
      records: { kind: "works" },
      recordIsOptional: true,
      renews: true,
    },
    {
      id: "verdict",
      kind: "inspect",
      title: "The verdict, in plain words",
      detail: "Each finding: now, watched until, or declined. You decide.",
      records: { kind: "words", label: "Verdict, findings, decisions" },
      recordIsOptional: true,
    },
    {
      id: "sizes",
      kind: "label",
      title: "Note sizes and parts for the next time",
    },
    {
      id: "next",
      kind: "label",
      title: "Fix the next appointment before they go",
      detail: "Half a year or a year ahead.",
      records: { kind: "words", label: "Next appointment" },
      recordIsOptional: true,
    },
  ],
};

export const serviceRooftop: Procedure = {
  id: "service-rooftop",
  title: "Service the rooftop unit",
  verb: "Service",
  who: "licensed",
  handsOnMinutes: 60,
  waitingMinutes: 10,
  rules: true,
  checks: [
    { id: "weather", words: "Dry, no wind to speak of, not in the heat of noon" },
    { id: "ppe", words: "Glasses and a dust mask for each" },
  ],
  steps: [
    licensed({
      id: "power-off",
      kind: "shut",
      title: "Disconnect off, proved",
      shows: "shut-off",
      caution: "Edge secured or two metres away; nobody alone up there.",
      opens: [{ key: "power", end: "switch-off", thing: "disconnect", state: "off" }],
    }),
    licensed(coverOff("filter panel", { plate: "unit" })),
    licensed({
      id: "filters-out",
      kind: "remove",
      title: "Old filters out",
      photo: "before",
      opens: [{ key: "filters", end: "part-out", thing: "filters", state: "out" }],
      consumables: ["a bag for the old ones"],
    }),
    {
      id: "look",
      kind: "inspect",
      title: "How do the old ones look?",
      detail: "The worst of the bank: it teaches when the next are due.",
      records: { kind: "look", of: "its-filters" },
    },
    {
      id: "count-out",
      kind: "inspect",
      title: "Count the filters, read their size",
      records: { kind: "count", label: "filters that came out", known: "filters" },
    },
    {
      id: "coil-before",
      kind: "inspect",
      title: "How does the indoor coil look before it is touched?",
      photo: "before",
      records: { kind: "reading", reading: "coil", at: "evaporator-coil" },
      tools: ["a torch"],
    },
    licensed({
      id: "screen-out",
      kind: "remove",
      title: "Inlet screen out, washed, or a new one",
      detail: "It dries in the wind meanwhile.",
      opens: [{ key: "screen", end: "part-out", thing: "inlet screen", state: "out" }],
      does: ["inlet-screen:wash"],
      tools: ["a panel driver"],
    }),
    licensed({
      id: "evaporator",
      kind: "clean",
      title: "Brush the indoor coil gently, then no-rinse foam",
      cleans: { what: "coil", how: "dry" },
      consumables: ["no-rinse coil foam"],
      tools: ["a soft brush", "glasses", "a dust mask"],
      starts: { key: "foam", minutes: 10, words: "Foam works" },
      does: ["evaporator-coil:clean"],
    }),
    licensed({
      id: "trap",
      kind: "clean",
      title: "Meanwhile the trap: cleaned, and primed",
      does: ["condensate-trap:flush"],
    }),
    licensed({
      id: "condenser",
      kind: "inspect",
      title: "Look at the outdoor coil: bends, clogging; rinse it",
      does: ["condenser-coil:clean"],
    }),
    licensed({
      id: "fan",
      kind: "inspect",
      title: "Look at fan blades, belt and bearings",
      records: { kind: "reading", reading: "belt" },
      recordIsOptional: true,
    }),
    {
      id: "coil-look",
      kind: "inspect",
      title: "The foam has gone: how does the coil look now?",
      waitsFor: ["foam"],
      photo: "after",
      records: { kind: "reading", reading: "coil", at: "evaporator-coil" },
    },
    licensed({
      id: "screen-in",
      kind: "fit",
      title: "Screen back, dry",
      closes: "screen",
    }),
    licensed({
      id: "filters-in",
      kind: "fit",
      title: "New filters last, arrows toward the blower",
      detail: "The date on each frame.",
      closes: "filters",
      consumables: ["a set of new filters"],
      tools: ["a marker"],
      does: ["filter:renew"],
      renews: true,
    }),
    {
      id: "count-in",
      kind: "inspect",
      title: "Count the filters that are in",
      records: { kind: "count", label: "filters that went in", same: "count-out" },
      recalls: ["count-out"],
    },
    licensed(coverOn("filter panel", { detail: "All its screws." })),
    licensed({
      id: "power-on",
      kind: "restore",
      title: "Disconnect on",
      shows: "shut-off",
      closes: "power",
    }),
    hearIt(unlessOff),
    callFor({
      id: "bang",
      title: "Have it looked into before it runs on",
      whenSeen: { step: "hear-it", is: ["squeal", "rattle"] },
    }),
  ],
};
