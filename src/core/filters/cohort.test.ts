import { cohort, WATCHING, type Watching } from "./cohort";
import type { Media } from "./media";

const shallow: Media[] = ["fibreglass-25", "pleated-25"];
const deep: Media[] = ["pleated-100", "pleated-125"];

/*
 * Whether learning pays, in a town whose places load by this very model: it proves nothing of the
 * base hours themselves.
 */
describe("a town of shallow filters over five years", () => {
  const town = cohort({
    ...{ watching: WATCHING, seed: 11, homes: 120, years: 5 },
    ...{ media: shallow, town: "smooth" },
  });

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

  it("tells a band to those only who learn", () => {
    expect(town["no-look"].held).toBeNull();
    expect(town["look-at-change"].held!.atFitting).toBeGreaterThan(0.9);
  });
});

describe("a rough town, with weather, filters that differ and eyes that err", () => {
  const rough = <W extends Watching>(media: Media[], ...watching: W[]) =>
    cohort({ watching, seed: 11, homes: 600, years: 5, media, town: "rough" });

  it.each([
    ["25 mm", shallow, 0.22],
    ["deep", deep, 0.27],
  ])("has eight in ten of its days within the band that was told: %s", (_, media, miss) => {
    const { held, meanMiss } = rough(media, "look-at-change")["look-at-change"];
    expect(held!.atFitting).toBeGreaterThan(0.75);
    expect(held!.atFitting).toBeLessThan(0.85);
    expect(held!.atHalfLife).toBeGreaterThan(0.75);
    expect(held!.atHalfLife).toBeLessThan(0.88);
    expect(meanMiss).toBeLessThan(miss);
  });

  it("gains by knowing how warm the days were", () => {
    const asked = { seed: 11, homes: 120, years: 5, media: shallow } as const;
    const [told, blind] = (["rough", "rough-without-weather"] as const).map(
      (town) => cohort({ ...asked, watching: ["look-at-change"], town })["look-at-change"].meanMiss,
    );
    expect(told!).toBeLessThan(0.8 * blind!);
  });
});

it("gains by a look every month where filters last a year", () => {
  const town = cohort({
    ...{ watching: ["look-at-change", "look-monthly-and-learn"], seed: 11, homes: 120, years: 5 },
    ...{ media: deep, town: "smooth" },
  });
  const atChange = town["look-at-change"].meanMiss;
  expect(town["look-monthly-and-learn"].meanMiss).toBeLessThan(0.8 * atChange);
  expect(atChange).toBeLessThan(0.25);
});

it("is the same town for the same seed, and another for another", () => {
  const of = (seed: number) =>
    cohort({
      ...{ watching: WATCHING, seed, homes: 20, years: 3 },
      ...{ media: shallow, town: "rough" },
    });
  expect(of(3)).toEqual(of(3));
  expect(of(3)).not.toEqual(of(4));
});
