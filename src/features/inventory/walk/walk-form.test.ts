import fc from "fast-check";
import { isLikelyAt, WALK_FINDS } from "@/content/first-walk";
import { snapshot, today } from "../../../../tests/demo-snapshot";
import { ownersOf, placeFieldsOf, readPast, readPlaceSeen } from "./walk-form";

const home = { ...snapshot, today };
const ground = snapshot.levels.find(({ id }) => id === "ground")!;
const hall = snapshot.rooms.find(({ id }) => id === "ground-hall")!;
const read = (typed: Record<string, string[]>) =>
  readPlaceSeen(typed, { level: ground, room: hall }, home);

describe("what was found at a place", () => {
  it("takes rooms one to a line or with commas, each once, and none that is there", () => {
    const typed = { rooms: ["Pantry\n hall , Boot room;pantry\n\n"] };
    const { values, problems } = readPlaceSeen(typed, { level: ground }, home);
    expect(problems).toEqual({});
    expect(values.rooms).toEqual(["Pantry", "Boot room"]);
    expect(readPlaceSeen(typed, { level: ground, room: hall }, home).values.rooms).toEqual([]);
    const many = Array.from({ length: 21 }, (_, i) => `room ${i}`).join(",");
    expect(readPlaceSeen({ rooms: [many] }, { level: ground }, home).problems).toHaveProperty(
      "rooms",
    );
  });

  it("adds the registers that are missing to the count, and takes none away", () => {
    const has = snapshot.registers.filter(
      ({ roomId, role }) => roomId === hall.id && role === "supply",
    ).length;
    expect(has).toBeGreaterThan(0);
    expect(placeFieldsOf({ room: hall }, snapshot)["supply"]).toEqual([String(has)]);
    expect(read({ supply: [String(has + 2)] }).values.supplies).toBe(2);
    expect(read({ supply: [""] }).values.supplies).toBe(0);
    expect(read({ supply: [String(has - 1)] }).problems["supply"]).toContain("are entered");
    expect(read({ return: ["many"] }).problems).toHaveProperty("return");
  });

  it("asks a filter for its size and an alarm for a day that was", () => {
    const grille = read({ find: ["wall-grille"] });
    expect(grille.problems["nominal-wall-grille"]).toContain("not known yet");
    const sized = read({
      find: ["wall-grille", "co-alarm"],
      "nominal-wall-grille": ["500x500x25"],
      "fitted-wall-grille": ["2026-01-02"],
      "made-co-alarm": ["2030-01-01"],
    });
    expect(Object.keys(sized.problems)).toEqual(["made-co-alarm"]);
    expect(sized.values.found[0]).toMatchObject({
      unitId: null,
      fittedOn: "2026-01-02",
      nominal: { mm: { w: 500, h: 500, d: 25 }, unit: "mm" },
    });
  });

  it("takes only a machine of this home that may have such a thing", () => {
    const wall = WALK_FINDS.find(({ id }) => id === "wall-grille")!;
    const [first] = ownersOf(wall, snapshot.units);
    const typed = { find: ["wall-grille"], "nominal-wall-grille": ["500x500x25"] };
    expect(read({ ...typed, "unit-wall-grille": [first!.id] }).values.found[0]!.unitId).toBe(
      first!.id,
    );
    for (const wrong of ["boiler-of-another-home", "purifier"])
      expect(read({ ...typed, "unit-wall-grille": [wrong] }).problems).toHaveProperty(
        "unit-wall-grille",
      );
  });

  it("asks a kitchen for its hood, a bath for its fan and a yard for what ends outside", () => {
    const likely = (levelPlace: "inside" | "outdoors", name: string) =>
      WALK_FINDS.filter((find) => isLikelyAt(find, { levelPlace, name })).map(({ id }) => id);
    expect(likely("inside", "Kitchen")).toEqual(
      expect.arrayContaining(["range-hood", "valve-filter", "co-alarm"]),
    );
    expect(likely("inside", "Upper bath")).toContain("bath-fan");
    expect(likely("inside", "East bedroom")).not.toContain("range-hood");
    expect(likely("outdoors", "Yard")).toEqual(
      expect.arrayContaining(["plastic-vent", "dryer-flap", "intake-filter", "split-cooling"]),
    );
    expect(likely("outdoors", "Yard")).not.toContain("thermostat");
  });
});

describe("whatever is typed at a stop", () => {
  const text = fc.string({ maxLength: 80, unit: "grapheme" });
  it("is read without a fault: each room once, each problem at a field that is there", () => {
    const typed = fc.record({
      rooms: text,
      supply: text,
      return: text,
      find: fc.subarray(WALK_FINDS.map(({ id }) => id)),
      size: text,
      day: text,
      owner: text,
    });
    fc.assert(
      fc.property(typed, ({ rooms, supply, return: back, find, size, day, owner }) => {
        const fields: Record<string, string[]> = { rooms: [rooms], find };
        for (const id of find)
          for (const [name, value] of [
            ["nominal", size],
            ["fitted", day],
            ["made", day],
            ["unit", owner],
            ["where", size],
          ] as const)
            fields[`${name}-${id}`] = [value];
        const level = readPlaceSeen(fields, { level: ground }, home);
        const names = level.values.rooms.map((name) => name.toLowerCase());
        expect(new Set(names).size).toBe(names.length);
        const room = readPlaceSeen(
          { ...fields, supply: [supply], return: [back] },
          { level: ground, room: hall },
          home,
        );
        expect(room.values.rooms).toEqual([]);
        expect(room.values.supplies).toBeGreaterThanOrEqual(0);
        const known = [...Object.keys(fields), "supply", "return"];
        for (const name of Object.keys({ ...level.problems, ...room.problems }))
          expect(known).toContain(name);
        // What has no problem is of a machine of this home, or of none yet.
        for (const { unitId } of level.values.found)
          expect(unitId === null || snapshot.units.some(({ id }) => id === unitId)).toBe(true);
      }),
    );
  });

  it("tells of the past by days that were, or by none", () => {
    const typed = fc.record({ before: text, movedIn: text, worksFrom: text, worksTo: text });
    fc.assert(
      fc.property(typed, (fields) => {
        const form = Object.fromEntries(
          Object.entries(fields).map(([name, value]) => [name, [value]]),
        );
        const { values } = readPast(
          { ...form, before: ["others"], trace: ["renovation", "indoor-smoking"] },
          today,
        );
        for (const { from, to } of values)
          for (const date of [from, to]) expect(date === undefined || date <= today).toBe(true);
      }),
    );
  });
});

describe("the past of a house", () => {
  const typed = { before: ["others"], movedIn: ["2026-02-01"] };
  it("asks which of the two it is, and when one moved in", () => {
    expect(readPast({}, today).problems).toHaveProperty("before");
    expect(readPast({ before: ["others"] }, today).problems).toHaveProperty("movedIn");
    expect(readPast({ before: ["nobody"] }, today)).toEqual({ values: [], problems: {} });
  });
  it("makes a spell of what ended when one moved in, and building work by its days", () => {
    const traces = { trace: ["indoor-smoking", "shedding-pets", "renovation"] };
    const dated = { ...typed, ...traces, worksFrom: ["2025-11-01"], worksTo: ["2025-12-01"] };
    expect(readPast(dated, today).values).toEqual([
      { kind: "moved-in", from: "2026-02-01" },
      { kind: "indoor-smoking", to: "2026-02-01", label: "those before us" },
      { kind: "shedding-pets", count: 1, to: "2026-02-01", label: "those before us" },
      { kind: "renovation", from: "2025-11-01", to: "2025-12-01" },
    ]);
    expect(readPast({ ...dated, worksTo: ["2025-10-01"] }, today).problems).toHaveProperty(
      "worksTo",
    );
    expect(readPast({ ...typed, trace: ["renovation"] }, today).problems).toHaveProperty(
      "worksFrom",
    );
  });
  it("asks nobody of traces where nobody lived before", () => {
    const values = { before: ["nobody"], trace: ["indoor-smoking"], movedIn: ["2026-02-01"] };
    expect(readPast(values, today).values).toEqual([{ kind: "moved-in", from: "2026-02-01" }]);
  });
});
