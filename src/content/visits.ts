import type { Decision, VisitReason, VisitVerdict } from "@/core/visits/visit";
import type { PartFacts } from "@/core/visits/likely-parts";
import type { RUNNING_MODES } from "@/core/readings/conditions";
import type { ReadingKind } from "@/core/readings/reading-kinds";

/** Why a technician comes, as one says it. */
export const VISIT_REASON_WORDS: Readonly<Record<VisitReason, string>> = {
  yearly: "Yearly service",
  "half-yearly": "Half-yearly service",
  breakdown: "Breakdown",
  finding: "Something found earlier",
  other: "Something else",
};

export const VISIT_VERDICT_WORDS: Readonly<Record<VisitVerdict, string>> = {
  sound: "all well",
  watch: "well, with something to watch",
  repair: "runs, but wants repair",
  "out-of-use": "not to be used",
};

export const DECISION_WORDS: Readonly<Record<Decision, string>> = {
  open: "not decided yet",
  now: "done now",
  watch: "watched",
  declined: "declined",
};

/**
 * In which order a technician checks: the heating side first, even in summer, since what is unsafe there
 * hurts; then what moves air and water, then the electric parts, refrigerant last, after it ran.
 */
export const CHECK_ORDER: readonly ReadingKind[] = [
  "flame",
  "vent-pipe",
  "plastic-pipe",
  "heat-exchanger",
  "thermocouple-mv",
  "flame-current-ua",
  "co-ppm",
  "temperature-rise-k",
  "sensor-offset-k",
  "boiler-pressure-bar",
  "heating-water",
  "inhibitor-strip",
  "sludge",
  "noise",
  "belt",
  "static-pressure-pa",
  "filter-drop",
  "water-at-unit",
  "drain",
  "wires",
  "capacitor-uf",
  "motor-amps",
  "coil",
  "frost",
  "line-wrap",
  "cooling-split-k",
  "superheat-k",
  "subcooling-k",
  "plate-range",
  "heat-recovery-efficiency",
  "seal",
];

const BAD_WORDS = /stain|crack|hairline|hole|split|soot|rust(ed)? through/i;
const EXCHANGER = /\bexchanger\b/i;
/** Whether a finding is of a heat exchanger that may leak: by its part, or by its words. */
export const isOfExchanger = ({
  words,
  partKind,
}: {
  words: string;
  partKind: string | undefined;
}): boolean => BAD_WORDS.test(words) && (partKind === "heat-exchanger" || EXCHANGER.test(words));

/** How long parts usually last, and what points to them: general trade practice, no maker’s figures. */
export const PART_FACTS: PartFacts = {
  lifeYears: {
    belt: 5,
    igniter: 7,
    "flame-sensor": 8,
    pilot: 10,
    capacitor: 12,
    contactor: 12,
    "float-switch": 10,
    anode: 5,
    "relief-valve": 10,
    "cover-seal": 8,
    "gas-hose": 5,
  },
  pointsTo: {
    "noise:squeal": ["belt", "blower"],
    "noise:rattle": ["access-panels", "fan"],
    "belt:cracked": ["belt"],
    "belt:slack": ["belt"],
    "flame:yellow-tips": ["burners"],
    "wires:scorched": ["contactor", "wiring"],
    "wires:corroded": ["wiring"],
    "seal:flattened": ["cover-seal"],
    "seal:leaking": ["cover-seal", "magnetic-filter"],
    "water-at-unit:fresh": ["condensate-trap", "float-switch", "drain-pan"],
    "drain:blocked": ["float-switch"],
  },
};

/** What a machine did while it was measured. */
export const RUNNING_WORDS: Readonly<Record<(typeof RUNNING_MODES)[number], string>> = {
  heating: "heating",
  cooling: "cooling",
  fan: "its fan only",
  off: "off",
};

/** What makes one ask for a technician, offered where one writes questions down. */
export const USUAL_QUESTIONS = [
  "What will likely fail before you come again, and what does it cost now?",
  "Which readings have moved since the last time?",
  "Is the filter the right one for this blower?",
] as const;
