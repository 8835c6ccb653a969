import { cohort } from "./cohort";
import type { Media } from "./media";

const shallow: Media[] = ["fibreglass-25", "pleated-25"];
const deep: Media[] = ["pleated-100", "pleated-125"];

/*
 * Whether learning pays, in a town whose places load by this very model: it proves nothing of the
 * base hours themselves.
 */
describe("a town of shallow filters over five years", () => {
  const town = cohort({ seed: 11, homes: 120, years: 5, media: shallow });

  it("comes within 0.16 of the right load with one look at each change", () => {
    expect(town["look-at-change"].meanMiss).toBeLessThan(0.16);
  });

  it("is far off without a look, and farther by the calendar", () => {
    expect(town["no-look"].meanMiss).toBeGreaterThan(0.35);
    expect(town["every-90-days"].meanMiss).toBeGreaterThan(0.8);
  });

  it("does better by learning than by changing at the first grey", () => {
    expect(town["change-at-grey"].meanMiss).toBeGreaterThan(2 * town["look-at-change"].meanMiss);
  });

  it("is nowhere nearer than perfect knowledge, which age alone keeps from nothing", () => {
    expect(town.perfect.meanMiss).toBeLessThan(town["look-at-change"].meanMiss);
    expect(town.perfect.meanMiss).toBeGreaterThan(0);
  });
});

it("gains by a look every month where filters last a year", () => {
  const town = cohort({ seed: 11, homes: 120, years: 5, media: deep });
  const atChange = town["look-at-change"].meanMiss;
  expect(town["look-monthly-and-learn"].meanMiss).toBeLessThan(0.8 * atChange);
  expect(atChange).toBeLessThan(0.25);
});

it("is the same town for the same seed, and another for another", () => {
  const input = { homes: 20, years: 3, media: shallow };
  expect(cohort({ ...input, seed: 3 })).toEqual(cohort({ ...input, seed: 3 }));
  expect(cohort({ ...input, seed: 3 })).not.toEqual(cohort({ ...input, seed: 4 }));
});
