import type { Step } from "@/core/runs/procedure";
import type { EndKind } from "@/core/runs/loose-ends";

/** What a step does, as one chooses it. */
export const STEP_KIND_WORDS: Readonly<Record<Step["kind"], string>> = {
  prepare: "prepares",
  shut: "switches off or shuts",
  open: "opens",
  remove: "takes out",
  inspect: "looks",
  clean: "cleans",
  measure: "measures",
  wait: "waits",
  fit: "puts in",
  restore: "puts back or on",
  test: "tries",
  reset: "resets",
  label: "writes down",
  caution: "warns",
};

/** What a step may leave open, as one chooses it. */
export const OPENS_WORDS: Readonly<Record<EndKind, string>> = {
  "switch-off": "the power, at its switch",
  "breaker-off": "the power, at its breaker",
  "disconnect-out": "a plug or disconnect",
  "panel-off": "a cover or panel",
  "part-out": "a part, taken out",
  "part-drying": "something that dries",
  "sensor-out": "a sensor or wire",
  "valve-shut": "a valve, shut",
  "valve-open": "a valve, opened",
  "gas-shut": "the gas",
  "drain-open": "a drain",
  "bleed-open": "a bleed point",
  "setting-changed": "a setting, changed",
  "window-open": "a window",
  "alarm-muted": "an alarm, muted",
  "light-unreset": "a light to reset",
  "vent-off": "a vent pipe",
};
