import type { Procedure } from "@/core/runs/procedure";
import {
  callFor,
  countedIn,
  countedOut,
  coverOff,
  coverOn,
  hearIt,
  powerOff,
  powerOn,
  unlessOff,
} from "./common";

/** What an owner does at the cooling, indoors and outside it. */
const FINS = "Fins cut: gloves. They bend at a touch.";

export const lookAtIndoorCoil: Procedure = {
  id: "look-at-indoor-coil",
  title: "Look at the indoor coil",
  verb: "Look",
  who: "owner",
  handsOnMinutes: 20,
  waitingMinutes: 0,
  steps: [
    powerOff(),
    coverOff("coil’s panel", {
      detail: "One panel, its screws into a cup. Sealing tape is slit, not torn.",
      caution: "Nothing is taken off that a refrigerant line runs through.",
      plate: "part",
      tools: ["a screwdriver", "a cup for the screws"],
    }),
    countedOut("screws"),
    {
      id: "coil",
      kind: "inspect",
      title: "How does it look, from the side the air comes in?",
      detail: "Torch flat along the fins. A clean face deceives: look deep between them.",
      caution: FINS,
      tools: ["a torch", "gloves"],
      photo: "before",
      records: { kind: "reading", reading: "coil" },
      renews: true,
    },
    callFor({
      id: "oil",
      title: "Have the oily place looked at",
      detail: "Oil at a joint means refrigerant gets out. Panel back on, cooling off.",
      whenSeen: { step: "coil", is: ["oily"] },
    }),
    {
      id: "pan",
      kind: "inspect",
      title: "Is the pan below it dry, level and free of slime?",
      records: {
        kind: "choice",
        options: [
          { value: "clean", name: "Dry and clean" },
          { value: "slime", name: "Slime in it", suggests: "Wipe it, flush its line." },
          { value: "water", name: "Water stands in it", suggests: "Its line is slow: flush it." },
        ],
      },
    },
    coverOn("coil’s panel", { consumables: ["foil tape, where it was taped"] }),
    countedIn("screws"),
    powerOn(),
  ],
};

export const cleanIndoorCoil: Procedure = {
  id: "clean-indoor-coil",
  title: "Clean the indoor coil",
  verb: "Clean",
  who: "confident",
  handsOnMinutes: 90,
  waitingMinutes: 10,
  rules: true,
  says: "Dry first, then foam; never on the day its drain line had bleach.",
  variants: [
    {
      id: "foam",
      name: "Comb, then no-rinse foam",
      says: "What comes off dry is gone; the foam lets go of the rest, and its own water rinses it.",
      notSameDayWay: ["flush-condensate-line.bleach"],
    },
    {
      id: "water",
      name: "Comb, then plain water",
      says: "For light dust: a hand sprayer, and the pan catches it.",
      waitingMinutes: 0,
    },
  ],
  asks: [
    {
      key: "coil-comes-out",
      of: "part",
      question: "Do its lines flex enough to draw it out a little, by the maker’s word?",
      hint: "If not, its end plate comes off and you work through that.",
      options: [
        { value: "flexes", name: "It may be eased out" },
        { value: "fixed", name: "It stays where it is" },
      ],
    },
  ],
  checks: [
    { id: "vent", words: "No vent pipe has to come off for it" },
    { id: "light", words: "Light, and room to kneel before it" },
  ],
  steps: [
    powerOff({ detail: "At its own switch; see the blower stand." }),
    {
      id: "proved",
      kind: "test",
      title: "Prove that it is off",
      detail: "Have somebody call for cooling and the fan for a moment: nothing may start.",
      changesSetting: true,
      opens: [{ key: "setting", end: "setting-changed", thing: "thermostat", state: "off" }],
    },
    {
      id: "protect",
      kind: "prepare",
      title: "Cover what is below it",
      detail: "Foil or a towel over burners and board: no drop reaches them.",
      tools: ["a sheet of plastic", "towels"],
    },
    coverOff("panels", {
      detail: "In the order they hook; each with its screws.",
      caution: "A vent pipe is taken off only by who may refit it and test it for leaks.",
      plate: "part",
      tools: ["a screwdriver", "a cup for the screws"],
    }),
    countedOut("screws"),
    {
      id: "coil-before",
      kind: "inspect",
      title: "How does the coil look?",
      photo: "before",
      tools: ["a torch"],
      records: { kind: "reading", reading: "coil" },
    },
    callFor({
      id: "oil",
      title: "Have the oily place looked at",
      detail: "Oil means refrigerant gets out: nothing is washed. Put it back together.",
      whenSeen: { step: "coil-before", is: ["oily"] },
    }),
    {
      id: "rack",
      kind: "inspect",
      title: "Look where the dirt came past the filter",
      detail: "Rack, door, frame: a light strip of clean metal shows where air slips by.",
      recordIsOptional: true,
      records: {
        kind: "choice",
        options: [
          { value: "tight", name: "Tight all round" },
          {
            value: "gap",
            name: "There is a gap",
            suggests: "A foam strip on the rack, or a filter that fills it: else it mats again.",
          },
        ],
      },
    },
    {
      id: "ease-out",
      kind: "remove",
      title: "Ease the coil out on its own lines",
      when: "coil-eases-out",
      detail: "Two hands, as far as they flex, on a block of wood.",
      caution: "No kink in a line, no pull on a wire: a kinked line is a licensed job.",
      opens: [{ key: "coil", end: "part-out", thing: "coil", state: "drawn out" }],
      tools: ["a block of wood"],
    },
    {
      id: "comb",
      kind: "clean",
      title: "Comb and brush it dry, along the fins",
      detail: "From above down, the vacuum held below. What is wet turns to felt: dry comes first.",
      caution: FINS,
      cleans: { what: "coil", how: "dry" },
      tools: ["a fin comb", "a soft brush", "a vacuum", "gloves"],
    },
    {
      id: "foam",
      kind: "clean",
      title: "Foam it from the bottom up",
      detail: "As the can or the dilution says. It pushes the dirt out in front of it.",
      caution: "Eye protection; windows open. Never with bleach or another cleaner.",
      variants: ["foam"],
      shows: "dilution",
      cleans: { what: "coil", how: "wet", staysWet: true },
      starts: { key: "foam", minutes: 10, words: "Foam works" },
      consumables: ["no-rinse coil foam"],
      tools: ["eye protection"],
    },
    {
      id: "spray",
      kind: "clean",
      title: "Spray it with water, top to bottom",
      detail: "A hand sprayer, a litre at a time; the pan catches it.",
      variants: ["water"],
      cleans: { what: "coil", how: "wet", staysWet: true },
      tools: ["a hand sprayer"],
    },
    {
      id: "exchanger",
      kind: "inspect",
      title: "Look at the heat exchanger while it is open",
      detail: "With a torch, from above. Cracks, holes, soot.",
      records: {
        kind: "choice",
        options: [
          { value: "sound", name: "Nothing to see" },
          {
            value: "cracked",
            name: "A crack, or soot",
            suggests: "It stays off: carbon monoxide. Have it tested before it heats again.",
          },
        ],
      },
    },
    callFor({
      id: "exchanger-test",
      title: "Have the heat exchanger tested",
      detail: "It must not heat until then. Put it together, leave its power off in words.",
      whenSeen: { step: "exchanger", is: ["cracked"] },
    }),
    {
      id: "foam-works",
      kind: "wait",
      title: "Let the foam work",
      variants: ["foam"],
      waitsFor: ["foam"],
    },
    {
      id: "pan",
      kind: "clean",
      title: "Empty the pan, wipe it",
      detail: "Before it floods. Its float moves up and falls back.",
      tools: ["a wet vacuum or sponge"],
    },
    {
      id: "runs-clear",
      kind: "inspect",
      title: "How does the water in the pan look?",
      detail: "Judge the coil by its rinse water.",
      records: {
        kind: "choice",
        options: [
          { value: "clear", name: "Clear" },
          { value: "grey", name: "Grey still", suggests: "Brush and wash it once more." },
        ],
      },
    },
    {
      id: "coil-after",
      kind: "inspect",
      title: "How does the coil look now?",
      photo: "after",
      records: { kind: "reading", reading: "coil" },
      renews: true,
    },
    {
      id: "ease-in",
      kind: "fit",
      title: "Ease the coil back onto its supports",
      when: "coil-eases-out",
      detail: "Its pan level, its drain below it, no line rubbing.",
      closes: "coil",
      shows: "photos",
    },
    coverOn("panels", {
      detail: "Protection out first. In reverse; seams taped as they were.",
      consumables: ["foil tape, where it was taped"],
    }),
    countedIn("screws"),
    {
      id: "set-back",
      kind: "restore",
      title: "Set the thermostat back",
      closes: "setting",
    },
    powerOn(),
    {
      id: "drain",
      kind: "test",
      title: "Watch its water run off, the next time it cools",
      ...unlessOff,
      records: { kind: "reading", reading: "drain" },
      recordIsOptional: true,
    },
  ],
};

export const wipePan: Procedure = {
  id: "wipe-pan",
  title: "Wipe the pan, lift the float",
  verb: "Wipe",
  who: "owner",
  handsOnMinutes: 10,
  waitingMinutes: 0,
  steps: [
    powerOff(),
    coverOff("panel"),
    {
      id: "wipe",
      kind: "clean",
      title: "Wipe the pan dry",
      detail: "Slime out with a cloth; its outlet open.",
      tools: ["a cloth", "gloves"],
      renews: true,
    },
    {
      id: "pour",
      kind: "test",
      title: "Pour a cup in, watch it leave",
      records: { kind: "reading", reading: "drain" },
    },
    coverOn("panel"),
    powerOn(),
    {
      id: "float",
      kind: "test",
      title: "Lift the float by hand while it cools",
      detail: "It stops within seconds; let go, it starts again after a while.",
      when: "has-float",
      ...unlessOff,
      recordIsOptional: true,
      records: {
        kind: "choice",
        options: [
          { value: "stops", name: "It stops" },
          {
            value: "runs-on",
            name: "It runs on",
            suggests: "It would let the pan run over: have it seen to before the heat.",
          },
        ],
      },
    },
  ],
};

export const liftFloat: Procedure = {
  id: "lift-float",
  title: "Lift the float switch once",
  verb: "Lift",
  who: "owner",
  handsOnMinutes: 5,
  waitingMinutes: 0,
  steps: [
    {
      id: "cooling",
      kind: "prepare",
      title: "Let it cool for a minute",
      detail: "Write down how the thermostat stands; then call for cooling.",
      changesSetting: true,
      records: { kind: "setting", key: "mode", label: "Mode and setting" },
      recordIsOptional: true,
      opens: [{ key: "setting", end: "setting-changed", thing: "thermostat", state: "changed" }],
    },
    {
      id: "lift",
      kind: "test",
      title: "Lift the float with a finger",
      detail: "Where it stands in the pan or on the line. Nothing is opened for it.",
      renews: true,
      records: {
        kind: "choice",
        options: [
          { value: "stops", name: "The cooling stops" },
          {
            value: "runs-on",
            name: "It runs on",
            suggests: "It would let the pan run over: have it seen to before the heat.",
          },
        ],
      },
    },
    {
      id: "back",
      kind: "restore",
      title: "Set the thermostat back",
      closes: "setting",
      recalls: ["cooling"],
    },
  ],
};

export const clearBaseDrains: Procedure = {
  id: "clear-base-drains",
  title: "Clear the holes in the outdoor unit’s base",
  verb: "Clear",
  who: "owner",
  handsOnMinutes: 5,
  waitingMinutes: 0,
  steps: [
    powerOff({
      title: "Pull its disconnect",
      detail: "A fan may start while your hand is beneath it.",
    }),
    {
      id: "leaves",
      kind: "clean",
      title: "Take leaves off and out of its base",
      caution: "Fins cut, and something may live in there: gloves.",
      tools: ["gloves"],
    },
    {
      id: "holes",
      kind: "clean",
      title: "Free each hole",
      detail: "From beneath, until each lets light through. Nothing pushed between the fins.",
      tools: ["a bent wire"],
      renews: true,
    },
    {
      id: "pour",
      kind: "test",
      title: "Pour a cup into its base, watch it leave",
      recordIsOptional: true,
      records: { kind: "reading", reading: "drain" },
    },
    powerOn({ title: "Put its disconnect back" }),
  ],
};

export const lookForIce: Procedure = {
  id: "look-for-ice",
  title: "Look for ice under the outdoor unit",
  verb: "Look",
  who: "owner",
  handsOnMinutes: 5,
  waitingMinutes: 0,
  steps: [
    {
      id: "ice",
      kind: "inspect",
      title: "Is there ice beneath it or in its base?",
      detail: "As it stands: nothing is touched while it runs.",
      photo: "before",
      records: {
        kind: "choice",
        options: [
          { value: "none", name: "None: it drips away" },
          {
            value: "some",
            name: "A cake of ice beneath",
            suggests: "Break it away beside the unit, never at the coil; lead the water off.",
          },
          {
            value: "grown",
            name: "It grows into the coil",
            suggests: "Off, let it thaw. Ice that comes again wants a technician.",
          },
        ],
      },
    },
    {
      id: "path",
      kind: "clean",
      title: "Give its water a way off",
      detail: "A channel in the snow, grit where people walk. No salt at the metal, no hot water.",
      tools: ["a shovel"],
      renews: true,
    },
  ],
};

export const cutBackGrowth: Procedure = {
  id: "cut-back-growth",
  title: "Cut back what grows round the outdoor unit",
  verb: "Cut",
  who: "owner",
  handsOnMinutes: 10,
  waitingMinutes: 0,
  steps: [
    {
      id: "space",
      kind: "measure",
      title: "How near does the nearest thing stand?",
      detail: "From the coil’s face: plant, fence, bin. About a metre is good.",
      records: { kind: "reading", reading: "clearance-m" },
      tools: ["a tape measure"],
    },
    {
      id: "cut",
      kind: "clean",
      title: "Cut back, and rake out below",
      detail: "Mower and strimmer throw away from it: grass in the fins is felt.",
      tools: ["shears"],
      renews: true,
    },
    {
      id: "above",
      kind: "inspect",
      title: "Look above it too",
      detail: "Nothing within a metre and a half: it blows upward.",
    },
  ],
};

export const digFreeOfSnow: Procedure = {
  id: "dig-free-of-snow",
  title: "Dig the outdoor unit free of snow",
  verb: "Dig",
  who: "owner",
  handsOnMinutes: 10,
  waitingMinutes: 0,
  steps: [
    {
      id: "roof",
      kind: "prepare",
      title: "Look up first",
      caution: "What slides off a roof: stand beside it, never under it.",
    },
    {
      id: "dig",
      kind: "clean",
      title: "Clear a metre all round, and its top",
      detail: "With a broom at the coil: a shovel bends fins.",
      tools: ["a shovel", "a broom"],
      renews: true,
    },
    {
      id: "below",
      kind: "inspect",
      title: "Is it free beneath?",
      detail: "Water from its thawing has to leave.",
    },
    {
      id: "frost",
      kind: "inspect",
      title: "Is its coil white?",
      detail: "Hoar comes and goes within the hour. A shell of ice that stays wants a technician.",
      records: { kind: "reading", reading: "coil" },
      recordIsOptional: true,
    },
  ],
};

export const washInletScreen: Procedure = {
  id: "wash-inlet-screen",
  title: "Wash the inlet screen",
  verb: "Wash",
  who: "owner",
  handsOnMinutes: 10,
  waitingMinutes: 30,
  steps: [
    powerOff({ title: "Put its disconnect to off" }),
    {
      id: "screen-out",
      kind: "remove",
      title: "Slide the screen out",
      photo: "before",
      opens: [{ key: "screen", end: "part-out", thing: "screen", state: "out" }],
      plate: "part",
    },
    {
      id: "wash",
      kind: "clean",
      title: "Wash it, or put a new one in",
      detail: "Water from its clean side; a drop of soap against grease.",
      cleans: { what: "screen", how: "wet" },
      consumables: ["mild soap"],
    },
    {
      id: "to-dry",
      kind: "clean",
      title: "Set it to dry",
      opens: [
        { key: "drying", end: "part-drying", thing: "screen", state: "drying", dryMinutes: 30 },
      ],
    },
    { id: "dry", kind: "wait", title: "Is it dry?", closes: "drying" },
    {
      id: "screen-in",
      kind: "fit",
      title: "Slide it back, its tabs as before",
      closes: "screen",
      shows: "photos",
      renews: true,
    },
    powerOn({ title: "Put its disconnect back" }),
    hearIt(unlessOff),
  ],
};
