import { z } from "zod";
import { addMonths, toDay } from "../quantities/plain-date";
import { withDefault } from "../quantities/schemas";
import { reaches, roundPhysical } from "../quantities/rounding";
import { filtersInTurn } from "../filters/wear";
import { slotSchema, wearInput, type WearInput } from "../filters/wear-schema";

const MONTHS_PER_YEAR = 12;
const DAYS_PER_YEAR = 365.25;
const DEFAULT_YEARS = 3;
const MOST_YEARS = 100;
const DEFAULT_CHANGE_MINUTES = 10;

/** Everything but the slot, which each option brings. */
const wearWithoutSlot = z.looseObject({ slot: z.undefined().optional() });

const optionSchema = z.strictObject({
  name: z.string(),
  slot: slotSchema,
  /** Of a pack, in minor units. */
  price: z.number().min(0),
  packOf: withDefault(z.number().int().positive(), 1),
  changeMinutes: withDefault(z.number().min(0), DEFAULT_CHANGE_MINUTES),
  /** Once, for a deeper frame or another housing. */
  conversionCost: withDefault(z.number().min(0), 0),
});

/**
 * What comparing filters asks for. Each option is parsed as a wear input of its own, so a fault in one
 * stands at `wear`, with the path it has there; looks and reliefs are passed over.
 */
export const compareFiltersInput = z
  .strictObject({
    wear: wearWithoutSlot,
    options: z.array(optionSchema).min(1),
    years: withDefault(z.number().positive().max(MOST_YEARS), DEFAULT_YEARS),
  })
  .transform((input, context) => {
    const wears: WearInput[] = [];
    for (const { slot } of input.options) {
      // Looks and vacuuming were of one filter; the options are held at the belief that is given.
      const parsed = wearInput.safeParse({ looks: [], ...input.wear, slot });
      if (!parsed.success) {
        for (const issue of parsed.error.issues)
          context.addIssue({
            code: "custom",
            path: ["wear", ...issue.path],
            message: issue.message,
          });
        return z.NEVER;
      }
      wears.push({ ...parsed.data, looks: [], reliefs: [] });
    }
    return { ...input, wears };
  });

export const compareFiltersOutput = z.strictObject({
  options: z.array(
    z.strictObject({
      name: z.string(),
      changes: z.number().int(),
      changesPerYear: z.number(),
      costPerYear: z.number(),
      minutesPerYear: z.number(),
      paybackYears: z.number().nullable(),
    }),
  ),
});

export type ComparedFilters = z.output<typeof compareFiltersOutput>["options"];

/**
 * What filters of different depth or make cost in the same place over some years: changes, minor units
 * of money and minutes a year, and after how many years a dearer one has paid its conversion; null
 * where it never does. A year’s changes are counted from whole lives, so that a day more or less of one
 * moves them little; `changes` are those within the years.
 *
 * @source docs/sources.md#wear; each option loads as fast as the place does, by its own rated hours
 * @example compareFilters({ options: [], years: 3, wears: [] }).options // []
 */
export function compareFilters({
  options,
  years,
  wears,
}: z.output<typeof compareFiltersInput>): z.output<typeof compareFiltersOutput> {
  const rows = options.map((option, i) => {
    const wear = wears[i]!;
    const fitted = toDay(wear.fittedOn);
    const end = toDay(addMonths(wear.fittedOn, Math.round(MONTHS_PER_YEAR * years)));
    const days = filtersInTurn(wear, end);
    const last = days.at(-1);
    const perYear = last === undefined ? 0 : (DAYS_PER_YEAR * days.length) / (last - fitted);
    return {
      option,
      perYear,
      changes: days.filter((day) => day <= end).length,
      costPerYear: (perYear * option.price) / option.packOf,
    };
  });
  const first = rows[0];
  return {
    options: rows.map(({ option, changes, perYear, costPerYear }) => {
      const saving = first!.costPerYear - costPerYear;
      return {
        name: option.name,
        changes,
        changesPerYear: roundPhysical(perYear),
        costPerYear: roundPhysical(costPerYear),
        minutesPerYear: roundPhysical(perYear * option.changeMinutes),
        paybackYears: reaches(0, saving) ? null : roundPhysical(option.conversionCost / saving),
      };
    }),
  };
}
