import { smallStatus } from "../../../scripts/example-names";
import { homeStatus } from "@/server/snapshots/snapshot-cache";
import { snapshot, today } from "../../../tests/demo-snapshot";
import { addDays, daysFrom } from "../quantities/plain-date";
import { evaluate } from "./evaluate";
import { homePlan, THE_HOME, type JobFacts } from "./home-plan";
import { OWNER, TECHNICIAN } from "./year";
import { naivePlan, plan } from "./plan";

jest.setTimeout(60_000);

const plain: JobFacts = { powerOff: false, outdoor: false, reach: "floor", consumable: 0 };

describe("a home as a plan asks for it", () => {
  const { input } = homePlan(smallStatus, () => plain);
  const renew = input.tasks.find(({ id }) => id === "slot.renew")!;
  const job = smallStatus.jobs.find(({ task }) => task.id === "slot.renew")!;

  it("has each job with the window in which it stands, and those after by the day it is done", () => {
    expect(renew).toMatchObject({ unit: "furnace", crew: OWNER, lastDone: addDays(today, -40) });
    expect(renew.first).toEqual({ opens: job.opens, due: job.due, closes: job.closes });
    // Done on its due day the next is due when the schedule has it.
    expect(renew.windows.from).toBe(today);
    expect(renew.windows.due[daysFrom(today, job.ahead[0]!)]).toBe(job.ahead[1]);
  });

  it("leaves out what nothing calls for, and what is off", () => {
    const ids = input.tasks.map(({ id }) => id);
    expect(ids).not.toContain("slot.look");
    expect(new Set(ids).size).toBe(ids.length);
    expect(input.units.map(({ id }) => id)).toEqual([THE_HOME, "furnace"]);
    const licensed = smallStatus.jobs.filter(
      ({ task, due }) => task.who === "licensed" && due !== null && due <= input.horizonEnd,
    );
    expect(input.tasks.filter(({ crew }) => crew === TECHNICIAN)).toHaveLength(licensed.length);
  });
});

describe("the year of the demo home", () => {
  it("comes to few rounds, at less than half of what first weekends cost", () => {
    const off = new Set(
      snapshot.units.filter(({ shutOffs }) => shutOffs.length > 0).map(({ id }) => id),
    );
    const input = {
      ...homePlan(homeStatus(snapshot, today), ({ unitId, handsOn }) => ({
        ...plain,
        powerOff: unitId !== undefined && off.has(unitId) && handsOn >= 10,
      })).input,
      iterations: 300,
    };
    expect(input.tasks.length).toBeGreaterThan(90);
    const made = plan(input);
    const weekends = evaluate({ input, occurrences: naivePlan(input, true) });
    expect(made.cost.total * 2).toBeLessThan(weekends.cost.total);
    const ours = made.rounds.filter(({ crew }) => crew === OWNER).length;
    expect(ours).toBeLessThan(110);
    for (const { day, opens } of made.occurrences)
      expect(opens === null || day >= opens).toBe(true);
    expect(made.conflicts.filter(({ kind }) => kind !== "over-cap")).toEqual([]);
  });
});
