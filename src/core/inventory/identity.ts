import { z } from "zod";
import { dateSchema } from "../quantities/schemas";

/** The longest that is kept of anything on a plate, letters. Our choice. */
const MOST_LETTERS = 80;
const written = z.string().trim().min(1).max(MOST_LETTERS);

/** Who made a part and what it is called there, and what it takes when something of it is to be had. */
export const identitySchema = z
  .strictObject({
    make: written,
    model: written,
    serial: written,
    madeOn: dateSchema,
    warrantyEndsOn: dateSchema,
    warrantyRegistered: z.boolean(),
    filterNumber: written,
    sealNumber: written,
    panelNumber: written,
    tool: written,
    toolHangs: written,
  })
  .partial();
export type Identity = z.output<typeof identitySchema>;
export type IdentityKey = keyof Identity;

/**
 * What two readings of one plate amount to: the later word counts.
 *
 * @example withIdentity({ make: "Tarn" }, { model: "V2" }) // {"make":"Tarn","model":"V2"}
 */
export const withIdentity = (before: Identity | undefined, more: Identity): Identity => ({
  ...before,
  ...more,
});
