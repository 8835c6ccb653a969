import { registersVerdict, type RegistersVerdict } from "../calculators/registers";
import type { Register } from "./inventory";

export type ShutRegisters = RegistersVerdict & {
  total: number;
  closed: number;
  returnsShut: number;
};

/**
 * How the registers of a home stand by the rule of a third; null where no air comes in at all.
 *
 * @source docs/sources.md#registers
 * @example shutRegisters([]) // null
 */
export function shutRegisters(registers: readonly Register[]): ShutRegisters | null {
  const count = (role: Register["role"], shutOnly: boolean) =>
    registers.filter((each) => each.role === role && (!shutOnly || each.isShut)).length;
  const total = count("supply", false);
  if (total === 0) return null;
  const closed = count("supply", true);
  const returnsShut = count("return", true);
  const verdict = registersVerdict({ total, closed, returns: count("return", false), returnsShut });
  return { ...verdict, total, closed, returnsShut };
}
