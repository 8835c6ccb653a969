import { z } from "zod";
import { optional } from "../quantities/schemas";

/** What a job can leave shut, open, out or changed. */
export const END_KINDS = [
  "switch-off",
  "gas-shut",
  "valve-shut",
  "valve-open",
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

/** What brings a unit's power back; a switch inside the machine is none of these: see `isIsolator`. */
const ISOLATORS: readonly EndKind[] = ["switch-off", "breaker-off", "disconnect-out"];
/** What must be put right in a unit before its power comes back. */
const BEFORE_POWER: readonly EndKind[] = [
  "panel-off",
  "part-out",
  "part-drying",
  "sensor-out",
  "drain-open",
  "bleed-open",
  "valve-shut",
  "valve-open",
];
/** Through what gas would get into the room; a door may stay open while a valve's knob is turned. */
const BEFORE_GAS: readonly EndKind[] = ["part-out", "part-drying", "sensor-out", "vent-off"];
/** Through what water would get onto the floor. */
const BEFORE_WATER: readonly EndKind[] = [
  "panel-off",
  "part-out",
  "part-drying",
  "drain-open",
  "bleed-open",
];

/**
 * Whether closing it brings a unit's power back: a door switch or a cell's own supply does not.
 *
 * @example isIsolator({ end: "switch-off", part: "door" }) // false
 */
export const isIsolator = ({ end, part }: { end: EndKind; part?: string | undefined }): boolean =>
  ISOLATORS.includes(end) && !(end === "switch-off" && part !== undefined);

const OFFSET = /[+-]\d{2}:\d{2}$/;
/** Taken once: a run is replayed thousands of times in tests, where a look into a global object is dear. */
const { parse } = Date;

const instantSchema = z.iso.datetime({ offset: true, local: true });
/**
 * Milliseconds since 1970; a time without an offset is taken as UTC, so that no machine's zone leaks in.
 *
 * @example instantOf("1970-01-01T01:00+01:00") // 0
 */
export const instantOf = (text: string): number =>
  parse(text.endsWith("Z") || OFFSET.test(text) ? text : `${text}Z`);

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

/**
 * A log of openings and closings, brought into the order of its times. The first entry that cannot have
 * happened so is refused where it stands.
 */
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

/** Why an end cannot be closed yet; the last two are a run's own, beyond the contract. */
const BLOCKS = [
  "power-comes-last",
  "still-drying",
  "after-another",
  "gas-comes-last",
  "water-comes-last",
] as const;

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
      why: z.enum(BLOCKS),
    }),
  ),
});
export type LooseEnds = z.output<typeof looseEndsOutput>;

/**
 * The same log with no entry earlier than the one before it: for lists whose order is known, but
 * whose times come from devices that do not agree on the time.
 *
 * @example withSteadyTimes([{ at: "2026-03-14T09:00:00Z" }, { at: "2026-03-14T08:00:00Z" }])[1].at // "2026-03-14T09:00:00Z"
 */
export function withSteadyTimes<T extends { at: string }>(log: readonly T[]): T[] {
  let latest = "";
  return log.map((entry) => {
    if (latest !== "" && instantOf(entry.at) < instantOf(latest)) return { ...entry, at: latest };
    latest = entry.at;
    return entry;
  });
}

function inOrder(log: readonly EndEntry[]): EndEntry[] {
  const dated = log.map((entry) => ({ entry, at: instantOf(entry.at) }));
  // Most logs are in order already.
  if (dated.some(({ at }, i) => i > 0 && at < dated[i - 1]!.at)) dated.sort((a, b) => a.at - b.at);
  return dated.map(({ entry }) => entry);
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
        else live.set(entry.id, { entry, parked: false });
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
  const knot = closingOrder(open, contractBlocks).knot;
  return knot
    ? { entry: knot, message: `“${knot.id}” waits for itself through its “after”` }
    : null;
}

type Why = (typeof BLOCKS)[number];
type Blocked = { by: EndEntry[]; why: Why };

/** Machines behind one shut-off: what closes it brings power, gas or water back to all of them. */
export type Together = { end: EndKind; units: readonly string[] };

const inUnit = (
  end: EndEntry,
  others: readonly EndEntry[],
  kinds: readonly EndKind[],
  together: readonly Together[] = [],
): EndEntry[] => {
  const units = together.flatMap((each) =>
    each.end === end.end && each.units.includes(end.unit) ? each.units : [],
  );
  return others.filter(
    ({ unit, end: kind }) => (unit === end.unit || units.includes(unit)) && kinds.includes(kind),
  );
};

/** What keeps an end from being closed, by the contract: power last, and what a step says. */
function contractBlocks(
  end: EndEntry,
  others: readonly EndEntry[],
  open: readonly EndEntry[],
): Blocked[] {
  const power = isIsolator(end) ? inUnit(end, others, BEFORE_POWER) : [];
  return [
    ...(power.length > 0 ? [{ by: power, why: "power-comes-last" as const }] : []),
    ...afterAnother(end, open),
  ];
}

/** What a step says has to be closed before this end. */
function afterAnother(end: EndEntry, open: readonly EndEntry[]): Blocked[] {
  const steps = open.filter((other) => other.id !== end.id && (end.after ?? []).includes(other.id));
  return steps.length > 0 ? [{ by: steps, why: "after-another" }] : [];
}

/**
 * The same, and gas and water no sooner than what they would run out of; of every machine behind the
 * same shut-off.
 */
const supplyBlocks =
  (together: readonly Together[]) =>
  (end: EndEntry, others: readonly EndEntry[], open: readonly EndEntry[]): Blocked[] => {
    const power = isIsolator(end) ? inUnit(end, others, BEFORE_POWER, together) : [];
    const gas = end.end === "gas-shut" ? inUnit(end, others, BEFORE_GAS, together) : [];
    const water = end.end === "valve-shut" ? inUnit(end, others, BEFORE_WATER, together) : [];
    return [
      ...(power.length > 0 ? [{ by: power, why: "power-comes-last" as const }] : []),
      ...afterAnother(end, open),
      ...(gas.length > 0 ? [{ by: gas, why: "gas-comes-last" as const }] : []),
      ...(water.length > 0 ? [{ by: water, why: "water-comes-last" as const }] : []),
    ];
  };
type BlocksOf = typeof contractBlocks;

/** Last opened first, but nothing before what it has to wait for. */
function closingOrder(
  open: readonly EndEntry[],
  blocksOf: BlocksOf,
): { order: string[]; knot: EndEntry | null } {
  let left = [...open];
  const order: string[] = [];
  while (left.length > 0) {
    const next = left.findLast((end) => blocksOf(end, left, left).length === 0);
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
 *
 * @example looseEnds({ now: "2026-03-14T08:00:00Z", log: [{ id: "a", unit: "furnace", end: "panel-off", at: "2026-03-14T07:00:00Z", action: "open" }] }).order // ["a"]
 */
export function looseEnds(input: z.output<typeof looseEndsInput>): LooseEnds {
  const live = replay(inOrder(input.log), (_, message) => {
    throw new Error(`looseEnds: ${message}`);
  });
  return endsOf(live, input.now, contractBlocks, ({ parked }) => !parked);
}

/**
 * The same for a log that was put together from several devices: what cannot have happened (an end
 * opened twice, one closed that nobody opened) is passed over, and gas and water wait as power does.
 *
 * @param together machines that one shut-off serves: it waits for all of them
 *
 * @example safeEnds({ now: "2026-03-14T08:00:00Z", log: [{ id: "a", unit: "furnace", end: "panel-off", at: "2026-03-14T07:00:00Z", action: "close" }] }).open // []
 */
export function safeEnds(
  input: z.output<typeof looseEndsInput>,
  together: readonly Together[] = [],
): LooseEnds {
  return endsOf(
    replay(inOrder(input.log), () => undefined),
    input.now,
    supplyBlocks(together),
    // What wakes after a season waits like anything else.
    () => true,
  );
}

function endsOf(
  ends: ReadonlyMap<string, Live>,
  at: string,
  blocksOf: BlocksOf,
  waits: (end: Live) => boolean,
): LooseEnds {
  const live = [...ends.values()];
  const open = live.filter((end) => !end.parked).map((end) => end.entry);
  // A parked panel is off all the same: power waits for it too. A valve shut for the season does not.
  const stillOff = live
    .filter(({ entry, parked }) => !(parked && entry.end === "valve-shut"))
    .map((end) => end.entry);
  const now = instantOf(at);
  const blocked: LooseEnds["blocked"] = [];
  for (const { entry: end } of live.filter(waits)) {
    if (end.end === "part-drying" && end.readyAt !== undefined && instantOf(end.readyAt) > now)
      blocked.push({ id: end.id, by: [], why: "still-drying" });
    for (const { by, why } of blocksOf(end, stillOff, open))
      blocked.push({ id: end.id, by: by.map(({ id }) => id), why });
  }
  const { order } = closingOrder(open, blocksOf);
  // What waits for itself has no turn, and is put right last.
  const left = open.flatMap(({ id }) => (order.includes(id) ? [] : [id]));
  return {
    open: open.map(described),
    parked: live.filter((end) => end.parked).map((end) => described(end.entry)),
    order: [...order, ...left],
    blocked,
  };
}
