import { z } from "zod";
import { readMoney } from "@/core/quantities/money";
import type { PlainDate } from "@/core/quantities/plain-date";
import { readRating } from "@/core/quantities/rating";
import {
  actualSize,
  outgrows,
  readSize,
  type LengthUnit,
  type SizeReading,
} from "@/core/quantities/size";
import { SEATS } from "@/core/calculators/filter-fit";
import { DIRECTIONS } from "@/core/inventory/directions";
import { SLOT_PLACES, type FilterSlot, type Home, type Room } from "@/core/inventory/inventory";
import { AIR_SIDES } from "@/core/filters/drivers";
import { MEDIA_KINDS } from "@/core/filters/media";
import { unitsFor } from "@/core/readings/reading-units";
import { DAY_WORDS, isDay, readDecimal, readPastDay, readWhole } from "@/lib/forms";

const MOST_FILTERS = 24;
const MOST_HOURS = 50_000;
const MOST_DAYS = 3650;
const MOST_PA = 2000;

export const SIZE_WORDS: Readonly<Record<Exclude<SizeReading, { ok: true }>["why"], string>> = {
  unreadable: "Write width × height × depth, such as 20x20x1 or 500x500x48 mm.",
  zero: "A filter has some width, height and depth: none of them can be 0.",
  "too-large": "That is more than 3 m, or 10 ft. Is the unit right?",
  "which-unit": "Inches or millimetres? Write “in” or “mm” after the figures.",
};

const shape = z.object({
  name: z.string().max(60, "A shorter name, please."),
  slotPlace: z.enum(SLOT_PLACES, "Choose where it sits."),
  roomId: z.string().optional(),
  note: z.string().max(1000, "Shorter, please: up to 1000 letters.").optional(),
  place: z.string().max(300, "Shorter, please: up to 300 letters."),
  nominal: z.string(),
  measured: z.string(),
  opening: z.string(),
  filterCount: z.string(),
  media: z.enum(MEDIA_KINDS, "Choose what it is made of."),
  rating: z.string(),
  airSide: z.enum(AIR_SIDES, "Choose which air passes it."),
  direction: z.enum(DIRECTIONS, "Choose which way the arrow points."),
  directionMark: z.string().max(120, "Shorter, please."),
  cutToSize: z.string().optional(),
  seat: z.enum(SEATS, "Choose how the frame is held."),
  cleanDrop: z.string().optional(),
  indicator: z.string().optional(),
  indicatorReset: z.string().max(200, "Shorter, please: up to 200 letters.").optional(),
  price: z.string(),
  baseHours: z.string(),
  maxAgeDays: z.string(),
  fittedOn: z.string().optional(),
});

export type SlotFields = Omit<FilterSlot, "id" | "unitId"> & { fittedOn?: PlainDate };

/** Reads the fields of a filter slot; every size, rating, price and day is checked at its field. */
type SlotHome = { home: Pick<Home, "unitSystem" | "currency">; rooms: readonly Room[] };

export function slotForm({ home, rooms }: SlotHome, today: PlainDate) {
  const fallback: LengthUnit = home.unitSystem === "us" ? "in" : "mm";
  return shape.transform((fields, context): SlotFields => {
    const problem = (name: keyof typeof fields, message: string) => {
      context.addIssue({ code: "custom", path: [name], message });
      return undefined;
    };
    const size = (name: "nominal" | "measured" | "opening") => {
      if (fields[name] === "") return undefined;
      const reading = readSize(fields[name], fallback);
      return reading.ok
        ? { text: fields[name], mm: reading.mm, unit: reading.unit }
        : problem(name, SIZE_WORDS[reading.why]);
    };
    const whole = (
      name: "filterCount" | "baseHours" | "maxAgeDays",
      most: number,
      words: string,
    ) => {
      if (fields[name] === "") return undefined;
      return readWhole(fields[name], 1, most) ?? problem(name, words);
    };
    // Everything is looked at before anything is refused, so that all problems show at once.
    if (fields.name === "") problem("name", "Give it a name, such as “Filter”.");
    const nominal = size("nominal");
    const measured = size("measured");
    const opening = size("opening");
    if (nominal && opening) {
      const real = actualSize(nominal.mm, nominal.unit, measured?.mm);
      const over = outgrows(real, opening.mm);
      if (over.length > 0)
        problem(
          measured ? "measured" : "nominal",
          `This filter is larger than its slot in ${over.join(" and ")}: it can’t go in. Measure both once more.`,
        );
    }
    const count =
      whole("filterCount", MOST_FILTERS, `How many filters sit here: 1 to ${MOST_FILTERS}.`) ?? 1;
    const baseHours = whole("baseHours", MOST_HOURS, `Whole hours, 1 to ${MOST_HOURS}.`);
    const maxAgeDays = whole("maxAgeDays", MOST_DAYS, `Whole days, 1 to ${MOST_DAYS}.`);

    const rating = fields.rating === "" ? undefined : readRating(fields.rating);
    if (rating === null)
      problem(
        "rating",
        "There is no such rating. It reads MERV 1 to 16, G1 to G4, M5, M6, F7 to F9, E10 to U17, “Coarse 60” or “ePM1 50”.",
      );
    const pressure = unitsFor("filter-drop", home.unitSystem)[0]!;
    const typedDrop = fields.cleanDrop ? readDecimal(fields.cleanDrop) : undefined;
    const drop =
      typedDrop === undefined || typedDrop === null
        ? typedDrop
        : Number((typedDrop * pressure.per).toPrecision(8));
    if (drop === null || (drop !== undefined && !(drop > 0 && drop <= MOST_PA)))
      problem(
        "cleanDrop",
        `The drop of a clean one in ${pressure.label}, more than 0, up to ${Number((MOST_PA / pressure.per).toPrecision(2))}.`,
      );
    const room = rooms.find((each) => each.id === fields.roomId);
    const price = fields.price === "" ? undefined : readMoney(fields.price, home.currency);
    if (price === null) problem("price", `Write the price in ${home.currency}, such as 18.50.`);

    const fitted = fields.fittedOn ? readPastDay(fields.fittedOn, today) : undefined;
    if (fitted !== undefined && !isDay(fitted)) problem("fittedOn", DAY_WORDS[fitted]);
    if (context.issues.length > 0) return z.NEVER;
    return {
      name: fields.name,
      media: fields.media,
      airSide: fields.airSide,
      filterCount: count,
      ...(nominal ? { nominal } : {}),
      direction: fields.direction,
      slotPlace: fields.slotPlace,
      cutToSize: Boolean(fields.cutToSize),
      seat: fields.seat,
      indicator: Boolean(fields.indicator),
      ...(fields.indicatorReset ? { indicatorReset: fields.indicatorReset } : {}),
      ...(drop === undefined || drop === null ? {} : { cleanDropPa: drop }),
      ...(room ? { roomId: room.id } : {}),
      ...(fields.note ? { note: fields.note } : {}),
      ...(fields.place ? { place: fields.place } : {}),
      ...(measured ? { measured } : {}),
      ...(opening ? { opening } : {}),
      ...(rating ? { rating } : {}),
      ...(fields.directionMark ? { directionMark: fields.directionMark } : {}),
      ...(price === undefined || price === null ? {} : { priceMinor: price }),
      ...(baseHours === undefined ? {} : { baseHours }),
      ...(maxAgeDays === undefined ? {} : { maxAgeDays }),
      ...(fitted !== undefined && isDay(fitted) ? { fittedOn: fitted } : {}),
    };
  });
}
