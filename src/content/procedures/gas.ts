import type { Procedure } from "@/core/runs/procedure";
import { callFor, hearIt, powerOff, powerOn, unlessOff } from "./common";

/** Portable gas heaters, flueless ones too, and a tank water heater. */
const IF_GAS =
  "Gas smell? No switch, no flame: bottle shut if you reach it, out, call from outside.";

export const checkRoomAir: Procedure = {
  id: "check-room-air",
  title: "See that the room has air",
  verb: "Look",
  who: "owner",
  handsOnMinutes: 5,
  waitingMinutes: 0,
  gas: true,
  says: "It burns the air of the room it stands in: what it takes has to come in again.",
  steps: [
    {
      id: "opening",
      kind: "inspect",
      title: "Is the opening to outside free?",
      detail: "A vent low and one high, or a window a hand’s breadth open; nothing stuffed in.",
      caution: "Never in a bedroom or a bath, never left burning while people sleep.",
    },
    {
      id: "alarm",
      kind: "inspect",
      title: "Is there a CO alarm in this room, and does it sound?",
      records: {
        kind: "choice",
        options: [
          { value: "sounds", name: "It sounded" },
          {
            value: "none",
            name: "There is none, or it stayed silent",
            suggests: "It is not lit until one hangs here.",
          },
        ],
      },
    },
    {
      id: "no-alarm",
      kind: "caution",
      title: "Leave it off until a CO alarm hangs here",
      whenSeen: { step: "alarm", is: ["none"] },
      endsJob: true,
      keepsOff: "No CO alarm in its room: not lit until one hangs there.",
    },
    {
      id: "clear",
      kind: "inspect",
      title: "Is a metre before it free, on the floor too?",
      detail: "Washing, curtains, newspaper: nothing dries before it.",
      renews: true,
    },
    {
      id: "flame",
      kind: "test",
      title: "Light it: how does it burn?",
      caution: IF_GAS,
      records: { kind: "reading", reading: "flame" },
      recordIsOptional: true,
    },
  ],
};

export const checkGasHose: Procedure = {
  id: "check-gas-hose",
  title: "Check hose and joints for leaks",
  verb: "Check",
  who: "owner",
  handsOnMinutes: 10,
  waitingMinutes: 0,
  gas: true,
  rules: true,
  steps: [
    {
      id: "date",
      kind: "inspect",
      title: "Read the date printed on the hose",
      detail: "Past it, or five years from it: it is replaced, whatever it looks like.",
      records: { kind: "words", label: "Date on the hose", keep: "hose-date" },
      recordIsOptional: true,
      plate: "part",
    },
    {
      id: "bend",
      kind: "inspect",
      title: "Bend it in a bow: cracks?",
      detail: "Heater off and cold, bottle shut. Nothing pinched, nowhere near the burner.",
      records: {
        kind: "choice",
        options: [
          { value: "sound", name: "Smooth and supple" },
          { value: "cracked", name: "Cracked, hard or past its date" },
        ],
      },
    },
    callFor({
      id: "replace",
      title: "Have hose and regulator replaced",
      detail: "The bottle stays shut until then. Local rules say who may.",
      whenSeen: { step: "bend", is: ["cracked"] },
    }),
    {
      id: "foam",
      kind: "test",
      title: "Brush soapy water on each joint, bottle open, heater off",
      detail: "Growing bubbles are a leak. Never a flame.",
      caution: IF_GAS,
      consumables: ["soapy water"],
      tools: ["a brush"],
      records: {
        kind: "choice",
        options: [
          { value: "tight", name: "No bubbles" },
          { value: "bubbles", name: "Bubbles", suggests: "Bottle shut, window open." },
        ],
      },
      renews: true,
    },
    callFor({
      id: "leak",
      title: "Have the leak mended",
      detail: "Bottle shut at its valve and outside the house until then.",
      whenSeen: { step: "foam", is: ["bubbles"] },
    }),
  ],
};

export const changeGasBottle: Procedure = {
  id: "change-gas-bottle",
  title: "Change the gas bottle",
  verb: "Change",
  who: "owner",
  handsOnMinutes: 10,
  waitingMinutes: 0,
  gas: true,
  rules: true,
  checks: [{ id: "flame", words: "No flame, no cigarette, no lit heater in the room" }],
  steps: [
    {
      id: "heater-off",
      kind: "shut",
      title: "Turn the heater off",
      detail: "Its flame out, its panels dark and cool.",
      changesSetting: true,
      opens: [{ key: "heater", end: "setting-changed", thing: "heater", state: "off" }],
    },
    {
      id: "bottle-shut",
      kind: "shut",
      title: "Shut the valve on the bottle",
      detail: "Clockwise, by hand. Even an empty one.",
      shows: "shut-off",
      opens: [{ key: "gas", end: "gas-shut", thing: "bottle", state: "shut" }],
    },
    {
      id: "regulator-off",
      kind: "remove",
      title: "Take the regulator off",
      detail: "Many screw the other way round: left-handed.",
      opens: [
        { key: "regulator", end: "part-out", thing: "regulator", state: "off", harmless: true },
      ],
    },
    {
      id: "seal",
      kind: "inspect",
      title: "Look at its seal",
      records: { kind: "reading", reading: "seal" },
    },
    {
      id: "swap",
      kind: "remove",
      title: "Empty bottle out, full one in, upright",
      detail: "Cap on the empty one, outside; never in a cellar: the gas is heavier than air.",
      consumables: ["a full gas bottle"],
    },
    {
      id: "regulator-on",
      kind: "fit",
      title: "Regulator on, tight by hand or its own key",
      closes: "regulator",
      renews: true,
    },
    {
      id: "bottle-open",
      kind: "restore",
      title: "Open the bottle’s valve",
      caution: IF_GAS,
      closes: "gas",
    },
    {
      id: "foam",
      kind: "test",
      title: "Soapy water on the joint: bubbles?",
      consumables: ["soapy water"],
      records: {
        kind: "choice",
        options: [
          { value: "tight", name: "No bubbles" },
          {
            value: "bubbles",
            name: "Bubbles",
            suggests: "Shut it, take it off, look at its seal.",
          },
        ],
      },
    },
    { id: "light", kind: "restore", title: "Light the heater as its label says", closes: "heater" },
  ],
};

export const tryReliefValve: Procedure = {
  id: "try-relief-valve",
  title: "Try the relief valve",
  verb: "Try",
  who: "owner",
  handsOnMinutes: 10,
  waitingMinutes: 0,
  rules: true,
  checks: [
    { id: "pipe", words: "Its pipe leads to a drain or a bucket, and ends open" },
    {
      id: "age",
      words: "It was tried before: one that never moved in ten years may not shut again",
    },
  ],
  steps: [
    {
      id: "bucket",
      kind: "prepare",
      title: "Set a bucket beneath its pipe",
      caution: "What comes is scalding: stand beside, not before it.",
      tools: ["a bucket"],
    },
    {
      id: "lift",
      kind: "test",
      title: "Lift its lever for a second, let it snap shut",
      records: {
        kind: "choice",
        options: [
          { value: "shuts", name: "Water comes, then it is shut" },
          { value: "drips", name: "It drips on", suggests: "Once more; else have it replaced." },
          {
            value: "nothing",
            name: "Nothing comes",
            suggests: "Have it replaced: it is the last safety there is.",
          },
        ],
      },
      renews: true,
    },
    callFor({
      id: "replace",
      title: "Have the relief valve replaced",
      whenSeen: { step: "lift", is: ["nothing"] },
    }),
    {
      id: "hot",
      kind: "measure",
      title: "How hot is the water at the nearest tap?",
      detail: "55 to 60 °C (130 to 140 °F) in the tank; mixed down where children wash.",
      recordIsOptional: true,
      records: { kind: "setting", key: "tank-setting", label: "Tank’s thermostat" },
      tools: ["a thermometer"],
    },
  ],
};

export const flushTank: Procedure = {
  id: "flush-tank",
  title: "Flush the sediment out of a tank",
  verb: "Flush",
  who: "confident",
  handsOnMinutes: 30,
  waitingMinutes: 60,
  rules: true,
  steps: [
    powerOff({
      title: "Switch its heating off",
      detail: "Breaker off; a gas one to its pilot. An element that stands dry burns out.",
    }),
    {
      id: "cool",
      kind: "wait",
      title: "Run hot water for a while, then wait an hour",
      caution: "Straight from the tank it scalds.",
      starts: { key: "cool", minutes: 60, words: "Tank cools" },
    },
    {
      id: "cold-shut",
      kind: "shut",
      title: "Shut the cold water to it",
      shows: "shut-off",
      opens: [{ key: "water", end: "valve-shut", thing: "cold inlet", state: "shut" }],
      waitsFor: ["cool"],
    },
    {
      id: "drain-open",
      kind: "open",
      title: "Hose on its drain, open it; a hot tap open upstairs",
      opens: [{ key: "drain", end: "drain-open", thing: "drain", state: "open" }],
      tools: ["a hose", "a bucket"],
    },
    {
      id: "water",
      kind: "inspect",
      title: "How does it run? Let the cold in by bursts",
      records: { kind: "reading", reading: "drain" },
      repeats: { from: "water", until: ["clear"] },
    },
    {
      id: "drain-shut",
      kind: "restore",
      title: "Shut the drain, hose off",
      closes: "drain",
      renews: true,
    },
    {
      id: "cold-on",
      kind: "restore",
      title: "Open the cold water, until the hot tap runs full",
      detail: "Without a spit of air: then it is full, and shut that tap.",
      closes: "water",
    },
    powerOn({ title: "Switch its heating on" }),
    {
      id: "dry-below",
      kind: "inspect",
      title: "Is it dry below, an hour later?",
      recordIsOptional: true,
      records: { kind: "reading", reading: "water-at-unit" },
    },
    hearIt({ title: "Hear it heat: no rumble?", ...unlessOff }),
  ],
};
