import { homeStatus } from "@/server/snapshots/snapshot-cache";
import { snapshot, today } from "../../tests/demo-snapshot";
import { addDays } from "@/core/quantities/plain-date";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { lintelOf } from "@/core/timeline/lintel";
import { RENEW, taskId, type TaskChanges } from "@/core/scheduling/task";
import { scheduleNow } from "@/server/snapshots/snapshot-cache";
import { filterSummary } from "./filter-status";

const SLOT = "cellar-filter";
const by = (changes: TaskChanges): HomeSnapshot => ({
  ...snapshot,
  tasks: [{ id: "school", unitId: "cellar-furnace", partId: SLOT, key: RENEW, changes }],
});
const status = (home: HomeSnapshot) => filterSummary(homeStatus(home, today), SLOT)!;

describe("the strategy that governs a filter", () => {
  it("governs its heading, its reason, its job and its peg alike", () => {
    for (const changes of [{}, { school: "calendar" }, { school: "look" }] as TaskChanges[]) {
      const home = by(changes);
      const { due, strategy } = status(home);
      expect(strategy).toBe(changes.school ?? "wear");
      const schedule = scheduleNow(home, today);
      const job = schedule.find(({ task }) => task.id === taskId({ partId: SLOT }, RENEW))!;
      expect(due).toBe(job.due);
      const pegs = lintelOf(home, schedule, today).pegs.filter(
        ({ taskId: id }) => id === job.task.id,
      );
      if (due && due >= today) expect(pegs[0]).toMatchObject({ due, what: "filter" });
    }
  });

  it("says by what: wear with its causes, the calendar with its day, a look with what was seen", () => {
    expect(status(by({})).why).toMatch(/sooner than usual: .*clay dust/);
    expect(status(by({ school: "calendar" })).why).toMatch(
      /^By the calendar: every 45 days while it heats.*from 20 Feb\.$/,
    );
    expect(status(by({ school: "look" })).why).toMatch(
      /^Changed at the first grey look: not looked at yet; look/,
    );
  });

  it("still says when what hangs in the slot of a half-entered machine is full", () => {
    const entering: HomeSnapshot = {
      ...snapshot,
      units: snapshot.units.map((unit) =>
        unit.id === "cellar-furnace" ? { ...unit, setUpStep: "plate" as const } : unit,
      ),
    };
    const { job, due, words } = status(entering);
    expect(job).toBeUndefined();
    expect(due && due > today && due < addDays(today, 14)).toBe(true);
    expect(words).toMatch(/^(tomorrow|in \d days)$/);
  });

  it("names age only where it runs too little, and what shortened it otherwise", () => {
    const ages = snapshot.slots.map(({ id }) => filterSummary(homeStatus(snapshot, today), id)!);
    for (const { filterStatus, why } of ages)
      if (filterStatus.wear?.limitedBy !== "age") expect(why).not.toMatch(/runs too little/);
    const lungs = ages.find(({ filterStatus: { slot } }) => slot.id === SLOT)!;
    expect(lungs.why).toContain("breathing trouble");
  });
});
