import { HistoryRecord } from "@/core/history/history-record";
import { addDays, daysFrom, fromDay, toDay, type PlainDate } from "@/core/quantities/plain-date";
import { replacementOf } from "@/core/history/replacement";
import { contextOf, installedPeriodsOf } from "@/core/filters/slot-wear";
import { airflowThrough, faceAreaM2 } from "@/core/filters/slot-airflow";
import type { FilterSlot, Item } from "@/core/inventory/inventory";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { HistoryEvent } from "@/core/history/history-event";
import { SEEN_BY_GRADE, type Grade } from "@/core/filters/belief";
import { isPaper, MEDIA } from "@/core/filters/media";
import { wearStatusOf } from "@/core/filters/wear-status";
import { wear } from "@/core/filters/wear";
import { ratedHours } from "@/core/filters/wear-course";
import { chanceFrom } from "@/core/quantities/chance";

/** What is really so at a slot, which the app has to find out by its looks. */
export type Truth = {
  /** How many times as fast as rated it loads. */
  factor: number;
  /** Days between looks; none but at the change when absent. */
  lookEvery?: number;
  /** Days from today to its likely due day at the start of the demo. */
  dueIn: number;
  /** How long ago its record begins; three years when absent. */
  begunDaysAgo?: number;
  seed: number;
  /** How many days ago one was changed that nobody had thought of for far too long. */
  forgottenUntil?: number;
};
/** How full that one was. */
const FORGOTTEN_LOAD = 1.5;

const YEARS_DAYS = 1095;
/** Spread of the load at which people really change a filter. */
const CHANGE_SPREAD = 0.14;
const EYE_SPREAD = 0.18;
/** How often the last fitting is moved until the due day comes out as wanted. */
const MOST_TRIES = 16;
const GRADES_IN_ORDER: Grade[] = ["clean", "light", "grey", "loaded", "blocked", "collapsed"];

/** The grade whose load lies nearest, as the eye judges in ratios. */
function gradeOf(load: number): Grade {
  const distance = (grade: Grade) => Math.abs(Math.log(load / SEEN_BY_GRADE[grade].load));
  return GRADES_IN_ORDER.reduce((best, grade) => (distance(grade) < distance(best) ? grade : best));
}

type Made = { items: Item[]; events: HistoryEvent[] };

/** Three years of changes and looks at one slot, ending with a filter due when the demo wants it. */
export function demoHistory(
  snapshot: HomeSnapshot,
  slot: FilterSlot,
  truth: Truth,
  today: PlainDate,
): Made {
  const loads = dailyLoads(snapshot, slot, truth, today);
  const context = contextOf(snapshot, slot, today);
  const share = context.lifeShare;
  let shift = 0;
  let best: { made: Made; off: number } | null = null;
  for (let i = 0; i < MOST_TRIES; i++) {
    const made = madeUp(slot, truth, today, loads, { dueIn: truth.dueIn + shift, share });
    const so = {
      ...snapshot,
      items: made.items,
      history: new HistoryRecord(made.events),
    };
    const likely = wearStatusOf({ context, installedPeriods: installedPeriodsOf(so, slot) }, today)
      .wear?.likely;
    const off = likely ? truth.dueIn - daysFrom(today, likely) : 0;
    // Nothing is to be past its day: a day too late is better than one too early.
    const isPast = off > truth.dueIn;
    if (!isPast && (!best || Math.abs(off) < Math.abs(best.off))) best = { made, off };
    if (off === 0) break;
    // Looks answer in steps, so that a whole step may leap over the day: half ones come closer.
    shift += i < 3 ? off : Math.sign(off) * Math.max(1, Math.floor(Math.abs(off) / 2));
  }
  if (!best) throw new Error(`demoHistory: ${slot.id} is past its day however it is made`);
  return best.made;
}

/** The real load each day adds, from three years ago to a year ahead. */
function dailyLoads(
  snapshot: HomeSnapshot,
  slot: FilterSlot,
  truth: Truth,
  today: PlainDate,
): Map<number, number> {
  const wearSlot = {
    media: slot.media,
    rating: slot.rating,
    airSide: slot.airSide,
    faceAreaM2: faceAreaM2(slot),
    airflowM3h: airflowThrough(snapshot, slot),
    baseHours: slot.baseHours,
    maxAgeDays: slot.maxAgeDays,
    agesInUse: isPaper(slot.media),
    cleanDropPa: undefined,
    finalRatio: 2,
    upstream: undefined,
  };
  const { days } = wear({
    ...contextOf(snapshot, slot, today),
    today,
    fittedOn: addDays(today, -YEARS_DAYS - 200),
    slot: wearSlot,
    belief: { mu: 0, sd: 0.4 },
    looks: [],
    reliefs: [],
    lifeShare: 1,
    horizonDays: 400,
  });
  const rated = ratedHours(wearSlot);
  return new Map(
    days.map((day) => [toDay(day.date), (truth.factor * day.runHours * day.multiplier) / rated]),
  );
}

function madeUp(
  slot: FilterSlot,
  truth: Truth,
  today: PlainDate,
  loads: Map<number, number>,
  { dueIn, share }: { dueIn: number; share: number },
): Made {
  const chance = chanceFrom(truth.seed);
  const maxAge = Math.floor(share * (slot.maxAgeDays ?? MEDIA[slot.media].maxAgeDays));
  /** The day a filter must have gone in to reach a load by the start of another day. */
  const fittedFor = (target: number, by: number): number => {
    let load = 0;
    let day = by;
    while (load < target && by - day < maxAge && loads.has(day - 1)) load += loads.get(--day)!;
    return day;
  };
  const fitDays = [Math.min(toDay(today) - 1, fittedFor(share, toDay(today) + dueIn))];
  while (fitDays[0]! > toDay(today) - (truth.begunDaysAgo ?? YEARS_DAYS)) {
    const target = share * (1 + CHANGE_SPREAD * Math.max(-2, Math.min(2, chance.normal())));
    const before = fittedFor(target, fitDays[0]!);
    if (before === fitDays[0]) break;
    const forgotten = toDay(today) - (truth.forgottenUntil ?? Infinity);
    if (before <= forgotten && forgotten < fitDays[0]!)
      fitDays.unshift(fittedFor(share * FORGOTTEN_LOAD, forgotten), forgotten);
    else fitDays.unshift(before);
  }

  const made: Made = { items: [], events: [] };
  let itemBefore: string | undefined;
  fitDays.forEach((fitted, i) => {
    const until = fitDays[i + 1] ?? toDay(today);
    const date = fromDay(fitted);
    const recordedAt = `${date}T10:00:00.000Z`;
    const ids = { event: `${slot.id}-fit-${i}`, item: `${slot.id}-item-${i}` };
    const { event, item } = replacementOf(slot, ids, { date, recordedAt }, itemBefore);
    if (item) made.items.push(item);
    itemBefore = event.itemId;
    made.events.push(event);
    let load = 0;
    for (let day = fitted; day <= until; day++) {
      const sinceFit = day - fitted;
      const isChange = day === until && i + 1 < fitDays.length;
      const isLook =
        truth.lookEvery !== undefined &&
        sinceFit > 0 &&
        sinceFit % truth.lookEvery === 0 &&
        day < toDay(today);
      // Nobody writes down how every mesh looked before it was washed.
      const isSeen = isChange && (!MEDIA[slot.media].cleaned || truth.lookEvery !== undefined);
      if ((isSeen || isLook) && load > 0.03) {
        const grade = gradeOf(load * Math.exp(EYE_SPREAD * chance.normal()));
        const seenOn = fromDay(day);
        made.events.push({
          id: `${slot.id}-look-${i}-${sinceFit}`,
          kind: "look",
          unitId: slot.unitId,
          partId: slot.id,
          ...(itemBefore ? { itemId: itemBefore } : {}),
          date: seenOn,
          recordedAt: `${seenOn}T09:30:00.000Z`,
          look: { grade },
        });
      }
      load += loads.get(day) ?? 0;
    }
  });
  return made;
}
