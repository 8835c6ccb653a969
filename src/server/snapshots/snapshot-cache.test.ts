import { addDays } from "@/core/quantities/plain-date";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { HistoryEvent } from "@/core/history/history-event";
import { filterStatusOf } from "@/core/filters/filter-status";
import { reasonWords, filterStatusesOf } from "./snapshot-cache";
import { snapshot, today } from "../../../tests/demo-snapshot";

const look = (id: string, partId: string): HistoryEvent => ({
  id,
  kind: "look",
  unitId: "gallery",
  partId,
  date: today,
  recordedAt: "2026-03-14T08:30:00Z",
  look: { grade: "blocked" },
});
const by = (of: HomeSnapshot, slotId: string, on = today) =>
  filterStatusesOf(of, on).find(({ slot }) => slot.id === slotId)!;

describe("filter statuses that are kept", () => {
  it("are those that would be worked out", () => {
    for (const filterStatus of filterStatusesOf(snapshot, today))
      expect(filterStatus).toEqual(filterStatusOf(snapshot, filterStatus.slot, today, reasonWords));
  });

  it("are the same as long as nothing changes", () => {
    expect(filterStatusesOf(snapshot, today)).toBe(filterStatusesOf(snapshot, today));
  });

  it("are worked out anew only where something was seen", () => {
    const after = {
      ...snapshot,
      history: snapshot.history.with(look("seen", "gallery-bank")),
    };
    expect(by(after, "gallery-bank")).not.toBe(by(snapshot, "gallery-bank"));
    expect(by(after, "gallery-bank").wear!.percentNow).toBeGreaterThan(
      by(snapshot, "gallery-bank").wear!.percentNow,
    );
    expect(by(after, "cellar-filter")).toBe(by(snapshot, "cellar-filter"));
  });

  it("see a withdrawal, a changed slot, a new driver and another unit's place", () => {
    const seen = {
      ...snapshot,
      history: snapshot.history.with(look("seen", "gallery-bank")),
    };
    const undone: HistoryEvent = {
      id: "undone",
      kind: "withdrawn",
      partId: "gallery-bank",
      date: today,
      recordedAt: "2026-03-14T08:31:00Z",
      corrects: "seen",
    };
    const withdrawn = { ...seen, history: seen.history.with(undone) };
    expect(by(withdrawn, "gallery-bank").wear).toEqual(by(snapshot, "gallery-bank").wear);

    const finer = snapshot.slots.map((slot) =>
      slot.id === "gallery-bank" ? { ...slot, maxAgeDays: 30 } : slot,
    );
    expect(by({ ...snapshot, slots: finer }, "gallery-bank").wear!.likely).not.toBe(
      by(snapshot, "gallery-bank").wear!.likely,
    );

    const drivers = [
      ...snapshot.drivers,
      { id: "s", scope: "room" as const, roomId: "upper-bath", kind: "indoor-smoking" as const },
    ];
    const smoky = { ...snapshot, drivers };
    expect(by(smoky, "purifier-hepa").wear).toEqual(by(snapshot, "purifier-hepa").wear);
    const units = snapshot.units.map((unit) =>
      unit.id === "purifier" ? { ...unit, roomId: "upper-bath" } : unit,
    );
    const moved = by({ ...smoky, units }, "purifier-hepa").wear!.likely!;
    expect(moved < by(snapshot, "purifier-hepa").wear!.likely!).toBe(true);
  });

  it("are others on another day", () => {
    const tomorrow = by(snapshot, "cellar-filter", addDays(today, 1)).wear!;
    expect(tomorrow.percentNow).toBeGreaterThan(by(snapshot, "cellar-filter").wear!.percentNow);
  });
});
