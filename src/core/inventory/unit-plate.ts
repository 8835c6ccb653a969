import { readPlainDate, type PlainDate } from "../quantities/plain-date";
import type { Identity } from "./identity";
import type { Unit } from "./inventory";

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
 * A machine in whose place stands a new one of its kind: what its life counts from is the new one’s, or not known.
 *
 * @example madeNew({ attributes: { "made-on": "2019-05-01", power: "battery" } }, undefined).attributes // {"power":"battery"}
 */
export function madeNew<U extends Pick<Unit, "attributes">>(
  unit: U,
  madeOn: PlainDate | undefined,
): U {
  const { [MADE_ON]: _, ...attributes } = unit.attributes;
  return { ...unit, attributes: madeOn ? { ...attributes, [MADE_ON]: madeOn } : attributes };
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
