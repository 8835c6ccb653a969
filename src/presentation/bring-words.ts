import type { Procedure } from "@/core/runs/procedure";

/** “the new filter” by its size, where the slot says it: what one asks for in a shop. */
export function withSize(of: Procedure, size: string | undefined): Procedure {
  if (size === undefined) return of;
  const steps = of.steps.map((step) =>
    step.consumables
      ? {
          ...step,
          consumables: step.consumables.map((thing) => (thing === "the new filter" ? size : thing)),
        }
      : step,
  );
  return { ...of, steps };
}
