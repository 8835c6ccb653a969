import { addDays, plainDate } from "../quantities/plain-date";
import type { JobStatus } from "./schedule";
import { todayOrder } from "./today-order";

const today = plainDate("2026-03-14");
const every = { kind: "every", n: 10, unit: "day", within: undefined } as const;
/** A job due so many days from today, its window open for three days on either side. */
const job = (
  id: string,
  dueIn: number,
  { isSafety = false, ...extra }: Partial<JobStatus> & { isSafety?: boolean } = {},
): JobStatus => {
  const due = addDays(today, dueIn);
  return {
    task: {
      ...{ id, key: "do", name: id, kind: "home", trigger: every, who: "owner", handsOn: 5 },
      ...{ waiting: 0, procedureIds: [], alsoDoes: [], isOff: false, isChanged: false },
      ...{ isSafety, settles: [], isUnreadable: false, isOwn: false },
    } as JobStatus["task"],
    unit: null,
    opens: addDays(due, -3),
    due,
    closes: addDays(due, 3),
    state: dueIn < -3 ? "past" : dueIn <= 0 ? "due" : "not-yet",
    because: every,
    lastDone: plainDate("2025-01-01"),
    since: null,
    deferral: null,
    called: null,
    isFirstTime: false,
    apart: [],
    waits: null,
    ahead: [],
    problem: null,
    ...extra,
  };
};
const order = (...jobs: JobStatus[]) =>
  todayOrder(jobs, today).map(({ job: { task }, when }) => `${when} ${task.id}`);

describe("the order of today", () => {
  it("is past its time, then now and this week, then what comes closer", () => {
    expect(order(job("closer", 20), job("week", 6), job("past", -9), job("now", 0))).toEqual([
      "past past",
      "now now",
      "now week",
      "closer closer",
    ]);
  });
  it("has safety before comfort, and the worst first, among what is past", () => {
    expect(
      order(
        job("filter", -60),
        job("alarm", -10, { isSafety: true }),
        job("vent", -20, { isSafety: true }),
        job("belt", -5),
      ),
    ).toEqual(["past vent", "past alarm", "past filter", "past belt"]);
  });
  it("goes by the day alone among what is due or comes closer, each of a day as it was given", () => {
    const wide = { closes: addDays(today, 90) };
    expect(order(job("b", 5, { isSafety: true }), job("a", 2, wide), job("c", 5, wide))).toEqual([
      "now a",
      "now b",
      "now c",
    ]);
    expect(order(job("b", 31, { isSafety: true }), job("a", 30), job("c", 29, wide))).toEqual([
      "closer c",
      "closer a",
      "closer b",
    ]);
  });
  it("lets what was put off wait for its day, however late it is", () => {
    const deferral = { on: today, words: "no ladder", until: addDays(today, 3) };
    expect(order(job("late", -40, { deferral }), job("week", 2))).toEqual([
      "now week",
      "closer late",
    ]);
    const over = { ...deferral, until: today };
    expect(order(job("late", -40, { deferral: over }))).toEqual(["past late"]);
  });
  it("leaves out what is far off, and what nothing calls for", () => {
    expect(order(job("far", 46), job("none", 0, { due: null, state: "none" }))).toEqual([]);
  });
});
