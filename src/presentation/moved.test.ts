import { homeStatus } from "@/server/snapshots/snapshot-cache";
import { snapshot, today } from "../../tests/demo-snapshot";
import { addDays, plainDate } from "@/core/quantities/plain-date";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { HistoryEvent } from "@/core/history/history-event";
import { movedBy } from "./moved";

const noted = (more: Partial<HistoryEvent>): [HomeSnapshot, string] => {
  const event: HistoryEvent = {
    id: "noted",
    kind: "done",
    date: today,
    recordedAt: `${today}T09:00:00.000Z`,
    ...more,
  };
  return [{ ...snapshot, history: snapshot.history.with(event) }, event.id];
};
const said = (more: Partial<HistoryEvent>) => {
  const [home, id] = noted(more);
  return movedBy(homeStatus(home, today), id);
};

describe("what an entry moved", () => {
  it("says of a service in spring that it counts for the winter behind it", () => {
    const [line] = said({
      unitId: "cellar-furnace",
      taskKey: "visit",
      date: plainDate("2026-03-10"),
    });
    expect(line).toMatch(/^Have it serviced: still next \w+ \d+ \w+/);
    expect(line).toContain(
      "counts for the season behind it; the next belongs before the coming one",
    );
  });

  it("counts an interval from its day, and says from which", () => {
    const [line] = said({ taskKey: "walk", date: addDays(today, -2) });
    expect(line).toMatch(
      /^Walk round: listen, look, feel: next Sat 11 Apr.* Counted from Thu 12 Mar: every 30 days\.$/,
    );
  });

  it("says that nothing moves where something later is on record", () => {
    const [line] = said({
      unitId: "cellar-furnace",
      taskKey: "visit",
      date: plainDate("2023-08-01"),
    });
    expect(line).toMatch(/^Kept in the record\. No day moves: have it serviced is on record later/);
  });

  it("says of a look which way it moved the day, or what it taught all the same", () => {
    const look = (grade: "clean" | "blocked") =>
      said({ kind: "look", unitId: "cellar-furnace", partId: "cellar-filter", look: { grade } })[0];
    expect(look("clean")).toContain("filling slower than was thought");
    expect(look("blocked")).toContain("filling faster than was thought");
    const past = said({
      kind: "look",
      unitId: "cellar-furnace",
      partId: "cellar-filter",
      date: plainDate("2024-01-01"),
      look: { grade: "grey" },
    });
    expect(past).toHaveLength(1);
  });

  it("says nothing of what is not in the record", () => {
    expect(movedBy(homeStatus(snapshot, today), "nowhere")).toEqual([]);
  });
});
