import type { HistoryEvent } from "@/core/history/history-event";
import { HistoryRecord } from "@/core/history/history-record";
import { addDays, toDay, type PlainDate } from "@/core/quantities/plain-date";
import { NO_YEAR } from "@/core/planning/year";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import * as boathouse from "./boathouse";
import { chanceFrom } from "@/core/quantities/chance";
import { demoCare } from "./demo-care";
import { demoHistory, type Truth } from "./demo-history";
import { findings, INSTRUMENTS, onVisits, visits } from "./visits";
import { demoPhotos, type DemoPhoto } from "./demo-photos";
import { demoWeather } from "./demo-weather";
import * as sluice from "./sluice-house";

const WEATHER_SEED = 20_260_314;
const CARE_SEED = 77;
const WEATHER_DAYS = 1300;
/** How long ago the homes were entered, days: a little before their record begins. */
export const LIVED_DAYS = 1150;

export type Demo = { snapshot: HomeSnapshot; runs: sluice.DemoRun[]; photos: DemoPhoto[] };

type Facts = Omit<
  HomeSnapshot,
  | "retired"
  | "retiredSlots"
  | "items"
  | "tasks"
  | "ownProcedures"
  | "history"
  | "actuals"
  | "measured"
>;

/** A home with three years behind it, as it is on the day the demo starts. */
function lived(
  facts: Facts,
  truths: Record<string, Truth>,
  notes: readonly HistoryEvent[],
  forgotten: readonly string[],
  today: PlainDate,
): HomeSnapshot {
  const enteredOn = addDays(today, -LIVED_DAYS);
  const bare: HomeSnapshot = {
    ...facts,
    home: { ...facts.home, enteredOn },
    units: facts.units.map((unit) => ({ ...unit, enteredOn })),
    parts: facts.parts.map((part) => ({ ...part, enteredOn })),
    retired: [],
    retiredSlots: [],
    items: [],
    tasks: [],
    ownProcedures: [],
    history: new HistoryRecord([]),
    actuals: demoWeather(
      facts.home.climate,
      toDay(addDays(today, -WEATHER_DAYS)),
      toDay(today) - 1,
      chanceFrom(WEATHER_SEED),
    ),
    measured: [],
  };
  const cared = [...demoCare(bare, today, CARE_SEED, forgotten), ...notes];
  const snapshot = { ...bare, history: new HistoryRecord(cared) };
  const made = facts.slots.map((each) => demoHistory(snapshot, each, truths[each.id]!, today));
  const events = [...made.flatMap((each) => each.events), ...cared];
  return {
    ...snapshot,
    items: made.flatMap((each) => each.items),
    history: new HistoryRecord(
      events.sort((a, b) =>
        a.recordedAt < b.recordedAt ? -1 : a.recordedAt > b.recordedAt ? 1 : 0,
      ),
    ),
  };
}

export function sluiceHouse(today: PlainDate, now: Date): Demo {
  const { home, levels, rooms, registers, contacts, systems, slots } = sluice;
  const units = sluice.unitsOn(today);
  const facts = {
    ...{ home, levels, rooms, registers, contacts, systems, units, slots },
    parts: sluice.partsIn(units),
    drivers: sluice.drivers(today),
    settings: sluice.settings(today),
    visits: visits(today),
    findings: findings(today),
    instruments: INSTRUMENTS,
    year: NO_YEAR,
  };
  const drying = sluice.leftDrying(now);
  return {
    snapshot: lived(
      facts,
      sluice.truths,
      onVisits(sluice.notes(today), today),
      sluice.FORGOTTEN,
      today,
    ),
    runs: [drying],
    photos: demoPhotos(today, drying.id),
  };
}

export function theBoathouse(today: PlainDate): Demo {
  const { home, levels, rooms, contacts, systems, slots } = boathouse;
  const units = boathouse.unitsOn(today);
  const facts = {
    ...{ home, levels, rooms, contacts, systems, units, slots },
    registers: [],
    parts: boathouse.partsIn(units),
    drivers: boathouse.drivers(),
    settings: boathouse.settings(today),
    visits: [],
    findings: [],
    instruments: [],
    year: NO_YEAR,
  };
  return {
    snapshot: lived(facts, boathouse.truths, boathouse.notes(today), [], today),
    runs: [],
    photos: [],
  };
}
