import type { Trigger } from "@/core/scheduling/trigger";
import { seasonsOf } from "./job-season";

const season = (anchor: string): Trigger => ({ kind: "season", anchor, offsetDays: 0 }) as Trigger;

describe("the seasons of a job", () => {
  it("are those in which its triggers fall, in the order of the year", () => {
    expect(seasonsOf([season("coolingStart"), season("heatingStart")])).toEqual([
      "before-heating",
      "before-cooling",
    ]);
    expect(seasonsOf([{ kind: "every", n: 1, unit: "week", within: "snow" }])).toEqual(["winter"]);
  });
  it("is all year where no season calls for it", () => {
    expect(seasonsOf([{ kind: "wear" }])).toEqual(["any"]);
    expect(seasonsOf([])).toEqual(["any"]);
    expect(
      seasonsOf([{ kind: "earliest", of: [{ kind: "wear" }, season("firstWarmDay")] }]),
    ).toEqual(["before-cooling"]);
  });
});
