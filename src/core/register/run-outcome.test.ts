import { procedure } from "@/content/procedures/library";
import { event, jobOf, walk } from "../../../tests/run-events";
import { replayRun } from "../procedures/run";
import type { RunJob } from "../procedures/run-state";
import type { RunEvent } from "../procedures/run-event";
import {
  countedStep,
  doneEntry,
  endsLeft,
  putOffEntry,
  seenEntries,
  wordsOf,
  type RunWhere,
} from "./run-outcome";

const where = (extra: Partial<RunWhere> = {}): RunWhere => ({
  homeTimeZone: "Etc/UTC",
  runId: "run-1",
  unitId: "furnace",
  partId: "slot",
  taskKey: "renew",
  recordedAt: "2026-03-14T12:00:00Z",
  itemBefore: "item-1",
  alarms: ["up", "down"],
  unitOfSlot: (id) => (id === "other-slot" ? "other-unit" : undefined),
  ...extra,
});
const filter = jobOf(procedure("change-panel-filter")!);
const line = jobOf(procedure("flush-condensate-line")!);
const round = jobOf(procedure("walk-round")!);
const after = (job: RunJob, events: readonly RunEvent[]) => replayRun(job, events);

describe("what was seen on a run, as entries of the record", () => {
  it("is the look at the filter that came out, at the day it was looked at, in the home's own zone", () => {
    const state = after(filter, walk(filter, { seen: { look: { grade: "blocked" } } }));
    const [look] = seenEntries(state, where());
    expect(look).toMatchObject({
      kind: "look",
      date: "2026-03-14",
      unitId: "furnace",
      partId: "slot",
      itemId: "item-1",
      look: { grade: "blocked" },
    });
    const [far] = seenEntries(state, where({ homeTimeZone: "Pacific/Kiritimati" }));
    expect(far!.date).toBe("2026-03-14");
    const [early] = seenEntries(state, where({ homeTimeZone: "Pacific/Pago_Pago" }));
    // Nine in the morning there is still the evening before.
    expect(early!.date).toBe("2026-03-13");
  });

  it("has the same names each time, so that it is never written twice", () => {
    const state = after(line, walk(line));
    const names = () => seenEntries(state, where()).map(({ id }) => id);
    expect(names()).toEqual(names());
    expect(new Set(names()).size).toBe(names().length);
  });

  it("belongs to what it was seen at, where the job went through the house", () => {
    const state = after(
      round,
      walk(round, {
        seen: {
          "co-display": { reading: { value: 12, unit: "ppm" }, place: "down" },
          "filter-look": { grade: "light", place: "other-slot" },
          water: { reading: { value: "old-stain" }, place: "boiler" },
        },
      }),
    );
    const home = where({ unitId: undefined, partId: undefined, itemBefore: undefined });
    const entries = seenEntries(state, home);
    const at = (kind: string) => entries.filter(({ reading }) => reading?.kind === kind);
    // Above zero it is the one alarm that shows it.
    expect(at("co-ppm").map(({ unitId, reading }) => [unitId, reading?.value])).toEqual([
      ["down", 12],
    ]);
    expect(at("water-at-unit").map(({ unitId }) => unitId)).toEqual(["boiler"]);
    expect(entries.find(({ kind }) => kind === "look")).toMatchObject({
      partId: "other-slot",
      unitId: "other-unit",
    });
  });

  it("was zero at every alarm where zero was read", () => {
    const seen = { "co-display": { reading: { value: 0, unit: "ppm" } } };
    const entries = seenEntries(after(round, walk(round, { seen })), where());
    const alarms = entries.filter(({ reading }) => reading?.kind === "co-ppm");
    expect(alarms.map(({ unitId }) => unitId)).toEqual(["up", "down"]);
  });
});

describe("what a run amounts to", () => {
  const turned = (step: string) =>
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
    expect(doneEntry(state, where({ taskKey: "flush" }))).toMatchObject({
      kind: "done",
      taskKey: "flush",
      minutes: 22,
      costMinor: 150,
      words: "the far end is rusty",
    });
    expect(putOffEntry(state, where())).toBeNull();
  });

  it("says what an answer suggests, and nothing of what was as it should be", () => {
    const bad = walk(filter, { seen: { "past-the-frame": { choice: "yes" } } });
    expect(wordsOf(after(filter, bad))).toBe("yes, dirty edges or dust behind it");
    expect(wordsOf(after(filter, walk(filter)))).toBeUndefined();
  });

  it("is a job put off where somebody turned back before it counted", () => {
    const so = [...walk(filter, { until: "check-new" }), turned("check-new")];
    const state = after(filter, walk(filter, { from: so }));
    expect(countedStep(state)).toBeUndefined();
    expect(doneEntry(state, where())).toBeNull();
    expect(putOffEntry(state, where())).toMatchObject({
      kind: "put-off",
      words: "too deep by an inch",
      until: "2026-03-21",
    });
  });

  it("is a job done where somebody turned back only after it counted", () => {
    const so = [...walk(filter, { until: "hear-it-start" }), turned("hear-it-start")];
    const state = after(filter, walk(filter, { from: so }));
    expect(doneEntry(state, where())?.kind).toBe("done");
    expect(putOffEntry(state, where())).toBeNull();
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
