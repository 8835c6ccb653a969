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
const RUNS = hearIt({ title: "See it run before they go" });

type Work = {
  id: string;
  title: string;
  minutes: number;
  says?: string;
  gas?: true;
  waiting?: number;
  work: Step[];
  after?: Step[];
};

/** The last of the work is what counts. */
const work = ({
  id,
  title,
  minutes,
  says,
  gas,
  waiting = 0,
  work: steps,
  after = [],
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
    OFF,
    ...steps.map((step, i) => licensed(i === steps.length - 1 ? { ...step, renews: true } : step)),
    ON,
    ...after,
    RUNS,
    SAID,
  ],
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
  work: [
    { id: "look", kind: "inspect", title: "Look in with mirror or camera" },
    { id: "test", kind: "measure", title: "Combustion analysis, blower off and on" },
  ],
  after: [
    {
      id: "result",
      kind: "inspect",
      title: "What came of it?",
      records: {
        kind: "choice",
        options: [
          { value: "sound", name: "Sound" },
          { value: "cracked", name: "Cracked", suggests: "It stays off. Ask for it in writing." },
        ],
      },
    },
  ],
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
  says: "The heating side first, even in summer; then capacitors, contactor, amps.",
  work: [
    {
      id: "heating",
      kind: "test",
      title: "Heating side: a brief start, safeties and sensors",
      detail: "Cleaned and proved; burners and blower’s wheel when dirty.",
    },
    { id: "discharge", kind: "inspect", title: "Discharge the capacitors, dust out the box" },
    {
      id: "capacitors",
      kind: "measure",
      title: "Capacitors, each section against its rating",
      records: { kind: "words", label: "Capacitor, section by section, µF" },
      recordIsOptional: true,
    },
    {
      id: "contactor",
      kind: "inspect",
      title: "Contactor and wire ends",
      records: { kind: "reading", reading: "wires" },
    },
  ],
  after: [
    licensed({
      id: "run",
      kind: "test",
      title: "Run a quarter of an hour: amps, pressures, temperatures",
      detail: "Against plate and the last visit.",
      records: { kind: "words", label: "Amps against plate, temperatures" },
      recordIsOptional: true,
    }),
  ],
});

export const replaceCapacitor = work({
  id: "replace-capacitor",
  title: "Have the capacitor replaced",
  minutes: 20,
  work: [
    { id: "discharge", kind: "inspect", title: "Discharge it, take its picture with the wires" },
    { id: "new", kind: "fit", title: "New one of the same rating and voltage" },
    {
      id: "measure",
      kind: "measure",
      title: "Measure the new one",
      records: { kind: "words", label: "Its rating and what it measured", keep: "rated" },
      recordIsOptional: true,
    },
  ],
});

export const checkFlue = work({
  id: "check-flue",
  title: "Have the flue checked",
  minutes: 20,
  gas: true,
  work: [
    { id: "look", kind: "inspect", title: "Look along it, inside and outside" },
    {
      id: "draught",
      kind: "measure",
      title: "Draught, spillage and carbon monoxide",
      records: { kind: "reading", reading: "vent-pipe" },
    },
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
    licensed({
      id: "heating-side",
      kind: "test",
      title: "The heating side first, even in summer",
      detail: "A brief start: draught fan, igniter, flames, blower; safeties proved.",
      records: { kind: "reading", reading: "flame" },
      recordIsOptional: true,
    }),
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
      title: "Panels off: plates, wires, water, coil",
      plate: "unit",
      records: { kind: "reading", reading: "wires" },
      recordIsOptional: true,
    }),
    licensed({
      id: "electrical",
      kind: "measure",
      title: "Capacitors, contactor, sensors",
      records: { kind: "words", label: "Measured, against what is printed" },
      recordIsOptional: true,
    }),
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
    licensed({
      id: "steady",
      kind: "measure",
      title: "A quarter of an hour’s running: amps, pressures, temperatures",
      records: { kind: "words", label: "Amps, temperatures, pressures" },
      recordIsOptional: true,
      renews: true,
    }),
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
    }),
    {
      id: "count-out",
      kind: "inspect",
      title: "Count the filters, read their size",
      records: { kind: "count", label: "filters that came out", known: "filters" },
    },
    licensed({
      id: "screen",
      kind: "clean",
      title: "Wash the inlet screen, or a new one",
      detail: "Dry before it goes back.",
    }),
    licensed({
      id: "evaporator",
      kind: "clean",
      title: "Brush the indoor coil gently, then no-rinse foam",
      cleans: { what: "coil", how: "dry" },
      consumables: ["no-rinse coil foam"],
      tools: ["a soft brush"],
      starts: { key: "foam", minutes: 10, words: "Foam works" },
    }),
    {
      id: "coil-look",
      kind: "inspect",
      title: "How does the coil look now?",
      photo: "after",
      records: { kind: "reading", reading: "coil" },
    },
    licensed({
      id: "trap",
      kind: "clean",
      title: "Clean the trap and prime it",
      waitsFor: ["foam"],
    }),
    licensed({
      id: "condenser",
      kind: "inspect",
      title: "Look at the outdoor coil: bends, clogging; rinse it",
      records: { kind: "reading", reading: "coil" },
      recordIsOptional: true,
    }),
    licensed({
      id: "fan",
      kind: "inspect",
      title: "Look at fan blades, belt and bearings",
      records: { kind: "reading", reading: "belt" },
      recordIsOptional: true,
    }),
    licensed({
      id: "filters-in",
      kind: "fit",
      title: "New filters last, arrows toward the blower",
      detail: "The date on each frame.",
      closes: "filters",
      consumables: ["a set of new filters"],
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
