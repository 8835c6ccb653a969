import { readMoney } from "@/core/quantities/money";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { UnitSystem } from "@/core/quantities/length";
import type { Instrument } from "@/core/readings/conditions";
import type { CapacitorStrategy } from "@/core/readings/judge";
import type { ReadingTaken } from "@/core/history/history-event";
import type { ReadingKind } from "@/core/readings/reading-kinds";
import { DECISIONS, VISIT_REASONS, VISIT_VERDICTS, type Finding } from "@/core/visits/visit";
import {
  DAY_WORDS,
  isDay,
  readDay,
  readPastDay,
  readWhole,
  type FormFields,
  type Read,
} from "@/lib/forms";
import { readConditions } from "@/lib/conditions-form";
import { readReading, type ReadingFields } from "@/lib/reading-form";
import { isOfExchanger } from "@/content/visits";

const MOST_MINUTES = 6000;
const LONG = 2000;
const SHORT = 300;
const LONG_WORDS = "Shorter, please: up to 2000 letters.";
const SHORT_WORDS = "Shorter, please: up to 300 letters.";

type Problems = Record<string, string>;
/** Reads the fields of a form one by one, and gathers what is wrong with which. */
function fieldReader(typed: FormFields) {
  const problems: Problems = {};
  const text = (name: string) => (typed[name]?.[0] ?? "").trim();
  const words = (name: string, most: number) => {
    if (text(name).length > most) problems[name] = most === LONG ? LONG_WORDS : SHORT_WORDS;
    return text(name) || undefined;
  };
  const choice = <T extends string>(name: string, of: readonly T[], missing: string) => {
    const found = of.find((each) => each === text(name));
    if (!found) problems[name] = missing;
    return found ?? of[0]!;
  };
  const money = (name: string, currency: string) => {
    if (text(name) === "") return undefined;
    const minor = readMoney(text(name), currency);
    if (minor === null) problems[name] = `Write it in ${currency}, such as 18.50.`;
    return minor ?? undefined;
  };
  const day = (name: string, read: (text: string) => ReturnType<typeof readDay>) => {
    if (text(name) === "") return undefined;
    const found = read(text(name));
    if (isDay(found)) return found;
    problems[name] = DAY_WORDS[found];
    return undefined;
  };
  const minutes = (name: string, most = MOST_MINUTES) => {
    if (text(name) === "") return undefined;
    const whole = readWhole(text(name), 0, most);
    if (whole === null) problems[name] = `Whole minutes, 0 to ${most}.`;
    return whole ?? undefined;
  };
  return { problems, text, words, choice, money, day, minutes };
}

/** What is known before a visit; `isPast` where it is written down from a paper. */
export function readPlan(
  typed: FormFields,
  known: {
    units: readonly string[];
    contacts: readonly string[];
    today: PlainDate;
    isPast: boolean;
  },
) {
  const { problems, text, words, choice, day } = fieldReader(typed);
  const unitIds = [...new Set(typed["unit"] ?? [])].filter((id) => known.units.includes(id));
  if (unitIds.length === 0) problems["unit"] = "Tick the machines it is about.";
  const contactId = known.contacts.find((id) => id === text("contactId"));
  if (text("contactId") !== "" && !contactId) problems["contactId"] = "Choose one of the list.";
  const on = day("on", (typedDay) =>
    known.isPast ? readPastDay(typedDay, known.today) : readDay(typedDay),
  );
  if (known.isPast && text("on") === "") problems["on"] = "Give the day it was.";
  const asked = words("questions", LONG);
  // What was ticked among the suggestions is asked too, once.
  const ticked = (typed["ask"] ?? []).filter((ask) => !asked?.includes(ask));
  const questions = [...(asked ? [asked] : []), ...ticked].join("\n");
  if (questions.length > LONG) problems["questions"] = LONG_WORDS;
  return {
    problems,
    values: {
      reason: choice("reason", VISIT_REASONS, "Say why."),
      unitIds,
      ...(contactId ? { contactId } : {}),
      ...(on ? { on } : {}),
      ...(questions ? { questions } : {}),
    },
  };
}

/** One thing to check at a machine: a kind of reading, at the machine or at one of its parts. */
export type CheckAt = { kind: ReadingKind; unitId: string; partId?: string };
export type CheckedReading = CheckAt & { taken: ReadingTaken };

/** The name of a check’s fields in the form of its machine. */
export const checkKey = ({ kind, partId }: CheckAt): string => `${kind}@${partId ?? ""}`;

/** The fields of one check as they stand in the form of its machine. */
export function checkFields(
  typed: FormFields,
  check: CheckAt,
  school: CapacitorStrategy,
): ReadingFields {
  const one = (name: string) => (typed[`${name} ${checkKey(check)}`]?.[0] ?? "").trim();
  return {
    kind: check.kind,
    value: one("value"),
    word: one("word"),
    unit: one("unit"),
    rated: one("rated"),
    ratedMin: one("ratedMin"),
    ratedMax: one("ratedMax"),
    school: check.kind === "capacitor-uf" ? school : "",
    mode: one("mode"),
    flags: typed[`flags ${checkKey(check)}`] ?? [],
  };
}

const isFilled = ({ value, word, flags }: ReadingFields) =>
  value !== "" || word !== "" || flags.length > 0;

/** Reads the checks of a machine: what was measured or seen, and under which conditions. */
export function readChecks(
  typed: FormFields,
  checks: readonly CheckAt[],
  known: {
    system: UnitSystem;
    instruments: readonly Instrument[];
    fogLimit: number;
    /** Which capacitor strategy the home follows. */
    school: CapacitorStrategy;
  },
): Read<{ readings: CheckedReading[]; newInstrument: string | undefined }> {
  const problems: Problems = {};
  const { conditions, newInstrument, problems: wrong } = readConditions(typed, known);
  Object.assign(problems, wrong);
  const readings = checks.flatMap((check): CheckedReading[] => {
    const fields = checkFields(typed, check, known.school);
    if (!isFilled(fields)) return [];
    const read = readReading(fields, known.system, known.fogLimit);
    if (!read.ok) {
      for (const [name, message] of Object.entries(read.errors))
        problems[`${name === "kind" ? "value" : name} ${checkKey(check)}`] = message;
      return [];
    }
    const isMeasured = typeof read.taken.value === "number";
    const has = isMeasured && Object.values(conditions).some((each) => each !== undefined);
    return [{ ...check, taken: { ...read.taken, ...(has ? { conditions } : {}) } }];
  });
  return {
    values: { readings, newInstrument },
    problems,
  };
}

type FindingFacts = Omit<Finding, "id" | "visitId" | "settledOn">;

/** Reads what was found at a machine, what is advised, and what the owner decided. */
export function readFinding(
  typed: FormFields,
  known: {
    unitId: string;
    parts: readonly { id: string; kind: string }[];
    currency: string;
  },
): Read<FindingFacts> & {
  /** It is a heat exchanger that is stained or cracked: a stop. */
  isExchanger: boolean;
  /** Its power was left off. */
  staysOff: boolean;
} {
  const { problems, text, words, choice, money, day } = fieldReader(typed);
  const found = words("words", SHORT);
  if (!found) problems["words"] = "Say what was found.";
  const decision = choice("decision", DECISIONS, "Say what you decided, or that you have not yet.");
  const until = day("until", readDay);
  if (decision === "watch" && !until && !problems["until"])
    problems["until"] = "Until when is it watched?";
  const advice = words("advice", SHORT);
  const because = words("because", SHORT);
  const priceMinor = money("price", known.currency);
  const part = known.parts.find(({ id }) => id === text("partId"));
  const partId = part?.id;
  const isExchanger = isOfExchanger({ words: found ?? "", partKind: part?.kind });
  // A stain is a crack until it was measured: nobody watches one until a day.
  if (isExchanger && (decision === "watch" || decision === "declined"))
    problems["decision"] =
      "A stained or cracked heat exchanger is neither watched nor left: it stays off until it was tested.";
  return {
    problems,
    isExchanger,
    staysOff: (typed["staysOff"] ?? []).length > 0,
    values: {
      unitId: known.unitId,
      words: found ?? "",
      decision,
      ...(partId ? { partId } : {}),
      ...(advice ? { advice } : {}),
      ...(because ? { because } : {}),
      ...(priceMinor === undefined ? {} : { priceMinor }),
      ...(decision === "watch" && until ? { until } : {}),
    },
  };
}

/** Reads how a visit ended. */
export function readEnd(typed: FormFields, currency: string, after: PlainDate) {
  const { problems, words, choice, money, day, minutes } = fieldReader(typed);
  const nextOn = day("nextOn", readDay);
  if (nextOn && nextOn <= after) problems["nextOn"] = "The next one is after this one.";
  const [cost, mins] = [money("cost", currency), minutes("minutes")];
  const [said, signedBy] = [words("words", LONG), words("signedBy", SHORT)];
  if (!signedBy) problems["signedBy"] = "Whose word is this? A name.";
  const jobs = typed["job"] ?? [];
  // Nothing is done that nobody ticked, and nothing is passed over either.
  if (jobs.length === 0 && !typed["nothing"]?.length)
    problems["job"] = "Tick what was done, or that nothing of it was.";
  return {
    problems,
    values: {
      verdict: choice("verdict", VISIT_VERDICTS, "Say how the machines were left."),
      ...(said ? { words: said } : {}),
      ...(signedBy ? { signedBy } : {}),
      ...(mins === undefined ? {} : { minutes: mins }),
      ...(cost === undefined ? {} : { costMinor: cost }),
      ...(nextOn ? { nextOn } : {}),
    },
    jobs,
  };
}
