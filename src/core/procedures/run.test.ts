import fc from "fast-check";
import { changePanelFilter } from "@/content/procedures/change-panel-filter";
import { stepsFor } from "./procedure";
import { blockedBy, isOpen, replayRun, runEventSchema, type RunEvent, type RunPlace } from "./run";

const steps = stepsFor(changePanelFilter, { directionKnown: true, indicator: false });
const place: RunPlace = { unit: "furnace", part: "slot", run: "run-1", isolator: "switch-off" };

let count = 0;
type Doing = { kind: RunEvent["kind"]; step?: string; grade?: string; words?: string };
const event = (doing: Doing): RunEvent =>
  runEventSchema.parse({
    id: `event-${++count}`.padEnd(10, "-"),
    at: new Date(Date.UTC(2026, 2, 14, 9, 0, count)).toISOString(),
    ...doing,
  });
const done = (step: string) =>
  event({ kind: "done", step, ...(step === "look" ? { grade: "loaded" } : {}) });
const upTo = (last: string) => {
  const index = steps.findIndex((step) => step.id === last);
  return steps.slice(0, index + 1).map((step) => done(step.id));
};
const of = (events: RunEvent[]) => replayRun(steps, events, place);
const whys = (events: RunEvent[]) => of(events).refused.map((refusal) => refusal.why);

describe("a run of the panel filter", () => {
  it("starts at its first step with nothing open", () => {
    const state = of([]);
    expect(state.current?.id).toBe("new-one-at-hand");
    expect(state.ends.open).toEqual([]);
    expect(state.status).toBe("going");
  });

  it("opens power, slot and filter on the way down and closes them in reverse on the way up", () => {
    const open = (last: string) => of(upTo(last)).ends.open.map((end) => end.end);
    expect(open("power-off")).toEqual(["switch-off"]);
    expect(open("old-one-out")).toEqual(["switch-off", "panel-off", "part-out"]);
    expect(open("new-one-in")).toEqual(["switch-off", "panel-off"]);
    expect(open("close-slot")).toEqual(["switch-off"]);
    expect(open("power-on")).toEqual([]);
  });

  it("finishes only behind its last step, with the grade of the look in its record", () => {
    const last = steps.at(-1)!.id;
    expect(whys([...upTo("power-on"), event({ kind: "finished" })])).toEqual(["steps-left"]);
    const state = of([...upTo(last), event({ kind: "finished" })]);
    expect(state.status).toBe("finished");
    expect(state.settled.find((settled) => settled.step.id === "look")?.grade).toBe("loaded");
  });

  it("names the unit's own isolator", () => {
    const state = replayRun(steps, upTo("power-off"), { ...place, isolator: "breaker-off" });
    expect(state.ends.open.map((end) => end.end)).toEqual(["breaker-off"]);
  });

  it("wants a look where one is recorded", () => {
    const bare = event({ kind: "done", step: "look" });
    expect(whys([...upTo("old-one-out"), bare])).toEqual(["look-missing"]);
  });

  it("does not skip, and takes no step of another job", () => {
    expect(whys([done("power-off")])).toEqual(["not-the-step"]);
    expect(whys([done("polish-the-sensor")])).toEqual(["not-the-step"]);
  });

  it("refuses nothing that was done twice: the second device came too late", () => {
    const twice = [...upTo("power-off"), done("power-off")];
    expect(of(twice)).toEqual({ ...of(twice.slice(0, -1)) });
  });

  it("goes back one step, and the end is as it was", () => {
    const back = event({ kind: "back", step: "new-one-in" });
    const state = of([...upTo("new-one-in"), back]);
    expect(state.current?.id).toBe("new-one-in");
    expect(isOpen(state, place, "filter")).toBe(true);
    const undone = of([...upTo("power-off"), event({ kind: "back", step: "power-off" })]);
    expect(undone.ends.open).toEqual([]);
  });

  it("ignores a step back that another device has taken already", () => {
    const back = event({ kind: "back", step: "new-one-in" });
    const once = [...upTo("new-one-in"), back];
    expect(of([...once, event({ kind: "back", step: "new-one-in" })]).settled).toEqual(
      of(once).settled,
    );
  });

  it("does not switch on with the filter out", () => {
    const left = event({ kind: "leave-open", step: "new-one-in", words: "it is the wrong size" });
    const events = [...upTo("check-new"), left, done("date-it"), done("close-slot")];
    const state = of(events);
    expect(blockedBy(state, place, state.current!)).toEqual(["run-1:filter"]);
    expect(whys([...events, done("power-on")])).toEqual(["power-comes-last"]);
  });

  it("may leave the power off too, in words, and finish with both open", () => {
    const leave = (step: string) =>
      event({ kind: "leave-open", step, words: "the right size comes Friday" });
    const state = of([
      ...upTo("check-new"),
      leave("new-one-in"),
      done("date-it"),
      done("close-slot"),
      leave("power-on"),
      done("hear-it-start"),
      event({ kind: "finished" }),
    ]);
    expect(state.refused).toEqual([]);
    expect(state.status).toBe("finished");
    expect(state.ends.open.map((end) => end.end)).toEqual(["switch-off", "part-out"]);
  });

  it("takes words only for a step that would close something", () => {
    const words = event({ kind: "leave-open", step: "new-one-at-hand", words: "why not" });
    expect(whys([words])).toEqual(["closes-nothing"]);
    expect(runEventSchema.safeParse({ ...words, words: "  " }).success).toBe(false);
  });

  it("can be given up only while nothing is open", () => {
    expect(whys([...upTo("power-off"), event({ kind: "stopped" })])).toEqual(["ends-open"]);
    expect(of([...upTo("new-one-at-hand"), event({ kind: "stopped" })]).status).toBe("stopped");
  });

  it("is over when it is over", () => {
    const events = [event({ kind: "stopped" }), done("new-one-at-hand")];
    expect(whys(events)).toEqual(["over"]);
  });

  it("goes by the order of its steps, not by the clocks of the devices that took them", () => {
    const events = upTo("close-slot").map((each, i) => ({
      ...each,
      at: new Date(Date.UTC(2026, 2, 14, 9, 0, i % 2 === 0 ? 40 - i : i)).toISOString(),
    }));
    const state = of(events);
    expect(state.refused).toEqual([]);
    expect(state.ends.open.map((end) => end.end)).toEqual(["switch-off"]);
  });

  it("has the steps its part calls for", () => {
    const ids = stepsFor(changePanelFilter, { directionKnown: false, indicator: true }).map(
      (step) => step.id,
    );
    expect(ids).toContain("find-direction");
    expect(ids.at(-1)).toBe("reset-light");
    expect(steps.map((step) => step.id)).not.toContain("find-direction");
  });

  it("never closes power over an open slot, whatever two devices send in whatever order", () => {
    const anyEvent = fc.oneof(
      fc
        .constantFrom(...steps.map((step) => step.id))
        .map((step) => ({ kind: "done" as const, step })),
      fc
        .constantFrom(...steps.map((step) => step.id))
        .map((step) => ({ kind: "back" as const, step })),
      fc
        .constantFrom("new-one-in", "close-slot", "power-on")
        .map((step) => ({ kind: "leave-open" as const, step, words: "for a reason" })),
    );
    fc.assert(
      fc.property(
        fc.nat({ max: steps.length }),
        fc.array(anyEvent, { maxLength: 30 }),
        (start, wild) => {
          const events = [
            ...steps.slice(0, start).map((step) => done(step.id)),
            ...wild.map((doing) => (doing.kind === "done" ? done(doing.step) : event(doing))),
          ];
          const state = of(events);
          const kinds = state.ends.open.map((end) => end.end);
          const powerWasCut = state.settled.some((settled) => settled.step.id === "power-off");
          if (kinds.includes("panel-off") || kinds.includes("part-out"))
            expect(kinds).toContain("switch-off");
          if (!powerWasCut) expect(kinds).toEqual([]);
          expect(state.settled.map((settled) => settled.step.id)).toEqual(
            steps.slice(0, state.settled.length).map((step) => step.id),
          );
        },
      ),
      { numRuns: 80 },
    );
  });
});
