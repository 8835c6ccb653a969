import { addDays, plainDate, type PlainDate } from "@/core/quantities/plain-date";
import { USUAL_OWNER, type YearPlan } from "@/core/planning/year";
import { planInput } from "@/core/planning/plan-schema";
import { evaluate } from "@/core/planning/evaluate";
import { getPlanInput } from "@/features/schedule/year/year-api";
import * as actions from "@/features/schedule/year/year-actions";
import { savePerson } from "@/features/schedule/people/people-actions";
import { fieldsOfPerson } from "@/features/schedule/people/person-form";
import { peopleOfHome } from "@/features/schedule/people/people-queries";
import { roundSheet } from "@/features/schedule/round/round-queries";
import { nextRoundOf } from "@/features/schedule/round/next-round-queries";
import { technicianPage } from "@/features/schedule/round/technician-queries";
import { yearPage } from "@/features/schedule/year/year-queries";
import { shellOf } from "@/features/timeline/shell-queries";
import { MOST_PINS_A_JOB } from "@/server/commands/year";
import { bringBack, remove } from "@/server/commands/trash";
import { actOnDemo, formOf, led, nothingSent } from "./acting";
import type { DemoStore } from "./demo-store";

jest.mock(
  "next/navigation",
  () => jest.requireActual<typeof import("./acting")>("./acting").navigation,
);
jest.setTimeout(120_000);

const HOME = "sluice-house";
const today = plainDate("2026-03-14");
const day = (offset: number) => addDays(today, offset);
const DRYER = "dryer-dryer-duct.brush";
const FILTER = "cellar-filter.renew";

let demo: DemoStore;
beforeAll(async () => (demo = await actOnDemo()));
afterAll(() => demo.discard());

const year = async () => (await demo.read(HOME)).snapshot.year;
const page = async () => (await yearPage(HOME))!;
const daysOf = ({ days }: YearPlan, task: string) =>
  days.filter((each) => each.task === task).map((each) => each.day);
const move = (task: string, from: PlainDate, to: PlainDate, version: number | null) =>
  actions.moveDays(HOME, { version, move: { of: [{ task, day: from }], to } });

describe("the demo’s year", () => {
  it("was published last month, has one job that was not done since, and a draft that mends it", async () => {
    const { current, draft, publishedOn, changes } = await page();
    expect(publishedOn).toBe(day(-30));
    expect(current!.missed.map(({ words }) => words)).toEqual([
      "Scullery dryer vent: brush out the dryer’s duct, planned for Sat 14 Feb",
    ]);
    expect(draft!.missed).toEqual([]);
    expect(draft!.withoutDay).toEqual([]);
    expect(changes.length).toBeGreaterThan(0);
    // What was not done has its day in the draft, today at the soonest.
    expect(daysOf((await year()).draft!, DRYER)[0]! >= today).toBe(true);
  });

  it("is far fewer rounds than errands, each with its person and minutes", async () => {
    const { draft, errands } = await page();
    expect(draft!.rounds.length * 3).toBeLessThan(errands);
    for (const { jobs, minutes, name, isVisit } of draft!.rounds) {
      // What comes round may be none of an agreed visit’s: it stands there all the same.
      if (!isVisit) expect(jobs).toBeGreaterThan(0);
      expect(minutes > 0).toBe(jobs > 0);
      expect(name).not.toBeNull();
    }
    const visit = draft!.rounds.find(({ isVisit }) => isVisit);
    // The technician’s visit in nine days is a round that stays.
    expect(visit?.day).toBe(day(9));
  });

  it("has every window and mark of every machine in its lane", async () => {
    const { draft } = await page();
    const lane = draft!.lanes.find(({ id }) => id === "cellar-furnace")!;
    const filter = lane.jobs.find(({ id }) => id === FILTER)!;
    expect(filter).toMatchObject({ isWear: true, name: "Change the filter", person: "owner" });
    for (const { day: on, opens, closes, isLate } of filter.marks) {
      expect(opens === null || on >= opens).toBe(true);
      expect(isLate).toBe(closes !== null && on > closes);
    }
    const stove = draft!.lanes.find(({ id }) => id === "kiln-furnace")!;
    expect(
      stove.jobs.filter(({ isLicensed }) => !isLicensed).map(({ person }) => person),
    ).toContain("ruben");
  });

  it("hangs its rounds from the beam, and what was missed lies at today", async () => {
    const { pegs, pegsPath } = (await shellOf(HOME))!;
    expect(pegsPath).toBe("year");
    const missed = pegs.find(({ past, lines }) => past && lines[0]!.startsWith("Round"));
    expect(missed?.lines[1]).toBe("Scullery dryer vent: brush out the dryer’s duct");
    // At today what was missed hangs by itself: a later round is all there is of its day.
    const next = pegs.find(({ past, path }) => !past && !path?.includes(today))!;
    expect(next.path).toMatch(/^year\/2026-03-\d\d\/(owner|ruben)$/);
    expect(next.lines).toHaveLength(
      1 + (await roundSheet(HOME, next.day, next.path.split("/")[2]!))!.left,
    );
  });

  it("gives whoever computes an input that reads as one, and prices as the page does", async () => {
    const answer = await getPlanInput(HOME);
    const input = planInput.parse(await answer.json());
    const { draft } = await year();
    const { cost } = evaluate({
      input,
      occurrences: draft!.days.map(({ task, day: on }) => ({ task, day: on })),
    });
    expect(cost.total).toBeGreaterThan(0);
    expect((await getPlanInput("nowhere")).status).toBe(404);
  });
});

describe("moving", () => {
  it("changes the draft, pins what was moved, and refuses what another window overtook", async () => {
    const before = (await year()).draft!;
    const [first] = daysOf(before, DRYER);
    expect(await move(DRYER, first!, day(21), before.version)).toEqual({ kind: "done" });
    const after = await year();
    expect(daysOf(after.draft!, DRYER)).toContain(day(21));
    expect(after.draft!.version).toBe(before.version + 1);
    expect(after.pins).toContainEqual(expect.objectContaining({ task: DRYER, day: day(21) }));
    // The other window still shows it where it was.
    expect(await move(DRYER, first!, day(28), before.version)).toEqual({ kind: "overtaken" });
    expect((await year()).draft).toEqual(after.draft);
    // Sent twice it acts once.
    expect(await move(DRYER, first!, day(21), after.draft!.version)).toEqual({ kind: "nothing" });
  });

  it("moves the pin along, and lets go of it", async () => {
    const { draft } = await year();
    await move(DRYER, day(21), day(28), draft!.version);
    expect((await year()).pins.map(({ day: on }) => on)).toEqual([day(28)]);
    await actions.pin(HOME, { task: DRYER, day: day(28), isPinned: false });
    expect((await year()).pins).toEqual([]);
    await actions.pin(HOME, { task: DRYER, day: day(28), isPinned: true });
    await actions.pin(HOME, { task: DRYER, day: day(28), isPinned: true });
    expect((await year()).pins).toHaveLength(1);
    const mark = (await page())
      .draft!.lanes.flatMap(({ jobs }) => jobs)
      .find(({ id }) => id === DRYER)!
      .marks.find(({ day: on }) => on === day(28));
    expect(mark?.isPinned).toBe(true);
    await actions.pin(HOME, { task: DRYER, day: day(28), isPinned: false });
  });

  it("takes a whole round along", async () => {
    const shown = (await page()).draft!;
    const round = shown.rounds.find(({ isVisit, jobs }) => !isVisit && jobs > 2)!;
    const of = shown.lanes.flatMap(({ jobs }) =>
      jobs.flatMap(({ id, person, marks }) =>
        person === round.person && marks.some(({ day: on }) => on === round.day)
          ? [{ task: id, day: round.day }]
          : [],
      ),
    );
    const to = addDays(round.day, 1);
    await actions.moveDays(HOME, { version: shown.version, move: { of, to } });
    const moved = (await page()).draft!;
    expect(
      moved.rounds.find((each) => each.day === to && each.person === round.person)!.jobs,
    ).toBeGreaterThanOrEqual(round.jobs);
    for (const { task } of of) await actions.pin(HOME, { task, day: to, isPinned: false });
  });

  it("takes nothing to the past, nothing that is not in the plan, and nothing it cannot read", async () => {
    const { draft } = await year();
    const { version } = draft!;
    expect(await move(DRYER, day(28), day(-1), version)).toEqual({ kind: "nothing" });
    expect(await move("gone.job", day(28), day(30), version)).toEqual({ kind: "nothing" });
    expect(await move(DRYER, day(28), "2026-02-31" as PlainDate, version)).toEqual({
      kind: "unreadable",
    });
    expect(
      await actions.moveDays("nowhere", {
        version: 1,
        move: { of: [{ task: DRYER, day: today }], to: day(3) },
      }),
    ).toEqual({ kind: "nothing" });
    expect((await year()).draft).toEqual(draft);
  });
});

describe("what no plan can have", () => {
  it("pins within the year, and few days a job", async () => {
    const far = { task: DRYER, day: day(366), isPinned: true };
    expect(await actions.pin(HOME, far)).toEqual({ kind: "too-far" });
    const { draft } = await year();
    const [first] = daysOf(draft!, DRYER);
    expect(await move(DRYER, first!, day(366), draft!.version)).toEqual({ kind: "too-far" });
    for (let n = 0; n < MOST_PINS_A_JOB; n++)
      expect(await actions.pin(HOME, { task: DRYER, day: day(40 + n), isPinned: true })).toEqual({
        kind: "done",
      });
    expect(await actions.pin(HOME, { task: DRYER, day: day(99), isPinned: true })).toEqual({
      kind: "too-many",
    });
    expect(await move(DRYER, first!, day(98), draft!.version)).toEqual({ kind: "too-many" });
    expect((await year()).pins).toHaveLength(MOST_PINS_A_JOB);
    expect((await year()).draft).toEqual(draft);
    for (const { task, day: on } of (await year()).pins)
      await actions.pin(HOME, { task, day: on, isPinned: false });
    expect((await year()).pins).toEqual([]);
  });

  it("keeps of a draft the jobs there are, each as often as its windows allow", async () => {
    const before = (await year()).draft!;
    const { madeOn, horizonEnd } = before;
    const sent = before.days.map(({ task, day: on }) => ({ task, day: on }));
    const send = (days: typeof sent) => actions.keepDraft(HOME, { madeOn, horizonEnd, days });
    // What was computed is kept whole.
    expect(await send(sent)).toEqual({ kind: "done" });
    const whole = (await year()).draft!;
    const ordered = (days: typeof sent) => days.map(({ task, day: on }) => `${task} ${on}`).sort();
    expect(ordered(whole.days)).toEqual(ordered(sent));
    // Thousands of days of one job, days no plan reaches, jobs that are not there: the page opens all the same.
    const odd = Array.from({ length: 5000 }, (_, n) => ({ task: DRYER, day: day(n % 900) }));
    expect(await send([...odd, { task: "gone.job", day: day(3) }])).toEqual({ kind: "done" });
    const { draft } = await year();
    // The duct is due twice a year at most: now, and once or twice more before next spring.
    expect(draft!.days.length).toBeGreaterThan(0);
    expect(draft!.days.length).toBeLessThanOrEqual(3);
    expect((await page()).draft!.kind).toBe("draft");
    expect(await actions.keepDraft(HOME, { madeOn, horizonEnd: day(-3), days: sent })).toEqual({
      kind: "too-far",
    });
    await actions.discard(HOME, { id: draft!.id, isDiscarded: true });
    await actions.discard(HOME, { id: before.id, isDiscarded: false });
    expect((await year()).draft!.id).toBe(before.id);
  });
});

describe("a draft", () => {
  it("counts only once it is published, and is a draft again when that is taken back", async () => {
    const { current, draft } = await year();
    const { id, version } = draft!;
    expect(await actions.publish(HOME, { id, version: version - 1 })).toEqual({
      kind: "overtaken",
    });
    expect(await actions.publish(HOME, { id, version })).toEqual({ kind: "done" });
    expect(await year()).toMatchObject({ draft: null, current: { id } });
    expect(await actions.publish(HOME, { id, version })).toEqual({ kind: "nothing" });
    expect(await actions.takeBack(HOME, id)).toEqual({ kind: "done" });
    expect(await year()).toMatchObject({ draft: { id }, current: { id: current!.id } });
  });

  it("is put away and brought back, unless another was begun meanwhile", async () => {
    const { draft } = await year();
    const { id } = draft!;
    await actions.discard(HOME, { id, isDiscarded: true });
    expect((await year()).draft).toBeNull();
    await actions.discard(HOME, { id, isDiscarded: false });
    expect((await year()).draft).toEqual(draft);
    await actions.discard(HOME, { id, isDiscarded: true });
    // Something moved: another draft begins, as the published plan stands today.
    const [first] = daysOf((await year()).current!, "mesh-left.renew").filter((on) => on >= today);
    expect(await move("mesh-left.renew", first!, day(5), null)).toEqual({ kind: "done" });
    expect(await actions.discard(HOME, { id, isDiscarded: false })).toEqual({ kind: "overtaken" });
    const fresh = (await year()).draft!;
    expect(daysOf(fresh, "mesh-left.renew")).toContain(day(5));
    // What was missed stands at today in it.
    expect(daysOf(fresh, DRYER)).toContain(today);
  });

  it("takes the place of the one before, without what is not of this home or has passed", async () => {
    const before = (await year()).draft!;
    const days = [
      { task: FILTER, day: day(4) },
      { task: FILTER, day: day(-4) },
      { task: "boiler-somewhere.look", day: day(4) },
    ];
    await actions.keepDraft(HOME, { madeOn: today, horizonEnd: day(365), days });
    const { draft } = await year();
    expect(draft!.id).not.toBe(before.id);
    expect(draft!.days).toEqual([{ task: FILTER, n: 1, day: day(4) }]);
  });
});

describe("who goes round", () => {
  const fields = fieldsOfPerson({ ...USUAL_OWNER, name: "Odo", leaves: ["power"] });

  it("is asked for each job by what they do, and whose machine it is", async () => {
    const { rows, nobody } = (await peopleOfHome(HOME, undefined))!;
    expect(rows.map(({ name }) => name)).toEqual(["Hedda", "Ruben", "The technician"]);
    expect(rows[1]!.more).toEqual([
      "Looks after Kiln-shed furnace and Studio heat pump.",
      "Leaves ladders, roofs and crawl spaces to others.",
    ]);
    expect(nobody).toBe(0);
    expect(rows[2]!.mayGo).toBe(false);
  });

  it("may be added, changed, taken out and brought back", async () => {
    expect(await led(savePerson(HOME, null, nothingSent, formOf(fields)))).toBe(
      `/homes/${HOME}/year/people`,
    );
    const { id } = (await year()).people.at(-1)!;
    await led(savePerson(HOME, id, nothingSent, formOf({ ...fields, mostMinutes: "45" })));
    expect((await year()).people.at(-1)).toMatchObject({ id, name: "Odo", mostMinutes: 45 });
    await remove({ kind: "person", homeId: HOME, id });
    expect((await year()).people.map(({ name }) => name)).toEqual(["Hedda", "Ruben"]);
    await bringBack({ kind: "person", homeId: HOME, id });
    expect((await year()).people.map(({ name }) => name)).toContain("Odo");
    await remove({ kind: "person", homeId: HOME, id });
  });

  it("shows what is wrong at its field, and loses nothing typed", async () => {
    const typed = {
      ...fields,
      name: "",
      weekdays: [],
      mostMinutes: "a lot",
      "from-0": "2026-05-09",
      "to-0": "2026-05-01",
    };
    const answer = await led(savePerson(HOME, null, nothingSent, formOf(typed)));
    if (typeof answer === "string") throw new Error("accepted");
    expect(Object.keys(answer.errors).sort()).toEqual(["mostMinutes", "name", "to-0", "weekdays"]);
    expect(answer.values["mostMinutes"]).toEqual(["a lot"]);
  });

  it("leaves jobs to nobody, and says so, where nobody does such work", async () => {
    const all = fieldsOfPerson({
      ...USUAL_OWNER,
      name: "Hedda",
      leaves: ["power", "height", "outdoors"],
    });
    const before = (await year()).people;
    await led(
      savePerson(
        HOME,
        "ruben",
        nothingSent,
        formOf({ ...fieldsOfPerson(before[1]!), leaves: ["power", "height"] }),
      ),
    );
    await led(savePerson(HOME, "owner", nothingSent, formOf(all)));
    const { nobody } = await page();
    expect(nobody).toContain("Cellar furnace: change the filter");
    for (const person of before)
      await led(savePerson(HOME, person.id, nothingSent, formOf(fieldsOfPerson(person))));
    expect((await page()).nobody).toEqual([]);
  });
});

describe("a round’s sheet", () => {
  it("says the order, what to bring with sizes, what to look at before, and who has to know", async () => {
    const { rounds } = (await page()).current!;
    const { day: on, person } = rounds.find(({ isVisit, jobs }) => !isVisit && jobs >= 4)!;
    const sheet = (await roundSheet(HOME, on, person))!;
    expect(sheet.isUnplanned).toBe(false);
    const jobs = sheet.lines.flatMap((line) => (line.kind === "job" ? [line.job] : []));
    expect(jobs.map(({ id }) => id)).toEqual(sheet.order);
    // Each machine that goes off does so once, before its jobs, and is on again after them.
    for (const { unit } of sheet.off) {
      const own = sheet.lines.map((line, i) => ({ line, i }));
      const off = own.filter(({ line }) => line.kind === "off" && line.unit === unit);
      const back = own.filter(({ line }) => line.kind === "on" && line.unit === unit);
      expect([off.length, back.length]).toEqual([1, 1]);
      expect(off[0]!.i).toBeLessThan(back[0]!.i);
    }
    expect(sheet.tools.length).toBeGreaterThan(0);
    if (sheet.off.length > 0) expect(sheet.checks.join(" ")).toContain("still");
  });

  it("names the filter by its size", async () => {
    const { lanes } = (await page()).current!;
    const filter = lanes.flatMap(({ jobs }) => jobs).find(({ id }) => id === FILTER)!;
    const sheet = (await roundSheet(HOME, filter.marks[0]!.day, filter.person))!;
    expect(sheet.consumables.map(({ thing }) => thing)).toContain("Filter 20×20×1");
  });

  it("is begun once, led in its order, ended, and on Today meanwhile", async () => {
    const { rounds } = (await page()).current!;
    const { day: on, person } = rounds.find(({ isVisit, jobs }) => !isVisit && jobs >= 2)!;
    const { order } = (await roundSheet(HOME, on, person))!;
    await actions.startRound(HOME, { person, day: on, order });
    await actions.startRound(HOME, { person, day: on, order: [...order].reverse() });
    const begun = (await year()).rounds.filter(({ startedAt }) => startedAt);
    expect(begun.map((round) => round.order)).toEqual([order]);
    const sheet = (await roundSheet(HOME, on, person))!;
    expect(sheet.next?.id).toBe(order[0]);
    expect(await nextRoundOf(HOME)).toMatchObject({ isBegun: true, jobs: order.length });
    await actions.endRound(HOME, { id: begun[0]!.id });
    // Another one is announced only where it comes within two weeks.
    expect((await nextRoundOf(HOME))?.isBegun ?? false).toBe(false);
    expect(await actions.endRound(HOME, { id: begun[0]!.id })).toEqual({ kind: "nothing" });
  });

  it("stays where it was agreed", async () => {
    const { rounds } = (await page()).current!;
    const { day: on, person } = rounds.find(({ isVisit }) => !isVisit)!;
    await actions.announce(HOME, { person, day: on, isAnnounced: true });
    expect((await page()).current!.rounds.find((each) => each.day === on)!.isAnnounced).toBe(true);
    const input = planInput.parse(await (await getPlanInput(HOME)).json());
    expect(input.lockedRounds).toContainEqual({ crew: person, home: HOME, day: on });
    await actions.announce(HOME, { person, day: on, isAnnounced: false });
    expect((await page()).current!.rounds.find((each) => each.day === on)!.isAnnounced).toBe(false);
    expect(await actions.announce(HOME, { person: "nobody", day: on, isAnnounced: true })).toEqual({
      kind: "nothing",
    });
  });

  it("is empty on a day without one, and none for nobody", async () => {
    expect(await roundSheet(HOME, "2026-07-08", "owner")).toMatchObject({
      isUnplanned: true,
      left: 0,
    });
    expect(await roundSheet(HOME, "someday", "owner")).toBeNull();
    expect(await roundSheet(HOME, today, "nobody")).toBeNull();
  });
});

it("bundles a technician’s jobs over both homes, and asks for three days", async () => {
  const { days, homes } = (await technicianPage(HOME))!;
  expect(homes).toBe(2);
  expect(days[0]).toMatchObject({ day: day(9), isAgreed: true });
  const open = days.find(({ isAgreed }) => !isAgreed)!;
  expect(open.asked).toHaveLength(3);
  expect(open.text).toContain("Could you come on one of these days");
  expect(days.some((each) => each.homes.length === 2)).toBe(true);
});

it("opens for a home without machines, and without a plan", async () => {
  const boathouse = (await yearPage("the-boathouse")) ?? (await yearPage("boathouse"));
  expect(boathouse).toMatchObject({ current: null, draft: null, isEmpty: false });
  expect(boathouse!.bare.length).toBeGreaterThan(0);
  expect((await shellOf(boathouse!.homeId))!.pegsPath).toBe("jobs");
});
