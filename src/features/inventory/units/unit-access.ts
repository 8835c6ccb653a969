import "server-only";
import { redirect } from "next/navigation";
import type { Unit } from "@/core/inventory/inventory";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";

/** The snapshot of a home that is there; leads to the start where it is not. */
export async function snapshotOf(homeId: string): Promise<HomeSnapshot> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) redirect("/");
  return snapshot;
}

/** A unit of this home, in service or out of it; leads to the house where there is none. */
export async function unitAt(
  homeId: string,
  unitId: string,
): Promise<{ snapshot: HomeSnapshot; unit: Unit }> {
  const snapshot = await snapshotOf(homeId);
  const unit = [...snapshot.units, ...snapshot.retired].find((each) => each.id === unitId);
  if (!unit) redirect(`/homes/${homeId}/house`);
  return { snapshot, unit };
}
