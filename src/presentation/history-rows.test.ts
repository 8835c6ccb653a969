import { snapshot, today } from "../../tests/demo-snapshot";
import { judgeInput } from "@/core/readings/judge";
import type { HistoryEvent } from "@/core/history/history-event";
import { historyLines } from "./history-rows";

const entry = (more: Partial<HistoryEvent>): HistoryEvent => ({
  id: "e",
  kind: "note",
  unitId: "kiln-furnace",
  date: today,
  recordedAt: `${today}T09:00:00.000Z`,
  ...more,
});
const said = (more: Partial<HistoryEvent>) => {
  const [line] = historyLines(snapshot, [entry(more)], today, true);
  return [line!.what, ...line!.details].join(", ");
};

describe("an entry of the record, in words", () => {
  it("says what was noticed in our words and the householder’s", () => {
    expect(said({ kind: "noticed", sign: "air:weak", words: "upstairs" })).toBe(
      "Noticed: The air is weak, upstairs",
    );
    const reading = judgeInput.parse({ kind: "smell", value: "musty" });
    expect(said({ kind: "reading", sign: "smell:musty", reading })).toBe(
      "Noticed: It smells musty",
    );
    // A sign of another version is still an entry.
    expect(said({ kind: "noticed", sign: "tea:cold" })).toBe("Noticed: something");
  });

  it("says of a breakdown what its display showed, what was found, and how long it stood", () => {
    const breakdown = { code: "33", found: "Limit tripped", cause: "No air", daysWithout: 1 };
    expect(said({ kind: "breakdown", words: "Cold shed.", costMinor: 18000, breakdown })).toMatch(
      /^Broke down, Cold shed\., €180\.00, code 33, limit tripped, cause: no air, 1 day without/,
    );
    expect(said({ kind: "breakdown", words: "Cold shed." })).toMatch(/^Broke down, Cold shed\./);
  });

  it("names the part, what it cost and what it took", () => {
    expect(
      said({
        ...{ kind: "done", partId: "kiln-furnace-belt", taskKey: "look" },
        ...{ minutes: 10, costMinor: 450, corrects: "before" },
      }),
    ).toMatch(/^Drive belt: .*, €4\.50, 10 min, corrected$/);
  });

  it("sets what was seen or said apart from what was changed", () => {
    const isChange = (more: Partial<HistoryEvent>) =>
      historyLines(snapshot, [entry(more)], today, false)[0]!.isChange;
    expect(isChange({ kind: "noticed", sign: "air:weak" })).toBe(false);
    expect(isChange({ kind: "breakdown" })).toBe(true);
    expect(isChange({ kind: "done" })).toBe(true);
  });
});
