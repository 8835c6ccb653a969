import { day, event, today } from "../../tests/small-home";
import { judged } from "@/core/history/readings-taken";
import { goingOf } from "@/core/readings/going";
import { judgeInput } from "@/core/readings/judge";
import { crossingWords } from "./trend-words";

/** Of 5 µF ± 6 %: act from 4.7 downward. */
const going = (...values: [offset: number, value: number][]) =>
  goingOf(
    judged(
      values.map(([offset, value]) =>
        event("reading", offset, {
          reading: judgeInput.parse({ kind: "capacitor-uf", value, unit: "uF", rated: 5 }),
        }),
      ),
    ),
  );

describe("where a reading is going, in a sentence", () => {
  it("gives the band in which it leaves its limits", () => {
    // 0.2 a year in the mean, 0.1 and 0.3 at its edges: 0.1 to go from the day in the middle.
    const drift = going([-730, 5.2], [-365, 5.1], [0, 4.8])!;
    expect(crossingWords(drift, today)).toMatch(
      /^at this pace it leaves its limits between \d+ \w+( 20\d\d)? and \d+ \w+( 20\d\d)?$/,
    );
  });
  it("says no day from two values, and one from three in a line", () => {
    expect(crossingWords(going([-365, 5], [0, 4.8])!, today)).toBe("");
    // 0.2 a year, 0.1 to go: half a year from today.
    expect(crossingWords(going([-365, 5], [-180, 4.9], [0, 4.8])!, today)).toMatch(
      /^at this pace it leaves its limits (about|between) .*Sep/,
    );
  });
  it("says since when it is past its limit", () => {
    const beyond = going([-700, 4.9], [-365, 4.65], [0, 4.6])!;
    expect(beyond.isBeyond).toBe(true);
    expect(crossingWords(beyond, today)).toBe("past its limit since 14 Mar 2025");
  });
  it("says nothing of what holds, nor of two values within a month", () => {
    expect(crossingWords(going([-730, 5], [-365, 5], [0, 5])!, today)).toBe("");
    expect(going([-20, 5], [0, 4.8])).toBeNull();
    expect(going([-31, 5], [0, 4.8])?.isBeyond).toBe(false);
    expect(day(0)).toBe(today);
  });
  it("begins anew where water was let in, and after what put it right", () => {
    const pressure = (values: [offset: number, value: number][]) =>
      judged(
        values.map(([offset, value]) =>
          event("reading", offset, {
            reading: judgeInput.parse({ kind: "boiler-pressure-bar", value, unit: "bar" }),
          }),
        ),
      );
    // A tenth a quarter from 1.5 down, and filled to 1.6 on the way: what fell before says nothing of after.
    const fallen: [number, number][] = [[-400, 1.5], [-300, 1.4], [-200, 1.3]]; // prettier-ignore
    expect(goingOf(pressure(fallen))!.falls).toBe(true);
    expect(goingOf(pressure([...fallen, [-190, 1.6]]))).toBeNull();
    const after = goingOf(pressure([...fallen, [-190, 1.6], [-100, 1.55], [0, 1.5]]))!;
    // 0.1 in 190 days: from 1.55 in the middle to 1 bar and below more than two years.
    expect(after.trend.n).toBe(3);
    expect(after.trend.crossing!.likely! > day(365)).toBe(true);
    // The same without a filling: a job that put it right says so.
    expect(goingOf(pressure(fallen), day(-250))).toBeNull();
  });
});
