import { book, today } from "../../tests/demo-book";
import { addDays, plainDate } from "@/core/quantities/plain-date";
import { agendaOf, type TaskStanding } from "@/core/scheduling/schedule";
import type { HistoryEvent, HomeBook, Part, Unit } from "@/core/inventory/inventory";
import { partsOf } from "@/core/scheduling/trigger";
import { fogLimitOn } from "@/core/readings/fog-limit";
import { judge, judgeInput } from "@/core/readings/judge";
import { AGENDA_DAYS } from "@/server/snapshots/agendas";
import { calendarOf, partTasks, slotExtras, unitTasks } from "./default-tasks";
import { tasksOf } from "@/core/scheduling/home-tasks";
import { standingsOf } from "@/server/snapshots/standings";
import { cadenceWords } from "@/presentation/task-words";

const jobs = (home: HomeBook, on = today): TaskStanding[] =>
  agendaOf(home, tasksOf(home), standingsOf(home, on), on, addDays(on, AGENDA_DAYS));
const job = (home: HomeBook, id: string, on = today): TaskStanding | undefined =>
  jobs(home, on).find((each) => each.task.id === id);

const unit = (kind: string, more: Partial<Unit> = {}): Unit => ({
  id: "new",
  levelId: book.levels[0]!.id,
  systemId: book.systems[0]!.id,
  kind,
  name: "New one",
  answers: {},
  shutOffs: [],
  fittedOn: plainDate("2020-05-01"),
  ...more,
});
const part = (kind: string, answers: Part["answers"] = {}): Part => ({
  id: `new-${kind}`,
  unitId: "new",
  kind,
  name: kind,
  answers,
});
const event = (more: Partial<HistoryEvent>): HistoryEvent => ({
  id: `event-${JSON.stringify(more).length}-${more.date}`,
  kind: "done",
  date: today,
  recordedAt: `${today}T08:00:00.000Z`,
  ...more,
});
const home = (units: Unit[], parts: Part[] = [], events: HistoryEvent[] = []): HomeBook => ({
  ...book,
  units: [...book.units, ...units],
  parts: [...book.parts, ...parts],
  events: [...book.events, ...events],
});
const rhythm = (kind: Parameters<typeof partTasks>[0], key: string, unitKind?: string): string =>
  cadenceWords(partTasks(kind, unitKind).find((task) => task.key === key)!.cadence);

describe("when things come round by default", () => {
  it("flushes a line while its machine makes water", () => {
    expect(rhythm("condensate-line", "flush", "condensing-furnace")).toContain("while it heats");
    expect(rhythm("condensate-line", "flush", "split-cooling")).toContain("while it cools");
    expect(rhythm("condensate-line", "flush", "boiler")).toContain("while it heats");
  });

  it("has sensor, batteries and alarms seen to before the heating", () => {
    expect(rhythm("flame-sensor", "polish")).toMatch(/before heating/);
    expect(rhythm("batteries", "change")).toMatch(/before heating/);
    const alarms = job(book, "home.alarms")!.task;
    expect(cadenceWords(alarms.cadence)).toMatch(/every month, or .* before heating/);
    expect(alarms.isSafety).toBe(true);
  });

  it("polishes the sensor sooner where a dryer or a litter box stands beside it", () => {
    const sensor = book.parts.find(({ kind }) => kind === "flame-sensor")!;
    const id = `${sensor.id}.polish`;
    const without = {
      ...book,
      drivers: book.drivers.filter(({ kind }) => kind !== "dryer-or-litter-beside"),
    };
    const beside: HomeBook = {
      ...without,
      drivers: [...without.drivers, { id: "dryer", scope: "home", kind: "dryer-or-litter-beside" }],
    };
    expect(partsOf(job(without, id)!.task.cadence).length).toBe(1);
    expect(partsOf(job(beside, id)!.task.cadence)).toContainEqual(
      expect.objectContaining({ kind: "every", n: 4, unit: "month" }),
    );
  });

  it("lets its owner look at wires, and has their ends made anew by a licensed person", () => {
    const by = Object.fromEntries(partTasks("wiring").map(({ key, who }) => [key, who]));
    expect(by).toEqual({ look: "owner", mend: "licensed" });
  });

  it("asks two visits a year and a cooling test for a ducted heat pump", () => {
    const keys = unitTasks("ducted-heat-pump").map(({ key }) => key);
    expect(keys).toEqual(expect.arrayContaining(["test", "visit", "visit-heating"]));
  });

  it("counts an inch of pleats by 90 days of use, cells and ventilator by half years", () => {
    expect(calendarOf("pleated-25")).toMatchObject({ n: 90, unit: "day", within: "inUse" });
    for (const media of ["electrostatic-cell", "vent-coarse", "vent-fine"] as const)
      expect(calendarOf(media)).toMatchObject({ n: 6, unit: "month" });
    expect(slotExtras("vent-fine")[0]).toMatchObject({ key: "vacuum", cadence: { n: 1 } });
  });

  it("goes by the time in use where no summer is warm enough for a season of its own", () => {
    const cool: HomeBook = {
      ...home([unit("split-cooling")], [part("condenser-coil")]),
      home: {
        ...book.home,
        climate: { ...book.home.climate, monthlyMeanC: Array<number>(12).fill(8) },
      },
    };
    const cadence = job(cool, "new-condenser-coil.clean")!.task.cadence;
    expect(partsOf(cadence)).toContainEqual(
      expect.objectContaining({ kind: "every", n: 1, unit: "year", within: "inUse" }),
    );
    expect(
      job(home([unit("split-cooling")], [part("condenser-coil")]), "new-condenser-coil.clean")!.task
        .cadence.kind,
    ).toBe("season");
  });

  it("leads nobody to a hose or foam indoors, nor into a head", () => {
    const [portable] = partTasks("condenser-coil", "portable-cooler");
    expect(portable).toMatchObject({ who: "owner", procedureIds: ["brush-portable-coils"] });
    const head = [
      ...partTasks("evaporator-coil", "ductless-head"),
      ...partTasks("condenser-coil", "ductless-head"),
    ];
    for (const task of head) {
      expect(task.procedureIds ?? []).toEqual([]);
      if (task.key === "clean") expect(task.who).toBe("licensed");
    }
  });

  it("keeps a roof for licensed people until it is said to be safely reached", () => {
    const at = (answers: Unit["answers"]) =>
      job(home([unit("rooftop", { answers })], [part("drain-pan")]), "new-drain-pan.wipe")!.task
        .who;
    expect(at({})).toBe("licensed");
    expect(at({ reached: "floor" })).toBe("owner");
    expect(at({ reached: "roof", "roof-safe": "no" })).toBe("licensed");
    expect(at({ reached: "roof", "roof-safe": "yes" })).toBe("owner");
  });
});

describe("a job done for each part it serves", () => {
  it("counts a boiler's service for its flue, its exchanger and its trap", () => {
    const parts = [part("flue"), part("heat-exchanger"), part("condensate-trap")];
    const visited = home([unit("boiler")], parts, [
      event({ unitId: "new", taskKey: "visit", date: plainDate("2026-02-02") }),
    ]);
    for (const { id } of parts)
      expect(jobs(visited).find(({ task }) => task.partId === id)!.lastDone).toBe("2026-02-02");
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
    const putOff = event({
      kind: "put-off",
      taskKey: "walk",
      words: "no time",
      until: addDays(today, 5),
    });
    const done = event({ taskKey: "walk" });
    expect(job(home([], [], [putOff]), "home.walk")!.putOff).not.toBeNull();
    expect(job(home([], [], [putOff, done]), "home.walk")!.putOff).toBeNull();
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
  const at = (answers: Part["answers"], ...more: HistoryEvent[]) =>
    home([unit("split-cooling")], [part("capacitor", answers)], [...readings, ...more]);

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
  const verdict = (value: number, actuals: HomeBook["actuals"]) =>
    judge(
      judgeInput.parse({
        kind: "relative-humidity",
        value,
        unit: "%",
        limits: { fogLimit: fogLimitOn({ ...book, actuals }, date) },
      }),
    ).verdict;

  it("is too much in a hard frost what is sound on a usual day, by what was observed", () => {
    // Double panes at 21 °C: 8.6 °C on the glass at -20 °C outside, so fog from 45 % on.
    const frost = [{ date, meanC: -20 }];
    expect(fogLimitOn({ ...book, actuals: frost }, date)).toBeCloseTo(45, 0);
    expect(verdict(47, frost)).toBe("watch");
    expect(verdict(47, [])).toBe("sound");
    expect(verdict(47, [{ date: addDays(date, -1), meanC: -20 }])).toBe("sound");
  });
});
