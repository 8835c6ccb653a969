import type { HomeSnapshot } from "../history/home-snapshot";
import type { Part, ScopedDriver } from "../inventory/inventory";
import { day, slot, snapshot, unit } from "../../../tests/small-home";
import type { JobCatalogue } from "./catalogue";
import { tasksOf, tasksOfUnit } from "./home-tasks";
import { LOOK, RENEW, type TaskChanges, type TaskDefinition, type TaskPlace } from "./task";
import type { Trigger } from "./trigger";

const every = (n: number, within?: "cooling" | "heating"): Trigger => ({
  ...{ kind: "every", n, unit: "month", within },
});
const season = (anchor: "coolingStart" | "firstWarmDay" | "heatingStart"): Trigger => ({
  ...{ kind: "season", anchor, offsetDays: 0 },
});
const job = (key: string, trigger: Trigger = every(12)): TaskDefinition => ({
  ...{ key, name: key, trigger, who: "owner", handsOn: 10, waiting: 0 },
});

const YEARLY: Trigger = { kind: "every", n: 1, unit: "year", within: "inUse" };
const atGrey: Trigger = { kind: "after", event: "grey-look", days: 0 };
/** A catalogue small enough to count on one’s fingers. */
const jobs: JobCatalogue = {
  home: [job("round")],
  unit: (kind) =>
    kind === unit.kind
      ? [
          job("flame-sensor"),
          job("cooling", season("coolingStart")),
          job("shade", season("firstWarmDay")),
          job("heating", season("heatingStart")),
          job("drain", { kind: "earliest", of: [every(3, "cooling"), every(9, "heating")] }),
        ]
      : [],
  part: (kind) => (kind === "trap" ? [job("rinse")] : []),
  renewal: () => job(RENEW, { kind: "wear" }),
  besideRenewal: (media) => (media === "washable-panel" ? [job("dry")] : []),
  calendar: () => every(3),
  look: (everyDays) => job(LOOK, { kind: "every", n: everyDays, unit: "day", within: undefined }),
  lookWhenAsked: () => job(LOOK, { kind: "after", event: "asked", days: 0 }),
  lookAfterDucts: job(LOOK, { kind: "after", event: "duct-cleaning", days: 7 }),
  atGrey,
  atLight: { kind: "reading", reading: "indicator-light", verdict: "act" },
  soonerBesideLint: { key: "flame-sensor", trigger: every(4) },
};

const trap = { id: "trap", unitId: "furnace", kind: "trap", name: "", attributes: {} } as Part;
const changed = (place: TaskPlace, key: string, changes: TaskChanges) => ({
  ...{ id: `${key}-set`, key, changes },
  ...place,
});
const ofSlot = { unitId: "furnace", partId: "slot" };
const found = (extra: Partial<HomeSnapshot> = {}) => tasksOf(snapshot([], extra), jobs);
const task = (key: string, extra: Partial<HomeSnapshot> = {}) =>
  found(extra).find((each) => each.key === key);

describe("parts of a kind that are seen to together", () => {
  const bleed = { ...job("bleed"), together: true as const };
  const radiators: JobCatalogue = {
    ...jobs,
    part: (kind) => (kind === "trap" ? [bleed, job("rinse")] : []),
  };
  const six = Array.from({ length: 6 }, (_, n): Part => ({ ...trap, id: `trap-${n + 1}` }));

  it("are one job, at the first of them, and the others of each stay", () => {
    const ids = (parts: Part[]) =>
      tasksOf(snapshot([], { parts }), radiators)
        .map(({ id }) => id)
        .filter((id) => id.includes("trap"));
    expect(ids(six).filter((id) => id.endsWith(".bleed"))).toEqual(["trap-1.bleed"]);
    expect(ids(six).filter((id) => id.endsWith(".rinse"))).toHaveLength(6);
    // The first gone, it is the next one’s.
    expect(ids(six.slice(1)).filter((id) => id.endsWith(".bleed"))).toEqual(["trap-2.bleed"]);
  });
});

describe("the jobs of a home", () => {
  it("are those of itself, its units, their filters and their parts, each under its place", () => {
    expect(found({ parts: [trap] }).map(({ id }) => id)).toEqual([
      "home.round",
      "furnace.flame-sensor",
      "furnace.cooling",
      "furnace.shade",
      "furnace.heating",
      "furnace.drain",
      `slot.${RENEW}`,
      `slot.${LOOK}`,
      "trap.rinse",
    ]);
  });
  it("are none of a unit while it is being entered, nor of another unit's parts", () => {
    const home = snapshot([], { units: [{ ...unit, setUpStep: "filters" } as typeof unit] });
    expect(tasksOfUnit(home, home.units[0]!, jobs)).toEqual([]);
    const elsewhere = snapshot([], {
      slots: [slot({ unitId: "other" })],
      parts: [{ ...trap, unitId: "other" }],
    });
    expect(tasksOfUnit(elsewhere, unit, jobs)).toHaveLength(5);
  });
  it("include what a filter wants beside its renewal", () => {
    expect(task("dry")).toBeUndefined();
    expect(task("dry", { slots: [slot({ media: "washable-panel" })] })?.id).toBe("slot.dry");
  });
  it("include those people made up, where they belong", () => {
    const tasks = [
      changed({}, "own-a", { name: "Read the meter" }),
      changed({ unitId: "furnace" }, "own-b", { name: "Listen", cadence: every(2) }),
      changed(ofSlot, "own-c", { name: "Photograph it" }),
    ];
    const own = found({ tasks }).filter(({ isOwn }) => isOwn);
    expect(own.map(({ id, name, kind }) => [id, name, kind])).toEqual([
      ["home.own-a", "Read the meter", "home"],
      ["furnace.own-b", "Listen", unit.kind],
      ["slot.own-c", "Photograph it", "filter"],
    ]);
    expect(own.map(({ trigger }) => trigger)).toEqual([
      { kind: "every", n: 1, unit: "year", within: undefined },
      every(2),
      { kind: "every", n: 1, unit: "year", within: undefined },
    ]);
  });
  it("are as somebody changed them", () => {
    const tasks = [changed({ unitId: "furnace" }, "flame-sensor", { name: "Polish", isOff: true })];
    expect(task("flame-sensor", { tasks })).toMatchObject({
      ...{ name: "Polish", isOff: true, isChanged: true, isOwn: false },
    });
    expect(task("flame-sensor")).toMatchObject({ isOff: false, isChanged: false });
  });
});

describe("a filter by each strategy", () => {
  const by = (changes: TaskChanges, extra: Partial<HomeSnapshot> = {}) =>
    found({ tasks: [changed(ofSlot, RENEW, changes)], ...extra })
      .filter(({ partId }) => partId === "slot")
      .map(({ key, strategy, trigger }) => [key, strategy, trigger]);
  const afterDucts = [LOOK, undefined, jobs.lookAfterDucts.trigger];

  it("goes by wear, by the calendar, or by looks", () => {
    expect(by({})).toEqual([[RENEW, "wear", { kind: "wear" }], afterDucts]);
    expect(by({ school: "calendar" })).toEqual([[RENEW, "calendar", every(3)], afterDucts]);
    expect(by({ school: "calendar", cadence: every(5) })[0]).toEqual([RENEW, "calendar", every(5)]);
    expect(by({ school: "look" })).toEqual([
      [RENEW, "look", atGrey],
      [LOOK, undefined, { kind: "every", n: 30, unit: "day", within: undefined }],
    ]);
    expect(by({ school: "look", lookEveryDays: 14 })[1]![2]).toMatchObject({ n: 14 });
  });
  it("is looked at after a duct cleaning only where its air comes out of ducts", () => {
    // Elsewhere only something noticed asks for a look.
    const whenAsked = [LOOK, undefined, jobs.lookWhenAsked("pleated-25").trigger];
    expect(by({}, { slots: [slot({ airSide: "extract" })] })[1]).toEqual(whenAsked);
    const [system] = snapshot([]).systems;
    expect(by({}, { systems: [{ ...system!, ducted: false }] })[1]).toEqual(whenAsked);
  });
});

describe("the jobs of this house", () => {
  const lint = (extra: Partial<ScopedDriver>) =>
    task("flame-sensor", {
      units: [{ ...unit, roomId: "hall" }],
      drivers: [
        { id: "d", scope: "home", kind: "dryer-or-litter-beside", ...extra } as ScopedDriver,
      ],
    })!.trigger;

  it("come sooner where a dryer or a litter tray stands beside the machine", () => {
    expect(lint({})).toEqual(every(4));
    expect(lint({ scope: "system", systemId: "air" })).toEqual(every(4));
    expect(lint({ scope: "room", roomId: "hall" })).toEqual(every(4));
    expect(lint({ scope: "system", systemId: "other" })).toEqual(every(12));
    expect(lint({ scope: "room", roomId: "loft" })).toEqual(every(12));
    expect(lint({ kind: "renovation" })).toEqual(every(12));
    expect(task("drain", { drivers: [] })!.trigger.kind).toBe("earliest");
  });
  it("go by the time in use where no summer is warm enough for a cooling season", () => {
    const { home } = snapshot([]);
    const cool = [-9, -7, -1, 4, 8, 11, 13, 12, 9, 4, 0, -6];
    const north = { home: { ...home, climate: { ...home.climate, monthlyMeanC: cool } } };
    expect(task("cooling")!.trigger).toEqual(season("coolingStart"));
    expect(task("cooling", north)!.trigger).toEqual(YEARLY);
    expect(task("shade", north)!.trigger).toEqual(YEARLY);
    expect(task("heating", north)!.trigger).toEqual(season("heatingStart"));
    expect(task("drain", north)!.trigger).toEqual({
      kind: "earliest",
      of: [{ ...every(3), within: "inUse" }, every(9, "heating")],
    });
  });
  it("are for licensed staff on a roof nobody called safely reached, unless somebody says who", () => {
    const roof = { units: [{ ...unit, kind: "rooftop" }] };
    const own = (changes: TaskChanges) => ({
      ...roof,
      tasks: [changed({ unitId: "furnace" }, "own-a", { name: "Look up", ...changes })],
    });
    expect(task("own-a", own({}))!.who).toBe("licensed");
    expect(task(RENEW, roof)!.who).toBe("licensed");
    expect(task("own-a", own({ who: "owner" }))!.who).toBe("owner");
    expect(task(RENEW)!.who).toBe("owner");
  });
  it("remember from when a job of one's own is owed", () => {
    const tasks = [{ ...changed({}, "own-a", { name: "x" }), enteredOn: day(-3) }];
    expect(task("own-a", { tasks })!.madeUpOn).toBe(day(-3));
    const renamed = [{ ...changed({}, "round", { name: "x" }), enteredOn: day(-3) }];
    expect(task("round", { tasks: renamed })).not.toHaveProperty("madeUpOn");
  });
});
