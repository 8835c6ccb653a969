import { JOBS } from "@/content/default-tasks";
import { LEADS } from "@/content/leads";
import { GONE, SIGN_GROUPS, signOf } from "@/content/signs";
import { day, event, slot, snapshot, today, unit } from "../../../tests/small-home";
import type { HistoryEvent } from "../history/history-event";
import type { HomeSnapshot } from "../history/home-snapshot";
import { judgeInput } from "../readings/judge";
import { tasksOf } from "../scheduling/home-tasks";
import { scheduleGrounds, scheduleOf } from "../scheduling/schedule";
import { YearTables } from "../scheduling/year-tables";
import { callsOf } from "./calls";
import { familyOf, stillNoticed, verdictOfSign } from "./sign";

const signs = SIGN_GROUPS.flatMap((group) => group.signs);

/** What was noticed at the furnace, or in the house, as the form writes it down. */
function noticed(id: string, offset: number, unitId: string | undefined = "furnace"): HistoryEvent {
  const sign = signOf(id)!;
  const { unitId: _, partId: __, ...entry } = event(sign.reading ? "reading" : "noticed", offset);
  return {
    ...entry,
    sign: id,
    ...(unitId ? { unitId } : {}),
    ...(sign.reading ? { reading: judgeInput.parse(sign.reading) } : {}),
  };
}

const withDucts: Partial<HomeSnapshot> = {
  units: [unit, { ...unit, id: "ducts", kind: "ducts", name: "Ducts" }],
};
const callsIn = (events: HistoryEvent[], extra: Partial<HomeSnapshot> = withDucts) => {
  const home = snapshot(events, extra);
  return [...callsOf(home, tasksOf(home, JOBS), LEADS)].map(([id, { on }]) => `${id} ${on}`);
};

describe("what can be noticed", () => {
  it("has names of its own, and a way to say that it has gone again", () => {
    expect(new Set(signs.map(({ id }) => id)).size).toBe(signs.length);
    for (const { id } of signs) {
      const gone = GONE[familyOf(id)]!;
      expect([id, verdictOfSign(gone)]).toEqual([id, "sound"]);
      expect(familyOf(gone.id)).toBe(familyOf(id));
    }
  });

  it("stops where safety says so, and only there", () => {
    const stops = signs.filter((sign) => verdictOfSign(sign) === "stop").map(({ id }) => id);
    expect(stops).toEqual([
      ...["smell:gas", "smell:burning", "noise:bang"],
      ...["alarm:sounds", "fire:smoke", "flood:runs", "sparks:seen", "shock:felt"],
    ]);
  });

  it("leads somewhere, unless it is well, needs a machine’s own light, or passes by itself", () => {
    // White hoar in heating weather thaws itself.
    const passes = ["smell:first-heat-dust", "noise:rattle", "light:on", "smell:gas", "frost:hoar"];
    for (const { id, reading, isWell } of signs) {
      if (isWell || passes.includes(id)) continue;
      const lead = LEADS.find(
        ({ from }) =>
          ("sign" in from && from.sign.includes(id)) ||
          ("reading" in from &&
            "is" in from &&
            from.reading === reading?.kind &&
            from.is.includes(reading.value)),
      );
      expect([id, lead !== undefined]).toEqual([id, true]);
    }
  });
});

describe("what was noticed and holds still", () => {
  it("is the last of each family at each place", () => {
    const all = [
      noticed("smell:musty", -9),
      noticed("noise:squeal", -8),
      noticed("smell:burning", -2),
      noticed("smell:musty", -1, "other"),
    ];
    expect(stillNoticed(all as never).map(({ sign, unitId }) => `${sign} ${unitId}`)).toEqual([
      "noise:squeal furnace",
      "smell:burning furnace",
      "smell:musty other",
    ]);
  });
});

describe("jobs called for", () => {
  it("are a look and the registers where the air is weak", () => {
    expect(callsIn([noticed("air:weak", -3)])).toEqual([
      `slot.look ${day(-3)}`,
      `ducts.registers ${day(-3)}`,
    ]);
  });

  it("are no more once it has gone again", () => {
    const gone = { ...noticed("air:weak", -1), sign: "air:well" };
    expect(callsIn([noticed("air:weak", -3), gone])).toEqual([]);
  });

  it("are those of every machine where nobody knows which", () => {
    const slots = [slot(), slot({ id: "cleaner", unitId: "cleaner" })];
    const units = [unit, { ...unit, id: "cleaner", systemId: "air", name: "Cleaner" }];
    const calls = callsIn([noticed("breathing:worse", -2, "")], { slots, units });
    expect(calls).toEqual([`slot.look ${day(-2)}`, `cleaner.look ${day(-2)}`]);
    // A smell of burning is no reason to call for every wire in the house.
    expect(callsIn([noticed("smell:burning", -2, "")], { slots, units })).toEqual([]);
  });

  it("are what is said to follow a breakdown", () => {
    const stopped = event("breakdown", -5, { breakdown: { follows: "slot.renew" } });
    expect(callsIn([stopped])).toEqual([`slot.renew ${day(-5)}`]);
  });
});

describe("the schedule", () => {
  const lookJob = (events: HistoryEvent[]) => {
    const home = snapshot([event("fitted", -40), ...events], withDucts);
    const tasks = tasksOf(home, JOBS);
    const calls = callsOf(home, tasks, LEADS);
    const years = new YearTables(home.home.climate);
    const grounds = scheduleGrounds(home, years, calls);
    return scheduleOf(home, tasks, new Map(), today, day(60), grounds).find(
      ({ task }) => task.id === "slot.look",
    )!;
  };

  it("has a look due from the day something asked for it, for a week", () => {
    expect(lookJob([])).toMatchObject({ due: null, called: null });
    expect(lookJob([noticed("air:weak", -3)])).toMatchObject({
      opens: day(-3),
      due: day(-3),
      closes: day(4),
      state: "due",
      ahead: [today],
      called: { on: day(-3) },
    });
    expect(lookJob([noticed("air:weak", -20)]).state).toBe("past");
  });

  it("lets go of it once somebody has looked", () => {
    const looked = event("look", -1, { look: { grade: "grey" } });
    expect(lookJob([noticed("air:weak", -3), looked])).toMatchObject({ due: null, called: null });
  });
});
