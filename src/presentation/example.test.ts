import { exampleOf } from "./example";

describe("the example of the welcome page", () => {
  it("is worked out: sooner in winter than in summer, and its days in their order", () => {
    const { today, early, likely, late, percentNow, lasts } = exampleOf();
    expect(lasts.winter).toBeLessThan(lasts.summer);
    expect([early, likely, late]).toEqual([early, likely, late].toSorted());
    expect(likely > today).toBe(true);
    expect(percentNow).toBeGreaterThan(20);
    expect(percentNow).toBeLessThan(100);
  });
});
