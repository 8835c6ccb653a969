import { judgementOf } from "@/core/history/readings-taken";
import { actOnDemo, formOf, landing, nothingSent } from "../../../../tests/acting";
import type { DemoStore } from "../../../../tests/demo-store";
import { readReading, type ReadingFields } from "@/lib/reading-form";
import { noteReading } from "./readings-actions";
import { beforeAfterOf, readingPageOf, readingSeriesOf } from "./readings-queries";

jest.mock(
  "next/navigation",
  () =>
    jest.requireActual<typeof import("../../../../tests/acting")>("../../../../tests/acting")
      .navigation,
);
jest.mock("server-only", () => ({}));
jest.setTimeout(60_000);

const HOME = "sluice-house";
let demo: DemoStore;
beforeAll(async () => (demo = await actOnDemo()));
afterAll(() => demo.discard());
const snapshot = async () => (await demo.read(HOME)).snapshot;

const typed = (fields: Partial<ReadingFields>): ReadingFields => ({
  ...{ kind: "", value: "", word: "", unit: "", rated: "", ratedMin: "", ratedMax: "" },
  ...{ school: "", mode: "", flags: [] },
  ...fields,
});

describe("what is typed of a reading", () => {
  it("is brought to the unit it is judged in, and kept as it was typed", () => {
    const split = readReading(typed({ kind: "cooling-split-k", value: "18", unit: "F" }), "us");
    expect(split).toMatchObject({
      ok: true,
      taken: { value: 10, unit: "K", typed: { value: "18", unit: "F" } },
    });
    const pressure = readReading(
      typed({ kind: "boiler-pressure-bar", value: "21.8", unit: "psi" }),
      "us",
    );
    expect(pressure.ok && pressure.taken.value).toBeCloseTo(1.503, 3);
    const drop = readReading(
      typed({ kind: "filter-drop", value: "0,3", rated: "0,15", unit: "inH2O" }),
      "us",
    );
    expect(drop.ok && [drop.taken.value, drop.taken.rated]).toEqual([74.7267, 37.36335]);
    const share = readReading(
      typed({ kind: "heat-recovery-efficiency", value: "62", rated: "84" }),
      "metric",
    );
    expect(share.ok && [share.taken.value, share.taken.rated]).toEqual([0.62, 0.84]);
  });

  it.each([
    [{ kind: "temperature-rise-k", value: "30" }, undefined, "unknown"],
    [{ kind: "temperature-rise-k", value: "30", ratedMin: "20" }, { min: 20 }, "unknown"],
    [{ kind: "temperature-rise-k", value: "30", ratedMax: "40" }, { max: 40 }, "unknown"],
    // Beyond the end that is known is beyond, whatever the other says: 41 watched, 43 to act on, 56 to stop.
    [{ kind: "temperature-rise-k", value: "41", ratedMax: "40" }, { max: 40 }, "watch"],
    [{ kind: "temperature-rise-k", value: "43", ratedMax: "40" }, { max: 40 }, "act"],
    [{ kind: "temperature-rise-k", value: "56", ratedMax: "40" }, { max: 40 }, "stop"],
    [{ kind: "temperature-rise-k", value: "17", ratedMin: "20" }, { min: 20 }, "act"],
    [{ kind: "plate-range", value: "17", unit: "Pa", ratedMin: "20" }, { min: 20 }, "act"],
    [{ kind: "motor-amps", value: "3" }, undefined, "unknown"],
    [{ kind: "capacitor-uf", value: "44" }, undefined, "unknown"],
  ])("is kept without its plate, and told as far as it can be: %j", (fields, rated, verdict) => {
    const read = readReading(typed(fields), "metric");
    expect(read.ok && read.taken.rated).toEqual(rated);
    expect(read.ok && judgementOf(read.taken).verdict).toBe(verdict);
  });

  it.each([
    [{ kind: "" }, { kind: "Choose what was read." }],
    [{ kind: "coil" }, { word: "Choose the word that comes nearest." }],
    [{ kind: "co-ppm", value: "some" }, { value: "Write the number that was read." }],
    [
      { kind: "capacitor-uf", value: "44", rated: "0" },
      { rated: "Write what is printed on it: more than 0." },
    ],
    [
      { kind: "capacitor-uf", value: "44", rated: "forty" },
      { rated: "A figure, as it stands on the plate; or nothing, where it is not known." },
    ],
    [{ kind: "co-ppm", value: "20000" }, { value: "20000 is out of range: between 0 and 10000." }],
    [
      { kind: "temperature-rise-k", value: "30", ratedMin: "x" },
      { ratedMin: "A figure, as it stands on the plate; or nothing, where it is not known." },
    ],
  ])("says what is wrong with %j", (fields, errors) => {
    expect(readReading(typed(fields), "metric")).toEqual({ ok: false, errors });
  });

  it("needs no number where a capacitor bulges", () => {
    const swollen = typed({ kind: "capacitor-uf", rated: "45", flags: ["bulged", "unheard-of"] });
    expect(readReading(swollen, "metric")).toMatchObject({
      ok: true,
      taken: { flags: ["bulged"] },
    });
  });
});

describe("under which conditions it was read", () => {
  const place = { unitId: "yard-condenser", partId: "yard-condenser-capacitor" };
  const note = (extra: Record<string, string>) =>
    noteReading(
      HOME,
      nothingSent,
      formOf({
        place: "yard-condenser-capacitor",
        kind: "capacitor-uf",
        value: "45.9",
        rated: "45",
        date: "2026-03-10",
        ...extra,
      }),
    );
  it("is kept with the value, said beside it, and enters a new instrument once", async () => {
    const under = {
      instrument: "new",
      newInstrument: "Red meter",
      outdoor: "-3",
      running: "cooling",
      minutesRunning: "20",
    };
    await landing(note(under));
    await landing(note({ ...under, value: "45.8" }));
    const home = await snapshot();
    expect(home.instruments.filter(({ name }) => name === "Red meter")).toHaveLength(1);
    const [series] = await readingSeriesOf(HOME, place);
    expect(series!.rows.at(-1)!.under).toBe("Red meter, cooling for 20 min, −3 °C outdoors");
    expect(series!.trend!.sentence).toContain("Another meter since");
  });
  it("is refused at its own field, and nothing of it is entered", async () => {
    const before = (await snapshot()).history.readings.length;
    const sent = await note({ instrument: "new", newInstrument: "", outdoor: "warm" });
    expect(sent.errors).toEqual({
      newInstrument: "What is it called?",
      outdoor: "A temperature outdoors, as the thermometer has it.",
    });
    expect((await snapshot()).history.readings).toHaveLength(before);
  });
});

describe("readings over the years", () => {
  it("fall with the pilot, and say when the limit is reached", async () => {
    const [pilot] = await readingSeriesOf(HOME, {
      unitId: "kiln-furnace",
      partId: "kiln-furnace-pilot",
    });
    // 24.6, 21.3 and 18.1 mV a year apart: about 3.3 a year, 15 mV in some eleven months.
    expect(pilot).toMatchObject({ verdict: "sound", advice: null, limits: { low: 15, high: 32 } });
    expect(pilot!.trend!.sentence).toMatch(
      /^Falls by about 3\.3 mV a year; reaches its limit of 15 mV about \d+ Aug, between .+; a fair guess\.$/,
    );
    expect(pilot!.rows.map((row) => row.words)).toEqual(["24.6 mV", "21.3 mV", "18.1 mV"]);
  });

  it("speak the home’s percent, and are past their limit since a day", async () => {
    const [core] = await readingSeriesOf(HOME, {
      unitId: "loft-ventilator",
      partId: "loft-ventilator-recovery-core",
    });
    expect(core).toMatchObject({ verdict: "act", advice: "wash the core", unit: "%" });
    expect(core!.points.map(({ y }) => Math.round(y))).toEqual([84, 80, 74, 66, 61]);
    expect(core!.limits.low).toBeCloseTo(63);
    expect(core!.trend!.sentence).toContain("past its limit of 63 % since 9 Mar");
  });

  it("warn of a capacitor that drifts out before the heat is over", async () => {
    const place = { unitId: "cellar-furnace", partId: "cellar-furnace-capacitor" };
    const [capacitor] = await readingSeriesOf(HOME, place);
    expect(capacitor!.trend!.drifting).toMatch(/before the end of the next cooling season, 31 Aug/);
  });

  it("offer what is usual at a place first, with what was printed there before", async () => {
    const { places } = (await readingPageOf(HOME))!;
    const capacitor = places.find((each) => each.value === "cellar-furnace-capacitor")!;
    expect(capacitor.kinds[0]).toBe("capacitor-uf");
    expect(capacitor.rated["capacitor-uf"]).toEqual(["5"]);
    expect(new Set(places.map((each) => each.value)).size).toBe(places.length);
    expect(await readingPageOf("nowhere")).toBeNull();
  });
});

describe("noting a reading", () => {
  it("keeps what was typed when something is missing", async () => {
    const form = formOf({ place: "nowhere", kind: "co-ppm", value: "", date: "2027-01-01" });
    const { errors, values } = await noteReading(HOME, nothingSent, form);
    expect(Object.keys(errors).sort()).toEqual(["date", "place", "value"]);
    expect(values["kind"]).toEqual(["co-ppm"]);
  });

  it("goes into the record with its grounds, and comes back judged", async () => {
    const form = formOf({
      ...{ place: "cellar-furnace-capacitor", kind: "capacitor-uf", value: "4,65", unit: "uF" },
      ...{
        rated: "5",
        school: "general",
        flags: [],
        date: "2026-03-14",
        words: "by the technician",
      },
    });
    expect(await landing(noteReading(HOME, nothingSent, form))).toMatch(
      /^\/homes\/sluice-house\/parts\/cellar-furnace-capacitor\?noted=/,
    );
    const last = (await snapshot()).history.readings.at(-1)!;
    expect(last.event).toMatchObject({ words: "by the technician", unitId: "cellar-furnace" });
    expect(last.taken).toMatchObject({
      value: 4.65,
      rated: 5,
      school: "general",
      typed: { value: "4,65" },
    });
    expect(last.judgement).toMatchObject({ verdict: "watch", deviation: -7 });
    const coil = formOf({
      place: "yard-condenser",
      kind: "noise",
      word: "rattle",
      date: "2026-03-14",
    });
    expect(await landing(noteReading(HOME, nothingSent, coil))).toMatch(
      /^\/homes\/sluice-house\/units\/yard-condenser\?noted=/,
    );
    expect((await snapshot()).history.readings.at(-1)!.judgement.verdict).toBe("watch");
  });
});

describe("what a cleaning changed", () => {
  it("stands with the value before it beside that after it: the heater’s display, 4 K and a half", async () => {
    const [only, ...rest] = await beforeAfterOf(HOME, "workshop-heater");
    expect(rest).toEqual([]);
    expect(only).toMatchObject({
      name: "Display against thermometer",
      before: { words: "4 °C", verdict: "act" },
      after: { words: "0.5 °C", verdict: "sound" },
    });
    expect(only!.done).toMatch(/^Grilles: vacuumed, /);
    expect(await beforeAfterOf(HOME, "nothing")).toEqual([]);
  });

  it("lies among visits that are marked on the same axis", async () => {
    const place = { unitId: "cellar-furnace", partId: "cellar-furnace-capacitor" };
    const [series] = await readingSeriesOf(HOME, place);
    const within = series!.visits.filter(
      (x) => x >= series!.points[0]!.x && x <= series!.points.at(-1)!.x,
    );
    expect(within.length).toBeGreaterThanOrEqual(5);
    // The values of the demo were taken on them; the last was written down by hand.
    for (const { x } of series!.points.slice(0, 5)) expect(series!.visits).toContain(x);
  });
});
