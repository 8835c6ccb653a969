import type { Procedure } from "@/core/runs/procedure";

/** Three hours at least in sun or warm air: water between the plates arcs, and ruins the supply. */
const CELLS_DRY_MINUTES = 180;

export const washElectrostaticCells = {
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
    {
      id: "control-off",
      kind: "shut",
      title: "Switch it off at its control, then isolate it",
      detail: "Its light goes out. The blower stands still too.",
      caution: "The cells hold a charge for a while: wait five minutes before the cover comes off.",
      shows: "shut-off",
      opens: [{ key: "power", end: "switch-off", thing: "power", state: "off" }],
    },
    {
      id: "cover-off",
      kind: "open",
      title: "Take its cover off",
      photo: "before",
      opens: [{ key: "cover", end: "panel-off", thing: "cover", state: "off" }],
    },
    {
      id: "inner-off",
      kind: "shut",
      title: "Turn its inner switch off, if it has one",
      detail: "It cuts the cells’ own supply, nothing else.",
      opens: [
        { key: "inner", end: "switch-off", thing: "inner switch", state: "off", isInside: true },
      ],
    },
    {
      id: "cells-out",
      kind: "remove",
      title: "Release the cells, one at a time",
      detail: "See which mark faces which, and which way its handle stands. A picture helps.",
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
    { id: "inner-on", kind: "restore", title: "Inner switch on", closes: "inner" },
    {
      id: "cover-on",
      kind: "restore",
      title: "Cover on",
      detail: "It works a switch on many: it has to sit.",
      closes: "cover",
      photo: "after",
    },
    {
      id: "power-on",
      kind: "restore",
      title: "Isolator on, then its control",
      shows: "shut-off",
      closes: "power",
    },
    {
      id: "crackle",
      kind: "test",
      title: "Listen for a minute",
      detail: "Now and then a snap is dust. A crackle that goes on is water.",
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
} as const satisfies Procedure;
