import { HistoryRecord } from "../history/history-record";
import type { HistoryEvent } from "../history/history-event";
import { plainDate, toDay } from "../quantities/plain-date";
import { climateSchema, seasonDays, stretchDays } from "../climate/climate";
import { jobHistoryOf } from "./job-history";
import { YearTables } from "./year-tables";

let count = 0;
const event = (kind: HistoryEvent["kind"], date: string, more: Partial<HistoryEvent> = {}) => ({
  id: `e${++count}`,
  kind,
  date: plainDate(date),
  recordedAt: `${date}T08:00:00Z`,
  ...more,
});
const of = (...events: HistoryEvent[]) => jobHistoryOf(new HistoryRecord(events).counted);

describe("when a job was last done", () => {
  it("is its latest day, whatever the order in which it was written down", () => {
    const part = { unitId: "unit", partId: "part" };
    const { lastDay } = of(
      event("done", "2026-03-01", { ...part, taskKey: "clean" }),
      event("done", "2026-02-01", { ...part, taskKey: "clean" }),
      event("done", "2026-03-09", { ...part, taskKey: "flush" }),
    );
    expect(lastDay(part, "clean")).toBe("2026-03-01");
    expect(lastDay(part, "flush")).toBe("2026-03-09");
    expect(lastDay({ unitId: "unit" }, "clean")).toBeUndefined();
    expect(lastDay(part, "")).toBeUndefined();
  });

  it("stands under the place alone where no job was named, and in the home without a place", () => {
    const { lastDay } = of(
      event("done", "2026-03-01", { unitId: "unit" }),
      event("done", "2026-03-02", { taskKey: "walk" }),
    );
    expect(lastDay({ unitId: "unit" }, "")).toBe("2026-03-01");
    expect(lastDay({}, "walk")).toBe("2026-03-02");
  });

  it("counts a filter that came in as a look at its place, and a look as no change", () => {
    const slot = { unitId: "unit", partId: "slot" };
    const { lastDay } = of(
      event("fitted", "2026-02-01", slot),
      event("look", "2026-02-20", slot),
      event("note", "2026-03-01", slot),
    );
    expect([lastDay(slot, "renew"), lastDay(slot, "look")]).toEqual(["2026-02-01", "2026-02-20"]);
    expect(of(event("cleaned", "2026-03-03", slot)).lastDay(slot, "renew")).toBe("2026-03-03");
  });

  it("forgets what was withdrawn, and remembers the last try in vain", () => {
    const slot = { unitId: "unit", partId: "slot" };
    const wrong = event("fitted", "2026-03-05", slot);
    const history = of(
      event("fitted", "2026-02-01", slot),
      wrong,
      event("withdrawn", "2026-03-05", { ...slot, corrects: wrong.id }),
      event("put-off", "2026-03-06", { ...slot, taskKey: "renew", words: "first" }),
      event("put-off", "2026-03-08", { ...slot, taskKey: "renew", words: "last" }),
    );
    expect(history.lastDay(slot, "renew")).toBe("2026-02-01");
    expect(history.deferral(slot, "renew")?.words).toBe("last");
    expect(history.deferral(slot, "look")).toBeUndefined();
  });
});

describe("year tables", () => {
  const climate = climateSchema.parse({
    monthlyMeanC: [-9, -7, -1, 7, 13, 18, 21, 20, 15, 8, 1, -6],
    heatingDesignC: -24,
    coolingDesignMeanC: 26,
  });
  const day = (text: string) => toDay(plainDate(text));

  it("say the same however they were widened", () => {
    const [from, to] = [day("2026-01-01"), day("2026-12-31")];
    const years = new YearTables(climate);
    years.seasons(day("2026-06-01"), day("2026-06-02"));
    years.seasons(day("2035-01-01"), day("2035-02-01"));
    const within = (days: readonly number[]) => days.filter((each) => each >= from && each <= to);
    const fresh = seasonDays(climate, from, to);
    const wide = years.seasons(from, to);
    for (const turn of Object.keys(fresh) as (keyof typeof fresh)[])
      expect(within(wide[turn])).toEqual(within(fresh[turn]));
  });

  it("know for each day whether it lies in a stretch", () => {
    const [from, to] = [day("2026-01-01"), day("2026-12-31")];
    const years = new YearTables(climate);
    for (const stretch of ["heating", "cooling", "snow", "growth"] as const) {
      years.stretchTest(stretch, day("2030-01-01"), day("2030-01-02"));
      const test = years.stretchTest(stretch, from, to);
      const fresh = stretchDays(climate, stretch, from, to);
      for (let i = from; i <= to; i++) expect(test(i)).toBe(fresh[i - from] === 1);
    }
  });
});
