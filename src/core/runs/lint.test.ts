import { readFileSync } from "node:fs";
import { changePanelFilter } from "@/content/procedures/change-panel-filter";
import { coolingTest } from "@/content/procedures/cooling-test";
import { flushCondensateLine } from "@/content/procedures/flush-condensate-line";
import { magneticFullClean } from "@/content/procedures/magnetic-filter";
import { polishFlameSensor } from "@/content/procedures/polish-flame-sensor";
import { rinseOutdoorCoil } from "@/content/procedures/rinse-outdoor-coil";
import { technicianVisit, testHeatExchanger } from "@/content/procedures/technician";
import { washElectrostaticCells } from "@/content/procedures/wash-electrostatic-cells";
import { washFineFilter } from "@/content/procedures/wash-fine-filter";
import { washRecoveryCore } from "@/content/procedures/wash-recovery-core";
import { lintProcedures, lintProceduresInput, LINT_RULES, waysOf, type LintRule } from "./lint";
import type { Procedure, Step, StepEnd } from "./procedure";

const faultsOf = (procedure: Procedure): [string, LintRule][] =>
  lintProcedures({ procedures: [procedure] }).faults.map(({ step, rule }) => [step, rule]);

type Change = (steps: Step[]) => Step[];
const with_ = (procedure: Procedure, change: Change): Procedure => ({
  ...procedure,
  steps: change([...procedure.steps]),
});
const without =
  (id: string): Change =>
  (steps) =>
    steps.filter((step) => step.id !== id);
const changed =
  (id: string, change: Partial<Step>): Change =>
  (steps) =>
    steps.map((step) => (step.id === id ? { ...step, ...change } : step));
/** Moves a step to stand right before another. */
const moved =
  (id: string, before: string): Change =>
  (steps) => {
    const step = steps.find((each) => each.id === id)!;
    const rest = steps.filter((each) => each !== step);
    return rest.toSpliced(
      rest.findIndex((each) => each.id === before),
      0,
      step,
    );
  };

/** A mistake somebody could make in a procedure, where it is found, and by which rule. */
const PLANTED: [string, Procedure, Change, [string, LintRule]][] = [
  [
    "a valve never opened again",
    magneticFullClean,
    without("valve-one-open"),
    ["valve-one", "left-open"],
  ],
  ["a setting not restored", coolingTest, without("set-back"), ["set-cooling", "left-open"]],
  ["a light never reset", changePanelFilter, without("reset-light"), ["new-one-in", "left-open"]],
  [
    "a panel off before the power is",
    polishFlameSensor,
    moved("door-off", "power-off"),
    ["door-off", "power-first"],
  ],
  [
    "power on over an open lid",
    magneticFullClean,
    moved("power-on", "lid-on"),
    ["power-on", "power-last"],
  ],
  [
    "power on over a shut valve",
    magneticFullClean,
    moved("power-on", "valve-one-open"),
    ["power-on", "power-last"],
  ],
  [
    "power on over an open filling loop",
    magneticFullClean,
    moved("power-on", "loop-shut"),
    ["power-on", "power-last"],
  ],
  [
    "water let in over an open lid",
    magneticFullClean,
    moved("valve-two-open", "lid-on"),
    ["valve-two-open", "water-last"],
  ],
  [
    "gas let in over a sensor that is out",
    polishFlameSensor,
    moved("gas-on", "sensor-in"),
    ["gas-on", "gas-last"],
  ],
  [
    "a test of what has to run, done dead",
    technicianVisit,
    moved("heating-side", "capacitors"),
    ["heating-side", "runs-dead"],
  ],
  [
    "combustion measured before its power is back",
    testHeatExchanger,
    moved("test", "power-on"),
    ["test", "runs-dead"],
  ],
  [
    "a thermostat turned up in words only",
    polishFlameSensor,
    (steps) => without("set-back")(changed("call-for-heat", { opens: [] })(steps)),
    ["call-for-heat", "setting-unmarked"],
  ],
  [
    "a switch inside the machine taken for its isolator",
    washElectrostaticCells,
    (steps) => without("power-on")(without("control-off")(steps)),
    ["cells-out", "power-first"],
  ],
  [
    "licensed work that opens nothing, but is no caution",
    polishFlameSensor,
    changed("sensor-cracked", { kind: "inspect" }),
    ["sensor-cracked", "licensed-offered"],
  ],
  [
    "something once only that a later round has nothing in the place of",
    flushCondensateLine,
    changed("flush-after-bleach", { insteadOf: "brush" }),
    ["flush-after-bleach", "refers-to-nothing"],
  ],
  [
    "power on over an open drain",
    magneticFullClean,
    moved("power-on", "drain-shut"),
    ["power-on", "power-last"],
  ],
  [
    "wet before dry",
    rinseOutdoorCoil,
    moved("leaves", "drains-again"),
    ["leaves", "wet-before-dry"],
  ],
  [
    "a part fitted that is still drying",
    washRecoveryCore,
    moved("core-in", "is-it-dry"),
    ["core-in", "refit-before-dry"],
  ],
  [
    "a wet part fitted that was never dried",
    washFineFilter,
    (steps) => without("is-it-dry")(changed("to-dry", { opens: [] })(steps)),
    ["fine-in", "refit-before-dry"],
  ],
  [
    "drying without a time",
    washRecoveryCore,
    changed("set-to-dry", {
      opens: [{ key: "drying", end: "part-drying", thing: "core", state: "drying" }],
    }),
    ["set-to-dry", "no-drying-time"],
  ],
  [
    "putting back in another order than taking out",
    magneticFullClean,
    moved("bleed-shut", "core-in"),
    ["bleed-shut", "out-of-turn"],
  ],
  [
    "something closed that is not open",
    changePanelFilter,
    without("open-slot"),
    ["close-slot", "closes-nothing"],
  ],
  [
    "something opened twice",
    coolingTest,
    changed("wait", {
      opens: [{ key: "setting", end: "setting-changed", thing: "thermostat", state: "changed" }],
    }),
    ["wait", "opened-twice"],
  ],
  [
    "licensed work that an owner cannot leave to others",
    polishFlameSensor,
    changed("gas-off", { who: "licensed" }),
    ["gas-off", "licensed-offered"],
  ],
  [
    "a vent pipe that an owner takes off",
    polishFlameSensor,
    (steps) =>
      changed("gas-on", { closes: "gas" })(
        changed("gas-off", {
          opens: [{ key: "gas", end: "vent-off", thing: "vent", state: "off" }],
        })(steps),
      ),
    ["gas-off", "licensed-offered"],
  ],
  [
    "a loop that opens something each time round",
    rinseOutdoorCoil,
    changed("rinse", {
      opens: [{ key: "x", end: "drain-open", thing: "drain", state: "open" }],
    }),
    ["rinse", "ends-in-a-loop"],
  ],
  [
    "a wait for a time that nothing began",
    rinseOutdoorCoil,
    changed("rinse", { waitsFor: ["sun"] }),
    ["rinse", "refers-to-nothing"],
  ],
  [
    "a step of a variant nobody knows",
    rinseOutdoorCoil,
    changed("rinse", { variants: ["steam"] }),
    ["rinse", "refers-to-nothing"],
  ],
  [
    "no step from which the job counts",
    coolingTest,
    changed("set-back", { renews: undefined }),
    ["set-back", "counts-once"],
  ],
  [
    "two steps of one name",
    coolingTest,
    changed("wait", { id: "measure" }),
    ["measure", "id-twice"],
  ],
];

describe("lint", () => {
  it.each(PLANTED)("finds %s", (_, procedure, change, fault) => {
    expect(faultsOf(procedure)).toEqual([]);
    expect(faultsOf(with_(procedure, change))).toContainEqual(fault);
  });

  it("names the variant a fault is in, and only that", () => {
    const full = with_(magneticFullClean, without("drain-shut"));
    const { faults } = lintProcedures({ procedures: [full] });
    expect(new Set(faults.map(({ variant }) => variant))).toEqual(new Set(["drained"]));
    expect(faults.map(({ step, rule }) => [step, rule])).toEqual(
      expect.arrayContaining([
        ["drain-open", "left-open"],
        ["power-on", "power-last"],
      ]),
    );
  });

  it("goes every way: each variant, with and without each fact, with whatever is seen", () => {
    // Two variants, two facts; seals sound, flattened or leaking; cold dry, dry by hand or by its tool; warm dry
    // or weeping; running on or not.
    expect(waysOf(magneticFullClean)).toHaveLength(2 * 4 * 3 * 4 * 2 * 2);
    // Six facts, the new one left out or not, the power left off or not; dark debris stops it.
    expect(waysOf(changePanelFilter)).toHaveLength(64 * 2 * 2);
    // Each strategy in its first round and in a later one, whatever is seen.
    const flushes = waysOf(flushCondensateLine).map(({ steps }) => steps.map(({ id }) => id));
    expect(flushes.some((ids) => ids.includes("flush-bleach"))).toBe(true);
    expect(flushes.some((ids) => ids.includes("flush-after-bleach"))).toBe(true);
    expect(
      flushes.some((ids) => ids.includes("flush-bleach") && ids.includes("flush-after-bleach")),
    ).toBe(false);
  });

  describe("two of a kind", () => {
    const step = (id: string, more: Partial<Step> = {}): Step =>
      ({ id, kind: "clean", title: id, ...more }) as Step;
    const opens = (key: string, end: StepEnd["end"], more: Partial<StepEnd> = {}) => ({
      opens: [{ key, end, thing: key, state: "out", ...more }],
    });
    const wet = (what: string) => ({ cleans: { what, how: "wet" as const } });
    const dries = (key: string) => opens(key, "part-drying", { dryMinutes: 60 });
    const faults = (...steps: Step[]) =>
      faultsOf({
        ...with_(coolingTest, () => [...steps, step("done", { renews: true })]),
        variants: undefined,
      }).filter(([, rule]) => rule === "refit-before-dry" || rule === "setting-unmarked");
    const off = step("off", opens("power", "switch-off"));
    const out = (key: string) => step(`${key}-out`, opens(key, "part-out"));
    const back = (key: string) => step(`${key}-back`, { closes: key, outOfTurn: "it may" });

    it("a drying frees only what was wet when it began", () => {
      const both = [
        off,
        out("core"),
        out("tray"),
        step("w-core", wet("core")),
        step("d1", dries("a")),
      ];
      const later = [
        step("w-tray", wet("tray")),
        step("dry-1", { closes: "a", outOfTurn: "it may" }),
      ];
      expect(faults(...both, ...later, back("core"))).toEqual([]);
      expect(faults(...both, ...later, back("tray"))).toEqual([["tray-back", "refit-before-dry"]]);
    });

    it("nothing goes back while its own drying runs, though another’s is over", () => {
      const steps = [
        ...[off, out("core"), out("tray")],
        ...[step("w-core", wet("core")), step("d1", dries("a"))],
        ...[step("w-tray", wet("tray")), step("d2", dries("b"))],
        step("dry-1", { closes: "a", outOfTurn: "it may" }),
      ];
      expect(faults(...steps, back("core"))).toEqual([]);
      expect(faults(...steps, back("tray"))).toContainEqual(["tray-back", "refit-before-dry"]);
    });

    it("an open setting covers only itself", () => {
      const first = step("fan-down", { changesSetting: true, ...opens("fan", "setting-changed") });
      const second = (changesSetting: true | "fan" | "pump") => step("again", { changesSetting });
      const unmarked = [["again", "setting-unmarked"]];
      expect(faults(first, second(true))).toEqual(unmarked);
      expect(faults(first, second("pump"))).toEqual(unmarked);
      expect(faults(first, second("fan"))).toEqual([]);
      const putBack = step("again", { changesSetting: true, closes: "fan" });
      expect(faults(first, putBack)).toEqual([]);
    });
  });

  it("has every rule by name in its document", () => {
    const text = readFileSync("docs/procedure-rules.md", "utf8");
    expect(LINT_RULES.filter((rule) => !text.includes(`| \`${rule}\``))).toEqual([]);
  });

  it("takes no procedure with a word misspelt", () => {
    const odd = { ...coolingTest, steps: [{ ...coolingTest.steps[0], clozes: "door" }] };
    expect(lintProceduresInput.safeParse({ procedures: [odd] }).success).toBe(false);
  });
});
