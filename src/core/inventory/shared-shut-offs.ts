import type { EndKind, Together } from "../runs/loose-ends";
import type { ShutOff, ShutOffKind, Unit } from "./inventory";

/** What a shut-off leaves open when it is off. */
const ENDS: Readonly<Record<ShutOffKind, EndKind>> = {
  switch: "switch-off",
  breaker: "breaker-off",
  disconnect: "disconnect-out",
  plug: "disconnect-out",
  "gas-cock": "gas-shut",
  "water-valve": "valve-shut",
};

const nameOf = ({ kind, place }: ShutOff): string =>
  `${kind} ${place.trim().toLowerCase().replace(/\s+/g, " ")}`;

/**
 * Machines that one switch, breaker, cock or valve serves, as their cards name it: the same kind at the
 * same place. A plug serves the one machine that hangs on it.
 *
 * @example togetherOf([{ id: "a", shutOffs: [{ kind: "breaker", place: "number 7" }] }, { id: "b", shutOffs: [{ kind: "breaker", place: "Number 7 " }] }]) // [{"end":"breaker-off","units":["a","b"]}]
 */
export function togetherOf(units: readonly Pick<Unit, "id" | "shutOffs">[]): Together[] {
  const byName = new Map<string, { end: EndKind; units: string[] }>();
  for (const { id, shutOffs } of units)
    for (const shutOff of shutOffs) {
      if (shutOff.kind === "plug" || shutOff.place.trim() === "") continue;
      const name = nameOf(shutOff);
      const group = byName.get(name) ?? { end: ENDS[shutOff.kind], units: [] };
      if (!group.units.includes(id)) group.units.push(id);
      byName.set(name, group);
    }
  return [...byName.values()].filter((group) => group.units.length > 1);
}
