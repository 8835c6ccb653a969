import { smallStatus } from "../../../scripts/example-names";
import { homeStatus } from "@/server/snapshots/snapshot-cache";
import { snapshot, today } from "../../../tests/demo-snapshot";
import { addDays, daysFrom } from "../quantities/plain-date";
import { evaluate } from "./evaluate";
import { personFor, homePlan, THE_HOME, whoDoes, type JobFacts } from "./home-plan";
import { NO_YEAR, OWNER, peopleOf, TECHNICIAN, USUAL_OWNER } from "./year";
import { naivePlan, plan } from "./plan";

jest.setTimeout(60_000);

const plain: JobFacts = { powerOff: false, outdoor: false, reach: "floor", consumable: 0 };

describe("a home as a plan asks for it", () => {
  const { input } = homePlan(smallStatus, () => plain);
  const renew = input.tasks.find(({ id }) => id === "slot.renew")!;
  const job = smallStatus.jobs.find(({ task }) => task.id === "slot.renew")!;

  it("has each job with the window in which it stands, and those after by the day it is done", () => {
    expect(renew).toMatchObject({ unit: "furnace", crew: OWNER, lastDone: addDays(today, -40) });
    expect(renew.first).toEqual({ opens: job.opens, due: job.due, closes: job.closes });
    // Done on its due day the next is due when the schedule has it.
    expect(renew.windows.from).toBe(today);
    expect(renew.windows.due[daysFrom(today, job.ahead[0]!)]).toBe(job.ahead[1]);
  });

  it("leaves out what nothing calls for, and what is off", () => {
    const ids = input.tasks.map(({ id }) => id);
    expect(ids).not.toContain("slot.look");
    expect(new Set(ids).size).toBe(ids.length);
    expect(input.units.map(({ id }) => id)).toEqual([THE_HOME, "furnace"]);
    const licensed = smallStatus.jobs.filter(
      ({ task, due }) => task.who === "licensed" && due !== null && due <= input.horizonEnd,
    );
    expect(input.tasks.filter(({ crew }) => crew === TECHNICIAN)).toHaveLength(licensed.length);
  });
});

describe("who does what", () => {
  const people = peopleOf({
    people: [
      { ...USUAL_OWNER, id: "a", leaves: ["power"] },
      { ...USUAL_OWNER, id: "b", leaves: ["height"], unitIds: ["kiln"] },
    ],
  });
  const who = (
    facts: Partial<JobFacts>,
    task: { who?: "owner" | "licensed"; unitId?: string } = {},
  ) => whoDoes(people, { who: "owner", ...task }, { ...plain, ...facts })?.id ?? null;

  it("is whose machine it is, else the first who does such work; licensed work is the technician’s", () => {
    expect(who({})).toBe("a");
    expect(who({}, { unitId: "kiln" })).toBe("b");
    expect(who({ powerOff: true })).toBe("b");
    expect(who({ reach: "loft" }, { unitId: "kiln" })).toBe("a");
    expect(who({ powerOff: true, reach: "roof" })).toBeNull();
    expect(who({ powerOff: true }, { who: "licensed" })).toBe(TECHNICIAN);
  });

  it("hands over what is due while somebody is away to who is there, and keeps it where all are away", () => {
    const away = (from: number, to: number) => [
      { from: addDays(today, from), to: addDays(today, to) },
    ];
    const two = (second: number) =>
      peopleOf({
        people: [
          { ...USUAL_OWNER, id: "a", away: away(0, 30), unitIds: ["kiln"] },
          { ...USUAL_OWNER, id: "b", away: away(0, second) },
        ],
      });
    const due = (opens: number, closes: number) => ({
      task: { who: "owner", unitId: "kiln" } as never,
      opens: addDays(today, opens),
      due: addDays(today, opens + 1),
      closes: addDays(today, closes),
    });
    expect(personFor(two(-1), due(2, 10), plain, today)?.id).toBe("b");
    // Back before it closes, the first keeps it.
    expect(personFor(two(-1), due(2, 31), plain, today)?.id).toBe("a");
    expect(personFor(two(30), due(2, 10), plain, today)?.id).toBe("a");
  });

  it("has what waits for its weather in the plan only once it was called, and then once", () => {
    const SNOW = "cellar-furnace-plastic-vent.snow";
    const status = homeStatus(snapshot, today);
    expect(status.jobs.find(({ task }) => task.id === SNOW)?.waits).not.toBeNull();
    expect(homePlan(status, () => plain).input.tasks.some(({ id }) => id === SNOW)).toBe(false);
    const lies = { id: "lies", kind: "note" as const, sign: "weather:snow", date: today };
    const history = snapshot.history.with({ ...lies, recordedAt: `${today}T08:00:00.000Z` });
    const called = homePlan(homeStatus({ ...snapshot, history }, today), () => plain).input;
    const task = called.tasks.find(({ id }) => id === SNOW)!;
    expect([task.criticality, task.first?.due]).toEqual([2, today]);
    expect(task.windows.due.every((due) => due === null)).toBe(true);
  });

  it("is in the plan by their own days, and what nobody does is named beside it", () => {
    const year = {
      ...NO_YEAR,
      people: [
        {
          ...USUAL_OWNER,
          preferred: [3],
          away: [{ from: today, to: addDays(today, 9) }],
          mostMinutes: 45,
          leaves: ["power" as const],
        },
      ],
    };
    const home = homeStatus({ ...snapshot, year }, today);
    const { input, nobody } = homePlan(home, ({ key }) => ({
      ...plain,
      powerOff: key === "renew",
    }));
    expect(input.crews[0]).toMatchObject({
      ...{ id: OWNER, capMinutes: 45, preferred: [3] },
      days: { except: [{ from: today, to: addDays(today, 9) }] },
    });
    expect(nobody.length).toBeGreaterThan(3);
    expect(nobody.every(({ task }) => task.key === "renew")).toBe(true);
    expect(input.tasks.some(({ id }) => nobody.some(({ task }) => task.id === id))).toBe(false);
  });
});

describe("what was agreed", () => {
  it("stays: a visit with its day, an announced round, a pin; what was published is remembered", () => {
    const day = addDays(today, 12);
    const year = {
      ...NO_YEAR,
      pins: [
        { id: "p1", task: "cellar-filter.renew", day },
        { id: "p2", task: "cellar-filter.renew", day: addDays(today, -3) },
        { id: "p3", task: "gone.renew", day },
      ],
      rounds: [
        { id: "r1", person: OWNER, day, announcedAt: "2026-03-10T09:00:00Z", order: [] },
        { id: "r2", person: OWNER, day: addDays(today, 20), order: [] },
        { id: "r3", person: "somebody", day, announcedAt: "2026-03-10T09:00:00Z", order: [] },
      ],
      current: {
        ...{ id: "y", version: 1, madeOn: addDays(today, -30), horizonEnd: addDays(today, 335) },
        days: [{ task: "cellar-filter.renew", n: 1, day }],
      },
    };
    const { input } = homePlan(homeStatus({ ...snapshot, year }, today), () => plain);
    expect(input.pins).toEqual([{ task: "cellar-filter.renew", n: 1, day }]);
    expect(input.previous).toEqual(year.current.days);
    expect(input.lockedRounds).toEqual([
      { crew: TECHNICIAN, home: "sluice-house", day: addDays(today, 9) },
      { crew: OWNER, home: "sluice-house", day },
    ]);
  });
});

describe("the year of the demo home", () => {
  it("comes to few rounds, at less than half of what first weekends cost", () => {
    const off = new Set(
      snapshot.units.filter(({ shutOffs }) => shutOffs.length > 0).map(({ id }) => id),
    );
    const input = {
      ...homePlan(homeStatus(snapshot, today), ({ unitId, handsOn }) => ({
        ...plain,
        powerOff: unitId !== undefined && off.has(unitId) && handsOn >= 10,
      })).input,
      iterations: 300,
    };
    expect(input.tasks.length).toBeGreaterThan(90);
    const made = plan(input);
    const weekends = evaluate({ input, occurrences: naivePlan(input, true) });
    expect(made.cost.total * 2).toBeLessThan(weekends.cost.total);
    const ours = made.rounds.filter(({ crew }) => crew === OWNER).length;
    expect(ours).toBeLessThan(110);
    for (const { day, opens } of made.occurrences)
      expect(opens === null || day >= opens).toBe(true);
    expect(made.conflicts.filter(({ kind }) => kind !== "over-cap")).toEqual([]);
  });
});
