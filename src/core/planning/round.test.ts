import { madeUpInput, madeUpTask as task, on } from "../../../tests/made-up-plan";
import { madeUpJob as job } from "../../../tests/made-up-job";
import { roundOrder } from "./round";
import { roundToDo, roundUnderWay } from "./round-progress";

const words = ({ steps }: ReturnType<typeof roundOrder>) =>
  steps.map((step) => (step.kind === "job" ? step.task : `${step.kind} ${step.unit}`));

describe("the order of a round", () => {
  it("switches a machine off once for three jobs, and on after the last of them", () => {
    const tasks = ["a", "b", "c"].map((id) => task(id, { powerOff: true }));
    const order = roundOrder(madeUpInput(tasks), ["a", "b", "c"]);
    const said = words(order);
    expect(said[0]).toBe("off furnace");
    expect(said.at(-1)).toBe("on furnace");
    expect(said.filter((each) => each.startsWith("off"))).toHaveLength(1);
    // 1 + 3 · 10 + 1 minutes, without power for all of them.
    expect(order).toMatchObject({ minutes: 32, off: [{ unit: "furnace", minutes: 32 }] });
  });

  it("goes from the top floor down, and works in the waits", () => {
    const tasks = [
      task("cellar", { handsOn: 10 }),
      task("loft", { unit: "ventilator", handsOn: 10, waiting: 10 }),
    ];
    const order = roundOrder(madeUpInput(tasks), ["cellar", "loft"]);
    expect(words(order)).toEqual(["loft", "cellar"]);
    // The wait of ten minutes is worked in: twenty instead of thirty.
    expect(order).toMatchObject({ minutes: 20, waitsUsed: 10 });
  });

  it("does what is out of doors in one go", () => {
    const tasks = [
      task("yard one", { unit: "condenser", outdoor: true }),
      task("inside", { unit: "furnace" }),
      task("yard two", { unit: "condenser", outdoor: true }),
    ];
    const said = words(roundOrder(madeUpInput(tasks), ["yard one", "inside", "yard two"]));
    expect(Math.abs(said.indexOf("yard one") - said.indexOf("yard two"))).toBe(1);
  });

  it("fetches what was left to dry as a short errand, and waits for nothing that dries for days", () => {
    const returns = { minHours: 48, maxHours: 96, minutes: 10 };
    const tasks = [
      task("core", { handsOn: 40, waiting: 2880, returns, powerOff: true }),
      task("b"),
    ];
    const input = madeUpInput(tasks);
    expect(roundOrder(input, ["core"]).minutes).toBe(42);
    const back = roundOrder(input, ["b"], ["core"]);
    expect(back.minutes).toBe(20);
    expect(words(back).sort()).toEqual(["b", "core"]);
  });

  it("loses no job, however many there are", () => {
    for (const count of [0, 1, 9, 27, 60, 75]) {
      const ids = Array.from({ length: count }, (_, i) => `job ${i}`);
      const tasks = ids.map((id, i) =>
        task(id, { unit: i % 2 === 0 ? "furnace" : "ventilator", powerOff: i % 3 === 0 }),
      );
      const order = roundOrder(madeUpInput(tasks), ids);
      const led = order.steps.flatMap((step) => (step.kind === "job" ? [step.task] : []));
      expect([...led].sort()).toEqual([...ids].sort());
    }
  });
});

describe("a round somebody has begun", () => {
  const round = { person: "owner", day: on(0), order: ["a", "b"] };
  const begun = { ...round, id: "r1", startedAt: "2026-03-11T09:00:00Z" };

  it("is found by its jobs: the last one begun that has not ended", () => {
    const later = { ...begun, id: "r2", order: ["b", "c"] };
    const rounds = [{ ...round, id: "r0" }, begun, later];
    expect(roundUnderWay({ rounds }, "a")?.id).toBe("r1");
    expect(roundUnderWay({ rounds }, "b")?.id).toBe("r2");
    expect(roundUnderWay({ rounds }, "x")).toBeNull();
    expect(
      roundUnderWay({ rounds: [{ ...begun, endedAt: "2026-03-11T10:00:00Z" }] }, "a"),
    ).toBeNull();
  });

  it("has left what was not done since it began, in its order", () => {
    const jobs = [job("b", { done: -40 }), job("a", { done: 0 }), job("c")];
    expect(roundToDo(begun, jobs, "Etc/UTC").map(({ task: { id } }) => id)).toEqual(["b"]);
    // Before it began nothing of it was done for it; what is off or gone is left out.
    expect(roundToDo(round, jobs, "Etc/UTC").map(({ task: { id } }) => id)).toEqual(["a", "b"]);
    expect(roundToDo(round, [job("a", { off: true })], "Etc/UTC")).toEqual([]);
  });
});
