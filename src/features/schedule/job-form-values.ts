import { JOBS } from "@/content/default-tasks";
import { tasksOf } from "@/core/scheduling/home-tasks";
import { triggerWords } from "@/presentation/task-words";
import type { Trigger } from "@/core/scheduling/trigger";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { PlannedTask } from "@/core/scheduling/task";

type Values = Record<string, string[]>;

/** The fields of a trigger that can be made by hand; everything else stays “as usual”. */
function triggerFields(trigger: Trigger | undefined): Values {
  switch (trigger?.kind) {
    case "every":
      return {
        by: ["every"],
        n: [String(trigger.n)],
        unit: [trigger.unit],
        within: [trigger.within ?? ""],
      };
    case "season":
      return {
        by: ["season"],
        anchor: [trigger.anchor],
        offsetDays: [String(trigger.offsetDays)],
      };
    case "run-hours":
      return { by: ["run-hours"], hours: [String(trigger.n)] };
    default:
      return {};
  }
}

/** What every field of the form begins with where nothing is known. */
const BLANK: Values = {
  by: ["default"],
  n: ["3"],
  unit: ["month"],
  within: [""],
  anchor: ["heatingStart"],
  offsetDays: ["0"],
  hours: ["1000"],
};

export const NEW_JOB: Values = {
  ...BLANK,
  by: ["every"],
  who: ["owner"],
  handsOn: ["10"],
  waiting: ["0"],
};

/** What the form of a job begins with, and its default in words. */
export function jobFormOf({
  snapshot,
  jobStatus: { task },
}: {
  snapshot: HomeSnapshot;
  jobStatus: { task: PlannedTask };
}): { values: Values; usual: string | null } {
  const usual = tasksOf({ ...snapshot, tasks: [] }, JOBS).find((each) => each.id === task.id);
  const isUsual = JSON.stringify(usual?.trigger) === JSON.stringify(task.trigger);
  return {
    usual: usual ? triggerWords(usual.trigger) : null,
    values: {
      ...BLANK,
      ...triggerFields(task.trigger),
      ...(isUsual ? { by: ["default"] } : {}),
      name: [task.name],
      who: [task.who],
      handsOn: [String(task.handsOn)],
      waiting: [String(task.waiting)],
      isOff: [task.isOff ? "on" : ""],
    },
  };
}
