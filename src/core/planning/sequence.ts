import { z } from "zod";
import { countSchema, withDefault } from "../quantities/schemas";

/** More steps nobody does in one session, and each of them has its place in a mask. */
const MOST_STEPS = 60;
const MOST_WIDTH = 5000;
/** Wide enough that twelve steps are in the best order there is, and fifteen within a fiftieth of it. */
const USUAL_WIDTH = 2000;

export const sequenceInput = z
  .strictObject({
    steps: z
      .array(
        z.strictObject({
          id: z.string().min(1),
          unit: z.string(),
          level: z.number(),
          outdoor: withDefault(z.boolean(), false),
          /** Minutes at work, then of a wait that needs nobody. */
          handsOn: countSchema,
          tail: withDefault(countSchema, 0),
          /** Steps that are done, and their waits over, before this one begins. */
          preds: withDefault(z.array(z.string()), []),
          /** Whether the unit loses its power with this step, or has it back. */
          power: withDefault(z.union([z.literal(0), z.enum(["down", "up"])]), 0),
        }),
      )
      .max(MOST_STEPS),
    width: withDefault(z.number().int().positive().max(MOST_WIDTH), USUAL_WIDTH),
  })
  .superRefine(({ steps }, context) => {
    const ids = steps.map(({ id }) => id);
    steps.forEach(({ id, preds }, i) => {
      const problem = (key: string, message: string) =>
        context.addIssue({ code: "custom", path: ["steps", i, key], message });
      if (ids.indexOf(id) !== i) problem("id", `“${id}” is there twice`);
      for (const pred of preds) if (!ids.includes(pred)) problem("preds", `no step “${pred}”`);
    });
    if (isCircular(steps))
      context.addIssue({ code: "custom", path: ["steps"], message: "steps wait for each other" });
  });
type Step = z.output<typeof sequenceInput>["steps"][number];

export const sequenceOutput = z.strictObject({
  order: z.array(z.string()),
  /** Minutes from the beginning, in the order of `order`. */
  start: z.array(z.number()),
  /** When the last step is over. */
  end: z.number(),
  downMinutes: z.number(),
  cost: z.number(),
  /** No label was cut: no better order was passed over. */
  proven: z.boolean(),
});
export type Sequence = z.output<typeof sequenceOutput>;

function isCircular(steps: readonly Pick<Step, "id" | "preds">[]): boolean {
  const left = new Map(steps.map(({ id, preds }) => [id, preds]));
  for (;;) {
    const free = [...left].find(([, preds]) => preds.every((pred) => !left.has(pred)));
    if (!free) return left.size > 0;
    left.delete(free[0]);
  }
}

/** A way up a level, whatever its height, and going out again, as minutes. */
const RISE = 2;
const OUTDOORS_AGAIN = 3;

/** A step by its place, with what comes before and after it. */
type Prepared = {
  step: Step;
  preds: number[];
  succs: number[];
};

/** Some steps done in some order, as early as they could be. */
type Label = {
  /** Which are done: low and high half of a mask. */
  low: number;
  high: number;
  last: number;
  now: number;
  wentOut: boolean;
  /** Rises, ways out, and the minutes of units that have their power back, less the starts of those without. */
  value: number;
  /** The same with each power-down as late as the order so far lets it. */
  pushed: number;
  /** By the place of its power-down: a unit still without power, and whether that may move later yet. */
  waits: ReadonlyMap<number, boolean>;
  /** When each done step’s wait is over. */
  ready: readonly number[];
  order: readonly number[];
};

const has = ({ low, high }: Pick<Label, "low" | "high">, i: number): boolean =>
  i < 30 ? (low & (1 << i)) !== 0 : (high & (1 << (i - 30))) !== 0;

/**
 * The order in which one person does the steps of a round: waits are used for other work, each unit is
 * without power for as short as may be, from the top floor down, outdoor things together. Cost in minutes:
 * the time until the last step is over, each unit’s minutes without power, 2 for each rise to a higher level,
 * 3 for each time out of doors after the first. Labels over sets of done steps, the dominated ones dropped,
 * the best kept; then starts are pushed later where that shortens a power-down, and neighbours exchanged.
 *
 * @source docs/sources.md#rounds
 * @example sequence(sequenceInput.parse({ steps: [{ id: "a", unit: "u", level: 0, handsOn: 5 }] })).end // 5
 */
export function sequence({ steps, width }: z.output<typeof sequenceInput>): Sequence {
  const places = new Map(steps.map(({ id }, i) => [id, i]));
  const prepared = steps.map((step): Prepared => ({
    step,
    preds: step.preds.map((id) => places.get(id)!),
    succs: steps.flatMap(({ preds }, i) => (preds.includes(step.id) ? [i] : [])),
  }));
  const { labels, isCut } = labelled(prepared, width);
  const best = labels
    .map(({ order }) => timed(prepared, order))
    .reduce((a, b) => (b.cost < a.cost ? b : a));
  const { order, start, end, downMinutes, cost } = improved(prepared, best);
  return {
    order: order.map((i) => steps[i]!.id),
    ...{ start, end, downMinutes, cost },
    proven: !isCut,
  };
}

/** Where each unit loses its power, and where it has it back. */
const downOf = (steps: readonly Prepared[], unit: string): number =>
  steps.findIndex(({ step }) => step.unit === unit && step.power === "down");
const upOf = (steps: readonly Prepared[], unit: string): number =>
  steps.findIndex(({ step }) => step.unit === unit && step.power === "up");

function labelled(steps: readonly Prepared[], width: number): { labels: Label[]; isCut: boolean } {
  const start: Label = {
    ...{ low: 0, high: 0, last: -1, now: 0, wentOut: false, value: 0, pushed: 0 },
    waits: new Map(),
    ready: steps.map(() => 0),
    order: [],
  };
  let layer: Label[] = [start];
  let isCut = false;
  for (let n = 0; n < steps.length; n++) {
    const bySet = new Map<string, Label[]>();
    for (const label of layer)
      for (let i = 0; i < steps.length; i++) {
        if (has(label, i) || steps[i]!.preds.some((pred) => !has(label, pred))) continue;
        const next = after(steps, label, i);
        const { outdoor, level } = steps[i]!.step;
        const key = `${next.low} ${next.high} ${level} ${outdoor} ${next.wentOut}`;
        const rivals = bySet.get(key) ?? [];
        if (rivals.some((rival) => dominates(steps, rival, next))) continue;
        bySet.set(key, [...rivals.filter((rival) => !dominates(steps, next, rival)), next]);
      }
    const all = [...bySet.values()].flat();
    all.sort((a, b) => a.now + a.pushed - (b.now + b.pushed) || a.now - b.now);
    if (all.length > width) isCut = true;
    layer = all.slice(0, width);
  }
  return { labels: layer, isCut };
}

function after(steps: readonly Prepared[], label: Label, i: number): Label {
  const { step, preds } = steps[i]!;
  const begin = preds.reduce((latest, pred) => Math.max(latest, label.ready[pred]!), label.now);
  const now = begin + step.handsOn;
  const last = label.last < 0 ? null : steps[label.last]!.step;
  const rises = last !== null && step.level > last.level ? RISE : 0;
  const isGoingOut = step.outdoor && !last?.outdoor;
  const out = isGoingOut && label.wentOut ? OUTDOORS_AGAIN : 0;
  const power = step.power === "down" ? -begin : step.power === "up" ? now : 0;
  const isBack = step.power === "up" && downOf(steps, step.unit) < 0 ? -now : 0;
  const ready = [...label.ready];
  ready[i] = now + step.tail;
  const order = [...label.order, i];
  const value = label.value + rises + out + power + isBack;
  const { gain, waits } = later(steps, order);
  return {
    low: i < 30 ? label.low | (1 << i) : label.low,
    high: i < 30 ? label.high : label.high | (1 << (i - 30)),
    last: i,
    now,
    wentOut: label.wentOut || step.outdoor,
    value,
    pushed: value - gain,
    waits,
    ready,
    order,
  };
}

/** The starts of an order, each as early as it can be. */
function begun(
  steps: readonly Prepared[],
  order: readonly number[],
): { begin: number[]; end: number } {
  const begin = steps.map(() => 0);
  let now = 0;
  for (const i of order) {
    const { step, preds } = steps[i]!;
    begin[i] = preds.reduce(
      (latest, pred) =>
        Math.max(latest, begin[pred]! + steps[pred]!.step.handsOn + steps[pred]!.step.tail),
      now,
    );
    now = begin[i]! + step.handsOn;
  }
  return { begin, end: now };
}

/** From the back: whatever gives no power back may begin as late as what follows lets it. The first stays. */
function pushLater(
  steps: readonly Prepared[],
  order: readonly number[],
  begin: number[],
  isThere: (i: number) => boolean,
): void {
  for (let k = order.length - 2; k > 0; k--) {
    const i = order[k]!;
    const { step, succs } = steps[i]!;
    if (step.power === "up") continue;
    let latest = begin[order[k + 1]!]! - step.handsOn;
    for (const succ of succs)
      if (isThere(succ)) latest = Math.min(latest, begin[succ]! - step.tail - step.handsOn);
    if (latest > begin[i]!) begin[i] = latest;
  }
}

/** What pushing starts later gains of power-downs so far, minutes, and which of them may move later yet. */
function later(
  steps: readonly Prepared[],
  order: readonly number[],
): { gain: number; waits: ReadonlyMap<number, boolean> } {
  const downs = order.filter((i) => steps[i]!.step.power === "down");
  if (downs.length === 0) return { gain: 0, waits: NONE_DOWN };
  const { begin } = begun(steps, order);
  const early = downs.map((i) => begin[i]!);
  const there = new Set(order);
  pushLater(steps, order, begin, (i) => there.has(i));
  const waits = new Map<number, boolean>();
  let isFree = true;
  for (let k = order.length - 1; k >= 0; k--) {
    const { step } = steps[order[k]!]!;
    if (step.power === "up") isFree = false;
    if (step.power === "down" && !there.has(upOf(steps, step.unit)))
      waits.set(order[k]!, isFree && k > 0);
  }
  return { gain: downs.reduce((sum, i, n) => sum + begin[i]! - early[n]!, 0), waits };
}
const NONE_DOWN: ReadonlyMap<number, boolean> = new Map();

/**
 * Whether whatever follows, the first comes off no worse than the second: it is as far and as cheap with its
 * power-downs as late as they can be, and each that goes on may move later where the other’s may.
 */
function dominates(steps: readonly Prepared[], a: Label, b: Label): boolean {
  if (a.now > b.now || a.pushed > b.pushed) return false;
  for (const [i, isFree] of b.waits) if (isFree && a.waits.get(i) === false) return false;
  return steps.every(
    ({ succs }, i) =>
      !has(a, i) ||
      succs.every((succ) => has(a, succ)) ||
      Math.max(a.ready[i]!, a.now) <= Math.max(b.ready[i]!, b.now),
  );
}

type Timed = {
  order: readonly number[];
  start: number[];
  end: number;
  downMinutes: number;
  cost: number;
};

/** An order with its starts: as early as may be, then later where that shortens a power-down. */
function timed(steps: readonly Prepared[], order: readonly number[]): Timed {
  const { begin, end } = begun(steps, order);
  pushLater(steps, order, begin, () => true);
  const units = [...new Set(steps.map(({ step }) => step.unit))];
  const downMinutes = units.reduce((sum, unit) => {
    const down = downOf(steps, unit);
    if (down < 0) return sum;
    const up = upOf(steps, unit);
    return sum + (up < 0 ? end : begin[up]! + steps[up]!.step.handsOn) - begin[down]!;
  }, 0);
  let ways = 0;
  let wentOut = false;
  order.forEach((i, k) => {
    const { step } = steps[i]!;
    const before = k === 0 ? null : steps[order[k - 1]!]!.step;
    if (before && step.level > before.level) ways += RISE;
    if (step.outdoor && !before?.outdoor && wentOut) ways += OUTDOORS_AGAIN;
    wentOut ||= step.outdoor;
  });
  return {
    order,
    start: order.map((i) => begin[i]!),
    ...{ end, downMinutes },
    cost: end + downMinutes + ways,
  };
}

/** Takes each step to each other place that its order allows, as long as that makes it cheaper. */
function improved(steps: readonly Prepared[], from: Timed): Timed {
  let best = from;
  for (let isBetter = true; isBetter;) {
    isBetter = false;
    for (let k = 0; k < best.order.length && !isBetter; k++)
      for (let to = 0; to < best.order.length && !isBetter; to++) {
        if (to === k) continue;
        const order = best.order.filter((_, i) => i !== k);
        order.splice(to, 0, best.order[k]!);
        if (!isInOrder(steps, order)) continue;
        const moved = timed(steps, order);
        if (moved.cost < best.cost) {
          best = moved;
          isBetter = true;
        }
      }
  }
  return best;
}

function isInOrder(steps: readonly Prepared[], order: readonly number[]): boolean {
  const place = new Map(order.map((i, k) => [i, k]));
  return order.every((i, k) => steps[i]!.preds.every((pred) => place.get(pred)! < k));
}
