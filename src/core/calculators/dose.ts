import { z } from "zod";
import { optional, positiveSchema } from "../quantities/schemas";
import { roundPhysical } from "../quantities/rounding";

/** Water of a heating system for each kW of its boiler, L; practice for radiators. */
const LITRES_PER_KW = 10;
/** How full the body of a magnetic filter is poured with inhibitor. */
const BODY_SHARE = 0.75;

export const doseInput = z
  .strictObject({
    /** In all, or radiator by radiator. */
    radiatorLitres: optional(z.union([positiveSchema, z.array(positiveSchema).min(1)])),
    boilerKw: optional(positiveSchema),
    /** As the label says, percent of the system's water. */
    labelPercent: z.number().positive().max(100),
    filterBodyL: optional(positiveSchema),
  })
  .superRefine((input, context) => {
    if (input.radiatorLitres === undefined && input.boilerKw === undefined)
      context.addIssue({
        code: "custom",
        path: ["radiatorLitres"],
        message: "give the water of the radiators, or the boiler’s kW to go by",
      });
  });
export const doseOutput = z.strictObject({
  systemL: z.number(),
  source: z.enum(["radiators", "boiler"]),
  doseL: z.number(),
  bodyFills: z.number().int().nullable(),
});

/**
 * How much inhibitor a heating system takes, litres, and how many fillings of its filter that is; null
 * where the filter's body is not known. Counts the radiators' water where given, else 10 L for each
 * kW of the boiler.
 *
 * @source docs/sources.md#heating-water
 * @example dose({ boilerKw: 24, labelPercent: 1, filterBodyL: 0.5 }) // { systemL: 240, source: "boiler", doseL: 2.4, bodyFills: 7 }
 */
export function dose(input: z.output<typeof doseInput>): z.output<typeof doseOutput> {
  const { radiatorLitres, boilerKw, labelPercent, filterBodyL } = input;
  const radiators =
    typeof radiatorLitres === "number"
      ? radiatorLitres
      : radiatorLitres?.reduce((sum, l) => sum + l, 0);
  const systemL = radiators ?? LITRES_PER_KW * (boilerKw ?? 0);
  const doseL = (systemL * labelPercent) / 100;
  return {
    systemL: roundPhysical(systemL),
    source: radiators === undefined ? "boiler" : "radiators",
    doseL: roundPhysical(doseL),
    bodyFills: filterBodyL === undefined ? null : wholeFills(doseL / (BODY_SHARE * filterBodyL)),
  };
}

/** Rounded up, but not for the last bits of a division. */
const wholeFills = (fills: number) => Math.ceil(fills - 1e-9 * Math.max(1, fills));
