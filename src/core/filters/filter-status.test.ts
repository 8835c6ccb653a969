import { wearByPart } from "../timeline/home-status";
import { daysFrom } from "../quantities/plain-date";
import { scheduleOf } from "../scheduling/schedule";
import { lintelOf } from "../timeline/lintel";
import { airflowThrough, faceAreaM2 } from "./slot-airflow";
import { fillBand } from "./wear-status";
import { type ScopedDriver } from "../inventory/inventory";
import { type HomeSnapshot } from "../history/home-snapshot";
import { bySoonest, filterStatusOf } from "./filter-status";
import { weatherWords } from "./weather-words";
import { planned, RENEW } from "../scheduling/task";
import { today, day, slot, event, look, snapshot, wordsFor } from "../../../tests/small-home";

/** The change of each filter of a home, by its wear. */
const schedule = (home: HomeSnapshot) => {
  const change = { key: RENEW, name: "Change the filter", trigger: { kind: "wear" as const } };
  const definition = { ...change, who: "owner" as const, handsOn: 10, waiting: 0 };
  const tasks = home.slots.map(({ id, unitId }) =>
    planned(definition, { unitId, partId: id, kind: "filter" }, undefined),
  );
  const filterStatuses = home.slots.map((each) => filterStatusOf(home, each, today, wordsFor));
  return scheduleOf(home, tasks, wearByPart(filterStatuses), today, day(730));
};

describe("a breathing trouble in the home", () => {
  const lungs: ScopedDriver = { id: "lungs", scope: "home", kind: "breathing-trouble" };
  const filterStatus = (extra: Partial<HomeSnapshot>, events = [event("fitted", -20)]) => {
    const home = snapshot(events, extra);
    return filterStatusOf(home, home.slots[0]!, today, wordsFor);
  };

  it("brings a filter of breathed air due after three quarters of its load", () => {
    const [with_, without] = [filterStatus({ drivers: [lungs] }), filterStatus({})];
    // The same load against three quarters of the life: 4/3 as full.
    expect(with_.wear!.percentNow).toBeCloseTo((without.wear!.percentNow * 4) / 3, 0);
    expect(with_.wear!.likely! < without.wear!.likely!).toBe(true);
    expect(with_.wear!.bookDue).toBe(without.wear!.bookDue);
    // Nothing else moves it: all of the difference is for the lungs.
    const sooner = daysFrom(with_.wear!.likely!, without.wear!.likely!);
    expect(with_.causes.map(({ words, days: by }) => [words, by])).toEqual([
      ["breathing trouble", sooner],
    ]);
  });

  it("leaves what is learnt of the place alone: it fills no faster for it", () => {
    const events = [event("fitted", -30), look(-12, "grey"), look(-4, "loaded")];
    const [with_, without] = [filterStatus({ drivers: [lungs] }, events), filterStatus({}, events)];
    expect(with_.wear!.belief).toEqual(without.wear!.belief);
    expect(with_.wear!.looksUsed).toBe(2);
    expect(with_.wear!.percentNow).toBeCloseTo((without.wear!.percentNow * 4) / 3, 0);
  });

  it("takes a quarter off the age, too", () => {
    const slots = [slot({ maxAgeDays: 25 })];
    expect(filterStatus({ slots }).wear!.likely).toBe(day(-20 + 25));
    expect(filterStatus({ slots, drivers: [lungs] }).wear!.likely).toBe(day(-20 + 19));
  });

  it.each([
    ["stale air", slot({ airSide: "extract" }), lungs],
    ["a water panel", slot({ media: "humidifier-panel" }), lungs],
    ["one that has passed", slot(), { ...lungs, to: day(-1) }],
    ["one still to come", slot(), { ...lungs, from: day(1) }],
  ] as const)("changes nothing for %s", (_, at, driver) => {
    expect(filterStatus({ slots: [at], drivers: [driver] }).context.lifeShare).toBe(1);
  });

  it("shortens the changes ahead as well", () => {
    const pegs = (drivers: ScopedDriver[]) => {
      const home = snapshot([event("fitted", -20)], { drivers });
      return lintelOf(home, schedule(home), today).pegs.length;
    };
    expect(pegs([lungs])).toBeGreaterThan(pegs([]));
  });
});

describe("a filter of a house that stood empty", () => {
  it("is due later for it, and says so in the words of the absence", () => {
    const away: ScopedDriver = {
      ...{ id: "away", scope: "home", kind: "away", label: "the summer away" },
      ...{ from: day(-30), to: day(-10), fraction: 0 },
    };
    const events = [event("fitted", -40)];
    const [at, gone] = [snapshot(events), snapshot(events, { drivers: [away] })].map((home) =>
      filterStatusOf(home, home.slots[0]!, today, wordsFor),
    );
    const later = daysFrom(at!.wear!.likely!, gone!.wear!.likely!);
    expect(later).toBeGreaterThan(5);
    expect(gone!.causes).toContainEqual(
      expect.objectContaining({ cause: "weather", words: "the summer away", days: -later }),
    );
  });
});

describe("the status of a filter", () => {
  const drivers: ScopedDriver[] = [
    { id: "dog", scope: "home", kind: "shedding-pets", count: 1, label: "the dog" },
    { id: "clay", scope: "home", kind: "dusty-hobby", label: "clay dust" },
  ];
  it("says how much sooner than usual, and for what, the strongest first", () => {
    const home = snapshot([event("fitted", -20)], { drivers });
    const filterStatus = filterStatusOf(home, home.slots[0]!, today, wordsFor);
    expect(filterStatus.sentence).toMatch(
      /^[\d½]+ (days|weeks|months) sooner than usual: clay dust \([\d½]+ \w+\) and the dog \([\d½]+\)\.$/,
    );
    const [first, second] = filterStatus.causes;
    expect(first!.days).toBeGreaterThan(second!.days!);
    const { likely, bookDue } = filterStatus.wear!;
    expect(first!.days! + second!.days!).toBe(daysFrom(likely!, bookDue!));
  });

  it("speaks of the weather it had: a cold February brings it forward", () => {
    const actuals = Array.from({ length: 60 }, (_, i) => ({ date: day(i - 60), meanC: -16 }));
    const home = snapshot([event("fitted", -50)], { actuals });
    const filterStatus = filterStatusOf(home, home.slots[0]!, today, wordsFor);
    expect(filterStatus.sentence).toContain("a cold February");
    expect(filterStatus.wear!.weatherDays).toBeGreaterThan(0);
    const mild = snapshot([event("fitted", -50)], {
      actuals: actuals.map((each) => ({ ...each, meanC: 0 })),
    });
    expect(filterStatusOf(mild, mild.slots[0]!, today, wordsFor).sentence).toMatch(
      /later than usual: a mild February/,
    );
  });

  it("speaks only of the hours that count: a water panel knows nothing of a hot one", () => {
    const hot = Array.from({ length: 60 }, (_, i) => ({ date: day(i - 250), meanC: 29 }));
    const words = (media: "humidifier-panel" | "pleated-100") => {
      const panel = slot({ media });
      const home = snapshot([event("fitted", -270)], { actuals: hot, slots: [panel] });
      const { context } = filterStatusOf(home, panel, today, wordsFor);
      return weatherWords(context, media, day(-270), day(-150));
    };
    expect(words("pleated-100")).toMatch(/^a hot /);
    expect(words("humidifier-panel")).toBeNull();
  });

  it("names the place's own pace when looks taught one", () => {
    const home = snapshot([event("fitted", -20), look(-10, "loaded"), look(-5, "blocked")]);
    const filterStatus = filterStatusOf(home, home.slots[0]!, today, wordsFor);
    expect(filterStatus.causes.map(({ words }) => words)).toContain(
      "this slot filling faster than most",
    );
  });

  it("has nothing to explain at the rated pace", () => {
    const home = snapshot([event("fitted", -45)]);
    expect(filterStatusOf(home, home.slots[0]!, today, wordsFor).sentence).toBe("As usual.");
  });

  it("says so when age decides", () => {
    const home = snapshot([event("fitted", -20)], { slots: [slot({ maxAgeDays: 25 })] });
    expect(filterStatusOf(home, home.slots[0]!, today, wordsFor).sentence).toMatch(/^By its age/);
  });

  it("sorts the soonest first, what was never recorded before all", () => {
    const home = snapshot([event("fitted", -20)], { slots: [slot(), slot({ id: "unknown" })] });
    const sorted = home.slots
      .map((each) => filterStatusOf(home, each, today, wordsFor))
      .sort(bySoonest);
    expect(sorted.map((each) => each.slot.id)).toEqual(["unknown", "slot"]);
  });

  it("has a band about its fill", () => {
    const home = snapshot([event("fitted", -20)]);
    const { wear } = filterStatusOf(home, home.slots[0]!, today, wordsFor);
    const band = fillBand(wear!);
    expect(band.low).toBeCloseTo(
      (wear!.percentNow / 100) * Math.exp(-1.2816 * Math.sqrt(0.4 ** 2 + 0.15 ** 2 + 0.2 ** 2)),
      6,
    );
    expect(band.high).toBeGreaterThan(wear!.percentNow / 100);
  });

  it("knows the area that air passes", () => {
    expect(faceAreaM2(slot({ filterCount: 4 }))).toBeCloseTo(4 * 0.508 * 0.508, 9);
  });

  it("shares the air of its system with the grilles beside it, by area", () => {
    const home = snapshot([], {
      slots: [
        slot({ slotPlace: "wall-grille" }),
        slot({ id: "hall", slotPlace: "ceiling-grille", filterCount: 3 }),
        slot({ id: "duct" }),
        slot({ id: "fresh", slotPlace: "wall-grille", airSide: "outdoor" }),
      ],
    });
    const systems = home.systems.map((system) => ({ ...system, airflowM3h: 2000 }));
    const through = home.slots.map((at) => airflowThrough({ ...home, systems }, at));
    // A quarter and three quarters through the grilles; all of it through the duct, and outdoors.
    expect(through).toEqual([500, 1500, 2000, 2000]);
    expect(airflowThrough(home, home.slots[0]!)).toBeUndefined();
  });

  it("is due by the air that passes it: twice as much over the same area, half the life", () => {
    const likely = (airflowM3h?: number) => {
      const home = snapshot([event("fitted", -5)], {});
      const systems = home.systems.map((each) => ({
        ...each,
        ...(airflowM3h ? { airflowM3h } : {}),
      }));
      return filterStatusOf({ ...home, systems }, home.slots[0]!, today, wordsFor).wear!;
    };
    // 0.258 m² at 2 m/s are 1858 m³/h.
    const usual = 0.508 * 0.508 * 2 * 3600;
    expect(likely(usual).likely).toBe(likely().likely);
    expect(likely(2 * usual).percentNow).toBeCloseTo(2 * likely().percentNow, 0);
  });
});
