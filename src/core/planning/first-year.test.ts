import fc from "fast-check";
import { addDays, plainDate, weekday, type PlainDate } from "../quantities/plain-date";
import type { JobStatus } from "../scheduling/schedule";
import type { Qualification } from "../runs/qualification";
import { firstYear, SATURDAY_JOBS, SATURDAY_MINUTES } from "./first-year";

/** A Wednesday. */
const today = plainDate("2026-03-11");
const at = (days: number) => addDays(today, days);

type Facts = {
  due?: number | null;
  opens?: number;
  minutes?: number;
  safety?: boolean;
  who?: Qualification;
  every?: number;
  off?: boolean;
};
const job = (id: string, facts: Facts = {}): JobStatus => {
  const { due = 0, opens = -900, minutes = 20, every, safety = false } = facts;
  const days = due === null ? [] : [Math.max(0, due)];
  if (every && due !== null)
    for (let day = Math.max(0, due) + every; day < 730; day += every) days.push(day);
  return {
    task: {
      id,
      key: id,
      name: id,
      kind: "home",
      trigger: { kind: "wear" },
      who: facts.who ?? "owner",
      handsOn: minutes,
      waiting: 0,
      procedureIds: [],
      alsoDoes: [],
      settles: [],
      isOff: facts.off ?? false,
      isChanged: false,
      isSafety: safety,
      isUnreadable: false,
      isOwn: false,
    },
    unit: null,
    opens: due === null ? null : at(opens),
    due: due === null ? null : at(due),
    closes: due === null ? null : at(due + 5),
    state: due === null ? "none" : due < -5 ? "past" : due <= 0 ? "due" : "open",
    because: { kind: "wear" },
    lastDone: null,
    since: null,
    deferral: null,
    called: null,
    ahead: days.map(at),
    problem: null,
  };
};
const saturdays = (schedule: JobStatus[]) =>
  firstYear(schedule, today).saturdays.map(({ day, minutes, jobs }) => [
    day,
    minutes,
    jobs.map(({ task }) => task.id),
  ]);

describe("a calm first year", () => {
  it("begins with safety, then what is past, the worst first, then what is quickly done", () => {
    const schedule = [
      job("long", { due: 3, minutes: 60 }),
      job("quick", { due: 20, minutes: 5 }),
      job("over", { due: -20, minutes: 30 }),
      job("worst", { due: -90, minutes: 40 }),
      job("alarm", { due: 10, minutes: 10, safety: true }),
    ];
    expect(saturdays(schedule)).toEqual([
      ["2026-03-14", 85, ["alarm", "worst", "over", "quick"]],
      ["2026-03-21", 60, ["long"]],
    ]);
  });

  it("waits for a job’s window, and keeps the Saturday before it for others", () => {
    const schedule = [
      job("spring", { due: 12, opens: 9, minutes: 10, safety: true }),
      job("now", { due: 0, minutes: 30 }),
    ];
    expect(saturdays(schedule)).toEqual([
      ["2026-03-14", 30, ["now"]],
      ["2026-03-21", 10, ["spring"]],
    ]);
  });

  it("gives a job that is longer than a Saturday one to itself", () => {
    expect(saturdays([job("ducts", { minutes: 150 }), job("look", { minutes: 5 })])).toEqual([
      ["2026-03-14", 5, ["look"]],
      ["2026-03-21", 150, ["ducts"]],
    ]);
  });

  it("bundles what needs a licence, and leaves out what is off, deferred or has no day", () => {
    const { technician, saturdays: own } = firstYear(
      [
        job("visit", { who: "licensed" }),
        job("off", { off: true }),
        job("dayless", { due: null }),
        { ...job("later"), deferral: { on: today, words: "no ladder", until: at(60) } },
      ],
      today,
    );
    expect(technician.map(({ task }) => task.id)).toEqual(["visit"]);
    expect(own).toEqual([]);
  });

  it("says by the month what comes after, and once what comes all the year", () => {
    const year = firstYear(
      [
        job("walk", { due: 2, every: 30, minutes: 5 }),
        job("trap", { due: 120, minutes: 20 }),
        job("coil", { due: 125, minutes: 45 }),
        job("next year", { due: 500 }),
      ],
      today,
    );
    expect(year.always.map(({ task }) => task.id)).toEqual(["walk"]);
    expect(year.months.map(({ month, minutes, jobs }) => [month, minutes, jobs.length])).toEqual([
      ["2026-07-01", 65, 2],
    ]);
  });

  it("never fills a Saturday past a morning, and loses no job", () => {
    const facts = fc.record({
      due: fc.integer({ min: -400, max: 45 }),
      opens: fc.integer({ min: -60, max: 45 }),
      minutes: fc.integer({ min: 1, max: 200 }),
      safety: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(facts, { maxLength: 40 }), (all) => {
        const year = firstYear(
          all.map((each, i) => job(`job ${i}`, each)),
          today,
        );
        for (const { day, minutes, jobs } of year.saturdays) {
          expect(weekday(day)).toBe(6);
          expect(jobs.length).toBeLessThanOrEqual(SATURDAY_JOBS);
          expect(minutes <= SATURDAY_MINUTES || jobs.length === 1).toBe(true);
          for (const { opens } of jobs) expect(opens! <= day).toBe(true);
        }
        const days = year.saturdays.map(({ day }): PlainDate => day);
        expect([...days].sort()).toEqual(days);
        expect(year.saturdays.flatMap(({ jobs }) => jobs)).toHaveLength(all.length);
      }),
    );
  });
});
