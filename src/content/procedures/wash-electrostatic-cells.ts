import type { Procedure, Step } from "@/core/runs/procedure";
import { isItDry, setToDry, unlessOff } from "./common";

/** Three hours at least in sun or warm air: water between the plates arcs, and ruins the supply. */
const CELLS_DRY_MINUTES = 180;

const CHARGED =
  "The cells hold a charge for a while: wait five minutes before the cover comes off.";
/** How a cleaner is isolated and opened, in both of its jobs. */
const CONTROL_OFF: Step = {
  id: "control-off",
  kind: "shut",
  title: "Switch it off at its control, then isolate it",
  detail: "Its light goes out. The blower stands still too.",
  shows: "shut-off",
  opens: [{ key: "power", end: "switch-off", thing: "power", state: "off" }],
  starts: { key: "discharge", minutes: 5, words: "The cells lose their charge" },
};
const COVER_OFF: Step = {
  id: "cover-off",
  kind: "open",
  title: "Take its cover off, or swing it down",
  detail: "A coin or a driver turns its catches. Overhead: from a step, one hand beneath it.",
  caution: CHARGED,
  waitsFor: ["discharge"],
  photo: "before",
  opens: [{ key: "cover", end: "panel-off", thing: "cover", state: "off" }],
  tools: ["a coin or a screwdriver", "a step"],
};
const INNER_OFF: Step = {
  id: "inner-off",
  kind: "shut",
  title: "Turn its inner switch off, if it has one",
  detail: "It cuts the cells’ own supply, nothing else.",
  opens: [{ key: "inner", end: "switch-off", thing: "inner switch", state: "off", isInside: true }],
};
const FLAT_OUT: Step = {
  id: "flat-out",
  kind: "remove",
  title: "Draw the flat pre-filter out first",
  detail: "It sits before the cells, on the side the air comes from. See which way round.",
  photo: "before",
  opens: [{ key: "flat", end: "part-out", thing: "flat pre-filter", state: "out" }],
};
const FLAT_IN: Step = {
  id: "flat-in",
  kind: "fit",
  title: "Slide the flat pre-filter back, as it sat",
  closes: "flat",
  shows: "photos",
};
const INNER_ON: Step = {
  id: "inner-on",
  kind: "restore",
  title: "Inner switch on",
  closes: "inner",
};
const COVER_ON: Step = {
  id: "cover-on",
  kind: "restore",
  title: "Cover on",
  detail: "It works a switch on many: it has to sit.",
  closes: "cover",
  photo: "after",
};
const CONTROL_ON: Step = {
  id: "power-on",
  kind: "restore",
  title: "Breaker or switch on, then its control",
  shows: "shut-off",
  closes: "power",
};

/** The flat filter before the cells by itself: beside high voltage, so by the same way in and out. */
export const cleanFlatPreFilter: Procedure = {
  id: "clean-flat-pre-filter",
  title: "Clean the flat pre-filter before the cells",
  verb: "Clean",
  who: "owner",
  handsOnMinutes: 10,
  waitingMinutes: 60,
  variants: [
    { id: "vacuum", name: "Vacuum it", says: "Dust only: back in at once.", waitingMinutes: 0 },
    { id: "wash", name: "Wash it", says: "Lukewarm water and mild soap, then the shade." },
  ],
  steps: [
    CONTROL_OFF,
    COVER_OFF,
    INNER_OFF,
    FLAT_OUT,
    { id: "look", kind: "inspect", title: "How does it look?", records: { kind: "look" } },
    {
      id: "vacuum",
      kind: "clean",
      title: "Vacuum its dirty side",
      cleans: { what: "flat", how: "dry" },
      tools: ["a vacuum with a soft brush"],
    },
    {
      id: "wash",
      kind: "clean",
      title: "Wash it in lukewarm water",
      variants: ["wash"],
      cleans: { what: "flat", how: "wet" },
      consumables: ["mild soap"],
    },
    setToDry("flat pre-filter", 60, { variants: ["wash"] }),
    isItDry("Flat pre-filter", 30, {
      variants: ["wash"],
      why: "What drips from it drips onto the cells.",
    }),
    { ...FLAT_IN, renews: true },
    INNER_ON,
    COVER_ON,
    CONTROL_ON,
  ],
};

export const washElectrostaticCells: Procedure = {
  id: "wash-electrostatic-cells",
  title: "Wash the collecting cells",
  verb: "Wash",
  who: "owner",
  handsOnMinutes: 30,
  waitingMinutes: CELLS_DRY_MINUTES,
  checks: [
    { id: "dry-place", words: "A warm, airy place for the cells to dry for three hours" },
    { id: "bath", words: "A tub or a shower is free, large enough for a cell" },
  ],
  steps: [
    CONTROL_OFF,
    COVER_OFF,
    INNER_OFF,
    FLAT_OUT,
    {
      id: "cells-out",
      kind: "remove",
      title: "Release the cells, one at a time",
      detail:
        "On some they swing down by their handles. See which mark faces which; a picture helps.",
      caution: "Edges and thin wires: gloves, and lay nothing on the wires.",
      photo: "before",
      opens: [{ key: "cells", end: "part-out", thing: "cells", state: "out" }],
      tools: ["gloves"],
    },
    {
      id: "count-out",
      kind: "inspect",
      title: "Count the cells",
      records: { kind: "count", label: "Cells that came out" },
    },
    {
      id: "look",
      kind: "inspect",
      title: "How do they look?",
      detail: "The plates of the worst.",
      records: { kind: "look" },
      photo: "before",
    },
    {
      id: "wash",
      kind: "clean",
      title: "Let water run through the plates",
      detail: "Warm, with the soap its manual names; then clear. No brush at the wires.",
      cleans: { what: "cells", how: "wet" },
    },
    {
      id: "set-to-dry",
      kind: "clean",
      title: "Stand them up to dry, three hours at least",
      detail: "In the sun or in warm air, plates upright, turned once.",
      opens: [
        {
          key: "drying",
          end: "part-drying",
          thing: "cells",
          state: "drying",
          dryMinutes: CELLS_DRY_MINUTES,
        },
      ],
    },
    {
      id: "is-it-dry",
      kind: "wait",
      title: "Dry to the touch, through and through?",
      detail: "Between the plates and in every corner of the frame: shake each, look for a drop.",
      why: "A damp cell arcs and can ruin its supply.",
      closes: "drying",
      records: {
        kind: "choice",
        options: [
          { value: "dry", name: "Bone dry, every one" },
          { value: "damp", name: "Still damp somewhere", suggests: "An hour more, turned over." },
        ],
      },
      repeats: {
        from: "is-it-dry",
        until: ["dry"],
        wait: { minutes: 60, words: "Cells dry on" },
      },
    },
    {
      id: "cells-in",
      kind: "fit",
      title: "Cells back, mark to mark, each locked",
      shows: "photos",
      closes: "cells",
      renews: true,
    },
    {
      id: "count-in",
      kind: "inspect",
      title: "Count the cells that are in",
      records: { kind: "count", label: "Cells that went in", same: "count-out" },
      recalls: ["count-out"],
    },
    FLAT_IN,
    INNER_ON,
    COVER_ON,
    CONTROL_ON,
    {
      id: "crackle",
      kind: "test",
      title: "Listen for a minute",
      detail: "Now and then a snap is dust. A crackle that goes on is water.",
      ...unlessOff,
      records: {
        kind: "choice",
        options: [
          { value: "quiet", name: "Quiet" },
          {
            value: "crackles",
            name: "It crackles on",
            suggests: "Off again at its control: the cells come out once more and dry longer.",
          },
        ],
      },
    },
  ],
};
