import { procedure } from "@/content/procedures/library";
import { replayRun } from "@/core/runs/run";
import { event, jobOf, STARTED, walk } from "../../../../tests/run-events";
import { goOnWords } from "../guide/go-on";
import { leftWords, timesOf } from "../times/run-times";
import { readSeen, type Typed } from "./seen";
import { staysWords, thereAndBack } from "../way/there-and-back";

const stepOf = (procedureId: string, stepId: string) =>
  procedure(procedureId)!.steps.find(({ id }) => id === stepId)!;

describe("what stands in the fields of a step", () => {
  const split = stepOf("cooling-test", "measure");
  const pressure = stepOf("magnetic-full-clean", "pressure");
  const size = stepOf("change-panel-filter", "measure-slot");

  it.each([
    // Two temperatures, as the home writes them: 24 less 14 is 10 K, sound.
    [split, { value: "24", second: "14" }, "metric", { value: 10, unit: "K" }, "sound"],
    // 75 less 57 °F is 18 °F, 10 K.
    [split, { value: "75", second: "57" }, "us", { value: 10, unit: "K" }, "sound"],
    [split, { value: "24,5", second: "20" }, "metric", { value: 4.5, unit: "K" }, "act"],
    [pressure, { value: "0.6" }, "metric", { value: 0.6, unit: "bar" }, "act"],
    // 21.8 psi are 1.503 bar.
    [pressure, { value: "21.8" }, "us", { value: 1.50305768, unit: "bar" }, "sound"],
  ] as const)("%# is a reading, judged at once", (step, typed, system, reading, verdict) => {
    const read = readSeen(step, typed, system);
    if (read.kind !== "seen") throw new Error(read.kind);
    expect(read.seen.reading).toMatchObject(reading);
    expect(read.judgement?.verdict).toBe(verdict);
  });

  it.each([
    [split, { value: "24" }, "Write both temperatures."],
    [pressure, { value: "a lot" }, "Write the number that was read."],
    [pressure, { value: "400" }, "That cannot be: look at the number again."],
    [size, { opening: "twenty" }, "Write it as width × height × depth"],
    [size, { opening: "20x20x1", buy: "big" }, "Write it as on its frame"],
  ])("%# is a problem, said at its field", (step, typed: Typed, words) => {
    const read = readSeen(step, typed, "metric");
    expect(read.kind === "problem" && read.message).toContain(words);
  });

  it("asks once more about a filter that does not go into its opening, and takes one that does", () => {
    const read = (typed: Typed, nominal?: string) =>
      readSeen(size, typed, "us", "label", nominal ? { nominal: { text: nominal } } : {});
    const opening = "16 1/8 x 25 1/8 x 1 1/8";
    // A printed 16x25x1 is 15 1/2 by 24 1/2 by 3/4 in.
    expect(read({ opening, buy: "16x25x1" })).toMatchObject({ kind: "seen" });
    for (const typed of [
      { opening, buy: "20x25x1" },
      { opening, buy: "16x25x4" },
    ])
      expect(read(typed)).toMatchObject({ kind: "problem", field: "buy" });
    // Nothing new to buy: then what is written down of the slot has to go in.
    expect(read({ opening }, "16x25x1 in")).toMatchObject({ kind: "seen" });
    expect(read({ opening }, "20x25x1 in")).toMatchObject({ kind: "problem", field: "buy" });
    expect(read({ opening })).toMatchObject({ kind: "seen" });
  });

  it("is nothing while nothing stands there, and nothing is asked of a step that records nothing", () => {
    expect(readSeen(pressure, { value: " " }, "metric")).toEqual({ kind: "nothing" });
    expect(readSeen(size, {}, "metric")).toEqual({ kind: "nothing" });
    const plain = stepOf("change-panel-filter", "power-off");
    expect(readSeen(plain, {}, "metric")).toMatchObject({ kind: "seen", seen: {} });
  });

  it("says on the button what it will do", () => {
    const job = jobOf(procedure("change-panel-filter")!);
    const at = (until: string, typed: Typed = {}) => {
      const state = replayRun(job, walk(job, { until }));
      return goOnWords(state, null, readSeen(state.current!, typed, "metric"), typed);
    };
    expect(at("power-off")).toBe("Done, go on");
    expect(at("look")).toBe("Choose how it looks");
    expect(at("look", { word: "collapsed" })).toBe("Caved in, go on");
    expect(at("past-the-frame")).toBe("Say what you see");
    expect(at("debris")).toBe("Go on without");
    const state = replayRun(job, walk(job, { until: "power-on" }));
    expect(goOnWords(state, "power-comes-last", null, {})).toBe("Something comes first");
    expect(staysWords(state)).toBe("power stays off");
    expect(goOnWords(replayRun(job, walk(job)), null, null, {})).toBe("Finish");
  });
});

describe("times of a run", () => {
  it.each([
    [0, "over"],
    [7.5 * 60, "7:30 left"],
    [3605, "1 h 00 left"],
    [2 * 3600 + 300, "2 h 05 left"],
    [22 * 3600 + 600, "22 h left"],
  ])("%d seconds before the end say %s", (seconds, words) => {
    expect(leftWords(STARTED, Date.parse(STARTED) - seconds * 1000)).toBe(words);
  });

  it("stand side by side as long as something waits for them, the nearest first", () => {
    const job = jobOf(procedure("rinse-outdoor-coil")!, { variant: "foam" });
    const foaming = walk(job, { until: "casing-meanwhile" });
    const times = (events = foaming) => timesOf(replayRun(job, events), job.place);
    expect(times().map(({ words }) => words)).toEqual(["Foam works"]);
    expect(times(walk(job, { from: foaming, until: "rinse" }))).toEqual([]);
    const back = event({
      kind: "turned-back",
      step: "casing-meanwhile",
      reason: "weather",
      words: "it begins to freeze",
    });
    expect(times([...foaming, back])).toEqual([]);
  });

  it("are two at once where something soaks and something dries", () => {
    const job = jobOf(procedure("wash-fine-filter")!);
    const drying = timesOf(replayRun(job, walk(job, { until: "is-it-dry" })), job.place);
    expect(drying).toMatchObject([{ words: "fine filter drying", isDrying: true }]);
  });
});

describe("there and back", () => {
  it("goes down, is at its foot, comes up, and is over; turned back it has only what was opened", () => {
    const job = jobOf(procedure("magnetic-full-clean")!);
    const leg = (until: string) => thereAndBack(replayRun(job, walk(job, { until }))).leg;
    expect(leg("lid-off")).toBe("down");
    const whole = thereAndBack(replayRun(job, walk(job)));
    expect([whole.leg, whole.rungs.length]).toEqual(["over", 10]);
    expect(whole.rungs.every(({ closed }) => closed)).toBe(true);
    const aborted = event({
      kind: "turned-back",
      step: "lid-off",
      reason: "missing",
      words: "no key for the lid",
    });
    const back = replayRun(job, [...walk(job, { until: "lid-off" }), aborted]);
    const way = thereAndBack(back);
    expect(way.leg).toBe("up");
    expect(way.rungs.map(({ thing }) => thing)).toEqual([
      "demand",
      "boiler",
      "first valve",
      "second valve",
      "bleed",
      "drain",
    ]);
  });
});
