import type { Procedure } from "@/core/runs/procedure";

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
    at: "afternoon",
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
      changesSetting: true,
      opens: [{ key: "setting", end: "setting-changed", thing: "thermostat", state: "changed" }],
      starts: { key: "run", minutes: 15, words: "Cooling runs" },
    },
    {
      id: "does-it-turn",
      kind: "inspect",
      title: "Does the fan of the outdoor unit turn?",
      detail: "Within a minute of the call.",
      records: {
        kind: "choice",
        options: [
          { value: "turns", name: "It turns" },
          {
            value: "hums",
            name: "It hums but does not turn",
            suggests: "Off at once: a motor that stands under power burns.",
          },
        ],
      },
    },
    {
      id: "off-at-once",
      kind: "shut",
      title: "Turn the cooling off at once",
      detail: "At the thermostat, then at its breaker. It stays off until somebody licensed came.",
      whenSeen: { step: "does-it-turn", is: ["hums"] },
      changesSetting: true,
      opens: [{ key: "cooling", end: "setting-changed", thing: "cooling", state: "off" }],
    },
    {
      id: "stuck",
      kind: "caution",
      title: "Have the motor and its capacitor looked at",
      caution: "Do not push the fan with a stick, and open nothing: the capacitor holds a charge.",
      whenSeen: { step: "does-it-turn", is: ["hums"] },
      endsJob: true,
    },
    {
      id: "hear-outside",
      kind: "inspect",
      title: "Hear the outdoor unit meanwhile",
      detail: "It hums evenly.",
      unlessSeen: { step: "does-it-turn", is: ["hums"] },
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
      id: "cooling-on",
      kind: "restore",
      title: "Once it has been mended: let it cool again",
      detail: "Until then it stays off: say so, and it is shown on every page.",
      whenSeen: { step: "does-it-turn", is: ["hums"] },
      closes: "cooling",
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
