import type { Qualification } from "@/core/runs/qualification";
import type { TaskDefinition } from "@/core/scheduling/task";
import type { Trigger } from "@/core/scheduling/trigger";

/** The words in which jobs are written down: what is done, upon what it comes round, by whom. */
type Rest = Partial<Omit<TaskDefinition, "key" | "name" | "trigger">>;

export function job(
  key: string,
  name: string,
  trigger: Trigger,
  who: Qualification,
  handsOn: number,
  rest: Rest = {},
): TaskDefinition {
  return { key, name, trigger, who, handsOn, waiting: 0, ...rest };
}

type Unit = Extract<Trigger, { kind: "every" }>["unit"];
type Within = NonNullable<Extract<Trigger, { kind: "every" }>["within"]>;
export const every = (n: number, unit: Unit, within?: Within): Trigger => ({
  kind: "every",
  n,
  unit,
  within,
});
export const yearly = every(1, "year");
type Anchor = Extract<Trigger, { kind: "season" }>["anchor"];
export const season = (anchor: Anchor, offsetDays = 0): Trigger => ({
  kind: "season",
  anchor,
  offsetDays,
});
export const after = (event: string, days: number): Trigger => ({ kind: "after", event, days });
type Reading = Extract<Trigger, { kind: "reading" }>["reading"];
export const onReading = (reading: Reading, verdict: "watch" | "act" = "act"): Trigger => ({
  kind: "reading",
  reading,
  verdict,
});
export const earliest = (...of: Trigger[]): Trigger => ({ kind: "earliest", of });

/** Once enough dust has gone through it. */
export const WEAR: Trigger = { kind: "wear" };

export const led = (...procedureIds: string[]) => ({ procedureIds });

/** Weeks before the cold or the heat in which technicians still have time. */
export const BEFORE_HEATING = season("heatingStart", -28);
export const BEFORE_COOLING = season("coolingStart", -28);
