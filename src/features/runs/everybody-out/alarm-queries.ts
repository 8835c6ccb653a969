import "server-only";
import type { Contact } from "@/core/inventory/inventory";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";

export type AlarmSheet = { homeName: string; contacts: Contact[]; rules: string | undefined };

/** Whom to call when everybody is out: the gas line first, then who knows the machines. */
export async function alarmSheetOf(homeId: string): Promise<AlarmSheet | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const roles = ["gas", "technician", "landlord"] as const;
  return {
    homeName: snapshot.home.name,
    contacts: roles.flatMap((role) =>
      snapshot.contacts.filter((each) => each.role === role && each.phone),
    ),
    rules: snapshot.home.localRules,
  };
}
