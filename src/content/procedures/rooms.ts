import type { Procedure } from "@/core/runs/procedure";
import { LEFT_OPEN } from "../keys";
import { callFor, countedIn, countedOut, coverOff, coverOn, grilleOff, grilleOn } from "./common";

/** What is done in the rooms: registers, thermostats, alarms, and the shut-offs everybody has to know. */
export const countRegisters: Procedure = {
  id: "count-registers",
  title: "Count registers, free the returns",
  verb: "Count",
  who: "owner",
  handsOnMinutes: 20,
  waitingMinutes: 0,
  says: "Never more than a third shut, better none; a return never.",
  steps: [
    {
      id: "shut",
      kind: "inspect",
      title: "Walk every floor: how many registers are shut?",
      detail: "Count them through the whole house.",
      records: { kind: "count", label: "Registers shut" },
    },
    {
      id: "open",
      kind: "clean",
      title: "Open what nobody has a reason to shut",
      why: "A shut register warms nobody else: the blower works harder, the coil ices sooner.",
    },
    {
      id: "returns",
      kind: "inspect",
      title: "Free every return",
      detail: "No sofa, rug, curtain or box before it; a hand’s breadth and more.",
    },
    {
      id: "vacuum",
      kind: "clean",
      title: "Vacuum the grilles as they sit",
      detail: "With a brush, along the blades.",
      tools: ["a vacuum with a brush"],
      renews: true,
    },
    {
      id: "screws",
      kind: "inspect",
      title: "Tighten what rattles",
      tools: ["a screwdriver"],
    },
  ],
};

export const washRegisters: Procedure = {
  id: "wash-registers",
  title: "Wash registers, vacuum their boots",
  verb: "Wash",
  who: "owner",
  handsOnMinutes: 40,
  waitingMinutes: 20,
  steps: [
    {
      id: "fan-off",
      kind: "shut",
      title: "Turn the fan off at the thermostat",
      detail: "Nothing blows while the grilles are off. Write down how it stood.",
      changesSetting: true,
      records: { kind: "setting", key: "fan", label: "Fan" },
      recordIsOptional: true,
      opens: [{ key: "setting", end: "setting-changed", thing: "fan", state: "off" }],
    },
    grilleOff({ title: "Take the grilles of one floor off", detail: "Screws into a cup." }),
    countedOut("screws"),
    {
      id: "debris",
      kind: "inspect",
      title: "What lies in the boots?",
      detail: "With a torch. Touch nothing dark.",
      tools: ["a torch"],
      photo: "before",
      records: { kind: "reading", reading: "duct-debris" },
    },
    {
      id: "amount",
      kind: "inspect",
      title: "And how much of it?",
      detail: "A layer one can wipe off is yours; felted thick it is for cleaners.",
      records: { kind: "reading", reading: "duct-amount" },
    },
    callFor({
      id: "cleaners",
      title: "Have them cleaned: it is more than an arm reaches",
      detail:
        "By people with a sealed collection point and a HEPA vacuum. Grilles back on meanwhile.",
      whenSeen: { step: "amount", is: ["heavy"] },
    }),
    {
      id: "boots",
      kind: "clean",
      title: "Vacuum the boots as far as the arm reaches",
      detail: "Toys and screws out by hand first.",
      caution: "Old grey wrap or insulation round the duct may hold asbestos: leave it alone.",
      tools: ["a vacuum with a long brush", "gloves"],
      renews: true,
    },
    {
      id: "wash",
      kind: "clean",
      title: "Brush the grilles, then wash them",
      detail: "Warm water, mild soap. Steel ones are dried at once.",
      cleans: { what: "grille", how: "wet" },
      consumables: ["mild soap"],
    },
    {
      id: "to-dry",
      kind: "clean",
      title: "Set the grilles to dry",
      opens: [
        { key: "drying", end: "part-drying", thing: "grilles", state: "drying", dryMinutes: 20 },
      ],
    },
    {
      id: "dry",
      kind: "wait",
      title: "Dry, between the blades too?",
      closes: "drying",
    },
    grilleOn({ title: "Put the grilles back" }),
    countedIn("screws"),
    {
      id: "fan-on",
      kind: "restore",
      title: "Set the fan as it was",
      closes: "setting",
      recalls: ["fan-off"],
    },
  ],
};

export const vacuumGrilles: Procedure = {
  id: "vacuum-grilles",
  title: "Vacuum a machine’s grilles",
  verb: "Vacuum",
  who: "owner",
  handsOnMinutes: 10,
  waitingMinutes: 0,
  steps: [
    {
      id: "off",
      kind: "shut",
      title: "Switch it off, and let it cool",
      detail: "At its own button.",
      changesSetting: true,
      opens: [{ key: "setting", end: "setting-changed", thing: "machine", state: "off" }],
    },
    {
      id: "vacuum",
      kind: "clean",
      title: "Vacuum its grilles from outside",
      detail: "A soft brush, along the blades. Nothing pushed through them.",
      tools: ["a vacuum with a soft brush"],
      renews: true,
    },
    {
      id: "free",
      kind: "inspect",
      title: "See that nothing stands before them",
      detail: "Half a metre before the front; no curtain, no washing.",
    },
    { id: "on", kind: "restore", title: "Switch it on as it was", closes: "setting" },
  ],
};

export const changeBatteries: Procedure = {
  id: "change-batteries",
  title: "Put new batteries into a thermostat or an alarm",
  verb: "Change",
  who: "owner",
  handsOnMinutes: 5,
  waitingMinutes: 0,
  steps: [
    {
      id: "note",
      kind: "prepare",
      title: "Write down mode and setting",
      detail: "Some forget them without their battery.",
      when: "keeps-settings",
      photo: "before",
      records: { kind: "setting", key: "mode", label: "Mode and setting" },
      recordIsOptional: true,
    },
    {
      id: "open",
      kind: "open",
      title: "Open it, and read what its batteries are",
      opens: [{ key: "cover", end: "panel-off", thing: "cover", state: "off", harmless: true }],
      records: { kind: "words", label: "Which batteries", keep: "type" },
      recordIsOptional: true,
    },
    {
      id: "out",
      kind: "remove",
      title: "Take the old ones out, all of them",
      opens: [
        { key: "batteries", end: "part-out", thing: "batteries", state: "out", harmless: true },
      ],
    },
    {
      id: "contacts",
      kind: "inspect",
      title: "Look at the contacts",
      detail: "White or green crust: a dry cloth, then a pencil’s rubber.",
    },
    {
      id: "in",
      kind: "fit",
      title: "Put the new ones in, all new, poles as drawn",
      closes: "batteries",
      consumables: ["new batteries"],
      renews: true,
    },
    { id: "shut", kind: "restore", title: "Close it", closes: "cover" },
    {
      id: "as-before",
      kind: "test",
      title: "See that it stands as before",
      detail: "Mode, setting, hour and day.",
      when: "keeps-settings",
      recalls: ["note"],
    },
    {
      id: "sounds",
      kind: "test",
      title: "An alarm: press its test until it sounds",
      detail: "New batteries do not make it younger: its date counts.",
      unlessSeen: { step: "in", is: [LEFT_OPEN] },
    },
  ],
};

export const checkProgramme: Procedure = {
  id: "check-programme",
  title: "Check a thermostat’s times and its reading",
  verb: "Check",
  who: "owner",
  handsOnMinutes: 5,
  waitingMinutes: 15,
  steps: [
    {
      id: "hang",
      kind: "measure",
      title: "Hang a thermometer beside it for a quarter of an hour",
      detail: "Not in the sun, not over a lamp.",
      tools: ["a thermometer"],
      starts: { key: "settle", minutes: 15, words: "Thermometer settles" },
    },
    {
      id: "times",
      kind: "inspect",
      title: "Is its schedule as it should be?",
      detail: "Hour and weekday right, no hold left over from a holiday.",
      recordIsOptional: true,
      records: { kind: "setting", key: "mode", label: "Mode and setting" },
    },
    {
      id: "battery",
      kind: "inspect",
      title: "Does it warn of its battery?",
      when: "on-batteries",
      records: {
        kind: "choice",
        options: [
          { value: "fine", name: "No warning" },
          {
            value: "weak",
            name: "It warns",
            suggests: "New ones today: a dead one lets pipes freeze.",
          },
        ],
      },
    },
    {
      id: "offset",
      kind: "measure",
      title: "Its display less the thermometer",
      waitsFor: ["settle"],
      records: {
        kind: "reading",
        reading: "sensor-offset-k",
        difference: ["Its display", "The thermometer"],
      },
      recordIsOptional: true,
      renews: true,
    },
  ],
};

export const testAlarms: Procedure = {
  id: "test-alarms",
  title: "Press the test of every alarm",
  verb: "Test",
  who: "owner",
  handsOnMinutes: 5,
  waitingMinutes: 0,
  gas: true,
  household: "That it will sound, and that it is a test.",
  steps: [
    {
      id: "co",
      kind: "test",
      title: "Every CO alarm: press, hear it, read its display",
      detail: "One whose print says smoke and CO has two sounds: wait for both.",
      caution:
        "One that sounds by itself: everyone out, then call. Many stay silent below 50 ppm, so silence is no reading.",
      records: { kind: "alarms" },
      recordIsOptional: true,
    },
    {
      id: "smoke",
      kind: "test",
      title: "Every smoke alarm: press until it sounds",
      detail: "One per floor, one in each room somebody sleeps in.",
      recordIsOptional: true,
      records: {
        kind: "choice",
        options: [
          { value: "all", name: "All sounded" },
          {
            value: "silent",
            name: "One stayed silent",
            suggests: "Its battery now; else a new one.",
          },
          { value: "none", name: "There is none", suggests: "One per floor and sleeping room." },
        ],
      },
    },
    {
      id: "places",
      kind: "inspect",
      title: "Is there a CO alarm on every lived-in floor?",
      detail: "And within about 3 m of the bedrooms’ doors.",
      renews: true,
    },
  ],
};

export const replaceAlarm: Procedure = {
  id: "replace-alarm",
  title: "Replace the alarm",
  verb: "Replace",
  who: "owner",
  handsOnMinutes: 10,
  waitingMinutes: 0,
  gas: true,
  checks: [{ id: "new", words: "The new one is here: no day goes by without" }],
  steps: [
    {
      id: "down",
      kind: "remove",
      title: "Take the old one down",
      detail: "A quarter turn off its base. One wired to others: its plug by its tab.",
      opens: [{ key: "alarm", end: "part-out", thing: "alarm", state: "down", harmless: true }],
    },
    {
      id: "date",
      kind: "inspect",
      title: "Read the day on the back of the new one",
      detail: "Its life counts from when it was made, not from when you bought it.",
      plate: "unit",
      plateIsNew: true,
    },
    {
      id: "up",
      kind: "fit",
      title: "Put the new one up where the old one was",
      detail: "Its battery in or its tab drawn. A new base where the old does not fit.",
      closes: "alarm",
      consumables: ["a new alarm"],
      renews: true,
    },
    {
      id: "test",
      kind: "test",
      title: "Press its test until it sounds",
      detail:
        "A combined one has two sounds, for smoke and for CO, as its print says: wait for both.",
    },
    {
      id: "zero",
      kind: "test",
      title: "Does its display read zero after a minute?",
      caution: "A new one that shows more than zero is believed: everyone outside, then call.",
      when: "has-display",
      records: { kind: "reading", reading: "co-ppm" },
    },
  ],
};

export const dustSmokeAlarm: Procedure = {
  id: "dust-smoke-alarm",
  title: "Vacuum a smoke alarm, and test it",
  verb: "Vacuum",
  who: "owner",
  handsOnMinutes: 5,
  waitingMinutes: 0,
  household: "That it will sound, and that it is a test.",
  steps: [
    {
      id: "vacuum",
      kind: "clean",
      title: "Vacuum it all round, as it hangs",
      detail: "A soft brush. Dust makes it shout at night, or not at all.",
      tools: ["a vacuum with a soft brush", "a step"],
    },
    {
      id: "date",
      kind: "inspect",
      title: "Read the day it was made",
      detail:
        "Ten years is its life; where it looks for CO too, what its print says: five to seven.",
      plate: "unit",
    },
    {
      id: "test",
      kind: "test",
      title: "Press its test until it sounds",
      detail:
        "Smoke and CO in one: its print says both words, and it has two sounds. Wait for both.",
      renews: true,
    },
  ],
};

export const learnShutOffs: Procedure = {
  id: "learn-shut-offs",
  title: "Learn your shut-offs",
  verb: "Learn",
  who: "owner",
  handsOnMinutes: 15,
  waitingMinutes: 0,
  gas: true,
  says: "Once, and again with everybody who moves in: in the dark, with water running, nobody reads.",
  household: "That power goes off for a moment, and where the water is shut.",
  steps: [
    {
      id: "water",
      kind: "inspect",
      title: "Find the main water valve, and turn it once",
      detail: "A tap shows whether it shuts. Stiff: do not force it, have it freed.",
      photo: "after",
    },
    {
      id: "gas",
      kind: "inspect",
      title: "Find the gas valve, and see which way it is shut",
      detail: "A handle across the pipe is shut, along it open. Look only: pilots go out.",
      photo: "after",
      recordIsOptional: true,
      records: {
        kind: "choice",
        options: [
          { value: "found", name: "Found" },
          { value: "none", name: "No gas here" },
          { value: "lost", name: "Not found", suggests: "Follow the pipe away from the machine." },
        ],
      },
    },
    {
      id: "board",
      kind: "inspect",
      title: "Find the board, and read its breakers",
      detail: "Each of this house’s machines has one: labelled, in words others understand.",
      photo: "after",
      consumables: ["labels"],
    },
    {
      id: "each",
      kind: "test",
      title: "Try each machine’s own switch",
      detail: "Off, it stands still; on again. Not found: follow the cable away from it.",
      tools: ["a torch"],
    },
    {
      id: "people",
      kind: "inspect",
      title: "Show everybody in the house",
      detail: "Water, gas, power: each finds it once alone.",
      renews: true,
    },
  ],
};

export const lookAtFilter: Procedure = {
  id: "look-at-filter",
  title: "Look at the filter",
  verb: "Look",
  who: "owner",
  handsOnMinutes: 2,
  waitingMinutes: 0,
  steps: [
    {
      id: "off",
      kind: "shut",
      title: "Switch its machine off for the moment",
      shows: "shut-off",
      opens: [{ key: "power", end: "switch-off", thing: "power", state: "off" }],
    },
    coverOff("slot’s cover", { title: "Open its slot or grille" }),
    {
      id: "look",
      kind: "inspect",
      title: "How does it look?",
      detail: "Drawn out a hand’s breadth, against a lamp: blocked light is blocked air.",
      records: { kind: "look" },
      tools: ["a torch"],
      photo: "before",
      renews: true,
    },
    {
      id: "frame",
      kind: "inspect",
      title: "Is there dust past its frame?",
      recordIsOptional: true,
      records: {
        kind: "choice",
        options: [
          { value: "none", name: "None" },
          {
            value: "past",
            name: "Dust on the clean side",
            suggests: "It is too small for its slot, or its seal is gone. Measure both.",
          },
        ],
      },
    },
    coverOn("slot’s cover", { title: "Push it in as it was, close the slot" }),
    {
      id: "on",
      kind: "restore",
      title: "Switch it on",
      shows: "shut-off",
      closes: "power",
    },
  ],
};
