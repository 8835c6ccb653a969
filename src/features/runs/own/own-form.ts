import { LICENSED_WORK } from "@/content/licensed-work";
import { procedure } from "@/content/procedures/library";
import { checkOwn } from "@/core/runs/own-procedure";
import { ownStepsOf, ownStepsSchema, stepsOfOwn } from "@/core/runs/own-steps";
import { procedureSchema, type Procedure } from "@/core/runs/procedure";
import { QUALIFICATIONS } from "@/core/runs/qualification";
import { ofReader, readWhole, type FormFields } from "@/lib/forms";
import { ownFaultWords } from "@/presentation/own-fault-words";

const MOST_MINUTES = 1440;
const LONGEST_TITLE = 80;

/** What an own procedure is written from: itself as it was, a copy of the library’s, or nothing. */
export type OwnContext = { id: string; before: Procedure | null; basedOn: string | null };

/** The field of a step’s problems. */
export const stepField = (id: string) => `step-${id}`;

/** A procedure of one’s own as its form reads it: checked, with the reason of a refusal and what mends it. */
export const ownForm = ({ id, before, basedOn }: OwnContext) =>
  ofReader<{ procedure: Procedure; job: string }>((typed) => {
    const text = (name: string) => (typed[name]?.[0] ?? "").trim();
    const problems: Record<string, string> = {};
    const title = text("title");
    if (title === "") problems["title"] = "Give it a name.";
    if (title.length > LONGEST_TITLE) problems["title"] = "A shorter name, please.";
    const handsOn = readWhole(text("handsOn"), 1, MOST_MINUTES);
    if (handsOn === null) problems["handsOn"] = "Whole minutes, from 1 to 1440.";
    const who = QUALIFICATIONS.find((each) => each === text("who")) ?? "owner";
    const read = ownStepsSchema.safeParse(jsonOf(text("steps")));
    if (!read.success) problems["steps"] = "Its steps could not be read. Load the page anew.";
    const steps = read.success ? stepsOfOwn(read.data, before?.steps ?? []) : [];
    for (const step of steps)
      if (step.title === "") problems[stepField(step.id)] = "Say what is done.";
    const whole = {
      ...(before ?? { waitingMinutes: 0 }),
      ...{ id, title, who, handsOnMinutes: handsOn ?? 1, steps },
      verb: before?.verb ?? "Begin",
    };
    const parsed = procedureSchema.safeParse(JSON.parse(JSON.stringify(whole)));
    if (!parsed.success) {
      for (const { path } of parsed.error.issues) {
        const at = path[0] === "steps" ? steps[Number(path[1])]?.id : undefined;
        problems[at === undefined ? "steps" : stepField(at)] ??= "Something is missing here.";
      }
      return { values: { procedure: whole as Procedure, job: text("job") }, problems };
    }
    const original = basedOn === null ? null : procedure(basedOn);
    if (Object.keys(problems).length === 0)
      for (const { step, rule } of checkOwn(parsed.data, original, LICENSED_WORK))
        problems[step === "" ? "who" : stepField(step)] ??= ownFaultWords(rule);
    return { values: { procedure: parsed.data, job: text("job") }, problems };
  });

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** A procedure as its form shows it. */
export const fieldsOfOwn = (of: Procedure, job: string): FormFields => ({
  title: [of.title],
  who: [of.who],
  handsOn: [String(of.handsOnMinutes)],
  job: [job],
  steps: [JSON.stringify(ownStepsOf(of.steps))],
});

/** What a procedure written from nothing begins with: off, the work, on. */
export const blankProcedure = (id: string): Procedure => ({
  id,
  title: "",
  verb: "Begin",
  who: "owner",
  handsOnMinutes: 15,
  waitingMinutes: 0,
  steps: [
    {
      id: "off",
      kind: "shut",
      title: "Switch it off",
      opens: [{ key: "power", end: "switch-off", thing: "power", state: "off" }],
    },
    { id: "work", kind: "clean", title: "", renews: true },
    { id: "on", kind: "restore", title: "Switch it on", closes: "power" },
  ],
});
