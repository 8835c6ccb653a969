import type { Actual, Climate } from "../climate/climate";
import { madeUpClimate, madeUpWeather } from "../climate/made-up-weather";
import {
  addDays,
  daysFrom,
  fromDay,
  plainDate,
  toDay,
  type PlainDate,
} from "../quantities/plain-date";
import { chanceFrom, type Chance } from "../quantities/chance";
import { MEDIA_KINDS } from "./media";
import { likelyDue } from "./wear";
import { wearCauses } from "./wear-causes";
import { wearInput, type WearInput } from "./wear-schema";

const begin = plainDate("2024-09-01");
const DAYS = 730;

/** What was observed on each day of two years. */
function weatherOf(climate: Climate, chance: Chance): Actual[] {
  const first = toDay(begin);
  const means = madeUpWeather(climate, first, first + DAYS, chance);
  return Array.from(means, (meanC, i) => ({ date: fromDay(first + i), meanC }));
}

/** The likely day of one filter after another, on each day of two years, as the weather comes in. */
function nights(seed: number): { media: string; on: PlainDate; moved: number }[] {
  const chance = chanceFrom(seed);
  const climate = madeUpClimate(chance);
  const weather = weatherOf(climate, chance);
  const media = MEDIA_KINDS[Math.floor(MEDIA_KINDS.length * chance.uniform())]!;
  const base = wearInput.parse({
    today: begin,
    fittedOn: begin,
    climate,
    equipment: { heats: true, cools: true, fan: { mode: "auto" } },
    slot: { media, airSide: "recirculated" },
    drivers: [{ kind: "people", count: 4 }],
    horizonDays: 400,
    looks: [],
    belief: { mu: 0.3 * chance.normal(), sd: 0.2 },
  });
  const moves: { media: string; on: PlainDate; moved: number }[] = [];
  let fittedOn = begin;
  let before: PlainDate | null = null;
  for (let i = 0; i < DAYS; i++) {
    const today = addDays(begin, i);
    const actuals = weather.slice(Math.max(0, daysFrom(begin, fittedOn)), i);
    const input: WearInput = { ...base, today, fittedOn, actuals };
    const likely = likelyDue(input);
    if (before && likely && before > today)
      moves.push({ media, on: today, moved: Math.abs(daysFrom(before, likely)) });
    before = likely;
    if (likely && likely <= today) [fittedOn, before] = [today, null];
  }
  return moves;
}

/*
 * Of machines that run in every season. Where one stands still for a whole summer, a filter that is all but
 * full as it stops is due now or when it starts again, and one warm day decides which.
 */
it("moves no date by more than fourteen days in a night in which only weather arrives", () => {
  const all = Array.from({ length: 20 }, (_, home) => nights(home + 1)).flat();
  expect(all.length).toBeGreaterThan(10_000);
  expect(all.filter(({ moved }) => moved > 14)).toEqual([]);
});

it("moves no cause by more than two days from one day to the next, as long as nothing happens", () => {
  const moved = Array.from({ length: 20 }, (_, home) => {
    const chance = chanceFrom(home + 500);
    const climate = madeUpClimate(chance);
    const pick = <T>(of: readonly T[]) => of[Math.floor(of.length * chance.uniform())]!;
    const media = pick(MEDIA_KINDS);
    const lifeShare = pick([1, 0.75]);
    const grade = pick(["light", "grey", "loaded"]);
    const weather = weatherOf(climate, chance).slice(0, 30);
    return (today: PlainDate) =>
      wearCauses(
        wearInput.parse({
          today,
          fittedOn: begin,
          climate,
          actuals: weather,
          equipment: { heats: true, cools: true, fan: { mode: "auto" } },
          slot: { media, airSide: "recirculated" },
          drivers: [
            { kind: "people", count: 5, id: "people" },
            { kind: "dusty-hobby", id: "clay" },
            { kind: "renovation", from: addDays(begin, 5), to: addDays(begin, 20), id: "plaster" },
          ],
          looks: [{ date: addDays(begin, 20), grade }],
          reliefs: [{ date: addDays(begin, 15) }],
          lifeShare,
        }),
      );
  }).flatMap((of) => {
    const days = [30, 31, 32, 40, 41].map((i) => of(addDays(begin, i)));
    return days.slice(1).flatMap((now, i) =>
      now.causes.map(({ cause, id, days: by }) => {
        const before = days[i]!.causes.find((each) => each.cause === cause && each.id === id);
        return Math.abs((before?.days ?? 0) - (by ?? 0));
      }),
    );
  });
  expect(moved.length).toBeGreaterThan(200);
  expect(Math.max(...moved)).toBeLessThanOrEqual(2);
});
