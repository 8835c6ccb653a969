import fc from "fast-check";
import { addDays, fromDay, plainDate } from "../quantities/plain-date";
import { CALM_JOBS, CALM_MINUTES, firstTimes, type Unknown } from "./first-time";

const entered = plainDate("2026-03-14");
const unknown = (id: string, handsOn: number, more: Partial<Unknown["task"]> = {}): Unknown => ({
  task: { id, handsOn, isSafety: false, who: "owner", ...more },
  entered,
});
const opens = (jobs: Unknown[]) =>
  Object.fromEntries([...firstTimes(jobs)].map(([id, { opens: day }]) => [id, fromDay(day!)]));

describe("jobs that nobody knows the past of", () => {
  it("come safety first, then the quick ones, five a week", () => {
    const jobs = [
      unknown("long", 60),
      ...["a", "b", "c", "d"].map((id) => unknown(id, 5)),
      unknown("alarm", 40, { isSafety: true }),
    ];
    const days = opens(jobs);
    expect(days["alarm"]).toBe(entered);
    // 40 + 4 · 5 are a morning; the hour’s job is for the week after.
    expect([days["d"], days["long"]]).toEqual([entered, addDays(entered, 7)]);
  });

  it("wait for one visit where only a technician may do them", () => {
    const { opens: from, due } = firstTimes([unknown("x", 60, { who: "licensed" })]).get("x")!;
    expect([fromDay(from!), fromDay(due!)]).toEqual([entered, addDays(entered, 28)]);
  });

  it("never fill a week beyond a morning, never wait behind an emptier one, whatever they are", () => {
    const some = fc.array(
      fc.record({
        handsOn: fc.integer({ min: 1, max: 200 }),
        isSafety: fc.boolean(),
        later: fc.integer({ min: 0, max: 40 }),
      }),
      { maxLength: 40 },
    );
    fc.assert(
      fc.property(some, (each) => {
        const jobs = each.map(({ handsOn, isSafety, later }, i) => ({
          ...unknown(String(i), handsOn, { isSafety }),
          entered: addDays(entered, later),
        }));
        const weeks = new Map<number, Unknown[]>();
        for (const [id, { due }] of firstTimes(jobs)) {
          const job = jobs[Number(id)]!;
          expect(fromDay(due!) > job.entered).toBe(true);
          weeks.set(due!, [...(weeks.get(due!) ?? []), job]);
        }
        for (const week of weeks.values()) {
          const minutes = week.reduce((sum, { task }) => sum + task.handsOn, 0);
          expect(week.length).toBeLessThanOrEqual(CALM_JOBS);
          expect(week.length === 1 || minutes <= CALM_MINUTES).toBe(true);
        }
      }),
    );
  });
});
