import { readFileSync } from "node:fs";
import { END_KINDS } from "@/core/procedures/loose-ends";
import { stepsFor, type PartFacts } from "@/core/procedures/procedure";
import { replayRun } from "@/core/procedures/run";
import { climateSchema } from "@/core/climate/climate";
import { climateDays } from "@/core/climate/climate";
import { plainDate } from "@/core/quantities/plain-date";
import { equipmentSchema } from "@/core/climate/run-hours";
import { SHUT_OFF_KINDS } from "@/core/register/register";
import { GRADES } from "@/core/wear/belief";
import { MEDIA_KINDS } from "@/core/wear/media";
import { CLIMATE_STARTS } from "./climates";
import { GRADE_OPTIONS } from "./grade-options";
import { procedure, PROCEDURES, renewalOf } from "./procedures/library";
import { sizeAsPrinted } from "./slot-words";
import { PART_KINDS, partKind } from "./part-kinds";
import { mediaFor, UNIT_KINDS, unitKind, type UnitKind } from "./unit-kinds";
import { HOUSEHOLD_WORDS, END_WORDS, GRADE_WORDS, MEDIA_WORDS, SHUT_OFF_WORDS } from "./words";

const EVERY_PART: PartFacts[] = [true, false].flatMap((directionKnown) =>
  [true, false].map((indicator) => ({ directionKnown, indicator })),
);
const walks = PROCEDURES.flatMap((each) =>
  EVERY_PART.map((facts) => [each.id, facts, each] as const),
);

describe("the procedure library", () => {
  it("names every procedure and every step once", () => {
    const ids = PROCEDURES.map((each) => each.id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const each of PROCEDURES) {
      const steps = each.steps.map((step) => step.id);
      expect(new Set(steps).size).toBe(steps.length);
      expect(procedure(each.id)).toBe(each);
    }
    expect(procedure("dance-a-jig")).toBeNull();
  });

  it.each(walks)(
    "%s with %j ends with nothing open, every end closed by a later step",
    (_id, facts, each) => {
      const place = { unit: "u", part: "p", run: "r", isolator: "switch-off" as const };
      const steps = stepsFor(each, facts);
      const events = steps.map((step, i) => ({
        id: `event-${i}`.padEnd(10, "-"),
        at: new Date(Date.UTC(2026, 2, 14, 9, i)).toISOString(),
        kind: "done" as const,
        step: step.id,
        ...(step.records === "look" ? { grade: "grey" as const } : {}),
      }));
      const state = replayRun(steps, events, place);
      expect(state.refused).toEqual([]);
      expect(state.ends.open).toEqual([]);
      expect(state.current).toBeNull();
    },
  );

  it.each(walks)(
    "%s with %j cuts the power before anything is opened or taken out",
    (_id, facts, each) => {
      const steps = stepsFor(each, facts);
      const power = steps.findIndex((step) => step.opens?.some((end) => end.end === "switch-off"));
      const opened = steps.findIndex((step) =>
        step.opens?.some((end) => ["panel-off", "part-out"].includes(end.end)),
      );
      expect(power).toBeGreaterThanOrEqual(0);
      expect(power).toBeLessThan(opened);
    },
  );

  it.each(walks)(
    "%s with %j puts back in the reverse of taking out, and renews once",
    (_id, facts, each) => {
      const steps = stepsFor(each, facts);
      const out = steps.flatMap((step) => (step.opens ?? []).map((end) => end.key));
      const back = steps.flatMap((step) => (step.closes ? [step.closes] : []));
      expect(back).toEqual([...out].reverse());
      expect(steps.filter((step) => step.renews)).toHaveLength(1);
    },
  );

  it("has the dated frame and the arrow in it, and says to bring the new one", () => {
    const words = PROCEDURES[0]!.steps.map((step) => step.title).join(" ");
    expect(words).toContain("arrow toward the blower");
    expect(words).toContain("date on its frame");
    expect(PROCEDURES[0]!.bring[0]).toBe("the new filter");
  });

  it("leads through every panel filter, and pretends nothing for the others", () => {
    expect(MEDIA_KINDS.filter((media) => renewalOf(media))).toEqual([
      "fibreglass-25",
      "pleated-25",
      "pleated-50",
      "pleated-100",
      "pleated-125",
    ]);
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
      const keys = kind.questions.map((question) => question.key);
      expect(new Set(keys).size).toBe(keys.length);
      const names = kind.slots.map((slot) => slot.name);
      expect(new Set(names).size).toBe(names.length);
      for (const part of kind.parts) expect(partKind(part.kind).id).toBe(part.kind);
      expect(new Set(kind.parts.map((part) => part.kind)).size).toBe(kind.parts.length);
    },
  );

  it("have a drawing each", () => {
    const drawn = readFileSync("public/figures.svg", "utf8");
    for (const { figure } of UNIT_KINDS) expect(drawn).toContain(`<symbol id="${figure}"`);
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
    for (const kind of SHUT_OFF_KINDS) expect(SHUT_OFF_WORDS[kind].off).toBeTruthy();
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
      expect(seasons.heatingStart).toHaveLength(1);
    },
  );
});
