import { isAlarm } from "@/core/inventory/alarms";
import { PAST_TRACES, WALK_FINDS, type WalkFind } from "@/content/first-walk";
import type { WalkPlace } from "@/core/inventory/first-walk";
import type { DriverFacts, Unit } from "@/core/inventory/inventory";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import type { PlainDate } from "@/core/quantities/plain-date";
import { DAY_WORDS, isDay, readPastDay, readWhole, type FormFields, type Read } from "@/lib/forms";
import type { Found, SeenPlace } from "@/server/commands/walk";
import { readSizeChoice } from "../filters/size-choice";

const MOST_REGISTERS = 20;
const MOST_ROOMS = 20;
const LONGEST_NAME = 60;
const LONGEST_PLACE = 120;

/** The machines of a home that something found may belong to. */
export const ownersOf = (find: WalkFind, units: readonly Unit[]): Unit[] => {
  const { makes } = find;
  return "at" in makes ? units.filter(({ kind }) => makes.at.some((each) => each === kind)) : [];
};

/** What the home has that a stop is read against. */
export type WalkHome = Pick<HomeSnapshot, "home" | "rooms" | "registers" | "units"> & {
  today: PlainDate;
};

/** Rooms typed one to a line, or with commas between; those that are there already are passed over. */
function readRooms(text: string, taken: readonly string[]): string[] {
  const names = text
    .split(/[\n,;]/)
    .map((name) => name.trim())
    .filter(Boolean);
  const has = new Set(taken.map((name) => name.toLowerCase()));
  return names.filter((name) => {
    const key = name.toLowerCase();
    const isNew = !has.has(key);
    has.add(key);
    return isNew;
  });
}

/** Reads what was found at a place. */
export function readPlaceSeen(
  typed: FormFields,
  { level, room }: Pick<WalkPlace, "level" | "room">,
  { home, rooms, registers, units, today }: WalkHome,
): Read<SeenPlace> {
  const problems: Record<string, string> = {};
  const text = (name: string) => (typed[name]?.[0] ?? "").trim();
  const here = rooms.filter(({ levelId }) => levelId === level.id).map(({ name }) => name);
  const newRooms = room || level.place === "outdoors" ? [] : readRooms(text("rooms"), here);
  if (newRooms.length > MOST_ROOMS)
    problems["rooms"] = `So many rooms at once? Up to ${MOST_ROOMS}, please.`;
  else if (newRooms.some((name) => name.length > LONGEST_NAME))
    problems["rooms"] = `Shorter names, please: up to ${LONGEST_NAME} letters each.`;
  /** How many of a kind are to be added so that there are as many as was counted. */
  const missing = (role: "supply" | "return") => {
    const has = registers.filter((each) => each.roomId === room?.id && each.role === role).length;
    if (!room || text(role) === "") return 0;
    const counted = readWhole(text(role), 0, MOST_REGISTERS);
    if (counted === null) problems[role] = `A whole number, 0 to ${MOST_REGISTERS}.`;
    else if (counted < has)
      problems[role] = `${has} are entered. One too many is taken out under Rooms and registers.`;
    return Math.max(0, (counted ?? has) - has);
  };
  const [supplies, returns] = [missing("supply"), missing("return")];
  const found = WALK_FINDS.filter(({ id }) => typed["find"]?.includes(id)).map((find): Found => {
    const own = (name: string) => `${name}-${find.id}`;
    const owner = text(own("unit"));
    const isKnown = ownersOf(find, units).some(({ id }) => id === owner);
    if (owner !== "" && !isKnown) problems[own("unit")] = "Choose one of these machines.";
    const day = (name: string) => {
      if (text(own(name)) === "") return undefined;
      const read = readPastDay(text(own(name)), today);
      if (isDay(read)) return read;
      problems[own(name)] = DAY_WORDS[read];
      return undefined;
    };
    const where = text(own("where"));
    if (where.length > LONGEST_PLACE)
      problems[own("where")] = `Shorter, please: up to ${LONGEST_PLACE} letters.`;
    const isSlot = "slot" in find.makes;
    const { size, problems: ofSize } =
      "slot" in find.makes
        ? readSizeChoice(
            text,
            find.id,
            find.makes.slot.media,
            home.unitSystem === "us" ? "in" : "mm",
          )
        : { size: {}, problems: {} };
    Object.assign(problems, ofSize);
    const [madeOn, fittedOn] = [day("made"), day("fitted")];
    return {
      find,
      unitId: isKnown ? owner : null,
      ...size,
      ...(isSlot && fittedOn ? { fittedOn } : {}),
      ...(isDated(find) && madeOn ? { madeOn } : {}),
      ...("part" in find.makes && where ? { where } : {}),
    };
  });
  const sleeps = typed["sleeps"] !== undefined;
  return { values: { rooms: newRooms, sleeps, supplies, returns, found }, problems };
}

/** Things whose life is counted from the day on their back. */
export const isDated = ({ makes }: WalkFind): boolean => "unit" in makes && isAlarm(makes.unit);

/** What a place shows at first: what is known of it already. */
export function placeFieldsOf(
  { room }: Pick<WalkPlace, "room">,
  { registers }: Pick<HomeSnapshot, "registers">,
): FormFields {
  if (!room) return {};
  const count = (role: "supply" | "return") =>
    registers.filter((each) => each.roomId === room.id && each.role === role).length;
  const shown = (n: number) => (n > 0 ? [String(n)] : [""]);
  return {
    ...(room.sleeps ? { sleeps: ["on"] } : {}),
    supply: shown(count("supply")),
    return: shown(count("return")),
  };
}

/** Whether somebody lived here before, as the form of the past asks. */
export const BEFORE = ["others", "nobody"] as const;

/** Reads what is known of those before: what follows from it, as facts about the household. */
export function readPast(typed: FormFields, today: PlainDate): Read<DriverFacts[]> {
  const problems: Record<string, string> = {};
  const text = (name: string) => (typed[name]?.[0] ?? "").trim();
  const before = BEFORE.find((each) => each === text("before"));
  if (!before) problems["before"] = "Say which of the two: what is not known may stay open.";
  const day = (name: string, missing: string | null) => {
    const read = readPastDay(text(name), today);
    if (isDay(read)) return read;
    if (read !== "missing") problems[name] = DAY_WORDS[read];
    else if (missing !== null) problems[name] = missing;
    return undefined;
  };
  const movedIn = day(
    "movedIn",
    before === "others" ? "When did you move in? A guess will do." : null,
  );
  const kinds =
    before === "others" ? PAST_TRACES.filter(({ kind }) => typed["trace"]?.includes(kind)) : [];
  const hasWorks = kinds.some(({ kind }) => kind === "renovation");
  const from = hasWorks ? day("worksFrom", "When did it begin? A guess will do.") : undefined;
  const to = hasWorks ? day("worksTo", null) : undefined;
  if (from && to && from > to) problems["worksTo"] = "It ends before it begins.";
  const label = { label: "those before us" };
  const values: DriverFacts[] = [
    ...(movedIn ? [{ kind: "moved-in" as const, from: movedIn }] : []),
    ...kinds.flatMap(({ kind }): DriverFacts[] => {
      if (kind === "renovation") return from ? [{ kind, from, ...(to ? { to } : {}) }] : [];
      const spell = movedIn ? { to: movedIn } : {};
      return [{ kind, ...(kind === "shedding-pets" ? { count: 1 } : {}), ...spell, ...label }];
    }),
  ];
  return { values, problems };
}
