import type { Procedure } from "@/core/runs/procedure";
import { licensed, pluggedIn, unlessOff, unplugged } from "./common";

/** Ducts, as far as an owner reaches and where a professional comes; and the dryer’s. */
export const acceptDuctCleaning: Procedure = {
  id: "accept-duct-cleaning",
  title: "Brief and accept a duct cleaning",
  verb: "Brief",
  who: "licensed",
  handsOnMinutes: 120,
  waitingMinutes: 0,
  rules: true,
  household: "Every room is entered; what stands before registers is moved.",
  says: "By a professional, with a sealed collection point and a HEPA vacuum; the coil with it.",
  steps: [
    {
      id: "brief",
      kind: "prepare",
      title: "Agree what is done: every register, both trunks, the coil",
      detail: "From the top floor down; no biocide sprayed unless you asked for it.",
    },
    {
      id: "asbestos",
      kind: "inspect",
      title: "Look at the wrap first",
      detail: "Old grey wrap or tape may hold asbestos: tested before anybody brushes.",
      recordIsOptional: true,
      records: {
        kind: "choice",
        options: [
          { value: "none", name: "None of that" },
          { value: "maybe", name: "It may be", suggests: "Have it tested first. Nothing starts." },
        ],
      },
    },
    {
      id: "maybe-asbestos",
      kind: "caution",
      title: "Have the wrap tested before anything moves",
      whenSeen: { step: "asbestos", is: ["maybe"] },
      endsJob: true,
    },
    {
      id: "debris",
      kind: "inspect",
      title: "What lies in them, before?",
      photo: "before",
      records: { kind: "reading", reading: "duct-debris" },
      tools: ["a torch"],
    },
    {
      id: "amount",
      kind: "inspect",
      title: "And how much of it?",
      detail: "Its colour says what it is, its amount what is to be done.",
      records: { kind: "reading", reading: "duct-amount" },
    },
    licensed({
      id: "off",
      kind: "shut",
      title: "Switch the air handler off, seal its openings",
      opens: [{ key: "power", end: "switch-off", thing: "air handler", state: "off" }],
    }),
    licensed({
      id: "vacuum",
      kind: "prepare",
      title: "HEPA vacuum on at the sealed trunk, before any air",
      detail: "A see-through hood over each opening.",
    }),
    licensed({
      id: "head",
      kind: "clean",
      title: "Draw the air-driven head back through every run",
      detail:
        "In first, then slowly back, then its boot. How fast is practice, no rule: see below.",
      shows: "duct-pull",
    }),
    licensed({
      id: "grilles",
      kind: "clean",
      title: "Brush each grille on both sides, every screw back in",
      detail: "None swapped between rooms: some are set.",
    }),
    licensed({
      id: "coil",
      kind: "clean",
      title: "Clean coil, pan and blower too",
      detail: "Else what was loosened lands there.",
      does: ["evaporator-coil:clean", "drain-pan:wipe", "blower:clean"],
    }),
    {
      id: "rooms",
      kind: "inspect",
      title: "Is every room left clean, and what was moved back in its place?",
    },
    {
      id: "accept",
      kind: "inspect",
      title: "Look into three registers of your choice",
      detail: "The furthest, a return, one on the top floor: bare metal, no grit.",
      photo: "after",
      tools: ["a torch"],
      records: {
        kind: "choice",
        options: [
          { value: "clean", name: "Clean" },
          { value: "not", name: "Not clean", suggests: "That run once more, while they are here." },
        ],
      },
      renews: true,
    },
    {
      id: "old-filter",
      kind: "inspect",
      title: "How does the filter look that was in?",
      records: { kind: "look", of: "its-filters" },
      recordIsOptional: true,
    },
    {
      id: "filter",
      kind: "fit",
      title: "Put a new filter in, last of all",
      detail: "And look at it within a week: it loads fast.",
      consumables: ["the new filter"],
      records: {
        kind: "choice",
        options: [
          { value: "new", name: "A new one is in", does: ["filter:renew"] },
          { value: "old", name: "The old one stays", suggests: "Look at it within a week." },
        ],
      },
    },
    licensed({
      id: "on",
      kind: "restore",
      title: "Openings sealed, air handler on",
      closes: "power",
    }),
  ],
};

export const lookIntoDucts: Procedure = {
  id: "look-into-ducts",
  title: "Have the ducts looked into",
  verb: "Brief",
  who: "licensed",
  handsOnMinutes: 30,
  waitingMinutes: 0,
  says: "After dark, sticky or speckled dirt: first where the damp comes from, then who cleans.",
  steps: [
    {
      id: "leave",
      kind: "caution",
      title: "Leave the register shut, touch nothing more",
      caution: "Disturbed mould goes through the whole house: fan off, or its register taped.",
    },
    {
      id: "tell",
      kind: "prepare",
      title: "Tell what you saw, where, and what was wet",
      detail: "A picture from before helps; a leak, a cold wall, a humidifier set high.",
      photo: "before",
    },
    licensed({
      id: "look",
      kind: "inspect",
      title: "Look into trunk and runs, find the moisture",
      records: { kind: "reading", reading: "duct-debris" },
    }),
    {
      id: "word",
      kind: "inspect",
      title: "What is to be done, in their words?",
      records: { kind: "words", label: "Advice, and by when" },
      renews: true,
    },
  ],
};

export const brushDryerDuct: Procedure = {
  id: "brush-dryer-duct",
  title: "Brush out the dryer’s duct",
  verb: "Brush",
  who: "owner",
  handsOnMinutes: 30,
  waitingMinutes: 0,
  gas: true,
  says: "Lint burns. A dryer that takes two turns tells of it.",
  variants: [
    {
      id: "drawn",
      name: "Machine drawn forward",
      says: "Its duct comes off behind it: both ends are reached.",
    },
    {
      id: "outside",
      name: "From outside only",
      says: "For a gas dryer on a rigid pipe, or one that cannot be drawn: rods or air, in from the flap.",
    },
  ],
  steps: [
    unplugged({
      detail: "Cannot be reached? Its breaker then.",
      caution: "A gas dryer is not moved by its hose: its cock shut, and no bend in the pipe.",
    }),
    {
      id: "flap",
      kind: "clean",
      title: "Outside: free the flap, pick the lint out",
      tools: ["gloves"],
      photo: "before",
    },
    {
      id: "duct-off",
      kind: "remove",
      title: "Draw it forward, take the duct off behind it",
      detail: "Loosen the clamp, do not tear the foil.",
      caution: "A gas dryer on a rigid pipe stays where it is: that way is from outside only.",
      variants: ["drawn"],
      opens: [{ key: "duct", end: "part-out", thing: "duct", state: "off" }],
      tools: ["a screwdriver"],
    },
    {
      id: "kind",
      kind: "inspect",
      title: "What is the duct made of?",
      recordIsOptional: true,
      records: {
        kind: "choice",
        options: [
          { value: "metal", name: "Metal" },
          { value: "plastic", name: "Plastic or foil", suggests: "It burns: put in rigid metal." },
        ],
      },
    },
    {
      id: "catch",
      kind: "prepare",
      title: "Catch the lint at the open end",
      detail:
        "A bag round the end by the machine, or the vacuum’s hose at it: else it fills the room.",
      variants: ["drawn"],
      tools: ["a bag", "a vacuum"],
    },
    {
      id: "catch-outside",
      kind: "prepare",
      title: "Lay a sheet below the flap, the lint screen of the machine in",
      detail: "What comes, comes out here; none is pushed back into its drum.",
      variants: ["outside"],
      tools: ["a sheet"],
    },
    {
      id: "brush",
      kind: "clean",
      renews: true,
      title: "Brush from outside inward, turning one way only",
      detail: "A rotating brush or an air head, rod by rod; turned back, a rod unscrews inside.",
      tools: ["a duct brush with rods", "a drill"],
    },
    {
      id: "vacuum",
      kind: "clean",
      title: "Vacuum behind and below the machine",
      detail: "And where its own duct begins.",
      variants: ["drawn"],
      tools: ["a vacuum"],
    },
    {
      id: "duct-on",
      kind: "fit",
      title: "Put the duct back on, short, no crush, clamp tight",
      detail: "No screws through it: they catch lint.",
      variants: ["drawn"],
      closes: "duct",
    },
    {
      id: "flap-on",
      kind: "fit",
      title: "Flap and guard back as they were",
      variants: ["outside"],
    },
    pluggedIn({ title: "Back in its place gently, plug it in" }),
    {
      id: "flap-opens",
      kind: "test",
      title: "Run it on cold air: does the flap stand open outside?",
      ...unlessOff,
      records: {
        kind: "choice",
        options: [
          { value: "open", name: "Wide open" },
          {
            value: "weak",
            name: "It hardly lifts",
            suggests: "Lint sits in it still, or a crush.",
          },
        ],
      },
    },
  ],
};

export const freeOutsideFlap: Procedure = {
  id: "free-outside-flap",
  title: "See that an outside flap moves",
  verb: "Look",
  who: "owner",
  handsOnMinutes: 5,
  waitingMinutes: 0,
  steps: [
    {
      id: "flap",
      kind: "inspect",
      title: "Lift it with a finger, let it fall",
      detail: "Lint off its hinge; no screen behind it, for a dryer.",
      caution: "Reached from the ground, or from a footed ladder.",
      records: {
        kind: "choice",
        options: [
          { value: "free", name: "It falls shut" },
          { value: "stuck", name: "It sticks", suggests: "Clean its hinge; warped, a new one." },
          { value: "nest", name: "Something nests in it", suggests: "Out, when it has flown." },
        ],
      },
      renews: true,
    },
    {
      id: "runs",
      kind: "test",
      title: "Does it open when its machine blows?",
    },
  ],
};

export const brushOutsideTerminal: Procedure = {
  id: "brush-outside-terminal",
  title: "Clear the outside terminal",
  verb: "Clear",
  who: "owner",
  handsOnMinutes: 10,
  waitingMinutes: 0,
  checks: [{ id: "reach", words: "It is reached safely: from the ground, or a footed ladder" }],
  steps: [
    {
      id: "still",
      kind: "shut",
      title: "Turn off what blows through it",
      changesSetting: true,
      opens: [{ key: "fan", end: "setting-changed", thing: "fan", state: "off" }],
    },
    {
      id: "brush",
      kind: "clean",
      title: "Brush flap, louvres and mesh",
      detail: "No nest in use is moved.",
      tools: ["a brush", "gloves"],
      photo: "before",
      renews: true,
    },
    { id: "moves", kind: "inspect", title: "See that its flap moves and falls shut" },
    { id: "on", kind: "restore", title: "Turn it on again", closes: "fan" },
  ],
};
