import { JOBS } from "./default-tasks";
import { readFileSync } from "node:fs";
import { END_KINDS } from "@/core/runs/loose-ends";
import { lintProcedures, lintProceduresInput, waysOf } from "@/core/runs/lint";
import { stepsFor, type JobFact, type Procedure, type Step } from "@/core/runs/procedure";
import { NOT_POSSIBLE, type Seen } from "@/core/runs/run-event";
import { isWordKind, WORD_KINDS } from "@/core/readings/reading-kinds";
import { event, jobOf, STARTED, walk } from "../../tests/run-events";
import { READING_WORDS, SUGGESTS } from "./reading-words";
import { NOT_POSSIBLE_OPTIONS } from "@/presentation/run-words";
import { replayRun, RunReplay } from "@/core/runs/run";
import { climateSchema } from "@/core/climate/climate";
import { climateDays } from "@/core/climate/climate";
import { plainDate } from "@/core/quantities/plain-date";
import { equipmentSchema } from "@/core/climate/run-hours";
import { SHUT_OFF_KINDS } from "@/core/inventory/inventory";
import { GRADES } from "@/core/filters/belief";
import { MEDIA_KINDS } from "@/core/filters/media";
import { CLIMATE_STARTS } from "./climates";
import { GRADE_OPTIONS } from "@/presentation/grade-options";
import { procedure, PROCEDURES } from "./procedures/library";
import { sizeAsPrinted } from "@/presentation/slot-words";
import { PART_KINDS, partKind } from "./part-kinds";
import { WALK_FINDS } from "./first-walk";
import { mediaFor, UNIT_KINDS, unitKind, type UnitKind } from "./unit-kinds";
import { HOUSEHOLD_WORDS, END_WORDS, GRADE_WORDS, MEDIA_WORDS, SHUT_OFF_WORDS } from "./words";

const WEEK_MS = 7 * 86_400_000;

/** Every procedure in every way it can go: its variants, with and without each fact. */
const ways = PROCEDURES.flatMap((each) => {
  const settings = new Map(
    waysOf(each).map(({ setting }) => [JSON.stringify(setting), setting] as const),
  );
  return [...settings].map(([words, setting]) => [each.id, words, each, setting] as const);
});

describe("the procedure library", () => {
  it("names every procedure once, and finds each by its name", () => {
    const ids = PROCEDURES.map((each) => each.id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids.length).toBeGreaterThan(90);
    for (const each of PROCEDURES) expect(procedure(each.id)).toBe(each);
    expect(procedure("dance-a-jig")).toBeNull();
  });

  it("has no fault in any variant", () => {
    const input = lintProceduresInput.parse({ procedures: PROCEDURES });
    expect(lintProcedures(input)).toEqual({ faults: [] });
  });

  it.each(ways)("%s, %s: is walked to its end with nothing open", (_id, _words, each, setting) => {
    const job = jobOf(each, setting, each.who);
    const events = walk(job);
    const state = replayRun(job, [...events, event({ kind: "finished" })]);
    expect(state.refused).toEqual([]);
    expect(state.ends.open).toEqual([]);
    expect([state.status, state.safetyStop]).toEqual(["finished", null]);
    expect(state.completed.filter(({ step }) => step.renews)).toHaveLength(1);
    // Minutes of work are said for what has steps of work.
    expect(each.handsOnMinutes).toBeGreaterThan(0);
  });

  it.each(ways)(
    "%s, %s: leads back from every one of its steps, and closes what it opened",
    (_id, _words, each, setting) => {
      const job = jobOf(each, setting, each.who);
      const whole = walk(job);
      const replay = new RunReplay(job);
      for (let behind = 0; behind < whole.length; behind++) {
        const so = whole.slice(0, behind);
        if (behind > 0) replay.take(so.at(-1)!);
        const { current } = replay.state;
        const aborted = event({
          kind: "turned-back",
          step: current!.id,
          reason: "other",
          words: "the phone rang",
          at: so.at(-1)?.at ?? STARTED,
        });
        const state = replayRun(job, walk(job, { from: [...so, aborted] }));
        expect(state.refused).toEqual([]);
        expect(state.ends.open).toEqual([]);
        expect(state.current).toBeNull();
      }
    },
  );

  it.each(ways)("%s, %s: each answer leads somewhere", (_id, _words, each, setting) => {
    const job = jobOf(each, setting, each.who);
    for (const step of stepsFor(each, setting, new Map())) {
      const { records } = step;
      const answers: Seen[] =
        records?.kind === "choice"
          ? records.options.map(({ value }) => ({ choice: value }))
          : records?.kind === "reading" && isWordKind(records.reading)
            ? Object.keys(WORD_KINDS[records.reading]).map((value) => ({ reading: { value } }))
            : [];
      const before = walk(job, { until: step.id });
      const { round } = replayRun(job, before);
      for (const seen of answers) {
        // What dries or cools has its time.
        const at = new Date(Date.parse(before.at(-1)?.at ?? STARTED) + WEEK_MS).toISOString();
        const made = event({ kind: "done", step: step.id, round, at, ...seen });
        const state = replayRun(job, [...before, made]);
        expect(state.refused).toEqual([]);
        // Forward, round again, or a reason to stop.
        expect(
          state.current?.id !== step.id || state.round > round || state.safetyStop,
        ).toBeTruthy();
      }
    }
  });

  it("cautions just before the step that can hurt, and keeps to one line of why", () => {
    const hot = PROCEDURES.filter(({ gas }) => gas).map(({ id }) => id);
    expect(hot).toEqual(
      expect.arrayContaining(["walk-round", "polish-flame-sensor", "measure-pilot", "check-flue"]),
    );
    const cautioned = (id: string) =>
      procedure(id)!.steps.flatMap((step) => (step.caution ? [step.id] : []));
    expect(cautioned("flush-condensate-line")).toEqual([
      "ventilate",
      "ventilate-vinegar",
      "flush-bleach",
      "still-blocked",
      "power-on",
    ]);
    expect(cautioned("magnetic-full-clean")).toContain("cool");
    expect(cautioned("rinse-outdoor-coil")).toContain("breaker-off");
  });

  it("turns nothing up or down in words only", () => {
    const turns =
      /\b(call for (heat|cooling|air)|thermostat (up|down|above|below)|on high|demand off)\b/i;
    for (const { id, steps } of PROCEDURES)
      for (const step of steps as readonly Step[])
        if (turns.test(`${step.title}. ${step.detail ?? ""}`) && step.kind !== "inspect")
          expect([id, step.id, step.changesSetting !== undefined || step.who]).not.toEqual([
            id,
            step.id,
            undefined,
          ]);
  });

  it("lets the pressure of a magnetic filter out before its magnet or its lid comes off, in every way", () => {
    for (const id of ["magnetic-quick-flush", "magnetic-full-clean"])
      for (const { steps } of waysOf(procedure(id)!)) {
        const at = (name: string) => steps.findIndex((step) => step.id === name);
        const first = Math.min(
          ...["magnet-out", "lid-off", "core-out", "sleeve-off"].map(at).filter((i) => i >= 0),
        );
        expect(at("bleed-open")).toBeGreaterThan(-1);
        expect(at("bleed-open")).toBeLessThan(first);
        const magnet = steps.find(({ id: step }) => step === "magnet-out" || step === "core-out");
        expect(magnet?.caution).toContain("pacemaker");
      }
  });

  it("shows no gauge to a home with a header tank, and no tank to a sealed one", () => {
    const words = (facts: JobFact[]) =>
      stepsFor(procedure("magnetic-full-clean")!, { facts, variant: "drained" }, new Map())
        .map(({ title, detail = "" }) => `${title} ${detail}`)
        .join(" ");
    expect(words(["header-tank"])).not.toMatch(/gauge|bar\b|filling loop/);
    expect(words(["sealed-system"])).not.toContain("header tank");
  });

  it("pours bleach once, thinned, and never where the water is acid", () => {
    const job = jobOf(procedure("flush-condensate-line")!, { variant: "bleach" });
    const first = walk(job, { until: "watch-it-run" });
    const cloudy = event({
      kind: "done",
      step: "watch-it-run",
      round: 0,
      at: first.at(-1)!.at,
      reading: { value: "cloudy" },
    });
    const second = walk(job, { from: [...first, cloudy], until: "watch-it-run" });
    const done = second.flatMap((each) => (each.kind === "done" ? [each.step] : []));
    expect(done.filter((step) => step === "flush-bleach")).toHaveLength(1);
    expect(done.filter((step) => step === "flush-after-bleach")).toHaveLength(1);
    const bleach = job.procedure.variants!.find(({ id }) => id === "bleach")!;
    expect(bleach.neverAt?.kinds).toEqual(["condensing-furnace", "boiler"]);
    expect(bleach.notSameDayWay).toEqual(["vinegar"]);
  });

  it("leaves the cooling off where a line stays blocked, with the power back on or not", () => {
    const job = jobOf(procedure("flush-condensate-line")!);
    const events = walk(job, {
      until: "cooling-on",
      seen: {
        "watch-it-run": { reading: { value: "blocked" } },
        "once-more": { choice: "stays" },
      },
    });
    const state = replayRun(job, events);
    expect(state.aborted?.words).toBe("The line is blocked: have it cleared");
    expect(state.ends.open.map(({ end }) => end)).toEqual(["setting-changed"]);
    expect(state.current?.id).toBe("cooling-on");
  });

  it("dries cells for three hours at least, and asks whether they are dry through and through", () => {
    const { steps } = procedure("wash-electrostatic-cells")!;
    const drying = steps.flatMap(({ opens = [] }) => opens).find(({ dryMinutes }) => dryMinutes);
    expect(drying?.dryMinutes).toBeGreaterThanOrEqual(180);
    expect(steps.find(({ id }) => id === "is-it-dry")?.title).toContain("through and through");
  });

  it("leads an indoor machine to no hose and no foam", () => {
    const [job] = JOBS.part("condenser-coil", "portable-cooler");
    expect(job!.procedureIds).toEqual(["brush-portable-coils"]);
    const tools = procedure("brush-portable-coils")!.steps.flatMap((step) => [
      ...(step.tools ?? []),
      ...(step.consumables ?? []),
    ]);
    expect(tools.join(" ")).not.toMatch(/hose|foam|spray/);
  });

  it("leads no owner into a head’s coil, its outdoor coil, a capacitor", () => {
    const cleaning = ["evaporator-coil", "condenser-coil"].flatMap((part) =>
      JOBS.part(part, "ductless-head").filter(({ key }) => key === "clean"),
    );
    for (const { who, procedureIds = [] } of [...cleaning, ...JOBS.part("capacitor", "")]) {
      expect(who).toBe("licensed");
      expect(procedureIds.map((id) => procedure(id)!.who)).toEqual(["licensed"]);
    }
  });

  it("leaves the work of a licensed job to licensed people, step by step", () => {
    const theirs: readonly Step["kind"][] = ["shut", "open", "remove", "fit", "restore"];
    for (const { id, who, steps } of PROCEDURES as readonly Procedure[])
      for (const step of who === "licensed" ? steps : [])
        // A new filter goes in by anybody’s hands, a label is written by whoever is there.
        if (theirs.includes(step.kind) && (step.opens || step.closes))
          expect([id, step.id, step.who]).toEqual([id, step.id, "licensed"]);
  });

  it("is reached by a job each, and leads through every job there is", () => {
    const jobs = [
      ...PART_KINDS.flatMap(({ id }) => JOBS.part(id, "")),
      ...PART_KINDS.flatMap(({ id }) => UNIT_KINDS.flatMap((unit) => JOBS.part(id, unit.id))),
      ...UNIT_KINDS.flatMap(({ id }) => JOBS.unit(id)),
      ...JOBS.home,
      ...MEDIA_KINDS.flatMap((media) =>
        ["", "electrostatic-cleaner"].map((unit) => JOBS.renewal(media, unit)),
      ),
      ...MEDIA_KINDS.flatMap(JOBS.besideRenewal),
      JOBS.look(30),
      JOBS.lookAfterDucts,
    ];
    expect(jobs.filter(({ procedureIds = [] }) => procedureIds.length === 0)).toEqual([]);
    const asked = new Set(jobs.flatMap(({ procedureIds = [] }) => procedureIds));
    expect([...asked].sort()).toEqual(PROCEDURES.map(({ id }) => id).sort());
  });

  it("has words for whatever a run may show", () => {
    for (const { steps } of PROCEDURES)
      for (const { records } of steps)
        if (records?.kind === "reading") expect(READING_WORDS[records.reading].act).toBeTruthy();
    for (const [kind, words] of Object.entries(SUGGESTS))
      for (const seen of Object.keys(words))
        expect(Object.keys(WORD_KINDS[kind as keyof typeof WORD_KINDS])).toContain(seen);
    const chosen = NOT_POSSIBLE.filter((reason) => reason !== "found");
    expect(NOT_POSSIBLE_OPTIONS.map(({ value }) => value).sort()).toEqual([...chosen].sort());
  });
});

describe("unit kinds", () => {
  it.each(UNIT_KINDS.map((kind) => [kind.id, kind] as const))(
    "%s brings what the engine takes, its parts, and what to ask and photograph",
    (id, kind: UnitKind) => {
      expect(equipmentSchema.safeParse(kind.equipment).success).toBe(true);
      expect(unitKind(id)).toBe(kind);
      expect(kind.slots.length + kind.parts.length).toBeGreaterThan(0);
      expect(kind.photograph.length).toBeGreaterThan(0);
      expect(kind.levels.length).toBeGreaterThan(0);
      const keys = kind.attributes.map((attribute) => attribute.key);
      expect(new Set(keys).size).toBe(keys.length);
      const names = kind.slots.map((slot) => slot.name);
      expect(new Set(names).size).toBe(names.length);
      for (const part of kind.parts) expect(partKind(part.kind).id).toBe(part.kind);
      expect(new Set(kind.parts.map((part) => part.kind)).size).toBe(kind.parts.length);
    },
  );

  it("have a drawing each", () => {
    const drawn = readFileSync("public/figures.svg", "utf8");
    for (const { figure } of [...UNIT_KINDS, ...WALK_FINDS])
      expect(drawn).toContain(`<symbol id="${figure}"`);
  });

  it("are each to be found on the first walk, with every slot place outside a machine", () => {
    const made = WALK_FINDS.map(({ makes }) => makes);
    const units = made.flatMap((makes) => ("unit" in makes ? makes.unit : []));
    expect([...units].sort()).toEqual(UNIT_KINDS.map(({ id }) => id).sort());
    const slots = made.flatMap((makes) => ("slot" in makes ? makes.slot.slotPlace : []));
    expect(slots).toEqual(["wall-grille", "ceiling-grille", "elsewhere", "elsewhere"]);
    for (const makes of made)
      if ("part" in makes)
        for (const id of makes.at)
          expect(unitKind(id).parts.map(({ kind }) => kind)).toContain(makes.part);
  });

  it("offer their own media first and every other after", () => {
    const media = mediaFor("ventilator", MEDIA_KINDS);
    expect(media.slice(0, 2)).toEqual(["vent-coarse", "vent-fine"]);
    expect([...media].sort()).toEqual([...MEDIA_KINDS].sort());
  });

  it("use every kind of part, so that none is out of reach but the catch-all", () => {
    const used = new Set(
      UNIT_KINDS.flatMap((kind) => kind.parts.map((part) => part.kind as string)),
    );
    expect(PART_KINDS.map(({ id }) => id).filter((id) => !used.has(id))).toEqual(["other"]);
  });
});

describe("words", () => {
  it("there are for everything that has a key", () => {
    for (const media of MEDIA_KINDS) expect(MEDIA_WORDS[media]).toBeTruthy();
    for (const grade of GRADES) expect(GRADE_WORDS[grade].name).toBeTruthy();
    for (const end of END_KINDS) expect(END_WORDS[end].close).toBeTruthy();
    for (const kind of SHUT_OFF_KINDS) expect(SHUT_OFF_WORDS[kind]).toBeTruthy();
    expect(GRADE_OPTIONS.map((option) => option.value)).toEqual(GRADES);
  });
  it("count pets as people do", () => {
    expect(HOUSEHOLD_WORDS["shedding-pets"].reason(1)).toBe("a shedding pet");
    expect(HOUSEHOLD_WORDS["shedding-pets"].reason(3)).toBe("shedding pets");
  });
  it("write a size with a proper sign", () => {
    expect(sizeAsPrinted("20 x 25 x 4 in")).toBe("20×25×4 in");
  });
});

describe("climates to start from", () => {
  it.each(CLIMATE_STARTS.map((start) => [start.name, start] as const))(
    "%s is a year the engine takes",
    (_, start) => {
      const { monthlyMeanC, heatingDesignC, coolingDesignMeanC, dailyRangeC } = start;
      const climate = climateSchema.parse({
        monthlyMeanC,
        heatingDesignC,
        coolingDesignMeanC,
        dailyRangeC,
      });
      expect(heatingDesignC).toBeLessThan(Math.min(...monthlyMeanC));
      expect(coolingDesignMeanC).toBeGreaterThan(Math.max(...monthlyMeanC));
      const { seasons } = climateDays({
        climate,
        actuals: [],
        from: plainDate("2026-01-01"),
        to: plainDate("2026-12-31"),
      });
      // Where it is never cold no house is ever heated, and each summer is one long one.
      expect(seasons.heatingStart).toHaveLength(Math.min(...monthlyMeanC) < 14 ? 1 : 0);
    },
  );
});
