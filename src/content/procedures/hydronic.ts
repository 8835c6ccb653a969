import type { Procedure, Step } from "@/core/runs/procedure";
import { callFor, licensed } from "./common";
import {
  IS_IT_COOL,
  MAGNET,
  POWER_OFF,
  PRESSURE_OUT,
  TOWELS,
  WATER_SIDE,
  WAY_BACK,
  WITHOUT_PRESSURE,
} from "./magnetic-filter";

/** What is done at a boiler’s water: pressure, air, inhibitor, the lid of its magnetic filter. */
const COLD = { id: "cold", words: "The heating is cold: off since the night, or two hours" };

export const readPressure: Procedure = {
  id: "read-pressure",
  title: "Read the pressure, cold",
  verb: "Read",
  who: "owner",
  handsOnMinutes: 2,
  waitingMinutes: 0,
  checks: [{ ...COLD, when: "sealed-system" }],
  steps: [
    {
      id: "pressure",
      kind: "measure",
      title: "Read its gauge",
      detail: "About 1.5 bar (22 psi) cold.",
      when: "sealed-system",
      records: { kind: "reading", reading: "boiler-pressure-bar" },
    },
    {
      id: "tank",
      kind: "inspect",
      title: "Look into the header tank",
      detail: "A hand’s breadth of water, the ball valve moves, no scum.",
      when: "header-tank",
      recordIsOptional: true,
      records: {
        kind: "choice",
        options: [
          { value: "fine", name: "Water stands, the valve moves" },
          { value: "low", name: "Low or empty", suggests: "Its valve sticks: have it freed." },
        ],
      },
    },
    {
      id: "weeps",
      kind: "inspect",
      title: "Look below valves and joints",
      detail: "Green or white crust is an old weep.",
      renews: true,
      records: { kind: "reading", reading: "water-at-unit" },
      recordIsOptional: true,
    },
  ],
};

export const topUpPressure: Procedure = {
  id: "top-up-pressure",
  title: "Bring the pressure back",
  verb: "Top up",
  who: "owner",
  handsOnMinutes: 10,
  waitingMinutes: 0,
  checks: [COLD],
  steps: [
    {
      id: "before",
      kind: "measure",
      title: "Read its gauge first",
      records: { kind: "reading", reading: "boiler-pressure-bar" },
    },
    {
      id: "loop-on",
      kind: "open",
      title: "Open the filling loop slowly",
      detail: "Both its valves a little; water is heard. On some a key goes in first.",
      caution: "Stand by it: left open it fills until its safety valve spits.",
      opens: [{ key: "loop", end: "valve-open", thing: "filling loop", state: "open" }],
    },
    {
      id: "loop-off",
      kind: "restore",
      title: "Shut both valves at about 1.5 bar (22 psi)",
      detail: "And take the hose off where local rules ask for it.",
      closes: "loop",
      renews: true,
    },
    {
      id: "after",
      kind: "measure",
      title: "Read it once more",
      detail: "In a week again: what falls has a leak.",
      records: { kind: "reading", reading: "boiler-pressure-bar" },
    },
    {
      id: "how-often",
      kind: "inspect",
      title: "How often was it topped up this year?",
      recordIsOptional: true,
      records: {
        kind: "choice",
        options: [
          { value: "seldom", name: "Once or never" },
          {
            value: "often",
            name: "More than twice",
            suggests:
              "There is a leak: each filling brings air and takes the inhibitor’s strength.",
          },
        ],
      },
    },
  ],
};

export const testHeatingWater: Procedure = {
  id: "test-heating-water",
  title: "Test the heating’s water",
  verb: "Test",
  who: "owner",
  handsOnMinutes: 10,
  waitingMinutes: 0,
  checks: [COLD],
  steps: [
    {
      id: "sample",
      kind: "prepare",
      title: "Draw a glass from a radiator’s bleed point",
      detail: "A key a quarter turn, a cloth beneath; shut again.",
      tools: ["a bleed key", "a glass", "a cloth"],
    },
    {
      id: "colour",
      kind: "inspect",
      title: "Which colour has it, against the light?",
      photo: "before",
      records: { kind: "reading", reading: "heating-water" },
    },
    {
      id: "strip",
      kind: "measure",
      title: "Dip the strip, read it after its time",
      detail: "Against the chart it came with.",
      records: { kind: "reading", reading: "inhibitor-strip" },
      consumables: ["an inhibitor test strip"],
      renews: true,
    },
    {
      id: "dose",
      kind: "inspect",
      title: "Work out what it lacks",
      detail:
        "Boiler and radiators together. It goes in by a job of its own: the filter’s body shut off, let down and drained, filling after filling.",
      whenSeen: { step: "strip", is: ["low", "none"] },
      shows: "dose",
      recordIsOptional: true,
      records: { kind: "words", label: "Which inhibitor is in", keep: "inhibitor" },
    },
    callFor({
      id: "flush",
      title: "Have it flushed",
      detail: "Black or brown water eats what is thin: flushed first, inhibitor after.",
      whenSeen: { step: "colour", is: ["brown", "black"] },
    }),
  ],
};

export const bleedRadiators: Procedure = {
  id: "bleed-radiators",
  title: "Bleed the radiators",
  verb: "Bleed",
  who: "owner",
  handsOnMinutes: 20,
  waitingMinutes: 0,
  checks: [COLD],
  steps: [
    {
      id: "off",
      kind: "shut",
      title: "Switch the heating off, pump standing",
      detail: "A running pump draws air in instead.",
      shows: "shut-off",
      opens: [{ key: "power", end: "switch-off", thing: "heating", state: "off" }],
    },
    {
      id: "bleed",
      kind: "clean",
      title: "Bleed each, the highest last",
      detail: "A quarter turn until water comes, shut. A cloth and a cup beneath.",
      tools: ["a bleed key", "a cloth", "a cup"],
      renews: true,
      records: { kind: "works", of: "radiator" },
      recordIsOptional: true,
    },
    {
      id: "count",
      kind: "inspect",
      title: "In how many was there air?",
      records: { kind: "count", label: "Radiators with air" },
      recordIsOptional: true,
    },
    {
      id: "pressure",
      kind: "measure",
      title: "Read the pressure",
      when: "sealed-system",
      records: { kind: "reading", reading: "boiler-pressure-bar" },
    },
    {
      id: "loop-on",
      kind: "open",
      title: "Open the filling loop until about 1.5 bar (22 psi)",
      detail: "Slowly, standing by it.",
      when: "sealed-system",
      opens: [
        {
          key: "loop",
          end: "valve-open",
          thing: "filling loop",
          state: "open",
          when: "sealed-system",
        },
      ],
    },
    {
      id: "loop-off",
      kind: "restore",
      title: "Shut the filling loop",
      when: "sealed-system",
      closes: "loop",
    },
    {
      id: "tank",
      kind: "inspect",
      title: "See that the header tank has filled again",
      when: "header-tank",
    },
    {
      id: "on",
      kind: "restore",
      title: "Switch the heating on",
      shows: "shut-off",
      closes: "power",
    },
    {
      id: "warm",
      kind: "test",
      title: "Warm to the top, an hour later?",
      recordIsOptional: true,
      records: {
        kind: "choice",
        options: [
          { value: "all", name: "Every one" },
          { value: "top", name: "One cold at its top", suggests: "Air again: bleed that one." },
          { value: "foot", name: "One cold at its foot", suggests: "Sludge: test the water." },
        ],
      },
    },
  ],
};

export const newLidRing: Procedure = {
  id: "new-lid-ring",
  title: "Put in a new washer or lid ring",
  verb: "Fit",
  who: "owner",
  handsOnMinutes: 15,
  waitingMinutes: 0,
  asks: [WATER_SIDE],
  checks: [COLD, { id: "ring", words: "The new ring is here: under warranty, the maker’s own" }],
  steps: [
    ...WITHOUT_PRESSURE,
    {
      id: "lid-off",
      kind: "open",
      title: "Unscrew the lid over a bucket",
      detail: "With its own key.",
      caution: MAGNET,
      plate: "part",
      photo: "before",
      opens: [{ key: "lid", end: "panel-off", thing: "lid", state: "off" }],
      tools: ["its lid key"],
    },
    {
      id: "ring",
      kind: "fit",
      title: "Lift the old ring out, lay the new one in",
      detail: "Groove wiped; silicone grease, never mineral oil.",
      consumables: ["a new lid ring or washer", "silicone grease"],
      renews: true,
    },
    {
      id: "lid-on",
      kind: "restore",
      title: "Lid into its notches, then hand-tight",
      detail: "It sits flat all round before you turn it.",
      closes: "lid",
    },
    { id: "bleed-shut", kind: "restore", title: "Shut the bleed", closes: "bleed" },
    {
      id: "dry",
      kind: "clean",
      title: "Wipe everything dry",
      detail: "So that a weep shows.",
      tools: ["a cloth"],
    },
    ...WAY_BACK,
  ],
};

/** So many fillings of a filter’s body are led; a heating that wants more is dosed by a technician. */
const MOST_FILLINGS = 4;
const ANOTHER = "another";

/** One filling of the body: shut off, let down, drained, filled, and carried round by the pump. */
function filling(n: number): Step[] {
  const named = (id: string, of = n) => `${id}-${of}`;
  const only = n === 1 ? {} : { whenSeen: { step: named("more", n - 1), is: [ANOTHER] } };
  const step = (id: string, rest: Omit<Step, "id">): Step => ({
    ...rest,
    ...only,
    id: named(id),
  });
  return [
    step("power-off", {
      ...POWER_OFF,
      opens: [{ key: named("power"), end: "switch-off", thing: "boiler", state: "off" }],
    }),
    step("cool", { ...IS_IT_COOL, repeats: { ...IS_IT_COOL.repeats!, from: named("cool") } }),
    step("valves", {
      kind: "shut",
      title: "Shut both valves beside the filter",
      detail: "A quarter turn each, across the pipe.",
      opens: [{ key: named("valves"), end: "valve-shut", thing: "both valves", state: "shut" }],
    }),
    step("bleed-open", {
      ...PRESSURE_OUT,
      opens: [{ key: named("bleed"), end: "bleed-open", thing: "bleed", state: "open" }],
    }),
    step("drain-open", {
      kind: "open",
      title: "Drain the body into the bucket",
      opens: [{ key: named("drain"), end: "drain-open", thing: "drain", state: "open" }],
      tools: ["the drain’s own spanner"],
    }),
    step("lid-off", {
      kind: "open",
      title: "Turn the lid off with its key",
      caution: MAGNET,
      opens: [{ key: named("lid"), end: "panel-off", thing: "lid", state: "off" }],
      tools: ["the lid’s key"],
    }),
    step("drain-shut", {
      kind: "restore",
      title: "Shut the drain on its washer",
      closes: named("drain"),
      outOfTurn: "The body has to hold before inhibitor goes in.",
    }),
    step("pour", {
      kind: "fit",
      title: "Pour inhibitor in, half to three quarters full",
      detail: "The core stays in and needs its room.",
      caution: "Gloves; wipe up what drips.",
      shows: "dose",
      tools: ["gloves", "a funnel"],
      consumables: ["inhibitor for heating water"],
      ...(n === 1 ? { renews: true as const } : {}),
    }),
    step("lid-on", {
      kind: "restore",
      title: "Lid into its notches, then hand-tight",
      closes: named("lid"),
    }),
    step("bleed-shut", { kind: "restore", title: "Shut the bleed", closes: named("bleed") }),
    step("valves-open", {
      kind: "restore",
      title: "Open both valves, slowly, looking for a weep",
      closes: named("valves"),
    }),
    step("power-on", {
      kind: "restore",
      title: "Boiler on: its pump carries the filling round",
      shows: "shut-off",
      closes: named("power"),
      starts: { key: named("round"), minutes: 15, words: "Inhibitor goes round" },
    }),
    step("more", {
      kind: "inspect",
      title:
        n === MOST_FILLINGS ? "Was that the whole dose?" : "Does the dose want another filling?",
      detail: "As the sheet worked it out. The next one only once this one went round.",
      shows: "dose",
      waitsFor: [named("round")],
      records: {
        kind: "choice",
        options: [
          { value: "enough", name: "That was all" },
          n === MOST_FILLINGS
            ? {
                value: "short",
                name: "It wants more",
                suggests: "More than four fillings: have the rest pumped in by a technician.",
              }
            : { value: ANOTHER, name: "Another filling" },
        ],
      },
    }),
  ];
}

export const doseInhibitor: Procedure = {
  id: "dose-inhibitor",
  title: "Put inhibitor in",
  verb: "Dose",
  who: "owner",
  handsOnMinutes: 25,
  waitingMinutes: 15,
  rules: true,
  asks: [WATER_SIDE],
  says: "Filling after filling through the filter’s body, each carried round by the pump before the next.",
  checks: [
    COLD,
    { id: "same", words: "The inhibitor is the kind that is in already, or the water was flushed" },
    { id: "key", words: "The lid’s own key is there" },
  ],
  steps: [
    TOWELS,
    ...Array.from({ length: MOST_FILLINGS }, (_, i) => filling(i + 1)).flat(),
    {
      id: "pressure",
      kind: "measure",
      title: "Read the pressure",
      detail:
        "About 1.5 bar (22 psi) cold. If it is lower, top the heating up: that is a short job of its own.",
      when: "sealed-system",
      records: { kind: "reading", reading: "boiler-pressure-bar" },
    },
    {
      id: "dry",
      kind: "inspect",
      title: "Dry round the lid and both valves?",
      records: { kind: "reading", reading: "water-at-unit" },
    },
  ],
};

export const flushBeforeNewBoiler: Procedure = {
  id: "flush-before-new-boiler",
  title: "Flush before a new boiler",
  verb: "Brief",
  who: "licensed",
  handsOnMinutes: 180,
  waitingMinutes: 60,
  rules: true,
  says: "A new boiler on old sludge loses its warranty: what to ask for, and what to keep.",
  steps: [
    {
      id: "brief",
      kind: "prepare",
      title: "Agree what is done, in writing",
      detail: "Which way of flushing, each radiator by itself, filter fitted, inhibitor dosed.",
    },
    {
      id: "before",
      kind: "inspect",
      title: "Keep a glass of the water from before",
      photo: "before",
      records: { kind: "reading", reading: "heating-water" },
    },
    licensed({
      id: "flush",
      kind: "clean",
      title: "Flush each circuit until it runs clear",
      detail: "Chemical in, circulated, rinsed out; each radiator by itself.",
      consumables: ["flushing chemical"],
    }),
    {
      id: "after",
      kind: "inspect",
      title: "Compare the water of after",
      photo: "after",
      records: { kind: "reading", reading: "heating-water" },
      repeats: { from: "flush", until: ["clear", "straw"] },
    },
    licensed({
      id: "filter",
      kind: "fit",
      title: "Fit a magnetic filter on the return",
      detail: "Where an owner reaches it, with room for a bucket.",
    }),
    licensed({
      id: "dose",
      kind: "fit",
      title: "Dose the inhibitor",
      detail: "By litres of the system; its label stays at the boiler.",
      shows: "dose",
      renews: true,
      consumables: ["inhibitor"],
    }),
    {
      id: "papers",
      kind: "label",
      title: "Keep the papers",
      detail: "Who, when, what was dosed: the maker asks for them.",
      photo: "after",
    },
  ],
};
