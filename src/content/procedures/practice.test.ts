import { isHeatingWeather } from "@/core/climate/climate";
import { waysOf } from "@/core/runs/lint";
import { stepsFor, type JobFact, type Procedure, type Step } from "@/core/runs/procedure";
import { replayRun } from "@/core/runs/run";
import { countedStep, seenEntries } from "@/core/runs/run-outcome";
import { RENEW } from "@/core/scheduling/task";
import { JOBS } from "@/content/default-tasks";
import { LEADS } from "@/content/leads";
import { partKind } from "@/content/part-kinds";
import { PART_READINGS, UNIT_READINGS } from "@/content/reading-words";
import { partsToExpect, unitKind } from "@/content/unit-kinds";
import { event, jobOf, walk, whereOf } from "../../../tests/run-events";
import { climateSchema } from "@/core/climate/climate";
import { plainDate } from "@/core/quantities/plain-date";
import { procedure, PROCEDURES } from "./library";

const the = (id: string): Procedure => procedure(id)!;
const way = (id: string, variant: string | null = null, facts: JobFact[] = []): Step[] =>
  stepsFor(the(id), { facts, variant: variant ?? the(id).variants?.[0]?.id ?? null }, new Map());
const step = (id: string, of: string): Step => the(id).steps.find((each) => each.id === of)!;
const ids = (steps: readonly Step[]) => steps.map(({ id }) => id);
/** That each comes after the one before it. */
const inOrder = (steps: readonly Step[], ...names: string[]) => {
  const at = names.map((name) => ids(steps).indexOf(name));
  expect([names, at.every((place) => place >= 0)]).toEqual([names, true]);
  expect(at).toEqual([...at].sort((a, b) => a - b));
};
const words = ({ title, detail = "", caution = "" }: Step) => `${title} ${detail} ${caution}`;
const said = (id: string) => the(id).steps.map(words).join(" ");

describe("a heat exchanger that may leak", () => {
  const coil = jobOf(the("clean-indoor-coil"), { facts: ["has-exchanger", "coil-fixed"] }, "owner");
  it.each(["stained", "cracked"])(
    "%s: stops the run, and nothing brings its power back",
    (value) => {
      const events = walk(coil, { seen: { exchanger: { reading: { value } } } });
      const state = replayRun(coil, events);
      expect(state.safetyStop).toMatchObject({ why: "reading", reading: "heat-exchanger" });
      // Turned back, what one can close is closed; the switch stays off, with why.
      const off = event({ kind: "kept-off", words: "a stain: tested first" });
      const back = walk(coil, { from: [...events, off], until: "power-on" });
      const on = event({ kind: "done", step: "power-on", at: back.at(-1)!.at });
      expect(replayRun(coil, [...back, on]).refused.map(({ why }) => why)).toEqual(["kept-off"]);
      const left = event({ kind: "leave-open", step: "power-on", words: "tested first" });
      const whole = replayRun(coil, walk(coil, { from: [...back, left] }));
      expect(whole.keptOff?.words).toBe("a stain: tested first");
      expect(whole.ends.open.map(({ end }) => end)).toEqual(["switch-off"]);
    },
  );
});

describe("what runs for its test", () => {
  it("is tried before its power goes off, or after it is back, in every way", () => {
    const tried = PROCEDURES.flatMap((each) =>
      waysOf(each).flatMap(({ steps }) => {
        let off = 0;
        return steps.flatMap(({ id, runs, opens = [], closes }) => {
          if (opens.some(({ key }) => key === "power")) off++;
          if (closes === "power") off--;
          return runs ? [[each.id, id, off]] : [];
        });
      }),
    );
    expect(tried.length).toBeGreaterThan(10);
    expect(tried.filter(([, , off]) => off !== 0)).toEqual([]);
  });

  it("is the heating side, draught and combustion of a technician", () => {
    const running = PROCEDURES.flatMap(({ id, steps }) =>
      steps.flatMap((each) => (each.runs ? [`${id} ${each.id}`] : [])),
    );
    expect(running).toEqual(
      expect.arrayContaining([
        "technician-visit heating-side",
        "check-flue draught",
        "test-heat-exchanger test",
        "electrical-check heating-side",
      ]),
    );
  });
});

describe("dark debris in a duct", () => {
  it("leads to nothing that moves air, and to nobody with a brush", () => {
    const lead = LEADS.find(({ id }) => id === "dark-debris")!;
    expect([lead.call, lead.to]).toEqual([true, ["supply-run:debris"]]);
    expect(words(step("look-into-ducts", "leave"))).toMatch(/touch nothing/i);
  });

  it("is told from how much lies there: heavy calls people, modest a vacuum, yellow has its lead", () => {
    const to = (reading: string, word: string) =>
      LEADS.filter(
        ({ from }) =>
          "reading" in from && "is" in from && from.reading === reading && from.is.includes(word),
      ).flatMap((lead) => lead.to);
    expect(to("duct-amount", "heavy")).toContain("supply-run:clean");
    expect(to("duct-amount", "modest")).toEqual(["ducts:boots"]);
    expect(to("duct-debris", "yellow")).toContain("evaporator-coil:look");
  });
});

describe("what counts as a new filter", () => {
  it("is a change, never the vacuuming of one that stays", () => {
    const vacuum = JOBS.besideRenewal("vent-fine").find(({ key }) => key === "vacuum")!;
    expect(vacuum.procedureIds).toContain("vacuum-vent-filter");
    expect(vacuum.key).not.toBe(RENEW);
    expect(JOBS.renewal("vent-fine", "").procedureIds).not.toContain("vacuum-vent-filter");
  });
});

describe("ice", () => {
  const at = (id: string) => LEADS.find((lead) => lead.id === id)!;
  it("outdoors in heating weather is not cleaned away with a brush, nor chipped", () => {
    const block = at("block-of-ice");
    expect(block.now).toMatch(/never chip/);
    expect([...block.to].some((job) => job.endsWith("-coil:clean"))).toBe(false);
    const iced = LEADS.filter(
      ({ from }) =>
        "reading" in from && from.reading === "coil" && "is" in from && from.is.includes("iced"),
    );
    // Indoors in summer it is the other case: cooling off, fan on.
    expect(iced.map(({ only }) => only)).toEqual(
      expect.arrayContaining([{ heating: true }, { heating: false }]),
    );
    const winter = iced.find(({ only }) => only && "heating" in only && only.heating)!;
    expect(winter.to.filter((job) => /coil:clean/.test(job))).toEqual([]);
  });

  it("is told by the days’ weather and the usual year", () => {
    const climate = climateSchema.parse({
      monthlyMeanC: [-6, -5, 0, 6, 12, 17, 20, 19, 14, 8, 2, -3],
      heatingDesignC: -20,
      coolingDesignMeanC: 24,
    });
    expect(isHeatingWeather(climate, plainDate("2026-01-15"))).toBe(true);
    expect(isHeatingWeather(climate, plainDate("2026-07-15"))).toBe(false);
  });
});

describe("a gas heater without a flue", () => {
  const parts = (attributes: Record<string, string>) =>
    partsToExpect("portable-gas-heater", attributes).flatMap(({ kind, usual }) =>
      usual ? [kind] : [],
    );
  it("has its parts by what it is fed from, and its filter", () => {
    const kind = unitKind("portable-gas-heater")!;
    expect(kind.slots.length).toBe(1);
    expect(parts({ flue: "none", "fed-by": "hose" })).toContain("gas-hose");
    expect(parts({ flue: "none", "fed-by": "bottle" })).toEqual(
      expect.arrayContaining(["gas-bottle", "room-air"]),
    );
    expect(parts({ flue: "none", "fed-by": "pipe" })).not.toContain("gas-bottle");
  });
});

describe("an alarm", () => {
  it("of smoke and carbon monoxide in one has both tests, the shorter life, and asks its day of make", () => {
    const jobs = JOBS.unit("smoke-co-alarm");
    expect(jobs.map(({ key }) => key)).toEqual(expect.arrayContaining(["dust", "replace"]));
    expect(jobs.find(({ key }) => key === "replace")!.trigger).toMatchObject({
      kind: "age",
      maxYears: 7,
    });
    expect(UNIT_READINGS["smoke-co-alarm"]).toContain("co-ppm");
    expect(words(step("dust-smoke-alarm", "test"))).toMatch(/both/);
    expect(step("replace-alarm", "date")).toMatchObject({ plate: "unit", plateIsNew: true });
  });
});

describe("pilot and lid", () => {
  it("shuts the knob and airs five minutes before each lighting", () => {
    const steps = way("measure-pilot");
    inOrder(
      steps,
      "aired",
      "lights",
      "measure",
      "knob-off-again",
      "end-on",
      "aired-again",
      "relight",
    );
    for (const id of ["power-off", "knob-off", "knob-off-again"])
      expect(step("measure-pilot", id).starts?.minutes ?? 5).toBeGreaterThanOrEqual(5);
    expect(
      step("measure-pilot", "lights").waitsFor ?? step("measure-pilot", "aired").waitsFor,
    ).toBeDefined();
    expect(step("measure-pilot", "aired-again").waitsFor?.length).toBeGreaterThan(0);
  });

  it("changes a lid’s ring with the demand off, the bleed and the filling loop as ends", () => {
    const steps = way("new-lid-ring", null, ["sealed-system"]);
    inOrder(
      steps,
      ...["no-demand", "power-off", "valve-two", "bleed-open", "lid-off", "ring", "lid-on"],
      ...["bleed-shut", "valve-one-open", "loop-open", "loop-shut", "cold-look", "power-on"],
    );
    for (const id of ["no-demand", "bleed-open", "loop-open"])
      expect([id, step("new-lid-ring", id).opens?.length]).toEqual([id, 1]);
  });

  it("puts no hand or broom to an outdoor unit that may start", () => {
    for (const id of [
      "look-round-outdoor-unit",
      "dig-free-of-snow",
      "clear-base-drains",
      "look-for-ice",
    ]) {
      const steps = way(id);
      const hands = steps.findIndex(({ kind }) => kind === "clean");
      const off = steps.findIndex(({ opens = [] }) => opens.some(({ key }) => key === "power"));
      expect([id, off >= 0 && off < hands]).toEqual([id, true]);
    }
  });
});

describe("an electrostatic cleaner", () => {
  it("gives up its flat pre-filter before its cells and takes it back after them", () => {
    const steps = way("wash-electrostatic-cells");
    inOrder(
      steps,
      "inner-off",
      "flat-out",
      "cells-out",
      "cells-in",
      "flat-in",
      "inner-on",
      "cover-on",
    );
    expect(step("wash-electrostatic-cells", "flat-out").opens?.[0]?.end).toBe("part-out");
    inOrder(way("clean-flat-pre-filter"), "inner-off", "flat-out", "flat-in", "inner-on");
    expect(said("wash-electrostatic-cells")).toMatch(/coin/);
    expect(said("wash-electrostatic-cells")).toMatch(/swing/);
  });
});

describe("a dryer", () => {
  it("on a rigid gas pipe is brushed from outside alone, its duct left on", () => {
    const outside = way("brush-dryer-duct", "outside");
    expect(outside.flatMap(({ opens = [] }) => opens.map(({ key }) => key))).toEqual(["power"]);
    expect(ids(outside)).toContain("catch-outside");
    expect(ids(way("brush-dryer-duct", "drawn"))).toEqual(
      expect.arrayContaining(["duct-off", "catch", "duct-on"]),
    );
    const turns = LEADS.find(
      ({ from }) => "sign" in from && from.sign.includes("dryer:two-turns"),
    )!;
    expect(turns.to).toContain("dryer-duct:brush");
  });
});

describe("a vent pipe", () => {
  const leadTo = (reading: string, word: string) =>
    LEADS.find(
      ({ from }) =>
        "reading" in from && "is" in from && from.reading === reading && from.is.includes(word),
    )?.to;
  it("is inspected at any corrosion, hung anew where its plastic sags or drips", () => {
    expect(leadTo("vent-pipe", "surface-rust")).toContain("metal-vent:inspect");
    for (const word of ["sags", "drips", "brown"])
      expect(leadTo("plastic-pipe", word)).toContain("plastic-vent:mend");
    expect(PART_READINGS["plastic-vent"]).toEqual(["plastic-pipe"]);
    expect(partKind("plastic-vent")).toBeDefined();
  });
});

describe("inhibitor", () => {
  it("goes into a body that is shut off, cold and empty of pressure, filling by filling", () => {
    for (const filling of [1, 2, 3, 4])
      inOrder(
        the("dose-inhibitor").steps,
        ...["power-off", "cool", "valves", "bleed-open", "drain-open", "lid-off", "pour"].map(
          (id) => `${id}-${filling}`,
        ),
        ...["lid-on", "bleed-shut", "valves-open", "power-on"].map((id) => `${id}-${filling}`),
      );
    expect(
      step("dose-inhibitor", "pour-1").shows ?? step("dose-inhibitor", "towels").shows,
    ).toBeDefined();
  });
});

describe("the direction of air", () => {
  it("is asked once where there is no paper to hold, and never said to have been drawn", () => {
    for (const id of ["change-vent-filter", "vacuum-vent-filter"]) {
      expect(step(id, "which-way")).toMatchObject({
        when: "direction-unasked",
        records: { kind: "direction" },
      });
      expect(said(id)).not.toMatch(/way you drew|as you drew/);
    }
    expect(step("change-vent-filter", "which-way").title).toBe(
      "By which side does the air leave it?",
    );
  });
});

describe("a technician’s visit", () => {
  it("looks at filter and outdoor coil, in two orders or electrics first", () => {
    expect(the("technician-visit").variants!.map(({ id }) => id)).toEqual([
      ...["heating-first", "season-first", "electrics-first"],
    ]);
    const steps = way("technician-visit", "heating-first", ["has-filters"]);
    inOrder(
      steps,
      "heating-side",
      "power-off",
      "filter",
      "outdoor-coil",
      "capacitors",
      "power-on",
      "amps",
      "steady",
      "works",
    );
    inOrder(
      way("technician-visit", "electrics-first"),
      "power-off",
      "capacitors",
      "power-on",
      "heating-after",
    );
  });

  it("records capacitor, amps and pressures as readings in the led jobs too", () => {
    for (const id of ["technician-visit", "electrical-check"]) {
      const read = the(id).steps.flatMap(({ records }) =>
        records?.kind === "reading" ? [records.reading] : [],
      );
      expect(read).toEqual(expect.arrayContaining(["capacitor-uf", "motor-amps", "plate-range"]));
    }
  });

  it("counts what was ticked, and nothing else", () => {
    const job = jobOf(the("technician-visit"), {}, "licensed");
    const nothing = replayRun(
      job,
      walk(job, { seen: { works: { each: [{ place: "furnace", value: "unit:visit" }] } } }),
    );
    expect(countedStep(nothing)?.step.id).toBe("works");
    for (const task of [
      ...JOBS.unit("condensing-furnace"),
      ...JOBS.unit("boiler"),
      ...JOBS.unit("rooftop"),
    ])
      if (task.who === "licensed") expect([task.key, task.alsoDoes ?? []]).toEqual([task.key, []]);
  });

  it("finds capacitor, igniter and float switch at a furnace with a metal vent", () => {
    const kinds = unitKind("metal-vent-furnace")!.parts.map(({ kind }) => kind);
    expect(kinds).toEqual(expect.arrayContaining(["capacitor", "igniter", "float-switch"]));
  });

  it("looks at every filter of a rooftop’s bank", () => {
    const job = jobOf(the("service-rooftop"), {}, "licensed");
    const state = replayRun(job, walk(job));
    const looks = seenEntries(state, whereOf({ unitId: "roof", itsSlots: ["bank-a", "bank-b"] }));
    const at = looks.flatMap(({ kind, partId }) => (kind === "look" ? [partId] : []));
    expect(at).toEqual(expect.arrayContaining(["bank-a", "bank-b"]));
    expect(ids(way("service-rooftop"))).toEqual(
      expect.arrayContaining(["coil-before", "trap", "coil-look", "screen-out", "screen-in"]),
    );
    inOrder(way("service-rooftop"), "evaporator", "trap", "coil-look");
  });
});

describe("an indoor coil", () => {
  it("fixed: opens and closes its plate, frees drain and float wire; eased out: its pan in its notch", () => {
    const fixed = way("clean-indoor-coil", "foam", ["coil-fixed", "has-float"]);
    inOrder(
      fixed,
      "plate-off",
      "drain-free",
      "float-free",
      "float-on",
      "drain-on",
      "plate-on",
      "cover-on",
    );
    expect(words(step("clean-indoor-coil", "ease-in"))).toMatch(/notch/);
  });

  it("proves the drain before water, dry before wet, foam then rinse as a third way, round again while grey", () => {
    for (const variant of ["foam", "rinse", "water"]) {
      const steps = way("clean-indoor-coil", variant, ["coil-fixed"]);
      inOrder(steps, "drain-proven", "comb", "runs-clear");
      const wet = steps.findIndex(({ id }) => ["foam", "spray"].includes(id));
      expect([variant, wet > ids(steps).indexOf("drain-proven")]).toEqual([variant, true]);
    }
    inOrder(way("clean-indoor-coil", "rinse", ["coil-fixed"]), "foam", "foam-works", "spray");
    expect(step("clean-indoor-coil", "runs-clear").repeats?.from).toBeDefined();
    expect(said("clean-indoor-coil") + JSON.stringify(the("clean-indoor-coil"))).toMatch(
      /nut driver/,
    );
  });
});

describe("a cooling test", () => {
  it("knows nothing yet: five minutes, breaker, disconnect, float, then a call", () => {
    const options = step("cooling-test", "does-it-turn").records;
    expect(JSON.stringify(options)).toMatch(/nothing/i);
    inOrder(
      the("cooling-test").steps,
      "does-it-turn",
      "breaker",
      "disconnect",
      "float",
      "turns-now",
      "call",
    );
    const out = LEADS.find(({ from }) => "sign" in from && from.sign.includes("start:goes-out"))!;
    expect(out.to[0]).toBe("flame-sensor:polish");
  });
});

describe("a purifier", () => {
  it("measures the cut once the cylinder is out and keeps it, looks before mist, is brought back", () => {
    const steps = way("purifier-pre-filter", null, ["cut-to-size"]);
    const across = the("purifier-pre-filter").steps.find(
      ({ records }) => records?.kind === "across",
    )!;
    const out = the("purifier-pre-filter").steps.findIndex(({ opens = [] }) =>
      opens.some(({ end }) => end === "part-out"),
    );
    expect(the("purifier-pre-filter").steps.indexOf(across)).toBeGreaterThan(out);
    expect(steps.some(({ closes }) => closes === "place")).toBe(true);
  });
});

describe("room heater, portable cooler, thermostat", () => {
  it("compares the sensor out of its outflow, before and after; a cold reading has its own lead", () => {
    expect(words(step("clean-heater-mesh", "sensor-before"))).toMatch(/hour|outflow/i);
    const cold = LEADS.filter(
      ({ from }) => "reading" in from && from.reading === "sensor-offset-k",
    );
    expect(cold.some(({ from }) => "side" in from && from.side === "below")).toBe(true);
    expect(JOBS.unit("thermostat").some(({ name }) => /filter/i.test(name))).toBe(false);
  });

  it("plugs in no stored machine, looks at its flow again, offers the mesh while it is out", () => {
    const stored = ids(way("brush-portable-coils", null, ["stored"]));
    expect([stored.includes("plug-in"), stored.includes("stays-out")]).toEqual([false, true]);
    const used = ids(way("brush-portable-coils", null, ["in-use"]));
    expect([used.includes("plug-in"), used.includes("stays-out")]).toEqual([true, false]);
    inOrder(the("drain-portable-cooler").steps, "runs", "clear", "runs-now");
    expect(used).toContain("mesh-meanwhile");
    expect(said("store-portable-cooler")).toMatch(/hard cover.*or a sheet that breathes/);
  });
});

describe("coils outdoors and on the roof", () => {
  it("vacuums the base, opens the small panel, and knows a yearly professional clean as a school", () => {
    expect(ids(way("rinse-outdoor-coil"))).toContain("small-panel");
    expect(words(step("rinse-outdoor-coil", "leaves"))).toMatch(/vacuum/i);
    const kept = JOBS.part("condenser-coil", "split-cooling");
    expect(kept.map(({ key }) => key)).toContain("clean");
    expect(kept.find(({ who }) => who === "licensed")).toMatchObject({
      ...{ key: "deep-clean", whereWanted: true, procedureIds: ["have-outdoor-coil-cleaned"] },
    });
  });
});

describe("a magnetic filter", () => {
  it("seats the lid in its notches and looks for a weep cold at full pressure, hand before tool", () => {
    for (const id of ["magnetic-full-clean", "magnetic-quick-flush"]) {
      inOrder(
        the(id).steps,
        "pressure",
        "cold-look",
        "by-hand",
        "by-tool",
        "power-on",
        "warm-look",
      );
    }
    expect(words(step("magnetic-full-clean", "lid-on"))).toMatch(/notches/);
    expect(step("magnetic-quick-flush", "crack").opens?.[0]?.end).toBe("valve-open");
    expect(step("magnetic-quick-flush", "crack-shut").closes).toBe("cracked");
    inOrder(the("magnetic-quick-flush").steps, "crack", "crack-shut", "drain-shut");
  });
});

describe("ventilation, drains and ducts", () => {
  it("tightens by hand and looks at the seal before it closes", () => {
    inOrder(way("change-vent-filter"), "seal", "cover-on", "power-on");
    expect(words(step("change-vent-filter", "cover-on"))).toMatch(/by hand/);
    expect(JSON.stringify(the("change-vent-filter"))).toMatch(/hex key/);
    expect(JSON.stringify(the("flush-condensate-line"))).toMatch(/funnel/);
    expect(said("flush-condensate-line")).toMatch(/other hand/);
    expect(words(step("accept-duct-cleaning", "grilles"))).toMatch(/both sides.*every screw/);
    expect(
      the("accept-duct-cleaning").steps.some(({ shows }) =>
        JSON.stringify(shows ?? "").includes("duct-pull"),
      ),
    ).toBe(true);
  });

  it("asks of fogged panes first whether the ventilator runs, of a cold room a handful of jobs", () => {
    const fog = LEADS.filter(({ from }) => "reading" in from && from.reading === "window-fog");
    expect(fog.some(({ now, why }) => /ventilator/i.test(`${now ?? ""} ${why}`))).toBe(true);
    const cold = LEADS.find(({ from }) => "sign" in from && from.sign.includes("room:cold"))!;
    expect([cold.ofTheHouse, cold.to.length <= 6]).toEqual(["one-each", true]);
    const steam = LEADS.find(({ id }) => id === "steam-stays")!;
    expect(steam.to.length).toBeGreaterThan(1);
  });
});

describe("pictures", () => {
  it("show the same place before and after, at combs, cells and coils", () => {
    for (const id of ["clean-indoor-coil", "rinse-outdoor-coil", "brush-portable-coils"]) {
      const before = step(id, "coil-before");
      const after = step(id, "coil-after");
      expect([id, before.records]).toEqual([id, after.records]);
    }
  });
});

describe("rhythms", () => {
  it("polishes a flame sensor every second year, mends a line’s wrap, offers new filters while a core dries", () => {
    expect(JOBS.part("flame-sensor", "condensing-furnace")[0]!.trigger).toMatchObject({
      kind: "every",
      n: 2,
      unit: "year",
    });
    expect(JOBS.part("line-insulation", "split-cooling").map(({ key }) => key)).toEqual(
      expect.arrayContaining(["look", "mend"]),
    );
    expect(said("wash-recovery-core")).toMatch(/the old ones, or new ones now/);
  });
});
