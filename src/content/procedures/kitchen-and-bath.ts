import type { Procedure } from "@/core/runs/procedure";
import {
  coverOff,
  coverOn,
  hearIt,
  isItDry,
  powerOff,
  powerOn,
  setToDry,
  unlessOff,
} from "./common";

/** The hood over the stove, and the fan of a bath. */
export const washGreaseFilter: Procedure = {
  id: "wash-grease-filter",
  title: "Wash the grease filters",
  verb: "Wash",
  who: "owner",
  handsOnMinutes: 15,
  waitingMinutes: 30,
  says: "What drips from them burns.",
  steps: [
    {
      id: "cool",
      kind: "prepare",
      title: "See that the stove is cold",
      caution: "Nothing on the flame while grease hangs above it.",
    },
    powerOff({
      title: "Switch fan and light off",
      detail: "At the hood, then its plug or breaker.",
    }),
    {
      id: "out",
      kind: "remove",
      title: "Release each and lift it down",
      detail: "Two hands: grease runs to the low edge.",
      photo: "before",
      opens: [{ key: "grease", end: "part-out", thing: "grease filters", state: "out" }],
      plate: "part",
    },
    {
      id: "count-out",
      kind: "inspect",
      title: "Count them",
      records: { kind: "count", label: "filters that came out" },
    },
    {
      id: "wash",
      kind: "clean",
      title: "Soak them in hot water with dish soap",
      detail: "Ten minutes, a brush, hot rinse. Or the dishwasher, where their maker allows it.",
      cleans: { what: "grease", how: "wet" },
      consumables: ["dish soap"],
      tools: ["a brush"],
    },
    {
      id: "inside",
      kind: "clean",
      title: "Wipe the inside of the hood meanwhile",
      detail: "Grease cutter on the cloth, never sprayed at motor or lamp.",
      tools: ["a cloth"],
    },
    setToDry("grease filters", 30, { title: "Set them to drip and dry" }),
    isItDry("Filters", 15),
    {
      id: "in",
      kind: "fit",
      title: "Hang each back until it locks",
      closes: "grease",
      renews: true,
    },
    {
      id: "count-in",
      kind: "inspect",
      title: "Count them again",
      records: { kind: "count", label: "filters that went in", same: "count-out" },
      recalls: ["count-out"],
    },
    powerOn({ title: "Switch it on" }),
    {
      id: "draws",
      kind: "test",
      title: "Does it draw steam in?",
      ...unlessOff,
      records: { kind: "reading", reading: "hood-steam" },
      recordIsOptional: true,
    },
  ],
};

export const changeHoodCarbon: Procedure = {
  id: "change-hood-carbon",
  title: "Put new carbon into the hood",
  verb: "Change",
  who: "owner",
  handsOnMinutes: 10,
  waitingMinutes: 0,
  steps: [
    powerOff({
      title: "Switch fan and light off",
      detail: "At the hood, then its plug or breaker.",
    }),
    coverOff("grease filters", { title: "Take the grease filters down" }),
    {
      id: "out",
      kind: "remove",
      title: "Turn or unclip the old carbon",
      plate: "part",
      photo: "before",
      opens: [{ key: "carbon", end: "part-out", thing: "carbon", state: "out" }],
    },
    {
      id: "in",
      kind: "fit",
      title: "Put the new one in as the old one sat",
      shows: "photos",
      closes: "carbon",
      consumables: ["a new carbon filter"],
      renews: true,
    },
    coverOn("grease filters", { title: "Hang the grease filters back" }),
    powerOn({ title: "Switch it on" }),
  ],
};

export const testBathFan: Procedure = {
  id: "test-bath-fan",
  title: "Does the bath fan draw? Vacuum its grille",
  verb: "Test",
  who: "owner",
  handsOnMinutes: 15,
  waitingMinutes: 0,
  steps: [
    {
      id: "paper",
      kind: "test",
      title: "Hold a sheet of paper to its grille",
      detail: "Running, door shut, a hand’s breadth of gap below it.",
      tools: ["a sheet of paper"],
      records: {
        kind: "choice",
        options: [
          { value: "holds", name: "It holds the sheet" },
          {
            value: "drops",
            name: "The sheet falls",
            suggests: "Grille, flap outside, then the duct.",
          },
        ],
      },
    },
    powerOff({
      title: "Switch it off at its breaker",
      detail: "A switch by the door may wait minutes.",
    }),
    coverOff("grille", { detail: "Two springs, squeezed.", tools: ["a step"] }),
    {
      id: "vacuum",
      kind: "clean",
      title: "Vacuum wheel and housing",
      detail: "Wash the grille in the basin, dry it.",
      tools: ["a vacuum with a soft brush"],
      renews: true,
    },
    coverOn("grille"),
    powerOn({ title: "Switch its breaker on" }),
    hearIt(unlessOff),
  ],
};
