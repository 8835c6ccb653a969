import { SIGN_GROUPS } from "@/content/signs";
import { plainDate } from "@/core/quantities/plain-date";
import { noticedForm } from "./noticed-form";

const today = plainDate("2026-03-14");
const read = (fields: Record<string, string>) =>
  noticedForm(["furnace"], ["hall"], today).safeParse({ date: today, ...fields });
const problems = (fields: Record<string, string>) =>
  Object.fromEntries((read(fields).error?.issues ?? []).map((i) => [i.path[0], i.message]));

describe("the form of something noticed", () => {
  it("takes every sign at a machine, and those of the house without one", () => {
    for (const { id, needsUnit } of SIGN_GROUPS.flatMap(({ signs }) => signs)) {
      expect(read({ sign: id, unitId: "furnace" }).data).toMatchObject({ unitId: "furnace" });
      expect([id, read({ sign: id }).success]).toEqual([id, needsUnit !== true]);
    }
  });

  it("leaves out what was not said", () => {
    expect(read({ sign: "air:weak", words: "" }).data).toEqual({
      date: today,
      sign: { id: "air:weak", words: "The air is weak" },
    });
  });

  it("says at each field what is wrong, all of it at once", () => {
    expect(problems({ date: "2027-01-01", unitId: "boiler" })).toEqual({
      date: expect.stringMatching(/./),
      sign: "Choose what comes nearest.",
      unitId: "That machine is not there.",
    });
    expect(problems({ sign: "water:fresh" })).toEqual({ unitId: "Choose the machine it is at." });
    expect(problems({ sign: "air:weak", words: "x".repeat(1001) })).toEqual({
      words: "Shorter, please: up to 1000 letters.",
    });
  });
});
