import { plainDate } from "../quantities/plain-date";
import { asItShouldBe, type NotedSetting } from "./as-it-should-be";
import { identitySchema, withIdentity } from "./identity";
import { identityOfUnit, unitWithIdentity } from "./unit-plate";
import { togetherOf } from "./shared-shut-offs";

const note = (id: string, more: Partial<NotedSetting>): NotedSetting => ({
  id,
  key: "fan",
  label: "Fan",
  on: plainDate("2026-03-01"),
  ...more,
});

describe("how things should be", () => {
  it("is the last note of each thing at its place", () => {
    const notes = [
      note("1", { unitId: "hall", value: "on" }),
      note("2", { unitId: "studio", value: "auto" }),
      note("3", { unitId: "hall", value: "auto" }),
      note("4", { unitId: "hall", partId: "valve", value: "two turns" }),
    ];
    expect(asItShouldBe(notes).map(({ id, value }) => [id, value])).toEqual([
      ["3", "auto"],
      ["2", "auto"],
      ["4", "two turns"],
    ]);
  });

  it("lacks what was taken off, until it is noted again", () => {
    const off = [note("1", { value: "on" }), note("2", {})];
    expect(asItShouldBe(off)).toEqual([]);
    expect(asItShouldBe([...off, note("3", { value: "on" })]).map(({ id }) => id)).toEqual(["3"]);
  });
});

describe("machines behind one shut-off", () => {
  const unit = (id: string, kind: "breaker" | "plug" | "gas-cock", place: string) => ({
    id,
    shutOffs: [{ id: `${id}-off`, kind, place }],
  });
  it("are those whose cards name the same one, however it is typed", () => {
    expect(
      togetherOf([
        unit("furnace", "breaker", "Number 7, hall cupboard"),
        unit("humidifier", "breaker", " number 7,  hall cupboard"),
        unit("cleaner", "breaker", "number 8, hall cupboard"),
      ]),
    ).toEqual([{ end: "breaker-off", units: ["furnace", "humidifier"] }]);
  });
  it("are no two plugs, and not two that say nothing of where", () => {
    expect(togetherOf([unit("a", "plug", "behind it"), unit("b", "plug", "behind it")])).toEqual(
      [],
    );
    expect(togetherOf([unit("a", "gas-cock", " "), unit("b", "gas-cock", "")])).toEqual([]);
  });
});

describe("an identity", () => {
  it("is read of a machine’s own fields, and goes back into them", () => {
    const unit = { make: "Northgate", attributes: { "made-on": "2019-05-01", position: "upflow" } };
    expect(identityOfUnit(unit)).toEqual({ make: "Northgate", madeOn: "2019-05-01" });
    const read = identitySchema.parse({ serial: " NG-1 ", madeOn: "2020-01-02" });
    expect(unitWithIdentity(unit, read)).toEqual({
      make: "Northgate",
      serial: "NG-1",
      attributes: { "made-on": "2020-01-02", position: "upflow" },
    });
  });
  it("keeps what a later reading does not say, and takes no impossible day", () => {
    expect(withIdentity({ make: "Tarn", model: "V1" }, { model: "V2" })).toEqual({
      make: "Tarn",
      model: "V2",
    });
    expect(identitySchema.safeParse({ madeOn: "2026-02-30" }).success).toBe(false);
    expect(identitySchema.safeParse({ make: "x".repeat(81) }).success).toBe(false);
  });
});
