import { equipmentSchema } from "../climate/run-hours";
import type { HistoryEvent } from "../history/history-event";
import type { HomeSnapshot } from "../history/home-snapshot";
import type { Part, ScopedDriver, Unit } from "../inventory/inventory";
import { judgeInput } from "../readings/judge";
import { day, event, slot, snapshot, today, unit, wordsFor } from "../../../tests/small-home";
import { coilOf, coilSheetOf, coilStatusOf, upstreamOf } from "./coil-wear";

const part = (kind: string, unitId = "furnace"): Part => ({
  id: kind,
  unitId,
  kind,
  name: kind,
  attributes: {},
});
const [indoor, outdoor] = [part("evaporator-coil"), part("condenser-coil")];
const furnace: Unit = { ...unit, fittedOn: day(-700) };
const home = (events: HistoryEvent[] = [], extra: Partial<HomeSnapshot> = {}) =>
  snapshot(events, { units: [furnace], parts: [indoor, outdoor], ...extra });
const cleaned = (of: Part, ago: number, extra: Partial<HistoryEvent> = {}) =>
  event("done", -ago, { partId: of.id, taskKey: "clean", ...extra });
const seen = (of: Part, ago: number, value: string) =>
  event("reading", -ago, {
    partId: of.id,
    reading: judgeInput.parse({ kind: "coil", value }) as NonNullable<HistoryEvent["reading"]>,
  });
const leak = (fraction: number): ScopedDriver => ({
  ...{ id: "leak", scope: "part", partId: "slot", kind: "bypass" },
  fraction,
});

describe("a coil", () => {
  it("is known by its part, and clean when its machine was fitted and after each cleaning", () => {
    expect([coilOf(indoor), coilOf(outdoor), coilOf(part("blower"))]).toEqual([
      "indoor-coil",
      "outdoor-coil",
      null,
    ]);
    const since = (events: HistoryEvent[], extra: Partial<HomeSnapshot> = {}) =>
      coilStatusOf(home(events, extra), indoor, today)!.fittedOn;
    expect(since([])).toBe(day(-700));
    expect(since([cleaned(indoor, 90), cleaned(outdoor, 10)])).toBe(day(-90));
    // Looked at is not cleaned; a cleaning of the whole machine is.
    expect(since([event("done", -5, { partId: indoor.id, taskKey: "look" })])).toBe(day(-700));
    const deep = event("done", -40, { taskKey: "deep-clean" });
    delete deep.partId;
    expect(since([deep])).toBe(day(-40));
    expect(since([], { units: [unit] })).toBeNull();
  });

  it("learns from what was read of it, in its own words; ice says nothing of dust", () => {
    const wear = (...events: HistoryEvent[]) => coilStatusOf(home(events), indoor, today)!.wear!;
    const unseen = wear();
    expect(wear(seen(indoor, 60, "iced")).looksUsed).toBe(0);
    const matted = wear(seen(indoor, 60, "matted"));
    expect(matted.looksUsed).toBe(1);
    expect(matted.percentNow).toBeGreaterThan(unseen.percentNow);
    // Of an unseen one it is further off than anybody plans.
    expect(unseen.likely).toBeNull();
    expect(matted.likely! < day(365)).toBe(true);
  });

  it("heats outdoors at a heat pump only", () => {
    const hours = (kind: string) =>
      coilStatusOf(home([], { units: [{ ...furnace, kind }] }), outdoor, today)!.wear!.percentNow;
    expect(hours("ducted-heat-pump")).toBeGreaterThan(hours("split-cooling"));
  });

  it("takes the dust of the street outdoors, and of the room in a cooler on wheels", () => {
    const road: ScopedDriver = { id: "clay", scope: "home", kind: "dusty-hobby" };
    const load = (kind: string, drivers: ScopedDriver[]) =>
      coilStatusOf(home([], { units: [{ ...furnace, kind }], drivers }), outdoor, today)!.wear!
        .percentNow;
    expect(load("split-cooling", [road])).toBe(load("split-cooling", []));
    expect(load("portable-cooler", [road])).toBeGreaterThan(load("portable-cooler", []));
  });
});

describe("the filter before an indoor coil", () => {
  it("is that in the duct of its own machine, else of its system, never a humidifier’s panel", () => {
    const other: Unit = { ...unit, id: "handler" };
    const slots = [
      slot({ id: "water", media: "humidifier-panel" }),
      slot({ id: "grille", slotPlace: "wall-grille" }),
      slot({ id: "duct" }),
    ];
    expect(upstreamOf(home([], { slots }), indoor)!.slot.id).toBe("duct");
    const both = home([], { slots, units: [furnace, other] });
    expect(upstreamOf(both, { ...indoor, unitId: "handler" })!.slot.id).toBe("duct");
    const alone = { ...other, systemId: "own" };
    const systems = [...home().systems, { ...home().systems[0]!, id: "own" }];
    const apart = home([], { slots, systems, units: [furnace, alone] });
    expect(upstreamOf(apart, { ...indoor, unitId: "handler" })).toBeNull();
  });

  it("is taken for what its medium usually is where its rating is not known", () => {
    const rating = (media: "fibreglass-25" | "pleated-50") => {
      const { rating: _, ...unrated } = slot({ media });
      return upstreamOf(home([], { slots: [unrated] }), indoor)!.rating!.class;
    };
    expect([rating("fibreglass-25"), rating("pleated-50")]).toEqual(["4", "8"]);
  });

  it("leaks as its household says, else as its fit works out", () => {
    const bypass = (extra: Partial<HomeSnapshot>) => upstreamOf(home([], extra), indoor)!.bypass;
    expect(bypass({})).toBe(0);
    const opening = { text: "24x24", mm: { w: 609.6, h: 609.6 }, unit: "in" as const };
    const loose = bypass({ slots: [slot({ opening })] });
    expect(loose).toBeGreaterThan(0.05);
    expect(bypass({ slots: [slot({ opening })], drivers: [leak(0.02)] })).toBe(0.02);
  });

  it("mats its coil in ten years when tight, six with 5 % past it, and twice as soon as behind foam", () => {
    // 2400 h a year: 6.571 a day the whole year round.
    const equipment = equipmentSchema.parse({
      ...{ heats: false, cools: false, fan: { mode: "minimum", hours: 2400 / 365.25 } },
    });
    const systems = [{ ...home().systems[0]!, equipment }];
    const sheet = (fraction: number) => {
      const at = home([cleaned(indoor, 1)], { systems, drivers: fraction ? [leak(fraction)] : [] });
      return coilSheetOf(at, coilStatusOf(at, indoor, today)!, today, wordsFor);
    };
    expect(sheet(0).wear!.likely!.slice(0, 4)).toBe("2036");
    expect(sheet(0).sealed).toBeNull();
    const leaky = sheet(0.05).sealed!;
    // p = 0.05 + 0.95·0.07 = 0.1165: 24 000·0.07/0.1165/6.571 = 2195 days. Foam leaves a fifth of the leak:
    // p = 0.0793, 3224 days.
    expect(Math.abs(leaky.lasts! - 2195)).toBeLessThan(3);
    expect(Math.abs(leaky.wouldLast! - 3224)).toBeLessThan(4);
    // From today on only: both lines begin on the day of the cleaning, and part today.
    expect(leaky.points[1]!.y).toBeCloseTo((6.571 * 0.1165) / 0.07 / 24_000, 6);
  });
});

describe("what the sheet of a coil says", () => {
  it("counts in points, which add up to what it holds", () => {
    const dog: ScopedDriver = { id: "dog", scope: "home", kind: "shedding-pets", count: 2 };
    const at = home([cleaned(indoor, 200)], { drivers: [{ ...dog, label: "the dogs" }] });
    const { sentence, causes } = coilSheetOf(at, coilStatusOf(at, indoor, today)!, today, wordsFor);
    expect(sentence).toMatch(/ sooner than usual: of what will be on it 2\d % is the dogs\.$/);
    expect(causes).toHaveLength(1);
  });

  it("asks for a day to begin at where none is known", () => {
    const at = home([], { units: [unit] });
    const { sentence, wear } = coilSheetOf(at, coilStatusOf(at, indoor, today)!, today, wordsFor);
    expect([wear, sentence]).toEqual([
      null,
      "Say when its machine was fitted, or when the coil was last cleaned.",
    ]);
  });
});
