import { z } from "zod";
import { END_KINDS, type EndKind } from "./loose-ends";
import { STEP_KINDS, type Step, type StepEnd } from "./procedure";
import { READING_KINDS, type ReadingKind } from "../readings/reading-kinds";

const MOST_LETTERS = 300;
const text = z.string().trim().max(MOST_LETTERS);
/** What a step of one’s own may ask for, beside readings. */
export const OWN_ASKS = ["nothing", "look", "words", "count", "reading"] as const;

/** A step as its fields in the editor show it; everything else of it is kept as it was. */
export const ownStepSchema = z.strictObject({
  id: z.string().min(1).max(64),
  kind: z.enum(STEP_KINDS),
  title: text,
  detail: text,
  caution: text,
  isLicensed: z.boolean(),
  /** What it switches off, opens or takes out; nothing where `opens` is empty. */
  opens: z.enum(["", ...END_KINDS]),
  thing: text,
  /** Of what dries: minutes at the least, as typed. */
  dryMinutes: z.string().trim().max(6),
  /** The id of the step whose end it closes. */
  closes: z.string().max(64),
  /** Minutes it has to be waited at it, as typed. */
  waitMinutes: z.string().trim().max(6),
  asks: z.enum(OWN_ASKS),
  /** Which reading, or what is written down or counted. */
  askedFor: text,
});
export type OwnStep = z.output<typeof ownStepSchema>;

/** From which step the job counts as done, and all of them in order. */
export const ownStepsSchema = z.strictObject({
  steps: z.array(ownStepSchema).min(1).max(60),
  counts: z.string().max(64),
});
export type OwnSteps = z.output<typeof ownStepsSchema>;

/** What an end is called once it is so. */
const STATES: Readonly<Record<EndKind, string>> = {
  "switch-off": "off",
  "gas-shut": "shut",
  "valve-shut": "shut",
  "valve-open": "open",
  "bleed-open": "open",
  "drain-open": "open",
  "panel-off": "off",
  "part-out": "out",
  "part-drying": "drying",
  "sensor-out": "out",
  "window-open": "open",
  "alarm-muted": "muted",
  "vent-off": "off",
  "breaker-off": "off",
  "disconnect-out": "out",
  "setting-changed": "changed",
  "light-unreset": "not reset",
};

const endOf = (step: Step | undefined): StepEnd | undefined => step?.opens?.[0];

/**
 * The steps of a procedure as the editor shows them.
 *
 * @example ownStepsOf(job.procedure.steps).steps[0].id // "new-one-at-hand"
 */
export function ownStepsOf(steps: readonly Step[]): OwnSteps {
  const opener = (key: string | undefined) =>
    steps.find((step) => step.opens?.some((end) => end.key === key))?.id ?? "";
  return {
    counts: steps.find(({ renews }) => renews)?.id ?? "",
    steps: steps.map((step): OwnStep => {
      const { id, kind, title, detail = "", caution = "", who, closes, records } = step;
      const end = endOf(step);
      const asks =
        records === undefined
          ? "nothing"
          : records.kind === "look" || records.kind === "words" || records.kind === "count"
            ? records.kind
            : records.kind === "reading"
              ? "reading"
              : "nothing";
      return {
        ...{ id, kind, title, detail, caution, asks },
        isLicensed: who === "licensed",
        opens: end?.end ?? "",
        thing: end?.thing ?? "",
        dryMinutes: end?.dryMinutes === undefined ? "" : String(end.dryMinutes),
        closes: closes === undefined ? "" : opener(closes),
        waitMinutes: step.starts === undefined ? "" : String(step.starts.minutes),
        askedFor:
          records?.kind === "reading"
            ? records.reading
            : records?.kind === "words" || records?.kind === "count"
              ? records.label
              : "",
      };
    }),
  };
}

const MOST_MINUTES = 20_000;
const minutes = (typed: string): number | undefined => {
  const n = Number(typed);
  return typed !== "" && Number.isInteger(n) && n > 0 && n <= MOST_MINUTES ? n : undefined;
};

/** What is asked of a step, from the two fields that say so. */
function recordsOf({ asks, askedFor, title }: OwnStep): Step["records"] {
  const label = askedFor === "" ? title : askedFor;
  switch (asks) {
    case "nothing":
      return undefined;
    case "look":
      return { kind: "look" };
    case "words":
      return { kind: "words", label };
    case "count":
      return { kind: "count", label };
    case "reading":
      return READING_KINDS.includes(askedFor as ReadingKind)
        ? { kind: "reading", reading: askedFor as ReadingKind }
        : undefined;
  }
}

/**
 * The steps that what stands in the editor amounts to. Of a step that was copied everything is kept
 * that the editor does not show: its pictures, repeats, variants.
 *
 * @param before the steps it was opened with, by their ids
 * @example stepsOfOwn(ownStepsOf(job.procedure.steps), job.procedure.steps).length === job.procedure.steps.length // true
 */
export function stepsOfOwn({ steps, counts }: OwnSteps, before: readonly Step[]): Step[] {
  const copied = new Map(before.map((step) => [step.id, step]));
  const keyAt = (id: string): string => endOf(copied.get(id))?.key ?? `end-${id}`;
  const opens = new Set(steps.flatMap((step) => (step.opens === "" ? [] : step.id)));
  const written = steps.map((own): Step => {
    const old = copied.get(own.id);
    const was = old === undefined ? undefined : ownStepsOf([old]).steps[0];
    const {
      opens: _,
      closes: __,
      renews: ___,
      records,
      starts,
      who: ____,
      ...rest
    } = old ?? {
      id: own.id,
      kind: own.kind,
      title: own.title,
    };
    const first = endOf(old);
    const dries = minutes(own.dryMinutes);
    const end: StepEnd | undefined =
      own.opens === ""
        ? undefined
        : {
            ...(first?.end === own.opens
              ? first
              : { key: keyAt(own.id), state: STATES[own.opens] }),
            end: own.opens,
            thing: own.thing === "" ? own.title : own.thing,
            ...(own.opens === "part-drying" && dries !== undefined ? { dryMinutes: dries } : {}),
          };
    const more = old?.opens?.slice(1) ?? [];
    // A closing is kept where the editor could not show which of several ends it means.
    const closes =
      own.closes !== "" && opens.has(own.closes)
        ? old?.closes !== undefined && was !== undefined && closesSame(old, own.closes, before)
          ? old.closes
          : keyAt(own.closes)
        : undefined;
    const asked = was && was.asks === own.asks && was.askedFor === own.askedFor;
    const wait = minutes(own.waitMinutes);
    const isSameWait = starts !== undefined && String(starts.minutes) === own.waitMinutes;
    return {
      ...rest,
      kind: own.kind,
      title: own.title,
      ...textOr("detail", own.detail),
      ...textOr("caution", own.caution),
      ...(own.isLicensed
        ? { who: "licensed" as const }
        : old?.who === "confident"
          ? { who: old.who }
          : {}),
      ...(end || more.length > 0 ? { opens: [...(end ? [end] : []), ...more] } : {}),
      ...(closes === undefined ? {} : { closes }),
      ...(own.id === counts ? { renews: true as const } : {}),
      ...withRecords(asked ? records : recordsOf(own)),
      ...(wait === undefined
        ? {}
        : {
            starts: isSameWait
              ? starts
              : { key: OWN_WAIT + own.id, minutes: wait, words: own.title },
          }),
    };
  });
  // What has to be waited for is over before the next step is done.
  return written.map((step, i): Step => {
    const key = written[i - 1]?.starts?.key;
    const isNew = key !== undefined && key.startsWith(OWN_WAIT);
    return isNew ? { ...step, waitsFor: [...(step.waitsFor ?? []), key] } : step;
  });
}

/** Names a wait that the editor made. */
const OWN_WAIT = "wait-";

const closesSame = (old: Step, opener: string, before: readonly Step[]): boolean =>
  before.find(({ id }) => id === opener)?.opens?.some(({ key }) => key === old.closes) === true;

const textOr = (name: "detail" | "caution", words: string): Partial<Step> =>
  words === "" ? { [name]: undefined } : { [name]: words };

const withRecords = (records: Step["records"]): Partial<Step> =>
  records === undefined ? {} : { records };
