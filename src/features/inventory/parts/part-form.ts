import type { UnitSystem } from "@/core/quantities/length";
import type { PartKind } from "@/content/part-kinds";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { Attribute } from "@/core/inventory/attribute";
import type { Part, Room } from "@/core/inventory/inventory";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { todayIn } from "@/lib/clock";
import { readUnitAttributes, type Read } from "../units/unit-form";

type FormContext = {
  attributes: readonly Attribute[];
  rooms: readonly Room[];
  system: UnitSystem;
  today: PlainDate;
};

export const partFields = (snapshot: HomeSnapshot, kind: PartKind): FormContext => ({
  attributes: kind.attributes ?? [],
  rooms: snapshot.rooms,
  system: snapshot.home.unitSystem,
  today: todayIn(snapshot.home.timeZone),
});

/** Reads a part of any kind but a filter slot: its name, where it is, what its kind is asked. */
export function readPart(
  typed: Record<string, string[]>,
  { attributes, rooms, system, today }: FormContext,
): Read<Omit<Part, "id" | "unitId" | "kind">> {
  const text = (name: string) => (typed[name]?.[0] ?? "").trim();
  const read = readUnitAttributes(attributes, typed, system, today);
  const problems = { ...read.problems };
  const [name, place, note] = [text("name"), text("place"), text("note")];
  if (name === "") problems["name"] = "Give it a name.";
  if (name.length > 60) problems["name"] = "A shorter name, please: up to 60 letters.";
  if (place.length > 300) problems["place"] = "Shorter, please: up to 300 letters.";
  if (note.length > 1000) problems["note"] = "Shorter, please: up to 1000 letters.";
  const room = rooms.find((each) => each.id === text("roomId"));
  return {
    values: {
      name,
      attributes: read.values,
      ...(place ? { place } : {}),
      ...(room ? { roomId: room.id } : {}),
      ...(note ? { note } : {}),
    },
    problems,
  };
}
