import fc from "fast-check";
import { LICENSED_WORK } from "@/content/licensed-work";
import { procedure, PROCEDURES } from "@/content/procedures/library";
import { checkOwn } from "./own-procedure";
import { ownStepsOf, stepsOfOwn, type OwnSteps } from "./own-steps";
import type { Procedure } from "./procedure";

const found = (id: string) => procedure(id)!;
const copyOf = (of: Procedure, change: (own: OwnSteps) => OwnSteps): Procedure => ({
  ...of,
  steps: stepsOfOwn(change(ownStepsOf(of.steps)), of.steps),
});
const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value));
const faults = (own: Procedure, original: Procedure | null) =>
  checkOwn(own, original, LICENSED_WORK).map(({ step, rule }) => `${step} ${rule}`);

describe("the steps of one’s own", () => {
  it.each(PROCEDURES.map((each) => [each.id, each] as const))(
    "%s, opened and kept as it is, is the same and is taken",
    (_, each) => {
      const same = copyOf(each, (own) => own);
      expect(plain(same)).toEqual(plain(each));
      expect(faults(same, each)).toEqual([]);
    },
  );

  it("keep what the editor does not show when a word is changed", () => {
    const each = found("wash-electrostatic-cells");
    const changed = copyOf(each, (own) => ({
      ...own,
      steps: own.steps.map((step) => ({ ...step, detail: "As we do it." })),
    }));
    for (const [i, step] of changed.steps.entries()) {
      const { detail: _, ...rest } = step;
      const { detail: __, ...before } = each.steps[i]!;
      expect(plain(rest)).toEqual(plain(before));
    }
  });

  it("close what another step opens, by its own name", () => {
    const each = found("dust-smoke-alarm");
    const steps = ownStepsOf(each.steps);
    const step = (id: string, more: Partial<OwnSteps["steps"][number]>) => ({
      ...steps.steps[0]!,
      ...{ id, kind: "open" as const, title: id, opens: "" as const, closes: "" },
      ...more,
    });
    const own: OwnSteps = {
      counts: "b",
      steps: [
        step("a", { opens: "switch-off", thing: "fan" }),
        step("b", { kind: "clean", waitMinutes: "5" }),
        step("c", { kind: "restore", closes: "a" }),
      ],
    };
    const [a, b, c] = stepsOfOwn(own, []);
    expect(a!.opens).toEqual([{ key: "end-a", end: "switch-off", thing: "fan", state: "off" }]);
    expect([b!.renews, b!.starts]).toEqual([true, { key: "wait-b", minutes: 5, words: "b" }]);
    expect([c!.closes, c!.waitsFor]).toEqual(["end-a", ["wait-b"]]);
  });

  it("never throw, whatever stands in the fields", () => {
    const text = fc.string({ maxLength: 12 });
    fc.assert(
      fc.property(text, text, text, (dryMinutes, waitMinutes, askedFor) => {
        const own = ownStepsOf(found("replace-alarm").steps);
        const steps = own.steps.map((step) => ({
          ...step,
          ...{ dryMinutes, waitMinutes, askedFor, closes: askedFor },
          opens: "part-drying" as const,
          asks: "reading" as const,
        }));
        const made = stepsOfOwn({ ...own, steps }, []);
        expect(made).toHaveLength(steps.length);
        for (const { starts } of made) if (starts) expect(starts.minutes).toBeGreaterThan(0);
      }),
    );
  });
});

describe("what is refused", () => {
  const filter = found("change-panel-filter");

  it("is a step that leaves something open, or brings the power back too soon", () => {
    const left = { ...filter, steps: filter.steps.filter(({ id }) => id !== "close-slot") };
    expect(faults(left, filter)).toContain("open-slot left-open");
    const on = filter.steps.find(({ closes }) => closes === "power")!;
    const rest = filter.steps.filter((step) => step !== on);
    const at = rest.findIndex(({ id }) => id === "open-slot") + 1;
    const early = { ...filter, steps: [...rest.slice(0, at), on, ...rest.slice(at)] };
    expect(faults(early, filter)).toContain(`${on.id} power-last`);
  });

  it("is licensed work made an owner’s: as a whole, a step of it, or in other words", () => {
    const visit = found("replace-capacitor");
    expect(faults({ ...visit, who: "owner" }, visit)).toContain(" licensed-taken");
    const taken = copyOf(visit, (own) => ({
      ...own,
      steps: own.steps.map((step) => ({ ...step, isLicensed: false })),
    }));
    expect(faults(taken, visit)).toContain("discharge licensed-taken");
    const written = copyOf(filter, (own) => ({
      ...own,
      steps: own.steps.map((step, i) =>
        i === 0 ? { ...step, kind: "clean" as const, title: "Top up the refrigerant" } : step,
      ),
    }));
    expect(faults(written, filter)).toEqual(["new-one-at-hand licensed-by-words"]);
    const theirs = { ...written, who: "licensed" as const };
    const left = theirs.steps.map((step, i) =>
      i === 0 ? { ...step, who: "licensed" as const } : step,
    );
    expect(faults({ ...theirs, steps: left }, filter)).toEqual([]);
  });

  it("is nothing that only looks at such a place, or was in the library so", () => {
    expect(
      faults(
        copyOf(filter, (own) => ({
          ...own,
          steps: own.steps.map((step, i) =>
            i === 0 ? { ...step, kind: "inspect" as const, title: "Look at the vent pipe" } : step,
          ),
        })),
        filter,
      ),
    ).toEqual([]);
  });
});
