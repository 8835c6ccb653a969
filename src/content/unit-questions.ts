import type { Attribute } from "@/core/inventory/attribute";
import { REACHED, ROOF_SAFE } from "./keys";

/** Questions asked of several kinds, or whose answers something is worked out from. */
const choice = (
  key: string,
  label: string,
  options: Record<string, string>,
  { hint, fact }: { hint?: string; fact?: string } = {},
): Attribute => ({
  key,
  label,
  ...(fact ? { fact } : {}),
  kind: "choice",
  options: Object.entries(options).map(([value, words]) => ({ value, label: words })),
  ...(hint ? { hint } : {}),
});

export const POSITION = choice(
  "position",
  "Which way the air goes through it",
  {
    upflow: "upward: a cooling coil sits above",
    downflow: "downward: a cooling coil sits below",
    horizontal: "sideways: a cooling coil sits at one end",
  },
  { hint: "It decides where coil, drain and filter are.", fact: "Air goes" },
);

export const HEADS: Attribute = {
  key: "heads",
  label: "How many indoor heads",
  fact: "Heads",
  kind: "count",
};

export const WATER_SIDE = choice(
  "water",
  "The heating’s water",
  { sealed: "sealed, with a pressure gauge", "header-tank": "open to a header tank" },
  { hint: "An open one has no pressure to restore.", fact: "Its water" },
);

export const FLUE = choice(
  "flue",
  "Where does what it burns go",
  { none: "into the room: it has no flue", flue: "outside, by a flue" },
  {
    fact: "Flue",
    hint: "Without a flue the room needs an opening and a CO alarm, and nobody sleeps beside it.",
  },
);

export const GAS_FEED = choice(
  "fed-by",
  "Its gas comes",
  {
    pipe: "by a rigid pipe from the wall",
    hose: "by a hose from the wall",
    bottle: "from a bottle",
  },
  { fact: "Gas by", hint: "A hose has a date printed on it." },
);

export const HUMIDIFIER_PLACE = choice("duct", "It sits on", {
  supply: "the supply duct",
  return: "the return duct",
});

export const THERMOSTAT_POWER = choice("power", "It runs on", {
  batteries: "batteries",
  wired: "a wire",
  both: "a wire, with batteries behind",
});

/** As the plate says it; of alarms the day from which their life is counted. */
export const MADE_ON: Attribute = {
  key: "made-on",
  label: "Made on",
  fact: "Made",
  hint: "On its plate or its back; the day if it says one, else the first of the month.",
  kind: "past-day",
};

export const SLEEPS_NEAR: Attribute = {
  key: "near-bedrooms",
  label: "Within about 3 m of the bedrooms’ doors",
  fact: "Near beds",
  kind: "yes-no",
};

/** How one gets to it: what a ladder, a crawl space or a roof asks for hangs on this. */
export const REACH = choice(
  REACHED,
  "How it is reached",
  {
    floor: "standing on the floor or the ground",
    ladder: "from a ladder",
    loft: "under the roof or in a crawl space",
    roof: "on a roof",
  },
  { fact: "Reached" },
);

export const SAFE_ROOF: Attribute = {
  key: ROOF_SAFE,
  label:
    "Is the roof reached and worked on safely: stairs or a fixed ladder, an edge that is secured?",
  fact: "Roof safe",
  hint: "Unless it is, everything up there is for licensed or building staff.",
  kind: "yes-no",
};
