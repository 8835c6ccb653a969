import { z } from "zod";
import { readPlainDate } from "../quantities/plain-date";
import { dateSchema } from "../quantities/schemas";
import type { Unit } from "./inventory";

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
export const IDENTITY_KEYS = Object.keys(identitySchema.shape) as IdentityKey[];

/**
 * What two readings of one plate amount to: the later word counts.
 *
 * @example withIdentity({ make: "Tarn" }, { model: "V2" }) // {"make":"Tarn","model":"V2"}
 */
export const withIdentity = (before: Identity | undefined, more: Identity): Identity => ({
  ...before,
  ...more,
});

/** What of an identity a machine keeps in fields of its own. */
type OfUnit = Pick<
  Unit,
  "make" | "model" | "serial" | "warrantyEndsOn" | "warrantyRegistered" | "attributes"
>;
const MADE_ON = "made-on";

/**
 * The identity of a machine as its fields have it.
 *
 * @example identityOfUnit({ make: "Tarn", attributes: { "made-on": "2020-05-01" } }) // {"make":"Tarn","madeOn":"2020-05-01"}
 */
export function identityOfUnit(unit: OfUnit): Identity {
  const { make, model, serial, warrantyEndsOn, warrantyRegistered, attributes } = unit;
  const madeOn = readPlainDate(attributes[MADE_ON] ?? "") ?? undefined;
  const fields = { make, model, serial, madeOn, warrantyEndsOn, warrantyRegistered };
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined));
}

/**
 * A machine with what somebody read off its plate; what belongs to parts alone is left out.
 *
 * @example unitWithIdentity({ name: "Furnace", attributes: {} }, { make: "Tarn" }).make // "Tarn"
 */
export function unitWithIdentity<U extends OfUnit>(unit: U, identity: Identity): U {
  const { make, model, serial, madeOn, warrantyEndsOn, warrantyRegistered } = identity;
  const fields = { make, model, serial, warrantyEndsOn, warrantyRegistered };
  const read = Object.entries(fields).filter(([, value]) => value !== undefined);
  return {
    ...unit,
    ...Object.fromEntries(read),
    ...(madeOn ? { attributes: { ...unit.attributes, [MADE_ON]: madeOn } } : {}),
  };
}
