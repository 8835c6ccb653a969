import "server-only";
import { randomUUID } from "node:crypto";
import { unitKind } from "@/content/unit-kinds";
import { equipmentSchema, type Equipment } from "@/core/climate/run-hours";
import type { AirSystem, Unit } from "@/core/inventory/inventory";
import { insertSystem, updateSystem, updateUnit } from "@/db/repositories/units";
import type { OpenHome } from "./home-command";

export type SystemChange = {
  name: string;
  equipment: Omit<Equipment, "heatOversize" | "coolOversize">;
  airflowM3h: number | undefined;
  /** The units that run together in it. */
  members: readonly string[];
};

/** How an air system runs, and which machines run in it; one that leaves runs alone from now on. */
export async function changeSystem(
  { tx, homeId, snapshot }: OpenHome,
  system: AirSystem,
  { name, equipment, airflowM3h, members }: SystemChange,
): Promise<void> {
  const { heatOversize, coolOversize } = system.equipment;
  await updateSystem(tx, {
    id: system.id,
    ducted: system.ducted,
    name,
    equipment: { ...equipment, heatOversize, coolOversize },
    ...(airflowM3h === undefined ? {} : { airflowM3h }),
  });
  for (const unit of snapshot.units) {
    const isMember = members.includes(unit.id);
    const runsInIt = unit.systemId === system.id;
    if (isMember && !runsInIt) await updateUnit(tx, { ...unit, systemId: system.id });
    if (!isMember && runsInIt) {
      const own = ownSystemOf(unit);
      await insertSystem(tx, homeId, own);
      await updateUnit(tx, { ...unit, systemId: own.id });
    }
  }
}

/** The air system of a machine that runs alone, as its kind has it. */
export function ownSystemOf({ name, kind: kindId }: Pick<Unit, "name" | "kind">): AirSystem {
  const kind = unitKind(kindId);
  return {
    id: randomUUID(),
    name,
    ducted: kind.ducted,
    equipment: equipmentSchema.parse(kind.equipment),
  };
}
