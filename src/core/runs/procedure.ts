import { z } from "zod";
import { QUALIFICATIONS } from "./qualification";
import { READING_KINDS, type ReadingKind } from "../readings/reading-kinds";
import { END_KINDS } from "./loose-ends";

export const STEP_KINDS = [
  "prepare",
  "shut",
  "open",
  "remove",
  "inspect",
  "clean",
  "measure",
  "wait",
  "fit",
  "restore",
  "test",
  "reset",
  "label",
  "caution",
] as const;

/** What may be true of the place a job is done at, and decides which steps it has. */
export const JOB_FACTS = [
  "direction-unknown",
  "size-unknown",
  "has-indicator",
  "sealed-system",
  "header-tank",
  "direction-behind-door",
  "cut-to-size",
  "bank",
  "top-comes-off",
  "has-filters",
  "door-switch",
  "plastic-vent",
  "metal-vent",
  "several-heads",
  "in-grille",
  "has-float",
  "has-display",
  "on-batteries",
  "belt-drive",
  "owner-opens-box",
  "coil-eases-out",
  "keeps-settings",
  "coil-fixed",
  "direction-unasked",
  "has-exchanger",
  "stored",
  "in-use",
] as const;
export type JobFact = (typeof JOB_FACTS)[number];

/** Of these exactly one is true of a place, where a procedure speaks of both. */
export const EITHER_OR: readonly (readonly [JobFact, JobFact])[] = [
  ["stored", "in-use"],
  ["coil-eases-out", "coil-fixed"],
];

const id = z.string().min(1).max(64);
const words = z.string().min(1);

const stepEndSchema = z.strictObject({
  /** Names the end within its procedure. */
  key: id,
  end: z.enum(END_KINDS),
  /** As the V shows it: “power”, “off”. */
  thing: words,
  state: words,
  when: z.enum(JOB_FACTS).optional(),
  /** A switch inside the machine (of a cell's own supply, worked by a door): it isolates nothing. */
  isInside: z.literal(true).optional(),
  /** It belongs to the machine chosen at this step, where a job goes through the house. */
  ofPlace: z.literal(true).optional(),
  /** Of `part-drying`: the least it takes, minutes. Never shortened. */
  dryMinutes: z.number().int().positive().optional(),
  /** Ends of this procedure that have to be closed before this one. */
  after: z.array(id).optional(),
  /** Nothing behind it is live or moves: a register’s grille, an alarm’s battery. No power goes off for it. */
  harmless: z.literal(true).optional(),
  /** It stays so when the job is over, until a job of another season wakes it: “until winter”. */
  parks: words.optional(),
});
export type StepEnd = z.output<typeof stepEndSchema>;

const recordSchema = z.discriminatedUnion("kind", [
  /**
   * How the filter looks; `any-filter` asks which, where a job goes through the house; `its-filters` are
   * those of the machine or its air, where the job is at no slot.
   */
  z.strictObject({
    kind: z.literal("look"),
    of: z.enum(["any-filter", "chosen-filter", "its-filters"]).optional(),
  }),
  /** Which jobs of its machine were really done: each that is ticked, and no other. */
  z.strictObject({
    kind: z.literal("works"),
    /** Not jobs but parts: the job itself, at each part of this kind that is ticked. */
    of: id.optional(),
  }),
  /** Which filter of the house the next steps are about. */
  z.strictObject({ kind: z.literal("filter-choice") }),
  /**
   * Something measured, or seen in words, and judged. `of` says which machines of a home it is read
   * at, one of them or each in turn; `difference` names the two temperatures whose difference it is,
   * the warmer first.
   */
  z.strictObject({
    kind: z.literal("reading"),
    reading: z.enum(READING_KINDS as [ReadingKind, ...ReadingKind[]]),
    of: z.enum(["every-co-alarm", "any-machine", "every-machine"]).optional(),
    /** The kind of part it is read at, where the job is at another, or at the whole machine. */
    at: id.optional(),
    difference: z.tuple([words, words]).optional(),
  }),
  /** One of several answers that are no reading. */
  z.strictObject({
    kind: z.literal("choice"),
    options: z
      .array(
        z.strictObject({
          value: id,
          name: words,
          suggests: z.string().optional(),
          /** Jobs of other parts that are done where this is the answer, as a step’s own `does`. */
          does: z.array(words).min(1).optional(),
          /** What the record keeps of it as a reading, so that what follows from one follows. */
          reads: z
            .strictObject({
              reading: z.enum(READING_KINDS as [ReadingKind, ...ReadingKind[]]),
              value: id,
            })
            .optional(),
        }),
      )
      .min(2),
  }),
  /** The opening of a slot, and the size to buy from now on. */
  z.strictObject({ kind: z.literal("size") }),
  /** How wide a cylinder is across, for its slot to remember: what a wrap is cut by. */
  z.strictObject({ kind: z.literal("across") }),
  /** Which way the air goes, for the slot to remember. */
  z.strictObject({ kind: z.literal("direction") }),
  /** Whether each CO alarm is quiet and sounded at its test, and what it shows if it has a display. */
  z.strictObject({ kind: z.literal("alarms") }),
  /**
   * How many of something; `same` names the step at which as many were counted out, `known` what the
   * inventory says of it.
   */
  z.strictObject({
    kind: z.literal("count"),
    label: words,
    same: id.optional(),
    known: z.enum(["filters", "heads"]).optional(),
  }),
  /** A few words to be kept; `keep` is the attribute of the part that remembers them. */
  z.strictObject({ kind: z.literal("words"), label: words, keep: id.optional() }),
  /**
   * How something is set that belongs so: noted before it is touched, or as it is set for good. The
   * home’s sheet of settings keeps it under `key`; one of `options`, or in a few words.
   */
  z.strictObject({
    kind: z.literal("setting"),
    key: id,
    label: words,
    options: z
      .array(z.strictObject({ value: id, name: words }))
      .min(2)
      .optional(),
  }),
  /** Each setting of the home’s sheet: as it should be, put back, or otherwise. */
  z.strictObject({ kind: z.literal("settings") }),
]);

export const stepSchema = z.strictObject({
  id,
  kind: z.enum(STEP_KINDS),
  /** Imperative and short: one thing to do. */
  title: words,
  detail: words.optional(),
  /** Only where a mistake is costly. */
  why: words.optional(),
  /** Shown just before what can hurt. */
  caution: words.optional(),
  /** Who may do it, where that is not who may do the whole job. */
  who: z.enum(QUALIFICATIONS).optional(),
  opens: z.array(stepEndSchema).optional(),
  /** The key of an end that an earlier step opened. */
  closes: id.optional(),
  /**
   * Turns something up, down or over for a while: such a step opens `setting-changed` or puts it back. One that
   * turns the same thing again names the end that is open for it.
   */
  changesSetting: z.union([z.literal(true), id]).optional(),
  /** The machine has to run for it: it stands before its power is off, or after it is back. */
  runs: z.literal(true).optional(),
  /** Ends what a job of an earlier season left parked, where it did: closes it like an end of this job. */
  wakes: stepEndSchema.pick({ key: true, end: true, thing: true, state: true }).optional(),
  /** Steps whose notes and pictures are shown again here. */
  recalls: z.array(id).min(1).optional(),
  /** The plate of the part or machine is in sight: what is not known of it yet is asked, and may wait. */
  plate: z.enum(["unit", "part"]).optional(),
  /** What is in sight is new: all of its plate is asked, whatever the old one said. */
  plateIsNew: z.literal(true).optional(),
  /** Why this end is closed while one opened later is still open. */
  outOfTurn: words.optional(),
  /** Cleaning of something, named by the key of its end or a word of its own. */
  cleans: z
    .strictObject({
      what: id,
      how: z.enum(["dry", "wet"]),
      /** It belongs in water, and may go back wet. */
      staysWet: z.literal(true).optional(),
    })
    .optional(),
  /** Begins a time that runs by itself once the step is done. */
  starts: z.strictObject({ key: id, minutes: z.number().int().positive(), words }).optional(),
  /** Times that must be over before this step is done. */
  waitsFor: z.array(id).optional(),
  records: recordSchema.optional(),
  /** The step may be passed without its record. */
  recordIsOptional: z.literal(true).optional(),
  /**
   * Goes back to an earlier step until what is seen here is one of these; after a wait where one is
   * named. Where the step closes a drying end, that goes on drying for so long.
   */
  repeats: z
    .strictObject({
      from: id,
      until: z.array(z.string()).min(1),
      wait: z.strictObject({ minutes: z.number().int().positive(), words }).optional(),
    })
    .optional(),
  /** What the inventory or a calculator knows that helps with this step. */
  shows: z
    .enum([
      "shut-off",
      "size",
      "direction",
      "label",
      "indicator",
      "photos",
      "fit",
      "dilution",
      "wrap",
      "dose",
      "position",
      "duct-pull",
    ])
    .optional(),
  tools: z.array(words).optional(),
  consumables: z.array(words).optional(),
  /** A picture is worth taking here. */
  photo: z.enum(["before", "after"]).optional(),
  when: z.enum(JOB_FACTS).optional(),
  variants: z.array(id).min(1).optional(),
  /** Only after one of these was seen at an earlier step. */
  whenSeen: z.strictObject({ step: id, is: z.array(z.string()).min(1) }).optional(),
  /** Not after one of these was seen at an earlier step. */
  unlessSeen: z.strictObject({ step: id, is: z.array(z.string()).min(1) }).optional(),
  /** Only the first time through, where an earlier answer leads back: bleach is poured once. */
  once: z.literal(true).optional(),
  /** In the place of such a step from the second round on. */
  insteadOf: id.optional(),
  /** The job stops here: what is open is led back, and the job deferred in these words. */
  endsJob: z.literal(true).optional(),
  /** What an owner leaves to others here keeps the machine off: on the way back its supplies stay so, in these words. */
  keepsOff: words.optional(),
  /**
   * Jobs of other parts of the machine, or of its air, that this step does, as `kind of part:key`: they
   * count with it, and with nothing else. `filter:renew` writes down a new filter in each of its slots.
   */
  does: z.array(words).min(1).optional(),
  /** From here the job counts: the new filter is in, the clean part is back. */
  renews: z.literal(true).optional(),
});
export type Step = z.output<typeof stepSchema> & {
  /** What it would shut is shut since the job before it in a round: it is only looked at. */
  isTakenOver?: true;
  /** What it would put back stays as it is for this job, later in the same round. */
  leavesTo?: string;
};

export const procedureSchema = z.strictObject({
  id,
  title: words,
  /** The word on the button that begins it. */
  verb: words,
  /** Beside other ways of the same job: what speaks for it. */
  says: words.optional(),
  who: z.enum(QUALIFICATIONS),
  handsOnMinutes: z.number().int().min(0),
  waitingMinutes: z.number().int().min(0),
  /** Strategies: exactly one is followed in a run, the first where nobody chose. */
  variants: z
    .array(
      z.strictObject({
        id,
        name: words,
        says: words,
        /** Jobs of the same air system it must not share a day with, as `kind of part:key`. */
        notSameDayAs: z.array(words).optional(),
        /** Ways that must not have been gone on the same day: of this procedure, or as `procedure.way`. */
        notSameDayWay: z.array(words).optional(),
        /** Kinds of unit at which it is never offered, and why. */
        neverAt: z.strictObject({ kinds: z.array(id).min(1), why: words }).optional(),
        handsOnMinutes: z.number().int().min(0).optional(),
        waitingMinutes: z.number().int().min(0).optional(),
      }),
    )
    .optional(),
  /** What has to be true before it is begun. */
  checks: z.array(z.strictObject({ id, words, when: z.enum(JOB_FACTS).optional() })).optional(),
  /** What has to be known of the place, asked once before the first time and remembered there. */
  asks: z
    .array(
      z.strictObject({
        key: id,
        of: z.enum(["unit", "part"]),
        question: words,
        hint: words.optional(),
        options: z
          .array(
            z.strictObject({
              value: id,
              name: words,
              /** Why the job is not for this place then. */
              bars: words.optional(),
            }),
          )
          .min(2),
        /** The unit's own attribute that says the same. */
        orOfUnit: id.optional(),
      }),
    )
    .optional(),
  /** It wants a day at least this warm outside, °C, and says why: its mean, or its afternoon. */
  mildDay: z
    .strictObject({ leastC: z.number(), why: words, at: z.literal("afternoon").optional() })
    .optional(),
  /** What the people in the house have to know. */
  household: words.optional(),
  /** Touches what local rules often say something about. */
  rules: z.literal(true).optional(),
  /** There is a flame or gas near: the way out of a gas smell is shown all along. */
  gas: z.literal(true).optional(),
  steps: z.array(stepSchema).min(1),
});
export type Procedure = z.output<typeof procedureSchema>;

export type PlaceAsk = NonNullable<Procedure["asks"]>[number];

/** What an earlier job left parked at the place of a run, since when, by the name it was recorded under. */
export const parkedEndSchema = z.strictObject({
  key: id,
  end: z.enum(END_KINDS),
  since: words,
  id: words,
});
export type ParkedEnd = z.output<typeof parkedEndSchema>;

/**
 * Where a run stands in a round: supplies that a job before it left off for it, by the key of its own step
 * that would shut them; and what of its own it leaves so, for which job later on.
 */
export const inRoundSchema = z.strictObject({
  round: words,
  taken: z.array(parkedEndSchema),
  left: z.array(z.strictObject({ key: id, to: words })),
});
export type InRound = z.output<typeof inRoundSchema>;

/** What is fixed for a run when it begins. */
export type RunSetting = {
  facts: readonly JobFact[];
  variant: string | null;
  parked?: readonly ParkedEnd[];
  inRound?: InRound;
};

/** What was seen at a step, by its plain word: an answer, the word of a reading, a grade. */
export type SeenWords = ReadonlyMap<string, string>;
/** What stands there for a step that somebody left open in words. */
export const LEFT_OPEN = "left-open";

const isIn = (step: Step, { facts, variant }: RunSetting): boolean =>
  (step.when === undefined || facts.includes(step.when)) &&
  (step.variants === undefined || (variant !== null && step.variants.includes(variant)));

/**
 * The steps of a job at one place, in order, given what has been seen so far.
 *
 * @example stepsFor(job.procedure, job.setting, new Map())[0].id // "new-one-at-hand"
 */
export function stepsFor(
  procedure: Procedure,
  setting: RunSetting,
  seen: SeenWords,
  /** Steps that were done in a round before this one. */
  before: ReadonlySet<string> = new Set(),
): Step[] {
  return procedure.steps
    .filter((step) => {
      const { whenSeen, unlessSeen } = step;
      return (
        isIn(step, setting) &&
        !(step.once && before.has(step.id)) &&
        (step.insteadOf === undefined || before.has(step.insteadOf)) &&
        (whenSeen === undefined || whenSeen.is.includes(seen.get(whenSeen.step) ?? "")) &&
        !unlessSeen?.is.includes(seen.get(unlessSeen.step) ?? "")
      );
    })
    .map((step) => {
      const opens = step.opens?.filter(
        ({ when }) => when === undefined || setting.facts.includes(when),
      );
      const woken = step.wakes && parkedFor(setting, step.wakes);
      const here = inRoundAt(step, opens, setting);
      if (!woken && !here && opens?.length === step.opens?.length) return step;
      return { ...step, opens, ...(woken ? { closes: woken.key } : {}), ...here };
    });
}

/** What a step becomes in a round: a look at what is off already, or what stays off for a later job. */
function inRoundAt(
  { closes }: Step,
  opens: readonly StepEnd[] | undefined,
  { inRound }: RunSetting,
): Partial<Step> | null {
  const taken = opens?.find(({ key }) => inRound?.taken.some((each) => each.key === key));
  if (taken)
    return {
      title: `See that the ${taken.thing} is still ${taken.state}`,
      detail: "It was left so by the job before this one in the round.",
      isTakenOver: true,
    };
  const left = inRound?.left.find(({ key }) => key === closes);
  return left ? { leavesTo: left.to } : null;
}

/**
 * Supplies that the job before left off, as ends of the run itself: it puts them back, or leaves them so.
 *
 * @example takenEnds(job.procedure, job.setting) // []
 */
export const takenEnds = (
  { steps }: Procedure,
  { inRound }: RunSetting,
): { end: StepEnd; at: string }[] =>
  steps.flatMap(({ opens = [] }) =>
    opens.flatMap((end) => {
      const taken = inRound?.taken.find(({ key }) => key === end.key);
      return taken ? [{ end, at: taken.since }] : [];
    }),
  );

const STILL = "until it is woken";

/** What is parked at the place of a run and is what a step wakes. */
const parkedFor = (
  { parked = [] }: RunSetting,
  { key, end }: Pick<StepEnd, "key" | "end">,
): ParkedEnd | undefined => parked.find((each) => each.key === key && each.end === end);

/**
 * What an earlier season left parked and the steps of a procedure wake, as ends of the run itself:
 * parked still, until a step wakes them.
 *
 * @example wokenEnds(job.procedure, job.setting) // []
 */
export const wokenEnds = (
  { steps }: Procedure,
  setting: RunSetting,
): { end: StepEnd; at: string }[] =>
  steps.flatMap(({ wakes }) => {
    const parked = wakes && parkedFor(setting, wakes);
    return wakes && parked ? [{ end: { ...wakes, parks: STILL }, at: parked.since }] : [];
  });

/**
 * The variant a run follows when nobody chose: the first, or none where there are none.
 *
 * @example usualVariant({}) // null
 */
export const usualVariant = ({ variants }: Procedure): string | null => variants?.[0]?.id ?? null;

/**
 * Minutes at work and of waiting, as a variant has them.
 *
 * @example minutesOf({ handsOnMinutes: 10, waitingMinutes: 0 }, null) // {"handsOn":10,"waiting":0}
 */
export function minutesOf(
  procedure: Procedure,
  variant: string | null,
): { handsOn: number; waiting: number } {
  const own = procedure.variants?.find((each) => each.id === variant);
  return {
    handsOn: own?.handsOnMinutes ?? procedure.handsOnMinutes,
    waiting: own?.waitingMinutes ?? procedure.waitingMinutes,
  };
}

/**
 * What to have at hand, in the order in which it is needed, and what of it is used up.
 *
 * @example bringOf({ steps: [] }, { variant: null, facts: [] }) // {"tools":[],"consumables":[]}
 */
export function bringOf(
  procedure: Procedure,
  setting: RunSetting,
): { tools: string[]; consumables: string[] } {
  const steps = procedure.steps.filter((step) => isIn(step, setting));
  const once = (list: string[]) => [...new Set(list)];
  return {
    tools: once(steps.flatMap((step) => step.tools ?? [])),
    consumables: once(steps.flatMap((step) => step.consumables ?? [])),
  };
}
