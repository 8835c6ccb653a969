import { z } from "zod";
import { RATING_SCHEMES, classesOf, toMerv } from "./rating";
import { readPlainDate, type PlainDate } from "./plain-date";

/**
 * An optional key; a null there counts as absent, as other programs write it so.
 *
 * @example optional(dateSchema).parse(null) // undefined
 */
export const optional = <T extends z.ZodType>(schema: T) =>
  schema.nullish().transform((value) => value ?? undefined);

/**
 * An optional key with the value it takes when it is absent or null.
 *
 * @example withDefault(dateSchema, "2026-01-01").parse(undefined) // "2026-01-01"
 */
export const withDefault = <T extends z.ZodType>(schema: T, fallback: z.output<T>) =>
  schema.nullish().transform((value) => value ?? fallback);

/**
 * A day written as YYYY-MM-DD that exists; anything else is a problem in words.
 *
 * @example dateSchema.safeParse("2025-02-29").success // false
 */
export const dateSchema = z
  .string()
  .refine((text) => readPlainDate(text) !== null, "not a day: write it as YYYY-MM-DD")
  .transform((text) => text as PlainDate);

/**
 * A day of any year, MM-DD; 29 February is one.
 *
 * @example monthDaySchema.safeParse("02-29").success // true
 */
export const monthDaySchema = z
  .string()
  .refine((text) => /^\d{2}-\d{2}$/.test(text) && readPlainDate(`2024-${text}`) !== null, {
    message: "not a day of the year: write it as MM-DD",
  });

export const hoursOfDaySchema = z.number().min(0).max(24);
export const shareSchema = z.number().min(0).max(1);
export const countSchema = z.number().int().min(0);
export const positiveSchema = z.number().positive();
export const monthListSchema = z
  .array(z.number())
  .length(12, "give twelve values, January to December");

/**
 * A rating scheme with a class that it has; a class of another scheme is a problem at `class`.
 *
 * @example ratingSchema.safeParse({ scheme: "MERV", class: "17" }).success // false
 */
export const ratingSchema = z
  .strictObject({ scheme: z.enum(RATING_SCHEMES), class: z.string() })
  .superRefine((rating, context) => {
    if (toMerv(rating) === null)
      context.addIssue({
        code: "custom",
        path: ["class"],
        message: `${rating.scheme} has no class “${rating.class}”: it has ${classesOf(rating.scheme)}`,
      });
  });

/** A span of days that is worked out day by day is no longer than this: a hundred years. */
export const MOST_SPAN_DAYS = 36_525;

/**
 * Refuses a span that is worked out day by day and goes on for longer than `MOST_SPAN_DAYS`.
 *
 * @example checkLength({ from: "2026-01-01", to: "2026-12-31" }) // undefined
 */
export function checkLength(
  { from, to }: { from: string; to: string },
  context: z.RefinementCtx,
): void {
  if (Date.parse(to) - Date.parse(from) > MOST_SPAN_DAYS * MS_PER_DAY)
    context.addIssue({ code: "custom", path: ["to"], message: "more than a hundred years" });
}
const MS_PER_DAY = 86_400_000;

/**
 * Refuses a span that ends before it starts; either end may be missing, and one day is a span.
 *
 * @example checkSpan({ from: "2026-01-01", to: "2026-01-01" }) // undefined
 */
export function checkSpan(
  span: { from?: string | undefined; to?: string | undefined },
  context: z.RefinementCtx,
): void {
  if (span.from !== undefined && span.to !== undefined && span.from > span.to)
    context.addIssue({ code: "custom", path: ["to"], message: "ends before it starts" });
}
