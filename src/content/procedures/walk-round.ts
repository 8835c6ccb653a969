import type { Procedure } from "@/core/procedures/procedure";

export const walkRound = {
  id: "walk-round",
  title: "Walk round: listen, look, feel",
  verb: "Walk",
  who: "owner",
  handsOnMinutes: 5,
  waitingMinutes: 0,
  gas: true,
  rules: true,
  steps: [
    {
      id: "co-display",
      kind: "measure",
      title: "Read the display of every CO alarm",
      detail: "Each should read zero. If they differ, note the highest, and where.",
      caution:
        "An alarm that sounds: everyone out, then call. Many stay silent below 50 ppm, so silence is no reading.",
      records: { kind: "reading", reading: "co-ppm", of: "every-co-alarm" },
      recordIsOptional: true,
    },
    {
      id: "filter-look",
      kind: "inspect",
      title: "Look at the hardest-worked filter",
      detail: "With the machine off for the moment, or through the slot. Hold a torch behind it.",
      records: { kind: "look", of: "any-filter" },
      recordIsOptional: true,
      tools: ["a torch"],
    },
    {
      id: "listen",
      kind: "inspect",
      title: "Listen to it start and run",
      detail: "Stand beside the main machine for a minute, as it starts if you can.",
      records: { kind: "reading", reading: "noise", of: "any-machine" },
    },
    {
      id: "returns",
      kind: "inspect",
      title: "See that nothing stands against the returns",
      detail: "No furniture, rug or curtain before a return; no register shut that should be open.",
    },
    {
      id: "water",
      kind: "inspect",
      title: "Look for water at the machine’s foot",
      records: { kind: "reading", reading: "water-at-unit", of: "any-machine" },
    },
    {
      id: "vent",
      kind: "inspect",
      title: "Look along the vent pipe",
      detail: "From the machine to the wall: every joint tight, no rust, no stains below it.",
      caution:
        "A metal vent is 150 to 200 °C while it runs. Look; tap it before you ever touch it.",
      records: { kind: "reading", reading: "vent-pipe", of: "any-machine" },
      recordIsOptional: true,
    },
    {
      id: "outside",
      kind: "inspect",
      title: "Look at vent and intake outside",
      detail: "Free of leaves, snow, nests and webs; the outdoor unit with its space around it.",
    },
    {
      id: "thermostat",
      kind: "inspect",
      title: "Read the thermostat",
      detail: "The right mode, no hold left over, no weak battery in its display.",
    },
    {
      id: "nothing-left",
      kind: "inspect",
      title: "See that nothing was left off or open",
      detail: "Switches, cocks and covers as they should be. What is known open stands on Today.",
      renews: true,
    },
  ],
} as const satisfies Procedure;
