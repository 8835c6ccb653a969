import type { PlanInput } from "./plan-schema";
import { sequence, sequenceInput, type Sequence } from "./sequence";

/** When a job of a round begins, minutes from its start. */
export type RoundStep =
  | { kind: "job"; task: string; start: number; handsOn: number; waiting: number }
  | { kind: "off" | "on"; unit: string; start: number };

export type RoundOrder = {
  steps: RoundStep[];
  /** Until the last one is done, and the last unit is on again: minutes. */
  minutes: number;
  /** Waits that other work went on in: minutes saved against one after the other. */
  waitsUsed: number;
  /** By unit without power: for how long, minutes. */
  off: { unit: string; minutes: number }[];
};

/** Switching a machine off, or on again, minutes. Our choice. */
const SWITCH_MINUTES = 1;
/** More steps than this are not searched, and from so many on less widely: a page is waiting. */
const MOST_STEPS = 60;
const WIDELY_STEPS = 20;
const NARROW = 40;

/**
 * The order in which one person does the jobs of a round: each machine off once for all its jobs, waits
 * used for others, top floor first, out of doors in one go.
 *
 * @param ids the tasks of the round
 * @param partsBack tasks of it that only come back to put something in: no wait, no power off
 * @example roundOrder(planInput.parse(smallPlan), ["filter"]).minutes // 10
 */
export function roundOrder(
  { tasks, units }: Pick<PlanInput, "tasks" | "units">,
  ids: readonly string[],
  partsBack: readonly string[] = [],
): RoundOrder {
  const chosen = tasks.filter(({ id }) => ids.includes(id));
  const back = tasks.filter(({ id }) => partsBack.includes(id) && !ids.includes(id));
  const levelOf = (unit: string) => units.find(({ id }) => id === unit)?.level ?? 0;
  const off = [...new Set(chosen.flatMap(({ unit, powerOff }) => (powerOff ? [unit] : [])))];
  const jobs = [
    ...chosen.map((task): Work => ({
      ...{ unit: task.unit, level: levelOf(task.unit), outdoor: task.outdoor },
      ...{ id: task.id, step: { kind: "job", task: task.id } },
      handsOn: Math.round(task.handsOn),
      // What dries for days is fetched on another round.
      tail: task.returns ? 0 : Math.round(task.waiting),
      preds: task.powerOff ? [switchId("off", task.unit)] : [],
      power: 0,
    })),
    ...back.map(({ id, unit, outdoor, returns }): Work => ({
      ...{ unit, level: levelOf(unit), outdoor, id, step: { kind: "job", task: id } },
      ...{ handsOn: Math.round(returns?.minutes ?? 0), tail: 0, preds: [], power: 0 },
    })),
  ];
  const switches = off.flatMap((unit): Work[] => {
    const outdoor = chosen.some((task) => task.unit === unit && task.outdoor);
    const common = { unit, level: levelOf(unit), outdoor, handsOn: SWITCH_MINUTES, tail: 0 };
    const under = chosen.filter((task) => task.unit === unit && task.powerOff);
    const step = (kind: "off" | "on") => ({ id: switchId(kind, unit), step: { kind, unit } });
    return [
      { ...common, ...step("off"), preds: [], power: "down" },
      { ...common, ...step("on"), preds: under.map(({ id }) => id), power: "up" },
    ];
  });
  const work = [...jobs, ...switches];
  const found = work.length <= MOST_STEPS ? searched(work) : fromTheTop(jobs);
  const start = new Map(found.order.map((id, i) => [id, found.start[i]!]));
  const alone = work.reduce((sum, { handsOn, tail }) => sum + handsOn + tail, 0);
  return {
    steps: found.order.map((id): RoundStep => {
      const { step, handsOn, tail } = work.find((each) => each.id === id)!;
      const at = start.get(id)!;
      return step.kind === "job"
        ? { ...step, start: at, handsOn, waiting: tail }
        : { ...step, start: at };
    }),
    minutes: found.end,
    waitsUsed: Math.max(0, alone - found.end),
    off: off.flatMap((unit) => {
      const [down, up] = [start.get(switchId("off", unit)), start.get(switchId("on", unit))];
      return down === undefined || up === undefined
        ? []
        : [{ unit, minutes: up + SWITCH_MINUTES - down }];
    }),
  };
}

/** A step of a round as it is put in order: a job, or switching a machine off or on. */
type Work = {
  id: string;
  step: { kind: "job"; task: string } | { kind: "off" | "on"; unit: string };
  unit: string;
  level: number;
  outdoor: boolean;
  handsOn: number;
  tail: number;
  preds: string[];
  power: 0 | "down" | "up";
};
const switchId = (kind: "off" | "on", unit: string) => `switch ${kind} ${unit}`;

const searched = (work: readonly Work[]): Pick<Sequence, "order" | "start" | "end"> =>
  sequence(
    sequenceInput.parse({
      steps: work.map(({ step: _, ...rest }) => rest),
      ...(work.length > WIDELY_STEPS ? { width: NARROW } : {}),
    }),
  );

/** More jobs than an order is searched for: from the top floor down, machine by machine. */
function fromTheTop(jobs: readonly Work[]): Pick<Sequence, "order" | "start" | "end"> {
  const sorted = jobs.toSorted((a, b) => b.level - a.level || (a.unit < b.unit ? -1 : 1));
  let now = 0;
  const start = sorted.map(({ handsOn, tail }) => {
    const at = now;
    now += handsOn + tail;
    return at;
  });
  return { order: sorted.map(({ id }) => id), start, end: now };
}
