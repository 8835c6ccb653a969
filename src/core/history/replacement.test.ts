import { replacementOf } from "./replacement";
import { today, slot } from "../../../tests/small-home";

describe("a renewal", () => {
  const happened = { date: today, recordedAt: "2026-03-14T08:30:00Z" };
  const ids = { event: "event", item: "item" };
  it("brings a new item in at the price of all its filters", () => {
    const { event: made, item } = replacementOf(
      slot({ filterCount: 4, priceMinor: 950 }),
      ids,
      happened,
    );
    expect(item).toMatchObject({
      id: "item",
      media: "pleated-25",
      sizeText: "20x20x1",
      priceMinor: 950,
    });
    expect(made).toMatchObject({ kind: "fitted", itemId: "item", costMinor: 3800, date: today });
  });
  it("puts a cleaned one back as the same item, unless there was none", () => {
    const washable = slot({ media: "washable-panel" });
    expect(replacementOf(washable, ids, happened, "before")).toMatchObject({
      item: null,
      event: { kind: "cleaned", itemId: "before" },
    });
    expect(replacementOf(washable, ids, happened).event.kind).toBe("fitted");
  });
});
