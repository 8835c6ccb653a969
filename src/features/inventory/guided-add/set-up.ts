import { unitKind } from "@/content/unit-kinds";
import { SET_UP_STEPS, type SetUpStep, type Unit } from "@/core/inventory/inventory";

/** What each step of entering a unit asks. */
export const STEP_WORDS: Readonly<Record<SetUpStep, { name: string; question: string }>> = {
  plate: { name: "Plate", question: "What is on its plate?" },
  place: { name: "Place", question: "Where does it stand?" },
  "shut-off": { name: "Shut-off", question: "How is it shut off?" },
  filters: { name: "Filters", question: "Where does its filter sit?" },
  parts: { name: "Parts", question: "Which parts does it have?" },
};

/** The steps that make sense for a kind: an alarm has no switch, a boiler no filter of air. */
export function stepsOf(kindId: string): SetUpStep[] {
  const kind = unitKind(kindId);
  return SET_UP_STEPS.filter(
    (step) =>
      (step !== "shut-off" || kind.shutOffs.length > 0) &&
      (step !== "filters" || kind.slots.some((slot) => slot.usual)),
  );
}

/** The step after this one; undefined after the last. */
export function stepAfter(kindId: string, step: SetUpStep): SetUpStep | undefined {
  const steps = stepsOf(kindId);
  return steps[steps.indexOf(step) + 1];
}

/** How far a half entered unit has come once a step is saved: never back. */
export function progress(unit: Unit, saved: SetUpStep): SetUpStep | undefined {
  if (unit.setUpStep === undefined) return undefined;
  const steps = stepsOf(unit.kind);
  return steps.indexOf(unit.setUpStep) > steps.indexOf(saved)
    ? unit.setUpStep
    : stepAfter(unit.kind, saved);
}

/** A heating machine on ducts may carry a cooling coil: worth asking, since it adds to its hours. */
export function asksForCooling(kindId: string): boolean {
  const { ducted, equipment } = unitKind(kindId);
  return ducted && equipment.heats && !equipment.cools && kindId !== "humidifier";
}

/** Where a step leads: to the next, and from the last to what is known of the machine’s past. */
export const nextHref = (
  homeId: string,
  { id, kind }: Pick<Unit, "id" | "kind">,
  step: SetUpStep,
) => {
  const next = stepAfter(kind, step);
  return next ? `/homes/${homeId}/units/${id}/set-up/${next}` : whenLastHref(homeId, id);
};

/** Where it is asked when each job of a machine was last done; with none to ask it leads on by itself. */
export const whenLastHref = (homeId: string, unitId: string): string =>
  `/homes/${homeId}/when-last?unit=${unitId}`;
