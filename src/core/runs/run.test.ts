import fc from "fast-check";
import { changePanelFilter } from "@/content/procedures/change-panel-filter";
import { magneticFullClean } from "@/content/procedures/magnetic-filter";
import { walkRound } from "@/content/procedures/walk-round";
import { coolingTest } from "@/content/procedures/cooling-test";
import { flushCondensateLine } from "@/content/procedures/flush-condensate-line";
import { polishFlameSensor } from "@/content/procedures/polish-flame-sensor";
import { washRecoveryCore } from "@/content/procedures/wash-recovery-core";
import { event, jobOf, soundAt, STARTED, walk } from "../../../tests/run-events";
import { bringOf, minutesOf, stepsFor } from "./procedure";
import { blocksOf, endWordsOf, holdsUp, minutesAtWork, replayRun, RunReplay } from "./run";
import { runEventSchema, type RunEvent } from "./run-event";

const job = jobOf(changePanelFilter);
const { place } = job;
const steps = stepsFor(changePanelFilter, job.setting, new Map());
const done = (step: string) =>
  event({ kind: "done", step, ...soundAt(steps.find(({ id }) => id === step) ?? steps[0]!) });
const upTo = (last: string) => {
  const index = steps.findIndex((step) => step.id === last);
  return steps.slice(0, index + 1).map((step) => done(step.id));
};
const of = (events: RunEvent[]) => replayRun(job, events);
const whys = (events: RunEvent[]) => of(events).refused.map((refusal) => refusal.why);

describe("a run of the panel filter", () => {
  it("starts at its first step with nothing open", () => {
    const state = of([]);
    expect(state.current?.id).toBe("new-one-at-hand");
    expect(state.ends.open).toEqual([]);
    expect([state.status, state.undoes]).toEqual(["going", null]);
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
    const state = of([...upTo(last), event({ kind: "finished", minutes: 9, costMinor: 890 })]);
    expect(state.status).toBe("finished");
    expect(state.finish).toMatchObject({ minutes: 9, costMinor: 890 });
    const look = state.completed.find((completed) => completed.step.id === "look");
    expect(look?.seen.grade).toBe("grey");
  });

  it("goes on where it was when its finish is taken back", () => {
    const events = [...upTo(steps.at(-1)!.id), event({ kind: "finished" })];
    const state = of([...events, event({ kind: "undone" })]);
    expect([state.status, state.current, state.finish]).toEqual(["going", null, null]);
    expect(of([...events, event({ kind: "undone" }), event({ kind: "finished" })]).status).toBe(
      "finished",
    );
  });

  it("names the unit's own isolator, and its ends in the words of its steps", () => {
    const breaker = { ...job, place: { ...place, isolator: "breaker-off" as const } };
    const state = replayRun(breaker, upTo("open-slot"));
    expect(state.ends.open.map((end) => end.end)).toEqual(["breaker-off", "panel-off"]);
    expect(endWordsOf(state, place, "run-1:door")).toBe("cover off");
    expect(endWordsOf(state, place, "run-1:filter")).toBeNull();
  });

  it("wants a look where one is recorded, and an answer where one is asked", () => {
    const bare = (step: string) => event({ kind: "done", step });
    expect(whys([...upTo("old-one-out"), bare("look")])).toEqual(["look-missing"]);
    expect(whys([...upTo("look"), bare("past-the-frame")])).toEqual(["seen-missing"]);
    const odd = event({ kind: "done", step: "past-the-frame", choice: "perhaps" });
    expect(whys([...upTo("look"), odd])).toEqual(["seen-unreadable"]);
    // What lies in the slot need not be said.
    expect(whys([...upTo("past-the-frame"), bare("debris")])).toEqual([]);
  });

  it("does not skip, and takes no step of another job", () => {
    expect(whys([done("power-off")])).toEqual(["not-the-step"]);
    expect(whys([event({ kind: "done", step: "polish" })])).toEqual(["not-the-step"]);
  });

  it("refuses nothing that was done twice: the second device came too late", () => {
    const twice = [...upTo("power-off"), done("power-off")];
    expect(of(twice)).toEqual({ ...of(twice.slice(0, -1)) });
  });

  it("goes back one step, and the end is as it was", () => {
    const back = event({ kind: "back", step: "new-one-in" });
    const state = of([...upTo("new-one-in"), back]);
    expect(state.current?.id).toBe("new-one-in");
    expect(state.ends.open.some(({ id }) => id === "run-1:filter")).toBe(true);
    expect(state.undoes).toBe("dust-slot");
  });

  it("goes back and forgets nothing that is off, open or out, until a step closes it", () => {
    const back = (step: string) => event({ kind: "back", step });
    const events = [...upTo("old-one-out"), ...["old-one-out", "open-slot", "power-off"].map(back)];
    const state = of(events);
    expect(state.current?.id).toBe("power-off");
    expect(state.ends.open.map(({ end }) => end)).toEqual(["switch-off", "panel-off", "part-out"]);
    // Given up it is not: something is open. Turned back, all of it is closed in its order.
    expect(whys([...events, event({ kind: "stopped" })])).toEqual(["ends-open"]);
    const aborted = event({
      kind: "turned-back",
      step: "power-off",
      reason: "other",
      words: "the phone rang",
    });
    const left = walk(job, { from: [...events, aborted] }).slice(events.length + 1);
    expect(left.map((each) => "step" in each && each.step)).toEqual([
      "new-one-in",
      "close-slot",
      "power-on",
    ]);
    // Gone on with, nothing is opened twice.
    const on = of(walk(job, { from: events }));
    expect([on.refused, on.ends.open, on.current]).toEqual([[], [], null]);
  });

  it("says what was on again when somebody went back over it", () => {
    const back = (step: string) => event({ kind: "back", step });
    const one = of([...upTo("power-on"), back("power-on")]);
    expect([one.current?.id, one.backOn]).toEqual(["power-on", ["power"]]);
    const two = [...upTo("power-on"), back("power-on"), back("close-slot")];
    expect(of(two).ends.open.map(({ end }) => end)).toEqual(["switch-off", "panel-off"]);
    // The power does not come back over the cover that came off again.
    expect(whys([...two, done("power-on")])).toEqual(["not-the-step"]);
    expect(of([...two, done("close-slot"), done("power-on")]).backOn).toEqual([]);
  });

  it("does not bring power back over what another job left open at the same machine", () => {
    const other = {
      id: "run-2:door",
      unit: place.unit,
      part: undefined,
      end: "panel-off" as const,
      at: STARTED,
      action: "open" as const,
      readyAt: undefined,
      after: undefined,
    };
    const events = [...upTo("close-slot"), done("power-on")];
    const accepted = events.length - 1;
    const state = replayRun(job, events, undefined, { open: [other], accepted });
    expect(state.refused.map(({ why }) => why)).toEqual(["power-comes-last"]);
    // What was accepted before stays so; another machine's cover is nothing to it.
    expect(
      replayRun(job, events, undefined, { open: [other], accepted: accepted + 1 }).refused,
    ).toEqual([]);
    const elsewhere = { open: [{ ...other, unit: "boiler" }], accepted };
    expect(replayRun(job, events, undefined, elsewhere).refused).toEqual([]);
  });

  it("ignores a step back that another device has taken already", () => {
    const once = [...upTo("new-one-in"), event({ kind: "back", step: "new-one-in" })];
    expect(of([...once, event({ kind: "back", step: "new-one-in" })]).completed).toEqual(
      of(once).completed,
    );
  });

  it("does not switch on with the filter out", () => {
    const left = event({ kind: "leave-open", step: "new-one-in", words: "it is the wrong size" });
    const events = [...upTo("dust-slot"), left, done("close-slot")];
    const state = of(events);
    expect(blocksOf(job, state, state.current!, STARTED).flatMap(({ by }) => by)).toEqual([
      "run-1:filter",
    ]);
    expect(whys([...events, done("power-on")])).toEqual(["power-comes-last"]);
  });

  it("may leave the power off too, in words, and finish with both open", () => {
    const leave = (step: string) =>
      event({ kind: "leave-open", step, words: "the right size comes Friday" });
    const state = of([
      ...upTo("dust-slot"),
      // Nothing went in: no frame to write on; no power: no air to call for.
      leave("new-one-in"),
      done("close-slot"),
      leave("power-on"),
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
    expect(whys([event({ kind: "stopped" }), done("new-one-at-hand")])).toEqual(["over"]);
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

  it("has the steps its place calls for, and a light to reset where there is one", () => {
    const facts = ["direction-unknown", "has-indicator", "size-unknown"] as const;
    const all = stepsFor(changePanelFilter, { facts, variant: null }, new Map());
    const ids = all.map((step) => step.id);
    expect(ids).toEqual(expect.arrayContaining(["find-direction", "measure-slot"]));
    expect(ids.at(-1)).toBe("reset-light");
    expect(all.find(({ id }) => id === "new-one-in")?.opens?.map(({ key }) => key)).toEqual([
      "light",
    ]);
    expect(steps.map((step) => step.id)).not.toContain("find-direction");
    expect(steps.find(({ id }) => id === "new-one-in")?.opens).toEqual([]);
  });

  it("keeps notes and pictures beside its steps", () => {
    const note = event({ kind: "note", step: "look", words: "the cover sticks" });
    const photo = event({ kind: "photo", step: "look", photo: "photo-0001", moment: "before" });
    const state = of([...upTo("look"), note, photo]);
    expect(state.notes.map(({ words }) => words)).toEqual(["the cover sticks"]);
    expect(state.photos).toEqual([{ photo: "photo-0001", step: "look", moment: "before" }]);
    expect(state.current?.id).toBe("past-the-frame");
  });
});

describe("a job that is not possible now", () => {
  const aborted = event({
    kind: "turned-back",
    step: "check-new",
    reason: "wrong-size",
    words: "it is an inch too deep",
    until: "2026-03-21",
  });

  it("is ended by a step that finds it out: what is open is led back, in that step's words", () => {
    const ending = jobOf({
      ...changePanelFilter,
      steps: changePanelFilter.steps.map((step) =>
        step.id === "dust-slot" ? { ...step, endsJob: true } : step,
      ),
    });
    const events = [...walk(ending, { until: "dust-slot" })];
    expect(replayRun(ending, events).aborted).toBeNull();
    const found = event({ kind: "done", step: "dust-slot" });
    const { aborted, current } = replayRun(ending, [...events, found]);
    expect(aborted).toMatchObject({ reason: "found", step: "dust-slot", event: found.id });
    expect(current!.id).toBe("new-one-in");
  });

  it("is said once: a second word about it, or one after its end, changes nothing", () => {
    const again = event({
      kind: "turned-back",
      step: "check-new",
      reason: "weather",
      words: "rain",
    });
    const once = of([...upTo("dust-slot"), aborted]);
    expect(of([...upTo("dust-slot"), aborted, again]).aborted).toEqual(once.aborted);
    const whole = walk(job);
    expect(of([...whole, again]).aborted).toBeNull();
  });

  it("is led back: only what is open is still to do, in its order, and nothing counts", () => {
    const events = [...upTo("dust-slot"), aborted];
    const left: string[] = [];
    let state = of(events);
    while (state.current) {
      left.push(state.current.id);
      events.push(event({ kind: "done", step: state.current.id }));
      state = of(events);
    }
    expect(left).toEqual(["new-one-in", "close-slot", "power-on"]);
    expect(state.ends.open).toEqual([]);
    expect(state.completed.filter(({ onReturn }) => onReturn).map(({ step }) => step.id)).toEqual(
      left,
    );
    expect(state.aborted).toMatchObject({ reason: "wrong-size", until: "2026-03-21" });
  });

  it("can be gone on with after all", () => {
    const back = event({ kind: "back", step: "turned-back" });
    const state = of([...upTo("dust-slot"), aborted, back]);
    expect([state.aborted, state.current?.id]).toEqual([null, "new-one-in"]);
  });
});

describe("licensed work", () => {
  const flame = jobOf(polishFlameSensor);
  const cracked = walk(flame, {
    until: "sensor-cracked",
    seen: { "find-rod": { choice: "cracked" } },
  });

  it("is not an owner's to do, only to hand over; then the way leads back", () => {
    const state = replayRun(flame, cracked);
    expect(state.current?.id).toBe("sensor-cracked");
    expect(holdsUp(flame, state, state.current!, STARTED)).toBe("licensed-only");
    const tried = event({ kind: "done", step: "sensor-cracked" });
    expect(replayRun(flame, [...cracked, tried]).refused.map(({ why }) => why)).toEqual([
      "licensed-only",
    ]);
    const over = event({ kind: "handed-over", step: "sensor-cracked" });
    const back = walk(flame, { from: [...cracked, over] });
    const end = replayRun(flame, back);
    expect(end.aborted?.reason).toBe("licensed");
    expect(end.completed.map(({ step }) => step.id)).not.toContain("sensor-out");
    expect(end.ends.open).toEqual([]);
  });

  it("is done by somebody licensed who is there", () => {
    const licensed = jobOf(polishFlameSensor, {}, "licensed");
    const state = replayRun(licensed, [
      ...cracked,
      event({ kind: "done", step: "sensor-cracked" }),
    ]);
    expect(state.refused).toEqual([]);
    expect(state.current?.id).toBe("wire-off");
  });

  it("is nothing to hand over where it is not licensed", () => {
    const over = event({ kind: "handed-over", step: "new-one-at-hand" });
    expect(whys([over])).toEqual(["nothing-to-hand-over"]);
  });
});

describe("what means stop", () => {
  const flame = jobOf(polishFlameSensor);
  const sooting = walk(flame, { seen: { "test-start": { reading: { value: "sooting" } } } });
  const round = jobOf(walkRound);

  it("puts the run on hold, whatever is sent, until somebody made it safe", () => {
    const held = replayRun(flame, sooting);
    expect(held.safetyStop).toMatchObject({ why: "reading", reading: "flame", step: "test-start" });
    const finish = event({ kind: "finished" });
    expect(replayRun(flame, [...sooting, finish]).refused[0]?.why).toBe("on-hold");
    const safe = event({ kind: "made-safe", words: "the technician cleaned the burners" });
    const back = event({ kind: "done", step: "set-back" });
    const state = replayRun(flame, [...sooting, safe, back, event({ kind: "finished" })]);
    expect([state.safetyStop, state.status]).toEqual([null, "finished"]);
    expect(state.madeSafe[0]?.words).toContain("technician");
  });

  it.each([
    [29, null],
    [30, "co"],
    [400, "co"],
  ])("%s ppm on a display: everybody out from 30 on", (ppm, why) => {
    const alarms = [
      { place: "hall", state: "quiet" },
      { place: "loft", state: "tested", ppm },
    ];
    const state = replayRun(round, [event({ kind: "done", step: "co-alarms", round: 0, alarms })]);
    expect(state.safetyStop?.why ?? null).toBe(why);
  });

  it("is gas where it smells of gas, at whichever machine", () => {
    const each = [
      { place: "furnace", value: "none" },
      { place: "boiler", value: "gas" },
    ];
    const at = walk(round, { until: "smell" });
    const smelled = event({ kind: "done", step: "smell", round: 0, each });
    expect(replayRun(round, [...at, smelled]).safetyStop?.why).toBe("gas");
  });

  it("is what is dark in a duct: no air is moved through it, and nothing brings the power back", () => {
    const dark = walk(job, { seen: { debris: { reading: { value: "dark" } } } });
    const state = of(dark);
    expect(state.safetyStop).toMatchObject({ why: "reading", reading: "duct-debris" });
    expect(state.ends.open.map(({ end }) => end)).toContain("switch-off");
    expect(state.completed.map(({ step }) => step.id)).not.toContain("dust-slot");
  });

  it("is taken back where the wrong picture was chosen", () => {
    const back = event({ kind: "back", step: "test-start" });
    const state = replayRun(flame, [...sooting, back]);
    expect([state.safetyStop, state.current?.id]).toEqual([null, "test-start"]);
  });

  it.each(["gas", "co"] as const)("holds at once at an alarm: %s", (alarm) => {
    const events = [...upTo("power-off"), event({ kind: "alarm", alarm })];
    expect(of(events).safetyStop).toMatchObject({ why: alarm, step: "open-slot" });
    expect(whys([...events, done("open-slot")])).toEqual(["on-hold"]);
    expect(of([...events, event({ kind: "back", step: "alarm" })]).safetyStop).toBeNull();
  });
});

describe("times", () => {
  const cooling = jobOf(coolingTest);
  const events = walk(cooling, { until: "wait" });

  it("run by themselves from the step that began them, and hold what waits for them", () => {
    const state = replayRun(cooling, events);
    const [timer] = state.timers;
    expect(timer).toMatchObject({ key: "run", step: "set-cooling" });
    expect(Date.parse(timer!.readyAt) - Date.parse(timer!.startedAt)).toBe(15 * 60_000);
    // Another step was done meanwhile.
    expect(state.completed.at(-1)?.step.id).toBe("hear-outside");
    const early = event({ kind: "done", step: "wait", at: "2026-03-14T09:10:00Z" });
    expect(replayRun(cooling, [...events, early]).refused.map(({ why }) => why)).toEqual([
      "still-waiting",
    ]);
    const late = event({ kind: "done", step: "wait", at: timer!.readyAt });
    expect(replayRun(cooling, [...events, late]).refused).toEqual([]);
  });

  it("never dry anything sooner because a device's clock runs ahead", () => {
    const core = jobOf(washRecoveryCore);
    const before = walk(core, { until: "is-it-dry" });
    const state = replayRun(core, before);
    const drying = state.ends.open.find(({ end }) => end === "part-drying")!;
    expect(Date.parse(drying.readyAt!) - Date.parse(drying.since)).toBe(2 * 86_400_000);
    const ahead = event({ kind: "done", step: "is-it-dry", choice: "dry", at: drying.readyAt });
    const oneDayOn = "2026-03-15T12:00:00Z";
    expect(replayRun(core, [...before, ahead], oneDayOn).refused.map(({ why }) => why)).toEqual([
      "still-drying",
    ]);
    const then = new Date(Date.parse(drying.readyAt!) + 1).toISOString();
    expect(replayRun(core, [...before, ahead], then).refused).toEqual([]);
  });

  it("a core does not go back while it dries, whatever words are given", () => {
    const core = jobOf(washRecoveryCore);
    const left = event({ kind: "leave-open", step: "is-it-dry", words: "it looks dry to me" });
    const fit = event({ kind: "done", step: "core-in" });
    const state = replayRun(core, [...walk(core, { until: "is-it-dry" }), left, fit]);
    expect(state.refused.map(({ why }) => why)).toEqual(["after-another"]);
  });

  it("go on where it is still damp, from then", () => {
    const core = jobOf(washRecoveryCore);
    const before = walk(core, { until: "is-it-dry" });
    const readyAt = replayRun(core, before).ends.open.find(
      ({ end }) => end === "part-drying",
    )!.readyAt!;
    const damp = event({ kind: "done", step: "is-it-dry", round: 0, choice: "damp", at: readyAt });
    const state = replayRun(core, [...before, damp]);
    const dries = state.ends.open.find(({ end }) => end === "part-drying")!;
    expect(Date.parse(dries.readyAt!) - Date.parse(readyAt)).toBe(720 * 60_000);
    const early = event({ kind: "done", step: "is-it-dry", round: 1, choice: "dry", at: readyAt });
    expect(replayRun(core, [...before, damp, early]).refused.map(({ why }) => why)).toEqual([
      "still-drying",
    ]);
    const later = replayRun(core, walk(core, { from: [...before, damp] }));
    expect([later.refused, later.ends.open]).toEqual([[], []]);
  });

  it("run where a pipe is hot still, and hold the step until they are over", () => {
    const magnetic = jobOf(magneticFullClean);
    const before = walk(magnetic, { until: "cool" });
    const at = before.at(-1)!.at;
    const hot = event({ kind: "done", step: "cool", round: 0, choice: "hot", at });
    const state = replayRun(magnetic, [...before, hot]);
    const [timer] = state.timers;
    expect([timer!.key, Date.parse(timer!.readyAt) - Date.parse(at)]).toEqual([
      "again:cool",
      30 * 60_000,
    ]);
    const soon = event({ kind: "done", step: "cool", round: 1, choice: "cool", at });
    expect(replayRun(magnetic, [...before, hot, soon]).refused[0]?.why).toBe("still-waiting");
  });

  it("count as work only as far as somebody worked", () => {
    const at = (minute: number) => new Date(Date.parse(STARTED) + minute * 60_000).toISOString();
    const completed = (minute: number, kind: "clean" | "wait") => ({
      step: { id: "x", kind, title: "x" },
      at: at(minute),
      event: "x",
      seen: {},
    });
    // 4 minutes, a night counted as a quarter of an hour, a wait not at all, 2 minutes.
    expect(
      minutesAtWork(STARTED, [
        completed(4, "clean"),
        completed(604, "clean"),
        completed(700, "wait"),
        completed(702, "clean"),
      ]),
    ).toBe(4 + 15 + 2);
  });
});

describe("a count", () => {
  const bank = jobOf(changePanelFilter, { facts: ["bank"] });

  it("has to come out as it went in", () => {
    const out = walk(bank, { until: "count-in" });
    const state = (count: number) =>
      replayRun(bank, [...out, event({ kind: "done", step: "count-in", round: 0, count })]);
    expect(state(3).refused.map(({ why }) => why)).toEqual(["count-differs"]);
    expect(state(4).refused).toEqual([]);
  });
});

describe("a joint that weeps", () => {
  const magnetic = jobOf(magneticFullClean);
  const seen = (again: string) => ({
    "warm-look": { choice: "weeps" },
    "weep-again": { choice: again },
  });

  it("is nipped and looked at again, and then is well", () => {
    const ids = replayRun(magnetic, walk(magnetic, { seen: seen("dry") })).completed.map(
      ({ step }) => step.id,
    );
    expect(ids.slice(-2)).toEqual(["nip", "weep-again"]);
  });

  it("that runs is shut off again, and stays so until its washer is new", () => {
    const events = walk(magnetic, { seen: seen("runs"), until: "valves-open-again" });
    const state = replayRun(magnetic, events);
    expect(state.ends.open.map(({ end }) => end)).toEqual(["switch-off", "valve-shut"]);
    const on = event({ kind: "done", step: "on-again", round: 0, at: events.at(-1)!.at });
    const left = event({
      kind: "leave-open",
      step: "valves-open-again",
      words: "the washer comes on Friday",
      at: events.at(-1)!.at,
    });
    expect(replayRun(magnetic, [...events, left, on]).refused.map(({ why }) => why)).toEqual([
      "power-comes-last",
    ]);
  });
});

describe("until it runs clear", () => {
  const line = jobOf(flushCondensateLine);
  const cloudy = { reading: { value: "cloudy" } };
  const first = walk(line, { until: "watch-it-run" });

  it("goes back to the brush at anything else, and counts its rounds", () => {
    const again = event({ kind: "done", step: "watch-it-run", round: 0, ...cloudy });
    const state = replayRun(line, [...first, again]);
    expect([state.current?.id, state.round]).toEqual(["brush", 1]);
    expect(state.ends.open.map(({ end }) => end)).toEqual(["switch-off", "panel-off"]);
    const clear = walk(line, { from: [...first, again] });
    expect(replayRun(line, clear).current).toBeNull();
    expect(replayRun(line, clear).round).toBe(1);
  });

  it("takes no step of an earlier round for one of this", () => {
    const again = event({ kind: "done", step: "watch-it-run", round: 0, ...cloudy });
    const late = event({ kind: "done", step: "brush", round: 0 });
    expect(replayRun(line, [...first, again, late]).current?.id).toBe("brush");
  });

  it("goes back over a round that was taken by mistake", () => {
    const again = event({ kind: "done", step: "watch-it-run", round: 0, ...cloudy });
    const state = replayRun(line, [...first, again, event({ kind: "back", step: "watch-it-run" })]);
    expect([state.current?.id, state.round]).toEqual(["watch-it-run", 0]);
  });
});

describe("what a way takes", () => {
  it("brings what its steps need, once, in their order, and no other strategy's", () => {
    const bleach = bringOf(flushCondensateLine, { facts: [], variant: "bleach" });
    expect(bleach.tools).toEqual([
      "a cloth",
      "a bucket",
      "rubber gloves",
      "eye protection",
      "a drain brush",
      "a jug of warm water",
      "a funnel",
    ]);
    expect(bleach.consumables).toEqual(["a cup of household bleach"]);
    expect(bringOf(flushCondensateLine, { facts: [], variant: "water" }).consumables).toEqual([]);
  });

  it("has the minutes of its variant, or of the whole", () => {
    expect(minutesOf(washRecoveryCore, null)).toEqual({ handsOn: 60, waiting: 2880 });
    expect(minutesOf(coolingTest, "feel")).toEqual({ handsOn: 5, waiting: 15 });
  });
});

describe("a run that goes on from where it stood", () => {
  it("is the same as one played anew, wherever it is taken up, with what is open beside it", () => {
    const elsewhere = replayRun(jobOf(changePanelFilter), upTo("open-slot")).log;
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...steps), fc.constantFrom("done", "back", "note")), {
          maxLength: 30,
        }),
        fc.nat(30),
        fc.boolean(),
        (moves, at, isOpenBeside) => {
          const events = moves.map(([step, kind], nth) => {
            // Mostly the step at hand, so that the run gets somewhere.
            const next = steps[nth % steps.length]!;
            if (kind === "note") return event({ kind, step: step.id, words: "in passing" });
            return event(
              nth % 3 === 0
                ? { kind, step: step.id, ...(kind === "done" ? soundAt(step) : {}) }
                : { kind: "done", step: next.id, ...soundAt(next) },
            );
          });
          const before = events.slice(0, at);
          const open = isOpenBeside ? elsewhere : [];
          const now = "2027-01-01T00:00:00.000Z";
          const replay = new RunReplay(job).taking(before);
          const kept = replay.state;
          const forked = replay.forked(now, open).taking(events.slice(at));
          expect(forked.state).toEqual(
            replayRun(job, events, now, { open, accepted: before.length }),
          );
          // What it was taken up from goes on by itself.
          expect(replay.state).toBe(kept);
        },
      ),
      { numRuns: 150 },
    );
  });
});

describe("what is only added to a run", () => {
  it("stands in the order it came, however often one looks in between", () => {
    const [first, second] = [steps[0]!, steps[1]!];
    const photo = (name: string) =>
      event({ kind: "photo", step: first.id, photo: name, moment: "before" });
    const early = event({ kind: "done", step: second.id, ...soundAt(second) });
    const events = [
      event({ kind: "note", step: first.id, words: "the lamp is out" }),
      photo("slot-before"),
      early,
      event({ kind: "done", step: first.id, ...soundAt(first) }),
      photo("frame-before"),
      event({ kind: "note", step: second.id, words: "the lamp is in again" }),
    ];
    const looked = new RunReplay(job);
    const counts = events.map((each) => looked.taking([each]).state.notes.length);
    expect(counts).toEqual([1, 1, 1, 1, 1, 2]);
    for (const state of [looked.state, replayRun(job, events)]) {
      expect(state.notes.map(({ words }) => words)).toEqual([
        "the lamp is out",
        "the lamp is in again",
      ]);
      expect(state.photos.map((each) => each.photo)).toEqual(["slot-before", "frame-before"]);
      expect(state.refused).toEqual([{ event: early, why: "not-the-step" }]);
      expect(state.current?.id).toBe(second.id);
    }
  });
});

describe("two devices on one run", () => {
  it("lose and double nothing, however what they send is shuffled together", () => {
    // Each acts on what it sees: all that came so far, and its own; the rest reaches it later.
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.boolean(), fc.constantFrom("done", "back", "note")), {
          maxLength: 40,
        }),
        fc.integer({ min: 0, max: 3 }),
        (moves, lag) => {
          const log: RunEvent[] = [];
          const own: [RunEvent[], RunEvent[]] = [[], []];
          for (const [isSecond, kind] of moves) {
            const mine = own[isSecond ? 1 : 0];
            const seen = [...log.slice(0, Math.max(0, log.length - lag))];
            const view = of([...seen, ...mine.filter((each) => !seen.includes(each))]);
            const step = view.current;
            const doing =
              kind === "done" && step
                ? { kind: "done", step: step.id, round: view.round, ...soundAt(step) }
                : kind === "back" && view.undoes
                  ? { kind: "back", step: view.undoes }
                  : { kind: "note", step: "look", words: "a word in passing" };
            const made = event(doing);
            mine.push(made);
            log.push(made);
          }
          const state = of(log);
          // Whatever was sent, the run is a prefix of its steps, each once, with its ends as they say.
          const ids = state.completed.map(({ step }) => step.id);
          expect(ids).toEqual(steps.slice(0, ids.length).map(({ id }) => id));
          const kinds = state.ends.open.map(({ end }) => end);
          if (kinds.includes("panel-off") || kinds.includes("part-out"))
            expect(kinds).toContain("switch-off");
          expect(state.notes).toHaveLength(log.filter(({ kind }) => kind === "note").length);
          // Sent again in whole it is the same run.
          const again = [...log, ...log.filter(({ kind }) => kind === "done")];
          expect(of(again).completed.length).toBeGreaterThanOrEqual(state.completed.length);
          expect(of(again).refused.every(({ why }) => why === "not-the-step")).toBe(true);
        },
      ),
      { numRuns: 60 },
    );
  });
});
