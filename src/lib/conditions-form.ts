import type { UnitSystem } from "@/core/quantities/length";
import { toCelsius } from "@/core/quantities/temperature";
import {
  MOST_MINUTES_RUNNING,
  OUTDOOR_C,
  RUNNING_MODES,
  type Conditions,
  type Instrument,
} from "@/core/readings/conditions";
import { readDecimal, readWhole, type FormFields } from "./forms";

const LONGEST_NAME = 60;

/** The choice of an instrument that has to be entered first. */
export const NEW_INSTRUMENT = "new";

/**
 * Reads under what readings were taken, in the home’s own unit of temperature.
 *
 * @returns the conditions, the name of an instrument to be entered, and what is wrong with which field
 */
export function readConditions(
  typed: FormFields,
  { system, instruments }: { system: UnitSystem; instruments: readonly Instrument[] },
): {
  conditions: Conditions;
  newInstrument: string | undefined;
  problems: Record<string, string>;
} {
  const problems: Record<string, string> = {};
  const text = (name: string) => (typed[name]?.[0] ?? "").trim();
  const conditions: Conditions = {};
  const isNew = text("instrument") === NEW_INSTRUMENT;
  const newInstrument = isNew ? text("newInstrument") : undefined;
  if (newInstrument === "") problems["newInstrument"] = "What is it called?";
  else if ((newInstrument?.length ?? 0) > LONGEST_NAME)
    problems["newInstrument"] = `A shorter name, please: up to ${LONGEST_NAME} letters.`;
  const known = instruments.find(({ id }) => id === text("instrument"));
  if (known) conditions.instrumentId = known.id;
  else if (text("instrument") !== "" && !isNew) problems["instrument"] = "Choose one of the list.";
  if (text("outdoor") !== "") {
    const degrees = readDecimal(text("outdoor"));
    const celsius = degrees === null ? null : toCelsius(degrees, system === "us" ? "F" : "C");
    if (celsius === null || celsius < OUTDOOR_C.min || celsius > OUTDOOR_C.max)
      problems["outdoor"] = "A temperature outdoors, as the thermometer has it.";
    else conditions.outdoorC = Math.round(celsius * 10) / 10;
  }
  const running = RUNNING_MODES.find((each) => each === text("running"));
  if (running) conditions.running = running;
  if (text("minutesRunning") !== "") {
    const whole = readWhole(text("minutesRunning"), 0, MOST_MINUTES_RUNNING);
    if (whole === null) problems["minutesRunning"] = `Whole minutes, 0 to ${MOST_MINUTES_RUNNING}.`;
    else conditions.minutesRunning = whole;
  }
  return { conditions, newInstrument: newInstrument || undefined, problems };
}
