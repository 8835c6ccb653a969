import { plainDate } from "@/core/quantities/plain-date";
import { breakdownForm, OTHERWISE } from "./breakdown-form";

const today = plainDate("2026-03-14");
const read = (fields: Record<string, string>) =>
  breakdownForm({ taskIds: ["belt.look"], currency: "EUR", today }).safeParse({
    date: today,
    words: "Stopped.",
    ...fields,
  });

describe("the form of a breakdown", () => {
  it("is content with what happened; the rest comes when somebody knows", () => {
    expect(read({}).data).toEqual({ date: today, words: "Stopped.", breakdown: {} });
  });

  it("keeps what would have prevented it as a job, or in words", () => {
    expect(read({ prevented: "belt.look" }).data?.breakdown).toEqual({
      prevented: { taskId: "belt.look" },
    });
    const words = { prevented: OTHERWISE, preventedWords: "a drip pan" };
    expect(read(words).data?.breakdown).toEqual({ prevented: { words: "a drip pan" } });
    // Words that belong to no choice say nothing.
    expect(read({ preventedWords: "a drip pan" }).data?.breakdown).toEqual({});
  });

  it("reads money and days, a free day too", () => {
    expect(read({ cost: "99,90", daysWithout: "0" }).data).toMatchObject({
      costMinor: 9990,
      breakdown: { daysWithout: 0 },
    });
  });

  it.each([
    [{ words: "" }, "words", "Say what happened."],
    [{ date: "2026-03-15" }, "date", /still to come|not yet|later/i],
    [{ date: "soon" }, "date", /./],
    [{ cost: "-3" }, "cost", "Write what it cost in EUR, such as 180."],
    [{ daysWithout: "1.5" }, "daysWithout", "Whole days, 0 to 3650."],
    [{ prevented: OTHERWISE }, "preventedWords", "Say what would have."],
    [{ prevented: "gone.job" }, "prevented", "That job is not there any more."],
    [{ follows: "gone.job" }, "follows", "That job is not there any more."],
    [{ code: "x".repeat(61) }, "code", "Shorter, please: up to 60 letters."],
  ])("refuses %j at its field", (fields, at, words) => {
    const { error } = read(fields as Record<string, string>);
    const [issue, ...others] = error?.issues ?? [];
    expect(others).toEqual([]);
    expect(issue?.path).toEqual([at]);
    expect(issue?.message).toMatch(words);
  });
});
