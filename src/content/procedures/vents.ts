import type { Procedure } from "@/core/runs/procedure";
import {
  callFor,
  countedIn,
  countedOut,
  coverOff,
  coverOn,
  grilleOff,
  grilleOn,
  hearIt,
  HOT_VENT,
  powerOff,
  powerOn,
  unlessOff,
} from "./common";

/** Where burners breathe in and out: vents, intakes, the inlet of a room. */
export const lookAtVentPipe: Procedure = {
  id: "look-at-vent-pipe",
  title: "Look over the vent pipe",
  verb: "Look",
  who: "owner",
  handsOnMinutes: 5,
  waitingMinutes: 0,
  gas: true,
  steps: [
    {
      id: "pipe",
      kind: "inspect",
      title: "Look along it, from the machine to the wall",
      detail:
        "It rises all the way; three screws a joint; no rust, no white crust, no stain below.",
      caution: HOT_VENT,
      records: { kind: "reading", reading: "vent-pipe" },
      tools: ["a torch"],
    },
    {
      id: "near",
      kind: "inspect",
      title: "See that nothing stands against it",
      detail: "A hand’s breadth and more to wood, paint and stored things.",
      renews: true,
    },
    {
      id: "draught",
      kind: "test",
      title: "Does it draw, five minutes after a start?",
      detail: "A smouldering match below the draught hood: its smoke goes in.",
      caution: "Smoke that comes out: switch off, air the room, call.",
      recordIsOptional: true,
      records: {
        kind: "choice",
        options: [
          { value: "draws", name: "It draws the smoke in" },
          {
            value: "spills",
            name: "Smoke comes out",
            suggests: "Flue gas gets into the house. Off now, windows open, call.",
            reads: { reading: "vent-pipe", value: "disconnected" },
          },
        ],
      },
    },
  ],
};

export const clearVentAndIntake: Procedure = {
  id: "clear-vent-and-intake",
  title: "Clear vent and intake",
  verb: "Clear",
  who: "owner",
  handsOnMinutes: 20,
  waitingMinutes: 0,
  gas: true,
  rules: true,
  asks: [
    {
      key: "intake-box",
      of: "part",
      question: "Does its manual let an owner open the box behind the intake?",
      hint: "On a sealed unit that is often licensed work; then only the ends outside are yours.",
      options: [
        { value: "owner", name: "Yes, it says how" },
        { value: "licensed", name: "No, or it says nothing" },
      ],
    },
  ],
  steps: [
    powerOff({ detail: "It draws at the intake while it runs." }),
    {
      id: "ends",
      kind: "clean",
      title: "Clear both ends outside",
      detail: "Leaves, webs, nests, by hand; growth cut back half a metre round them.",
      tools: ["gloves"],
      photo: "before",
    },
    {
      id: "inside",
      kind: "inspect",
      title: "Look into both with a torch",
      tools: ["a torch"],
      records: {
        kind: "choice",
        options: [
          { value: "free", name: "Free as far as one sees" },
          {
            value: "deep",
            name: "Something sits deep inside",
            suggests: "Push nothing in further: have it taken out before it runs.",
          },
        ],
      },
    },
    callFor({
      id: "deep-inside",
      title: "Have what sits inside taken out",
      detail: "The pipe has to be opened and made tight again. It stays off until then.",
      whenSeen: { step: "inside", is: ["deep"] },
      keepsOff: "Something sits deep in its vent: off until it has been taken out.",
    }),
    {
      id: "screen",
      kind: "clean",
      title: "Brush the screens, if it has any",
      detail: "A screen of one’s own making ices shut: only what the maker fitted.",
      tools: ["a brush"],
    },
    coverOff("box’s cover", { id: "box-off", when: "owner-opens-box" }, { key: "box" }),
    countedOut("screws", { when: "owner-opens-box" }),
    {
      id: "vacuum-box",
      kind: "clean",
      title: "Vacuum the box, burners left alone",
      when: "owner-opens-box",
      tools: ["a vacuum with a soft brush"],
    },
    coverOn("box’s cover", {
      id: "box-on",
      closes: "box",
      when: "owner-opens-box",
      detail: "Its seal whole and lying flat: the box is part of the burner’s air.",
    }),
    countedIn("screws", { when: "owner-opens-box" }),
    {
      id: "rain",
      kind: "inspect",
      title: "See that both ends still point as they did",
      detail: "Intake away from the exhaust, elbows down, brackets tight.",
      photo: "after",
      renews: true,
    },
    powerOn(),
    hearIt(unlessOff),
  ],
};

export const clearSnowFromVents: Procedure = {
  id: "clear-snow-from-vents",
  title: "Clear snow from both ends",
  verb: "Clear",
  who: "owner",
  handsOnMinutes: 5,
  waitingMinutes: 0,
  gas: true,
  steps: [
    {
      id: "dig",
      kind: "clean",
      title: "Clear the snow below and round both ends",
      detail: "Half a metre below each, and what hangs over them.",
      caution: "What slides off a roof: stand beside, never under it.",
      why: "Snow before the intake starves the burner, before the vent it drives flue gas back.",
      tools: ["a shovel"],
    },
    {
      id: "icicles",
      kind: "clean",
      title: "Knock icicles off, sideways",
      detail: "With a wooden handle. Not at the pipe itself: it splits.",
    },
    {
      id: "free",
      kind: "inspect",
      title: "Look that air goes in and out",
      detail: "The vent steams, the intake is dry and open.",
      renews: true,
    },
  ],
};

export const brushAirInlet: Procedure = {
  id: "brush-air-inlet",
  title: "Vacuum the air inlet",
  verb: "Vacuum",
  who: "owner",
  handsOnMinutes: 10,
  waitingMinutes: 0,
  gas: true,
  steps: [
    grilleOff({ title: "Take the outside grille off, if it comes", detail: "Screws into a cup." }),
    countedOut("screws"),
    {
      id: "brush",
      kind: "clean",
      title: "Brush it and vacuum behind it",
      detail: "Fluff, webs, leaves, as far as the arm reaches.",
      tools: ["a brush", "a vacuum"],
    },
    grilleOn(),
    countedIn("screws"),
    {
      id: "inside",
      kind: "inspect",
      title: "See that nobody has boxed it in",
      detail: "Nothing stuffed in against the draught, nothing stored before it.",
      caution: "A burner without air makes carbon monoxide: it stays open in the coldest week.",
      renews: true,
    },
  ],
};
