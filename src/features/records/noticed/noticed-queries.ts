import "server-only";
import { isHeatingWeather } from "@/core/climate/climate";
import type { Contact } from "@/core/inventory/inventory";
import type { PlainDate } from "@/core/quantities/plain-date";
import { todayIn } from "@/lib/clock";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";

export type NoticedPage = {
  today: PlainDate;
  units: { value: string; label: string; kind: string }[];
  rooms: { value: string; label: string }[];
  /** Whom to call where something must not run on. */
  technician: Contact | null;
  isHeatingWeather: boolean;
};

/** What a form about something seen at a machine offers: the machines, the rooms, and the day. */
export async function noticedPageOf(homeId: string): Promise<NoticedPage | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const { home, units, rooms, contacts } = snapshot;
  const today = todayIn(home.timeZone);
  return {
    today,
    units: units.map(({ id, name, kind }) => ({ value: id, label: name, kind })),
    rooms: rooms.map(({ id, name }) => ({ value: id, label: name })),
    technician: contacts.find(({ role, phone }) => role === "technician" && phone) ?? null,
    isHeatingWeather: isHeatingWeather(home.climate, today),
  };
}
