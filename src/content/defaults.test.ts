import { JOBS } from "./default-tasks";
import { procedure } from "./procedures/library";
import { snapshot, today } from "../../tests/demo-snapshot";
import { addDays, plainDate } from "@/core/quantities/plain-date";
import type { JobStatus } from "@/core/scheduling/schedule";
import type { Part, Unit } from "@/core/inventory/inventory";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { HistoryEvent } from "@/core/history/history-event";
import { partsOf } from "@/core/scheduling/trigger";
import { fogLimitOn } from "@/core/readings/fog-limit";
import { judge, judgeInput } from "@/core/readings/judge";
import { scheduleNow } from "@/server/snapshots/snapshot-cache";
import { triggerWords } from "@/presentation/task-words";

const jobs = (home: HomeSnapshot, on = today): readonly JobStatus[] => scheduleNow(home, on);
const job = (home: HomeSnapshot, id: string, on = today): JobStatus | undefined =>
  jobs(home, on).find((each) => each.task.id === id);

const unit = (kind: string, more: Partial<Unit> = {}): Unit => ({
  id: "new",
  levelId: snapshot.levels[0]!.id,
  systemId: snapshot.systems[0]!.id,
  kind,
  name: "New one",
  attributes: {},
  shutOffs: [],
  fittedOn: plainDate("2020-05-01"),
  ...more,
});
const part = (kind: string, attributes: Part["attributes"] = {}): Part => ({
  id: `new-${kind}`,
  unitId: "new",
  kind,
  name: kind,
  attributes,
});
const event = (more: Partial<HistoryEvent>): HistoryEvent => ({
  id: `event-${JSON.stringify(more).length}-${more.date}`,
  kind: "done",
  date: today,
  recordedAt: `${today}T08:00:00.000Z`,
  ...more,
});
const home = (units: Unit[], parts: Part[] = [], events: HistoryEvent[] = []): HomeSnapshot => ({
  ...snapshot,
  units: [...snapshot.units, ...units],
  parts: [...snapshot.parts, ...parts],
  history: snapshot.history.with(...events),
});
const rhythm = (kind: string, key: string, unitKind = ""): string =>
  triggerWords(JOBS.part(kind, unitKind).find((task) => task.key === key)!.trigger);

describe("when things come round by default", () => {
  it("flushes a line while its machine makes water", () => {
    expect(rhythm("condensate-line", "flush", "condensing-furnace")).toContain("while it heats");
    expect(rhythm("condensate-line", "flush", "split-cooling")).toContain("while it cools");
    expect(rhythm("condensate-line", "flush", "boiler")).toContain("while it heats");
  });

  it("has sensor, batteries and alarms seen to before the heating", () => {
    expect(rhythm("flame-sensor", "polish")).toBe("every 2 years");
    expect(rhythm("batteries", "change")).toMatch(/before heating/);
    const alarms = job(snapshot, "home.alarms")!.task;
    expect(triggerWords(alarms.trigger)).toMatch(/every month, or .* before heating/);
    expect(alarms.isSafety).toBe(true);
  });

  it("polishes the sensor sooner where a dryer or a litter box stands beside it", () => {
    const sensor = snapshot.parts.find(({ kind }) => kind === "flame-sensor")!;
    const id = `${sensor.id}.polish`;
    const without = {
      ...snapshot,
      drivers: snapshot.drivers.filter(({ kind }) => kind !== "dryer-or-litter-beside"),
    };
    const beside: HomeSnapshot = {
      ...without,
      drivers: [...without.drivers, { id: "dryer", scope: "home", kind: "dryer-or-litter-beside" }],
    };
    expect(partsOf(job(without, id)!.task.trigger).length).toBe(1);
    expect(partsOf(job(beside, id)!.task.trigger)).toContainEqual(
      expect.objectContaining({ kind: "every", n: 4, unit: "month" }),
    );
  });

  it("lets its owner look at wires, and has their ends made anew by a licensed person", () => {
    const by = Object.fromEntries(JOBS.part("wiring", "").map(({ key, who }) => [key, who]));
    expect(by).toEqual({ look: "owner", mend: "licensed" });
  });

  it("has a dryer’s duct brushed yearly, and twice where it is long, bent or flexible", () => {
    const rhythm = (attributes: Record<string, string>) =>
      JOBS.part("dryer-duct", "dryer", attributes)[0]!.trigger;
    const yearly = expect.objectContaining({ kind: "every", n: 1, unit: "year" });
    const halfYearly = expect.objectContaining({ kind: "every", n: 6, unit: "month" });
    expect(rhythm({})).toEqual(yearly);
    expect(rhythm({ length: "6", bends: "2", tube: "rigid" })).toEqual(yearly);
    expect(rhythm({ length: "6.1" })).toEqual(halfYearly);
    expect(rhythm({ length: "2", bends: "3" })).toEqual(halfYearly);
    expect(rhythm({ tube: "flexible" })).toEqual(halfYearly);
    const entered = home([unit("dryer")], [{ ...part("dryer-duct"), attributes: { bends: "3" } }]);
    expect(job(entered, "new-dryer-duct.brush")!.task.trigger).toEqual(halfYearly);
  });

  it("asks two visits a year and a cooling test for a ducted heat pump", () => {
    const keys = JOBS.unit("ducted-heat-pump").map(({ key }) => key);
    expect(keys).toEqual(expect.arrayContaining(["test", "visit", "visit-heating"]));
  });

  it("counts an inch of pleats by 90 days of use, cells and ventilator by half years", () => {
    // One to two months of use in deep season, three where it stands.
    expect(triggerWords(JOBS.calendar("pleated-25"))).toBe(
      "every 45 days while it heats, or every 45 days while it cools, or every 3 months",
    );
    for (const media of ["electrostatic-cell", "vent-coarse", "vent-fine"] as const)
      expect(JOBS.calendar(media)).toMatchObject({ n: 6, unit: "month" });
    expect(JOBS.besideRenewal("vent-fine")[0]).toMatchObject({ key: "vacuum", trigger: { n: 1 } });
  });

  it("goes by the time in use where no summer is warm enough for a season of its own", () => {
    const cool: HomeSnapshot = {
      ...home([unit("split-cooling")], [part("condenser-coil")]),
      home: {
        ...snapshot.home,
        climate: { ...snapshot.home.climate, monthlyMeanC: Array<number>(12).fill(8) },
      },
    };
    const trigger = job(cool, "new-condenser-coil.clean")!.task.trigger;
    expect(partsOf(trigger)).toContainEqual(
      expect.objectContaining({ kind: "every", n: 1, unit: "year", within: "inUse" }),
    );
    expect(
      job(home([unit("split-cooling")], [part("condenser-coil")]), "new-condenser-coil.clean")!.task
        .trigger.kind,
    ).toBe("earliest");
  });

  it("leads nobody to a hose or foam indoors, nor into a head", () => {
    const [portable] = JOBS.part("condenser-coil", "portable-cooler");
    expect(portable).toMatchObject({ who: "owner", procedureIds: ["brush-portable-coils"] });
    const head = [
      ...JOBS.part("evaporator-coil", "ductless-head"),
      ...JOBS.part("condenser-coil", "ductless-head"),
    ];
    for (const { key, who, procedureIds = [] } of head) {
      if (key === "clean") expect(who).toBe("licensed");
      // What an owner is led to looks, and cleans no coil.
      const steps = who === "licensed" ? [] : procedureIds.flatMap((id) => procedure(id)!.steps);
      expect(steps.filter(({ cleans }) => cleans?.what === "coil")).toEqual([]);
    }
  });

  it("keeps a roof for licensed people until it is said to be safely reached", () => {
    const at = (attributes: Unit["attributes"]) =>
      job(home([unit("rooftop", { attributes })], [part("drain-pan")]), "new-drain-pan.wipe")!.task
        .who;
    expect(at({})).toBe("licensed");
    expect(at({ reached: "floor" })).toBe("owner");
    expect(at({ reached: "roof", "roof-safe": "no" })).toBe("licensed");
    expect(at({ reached: "roof", "roof-safe": "yes" })).toBe("owner");
  });
});

describe("a job done for each part it serves", () => {
  it("counts a boiler's service for none of its parts: each is ticked", () => {
    const parts = [part("flue"), part("heat-exchanger"), part("condensate-trap")];
    const visited = home([unit("boiler")], parts, [
      event({ unitId: "new", taskKey: "visit", date: plainDate("2026-02-02") }),
    ]);
    for (const { id } of parts)
      expect(jobs(visited).find(({ task }) => task.partId === id)!.lastDone).toBeNull();
  });

  it("counts a flush for the line that was called blocked", () => {
    const blocked = event({
      kind: "reading",
      unitId: "new",
      partId: "new-condensate-line",
      date: plainDate("2026-03-01"),
      reading: judgeInput.parse({ kind: "drain", value: "blocked" }),
    });
    const flushed = event({
      unitId: "new",
      partId: "new-condensate-line",
      taskKey: "flush",
      date: plainDate("2026-03-02"),
    });
    const line = (...events: HistoryEvent[]) =>
      job(
        home([unit("condensing-furnace")], [part("condensate-line")], events),
        "new-condensate-line.clear",
      )!;
    expect(line(blocked).due).toBe("2026-03-01");
    expect(line(blocked, flushed).due).toBeNull();
  });

  it("takes what was put off and done on one day as done", () => {
    const deferral = event({
      kind: "put-off",
      taskKey: "walk",
      words: "no time",
      until: addDays(today, 5),
    });
    const done = event({ taskKey: "walk" });
    expect(job(home([], [], [deferral]), "home.walk")!.deferral).not.toBeNull();
    expect(job(home([], [], [deferral, done]), "home.walk")!.deferral).toBeNull();
  });
});

describe("a capacitor by the drifting strategy", () => {
  const id = "new-capacitor.replace";
  /** 5 µF, losing 0.08 each half year: past 4.7 about four months after the last. */
  const readings = [4.99, 4.91, 4.83, 4.75].map((value, i) =>
    event({
      kind: "reading",
      unitId: "new",
      partId: "new-capacitor",
      date: addDays(plainDate("2024-08-01"), 182 * i),
      reading: judgeInput.parse({ kind: "capacitor-uf", value, unit: "uF", rated: 5 }),
    }),
  );
  const at = (attributes: Part["attributes"], ...more: HistoryEvent[]) =>
    home([unit("split-cooling")], [part("capacitor", attributes)], [...readings, ...more]);

  it("is called for before the season it would not last through, and by nobody else", () => {
    const due = job(at({ "replace-when": "drifting" }), id)!;
    expect(due.due! >= "2026-03-01" && due.due! <= "2026-06-15").toBe(true);
    expect(job(at({}), id)!.due).toBeNull();
    expect(job(at({ "replace-when": "limits" }), id)!.due).toBeNull();
  });

  it("is done with once it is replaced, and counts the new one afresh", () => {
    const replaced = event({
      unitId: "new",
      partId: "new-capacitor",
      taskKey: "replace",
      date: plainDate("2026-03-10"),
    });
    expect(job(at({ "replace-when": "drifting" }, replaced), id)!.due).toBeNull();
  });
});

describe("humidity against the day's own fog limit", () => {
  const date = plainDate("2026-01-15");
  const verdict = (value: number, actuals: HomeSnapshot["actuals"]) =>
    judge(
      judgeInput.parse({
        kind: "relative-humidity",
        value,
        unit: "%",
        limits: { fogLimit: fogLimitOn({ ...snapshot, actuals }, date) },
      }),
    ).verdict;

  it("is too much in a hard frost what is sound on a usual day, by what was observed", () => {
    // Double panes at 21 °C: 8.6 °C on the glass at -20 °C outside, so fog from 45 % on.
    const frost = [{ date, meanC: -20 }];
    expect(fogLimitOn({ ...snapshot, actuals: frost }, date)).toBeCloseTo(45, 0);
    expect(verdict(47, frost)).toBe("watch");
    expect(verdict(47, [])).toBe("sound");
    expect(verdict(47, [{ date: addDays(date, -1), meanC: -20 }])).toBe("sound");
  });
});
