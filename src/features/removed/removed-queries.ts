import "server-only";
import { appStore } from "@/db/app-store";
import { listRemoved, type Removed } from "@/db/repositories/removed";

export async function removedOf(homeId: string): Promise<Removed[]> {
  const { db } = await appStore();
  return listRemoved(db, homeId);
}
