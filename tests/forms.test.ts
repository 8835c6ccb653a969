import { plainDate } from "@/core/quantities/plain-date";
import type { Home } from "@/core/inventory/inventory";
import {
  DAY_WORDS,
  emptyForm,
  fieldsOf,
  invalid,
  isDay,
  problemsOf,
  readPastDay,
  singles,
} from "@/lib/forms";
import { driverForm } from "@/features/inventory/household/household-form";
import { homeForm, newHomeForm, monthListProblem } from "@/features/inventory/homes/home-form";
import { slotForm } from "@/features/inventory/filters/slot-form";

const home = {
  name: "Lock cottage",
  unitSystem: "metric",
  currency: "EUR",
  timeZone: "Etc/UTC",
  monthlyMean: "−9 −7 −1 7 13 18 21 20 15 8 1 −6",
  heatingDesign: "−24",
  coolingDesign: "26",
  dailyRange: "10",
};

const typedHome = {
  ...Object.fromEntries(Object.entries(home).map(([name, text]) => [name, [text]])),
  people: ["2"],
  pets: ["0"],
  levels: ["cellar"],
};

type Parse = { success: boolean; error?: { issues: { path: PropertyKey[]; message: string }[] } };
/** The first problem of each field, as the form would show it. */
const problems = (parsed: Parse): Record<string, string> => {
  const found: Record<string, string> = {};
  for (const issue of parsed.error?.issues ?? []) found[String(issue.path[0])] ??= issue.message;
  return found;
};

describe("a form's fields", () => {
  it("keep every value, the repeated ones in order", () => {
    const form = new FormData();
    form.append("name", " Home ");
    form.append("place", "cellar");
    form.append("place", "hall");
    form.append("$ACTION_ID", "x");
    const fields = fieldsOf(form);
    expect(fields).toEqual({ name: [" Home "], place: ["cellar", "hall"] });
    expect(singles(fields)).toEqual({ name: "Home", place: "cellar" });
  });

  it("come back with what was typed and the first problem of each field", () => {
    const parsed = newHomeForm.safeParse({ ...typedHome, people: ["many"], pets: ["99"] });
    const state = invalid(emptyForm(), { people: ["many"] }, parsed.error!);
    expect(state).toEqual({
      attempt: 1,
      values: { people: ["many"] },
      errors: {
        people: "Give the number of people, 0 to 30.",
        pets: "Give the number of animals, 0 to 30.",
      },
    });
  });

  it.each([
    ["", "missing"],
    ["2026-02-30", "unreadable"],
    ["yesterday", "unreadable"],
    ["2026-03-15", "future"],
  ] as const)("tell what is wrong with the day “%s”", (text, problem) => {
    const read = readPastDay(text, plainDate("2026-03-14"));
    expect(read).toBe(problem);
    expect(isDay(read)).toBe(false);
    expect(DAY_WORDS[problem].length).toBeGreaterThan(10);
  });
  it("take today and any day before", () => {
    expect(isDay(readPastDay("2026-03-14", plainDate("2026-03-14")))).toBe(true);
  });
});

describe("the home's form", () => {
  it("reads figures in the home's own unit into °C", () => {
    expect(homeForm.parse(home).home.climate).toEqual({
      monthlyMeanC: [-9, -7, -1, 7, 13, 18, 21, 20, 15, 8, 1, -6],
      heatingDesignC: -24,
      coolingDesignMeanC: 26,
      dailyRangeC: 10,
      spreadC: 4.5,
    });
    const us = homeForm.parse({
      ...home,
      unitSystem: "us",
      monthlyMean: "14 23 32 41 50 59 68 68 59 50 41 32",
      heatingDesign: "5",
      coolingDesign: "77",
      dailyRange: "18",
    });
    expect(us.home.climate).toMatchObject({
      monthlyMeanC: [-10, -5, 0, 5, 10, 15, 20, 20, 15, 10, 5, 0],
      heatingDesignC: -15,
      coolingDesignMeanC: 25,
      dailyRangeC: 10,
    });
  });

  it.each([
    ["5 5 7 9 12 15 17 17 15 11 8", "That is 11 figures; a year has twelve months, January first."],
    ["5", "That is 1 figure; a year has twelve months, January first."],
    ["", "Twelve figures are needed, January first."],
    ["5 5 7 mild 12 15 17 17 15 11 8 6", "Figures only, one for each month, with spaces between."],
    ["5 5 7 9 12 15 71 17 15 11 8 6", "71 °C is no monthly mean of any place. Is the unit right?"],
  ])("answers a list of months “%s” in plain words", (list, words) => {
    expect(monthListProblem(list, "metric")).toBe(words);
  });
  it("knows that 71 °F is a summer", () => {
    expect(monthListProblem("41 41 45 48 54 59 71 63 59 52 46 43", "us")).toBeNull();
  });

  it("says all that is wrong at once", () => {
    expect(
      problems(
        homeForm.safeParse({
          ...home,
          name: "",
          timeZone: "Merrow/Bend",
          monthlyMean: "1 2 3",
          heatingDesign: "cold",
          coolingDesign: "",
          dailyRange: "1 2",
        }),
      ),
    ).toEqual({
      name: "Give the home a name.",
      timeZone:
        "That time zone is not known here. Choose one from the list, or write it as area and city.",
      monthlyMean: "That is 3 figures; a year has twelve months, January first.",
      heatingDesign: "One figure: the temperature of the coldest usual night.",
      coolingDesign: "One figure: the mean of the hottest usual day.",
      dailyRange: "That is 2 figures: give one for the whole year, or twelve.",
    });
  });

  it("does not take a design temperature inside the months", () => {
    const wrong = problems(
      homeForm.safeParse({ ...home, heatingDesign: "-3", coolingDesign: "20" }),
    );
    expect(Object.keys(wrong)).toEqual(["heatingDesign", "coolingDesign"]);
  });

  it("takes twelve ranges, none, but no negative one", () => {
    const twelve = "8 8 9 10 11 12 12 11 10 9 8 8";
    expect(homeForm.parse({ ...home, dailyRange: twelve }).home.climate.dailyRangeC).toHaveLength(
      12,
    );
    expect(homeForm.parse({ ...home, dailyRange: "" }).home.climate.dailyRangeC).toBe(10);
    expect(problems(homeForm.safeParse({ ...home, dailyRange: "-4" }))).toHaveProperty(
      "dailyRange",
    );
  });

  it("wants a level to stand on", () => {
    const levels = (chosen: string[]) => newHomeForm.safeParse({ ...typedHome, levels: chosen });
    expect(problemsOf(levels([]).error)).toEqual({ levels: "Choose at least one level." });
    expect(levels(["cellar", "moon"]).success).toBe(false);
    expect(levels(["cellar"]).data?.levels).toEqual(["cellar"]);
  });
});

describe("the slot's form", () => {
  const slot = {
    name: "Filter",
    slotPlace: "return-duct",
    roomId: "",
    note: "",
    place: "",
    seat: "rail",
    cleanDrop: "",
    indicatorReset: "",
    nominal: "20x20x1",
    measured: "",
    opening: "",
    filterCount: "1",
    media: "pleated-25",
    rating: "MERV 8",
    airSide: "recirculated",
    direction: "right",
    directionMark: "",
    price: "9.50",
    baseHours: "",
    maxAgeDays: "",
    fittedOn: "",
  };
  const context = {
    home: { currency: "EUR", unitSystem: "metric" } as Home,
    rooms: [{ id: "hall", levelId: "ground", name: "Hall", sleeps: false }],
  };
  const form = slotForm(context, plainDate("2026-03-14"));

  it("keeps sizes as typed and in mm, and leaves out what is not known", () => {
    expect(form.parse({ ...slot, measured: "495×495×22", fittedOn: "2026-01-18" })).toEqual({
      name: "Filter",
      media: "pleated-25",
      airSide: "recirculated",
      filterCount: 1,
      nominal: { text: "20x20x1", unit: "in", mm: { w: 508, h: 508, d: 25.4 } },
      measured: { text: "495×495×22", unit: "mm", mm: { w: 495, h: 495, d: 22 } },
      direction: "right",
      slotPlace: "return-duct",
      cutToSize: false,
      seat: "rail",
      indicator: false,
      rating: { scheme: "MERV", class: "8" },
      priceMinor: 950,
      fittedOn: "2026-01-18",
    });
  });

  it.each([
    [{ name: "" }, "name", "Give it a name"],
    [{ nominal: "20x0x1" }, "nominal", "none of them can be 0"],
    [{ nominal: "big" }, "nominal", "Write width × height × depth"],
    [{ measured: "400x400x400 in" }, "measured", "more than 3 m"],
    [
      { opening: "500x500 mm", measured: "510x495 mm" },
      "measured",
      "larger than its slot in width",
    ],
    [{ opening: "480x520x40 mm" }, "nominal", "larger than its slot in width"],
    [{ opening: "508x508x20 mm" }, "nominal", "larger than its slot in depth"],
    [{ rating: "MERV 17" }, "rating", "There is no such rating"],
    [{ rating: "G7" }, "rating", "There is no such rating"],
    [{ price: "cheap" }, "price", "in EUR"],
    [{ price: "-4" }, "price", "in EUR"],
    [{ filterCount: "0" }, "filterCount", "1 to 24"],
    [{ filterCount: "1.5" }, "filterCount", "1 to 24"],
    [{ slotPlace: "moon" }, "slotPlace", "Choose where it sits"],
    [{ seat: "glue" }, "seat", "how the frame is held"],
    [{ cleanDrop: "0" }, "cleanDrop", "more than 0"],
    [{ cleanDrop: "soft" }, "cleanDrop", "in Pa"],
    [{ baseHours: "lots" }, "baseHours", "Whole hours"],
    [{ maxAgeDays: "0" }, "maxAgeDays", "Whole days"],
    [{ fittedOn: "2026-03-15" }, "fittedOn", "still to come"],
    [{ fittedOn: "2026-02-30" }, "fittedOn", "not a day"],
  ])("answers %j at its field", (wrong, field, words) => {
    const found = problems(form.safeParse({ ...slot, ...wrong }));
    expect(Object.keys(found)).toEqual([field]);
    expect(found[field]).toContain(words);
  });

  it("lets a nominal inch filter into a slot of its printed size: it is made smaller", () => {
    expect(form.safeParse({ ...slot, opening: "500x500x30 mm" }).success).toBe(true);
  });

  it("takes room, seat, drop and light, and forgets a room that is not there", () => {
    const more = { roomId: "hall", seat: "gasket", cleanDrop: "48,5", indicatorReset: "hold it" };
    expect(form.parse({ ...slot, ...more })).toMatchObject({
      roomId: "hall",
      seat: "gasket",
      cleanDropPa: 48.5,
      indicatorReset: "hold it",
    });
    expect(form.parse({ ...slot, roomId: "gone" })).not.toHaveProperty("roomId");
  });

  it("says all that is wrong at once", () => {
    const wrong = { nominal: "0x0", rating: "x", price: "y", fittedOn: "2030-01-01" };
    expect(Object.keys(problems(form.safeParse({ ...slot, ...wrong }))).sort()).toEqual([
      "fittedOn",
      "nominal",
      "price",
      "rating",
    ]);
  });
});

describe("the form of what surrounds", () => {
  const driver = {
    kind: "renovation",
    scope: "home",
    count: "",
    fraction: "",
    from: "2026-02-01",
    to: "",
    label: "",
  };
  it("keeps only what belongs to its kind", () => {
    expect(driverForm.parse({ ...driver, count: "3", label: "attic" })).toEqual({
      scope: "home",
      kind: "renovation",
      from: "2026-02-01",
      label: "attic",
    });
    expect(
      driverForm.parse({ ...driver, kind: "bypass", fraction: "1,6", scope: "part:slot" }),
    ).toMatchObject({
      scope: "part",
      partId: "slot",
      fraction: 0.016,
    });
    expect(driverForm.parse({ ...driver, kind: "moved-in", to: "2026-01-01" })).not.toHaveProperty(
      "to",
    );
    expect(driverForm.parse({ ...driver, scope: "system:air" })).toMatchObject({
      scope: "system",
      systemId: "air",
    });
    expect(
      driverForm.parse({ ...driver, kind: "breathing-trouble", scope: "room:hall", from: "" }),
    ).toEqual({ scope: "room", roomId: "hall", kind: "breathing-trouble" });
  });
  it.each([
    [{ from: "" }, "from", "Give the day it began."],
    [{ kind: "duct-cleaning", from: "" }, "from", "Give the day it was."],
    [{ to: "2026-01-01" }, "to", "It ends before it begins."],
    [{ from: "soon" }, "from", "That is not a day. Write it as year, month and day."],
    [{ kind: "shedding-pets", count: "" }, "count", "Give a number, 0 to 30."],
    [{ kind: "people", count: "2.5" }, "count", "Give a number, 0 to 30."],
    [{ kind: "bypass", fraction: "120" }, "fraction", "Give a share in percent, 0 to 100."],
    [{ kind: "ghosts" }, "kind", "Choose what it is."],
  ])("answers %j at its field", (wrong, field, words) => {
    expect(problems(driverForm.safeParse({ ...driver, ...wrong }))).toEqual({ [field]: words });
  });
});
