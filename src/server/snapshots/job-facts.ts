import { procedureIn } from "@/content/procedures/library";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { reachOf } from "@/core/inventory/reach";
import type { JobFacts } from "@/core/planning/home-plan";
import { factsOf } from "@/core/runs/place-facts";
import { stepsFor, usualVariant, type Procedure, type RunSetting } from "@/core/runs/procedure";
import { suppliesOf } from "@/core/runs/run-ends";
import { RENEW, type PlannedTask } from "@/core/scheduling/task";

/** The usual procedure of a job at its place; null where none leads through it. */
export function leadOf(
  snapshot: HomeSnapshot,
  { unitId, partId, procedureIds }: PlannedTask,
): { procedure: Procedure; setting: RunSetting } | null {
  const procedure = procedureIn(snapshot, procedureIds[0] ?? "");
  if (!procedure) return null;
  const { units, slots, parts } = snapshot;
  const unit = units.find(({ id }) => id === unitId);
  const slot = slots.find(({ id }) => id === partId);
  const part = parts.find(({ id }) => id === partId);
  const facts = factsOf(snapshot, { unit, slot, part });
  return { procedure, setting: { facts, variant: usualVariant(procedure) } };
}

const POWER = ["switch-off", "breaker-off", "disconnect-out"];
const MINUTES_AN_HOUR = 60;
/** A part that dries for so long is put back on another day. Our choice: nobody waits for it in the house. */
const ANOTHER_DAY_MINUTES = 12 * MINUTES_AN_HOUR;
/** Putting a dry part back, minutes. Our choice, from how long such steps take. */
const PUT_BACK_MINUTES = 10;

/** What a plan has to know of a job: from the procedure that leads through it, and its place. */
export const jobFactsOf =
  (snapshot: HomeSnapshot) =>
  (task: PlannedTask): JobFacts => {
    const unit = snapshot.units.find(({ id }) => id === task.unitId);
    const slot = snapshot.slots.find(({ id }) => id === task.partId);
    const level = snapshot.levels.find(({ id }) => id === unit?.levelId);
    const lead = leadOf(snapshot, task);
    const supplies = lead ? suppliesOf(lead.procedure, lead.setting) : [];
    const steps = lead ? stepsFor(lead.procedure, lead.setting, new Map()) : [];
    const dry = Math.max(
      0,
      ...steps.flatMap(({ opens = [] }) => opens.map(({ dryMinutes = 0 }) => dryMinutes)),
    );
    return {
      powerOff: supplies.some(({ end }) => POWER.includes(end)),
      outdoor: level?.place === "outdoors",
      reach: reachOf(unit, slot),
      consumable: task.key === RENEW && slot ? (slot.priceMinor ?? 0) * slot.filterCount : 0,
      ...(dry >= ANOTHER_DAY_MINUTES
        ? {
            returns: {
              minHours: dry / MINUTES_AN_HOUR,
              maxHours: (2 * dry) / MINUTES_AN_HOUR,
              minutes: PUT_BACK_MINUTES,
            },
          }
        : {}),
    };
  };
