import { tasksOf } from "@/core/scheduling/home-tasks";
import { cadenceWords } from "@/presentation/task-words";
import type { Cadence } from "@/core/scheduling/trigger";
import type { HomeBook } from "@/core/inventory/inventory";
import type { PlannedTask } from "@/core/scheduling/task";

type Values = Record<string, string[]>;

/** The fields of a cadence that can be made by hand; everything else stays “as usual”. */
function cadenceFields(cadence: Cadence | undefined): Values {
  switch (cadence?.kind) {
    case "every":
      return {
        by: ["every"],
        n: [String(cadence.n)],
        unit: [cadence.unit],
        within: [cadence.within ?? ""],
      };
    case "season":
      return {
        by: ["season"],
        anchor: [cadence.anchor],
        offsetDays: [String(cadence.offsetDays)],
      };
    case "run-hours":
      return { by: ["run-hours"], hours: [String(cadence.n)] };
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
  book,
  standing: { task },
}: {
  book: HomeBook;
  standing: { task: PlannedTask };
}): { values: Values; usual: string | null } {
  const usual = tasksOf({ ...book, tasks: [] }).find((each) => each.id === task.id);
  const isUsual = JSON.stringify(usual?.cadence) === JSON.stringify(task.cadence);
  return {
    usual: usual ? cadenceWords(usual.cadence) : null,
    values: {
      ...BLANK,
      ...cadenceFields(task.cadence),
      ...(isUsual ? { by: ["default"] } : {}),
      name: [task.name],
      who: [task.who],
      handsOn: [String(task.handsOn)],
      waiting: [String(task.waiting)],
      isOff: [task.isOff ? "on" : ""],
    },
  };
}
