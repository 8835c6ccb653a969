import { wearByPart } from "../timeline/home-status";
import type { HistoryEvent } from "../history/history-event";
import type { HomeSnapshot } from "../history/home-snapshot";
import type { Part, ScopedDriver } from "../inventory/inventory";
import { plainDate } from "../quantities/plain-date";
import { DRIFTING_OUT, REPLACE_WHEN } from "../readings/capacitor-drift";
import { judgeInput } from "../readings/judge";
import { day, event, look, slot, snapshot, today, unit, wordsFor } from "../../../tests/small-home";
import { coilStatusOf } from "../filters/coil-wear";
import { filterStatusOf } from "../filters/filter-status";
import { bySoonestDue, GREY_LOOK, isDeferred, scheduleOf, type JobStatus } from "./schedule";
import { planned, RENEW, type TaskDefinition, type TaskPlace, type TaskSetting } from "./task";
import type { Trigger } from "./trigger";

const every = (n: number): Trigger => ({ kind: "every", n, unit: "day", within: undefined });
const upon = (what: string, days = 10): Trigger => ({ kind: "after", event: what, days });

/** A job of the furnace, or of a part of it. */
const job = (
  key: string,
  trigger: Trigger,
  {
    place = { unitId: "furnace" },
    kind = "furnace",
    setting,
    ...extra
  }: Partial<TaskDefinition> & {
    place?: TaskPlace;
    kind?: string;
    setting?: Partial<TaskSetting>;
  } = {},
) =>
  planned(
    { key, name: key, trigger, who: "owner", handsOn: 10, waiting: 0, ...extra },
    { ...place, kind },
    setting && { id: "s", key, changes: {}, ...setting },
  );
const ofUnit = (taskKey: string | undefined, offset: number, extra: Partial<HistoryEvent> = {}) =>
  event("done", offset, { partId: undefined, ...(taskKey ? { taskKey } : {}), ...extra } as object);

function stands(
  tasks: ReturnType<typeof job>[],
  events: HistoryEvent[],
  extra: Partial<HomeSnapshot> = {},
): JobStatus[] {
  const home = snapshot(events, extra);
  const filters = home.slots.map((each) => filterStatusOf(home, each, today, wordsFor));
  return scheduleOf(home, tasks, wearByPart(filters), today, day(730));
}
const dueOf = (...args: Parameters<typeof stands>) => stands(...args).map(({ due }) => due);

describe("when a job was last done", () => {
  const [first, second] = [job("first", every(100)), job("second", every(100))];

  it("is its own day, and for the first of its place also what names no job", () => {
    expect(dueOf([first, second], [ofUnit("second", -30), ofUnit(undefined, -10)])).toEqual([
      day(90),
      day(70),
    ]);
  });
  it("is the latest of several, whichever named it", () => {
    expect(dueOf([first], [ofUnit("first", -5), ofUnit(undefined, -40)])).toEqual([day(95)]);
  });
  it("counts a job that does it on the way, and only one that says so of this kind", () => {
    const does = job("service", every(300), { alsoDoes: ["furnace:first"] });
    expect(dueOf([second, first, does], [ofUnit("service", -20)])).toEqual([
      null,
      day(80),
      day(280),
    ]);
    const other = job("service", every(300), { alsoDoes: ["boiler:first"] });
    expect(dueOf([second, first, other], [ofUnit("service", -20)])[1]).toBeNull();
  });
});

describe("a look at a filter", () => {
  const atSlot = { place: { unitId: "furnace", partId: "slot" }, kind: "filter" };
  const lookAt = job("look", every(30), atSlot);

  it("was taken by who changed it", () => {
    expect(dueOf([lookAt], [event("fitted", -4)])).toEqual([day(26)]);
    expect(dueOf([lookAt], [event("fitted", -40), look(-10, "light")])).toEqual([day(20)]);
  });

  it("is due within a week of the end of building work, whatever the load", () => {
    const after = job("look", upon("renovation", 7), atSlot);
    const works = (to: number | null): Partial<HomeSnapshot> => ({
      drivers: [
        {
          ...{ id: "works", scope: "home", kind: "renovation", from: day(-60) },
          ...(to === null ? {} : { to: day(to) }),
        } as ScopedDriver,
      ],
    });
    const fitted = event("fitted", -20);
    expect(dueOf([after], [fitted], works(-3))).toEqual([day(4)]);
    expect(dueOf([after], [fitted], works(null))).toEqual([null]);
    expect(dueOf([after], [fitted, look(-1, "clean")], works(-3))).toEqual([null]);
    expect(dueOf([after], [event("fitted", -2)], works(-3))).toEqual([null]);
  });
});

describe("a coil that nobody looked at since it is reckoned to be full", () => {
  const coil: Part = {
    ...({ id: "coil", unitId: "furnace", kind: "evaporator-coil", name: "Coil" } as Part),
    attributes: {},
  };
  const atCoil = { place: { unitId: "furnace", partId: "coil" }, kind: "evaporator-coil" };
  const jobs = [job("look", every(6000), atCoil), job("clean", { kind: "wear" }, atCoil)];
  const at = (looked: number, ...more: HistoryEvent[]) => {
    const home = snapshot([event("done", looked, { partId: "coil", taskKey: "look" }), ...more], {
      parts: [coil],
      units: [{ ...unit, fittedOn: day(-5400) }],
    });
    const worn = wearByPart([], [coilStatusOf(home, coil, today)!]);
    return scheduleOf(home, jobs, worn, today, day(730));
  };

  it("is looked at first: the look is due when the cleaning is, not in its own time", () => {
    const [look, clean] = at(-5000);
    expect(clean!.due! < today).toBe(true);
    expect(look).toMatchObject({ due: clean!.due, because: clean!.because, state: clean!.state });
    const [later, unseen] = at(-300);
    // Looked at since: it comes round in its own time.
    expect(unseen!.due! < day(-300)).toBe(true);
    expect(later!.due).toBe(day(5700));
  });

  it("and in its own time where no cleaning is in sight", () => {
    const cleaned = (ago: number) =>
      at(-10, event("done", -ago, { partId: "coil", taskKey: "clean" }));
    const [look, clean] = cleaned(20);
    expect(clean!.due).toBeNull();
    expect(look!.due).toBe(day(5990));
  });
});

describe("from when a job never done is owed", () => {
  const part: Part = {
    ...({ id: "trap", unitId: "furnace", kind: "trap" } as Part),
    attributes: {},
  };
  const ofPart = job("rinse", every(100), { place: { unitId: "furnace", partId: "trap" } });

  it("is the week it was entered, for the machine, its part and the home", () => {
    const units = [{ ...unit, enteredOn: day(-200) }];
    const [look] = stands([job("look", every(100))], [], { units });
    expect(look).toMatchObject({ opens: day(-200), due: day(-194), isFirstTime: true });
    const parts = [{ ...part, enteredOn: day(-50) }];
    expect(dueOf([ofPart], [], { units, parts })).toEqual([day(-44)]);
    const home = { ...snapshot([]).home, enteredOn: day(-7) };
    const ofHome = job("round", every(100), { place: {}, kind: "home" });
    expect(dueOf([ofHome], [], { home })).toEqual([day(-1)]);
  });
  it("is counted from the day its machine was fitted, where that is later", () => {
    const at = (fitted: number) => [{ ...unit, fittedOn: day(fitted), enteredOn: day(-5) }];
    expect(dueOf([job("look", every(100))], [], { units: at(-20) })).toEqual([day(80)]);
    // Fitted long ago and never done: soon, not in a hundred days.
    expect(dueOf([job("look", every(100))], [], { units: at(-3000) })).toEqual([day(1)]);
  });
  it("is over once somebody says when it was, before the entry or after", () => {
    const units = [{ ...unit, enteredOn: day(-5) }];
    const [known] = stands([job("look", every(100))], [ofUnit("look", -60)], { units });
    expect(known).toMatchObject({ due: day(40), isFirstTime: false });
    expect(dueOf([job("look", every(100))], [ofUnit("look", -1)], { units })).toEqual([day(99)]);
  });
  it("moves nobody else’s week when one of them is done", () => {
    const units = [{ ...unit, enteredOn: day(0) }];
    const jobs = Array.from({ length: 12 }, (_, i) => job(`j${i}`, every(300)));
    const before = dueOf(jobs, [], { units });
    expect(before.filter((due) => due === day(6))).toHaveLength(5);
    const after = dueOf(jobs, [ofUnit("j0", 0)], { units });
    expect(after.slice(1)).toEqual(before.slice(1));
  });
  it("is never known of a filter", () => {
    const filter = job(RENEW, every(10), { place: { unitId: "furnace", partId: "slot" } });
    expect(dueOf([filter], [], { units: [{ ...unit, fittedOn: day(-9) }] })).toEqual([null]);
  });
  it("is soon for an alarm whose day of make nobody knows", () => {
    const age: Trigger = { kind: "age", minYears: 7, maxYears: 10 };
    const replace = job("replace", age, { safety: true });
    const at = (attributes: Record<string, string>) => [
      { ...unit, enteredOn: day(-3), attributes },
    ];
    expect(dueOf([replace], [], { units: at({}) })).toEqual([day(3)]);
    const [known] = dueOf([replace], [], { units: at({ "made-on": "2024-01-01" }) });
    expect(known! > "2031-01-01").toBe(true);
  });
  it("waits for an event, its weather or its part of the year as ever", () => {
    const units = [{ ...unit, enteredOn: day(-200) }];
    const soon = (trigger: Trigger, safety = false) =>
      stands([job("x", trigger, safety ? { safety: true } : {})], [], { units })[0]!.isFirstTime;
    const season = (anchor: string, offsetDays: number) =>
      ({ kind: "season", anchor, offsetDays }) as Trigger;
    expect(soon(season("heatingStart", -28))).toBe(true);
    expect(soon(season("heatingStart", 7))).toBe(false);
    expect(soon(season("coolingStart", -28))).toBe(false);
    expect(soon(season("coolingStart", -28), true)).toBe(true);
    expect(soon(season("leafFall", -28), true)).toBe(false);
    expect(soon(upon("moved-in"))).toBe(false);
  });
  it("is the day somebody made it up, where that came later", () => {
    const own = job("own-x", every(10), { setting: { enteredOn: day(-4) } });
    expect(dueOf([own], [], { units: [{ ...unit, fittedOn: day(-99) }] })).toEqual([day(6)]);
  });
});

describe("a job that was put off", () => {
  const sweep = job("sweep", every(100));
  const deferred = (offset: number) =>
    event("put-off", offset, {
      ...{ partId: undefined, taskKey: "sweep", words: "no ladder", until: day(3) },
    } as object);
  const deferral = (...events: HistoryEvent[]) => stands([sweep], events)[0]!.deferral;

  it("says why and until when, until it is done on that day or later", () => {
    const said = { on: day(-5), words: "no ladder", until: day(3) };
    expect(deferral(deferred(-5))).toEqual(said);
    expect(deferral(ofUnit("sweep", -6), deferred(-5))).toEqual(said);
    expect(deferral(ofUnit("sweep", -5), deferred(-5))).toBeNull();
    expect(deferral(deferred(-5), ofUnit("sweep", -4))).toBeNull();
  });
  it("waits up to the day before, not on the day itself, nor without one", () => {
    const until = (date: string | null) => ({
      deferral: { on: today, words: "", until: date === null ? null : plainDate(date) },
    });
    expect(isDeferred(until("2026-03-15"), today)).toBe(true);
    expect(isDeferred(until("2026-03-14"), today)).toBe(false);
    expect(isDeferred(until(null), today)).toBe(false);
    expect(isDeferred({ deferral: null }, today)).toBe(false);
  });
});

describe("what calls for a job", () => {
  const after = (what: string) => job("after", upon(what));
  const driver = (extra: Partial<ScopedDriver>) =>
    ({
      id: "d",
      scope: "home",
      kind: "renovation",
      from: day(-40),
      to: day(-2),
      ...extra,
    }) as ScopedDriver;
  const byDriver = (extra: Partial<ScopedDriver>, task = after("renovation")) =>
    dueOf([task], [], { drivers: [driver(extra)], units: [{ ...unit, roomId: "hall" }] })[0];

  it("is building work once it has ended, at the home or here", () => {
    expect(byDriver({})).toBe(day(8));
    expect(byDriver({ to: undefined } as object)).toBeNull();
    expect(byDriver({ scope: "system", systemId: "air" })).toBe(day(8));
    expect(byDriver({ scope: "system", systemId: "other" })).toBeNull();
    expect(byDriver({ scope: "room", roomId: "hall" })).toBe(day(8));
    expect(byDriver({ scope: "room", roomId: "loft" })).toBeNull();
    expect(byDriver({ scope: "part", partId: "slot" })).toBeNull();
    const ofSlot = job("after", upon("renovation"), {
      place: { unitId: "furnace", partId: "slot" },
    });
    expect(byDriver({ scope: "part", partId: "slot" }, ofSlot)).toBe(day(8));
  });
  it("is the day of a duct cleaning, however long it is said to count", () => {
    expect(byDriver({ kind: "duct-cleaning" }, after("duct-cleaning"))).toBe(day(-30));
  });
  it("is a grey look at the filter in place, not at the one that came out", () => {
    const atGrey = job(RENEW, upon(GREY_LOOK), { place: { unitId: "furnace", partId: "slot" } });
    expect(dueOf([atGrey], [event("fitted", -30), look(-3, "grey")])).toEqual([day(7)]);
    expect(dueOf([atGrey], [event("fitted", -30), look(-3, "light")])).toEqual([null]);
    expect(dueOf([atGrey], [look(-30, "blocked"), event("fitted", -30)])).toEqual([null]);
  });
  it("is a capacitor that drifts out before its season, where that strategy is followed", () => {
    const capacitor = (strategy: string) =>
      ({
        ...{ id: "cap", unitId: "furnace", kind: "capacitor", name: "" },
        attributes: { [REPLACE_WHEN.key]: strategy },
      }) as unknown as Part;
    const measured = (offset: number, value: number) =>
      event("reading", offset, {
        partId: "cap",
        reading: {
          ...judgeInput.parse({ kind: "capacitor-uf", value, unit: "uF", rated: 40 }),
          kind: "capacitor-uf" as const,
        },
      });
    const readings = [measured(-700, 40), measured(-350, 39), measured(-2, 38)];
    const task = job("replace", upon(DRIFTING_OUT, 0), {
      place: { unitId: "furnace", partId: "cap" },
    });
    const due = (strategy: string, events = readings) =>
      dueOf([task], events, { parts: [capacitor(strategy)] })[0];
    expect(due(REPLACE_WHEN.drifting)).toEqual(expect.stringMatching(/^2026-0[45]/));
    expect(due("label")).toBeNull();
    expect(
      due(REPLACE_WHEN.drifting, [
        ...readings,
        event("done", -1, { partId: "cap", taskKey: "replace" }),
      ]),
    ).toBeNull();
  });
  it("is so many run hours, as a meter of its own system read them", () => {
    const hours = job("oil", { kind: "run-hours", n: 240 });
    const read = (systemId: string) =>
      Array.from({ length: 10 }, (_, i) => ({ systemId, date: day(i - 10), hours: 24 }));
    // Ten days of 24 hours, the day it was done included.
    const due = (systemId: string) =>
      dueOf([hours], [ofUnit("oil", -10)], { measured: read(systemId) })[0]!;
    expect(due("air")).toBe(today);
    expect(due("other") > day(14)).toBe(true);
  });
  it("is of several the one that comes first, and it is said which", () => {
    const both: Trigger = { kind: "earliest", of: [every(300), every(20)] };
    const [either] = stands([job("either", both)], [ofUnit("either", -10)]);
    expect(either).toMatchObject({ due: day(10), because: every(20) });
    const [unknown] = stands([job("either", both)], []);
    expect(unknown).toMatchObject({ due: null, because: both });
  });
});

describe("a reading that calls for a job", () => {
  const bad: Trigger = { kind: "reading", reading: "thermocouple-mv", verdict: "act" };
  const measured = (value: number, where: Partial<HistoryEvent>) =>
    event("reading", -3, {
      ...where,
      reading: {
        ...judgeInput.parse({ kind: "thermocouple-mv", value, unit: "mV", mode: "open" }),
        kind: "thermocouple-mv",
      },
    } as object);
  const atUnit = job("replace", bad);
  const atPart = job("replace", bad, { place: { unitId: "furnace", partId: "slot" } });
  const atUnitOnly = { partId: undefined };

  it("counts at its part, at the unit of it, and from the unit at its parts", () => {
    expect(dueOf([atUnit, atPart], [measured(5, { partId: "slot" })])).toEqual([day(-3), day(-3)]);
    expect(dueOf([atUnit, atPart], [measured(5, atUnitOnly)])).toEqual([day(-3), day(-3)]);
    expect(dueOf([atPart], [measured(5, { partId: "other" })])).toEqual([null]);
    expect(dueOf([atUnit], [measured(5, { ...atUnitOnly, unitId: "other" })])).toEqual([null]);
  });
  it("is measured again, not acted upon, where it is more than such a part gives", () => {
    expect(dueOf([atUnit], [measured(80, atUnitOnly)])).toEqual([null]);
  });
});

describe("what no day can be given for", () => {
  it("is a job switched off, or counted by what is not there", () => {
    const off = job("off", every(10), { setting: { changes: { isOff: true } } });
    const hours = job("hours", { kind: "run-hours", n: 50 });
    const wear = job(RENEW, { kind: "wear" }, { place: { unitId: "furnace", partId: "slot" } });
    const events = [ofUnit("off", -1), ofUnit("hours", -1)];
    const states = stands([off, hours, wear], events, { systems: [], slots: [] });
    expect(states.map(({ due, state, problem }) => [due, state, problem])).toEqual([
      [null, "none", null],
      [null, "none", null],
      [null, "none", null],
    ]);
  });
  it("is said where what was changed of it can't be read, and it comes round as usual", () => {
    const odd = job("odd", every(10), { setting: { isUnreadable: true } });
    expect(stands([odd], [ofUnit("odd", -1)])[0]).toMatchObject({
      due: day(9),
      problem: expect.stringContaining("can’t be read"),
    });
  });
  it("takes no other job with it where its own entries are at odds", () => {
    const home = snapshot([]).home;
    const climate = { ...home.climate, monthlyMeanC: [] };
    const season = job("tune", { kind: "season", anchor: "heatingStart", offsetDays: 0 });
    const [broken, sound] = stands(
      [
        { ...season, trigger: { ...season.trigger, anchor: "never" } as never },
        job("sound", every(10)),
      ],
      [ofUnit("sound", -1)],
      { home: { ...home, climate } },
    );
    expect(broken).toMatchObject({ due: null, problem: expect.stringContaining("no day") });
    expect(sound!.due).toBe(day(9));
  });
});

describe("jobs by their day", () => {
  it("stand soonest first, an unknown filter before all, and what has no day last", () => {
    const filter = job(RENEW, { kind: "wear" }, { place: { unitId: "furnace", partId: "slot" } });
    const jobs = stands(
      [job("none", every(9)), job("late", every(90)), job("soon", every(20)), filter],
      [ofUnit("late", -1), ofUnit("soon", -1)],
      { slots: [slot()] },
    );
    expect(jobs.sort(bySoonestDue).map(({ task }) => task.key)).toEqual([
      RENEW,
      "soon",
      "late",
      "none",
    ]);
  });
  it("chain from the day each is done, what is past from today", () => {
    const [late] = stands([job("late", every(300))], [ofUnit("late", -400)]);
    expect(late).toMatchObject({ state: "past", ahead: [today, day(300), day(600)] });
  });
});

describe("some of the jobs of a machine", () => {
  it("stand as they do among all of them, what the others did counted", () => {
    const visit = job("visit", every(365), { alsoDoes: ["furnace:look"] });
    const tasks = [job("look", every(90)), visit, job("wipe", every(30))];
    const home = snapshot([ofUnit("visit", -20), ofUnit("wipe", -40)]);
    const all = scheduleOf(home, tasks, new Map(), today, day(400));
    const some = scheduleOf(
      home,
      tasks,
      new Map(),
      today,
      day(400),
      undefined,
      new Set([tasks[0]!.id, tasks[2]!.id]),
    );
    expect(some).toEqual([all[0], all[2]]);
    expect(some[0]!.lastDone).toBe(day(-20));
  });
});
