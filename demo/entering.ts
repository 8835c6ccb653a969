import { equipmentSchema, type Equipment } from "@/core/climate/run-hours";
import type { PlainDate } from "@/core/quantities/plain-date";
import { readRating } from "@/core/quantities/rating";
import { readSize } from "@/core/quantities/size";
import { judgeInput, type JudgeInput } from "@/core/readings/judge";
import type {
  AirSystem,
  FilterSlot,
  Part,
  Register,
  Room,
  ShutOff,
  TypedSize,
  Unit,
} from "@/core/inventory/inventory";
import type { HistoryEvent } from "@/core/history/history-event";
import { partKind, type PartKindId } from "../src/content/part-kinds";
import { unitKind } from "../src/content/unit-kinds";

/** How the made-up homes are written down: short forms of what the register holds. */
export const equipment = (
  values: Partial<Equipment> & Pick<Equipment, "heats" | "cools">,
): Equipment => equipmentSchema.parse({ fan: { mode: "auto" }, ...values });

export const system = (
  id: string,
  name: string,
  ducted: boolean,
  values: Equipment,
  airflowM3h?: number,
): AirSystem => ({
  id: `${id}-air`,
  name,
  ducted,
  equipment: values,
  ...(airflowM3h === undefined ? {} : { airflowM3h }),
});

/** A fan that runs day and night, at a share of its full hours. */
export const always = (level: number) => ({
  mode: "continuous" as const,
  hours: undefined,
  level,
});

type UnitFacts = Omit<Unit, "systemId" | "shutOffs" | "attributes"> & {
  /** The unit in whose air system it runs; its own when absent. */
  air?: string;
  shutOffs?: Omit<ShutOff, "id">[];
  attributes?: Unit["attributes"];
};

export const unit = ({ air, shutOffs = [], attributes = {}, ...facts }: UnitFacts): Unit => ({
  ...facts,
  attributes,
  systemId: `${air ?? facts.id}-air`,
  shutOffs: shutOffs.map((off, i) => ({ id: `${facts.id}-off-${i}`, ...off })),
});

function size(text: string): TypedSize & { unit: "in" | "mm" | "cm" } {
  const reading = readSize(text);
  if (!reading.ok) throw new Error(`demo: size “${text}” is not readable`);
  return { text, mm: reading.mm, unit: reading.unit };
}

type SlotFacts = Pick<FilterSlot, "id" | "unitId" | "name" | "media" | "airSide" | "direction"> &
  Partial<Omit<FilterSlot, "measured" | "opening">> & {
    printed: string;
    ratingText?: string;
    measured?: string;
    opening?: string;
  };

export function slot({ printed, ratingText, measured, opening, ...facts }: SlotFacts): FilterSlot {
  const rating = ratingText ? readRating(ratingText) : null;
  return {
    slotPlace: "in-the-machine",
    filterCount: 1,
    indicator: false,
    cutToSize: false,
    seat: "rail",
    nominal: size(printed),
    ...(rating ? { rating } : {}),
    ...(measured ? { measured: size(measured) } : {}),
    ...(opening ? { opening: size(opening) } : {}),
    ...facts,
  };
}

/** The parts of a unit: those its kind usually has, and any named besides, with what is known. */
export function partsOf(
  of: Unit,
  details: Partial<Record<PartKindId, Partial<Part> & { several?: string[] }>> = {},
): Part[] {
  const usual = unitKind(of.kind).parts.flatMap((part) => (part.usual ? [part.kind] : []));
  const kinds = [...new Set([...usual, ...(Object.keys(details) as PartKindId[])])];
  return kinds.flatMap((kind) => {
    const { several, ...facts } = details[kind] ?? {};
    const names = several ?? [partKind(kind).name];
    return names.map((name, i) => ({
      id: `${of.id}-${kind}${names.length > 1 ? `-${i + 1}` : ""}`,
      unitId: of.id,
      kind,
      name,
      attributes: {},
      ...facts,
    }));
  });
}

export type RoomFacts = {
  name: string;
  sleeps?: true;
  /** Supply registers and returns, and how many of the former are shut. */
  supplies?: number;
  shut?: number;
  returns?: number;
};

/** The rooms of a level with their registers, in order. */
export function roomsOn(
  levelId: string,
  list: readonly RoomFacts[],
): { rooms: Room[]; registers: Register[] } {
  const rooms: Room[] = [];
  const registers: Register[] = [];
  for (const { name, sleeps = false, supplies = 0, shut = 0, returns = 0 } of list) {
    const id = `${levelId}-${name.toLowerCase().replace(/\W+/g, "-")}`;
    rooms.push({ id, levelId, name, sleeps });
    for (let i = 0; i < supplies; i++)
      registers.push({ id: `${id}-supply-${i}`, roomId: id, role: "supply", isShut: i < shut });
    for (let i = 0; i < returns; i++)
      registers.push({ id: `${id}-return-${i}`, roomId: id, role: "return", isShut: false });
  }
  return { rooms, registers };
}

/** Readings of one kind at one place, each with its day. */
export const readingsAt = (
  { unitId, partId }: { unitId: string; partId?: string },
  taken: Pick<JudgeInput, "kind" | "unit"> & { rated?: number },
  values: readonly (readonly [PlainDate, number | string])[],
): HistoryEvent[] =>
  values.map(([date, value], i) => ({
    id: `${partId ?? unitId}-${taken.kind}-${i}`,
    kind: "reading",
    unitId,
    ...(partId ? { partId } : {}),
    date,
    recordedAt: `${date}T14:00:00.000Z`,
    reading: judgeInput.parse({ ...taken, value }),
  }));
