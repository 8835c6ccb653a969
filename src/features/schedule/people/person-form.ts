import { LEAVES, type Person, type PersonDays } from "@/core/planning/year";
import { DAY_WORDS, isDay, ofReader, readDay, readWhole, type FormFields } from "@/lib/forms";

/** How many absences a form has room for. */
export const AWAY_ROWS = 6;
const LONGEST_NAME = 60;
const LEAST_MINUTES = 10;
const MOST_MINUTES = 720;
const WEEKDAYS = ["1", "2", "3", "4", "5", "6", "7"];

export type PersonRead = PersonDays & { name: string };

/** Somebody’s days as a form says them. */
export const personForm = ofReader(
  (fields): { values: PersonRead; problems: Record<string, string> } => {
    const problems: Record<string, string> = {};
    const one = (key: string) => (fields[key]?.[0] ?? "").trim();
    const many = (key: string) => (fields[key] ?? []).filter((each) => WEEKDAYS.includes(each));
    const name = one("name");
    if (name === "") problems["name"] = "Give a name.";
    if (name.length > LONGEST_NAME)
      problems["name"] = `Shorter, please: up to ${LONGEST_NAME} letters.`;
    const weekdays = many("weekdays").map(Number).sort();
    if (weekdays.length === 0) problems["weekdays"] = "Tick at least one day.";
    const minutes = readWhole(one("mostMinutes"), LEAST_MINUTES, MOST_MINUTES);
    if (minutes === null)
      problems["mostMinutes"] = `A whole number of minutes, ${LEAST_MINUTES} to ${MOST_MINUTES}.`;
    return {
      values: {
        ...{ name, weekdays, mostMinutes: minutes ?? LEAST_MINUTES },
        // Who likes a day on which it cannot be likes it in vain.
        preferred: many("preferred")
          .map(Number)
          .filter((day) => weekdays.includes(day))
          .sort(),
        away: readAway(fields, problems),
        leaves: LEAVES.filter((each) => fields["leaves"]?.includes(each)),
        unitIds: [...new Set(fields["unitIds"] ?? [])],
      },
      problems,
    };
  },
);

function readAway(fields: FormFields, problems: Record<string, string>): PersonDays["away"] {
  return Array.from({ length: AWAY_ROWS }, (_, i) => i).flatMap((i) => {
    const text = (key: string) => (fields[key]?.[0] ?? "").trim();
    const [first, last] = [text(`from-${i}`), text(`to-${i}`)];
    if (first === "" && last === "") return [];
    const from = readDay(first);
    // One day alone is from it to it.
    const to = last === "" ? from : readDay(last);
    if (!isDay(from))
      problems[`from-${i}`] = from === "missing" ? "From which day?" : DAY_WORDS[from];
    if (!isDay(to)) {
      if (last !== "") problems[`to-${i}`] = DAY_WORDS[to];
      return [];
    }
    if (!isDay(from)) return [];
    if (from > to) problems[`to-${i}`] = "That is before the first day.";
    return from > to ? [] : [{ from, to }];
  });
}

/** Somebody as their form shows them. */
export const fieldsOfPerson = ({
  name,
  weekdays,
  preferred,
  away,
  mostMinutes,
  leaves,
  unitIds,
}: Pick<
  Person,
  "name" | "weekdays" | "preferred" | "away" | "mostMinutes" | "leaves" | "unitIds"
>): FormFields => ({
  name: [name],
  weekdays: weekdays.map(String),
  preferred: preferred.map(String),
  mostMinutes: [String(mostMinutes)],
  leaves: [...leaves],
  unitIds: [...unitIds],
  ...Object.fromEntries(
    Array.from({ length: AWAY_ROWS }, (_, i) => i).flatMap((i) => [
      [`from-${i}`, [away[i]?.from ?? ""]],
      [`to-${i}`, [away[i]?.to ?? ""]],
    ]),
  ),
});
