import type { Trigger } from "@/core/scheduling/trigger";
import { MEASURED_KINDS, WORD_KINDS, type ReadingKind } from "@/core/readings/reading-kinds";
import { GREY_LOOK, type JobStatus } from "@/core/scheduling/schedule";
import { DRIFTING_OUT } from "@/core/readings/capacitor-drift";
import type { Qualification } from "@/core/runs/qualification";
import type { PlannedTask, Strategy } from "@/core/scheduling/task";
import { inSentence, spanWords } from "@/core/quantities/words";
import { READING_WORDS } from "@/content/reading-words";

/** Where a job is looked at: its part, its unit, or the home’s own jobs. */
export const pathOfTask = ({ unitId, partId }: Pick<PlannedTask, "unitId" | "partId">): string =>
  partId ? `parts/${partId}` : unitId ? `units/${unitId}#jobs` : "jobs";

export const QUALIFICATION_WORDS: Readonly<Record<Qualification, { name: string; hint: string }>> =
  {
    owner: { name: "anyone at home", hint: "no tools to speak of" },
    confident: { name: "a confident owner", hint: "with the panel off" },
    licensed: { name: "a licensed person", hint: "gas, refrigerant or wiring" },
  };

export const STRATEGY_WORDS: Readonly<Record<Strategy, { name: string; hint: string }>> = {
  wear: {
    name: "By wear",
    hint: "Run hours, dust and what was seen here decide; never past its greatest age.",
  },
  look: {
    name: "Look first",
    hint: "No day is right for all: look every so often, change at the first grey.",
  },
  calendar: { name: "By the calendar", hint: "Every so many days, however little it ran." },
};

const TURN_WORDS: Readonly<Record<string, string>> = {
  heatingStart: "heating starts",
  heatingEnd: "heating ends",
  coolingStart: "cooling starts",
  coolingEnd: "cooling ends",
  firstWarmDay: "the first warm day",
  firstFrost: "the first frost",
  lastFrost: "the last frost",
  leafFall: "leaf fall",
  snowFrom: "snow comes",
  snowTo: "snow goes",
};
export const TURNS = Object.entries(TURN_WORDS).map(([value, label]) => ({ value, label }));

const WITHIN_WORDS = {
  heating: "while it heats",
  cooling: "while it cools",
  snow: "while snow lies",
  growth: "in the mild months",
  inUse: "while it is in use",
} as const;
export const STRETCHES = Object.entries(WITHIN_WORDS).map(([value, label]) => ({ value, label }));

const EVENT_WORDS: Readonly<Record<string, string>> = {
  renovation: "building work has ended",
  asked: "something noticed that asks for it",
  "duct-cleaning": "the ducts were cleaned",
  "moved-in": "moving in",
  "smoke-episode": "the smoke has gone",
  away: "coming home",
  [GREY_LOOK]: "a look that finds it dusty all over",
  [DRIFTING_OUT]: "a drift that would not last the next summer",
};

/** What a reading has to say before its job is called for. */
function readingWords(reading: ReadingKind): string {
  if (reading === "indicator-light") return "when its light comes on";
  const words = READING_WORDS[reading];
  if (words.calls) return words.calls;
  const name = inSentence(words.name);
  if (reading in WORD_KINDS) return `when the ${name} looks bad`;
  return reading in MEASURED_KINDS || reading === "plate-range"
    ? `when the ${name} is out of its limits`
    : `when the ${name} is bad`;
}

/** How often, or upon what, a job comes round: “every 2 months while it cools”. */
export function triggerWords(trigger: Trigger): string {
  switch (trigger.kind) {
    case "every": {
      const { n, unit, within } = trigger;
      const span = n === 1 ? `every ${unit}` : `every ${n} ${unit}s`;
      return within ? `${span} ${WITHIN_WORDS[within]}` : span;
    }
    case "run-hours":
      return `every ${trigger.n} hours of running`;
    case "season": {
      const turn = TURN_WORDS[trigger.anchor]!;
      const days = trigger.offsetDays;
      if (days === 0) return trigger.anchor.startsWith("first") ? `on ${turn}` : `when ${turn}`;
      return `${spanWords(days)} ${days < 0 ? "before" : "after"} ${turn}`;
    }
    case "age":
      return `${trigger.minYears} to ${trigger.maxYears} years after it was made`;
    case "after": {
      const event = EVENT_WORDS[trigger.event] ?? trigger.event;
      return trigger.days === 0
        ? `at ${event}`
        : `within ${spanWords(trigger.days)} after ${event}`;
    }
    case "wear":
      return "by its wear";
    case "reading":
      return readingWords(trigger.reading);
    case "earliest":
      return trigger.of.map(triggerWords).join(", or ");
  }
}

/** “Cellar furnace: change the filter” */
export const jobTitle = ({
  task,
  unit,
  apart,
}: Pick<JobStatus, "task" | "unit" | "apart">): string =>
  unit ? `${[unit.name, ...apart].join(", ")}: ${inSentence(task.name)}` : task.name;
