import { procedure } from "@/content/procedures/library";
import { event, jobOf, walk, whereOf } from "../../../tests/run-events";
import { replayRun } from "./run";
import type { RunJob } from "./run-state";
import type { RunEvent } from "./run-event";
import {
  countedStep,
  doneEntry,
  endsLeft,
  deferralEntry,
  seenEntries,
  wordsOf,
} from "./run-outcome";

const filter = jobOf(procedure("change-panel-filter")!);
const line = jobOf(procedure("flush-condensate-line")!);
const round = jobOf(procedure("walk-round")!);
const after = (job: RunJob, events: readonly RunEvent[]) => replayRun(job, events);

describe("what was seen on a run, as entries of the record", () => {
  it("is the look at the filter that came out, at the day it was looked at, in the home's own zone", () => {
    const state = after(filter, walk(filter, { seen: { look: { grade: "blocked" } } }));
    const [look] = seenEntries(state, whereOf());
    expect(look).toMatchObject({
      kind: "look",
      date: "2026-03-14",
      unitId: "furnace",
      partId: "slot",
      itemId: "item-1",
      look: { grade: "blocked" },
    });
    const [far] = seenEntries(state, whereOf({ homeTimeZone: "Pacific/Kiritimati" }));
    expect(far!.date).toBe("2026-03-14");
    const [early] = seenEntries(state, whereOf({ homeTimeZone: "Pacific/Pago_Pago" }));
    // Nine in the morning there is still the evening before.
    expect(early!.date).toBe("2026-03-13");
  });

  it("has the same names each time, so that it is never written twice", () => {
    const state = after(line, walk(line));
    const names = () => seenEntries(state, whereOf()).map(({ id }) => id);
    expect(names()).toEqual(names());
    expect(new Set(names()).size).toBe(names().length);
  });

  it("belongs to what it was seen at, where the job went through the house", () => {
    const state = after(
      round,
      walk(round, {
        seen: {
          "co-alarms": {
            alarms: [
              { place: "up", state: "quiet" },
              { place: "down", state: "tested", ppm: 12 },
              { place: "cellar", state: "silent" },
            ],
          },
          water: {
            each: [
              { place: "boiler", value: "old-stain" },
              { place: "furnace", value: "dry" },
            ],
          },
        },
      }),
    );
    const home = whereOf({ unitId: undefined, partId: undefined, itemBefore: undefined });
    const entries = seenEntries(state, home);
    const at = (kind: string) => entries.filter(({ reading }) => reading?.kind === kind);
    // What has no display has no reading: no zero is written for it.
    expect(at("co-ppm").map(({ unitId, reading }) => [unitId, reading?.value])).toEqual([
      ["down", 12],
    ]);
    expect(at("water-at-unit").map(({ unitId, reading }) => [unitId, reading?.value])).toEqual([
      ["boiler", "old-stain"],
      ["furnace", "dry"],
    ]);
    expect(wordsOf(state)).toBe("CO alarms: 1 tested and sounded, 1 quiet, 1 silent when tested");
  });

  it("is a look at the filter that was chosen, with its machine off and on again", () => {
    const house = jobOf(procedure("walk-round")!, { facts: ["has-filters"] });
    const events = walk(house, {
      seen: {
        "which-filter": { place: "other-slot", unit: "other-unit" },
        "how-look": { choice: "off" },
        "filter-look": { grade: "light" },
      },
    });
    const off = events.findIndex((each) => "step" in each && each.step === "machine-off");
    expect(after(house, events.slice(0, off + 1)).ends.open).toMatchObject([
      { unit: "other-unit", end: "switch-off" },
    ]);
    const state = after(house, events);
    expect(state.ends.open).toEqual([]);
    expect(seenEntries(state, whereOf()).find(({ kind }) => kind === "look")).toMatchObject({
      partId: "other-slot",
      unitId: "other-unit",
      look: { grade: "light" },
    });
  });

  it("is a reading where an answer means one: a joint that weeps is a seal that leaks", () => {
    const magnetic = jobOf(procedure("magnetic-full-clean")!);
    const seen = { "warm-look": { choice: "weeps" }, "weep-again": { choice: "drips" } };
    const seals = seenEntries(after(magnetic, walk(magnetic, { seen })), whereOf()).filter(
      ({ reading }) => reading?.kind === "seal",
    );
    expect(seals.map(({ reading }) => reading?.value)).toEqual(["sound", "leaking"]);
  });
});

describe("what a run amounts to", () => {
  const aborted = (step: string) =>
    event({
      kind: "turned-back",
      step,
      reason: "wrong-size",
      words: "too deep by an inch",
      until: "2026-03-21",
    });

  it("counts from the step that renews, with minutes, cost and what was said on the way", () => {
    const note = event({ kind: "note", step: "brush", words: "the far end is rusty" });
    const finished = event({ kind: "finished", minutes: 22, costMinor: 150 });
    const state = after(line, [...walk(line), note, finished]);
    expect(countedStep(state)?.step.id).toBe("pour-and-watch");
    expect(doneEntry(state, whereOf({ taskKey: "flush" }))).toMatchObject({
      kind: "done",
      taskKey: "flush",
      minutes: 22,
      costMinor: 150,
      words: "the far end is rusty",
    });
    expect(deferralEntry(state, whereOf())).toBeNull();
  });

  it("says what an answer suggests, and nothing of what was as it should be", () => {
    const bad = walk(filter, { seen: { "past-the-frame": { choice: "yes" } } });
    expect(wordsOf(after(filter, bad))).toBe("yes, dirty edges or dust behind it");
    expect(wordsOf(after(filter, walk(filter)))).toBeUndefined();
  });

  it("is a job put off where somebody turned back before it counted", () => {
    const so = [...walk(filter, { until: "new-one-in" }), aborted("new-one-in")];
    const state = after(filter, walk(filter, { from: so }));
    expect(countedStep(state)).toBeUndefined();
    expect(doneEntry(state, whereOf())).toBeNull();
    expect(deferralEntry(state, whereOf())).toMatchObject({
      kind: "put-off",
      words: "too deep by an inch",
      until: "2026-03-21",
    });
  });

  it("is a job done where somebody turned back only after it counted", () => {
    const so = [...walk(filter, { until: "call-for-air" }), aborted("call-for-air")];
    const state = after(filter, walk(filter, { from: so }));
    expect(doneEntry(state, whereOf())?.kind).toBe("done");
    expect(deferralEntry(state, whereOf())).toBeNull();
  });

  it("leaves open what was left with words, under its own name, and nothing else", () => {
    const leave = event({ kind: "leave-open", step: "cap-on", words: "the cap is cracked" });
    const so = [...walk(line, { until: "cap-on" }), leave];
    // The power waits for the cap: it stays off too.
    const off = event({ kind: "leave-open", step: "power-on", words: "until there is a cap" });
    const state = after(line, [...so, off, event({ kind: "finished" })]);
    expect(endsLeft(line, state).map(({ end, label, words }) => [end, label, words])).toEqual([
      ["switch-off", "power off", "until there is a cap"],
      ["panel-off", "cap off", "the cap is cracked"],
    ]);
    expect(endsLeft(line, after(line, walk(line)))).toEqual([]);
  });
});
