import { z } from "zod";
import { readMoney } from "@/core/quantities/money";

type Field = "purchase" | "replacement" | "hour";

/** What a machine cost, what a new one would, and what an hour is worth; each may stay unknown. */
export const moneyForm = (currency: string) =>
  z
    .object({
      purchase: z.string().default(""),
      replacement: z.string().default(""),
      hour: z.string().default(""),
    })
    .transform((fields, context) => {
      const read = (name: Field) => {
        const minor = fields[name] === "" ? undefined : readMoney(fields[name], currency);
        if (minor === null)
          context.addIssue({
            code: "custom",
            path: [name],
            message: `Write an amount in ${currency}, such as 2400.`,
          });
        return minor ?? undefined;
      };
      return {
        purchaseMinor: read("purchase"),
        replacementMinor: read("replacement"),
        hourMinor: read("hour"),
      };
    });
