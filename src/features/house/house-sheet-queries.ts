import "server-only";
import { unitKind } from "@/content/unit-kinds";
import type { Contact, Home, Level, Unit } from "@/core/inventory/inventory";
import { homeBook } from "@/db/home-book";

export type HouseSheet = {
  home: Home;
  levels: { level: Level; units: { unit: Unit; room: string | undefined }[] }[];
  /** Whom to call when something is wrong. */
  contacts: Contact[];
};

/** Every machine that can be shut off, level by level. */
export async function houseSheetOf(homeId: string): Promise<HouseSheet | null> {
  const book = await homeBook(homeId);
  if (!book) return null;
  const units = book.units.filter(
    (unit) => unit.shutOffs.length > 0 || unitKind(unit.kind).shutOffs.length > 0,
  );
  return {
    home: book.home,
    levels: book.levels
      .map((level) => ({
        level,
        units: units
          .filter((unit) => unit.levelId === level.id)
          .map((unit) => ({
            unit,
            room: book.rooms.find((room) => room.id === unit.roomId)?.name,
          })),
      }))
      .filter((each) => each.units.length > 0),
    contacts: book.contacts.filter(({ role, phone }) => phone && role !== "supplier"),
  };
}
