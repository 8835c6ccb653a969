import type { Procedure, Step } from "@/core/procedures/procedure";

/** How a magnetic filter is shut off and let down, in both of its jobs. */
const NO_DEMAND: Step = {
  id: "no-demand",
  kind: "prepare",
  title: "Turn the heating’s demand off",
  detail: "Thermostat down, hot water off, so that nothing starts meanwhile.",
};
const POWER_OFF: Step = {
  id: "power-off",
  kind: "shut",
  title: "Switch the boiler off at its spur",
  detail: "Its display must go dark.",
  shows: "shut-off",
  opens: [{ key: "power", end: "switch-off", thing: "boiler", state: "off" }],
};
const IS_IT_COOL: Step = {
  id: "cool",
  kind: "inspect",
  title: "Is the pipe beside it cool?",
  detail: "With the back of the hand, near it first. Hot: half an hour, then again.",
  caution: "Pipes and body may scald. Tap before you touch, and open nothing that is hot.",
  records: {
    kind: "choice",
    options: [
      { value: "cool", name: "Cool enough to hold" },
      {
        value: "hot",
        name: "Hot still",
        suggests: "Leave it for half an hour, then feel again.",
      },
    ],
  },
  repeats: { from: "cool", until: ["cool"] },
};
const VALVE_ONE: Step = {
  id: "valve-one",
  kind: "shut",
  title: "Shut the first valve beside it",
  detail: "A quarter turn: the handle across the pipe.",
  opens: [{ key: "one", end: "valve-shut", thing: "first valve", state: "shut" }],
};
const VALVE_TWO: Step = {
  id: "valve-two",
  kind: "shut",
  title: "Shut the second valve",
  detail: "The other side, the same.",
  opens: [{ key: "two", end: "valve-shut", thing: "second valve", state: "shut" }],
};

const TOWELS: Step = {
  id: "towels",
  kind: "prepare",
  title: "Lay towels, set the bucket under it",
  detail: "Round its foot too: the first water is black and stains.",
  tools: ["two towels", "a bucket", "a hose for its drain"],
};

const POWER_ON: Step = {
  id: "power-on",
  kind: "restore",
  title: "Switch the boiler on, demand back to normal",
  shows: "shut-off",
  closes: "power",
};

const WARM_LOOK: Step = {
  id: "warm-look",
  kind: "test",
  title: "Look again when it is warm",
  detail: "Round lid, drain and both valves: dry, with the heating running.",
  records: {
    kind: "choice",
    options: [
      { value: "dry", name: "Dry all round" },
      {
        value: "weeps",
        name: "A joint weeps",
        suggests:
          "A nip with the tool, no more. If it still weeps, its washer has to be replaced: note it.",
      },
    ],
  },
};

const SLUDGE: Step = {
  id: "sludge",
  kind: "inspect",
  title: "How thick was it on the magnet?",
  detail: "Less each year means the inhibitor works.",
  photo: "before",
  records: { kind: "reading", reading: "sludge" },
};

const PRESSURE: Step = {
  id: "pressure",
  kind: "measure",
  title: "Bring the pressure back to about 1.5 bar",
  detail: "Filling loop open until the gauge shows it, then shut: both of its cocks.",
  when: "sealed-system",
  records: { kind: "reading", reading: "boiler-pressure-bar" },
};

const HEADER_TANK: Step = {
  id: "header-tank",
  kind: "inspect",
  title: "See that the header tank fills up again",
  detail: "There is no pressure to bring back: the float valve does it.",
  when: "header-tank",
};

export const magneticQuickFlush = {
  id: "magnetic-quick-flush",
  title: "Flush the magnetic filter, lid on",
  verb: "Flush",
  says: "The magnet out, water through, the lid stays on: enough between two full cleans.",
  who: "owner",
  handsOnMinutes: 10,
  waitingMinutes: 0,
  rules: true,
  checks: [{ id: "bucket", words: "A bucket fits under its drain" }],
  steps: [
    NO_DEMAND,
    POWER_OFF,
    TOWELS,
    IS_IT_COOL,
    VALVE_ONE,
    VALVE_TWO,
    {
      id: "magnet-out",
      kind: "remove",
      title: "Draw the magnet out of its pocket",
      detail: "The lid stays on: the sludge lets go inside.",
      opens: [{ key: "magnet", end: "part-out", thing: "magnet", state: "out" }],
    },
    {
      id: "bleed-open",
      kind: "open",
      title: "Open the bleed a quarter turn, let the pressure out",
      caution: "Face away. Only a hiss and some drops, if both valves are shut.",
      opens: [{ key: "bleed", end: "bleed-open", thing: "bleed", state: "open" }],
      tools: ["a bleed key"],
    },
    {
      id: "bleed-shut",
      kind: "restore",
      title: "Shut the bleed",
      closes: "bleed",
    },
    {
      id: "drain-open",
      kind: "open",
      title: "Open the drain",
      detail: "Its hose in the bucket.",
      opens: [{ key: "drain", end: "drain-open", thing: "drain", state: "open" }],
    },
    {
      id: "flush",
      kind: "clean",
      title: "Crack one valve, let it run, shut it",
      detail: "A little, for some seconds: the system’s own pressure carries the sludge out.",
      cleans: { what: "body", how: "wet", staysWet: true },
    },
    {
      id: "runs-clear",
      kind: "inspect",
      title: "How does it run into the bucket?",
      records: { kind: "reading", reading: "drain" },
      repeats: { from: "flush", until: ["clear"] },
    },
    SLUDGE,
    {
      id: "drain-shut",
      kind: "restore",
      title: "Shut the drain on its washer",
      closes: "drain",
    },
    {
      id: "magnet-in",
      kind: "fit",
      title: "Slide the magnet back in, all the way",
      closes: "magnet",
      renews: true,
    },
    {
      id: "valve-two-open",
      kind: "restore",
      title: "Open the second valve",
      detail: "Slowly. Look for a weep.",
      closes: "two",
    },
    {
      id: "valve-one-open",
      kind: "restore",
      title: "Open the first valve",
      detail: "Slowly. Look for a weep.",
      closes: "one",
      photo: "after",
    },
    PRESSURE,
    HEADER_TANK,
    POWER_ON,
    WARM_LOOK,
  ],
} as const satisfies Procedure;

export const magneticFullClean = {
  id: "magnetic-full-clean",
  title: "Clean the magnetic filter",
  verb: "Clean",
  who: "owner",
  handsOnMinutes: 30,
  waitingMinutes: 0,
  rules: true,
  variants: [
    {
      id: "drained",
      name: "Body drained",
      says: "Its water into the bucket first: less drips, and there is room for inhibitor.",
    },
    {
      id: "full",
      name: "Body left full",
      says: "Only the core comes out. Quicker, and less air gets in.",
      handsOnMinutes: 25,
    },
  ],
  checks: [
    { id: "key", words: "The lid’s own key is there" },
    { id: "sink", words: "A sink that may stain is near, its way clear of carpet" },
    { id: "seals", words: "Spare washer and lid ring, or know where they come from" },
  ],
  steps: [
    NO_DEMAND,
    POWER_OFF,
    TOWELS,
    IS_IT_COOL,
    VALVE_ONE,
    VALVE_TWO,
    {
      id: "bleed-open",
      kind: "open",
      title: "Open the bleed, let the pressure out",
      detail: "A quarter turn, until nothing comes.",
      caution: "Face away. If it doesn’t stop, a valve is not shut: shut the bleed again.",
      opens: [{ key: "bleed", end: "bleed-open", thing: "bleed", state: "open" }],
      tools: ["a bleed key"],
    },
    {
      id: "drain-open",
      kind: "open",
      title: "Open the drain, let the body empty",
      detail: "Hose in the bucket.",
      variants: ["drained"],
      opens: [{ key: "drain", end: "drain-open", thing: "drain", state: "open" }],
    },
    {
      id: "lid-off",
      kind: "open",
      title: "Turn the lid off with its key",
      detail: "Only that key: pliers crack it.",
      photo: "before",
      opens: [{ key: "lid", end: "panel-off", thing: "lid", state: "off" }],
      tools: ["the lid’s key"],
    },
    {
      id: "core-out",
      kind: "remove",
      title: "Lift the core out, its magnet still in",
      detail: "Over the bucket to the sink: without the magnet the sludge falls off on the way.",
      opens: [{ key: "core", end: "part-out", thing: "core", state: "out" }],
    },
    {
      id: "sleeve-off",
      kind: "remove",
      title: "Draw the magnet out of its sleeve",
      detail: "In the sink. The sludge lets go of the sleeve.",
      caution: "A strong magnet: away from cards, watches and a pacemaker.",
      opens: [{ key: "sleeve", end: "part-out", thing: "sleeve", state: "off" }],
    },
    SLUDGE,
    {
      id: "rinse",
      kind: "clean",
      title: "Rinse sleeve and magnet, wipe both",
      detail: "Cold water, a cloth.",
      cleans: { what: "core", how: "wet", staysWet: true },
      tools: ["a cloth"],
    },
    {
      id: "seals",
      kind: "inspect",
      title: "Are washers and lid ring sound?",
      detail: "Round, soft, without a nick.",
      why: "Under a registered warranty ask the maker for them: others may end it.",
      records: { kind: "reading", reading: "seal" },
    },
    {
      id: "new-seals",
      kind: "fit",
      title: "Put in the new ring or washer",
      detail: "A thin film of silicone grease, nothing with oil in it.",
      whenSeen: { step: "seals", is: ["flattened", "leaking"] },
      consumables: ["a lid ring and washer"],
    },
    {
      id: "sleeve-on",
      kind: "fit",
      title: "Slide the sleeve back over the magnet",
      closes: "sleeve",
    },
    {
      id: "drain-shut",
      kind: "restore",
      title: "Shut the drain on its washer",
      detail: "By hand.",
      variants: ["drained"],
      closes: "drain",
      outOfTurn: "The body has to hold before inhibitor goes in.",
    },
    {
      id: "inhibitor",
      kind: "fit",
      title: "Pour inhibitor into the body",
      detail: "Half to three quarters full: the core needs its room.",
      caution: "Gloves; wipe up what drips.",
      shows: "dose",
      variants: ["drained"],
      tools: ["gloves", "a funnel"],
      consumables: ["inhibitor for heating water"],
    },
    {
      id: "core-in",
      kind: "fit",
      title: "Set the core back in",
      closes: "core",
      shows: "photos",
      renews: true,
    },
    {
      id: "lid-on",
      kind: "restore",
      title: "Seat the lid, hand-tight",
      why: "Over-tightened this year, it does not move next year.",
      closes: "lid",
    },
    {
      id: "bleed-shut",
      kind: "restore",
      title: "Shut the bleed",
      closes: "bleed",
    },
    {
      id: "wipe-dry",
      kind: "clean",
      title: "Wipe everything dry",
      detail: "So that a weep shows.",
      consumables: ["kitchen paper"],
    },
    {
      id: "valve-two-open",
      kind: "restore",
      title: "Open the second valve",
      detail: "Slowly, along the pipe. Look for weeps.",
      closes: "two",
    },
    {
      id: "valve-one-open",
      kind: "restore",
      title: "Open the first valve",
      detail: "Slowly. Look for weeps.",
      closes: "one",
      photo: "after",
    },
    {
      id: "air-open",
      kind: "open",
      title: "Open the bleed once more, let the air out",
      detail: "Until water comes, a cloth round it.",
      opens: [{ key: "air", end: "bleed-open", thing: "air bleed", state: "open" }],
    },
    { id: "air-shut", kind: "restore", title: "Water comes: shut the bleed", closes: "air" },
    PRESSURE,
    HEADER_TANK,
    POWER_ON,
    WARM_LOOK,
  ],
} as const satisfies Procedure;
