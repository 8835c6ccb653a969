import { effectsOf } from "./driver-effects";
import { snapshot, today } from "../../../../tests/demo-snapshot";

describe("what a driver would change", () => {
  it("are the due days that move, the furthest first, and none where it does not act", () => {
    const smoker = { id: "new", scope: "home" as const, kind: "indoor-smoking" as const };
    const effects = effectsOf(snapshot, smoker, today);
    expect(effects.length).toBeGreaterThan(5);
    expect(effects.every((effect) => effect.daysSooner > 0)).toBe(true);
    const sizes = effects.map((effect) => effect.daysSooner);
    expect(sizes).toEqual([...sizes].sort((a, b) => b - a));
    const there = { ...smoker, scope: "room" as const, roomId: "upper-reading-room" };
    expect(
      effectsOf(snapshot, there, today)
        .map((effect) => effect.slotId)
        .sort(),
    ).toEqual(["purifier-hepa"]);
  });
  it("is told of a change as well, against what it is now", () => {
    const dog = snapshot.drivers.find(({ id }) => id === "dog")!;
    expect(effectsOf(snapshot, dog, today)).toEqual([]);
    expect(effectsOf(snapshot, { ...dog, count: 4 }, today).length).toBeGreaterThan(3);
  });
});
