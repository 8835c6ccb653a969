import { filterStatusesOf, homeStatus, coilSheet } from "@/server/snapshots/snapshot-cache";
import { snapshot, today } from "../../../../tests/demo-snapshot";
import { staircaseOf, type StairGround } from "./staircase";

const common = { homeId: "sluice-house", today, drivers: snapshot.drivers };
const ofFilter = (id: string, extra: Partial<StairGround> = {}) => {
  const status = filterStatusesOf(snapshot, today).find(({ slot }) => slot.id === id)!;
  return staircaseOf({
    ...{ ...common, partId: id, measure: "days" },
    ...{ explanation: status, wear: status.wear! },
    ...extra,
  });
};

describe("the stairs from the book’s day to the likely one", () => {
  it("begin where the last step ended, and end on the likely day", () => {
    const { steps, top, foot } = ofFilter("cellar-filter")!;
    expect(top.words).toMatch(/^Usually \d+ May$/);
    expect(foot.words).toBe("Likely 16 Mar");
    expect(steps[0]!.from).toBe(top.at);
    steps.slice(1).forEach((step, i) => expect(step.from).toBe(steps[i]!.to));
    expect(steps.at(-1)!.to).toBe(foot.at);
    // Nearer is to the left, and every step lies within the width.
    for (const { from, to, isNearer } of steps) {
      expect(to < from).toBe(isNearer);
      expect(Math.min(from, to)).toBeGreaterThanOrEqual(4);
      expect(Math.max(from, to)).toBeLessThanOrEqual(96);
    }
  });

  it("go down first, then up: what puts a day off comes last", () => {
    const { steps } = ofFilter("vent-supply")!;
    const nearer = steps.map(({ isNearer }) => isNearer);
    expect(nearer).toEqual([...nearer].sort((a, b) => Number(b) - Number(a)));
    expect(nearer).toContain(false);
    expect(steps.find(({ isNearer }) => !isNearer)!.amount).toMatch(/^−\d+ days?$/);
  });

  it("say what each step is, since when, and lead to where it is changed", () => {
    const { steps } = ofFilter("cellar-filter")!;
    const clay = steps.find(({ words }) => words === "clay dust")!;
    expect(clay.what).toBe("A dusty hobby or workshop, all year round.");
    expect(clay.change).toEqual({
      words: "Change it",
      href: "/homes/sluice-house/household?change=clay",
    });
    const lungs = steps.find(({ words }) => words === "breathing trouble")!;
    expect(lungs.what).toContain("75 % of its life");
    expect(lungs.change!.href).toBe("/homes/sluice-house/household?change=asthma");
    for (const { what } of steps) expect(what).toMatch(/\.$/);
  });

  it("are none where its age sets both days, or nothing sets them apart", () => {
    const status = filterStatusesOf(snapshot, today).find(({ slot }) => slot.id === "cooler-mesh")!;
    expect(status.wear!.limitedBy).toBe("age");
    expect(
      ofFilter("cooler-mesh", {
        explanation: {
          ...status,
          causes: status.causes.filter(({ cause }) => cause === "breathing"),
        },
      }),
    ).toBeNull();
    const none = filterStatusesOf(snapshot, today).find(({ slot }) => slot.id === "cellar-filter")!;
    expect(ofFilter("cellar-filter", { explanation: { ...none, causes: [] } })).toBeNull();
  });

  it("of a coil climb in points from what the book gives it to matted", () => {
    const coil = homeStatus(snapshot, today).coils.find(
      ({ part }) => part.id === "cellar-furnace-evaporator-coil",
    )!;
    const sheet = coilSheet(snapshot, coil, today);
    const { steps, top, foot } = staircaseOf({
      ...{ ...common, partId: coil.part.id, measure: "points" },
      ...{ explanation: sheet, wear: sheet.wear! },
    })!;
    const points = steps.reduce((sum, { amount }) => sum + Number(amount.split(" ")[0]), 0);
    const book = Number(/(\d+) %/.exec(top.words)![1]);
    // Each is rounded by itself.
    expect(Math.abs(book + points - 100)).toBeLessThanOrEqual(steps.length);
    expect(foot.words).toMatch(/^Matted /);
    expect(steps.every(({ from, to, isNearer }) => to > from === isNearer)).toBe(true);
  });
});
