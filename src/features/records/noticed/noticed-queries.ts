import "server-only";
import { isHeatingWeather } from "@/core/climate/climate";
import { READING_WORDS } from "@/content/reading-words";
import { signOf } from "@/content/signs";
import { dateWords } from "@/core/quantities/words";
import { readWords } from "@/presentation/reading-advice";
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

/** Something that means stop, in words; null where there is no such entry. */
export async function stopPageOf(
  homeId: string,
  eventId: string,
): Promise<{ words: string; place: string; today: PlainDate } | null> {
  const snapshot = await homeSnapshot(homeId);
  const event = snapshot?.history.counted.find(({ id }) => id === eventId);
  if (!snapshot || !event) return null;
  const today = todayIn(snapshot.home.timeZone);
  const unit = snapshot.units.find(({ id }) => id === event.unitId);
  const sign = event.sign ? signOf(event.sign)?.words : undefined;
  const reading = event.reading && {
    name: READING_WORDS[event.reading.kind].name,
    read: readWords(event.reading, snapshot.home.unitSystem),
  };
  const said = sign ?? (reading ? `${reading.name}: ${reading.read}` : "It was to be left off");
  return {
    words: `${said}, ${dateWords(event.date, today)}.`,
    place: unit?.name ?? snapshot.home.name,
    today,
  };
}
