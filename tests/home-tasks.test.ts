import { JOBS } from "@/content/default-tasks";
import { snapshot, today } from "./demo-snapshot";
import { addDays, daysFrom, plainDate, type PlainDate } from "@/core/quantities/plain-date";
import { judgeInput } from "@/core/readings/judge";
import { MEDIA, type Media } from "@/core/filters/media";
import { bySoonestDue, type JobStatus } from "@/core/scheduling/schedule";
import type { ScopedDriver } from "@/core/inventory/inventory";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { HistoryEvent } from "@/core/history/history-event";
import { RENEW, type TaskChanges, type TaskSetting } from "@/core/scheduling/task";
import { scheduleNow } from "@/server/snapshots/snapshot-cache";
import { tasksOf } from "../src/core/scheduling/home-tasks";
import { PART_KINDS } from "../src/content/part-kinds";
import { filterStatusesOf } from "@/server/snapshots/snapshot-cache";
import { triggerWords, pathOfTask } from "../src/presentation/task-words";
import { UNIT_KINDS } from "../src/content/unit-kinds";

const day = (offset: number) => addDays(today, offset);
const schedule = (home: HomeSnapshot) => scheduleNow(home, today);
const job = (home: HomeSnapshot, id: string): JobStatus =>
  schedule(home).find((each) => each.task.id === id)!;
const with_ = (...events: Partial<HistoryEvent>[]): HomeSnapshot => ({
  ...snapshot,
  history: snapshot.history.with(
    ...events.map((event, i) => ({
      id: `more-${i}`,
      kind: "done" as const,
      date: today,
      recordedAt: `${today}T08:00:00.000Z`,
      ...event,
    })),
  ),
});
const changed = (changes: TaskChanges, place: Partial<TaskSetting> = {}): HomeSnapshot => ({
  ...snapshot,
  tasks: [
    {
      id: "changed",
      unitId: "cellar-furnace",
      partId: "cellar-filter",
      key: RENEW,
      changes,
      ...place,
    },
  ],
});
const driver = (more: Partial<ScopedDriver>): HomeSnapshot => ({
  ...snapshot,
  drivers: [
    ...snapshot.drivers,
    { id: "more", scope: "home", kind: "away", ...more } as ScopedDriver,
  ],
});

describe("the jobs that come with a home", () => {
  it("has a plain name, a key of its own, and minutes for each", () => {
    const places = [
      JOBS.home,
      ...UNIT_KINDS.map((kind) => JOBS.unit(kind.id)),
      ...PART_KINDS.map((kind) => JOBS.part(kind.id, "")),
    ];
    for (const tasks of places) {
      expect(new Set(tasks.map((task) => task.key)).size).toBe(tasks.length);
      for (const task of tasks) {
        expect(task.name).toMatch(/^[A-Z][^.]{6,45}$/);
        expect(task.handsOn).toBeGreaterThan(0);
        expect(triggerWords(task.trigger)).toMatch(/^[a-z0-9]/);
      }
    }
  });

  it("names with “also does” only jobs there are", () => {
    const known = new Set(
      PART_KINDS.flatMap(({ id }) => JOBS.part(id, "").map((task) => `${id}:${task.key}`)),
    );
    const all = [...UNIT_KINDS, ...PART_KINDS].flatMap(({ id }) => [
      ...JOBS.unit(id),
      ...JOBS.part(id, ""),
    ]);
    for (const task of all)
      for (const other of task.alsoDoes ?? []) expect(known.has(other)).toBe(true);
  });

  it("renews every medium, cleaned or changed, by wear and by a calendar", () => {
    for (const media of Object.keys(MEDIA) as Media[]) {
      expect(JOBS.renewal(media, "").name).toMatch(MEDIA[media].cleaned ? /^Clean/ : /^Change/);
      expect(["every", "earliest"]).toContain(JOBS.calendar(media).kind);
    }
  });

  it("leads from each to where it is done, and none is there twice", () => {
    const tasks = tasksOf(snapshot, JOBS);
    expect(new Set(tasks.map((task) => task.id)).size).toBe(tasks.length);
    expect(tasks.map(pathOfTask)).toEqual(
      expect.arrayContaining(["jobs", "units/cellar-furnace#jobs", "parts/cellar-filter"]),
    );
  });
});

describe("the schedule of a home", () => {
  it("chains every job over two years, in order and never before today", () => {
    const all = schedule(snapshot);
    expect(all.length).toBeGreaterThan(100);
    for (const { ahead } of all)
      ahead.forEach((date, i) => {
        expect(date >= today && date <= day(730)).toBe(true);
        if (i > 0) expect(date > ahead[i - 1]!).toBe(true);
      });
    expect(all.flatMap((each) => each.ahead).length).toBeGreaterThan(400);
  });

  it("has three things past their time at the demo’s start, the oldest first", () => {
    const past = [...schedule(snapshot)].sort(bySoonestDue).filter((each) => each.state === "past");
    expect(past.map((each) => each.task.id)).toEqual([
      "alarm-ground.replace",
      "cellar-furnace-condensate-trap.flush",
      "dryer-dryer-duct.brush",
    ]);
  });

  it("is worked out once for a snapshot and a day", () => {
    expect(scheduleNow(snapshot, today)).toBe(scheduleNow(snapshot, today));
    expect(scheduleNow(snapshot, day(1))).not.toBe(scheduleNow(snapshot, today));
  });

  it("counts anew from what was done, and from its withdrawal as if it never was", () => {
    const trap = { unitId: "cellar-furnace", partId: "cellar-furnace-condensate-trap" };
    const id = "cellar-furnace-condensate-trap.flush";
    const flushed = job(with_({ ...trap, taskKey: "flush" }), id);
    expect([flushed.lastDone, flushed.due, flushed.state]).toEqual([
      today,
      "2026-09-14",
      "not-yet",
    ]);
    // An entry that does not say which job it was is of the first.
    expect(job(with_(trap), id).lastDone).toBe(today);
    const taken = with_({ ...trap, id: "x" }, { kind: "withdrawn", corrects: "x" });
    expect(job(taken, id).state).toBe("past");
  });

  it("counts the age of an alarm from its replacement", () => {
    const replaced = with_({ unitId: "alarm-ground", taskKey: "replace" });
    expect(job(replaced, "alarm-ground.replace")).toMatchObject({
      state: "not-yet",
      opens: "2031-03-14",
      due: "2032-03-14",
    });
  });

  it("takes nothing as done by a visit at which nobody said so", () => {
    const visit = { unitId: "cellar-furnace", taskKey: "visit", date: day(-1) };
    for (const id of [
      "cellar-furnace-capacitor.measure",
      "cellar-furnace-burners.clean",
      "cellar-furnace-heat-exchanger.test",
    ])
      expect([id, job(with_(visit), id).lastDone]).toEqual([id, job(snapshot, id).lastDone]);
    const tested = {
      unitId: "cellar-furnace",
      partId: "cellar-furnace-heat-exchanger",
      taskKey: "test",
    };
    expect(job(with_(visit, tested), "cellar-furnace-heat-exchanger.test").lastDone).toBe(today);
  });

  it("goes on two years after the day each filter is likely changed", () => {
    const { due, ahead } = job(snapshot, "cellar-filter.renew");
    const filterStatus = filterStatusesOf(snapshot, today).find(
      (each) => each.slot.id === "cellar-filter",
    )!;
    expect(due).toBe(filterStatus.wear!.likely);
    const steps = ahead.slice(1).map((date, i) => daysFrom(ahead[i]!, date));
    expect(Math.min(...steps)).toBeGreaterThan(20);
    expect(Math.max(...steps)).toBeLessThan(130);
  });
});

describe("the strategies of a filter", () => {
  const change = (changes: TaskChanges, ...events: Partial<HistoryEvent>[]) => {
    const home = { ...changed(changes), history: with_(...events).history };
    return { renew: job(home, "cellar-filter.renew"), look: job(home, "cellar-filter.look") };
  };
  const fitted = "2026-02-20";

  it("goes by the calendar from the day it went in", () => {
    const { renew } = change({ school: "calendar" });
    expect(renew.lastDone).toBe(fitted);
    // Half a season’s quarter while the house is heated.
    expect(renew.due).toBe(addDays(fitted as PlainDate, 45));
    const own = { kind: "every", n: 2, unit: "month", within: undefined } as const;
    expect(change({ school: "calendar", cadence: own }).renew.due).toBe("2026-04-20");
  });

  it("is changed at the first grey look, and looked at every so often until then", () => {
    const seen = (grade: "light" | "grey" | "white-powder"): Partial<HistoryEvent> => ({
      kind: "look",
      partId: "cellar-filter",
      unitId: "cellar-furnace",
      look: { grade },
    });
    const light = change({ school: "look", lookEveryDays: 14 }, seen("light"));
    expect([light.renew.due, light.look.due]).toEqual([null, day(14)]);
    for (const grade of ["grey", "white-powder"] as const)
      expect(change({ school: "look" }, seen(grade)).renew.due).toBe(today);
    const again = change({ school: "look" }, seen("grey"), {
      kind: "fitted",
      partId: "cellar-filter",
      date: day(0),
    });
    expect(again.look.due).toBe(day(30));
  });
});

describe("what somebody changed of a job", () => {
  const duct = { unitId: "dryer", partId: "dryer-dryer-duct", key: "brush" };
  it("moves its dates, or takes it off", () => {
    const often = changed(
      { cadence: { kind: "every", n: 2, unit: "year", within: undefined } },
      duct,
    );
    expect(job(often, "dryer-dryer-duct.brush")).toMatchObject({ state: "not-yet" });
    expect(job(changed({ isOff: true }, duct), "dryer-dryer-duct.brush")).toMatchObject({
      state: "none",
      due: null,
      ahead: [],
    });
  });

  it("adds jobs of their own", () => {
    const own = changed(
      {
        name: "Oil the fan’s bearing",
        cadence: { kind: "every", n: 1, unit: "month", within: undefined },
      },
      { unitId: "cellar-furnace", partId: "cellar-furnace-blower", key: "own-1" },
    );
    const task = job(own, "cellar-furnace-blower.own-1");
    expect(task.task).toMatchObject({ isOwn: true, name: "Oil the fan’s bearing", kind: "blower" });
    // Owed since the furnace was entered, a good three years ago; made up today, from today on.
    expect(task.state).toBe("past");
    const [setting] = own.tasks;
    const fresh = { ...own, tasks: [{ ...setting!, enteredOn: today }] };
    expect(job(fresh, "cellar-furnace-blower.own-1")).toMatchObject({
      since: today,
      due: "2026-04-14",
    });
  });
});

describe("what follows from what happened", () => {
  const ended = { kind: "renovation", from: day(-20), to: day(-2) } as const;

  it("has the coil looked at and offers to have the ducts cleaned once building work has ended", () => {
    const home = driver(ended);
    expect(job(home, "cellar-furnace-evaporator-coil.look").due).toBe(day(12));
    expect(job(home, "ducts-supply-run-1.clean").due).toBe(day(28));
    const going = driver({ kind: "renovation", from: day(-20) });
    expect(job(going, "ducts-supply-run-1.clean").due).toBeNull();
  });

  it("has the filter looked at within a week of a duct cleaning, from the record alone", () => {
    const cleaned = with_({ unitId: "ducts", partId: "ducts-supply-run-1", date: day(-1) });
    expect(job(cleaned, "cellar-filter.look")).toMatchObject({ due: day(6), state: "open" });
    const wear = (home: HomeSnapshot) =>
      filterStatusesOf(home, today).find((each) => each.slot.id === "cellar-filter")!.wear!;
    expect(wear(cleaned).likely! < wear(snapshot).likely!).toBe(true);
    const seen = { kind: "look", partId: "cellar-filter", look: { grade: "light" } } as const;
    expect(
      job(
        { ...cleaned, history: cleaned.history.with(with_(seen).history.entries.at(-1)!) },
        "cellar-filter.look",
      ).due,
    ).toBeNull();
  });

  it("makes chains longer while the house stands empty, and says why", () => {
    const away = driver({ from: day(-20), to: day(40), fraction: 0.2 });
    const [usual, empty] = [job(snapshot, "cellar-filter.renew"), job(away, "cellar-filter.renew")];
    expect(empty.due! > usual.due!).toBe(true);
    expect(empty.ahead.length).toBeLessThan(usual.ahead.length);
    const { causes } = filterStatusesOf(away, today).find(
      (each) => each.slot.id === "cellar-filter",
    )!;
    const weather = causes.find(({ cause }) => cause === "weather")!;
    expect(weather.words).toMatch(/^nobody at home/);
    expect(weather.days).toBeLessThan(0);
  });

  it("puts off what goes by run hours, too, and takes measured hours for what they are", () => {
    const hours = { cadence: { kind: "run-hours", n: 400 } as const };
    const place = { unitId: "cellar-furnace", partId: "cellar-furnace-blower", key: "clean" };
    const id = "cellar-furnace-blower.clean";
    const cleaned = with_({ unitId: place.unitId, partId: place.partId, taskKey: "clean" }).history;
    const usual = { ...changed(hours, place), history: cleaned };
    const empty = { ...usual, drivers: driver({ from: day(0), to: day(60), fraction: 0 }).drivers };
    const measured = snapshot.systems.map(({ id: systemId }) => ({
      systemId,
      date: day(0),
      hours: 24,
    }));
    const [due, later, sooner] = [usual, empty, { ...usual, measured }].map(
      (home) => job(home, id).due!,
    );
    expect(daysFrom(due!, later!)).toBeGreaterThan(20);
    expect(sooner! < due!).toBe(true);
  });

  it("gives what waits for its weather no dates, but its season", () => {
    const waits = (id: string) => {
      const { due, ahead, state, waits: wait } = job(snapshot, id);
      expect([id, due, ahead, state]).toEqual([id, null, [], "none"]);
      return [wait!.for, Number(wait!.usual.slice(5, 7))];
    };
    expect(waits("cellar-furnace-plastic-vent.intake")).toEqual(["leaf-fall", 10]);
    expect(waits("yard-condenser-base-drain.clear")).toEqual(["leaf-fall", 11]);
    const [weather, month] = waits("cellar-furnace-plastic-vent.snow");
    expect([weather, [11, 12, 1, 2, 3].includes(Number(month))]).toEqual(["snow", true]);
  });

  it("calls it by the days’ temperatures, or by what was noticed", () => {
    const SNOW = "cellar-furnace-plastic-vent.snow";
    const january = plainDate("2027-01-16");
    const week = (meanC: number) =>
      [6, 5, 4, 3, 2, 1].map((ago) => ({ date: addDays(january, -ago), meanC }));
    const then = (actuals: { date: PlainDate; meanC: number }[]) =>
      scheduleNow({ ...snapshot, actuals }, january).find(({ task }) => task.id === SNOW)!;
    expect(then(week(6))).toMatchObject({ due: null, waits: { for: "snow" } });
    expect(then(week(-4))).toMatchObject({ due: addDays(january, -6), waits: null, state: "past" });
    // Of no known weather the season has to do: it is looked for every week.
    expect(then([]).due).not.toBeNull();
    const noticed = { kind: "note" as const, sign: "weather:snow", unitId: undefined, date: today };
    const called = job(with_(noticed), SNOW);
    expect([called.due, called.waits, called.called?.event.sign]).toEqual([
      today,
      null,
      "weather:snow",
    ]);
  });

  it("brings its job once a reading has turned bad, until that is done", () => {
    const reading = (value: number, date = day(-1)): Partial<HistoryEvent> => ({
      kind: "reading",
      unitId: "cellar-furnace",
      partId: "cellar-furnace-capacitor",
      date,
      reading: judgeInput.parse({ kind: "capacitor-uf", value, unit: "uF", rated: 5 }),
    });
    const id = "cellar-furnace-capacitor.replace";
    expect(job(snapshot, id).state).toBe("none");
    expect(job(with_(reading(4.72)), id).state).toBe("none");
    expect(job(with_(reading(4.6)), id)).toMatchObject({ due: day(-1), state: "due" });
    const replaced = {
      unitId: "cellar-furnace",
      partId: "cellar-furnace-capacitor",
      taskKey: "replace",
    };
    expect(job(with_(reading(4.6), replaced), id).state).toBe("none");
    expect(job(with_(reading(4.6), reading(5.01, today)), id).state).toBe("none");
  });

  it("has the ventilator’s core washed when it gives back too little", () => {
    expect(job(snapshot, "loft-ventilator-recovery-core.wash")).toMatchObject({
      due: day(-5),
      state: "due",
    });
  });
});
