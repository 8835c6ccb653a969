import type { HistoryEvent } from "@/core/history/history-event";
import { addDays, type PlainDate } from "@/core/quantities/plain-date";
import type { Instrument } from "@/core/readings/conditions";
import type { Finding, Visit } from "@/core/visits/visit";

/** The kiln shed’s furnace stopped on the bitterest day, its filter forgotten. */
export const KILN_STOPPED_DAYS_AGO = 406;
const TECHNICIAN = "sluice-technician";

/** What the technician measured with: an old meter until last autumn, which read a little low. */
export const INSTRUMENTS: Instrument[] = [
  { id: "old-meter", name: "Old multimeter", note: "Its battery was weak for years." },
  { id: "clamp-meter", name: "Clamp meter", note: "New last autumn; reads about 1 µF more." },
  { id: "house-thermometer", name: "Kitchen thermometer" },
];
const METER_CHANGED_DAYS_AGO = 170;

type Past = {
  daysAgo: number;
  units: string[];
  reason?: Visit["reason"];
  minutes: number;
  costMinor: number;
  words: string;
  verdict?: Visit["verdict"];
};

/** Twelve visits in three years: furnace twice a year, the others once. */
const PAST: Past[] = [
  { daysAgo: 905, units: ["kiln-furnace"], minutes: 50, costMinor: 9500, words: "Pilot steady." },
  {
    daysAgo: 895,
    units: ["cellar-furnace"],
    minutes: 65,
    costMinor: 12000,
    words: "All in order.",
  },
  {
    daysAgo: 760,
    units: ["loft-ventilator"],
    minutes: 40,
    costMinor: 8000,
    words: "Core a little grey.",
  },
  {
    daysAgo: 712,
    units: ["cellar-furnace"],
    minutes: 75,
    costMinor: 13500,
    words: "Dust past the filter’s frame; seal strip put in.",
  },
  { daysAgo: 700, units: ["yard-condenser"], minutes: 45, costMinor: 9500, words: "Coil rinsed." },
  {
    daysAgo: 540,
    units: ["kiln-furnace"],
    minutes: 50,
    costMinor: 9800,
    words: "Pilot weaker than last year.",
  },
  {
    daysAgo: 531,
    units: ["cellar-furnace"],
    minutes: 60,
    costMinor: 12400,
    words: "All in order.",
  },
  {
    daysAgo: KILN_STOPPED_DAYS_AGO,
    units: ["kiln-furnace"],
    reason: "breakdown",
    minutes: 80,
    costMinor: 19500,
    words: "The filter was blocked, the limit had tripped. New filter, runs again.",
  },
  {
    daysAgo: 349,
    units: ["cellar-furnace"],
    minutes: 60,
    costMinor: 12400,
    words: "Inducer capacitor lower again.",
  },
  {
    daysAgo: 338,
    units: ["yard-condenser"],
    minutes: 50,
    costMinor: 9900,
    words: "Fins bent on the lime side.",
  },
  {
    daysAgo: 175,
    units: ["kiln-furnace"],
    minutes: 55,
    costMinor: 10200,
    words: "Thermocouple near its end.",
    verdict: "watch",
  },
  {
    daysAgo: 166,
    units: ["cellar-furnace", "yard-condenser"],
    minutes: 95,
    costMinor: 16800,
    words: "Inducer capacitor drifts; the rest in order.",
    verdict: "watch",
  },
];

const idOf = (daysAgo: number): string => `visit-${daysAgo}`;

/** The visits of three years, and the one that is agreed for nine days from now. */
export function visits(today: PlainDate): Visit[] {
  const past = PAST.map(
    ({
      daysAgo,
      units,
      reason = "half-yearly",
      minutes,
      costMinor,
      words,
      verdict = "sound",
    }): Visit => {
      const on = addDays(today, -daysAgo);
      return {
        id: idOf(daysAgo),
        contactId: TECHNICIAN,
        reason,
        on,
        unitIds: units,
        beganAt: `${on}T09:00:00.000Z`,
        endedAt: `${on}T11:00:00.000Z`,
        verdict,
        words,
        minutes,
        costMinor,
        signedBy: "Ottoline Ferrow",
      };
    },
  );
  return [
    ...past,
    {
      id: "visit-next",
      contactId: TECHNICIAN,
      reason: "half-yearly",
      on: addDays(today, 9),
      unitIds: ["cellar-furnace", "yard-condenser"],
      questions: "Does the inducer capacitor last through the summer, or go now?",
    },
  ];
}

/** What was found: one put off until this month, one watched until the autumn, one declined, one done. */
export function findings(today: PlainDate): Finding[] {
  return [
    {
      id: "finding-leak",
      visitId: idOf(712),
      unitId: "cellar-furnace",
      words: "Dust past the filter’s frame",
      advice: "a foam strip round the slot",
      priceMinor: 2500,
      decision: "now",
      settledOn: addDays(today, -712),
    },
    {
      id: "finding-fins",
      visitId: idOf(338),
      unitId: "yard-condenser",
      words: "Fins bent on the lime side",
      advice: "comb them straight",
      priceMinor: 6000,
      decision: "declined",
      because: "We comb them ourselves when we rinse.",
    },
    {
      id: "finding-pilot",
      visitId: idOf(175),
      unitId: "kiln-furnace",
      partId: "kiln-furnace-pilot",
      words: "Thermocouple gives 18 mV",
      advice: "a new one before next winter",
      priceMinor: 4800,
      decision: "watch",
      until: addDays(today, 150),
    },
    {
      id: "finding-capacitor",
      visitId: idOf(166),
      unitId: "cellar-furnace",
      partId: "cellar-furnace-capacitor",
      words: "Inducer capacitor drifts, 4.77 of 5 µF",
      advice: "replace it before the cooling starts",
      priceMinor: 6500,
      decision: "watch",
      until: addDays(today, 6),
      because: "Let us see what it reads in spring.",
    },
  ];
}

/** What was read on a visit, told so: with the meter of its time. */
export function onVisits(events: readonly HistoryEvent[], today: PlainDate): HistoryEvent[] {
  return events.map((event) => {
    const visit = PAST.find(
      ({ daysAgo, units }) =>
        addDays(today, -daysAgo) === event.date && units.includes(event.unitId ?? ""),
    );
    const { reading } = event;
    if (!visit || !reading) return event;
    const instrumentId = visit.daysAgo > METER_CHANGED_DAYS_AGO ? "old-meter" : "clamp-meter";
    const isElectric = reading.kind === "capacitor-uf";
    return {
      ...event,
      visitId: idOf(visit.daysAgo),
      // The furnace's capacitor was always read with the meter in the cellar.
      ...(isElectric && event.unitId === "yard-condenser"
        ? { reading: { ...reading, conditions: { instrumentId } } }
        : {}),
    };
  });
}
