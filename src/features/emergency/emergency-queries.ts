import "server-only";
import { emergency, type Emergency } from "@/content/emergencies";
import type { Contact, Mains, ShutOff } from "@/core/inventory/inventory";
import { mainPicture } from "@/core/inventory/first-walk";
import { isHomeUnreadable, listHomes, listPhotosOfStop } from "@/server/snapshots/beside";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";

export type EmergencySheet = {
  homeId: string;
  homeName: string;
  emergency: Emergency;
  /** Whom to call, the first of whom is the one. */
  contacts: Contact[];
  mains: Mains;
  /** Of the main shut-off that matters here. */
  pictures: readonly { id: string }[];
  /** The machine it is about, where one is, with its own shut-offs. */
  unit: { id: string; name: string; shutOffs: readonly ShutOff[] } | null;
  rules: string | undefined;
};

export type EmergencyList = { homeId: string; homeName: string };

/** A home that cannot be read has its emergencies all the same: those of every home. */
export const forAllIfUnreadable = <T>(asked: Promise<T>): Promise<T | "for-all"> =>
  asked.catch((error: unknown) => {
    if (isHomeUnreadable(error)) return "for-all";
    throw error;
  });

/** The home whose emergencies are asked for. */
export async function emergencyListOf(homeId: string): Promise<EmergencyList | null> {
  const snapshot = await homeSnapshot(homeId);
  return snapshot && { homeId, homeName: snapshot.home.name };
}

/** What one emergency asks for in a home; null where there is no such home or emergency. */
export async function emergencySheetOf(
  homeId: string,
  kind: string,
  unitId?: string,
): Promise<EmergencySheet | null> {
  const snapshot = await homeSnapshot(homeId);
  const found = emergency(kind);
  if (!snapshot || !found) return null;
  const { home, contacts, units } = snapshot;
  const unit = units.find(({ id }) => id === unitId);
  return {
    homeId,
    homeName: home.name,
    emergency: found,
    contacts: found.call.flatMap((role) =>
      contacts.filter((each) => each.role === role && each.phone),
    ),
    mains: home.mains ?? {},
    pictures: await listPhotosOfStop(homeId, mainPicture(found.shutOff.main)),
    unit: unit ? { id: unit.id, name: unit.name, shutOffs: unit.shutOffs } : null,
    rules: home.localRules,
  };
}

/** The home one is led to from a page that is of none: the first, where there is any. */
export const anyHome = async (): Promise<string | null> => (await listHomes())[0]?.id ?? null;
