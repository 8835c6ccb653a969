import { z } from "zod";
import { mediaFor, unitKind, type UsualSlot } from "@/content/unit-kinds";
import type { PlainDate } from "@/core/quantities/plain-date";
import { SLOT_PLACES, type FilterSlot, type Unit } from "@/core/inventory/inventory";
import { type HomeSnapshot } from "@/core/history/home-snapshot";
import { MEDIA_KINDS } from "@/core/filters/media";
import { DAY_WORDS, isDay, readPastDay } from "@/lib/forms";
import { readSizeChoice } from "../filters/size-choice";

type Typed = Record<string, string[]>;
export type QuickSlot = { slot: Omit<FilterSlot, "id" | "unitId">; fittedOn?: PlainDate };

const ORDINALS = ["Second", "Third", "Fourth", "Fifth", "Sixth", "Seventh", "Eighth"];

/** The slots such a machine usually has; of one with several heads a mesh for each. */
function usualSlots({ kind, attributes }: Unit): UsualSlot[] {
  const { slots } = unitKind(kind);
  const heads = Number(attributes["heads"] ?? 1);
  const [first, ...others] = slots;
  if (first?.media !== "head-mesh" || !(heads > 1)) return [...slots];
  const more = ORDINALS.slice(0, heads - 1).map((nth) => ({
    ...first,
    name: `${nth} head’s mesh`,
    usual: true,
  }));
  return [first, ...more, ...others.filter(({ name }) => !more.some((each) => each.name === name))];
}

/** The usual slots of a unit's kind that it does not have yet, by the order of its kind. */
export function slotsToAsk(
  unit: Unit,
  snapshot: HomeSnapshot,
): { nth: number; usual: UsualSlot }[] {
  const has = snapshot.slots.filter((slot) => slot.unitId === unit.id).map((slot) => slot.name);
  return usualSlots(unit).flatMap((usual, nth) =>
    has.includes(usual.name) ? [] : [{ nth, usual }],
  );
}

/** Reads the few fields of each slot that is ticked: enough to say when it is due. */
export function readQuickSlots(
  typed: Typed,
  slots: readonly { nth: number; usual: UsualSlot }[],
  fallback: "in" | "mm",
  today: PlainDate,
  earliest: PlainDate | null = null,
): { values: QuickSlot[]; problems: Record<string, string> } {
  const problems: Record<string, string> = {};
  const values: QuickSlot[] = [];
  for (const { nth, usual } of slots) {
    if (!typed["has"]?.includes(String(nth))) continue;
    const text = (name: string) => (typed[`${name}-${nth}`]?.[0] ?? "").trim();
    const named = (name: string) => (typed[name]?.[0] ?? "").trim();
    const { size, problems: ofSize } = readSizeChoice(named, nth, usual.media, fallback);
    Object.assign(problems, ofSize);
    const fitted = text("fittedOn") ? readPastDay(text("fittedOn"), today) : undefined;
    if (fitted !== undefined && !isDay(fitted)) problems[`fittedOn-${nth}`] = DAY_WORDS[fitted];
    else if (fitted !== undefined && isDay(fitted) && earliest && fitted < earliest)
      problems[`fittedOn-${nth}`] =
        "That is long before its machine was here. Look at the year again.";
    if (Object.keys(ofSize).length > 0) continue;
    values.push({
      slot: {
        name: usual.name,
        slotPlace: z.enum(SLOT_PLACES).catch(usual.slotPlace).parse(text("slotPlace")),
        media: z.enum(MEDIA_KINDS).catch(usual.media).parse(text("media")),
        airSide: usual.airSide,
        filterCount: 1,
        ...size,
        direction: "unknown",
        cutToSize: typed[`cutToSize-${nth}`] !== undefined,
        seat: "rail",
        indicator: typed[`indicator-${nth}`] !== undefined,
      },
      ...(fitted !== undefined && isDay(fitted) ? { fittedOn: fitted } : {}),
    });
  }
  return { values, problems };
}

/** What the step shows at first: the usual slots ticked, unless something was typed there before. */
export function quickFieldsOf(
  slots: readonly { nth: number; usual: UsualSlot }[],
  typed: Typed,
): Typed {
  const wasTyped = slots.some(({ nth }) => typed[`nominal-${nth}`] !== undefined);
  if (wasTyped) return typed;
  return { has: slots.filter(({ usual }) => usual.usual).map(({ nth }) => String(nth)) };
}

/** What the form of the step needs to know of its unit and home. */
export const quickSlotsOf = ({
  snapshot,
  unit,
  today,
}: {
  snapshot: HomeSnapshot;
  unit: Unit;
  today: PlainDate;
}) => ({
  slots: slotsToAsk(unit, snapshot),
  media: mediaFor(unit.kind, MEDIA_KINDS),
  unit: snapshot.home.unitSystem === "us" ? ("in" as const) : ("mm" as const),
  today,
});
