import { z } from "zod";
import { optional } from "../quantities/schemas";

/** What a job can leave shut, open, out or changed. */
export const END_KINDS = [
  "switch-off",
  "gas-shut",
  "valve-shut",
  "bleed-open",
  "drain-open",
  "panel-off",
  "part-out",
  "part-drying",
  "sensor-out",
  "window-open",
  "alarm-muted",
  "vent-off",
  "breaker-off",
  "disconnect-out",
  "setting-changed",
  "light-unreset",
] as const;
export type EndKind = (typeof END_KINDS)[number];

/** What brings a unit's power back. A switch inside the machine is none of these. */
export const ISOLATORS: readonly EndKind[] = ["switch-off", "breaker-off", "disconnect-out"];
/** What must be put right in a unit before its power comes back. */
const BEFORE_POWER: readonly EndKind[] = [
  "panel-off",
  "part-out",
  "part-drying",
  "sensor-out",
  "drain-open",
  "bleed-open",
];

const instantSchema = z.iso.datetime({ offset: true, local: true });
/** Milliseconds; a time without an offset is taken as UTC, so that no machine's zone leaks in. */
export const instantOf = (text: string): number =>
  Date.parse(/(Z|[+-]\d{2}:\d{2})$/.test(text) ? text : `${text}Z`);

const entrySchema = z.strictObject({
  /** Names the end itself: its opening and its closing carry the same one. */
  id: z.string().min(1),
  unit: z.string().min(1),
  part: optional(z.string().min(1)),
  end: z.enum(END_KINDS),
  at: instantSchema,
  action: z.enum(["open", "close", "park"]),
  readyAt: optional(instantSchema),
  /** Ends that a step wants closed before this one. */
  after: optional(z.array(z.string())),
});
export type EndEntry = z.output<typeof entrySchema>;

export const looseEndsInput = z
  .strictObject({ now: instantSchema, log: z.array(entrySchema) })
  .superRefine((input, context) => {
    const fault = firstFault(inOrder(input.log));
    if (fault)
      context.addIssue({
        code: "custom",
        path: ["log", input.log.indexOf(fault.entry)],
        message: fault.message,
      });
  });

const openSchema = z.strictObject({
  id: z.string(),
  unit: z.string(),
  part: z.string().optional(),
  end: z.enum(END_KINDS),
  since: z.string(),
  readyAt: z.string().optional(),
});
export type OpenEnd = z.output<typeof openSchema>;

export const looseEndsOutput = z.strictObject({
  /** Longest open first. */
  open: z.array(openSchema),
  parked: z.array(openSchema),
  /** In which the open ones are to be closed. */
  order: z.array(z.string()),
  blocked: z.array(
    z.strictObject({
      id: z.string(),
      by: z.array(z.string()),
      why: z.enum(["power-comes-last", "still-drying", "after-another"]),
    }),
  ),
});
export type LooseEnds = z.output<typeof looseEndsOutput>;

/**
 * The same log with no entry earlier than the one before it: for lists whose order is known, but
 * whose times come from devices that do not agree on the time.
 */
export function inStep<T extends { at: string }>(log: readonly T[]): T[] {
  let latest = "";
  return log.map((entry) => {
    if (latest !== "" && instantOf(entry.at) < instantOf(latest)) return { ...entry, at: latest };
    latest = entry.at;
    return entry;
  });
}

function inOrder(log: readonly EndEntry[]): EndEntry[] {
  return [...log].sort((a, b) => instantOf(a.at) - instantOf(b.at));
}

type Live = { entry: EndEntry; parked: boolean };

/** Replays the log; calls `refuse` on the first entry that cannot have happened. */
function replay(
  log: readonly EndEntry[],
  refuse: (entry: EndEntry, message: string) => void,
): Map<string, Live> {
  const live = new Map<string, Live>();
  for (const entry of log) {
    const known = live.get(entry.id);
    if (known && (known.entry.unit !== entry.unit || known.entry.end !== entry.end))
      refuse(entry, `“${entry.id}” is a ${known.entry.end} of ${known.entry.unit}`);
    switch (entry.action) {
      case "open":
        if (known) refuse(entry, `“${entry.id}” is open already`);
        live.set(entry.id, { entry, parked: false });
        break;
      case "close":
        if (!known) refuse(entry, `“${entry.id}” is not open`);
        live.delete(entry.id);
        break;
      case "park":
        if (known?.parked) refuse(entry, `“${entry.id}” is parked already`);
        // What was never open may be shut for the season outright.
        live.set(entry.id, { entry: known?.entry ?? entry, parked: true });
        break;
    }
  }
  return live;
}

function firstFault(log: readonly EndEntry[]): { entry: EndEntry; message: string } | null {
  const faults: { entry: EndEntry; message: string }[] = [];
  const live = replay(log, (entry, message) => faults.push({ entry, message }));
  if (faults.length > 0) return faults[0]!;
  const open = [...live.values()].filter((end) => !end.parked).map((end) => end.entry);
  const knot = closingOrder(open).knot;
  return knot
    ? { entry: knot, message: `“${knot.id}” waits for itself through its “after”` }
    : null;
}

/** Those among `others` that have to be closed before this end may be. */
function powerBlockers(end: EndEntry, others: readonly EndEntry[]): EndEntry[] {
  if (!ISOLATORS.includes(end.end)) return [];
  return others.filter((other) => other.unit === end.unit && BEFORE_POWER.includes(other.end));
}

function stepBlockers(end: EndEntry, others: readonly EndEntry[]): EndEntry[] {
  return others.filter((other) => other.id !== end.id && (end.after ?? []).includes(other.id));
}

/** Last opened first, but nothing before what it has to wait for. */
function closingOrder(open: readonly EndEntry[]): { order: string[]; knot: EndEntry | null } {
  let left = [...open];
  const order: string[] = [];
  while (left.length > 0) {
    const next = left.findLast(
      (end) => powerBlockers(end, left).length === 0 && stepBlockers(end, left).length === 0,
    );
    if (!next) return { order, knot: left[0]! };
    order.push(next.id);
    left = left.filter((end) => end !== next);
  }
  return { order, knot: null };
}

const described = ({ id, unit, part, end, at, readyAt }: EndEntry): OpenEnd => ({
  id,
  unit,
  ...(part === undefined ? {} : { part }),
  end,
  since: at,
  ...(readyAt === undefined ? {} : { readyAt }),
});

/**
 * What is still left open after a log of openings and closings, in which order it is to be put
 * right, and what has to wait for what: a unit's power for everything taken off or out of it, a
 * drying part for its time, and whatever a step says comes after another.
 */
export function looseEnds(input: z.output<typeof looseEndsInput>): LooseEnds {
  const live = [
    ...replay(inOrder(input.log), (_, message) => {
      throw new Error(`looseEnds: ${message}`);
    }).values(),
  ];
  const all = live.map((end) => end.entry);
  const open = live.filter((end) => !end.parked).map((end) => end.entry);
  const ids = (ends: EndEntry[]) => ends.map((end) => end.id);
  const now = instantOf(input.now);

  const blocked: LooseEnds["blocked"] = [];
  for (const end of open) {
    // A parked panel is off all the same: power waits for it too.
    const power = powerBlockers(end, all);
    if (power.length > 0) blocked.push({ id: end.id, by: ids(power), why: "power-comes-last" });
    if (end.end === "part-drying" && end.readyAt !== undefined && instantOf(end.readyAt) > now)
      blocked.push({ id: end.id, by: [], why: "still-drying" });
    const steps = stepBlockers(end, open);
    if (steps.length > 0) blocked.push({ id: end.id, by: ids(steps), why: "after-another" });
  }
  return {
    open: open.map(described),
    parked: live.filter((end) => end.parked).map((end) => described(end.entry)),
    order: closingOrder(open).order,
    blocked,
  };
}
