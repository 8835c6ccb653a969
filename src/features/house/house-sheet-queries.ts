import "server-only";
import { unitKind } from "@/content/unit-kinds";
import type { Contact, Home, Level, Main, Unit } from "@/core/inventory/inventory";
import { listPhotosOfMains } from "@/server/snapshots/beside";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";

export type HouseSheet = {
  home: Home;
  /** Of each main shut-off. */
  pictures: Record<Main, readonly { id: string }[]>;
  levels: { level: Level; units: { unit: Unit; room: string | undefined }[] }[];
  /** Whom to call when something is wrong. */
  contacts: Contact[];
};

/** Every machine that can be shut off, level by level. */
export async function houseSheetOf(homeId: string): Promise<HouseSheet | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const units = snapshot.units.filter(
    (unit) => unit.shutOffs.length > 0 || unitKind(unit.kind).shutOffs.length > 0,
  );
  return {
    home: snapshot.home,
    pictures: await listPhotosOfMains(homeId),
    levels: snapshot.levels
      .map((level) => ({
        level,
        units: units
          .filter((unit) => unit.levelId === level.id)
          .map((unit) => ({
            unit,
            room: snapshot.rooms.find((room) => room.id === unit.roomId)?.name,
          })),
      }))
      .filter((each) => each.units.length > 0),
    contacts: snapshot.contacts.filter(({ role, phone }) => phone && role !== "supplier"),
  };
}
