import type { Procedure, Step } from "@/core/runs/procedure";
import { LEFT_OPEN } from "../keys";
import {
  callFor,
  countedIn,
  countedOut,
  hearIt,
  isItDry,
  powerOff,
  powerOn,
  setToDry,
  unlessOff,
} from "./common";

/** What is done at a ductless heat pump, its heads and its outdoor unit. */
const frontUp = (more: Partial<Step> = {}): Step => ({
  id: "front-up",
  kind: "open",
  title: "Lift the front until it stays up",
  opens: [{ key: "front", end: "panel-off", thing: "front", state: "up" }],
  ...more,
});
const frontDown = (more: Partial<Step> = {}): Step => ({
  id: "front-down",
  kind: "restore",
  title: "Close the front",
  closes: "front",
  ...more,
});
const headOff = (more: Parameters<typeof powerOff>[0] = {}) =>
  powerOff({
    title: "Switch the head off, then its power",
    detail: "By its remote until the louvre has closed; then breaker or disconnect.",
    ...more,
  });

export const cleanHeadMesh: Procedure = {
  id: "clean-head-mesh",
  title: "Clean the head’s mesh",
  verb: "Clean",
  who: "owner",
  handsOnMinutes: 10,
  waitingMinutes: 30,
  variants: [
    { id: "vacuum", name: "Vacuum it", says: "Dust only: back in at once.", waitingMinutes: 0 },
    { id: "wash", name: "Wash it", says: "Grease or smoke: lukewarm water, then the shade." },
  ],
  checks: [{ id: "step", words: "You stand safely: a step, not a chair" }],
  steps: [
    headOff(),
    {
      id: "case",
      kind: "clean",
      title: "Wipe the case first",
      detail: "A soft damp cloth: what lies on top falls into the head otherwise.",
      tools: ["a soft cloth", "a step"],
    },
    frontUp({ plate: "unit" }),
    {
      id: "mesh-out",
      kind: "remove",
      title: "Lift the mesh by its tab, draw it down and out",
      detail: "Left and right are not the same on some: lay them as they sat.",
      photo: "before",
      opens: [{ key: "mesh", end: "part-out", thing: "mesh", state: "out" }],
    },
    countedOut("meshes", { when: "several-heads", title: "Count the meshes of every head" }),
    { id: "look", kind: "inspect", title: "How does it look?", records: { kind: "look" } },
    {
      id: "coil",
      kind: "inspect",
      title: "Look at the coil behind it, and smell",
      detail: "A torch, a hand’s breadth away.",
      tools: ["a torch"],
      recordIsOptional: true,
      records: { kind: "reading", reading: "smell" },
    },
    {
      id: "vacuum",
      kind: "clean",
      title: "Vacuum the mesh, its dirty side",
      cleans: { what: "mesh", how: "dry" },
      tools: ["a vacuum with a soft brush"],
    },
    {
      id: "wash",
      kind: "clean",
      title: "Wash it in lukewarm water",
      detail: "A drop of mild soap, no brush; rinsed from its clean side.",
      variants: ["wash"],
      cleans: { what: "mesh", how: "wet" },
      consumables: ["mild soap"],
    },
    setToDry("mesh", 30, { variants: ["wash"] }),
    isItDry("Mesh", 15, { variants: ["wash"] }),
    {
      id: "mesh-in",
      kind: "fit",
      title: "Slide it up and in until it clicks",
      closes: "mesh",
      shows: "photos",
      renews: true,
    },
    countedIn("meshes", { when: "several-heads" }),
    frontDown({ title: "Close the front, press both corners", photo: "after" }),
    powerOn({ title: "Switch the power on, then the head" }),
    {
      id: "light",
      kind: "reset",
      title: "Reset its filter light, if it has one",
      detail: "Often the same button for some seconds, as its manual says.",
      ...unlessOff,
    },
  ],
};

export const replaceFineFilter: Procedure = {
  id: "replace-fine-filter",
  title: "Put in a new fine filter",
  verb: "Replace",
  who: "owner",
  handsOnMinutes: 5,
  waitingMinutes: 0,
  steps: [
    headOff(),
    frontUp(),
    {
      id: "fine-out",
      kind: "remove",
      title: "Unclip the old one from its frame",
      detail: "It sits behind the mesh. Read the number on the frame.",
      plate: "part",
      photo: "before",
      opens: [{ key: "fine", end: "part-out", thing: "fine filter", state: "out" }],
    },
    {
      id: "fine-in",
      kind: "fit",
      title: "Clip the new one in, the same side toward you",
      shows: "photos",
      closes: "fine",
      consumables: ["a new fine filter"],
      renews: true,
    },
    frontDown(),
    powerOn({ title: "Switch the power on, then the head" }),
  ],
};

export const lookAtHeadCoil: Procedure = {
  id: "look-at-head-coil",
  title: "Look at the head’s coil",
  verb: "Look",
  who: "owner",
  handsOnMinutes: 10,
  waitingMinutes: 0,
  steps: [
    headOff(),
    frontUp({ title: "Lift the front, draw the mesh aside" }),
    {
      id: "coil",
      kind: "inspect",
      title: "How does its coil look?",
      tools: ["a torch"],
      photo: "before",
      records: { kind: "reading", reading: "coil" },
      renews: true,
    },
    {
      id: "wheel",
      kind: "inspect",
      title: "Look at the wheel through the louvre",
      detail: "Turned by hand, with a torch. Dark, speckled dust on its blades is mould.",
      recordIsOptional: true,
      records: {
        kind: "choice",
        options: [
          { value: "clean", name: "Clean, or grey" },
          {
            value: "speckled",
            name: "Dark and speckled",
            suggests: "It blows that into the room: have it cleaned through.",
          },
        ],
      },
    },
    callFor({
      id: "oil",
      title: "Have the oily place looked at",
      whenSeen: { step: "coil", is: ["oily"] },
    }),
    frontDown({ title: "Mesh back, front shut" }),
    powerOn({ title: "Switch the power on" }),
  ],
};

export const pourThroughHeadDrain: Procedure = {
  id: "pour-through-head-drain",
  title: "Pour water through a head’s drain",
  verb: "Pour",
  who: "owner",
  handsOnMinutes: 10,
  waitingMinutes: 0,
  steps: [
    headOff(),
    frontUp({ title: "Lift the front, draw the mesh aside" }),
    {
      id: "pour",
      kind: "test",
      title: "Pour half a cup slowly over the end of its coil",
      detail: "Somebody stands where the pipe ends outside.",
      caution: "Not over its board: at the side away from the lights.",
      records: { kind: "reading", reading: "drain" },
      renews: true,
      tools: ["a cup", "a towel"],
    },
    frontDown({ title: "Mesh back, front shut" }),
    powerOn({ title: "Switch the power on" }),
  ],
};

export const lookRoundOutdoorUnit: Procedure = {
  id: "look-round-outdoor-unit",
  title: "Look round the outdoor unit",
  verb: "Look",
  who: "owner",
  handsOnMinutes: 5,
  waitingMinutes: 0,
  steps: [
    powerOff({
      title: "Pull its disconnect",
      detail: "It may start while your hands are at it: off first.",
    }),
    {
      id: "free",
      kind: "clean",
      title: "Leaves off, growth back, a metre free all round",
      detail: "By hand from outside; snow off its top and away from its feet.",
      tools: ["gloves"],
    },
    {
      id: "coil",
      kind: "inspect",
      title: "How do its fins look?",
      records: { kind: "reading", reading: "coil" },
      renews: true,
    },
    {
      id: "drain",
      kind: "inspect",
      title: "Does its water leave, and is there ice beneath?",
      recordIsOptional: true,
      records: {
        kind: "choice",
        options: [
          { value: "free", name: "It drips away" },
          {
            value: "blocked",
            name: "Water stands in its base",
            suggests: "Free the holes in its base from beneath.",
            reads: { reading: "drain", value: "blocked" },
          },
          {
            value: "ice",
            name: "Ice beneath",
            suggests: "Give its water a way off.",
            reads: { reading: "frost", value: "beneath" },
          },
        ],
      },
    },
    {
      id: "lines",
      kind: "inspect",
      title: "Is the wrap round its lines whole?",
      detail: "Birds and sun take it: bare, it drips and costs.",
      records: { kind: "reading", reading: "line-wrap" },
      recordIsOptional: true,
    },
    powerOn({ title: "Put its disconnect back" }),
  ],
};

const PARKED_UNTIL = "until it is woken";

export const layUpHeatPump: Procedure = {
  id: "lay-up-heat-pump",
  title: "Lay a heat pump up for a long idle time",
  verb: "Lay up",
  who: "owner",
  handsOnMinutes: 5,
  waitingMinutes: 180,
  steps: [
    {
      id: "clean",
      kind: "inspect",
      title: "Are its meshes clean?",
      detail: "Dust that stays damp smells by spring: they have a job of their own.",
    },
    {
      id: "fan-only",
      kind: "prepare",
      title: "Let it run on fan only, three hours",
      detail: "Heads warm and dry inside. Write down first how it was set.",
      records: { kind: "setting", key: "mode", label: "Mode and setting" },
      recordIsOptional: true,
      starts: { key: "fan", minutes: 180, words: "Coil dries" },
    },
    { id: "dried", kind: "wait", title: "Three hours of air", waitsFor: ["fan"] },
    {
      id: "off",
      kind: "shut",
      title: "Switch the heads off, then the breaker",
      detail: "Louvres closed first.",
      shows: "shut-off",
      opens: [
        { key: "breaker", end: "breaker-off", thing: "breaker", state: "off", parks: PARKED_UNTIL },
      ],
    },
    {
      id: "batteries",
      kind: "remove",
      title: "Take the batteries out of the remote",
      detail: "Into a bag beside it: they leak when they are forgotten.",
      opens: [
        {
          key: "batteries",
          end: "part-out",
          thing: "remote’s batteries",
          state: "out",
          harmless: true,
          parks: PARKED_UNTIL,
        },
      ],
      renews: true,
    },
  ],
};

export const wakeHeatPump: Procedure = {
  id: "wake-heat-pump",
  title: "Wake a heat pump from its idle time",
  verb: "Wake",
  who: "owner",
  handsOnMinutes: 10,
  waitingMinutes: 15,
  checks: [{ id: "hours", words: "The manual’s hours with power before it runs are known" }],
  steps: [
    {
      id: "outside",
      kind: "inspect",
      title: "Look round the outdoor unit",
      detail: "Nests, leaves, ice: nothing that its fan would take along.",
    },
    {
      id: "meshes",
      kind: "inspect",
      title: "Look at the meshes",
      records: { kind: "look" },
      recordIsOptional: true,
    },
    {
      id: "batteries",
      kind: "restore",
      title: "Batteries into the remote",
      wakes: { key: "batteries", end: "part-out", thing: "remote’s batteries", state: "out" },
    },
    {
      id: "on",
      kind: "restore",
      title: "Switch the breaker on",
      detail: "Some warm their oil first: that many hours before it may run.",
      shows: "shut-off",
      wakes: { key: "breaker", end: "breaker-off", thing: "breaker", state: "off" },
    },
    {
      id: "mode",
      kind: "restore",
      title: "Set it as it was, in the season’s mode",
      records: { kind: "setting", key: "mode", label: "Mode and setting" },
      recordIsOptional: true,
      renews: true,
      starts: { key: "run", minutes: 15, words: "It runs" },
    },
    {
      id: "runs",
      kind: "test",
      title: "After a quarter of an hour: warm or cool as it should?",
      waitsFor: ["run"],
      records: {
        kind: "choice",
        options: [
          { value: "fine", name: "As it should" },
          { value: "smells", name: "It smells musty", suggests: "Have it cleaned through." },
          { value: "weak", name: "Hardly", suggests: "Meshes, outdoor unit; then a technician." },
        ],
      },
    },
    hearIt({ unlessSeen: { step: "on", is: [LEFT_OPEN] } }),
  ],
};
