import type { Procedure } from "@/core/procedures/procedure";

export const coolingTest = {
  id: "cooling-test",
  title: "Try the cooling",
  verb: "Try",
  who: "owner",
  handsOnMinutes: 5,
  waitingMinutes: 15,
  variants: [
    {
      id: "measure",
      name: "With a thermometer",
      says: "Air coming back against air going out: a figure one can compare next year.",
    },
    { id: "feel", name: "By hand", says: "Cool at two registers is cool enough to know." },
  ],
  mildDay: {
    leastC: 16,
    why: "cooling that runs while it is cold outside harms its compressor",
  },
  steps: [
    {
      id: "note-setting",
      kind: "prepare",
      title: "Note mode and setting",
      detail: "As the thermostat stands now. A picture does.",
      photo: "before",
    },
    {
      id: "set-cooling",
      kind: "open",
      title: "Set it to cooling, 2 to 3 °C below the room",
      detail: "Call for it once and leave it: short starts strain it.",
      opens: [{ key: "setting", end: "setting-changed", thing: "thermostat", state: "changed" }],
      starts: { key: "run", minutes: 15, words: "Cooling runs" },
    },
    {
      id: "hear-outside",
      kind: "inspect",
      title: "Hear the outdoor unit meanwhile",
      detail: "Its fan turns, it hums evenly.",
      records: { kind: "reading", reading: "noise" },
    },
    {
      id: "wait",
      kind: "wait",
      title: "Let it run a quarter of an hour",
      detail: "Before that no figure means anything.",
      waitsFor: ["run"],
    },
    {
      id: "two-registers",
      kind: "test",
      title: "Hold a hand before two registers",
      detail: "One near, one far.",
      variants: ["feel"],
      records: {
        kind: "choice",
        options: [
          { value: "both", name: "Both blow clearly cool" },
          {
            value: "one",
            name: "Only one does",
            suggests: "Look for a shut register or damper on the way to the warm one.",
          },
          {
            value: "none",
            name: "Neither does",
            suggests:
              "Look at filter and breaker first, then call. Whatever touches refrigerant is licensed work.",
          },
        ],
      },
    },
    {
      id: "measure",
      kind: "measure",
      title: "Measure the air coming back and going out",
      detail: "At the return, and at the register nearest the machine; a minute each.",
      variants: ["measure"],
      tools: ["a thermometer"],
      records: {
        kind: "reading",
        reading: "cooling-split-k",
        difference: ["Air coming back", "Air going out"],
      },
    },
    {
      id: "set-back",
      kind: "restore",
      title: "Set mode and setting back",
      detail: "As they were before.",
      closes: "setting",
      shows: "photos",
      renews: true,
    },
  ],
} as const satisfies Procedure;
