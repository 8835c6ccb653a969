import { addDays } from "@/core/quantities/plain-date";
import type { HistoryEvent, HomeBook } from "@/core/inventory/inventory";
import { standingOf } from "@/core/filters/filter-status";
import { reasonWords, standingsOf } from "./standings";
import { book, today } from "../../../tests/demo-book";

const look = (id: string, partId: string): HistoryEvent => ({
  id,
  kind: "look",
  unitId: "gallery",
  partId,
  date: today,
  recordedAt: "2026-03-14T08:30:00Z",
  look: { grade: "blocked" },
});
const by = (of: HomeBook, slotId: string, on = today) =>
  standingsOf(of, on).find(({ slot }) => slot.id === slotId)!;

describe("standings that are kept", () => {
  it("are those that would be worked out", () => {
    for (const standing of standingsOf(book, today))
      expect(standing).toEqual(standingOf(book, standing.slot, today, reasonWords));
  });

  it("are the same as long as nothing changes", () => {
    expect(standingsOf(book, today)).toBe(standingsOf(book, today));
  });

  it("are worked out anew only where something was seen", () => {
    const after = { ...book, events: [...book.events, look("seen", "gallery-bank")] };
    expect(by(after, "gallery-bank")).not.toBe(by(book, "gallery-bank"));
    expect(by(after, "gallery-bank").wear!.percentNow).toBeGreaterThan(
      by(book, "gallery-bank").wear!.percentNow,
    );
    expect(by(after, "cellar-filter")).toBe(by(book, "cellar-filter"));
  });

  it("see a withdrawal, a changed slot, a new driver and another unit's place", () => {
    const seen = { ...book, events: [...book.events, look("seen", "gallery-bank")] };
    const undone: HistoryEvent = {
      id: "undone",
      kind: "withdrawn",
      partId: "gallery-bank",
      date: today,
      recordedAt: "2026-03-14T08:31:00Z",
      corrects: "seen",
    };
    const withdrawn = { ...seen, events: [...seen.events, undone] };
    expect(by(withdrawn, "gallery-bank").wear).toEqual(by(book, "gallery-bank").wear);

    const finer = book.slots.map((slot) =>
      slot.id === "gallery-bank" ? { ...slot, maxAgeDays: 30 } : slot,
    );
    expect(by({ ...book, slots: finer }, "gallery-bank").wear!.likely).not.toBe(
      by(book, "gallery-bank").wear!.likely,
    );

    const drivers = [
      ...book.drivers,
      { id: "s", scope: "room" as const, roomId: "upper-bath", kind: "indoor-smoking" as const },
    ];
    const smoky = { ...book, drivers };
    expect(by(smoky, "purifier-hepa").wear).toEqual(by(book, "purifier-hepa").wear);
    const units = book.units.map((unit) =>
      unit.id === "purifier" ? { ...unit, roomId: "upper-bath" } : unit,
    );
    const moved = by({ ...smoky, units }, "purifier-hepa").wear!.likely!;
    expect(moved < by(book, "purifier-hepa").wear!.likely!).toBe(true);
  });

  it("are others on another day", () => {
    const tomorrow = by(book, "cellar-filter", addDays(today, 1)).wear!;
    expect(tomorrow.percentNow).toBeGreaterThan(by(book, "cellar-filter").wear!.percentNow);
  });
});
