import type { Procedure } from "@/core/runs/procedure";

/** Never shortened: a core that looks dry holds water in its middle for long. */
const CORE_DRIES_MINUTES = 2880;
/** How much longer where it is still damp: another half day. Our choice. */
const DRIES_ON_MINUTES = 720;

export const washRecoveryCore = {
  id: "wash-recovery-core",
  title: "Wash the recovery core",
  verb: "Wash",
  who: "owner",
  handsOnMinutes: 60,
  waitingMinutes: CORE_DRIES_MINUTES,
  mildDay: {
    leastC: 8,
    why: "the house has no ventilation for two days and its windows stand open",
  },
  household:
    "For two days the ventilator is off and windows stay open a hand’s width. Nobody switches it on.",
  asks: [
    {
      key: "washable",
      of: "part",
      question: "Does its manual let the core be washed with water?",
      hint: "Some cores are only vacuumed: water ruins them. It stands in the manual, or on the core.",
      options: [
        { value: "yes", name: "Yes, water is allowed" },
        {
          value: "no",
          name: "No, or it says nothing",
          bars: "Then it is not washed. Vacuum its faces as the manual says, and note it done.",
        },
      ],
    },
  ],
  checks: [
    { id: "days", words: "The next two days are mild, and somebody is here to shut windows" },
    { id: "bath", words: "A bath or shower is free, and a place for it to dry" },
    { id: "alone", words: "Somebody knows that you are up there" },
  ],
  steps: [
    {
      id: "windows",
      kind: "open",
      title: "Open windows a hand’s width",
      detail: "Bathroom, kitchen and bedrooms: the air the ventilator no longer moves.",
      opens: [{ key: "windows", end: "window-open", thing: "windows", state: "open" }],
    },
    {
      id: "power-off",
      kind: "shut",
      title: "Switch the ventilator off",
      detail: "At its own switch or plug. Its display must be dark.",
      shows: "shut-off",
      opens: [{ key: "power", end: "switch-off", thing: "ventilator", state: "off" }],
    },
    {
      id: "filters-out",
      kind: "remove",
      title: "Draw both filters out",
      detail: "Mark which is which, and which way each arrow points.",
      photo: "before",
      opens: [{ key: "filters", end: "part-out", thing: "filters", state: "out" }],
      tools: ["a pencil"],
    },
    {
      id: "cover-off",
      kind: "open",
      title: "Take the cover off",
      detail: "Count its screws, into a cup. Don’t pull it past its cable.",
      opens: [{ key: "cover", end: "panel-off", thing: "cover", state: "off" }],
      tools: ["a screwdriver", "a cup for the screws"],
    },
    {
      id: "note-arrow",
      kind: "inspect",
      title: "Note the arrow on the core",
      detail: "Which end is up, which face is toward you. Take a picture.",
      photo: "before",
    },
    {
      id: "seal",
      kind: "inspect",
      title: "Feel along the cover’s seal",
      detail: "Foam should spring back. Flattened foam lets air past the core.",
      records: { kind: "reading", reading: "seal" },
    },
    {
      id: "core-out",
      kind: "remove",
      title: "Ease the core straight out",
      detail: "By its strap or grip, both hands. It may hold water: a towel under it.",
      caution: "It is heavier than it looks. On a ladder: hand it down, don’t carry it.",
      opens: [{ key: "core", end: "part-out", thing: "core", state: "out", after: ["drying"] }],
      tools: ["a towel"],
    },
    {
      id: "wash",
      kind: "clean",
      title: "Wash it in plain lukewarm water",
      detail: "No soap, no brush, no jet. Let water through from both sides, turn it and shake it.",
      why: "Its walls are thinner than paper: a jet splits them, soap stays in them.",
      cleans: { what: "core", how: "wet" },
      tools: ["a bath or shower"],
    },
    {
      id: "runs-clear",
      kind: "inspect",
      title: "How does the water come out?",
      records: {
        kind: "choice",
        options: [
          { value: "clear", name: "Clear" },
          { value: "cloudy", name: "Cloudy", suggests: "Once more, from the other side." },
        ],
      },
      repeats: { from: "wash", until: ["clear"] },
    },
    {
      id: "set-to-dry",
      kind: "clean",
      title: "Let it drip, then set it to dry",
      detail:
        "On edge, air on all sides, a towel under it. Turn it morning and evening. Its filters can be new when it goes back: two days to get them.",
      why: "Two days at least. A damp core ruins fans and grows mould.",
      opens: [
        {
          key: "drying",
          end: "part-drying",
          thing: "core",
          state: "drying",
          dryMinutes: CORE_DRIES_MINUTES,
        },
      ],
    },
    {
      id: "casing",
      kind: "clean",
      title: "Vacuum the casing",
      detail: "Corners and the pan, with a soft brush. Keep away from the fans’ blades.",
      cleans: { what: "casing", how: "dry" },
      tools: ["a vacuum with a soft brush"],
    },
    {
      id: "casing-damp",
      kind: "clean",
      title: "Wipe the casing with a damp cloth",
      detail: "Fans and board stay dry.",
      cleans: { what: "casing", how: "wet" },
      tools: ["a damp cloth"],
    },
    {
      id: "is-it-dry",
      kind: "wait",
      title: "Is the core dry?",
      detail:
        "Look through it against a window, then shake it: no drop, no sound, lighter than it came out.",
      closes: "drying",
      records: {
        kind: "choice",
        options: [
          { value: "dry", name: "Dry through and through" },
          {
            value: "damp",
            name: "Still damp",
            suggests: "Half a day more, turned once. A damp core ruins fans and grows mould.",
          },
        ],
      },
      repeats: {
        from: "is-it-dry",
        until: ["dry"],
        wait: { minutes: DRIES_ON_MINUTES, words: "Core dries on" },
      },
      outOfTurn: "It dries while everything else is open.",
    },
    {
      id: "core-in",
      kind: "fit",
      title: "Slide the core back, its arrow as before",
      detail: "Straight, until it stops. It goes without force.",
      shows: "photos",
      closes: "core",
      renews: true,
    },
    {
      id: "cover-on",
      kind: "restore",
      title: "Put the cover on, every screw",
      detail: "By hand, crosswise. A power driver crushes the seal.",
      closes: "cover",
    },
    {
      id: "filters-in",
      kind: "restore",
      title: "Filters in: the old ones, or new ones now",
      detail:
        "Each in its own slot, its arrow with the air. While the core dried there was time to get new ones.",
      closes: "filters",
      photo: "after",
      records: {
        kind: "choice",
        options: [
          { value: "old", name: "The old ones go back" },
          { value: "new", name: "New ones went in", does: ["filter:renew"] },
        ],
      },
    },
    {
      id: "power-on",
      kind: "restore",
      title: "Switch the ventilator on",
      detail: "Hear both fans; no hiss round the cover.",
      shows: "shut-off",
      closes: "power",
    },
    {
      id: "windows-shut",
      kind: "restore",
      title: "Shut the windows",
      detail: "And tell the household.",
      closes: "windows",
    },
    {
      id: "label",
      kind: "label",
      title: "Write the date inside the cover’s edge",
      detail: "Or print its label at the end, and stick that.",
      shows: "label",
    },
  ],
} as const satisfies Procedure;
