import { plainDate } from "../quantities/plain-date";
import type { Visit } from "./visit";
import { visitsMadeFor, wasSeenTo } from "./made-for";

const seen = { unitId: "furnace", date: plainDate("2026-03-10") };
const visit = (more: Partial<Visit>): Visit => ({
  id: "v",
  reason: "breakdown",
  unitIds: ["furnace"],
  on: plainDate("2026-03-12"),
  ...more,
});
const over = { endedAt: "2026-03-12T10:00:00Z", verdict: "sound" } as const;

describe("a visit made for what was seen", () => {
  it("is one for a breakdown or a finding there, and no service that is planned anyway", () => {
    expect(visitsMadeFor([visit({})], seen)).toHaveLength(1);
    expect(visitsMadeFor([visit({ reason: "finding" })], seen)).toHaveLength(1);
    for (const reason of ["yearly", "half-yearly", "other"] as const)
      expect(visitsMadeFor([visit({ reason })], seen)).toEqual([]);
    expect(visitsMadeFor([visit({ unitIds: ["boiler"] })], seen)).toEqual([]);
    // One that was before cannot have seen to it.
    expect(visitsMadeFor([visit({ on: plainDate("2026-03-09") })], seen)).toEqual([]);
    const { on: _, ...dayless } = visit({});
    expect(visitsMadeFor([dayless], seen)).toHaveLength(1);
  });

  it("lets go only once it was, and left the machine fit to be used", () => {
    expect(wasSeenTo([visit({})], seen)).toBe(false);
    expect(wasSeenTo([visit(over)], seen)).toBe(true);
    expect(wasSeenTo([visit({ ...over, verdict: "out-of-use" })], seen)).toBe(false);
    expect(wasSeenTo([visit({ ...over, reason: "yearly" })], seen)).toBe(false);
  });
});
